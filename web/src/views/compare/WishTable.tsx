import type { Comparison, Met } from '@inch-tower/core';
import { LETTERS, nameOf } from './compareWords';
import { MET_WORDS, metWords, wishedWords, wishLabel } from './wishWords';

const TONE: Readonly<Record<Met, string>> = {
  yes: 'good',
  perhaps: 'warn',
  no: 'bad font-medium',
  open: 'text-mid',
};

/** The wishes of the first machine's brief, and whether each machine meets them where it stands. */
export function WishTable({ comparison: { machines, wishes } }: { readonly comparison: Comparison }) {
  const [first] = machines;
  if (!first) return null;
  if (wishes.length === 0)
    return (
      <p className="mt-3 text-[13px] text-mid">
        The brief of {nameOf(first)} has no wishes: with some, each machine is held against them here.
      </p>
    );
  return (
    <section aria-labelledby="wishes" className="mt-4">
      <h2 id="wishes" className="text-[15px] font-semibold">
        What the brief of {nameOf(first)} wishes
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-1 border-collapse text-[13px]">
          <thead className="text-mid">
            <tr>
              <th className="min-w-24 py-1 pr-6 text-left font-normal max-[900px]:pr-2">wish</th>
              <th className="py-1 pr-6 text-left font-normal">asked</th>
              {machines.map((machine, i) => (
                <th
                  key={machine.id}
                  className="py-1 pr-6 text-left font-normal text-ink min-[900px]:min-w-36 max-[900px]:pr-3"
                >
                  <span className="mono font-semibold">{LETTERS[i]}</span> {nameOf(machine)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {wishes.map((row) => (
              <tr
                key={`${row.wish} ${row.service?.name ?? ''} ${row.level}`}
                className="border-t border-dotted border-line"
                data-wish={row.wish}
              >
                <th className="py-1 pr-6 text-left font-normal max-[900px]:pr-2">{wishLabel(row)}</th>
                <td className="min-w-20 py-1 pr-6 text-mid max-[900px]:pr-2">{wishedWords(row, first.currency)}</td>
                {row.met.map((met, i) => (
                  <td key={machines[i]?.id} className={`py-1 pr-6 ${TONE[met]}`}>
                    {MET_WORDS[met]}
                    {row.relaid?.[i] && met !== 'open' && <span className="font-normal text-mid"> laid out anew</span>}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="border-t border-ink">
              <th className="py-1 pr-6 text-left font-medium" colSpan={2}>
                met
              </th>
              {machines.map((machine, i) => (
                <td key={machine.id} className="max-w-60 py-1 pr-6 align-top max-[900px]:pr-3" data-met={LETTERS[i]}>
                  {metWords(wishes, i)}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {wishes.some(({ relaid }) => relaid?.includes(true)) && (
        <p className="mt-1 max-w-[90ch] text-[12.5px] text-mid">
          Laid out anew: its sets are only proposed, and by this brief they are others than by its own, which the
          numbers above and below are of. Keep its sets to hold it to them.
        </p>
      )}
    </section>
  );
}
