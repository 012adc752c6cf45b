import { useState } from 'react';
import { LAYOUTS, type PoolDrive, type PoolSet, type SetLayout } from '@inch-tower/core';
import { RoleSelect } from '../build/RoleSelect';
import { withDrives, type Sets } from './poolEdits';
import { tb } from './poolWords';

/** Data drives that are in no set: chosen, and put into one that is there or one of their own. */
export function LooseDrives({
  loose,
  sets,
  onSets,
}: {
  readonly loose: readonly PoolDrive[];
  readonly sets: Sets;
  readonly onSets: (sets: PoolSet[], words: string) => void;
}) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [into, setInto] = useState('new');
  const [layout, setLayout] = useState<SetLayout>('mirror2');
  if (loose.length === 0) return null;
  const chosen = loose.filter(({ unit }) => !left.has(unit));
  const target = sets.some(({ id }) => id === into) ? into : 'new';
  const isShort = target === 'new' && chosen.length < LAYOUTS[layout].least;
  const put = () => {
    const units = chosen.map(({ unit }) => unit);
    const what = chosen.length === 1 ? chosen[0]!.mark : `${chosen.length} drives`;
    onSets(
      withDrives(sets, units, target === 'new' ? { layout } : target),
      `${what} into ${target === 'new' ? 'a set of their own' : target}`,
    );
    setLeft(new Set());
  };
  return (
    <section aria-labelledby="loose" className="mb-3 border-t border-line pt-2 text-[13.5px]">
      <h3 id="loose" className="font-semibold">
        In no set: {loose.length} {loose.length === 1 ? 'drive' : 'drives'}
      </h3>
      <ul className="flex flex-wrap gap-x-4">
        {loose.map(({ unit, mark, name, tb: size }) => (
          <li key={unit} className="flex items-center gap-1.5">
            <label className="flex min-h-7 items-center gap-1.5">
              <input
                type="checkbox"
                className="accent-(--ink)"
                checked={!left.has(unit)}
                onChange={(event) => {
                  const next = new Set(left);
                  if (event.target.checked) next.delete(unit);
                  else next.add(unit);
                  setLeft(next);
                }}
              />
              <span className="mono">{mark}</span> {name}, {tb(size)}
            </label>
            <RoleSelect unit={unit} label={`${mark} is for`} />
          </li>
        ))}
      </ul>
      <div className="no-print flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          Put them into
          <select className="field" value={target} onChange={(event) => setInto(event.target.value)}>
            <option value="new">a set of their own</option>
            {sets.map(({ id, layout: own }) => (
              <option key={id} value={id}>
                {id}, {LAYOUTS[own].words}
              </option>
            ))}
          </select>
        </label>
        {target === 'new' && (
          <select
            className="field"
            aria-label="Layout of the new set"
            value={layout}
            onChange={(event) => setLayout(event.target.value as SetLayout)}
          >
            {(Object.keys(LAYOUTS) as SetLayout[]).map((one) => (
              <option key={one} value={one}>
                {LAYOUTS[one].words}
              </option>
            ))}
          </select>
        )}
        <button type="button" className="press" disabled={chosen.length === 0 || isShort} onClick={put}>
          Put in {chosen.length}
        </button>
        {isShort && <span className="text-mid">from {LAYOUTS[layout].least} drives on</span>}
      </div>
    </section>
  );
}
