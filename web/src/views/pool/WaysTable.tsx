import { useState } from 'react';
import type { PoolWay } from '@inch-tower/core';
import { wholeMoneyWords } from '../../words/format';
import { hoursWords, oneIn, tb, wayName } from './poolWords';

const SHOWN = 7;
type Order = 'usable' | 'any';

/** Layouts of these drives side by side; each is taken with one press. */
export function WaysTable({
  ways,
  now,
  money,
  idleW,
  onTake,
}: {
  readonly ways: readonly PoolWay[];
  /** What the machine costs, in minor units, and draws idle at the wall. */
  readonly money: { readonly minor: number; readonly currency: string };
  readonly idleW: number;
  /** The key of the one in place. */ readonly now: string;
  readonly onTake: (way: PoolWay) => void;
}) {
  const [order, setOrder] = useState<Order>('any');
  const [isWhole, setWhole] = useState(false);
  if (ways.length === 0) return null;
  const price = (usableTb: number) => wholeMoneyWords(money.minor / usableTb, money.currency);
  const sorted = [...ways].sort((a, b) =>
    order === 'usable'
      ? b.told.usableTb - a.told.usableTb
      : b.told.any - a.told.any || b.told.usableTb - a.told.usableTb,
  );
  const shown = isWhole ? sorted : sorted.filter((way, i) => i < SHOWN || way.key === now);
  return (
    <div>
      <p className="no-print flex items-center gap-3 text-[13px] text-mid">
        First{' '}
        {(
          [
            ['any', 'what survives most'],
            ['usable', 'what holds most'],
          ] as const
        ).map(([one, words]) => (
          <button
            key={one}
            type="button"
            className={`plain min-h-7 ${order === one ? 'font-semibold text-ink' : 'underline'}`}
            aria-pressed={order === one}
            onClick={() => setOrder(one)}
          >
            {words}
          </button>
        ))}
      </p>
      <table className="w-full border-collapse text-[12.5px]">
        <thead className="text-mid">
          <tr>
            <th className="py-1 text-left font-normal">Layout</th>
            <th className="py-1 text-right font-normal">usable</th>
            <th className="hidden py-1 pl-2 text-right font-normal xl:table-cell">a TB</th>
            <th className="py-1 pl-2 text-right font-normal">may fail</th>
            <th className="hidden py-1 pl-2 text-right font-normal xl:table-cell">read, write MB/s</th>
            <th className="hidden py-1 pl-2 text-right font-normal xl:table-cell">small, a second</th>
            <th className="py-1 pl-2 text-right font-normal">rebuild</th>
            <th className="py-1 pl-2 text-right font-normal max-[560px]:hidden">lost in a year</th>
            <th>
              <span className="sr-only">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((way) => {
            const { told } = way;
            const isNow = way.key === now;
            return (
              <tr key={way.key} className="border-t border-dotted border-line align-top" data-way={way.key}>
                <th className={`py-1 pr-2 text-left ${isNow ? 'font-semibold' : 'font-normal'}`}>{wayName(way)}</th>
                <td className="mono py-1 text-right font-medium whitespace-nowrap">
                  {tb(told.usableTb)}
                  <span className="block text-[12px] font-normal text-mid">
                    {Math.round((100 * told.usableTb) / told.rawTb)} %
                  </span>
                </td>
                <td className="mono hidden py-1 pl-2 text-right whitespace-nowrap xl:table-cell">
                  {price(told.usableTb)}
                  <span className="block text-mid">{(idleW / told.usableTb).toFixed(1)} W</span>
                </td>
                <td className={`py-1 pl-2 text-right whitespace-nowrap ${told.any === 0 ? 'bad' : ''}`}>
                  {told.any === 0 ? 'none' : `any ${told.any}`}
                  {told.lucky > told.any && <span className="block text-mid">best {told.lucky}</span>}
                </td>
                <td className="mono hidden py-1 pl-2 text-right whitespace-nowrap xl:table-cell">
                  {Math.round(told.readMBps).toLocaleString('en')}
                  <span className="block text-mid">{Math.round(told.writeMBps).toLocaleString('en')}</span>
                </td>
                <td className="mono hidden py-1 pl-2 text-right xl:table-cell">
                  {Math.round(told.readIops).toLocaleString('en')}
                  <span className="block text-mid">{Math.round(told.writeIops).toLocaleString('en')}</span>
                </td>
                <td className="mono py-1 pl-2 text-right whitespace-nowrap">{hoursWords(told.rebuildH)}</td>
                <td className="py-1 pl-2 text-right whitespace-nowrap max-[560px]:hidden">
                  {oneIn(told.lossAYear.together)}
                  {oneIn(told.lossAYear.apart) !== oneIn(told.lossAYear.together) && (
                    <span className="block text-mid">{oneIn(told.lossAYear.apart)}</span>
                  )}
                </td>
                <td className="py-0.5 pl-2 text-right">
                  {isNow ? (
                    <span className="text-mid">in place</span>
                  ) : (
                    <button
                      type="button"
                      className="press no-print"
                      aria-label={`Take ${wayName(way)}`}
                      onClick={() => onTake(way)}
                    >
                      Take
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {sorted.length > SHOWN && (
        <button
          type="button"
          className="plain no-print min-h-6 text-[13px] underline"
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? 'Fewer' : `All ${sorted.length}`}
        </button>
      )}
      <p className="text-[12.5px] text-mid">
        A TB: price and idle watts of the whole machine by what is usable. MB/s and rebuilds go through the cards and
        links of this machine, before its network; small reads and writes are what the drives give. Lost in a year: by
        drives that fail ten times as often beside a failed one, and below it each by itself; no better than that, and
        no word of fire, theft and mistakes: a copy elsewhere outranks every layout.
      </p>
    </div>
  );
}
