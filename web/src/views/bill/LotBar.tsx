import { useState } from 'react';
import { minorPerMajor, readNumber, type Build, type Edit, type ItemId } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { Typed } from '../items/Typed';
import { exactly } from './billWords';

type Lot = Build['bundles'][number];

/** Several parts bought together at one price: made of the lines chosen, changed and taken apart again. */
export function LotBar({
  build,
  chosen,
  onDone,
}: {
  readonly build: Build;
  readonly chosen: readonly string[];
  readonly onDone: () => void;
}) {
  const dispatch = useAppDispatch();
  const [wrong, setWrong] = useState<string | null>(null);
  const lots = build.bundles.filter(({ id }) => build.items.some(({ bundle }) => bundle === id));
  const act = (edits: readonly Edit[], words: string) => {
    setWrong(null);
    void dispatch(edit(edits, words));
  };
  const priced = (text: string, lot: Lot): Lot | null => {
    const read = readNumber(text, { unit: build.currency });
    if (!read.ok || read.value < 0 || read.value > 1e9) {
      setWrong(`Price of the lot: ${read.ok ? 'from 0 to 1 000 000 000' : read.words}. What was there is kept.`);
      return null;
    }
    const minor = Math.round(read.value * minorPerMajor(build.currency));
    const at = new Date().toISOString().slice(0, 10);
    return { ...lot, price: { minor, currency: build.currency, per: 'item', taxIncluded: true, at } };
  };
  const make = (text: string) => {
    let n = build.bundles.length + 1;
    while (build.bundles.some(({ id }) => id === `lot${n}`)) n++;
    const lot = priced(text, { id: `lot${n}`, name: `Lot ${n}` });
    if (!lot) return;
    act(
      [
        { type: 'set.bundles', value: [...build.bundles, lot] },
        ...chosen.map((id): Edit => ({ type: 'item.patch', item: id as ItemId, patch: { bundle: lot.id } })),
      ],
      `${chosen.length} lines bought as one lot`,
    );
    onDone();
  };
  const change = (id: string, next: Lot, words: string) =>
    act([{ type: 'set.bundles', value: build.bundles.map((one) => (one.id === id ? next : one)) }], words);
  const apart = ({ id, name }: Lot) =>
    act(
      [
        { type: 'set.bundles', value: build.bundles.filter((one) => one.id !== id) },
        ...build.items
          .filter(({ bundle }) => bundle === id)
          .map((item): Edit => ({ type: 'item.patch', item: item.id, patch: { bundle: '' } })),
      ],
      `${name} taken apart`,
    );
  if (chosen.length < 2 && lots.length === 0) return null;
  return (
    <div className="no-print my-2 border-y border-line py-1.5 text-[13px]">
      {chosen.length > 1 && (
        <label className="flex min-h-8 flex-wrap items-center gap-2">
          {chosen.length} lines bought as one lot for
          <Typed label="Price of the lot" text="" className="w-24 text-right" placeholder="price" onTyped={make} />
          <span className="mono text-[12px] text-mid">{build.currency}, then Enter</span>
        </label>
      )}
      {lots.map((lot) => (
        <p key={lot.id} className="flex min-h-8 flex-wrap items-center gap-2">
          <Typed
            label={`Name of ${lot.name}`}
            text={lot.name}
            isWords
            className="w-44"
            onTyped={(name) =>
              change(lot.id, { ...lot, name: name.trim().slice(0, 200) || lot.name }, 'Name of the lot')
            }
          />
          for
          <Typed
            label={`Price of ${lot.name}`}
            text={lot.price ? String(lot.price.minor / minorPerMajor(lot.price.currency)) : ''}
            className="w-24 text-right"
            placeholder="open"
            onTyped={(text) => {
              const next = priced(text, lot);
              if (next)
                change(
                  lot.id,
                  next,
                  `${lot.name}: ${exactly(next.price!.minor / minorPerMajor(build.currency), build.currency)}`,
                );
            }}
          />
          <span className="mono text-[12px] text-mid">{lot.price?.currency ?? build.currency}</span>
          <span className="text-mid">
            {build.items.filter(({ bundle }) => bundle === lot.id).length} lines, each with its share
          </span>
          <button type="button" className="plain min-h-6 underline" onClick={() => apart(lot)}>
            Take apart<span className="sr-only"> {lot.name}</span>
          </button>
        </p>
      ))}
      {wrong && (
        <p role="alert" className="bad">
          {wrong}
        </p>
      )}
    </div>
  );
}
