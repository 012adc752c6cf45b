import type { FigureId } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import { changeWords } from '../../../words/format';
import { differencesOf } from '../../sheets/differences';
import { useBench } from '../hooks/benchContext';
import { partOf } from './partOf';
import { withBeside } from './trySorts';

const CHANGES: readonly (readonly [id: FigureId, label: string])[] = [
  ['power.idleWallW', 'idle, W'],
  ['power.peakWallW', 'peak, W'],
  ['sound.earIdleDb', 'noise, dB(A)'],
  ['flow.readMBps', 'files read, MB/s'],
  ['flow.writeMBps', 'files written, MB/s'],
  ['cost.now', 'price'],
];

type Props = {
  readonly sheets: readonly string[];
  readonly rows: readonly GoingRow[];
  readonly onAway: (next: (now: readonly string[]) => readonly string[]) => void;
};

/** Two parts beside one another: what each changes, and only the facts in which they differ. */
export default function Beside({ sheets, rows, onAway }: Props) {
  const { catalogue } = useBench();
  const shown = sheets.flatMap((sheet) => rows.find((row) => row.sheet === sheet) ?? []);
  const [a, b] = shown;
  if (!a) return null;
  const [first, second] = [partOf(catalogue, a.sheet), b && partOf(catalogue, b.sheet)];
  if (!b || !second)
    return (
      <p className="border-b border-line bg-sheet px-3 py-1.5 text-[12.5px]">
        <span className="font-medium">{first.name}</span> is set aside: set another beside it.
      </p>
    );
  const changes = CHANGES.map(([id, label]) => ({
    label,
    values: [a, b].map((row) => changeWords(id, row.delta[id] ?? 0) || '·'),
  })).filter(({ values }) => values[0] !== values[1]);
  return (
    <div className="max-h-[45%] overflow-auto border-b border-ink bg-sheet" tabIndex={-1}>
      <table className="w-full table-fixed text-[12px]" data-beside>
        <caption className="sr-only">
          {first.name} beside {second.name}
        </caption>
        <thead>
          <tr className="align-top">
            <th scope="col" className="w-[30%] px-3 py-1 text-left font-normal text-mid">
              What differs
            </th>
            {[first, second].map((part) => (
              <th key={part.id} scope="col" className="py-1 pr-2 text-left font-medium">
                {part.name}
                <button
                  type="button"
                  className="plain ml-1 min-h-6 min-w-6 text-mid"
                  aria-label={`Take ${part.name} away from beside`}
                  onClick={() => onAway((now) => withBeside(now, part.id))}
                >
                  ×
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...changes, ...differencesOf(first, second)].map(({ label, values }) => (
            <tr key={label} className="border-t border-dotted border-line align-top">
              <th scope="row" className="px-3 py-0.5 text-left font-normal text-mid">
                {label}
              </th>
              {values.map((value, i) => (
                <td key={i === 0 ? 'first' : 'second'} className="py-0.5 pr-2 break-words">
                  {value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
