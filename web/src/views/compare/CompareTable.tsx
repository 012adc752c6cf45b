import { Link } from 'react-router';
import type { Cell, ComparedRow, Comparison } from '@inch-tower/core';
import { columnOf } from './columns';
import { cellWords, labelOf, LETTERS, nameOf, rangeWords } from './compareWords';

const TONE: Readonly<Record<string, string>> = { better: 'good', worse: 'warn' };
const MARK: Readonly<Record<string, string>> = {
  better: 'better',
  worse: 'worse',
  same: 'cannot be told apart',
  equal: '',
};

/** A row for every question: what surely differs first, then the rest; the ranges of all on one tape. */
export function CompareTable({ comparison: { machines, rows } }: { readonly comparison: Comparison }) {
  const sorted = [...rows].sort((a, b) => Number(b.differs) - Number(a.differs));
  const firstAlike = sorted.findIndex(({ differs }) => !differs);
  return (
    <section aria-labelledby="side-by-side" className="mt-5 overflow-x-auto">
      <h2 id="side-by-side" className="text-[15px] font-semibold">
        Number by number
      </h2>
      <table className="mt-1 w-full border-collapse text-[13px]">
        <thead className="text-mid">
          <tr>
            <th className="py-1 text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            <th className="w-[220px] py-1 text-left font-normal max-[900px]:hidden">on one tape</th>
            {machines.map((machine, i) => (
              <th key={machine.id} className="py-1 pl-4 text-left font-normal text-ink">
                <span className="mono font-semibold">{LETTERS[i]}</span>{' '}
                <Link className="hover:underline" to={`/b/${columnOf(machine.id).id}`}>
                  {nameOf(machine)}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.map((row, at) => (
            <tr
              key={row.by}
              className={`border-t align-top ${at === firstAlike ? 'border-ink' : 'border-dotted border-line'}`}
              data-row={row.by}
            >
              <th className="py-1 pr-3 text-left font-normal">{labelOf(row.by)}</th>
              <td className="py-1 max-[900px]:hidden">
                <RangeTape row={row} />
              </td>
              {row.cells.map((cell, i) => (
                <td key={machines[i]!.id} className="py-1 pl-4">
                  <CellView row={row} cell={cell} currency={machines[i]!.currency} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function CellView({
  row,
  cell,
  currency,
}: {
  readonly row: ComparedRow;
  readonly cell: Cell | null;
  readonly currency: string;
}) {
  if (!cell) return <span className="text-mid">not computed</span>;
  const range = rangeWords(row.by, cell, currency);
  const mark = cell.against ? MARK[cell.against] : '';
  return (
    <>
      <span className={`${cell.words === undefined ? 'mono' : ''} font-medium`}>
        {cellWords(row.by, cell, currency)}
      </span>
      {mark && <span className={`ml-2 text-[12px] ${TONE[cell.against ?? ''] ?? 'text-mid'}`}>{mark}</span>}
      {range && <span className="block text-[12px] text-mid">{range}</span>}
    </>
  );
}

const WIDE = 210;
const STEP = 9;

/** Every machine's range as a bar with a tick where it is likely, all to one scale from zero. */
function RangeTape({ row: { by, cells } }: { readonly row: ComparedRow }) {
  const known = cells.flatMap((cell, i) => (cell && cell.words === undefined ? [{ cell, i }] : []));
  const most = Math.max(...known.map(({ cell }) => cell.hi));
  // Degrees and decibels have no meaningful zero: there the scale is what the ranges span.
  const from = by === 'earDb' || by === 'hottestC' ? Math.min(...known.map(({ cell }) => cell.lo)) - 3 : 0;
  if (known.length === 0 || most <= from) return null;
  const at = (value: number) => 12 + ((value - from) / (most - from)) * (WIDE - 16);
  return (
    <svg className="drawing" width={WIDE} height={known.length * STEP + 2} aria-hidden>
      {known.map(({ cell, i }, k) => {
        const y = k * STEP + 1;
        return (
          <g key={i}>
            <text className="faint" x={0} y={y + 7.5} style={{ fontSize: 9 }}>
              {LETTERS[i]}
            </text>
            <path d={`M12 ${y + 4}H${at(cell.lo)}`} stroke="var(--line)" strokeWidth={1} />
            <rect
              x={at(cell.lo)}
              y={y + 1.5}
              width={Math.max(1.5, at(cell.hi) - at(cell.lo))}
              height={5}
              fill={i === 0 ? 'var(--tape)' : 'var(--mid)'}
              opacity={i === 0 ? 1 : 0.6}
            />
            <path d={`M${at(cell.value)} ${y}v8`} stroke="var(--ink)" strokeWidth={1.4} />
          </g>
        );
      })}
    </svg>
  );
}
