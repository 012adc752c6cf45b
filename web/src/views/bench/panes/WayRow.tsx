import { useEffect, useRef } from 'react';
import { changeWords, unitWords } from '../../../words/format';
import type { Edit } from '@inch-tower/core';
import type { RemedyRow } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';

/** A weighed change: ghosted while pointed at or focused, taken on Enter or a click. */
export function WayRow({
  row,
  onTake,
}: {
  readonly row: RemedyRow;
  readonly onTake: (edits: readonly Edit[]) => void;
}) {
  const ui = useBench();
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(wait.current), []);
  const show = () => {
    clearTimeout(wait.current);
    wait.current = setTimeout(() => ui.setGhost({ edits: row.edits, figures: row.figures, words: row.title }), 90);
  };
  const hide = () => {
    clearTimeout(wait.current);
    ui.setGhost(null);
  };
  return (
    <li>
      <button
        type="button"
        data-remedy
        className="press w-full py-1 text-left leading-tight font-normal"
        onFocus={show}
        onBlur={hide}
        onMouseEnter={show}
        onMouseLeave={hide}
        onClick={() => {
          hide();
          onTake(ui.settledAs(row.edits));
        }}
      >
        <span className="block font-medium">{row.title}</span>
        <span className="mono block text-[11.5px] text-mid">{deltaWords(row)}</span>
      </button>
    </li>
  );
}

/** What cannot be together: give way on any one of these and the others go. */
export function Conflict({ lines }: { readonly lines: readonly string[] }) {
  return (
    <div className="mb-2" data-conflict>
      <p className="text-[12.5px] text-mid">These do not fit together; without any one of them the others do</p>
      <ul className="mt-0.5 text-[13px]">
        {lines.map((line, i) => (
          <li key={i} className="flex gap-2">
            <span aria-hidden className="text-mid">
              –
            </span>
            <span className="min-w-0">{line}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

const UNITS = { 'cost.now': '€', 'power.idleWallW': 'W', 'sound.earIdleDb': 'dB(A)', 'capacity.rawTb': 'TB' } as const;
const SHOWN = ['cost.now', 'power.idleWallW', 'sound.earIdleDb', 'capacity.rawTb'] as const;
function deltaWords(row: RemedyRow): string {
  const changes = SHOWN.flatMap((id) => {
    const change = changeWords(id, row.delta[id] ?? 0);
    return change ? [`${change} ${row.figures[id] ? unitWords(row.figures[id]) : UNITS[id]}`] : [];
  });
  return [
    ...(changes.length ? changes : ['costs nothing']),
    row.blockersAfter === 0
      ? 'no blocker left'
      : `${row.blockersAfter} blocker${row.blockersAfter === 1 ? '' : 's'} left`,
  ].join(' · ');
}
