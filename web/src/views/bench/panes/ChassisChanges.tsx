import { useEffect, useRef } from 'react';
import { changeEffects, modsFor, type Edit, type PartOf, type PlannedUnit } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { benchWorker } from '../../../worker/client';
import { useBench } from '../hooks/benchContext';

type Choice = {
  readonly id: string;
  readonly label: string;
  readonly on: boolean;
  readonly edits: readonly Edit[];
  readonly says: readonly string[];
};

/**
 * What can be taken out of a chassis, moved in it or done to it: shown in the drawing and on the tapes before it is
 * done.
 */
export default function ChassisChanges({ unit }: { readonly unit: PlannedUnit }) {
  const changes = useAppSelector((state) => state.bench.build!.changes);
  const sheet = useAppSelector((state) => state.bench.build!.sheets[unit.part.id]);
  if (unit.part.kind !== 'chassis' || !sheet) return null;
  const chassis: PartOf<'chassis'> = unit.part;
  const choice = (key: string, label: string, add: Edit, says: readonly string[]): Choice => {
    const id = `${unit.id}:${key}`;
    const on = changes.some((change) => change.id === id);
    return { id, label, on, says, edits: [on ? { type: 'change.remove', id } : add] };
  };
  const options = chassis.options.map((option) =>
    choice(
      option.key,
      option.label,
      {
        type: 'change.add',
        change: { id: `${unit.id}:${option.key}`, kind: 'option', host: unit.id, key: option.key },
      },
      changeEffects(chassis, option.effects),
    ),
  );
  const own = changes
    .filter((change) => change.host === unit.id && change.kind === 'mod')
    .map((change): Choice => ({
      id: change.id,
      label: change.kind === 'mod' ? change.title : '',
      on: true,
      says: [],
      edits: [{ type: 'change.remove', id: change.id }],
    }));
  const mods = modsFor(chassis)
    .map((mod) =>
      choice(
        mod.key,
        mod.label,
        {
          type: 'change.add',
          change: {
            id: `${unit.id}:${mod.key}`,
            kind: 'mod',
            host: unit.id,
            title: mod.label,
            effects: [...mod.effects],
          },
        },
        changeEffects(chassis, mod.effects),
      ),
    )
    .filter(({ id }) => !own.some((one) => one.id === id));
  return (
    <section className="mt-3 border-t border-line pt-2" aria-label="Changes to the chassis">
      <h3 className="text-[12.5px] font-semibold text-mid">Changes to it</h3>
      <ul>
        {[...options, ...own, ...mods].map((one) => (
          <ChangeRow key={one.id} choice={one} />
        ))}
      </ul>
    </section>
  );
}

function ChangeRow({ choice }: { readonly choice: Choice }) {
  const ui = useBench();
  const dispatch = useAppDispatch();
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  const here = useRef(false);
  useEffect(() => () => clearTimeout(wait.current), []);
  const show = () => {
    here.current = true;
    clearTimeout(wait.current);
    wait.current = setTimeout(() => {
      ui.setGhost({ edits: choice.edits, figures: null });
      void benchWorker()
        .weighed(choice.edits)
        .then((figures) => {
          if (here.current && figures) ui.setGhost({ edits: choice.edits, figures });
        });
    }, 90);
  };
  const hide = () => {
    here.current = false;
    clearTimeout(wait.current);
    ui.setGhost(null);
  };
  return (
    <li className="border-t border-dotted border-line py-1" onMouseEnter={show} onMouseLeave={hide}>
      <label className="flex min-h-6 items-start gap-2 text-[13px]">
        <input
          type="checkbox"
          data-change={choice.id}
          className="mt-1 size-4 shrink-0 accent-[var(--ink)]"
          checked={choice.on}
          onFocus={show}
          onBlur={hide}
          onChange={() => {
            hide();
            dispatch(edit(choice.edits, choice.on ? `Taken back: ${choice.label}` : choice.label));
          }}
        />
        <span>
          {choice.label}
          {!choice.on && choice.says.length > 0 && (
            <span className="block text-[12.5px] text-mid">{choice.says.join('; ')}</span>
          )}
        </span>
      </label>
    </li>
  );
}
