import type { BoxPower, Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { changeWords, numbersWithin, wholeMoneyWords } from '../../words/format';
import type { SupplyPointRow, SupplyRow } from '../../worker/messages';
import { useSearched } from '../../worker/useSearched';
import { SupplyCurve } from './SupplyCurve';

/** Is the supply of a box too large or too small, and would another lose less in a year of this machine? */
export function SupplyPane({ box, build }: { readonly box: BoxPower; readonly build: Build }) {
  const { supply, states } = box;
  const unit = supply?.unit;
  const choice = useSearched(unit ? (searcher) => searcher.supplies(unit) : null, unit);
  const dispatch = useAppDispatch();
  if (!supply) return null;
  const idle = states.find(({ state }) => state === 'idle')?.loadShare ?? 0;
  const peak = states.find(({ state }) => state === 'peak')?.loadShare ?? 0;
  const take = (row: SupplyPointRow) => void dispatch(edit(row.edits, row.title));
  return (
    <section aria-label={`Another supply than ${supply.name}`} className="no-print mt-2 text-[13px]">
      <p>{sizeWords(idle, peak, box.startShare)}</p>
      {choice === null ? (
        <p className="text-mid">Looking for one that loses less …</p>
      ) : choice === 'late' ? (
        <p className="text-mid">Whether another loses less could not be worked out in time.</p>
      ) : (
        <>
          {choice.offers.length === 0 ? (
            <p className="text-mid">None on sale that fits surely loses less in a year.</p>
          ) : (
            <ul className="mt-1 flex flex-col gap-1">
              {choice.offers.map((row) => (
                <li key={row.name}>
                  <button
                    type="button"
                    className="press w-full py-1 text-left leading-tight font-normal"
                    onClick={() => take(row)}
                  >
                    {row.costs.length > 0 && (
                      <span className="block text-[12.5px] text-warn">
                        {row.costs.map(({ what }) => what).join(' ')}
                      </span>
                    )}
                    <span className="block font-medium">{row.title}</span>
                    <span className="mono block text-[11.5px] text-mid">{offerWords(row, build)}</span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          <SupplyCurve choice={choice} build={build} take={take} />
        </>
      )}
    </section>
  );
}

const LARGE = 0.1;
const FULL = 0.8;

function sizeWords(idle: number, peak: number, start: number): string {
  const at = `Idle takes ${Math.round(idle * 100)} % of it, everything at its most ${Math.round(peak * 100)} %`;
  if (Math.max(peak, start) > FULL) return `${at}: little is left, a larger one would have more to give.`;
  return idle < LARGE
    ? `${at}: it is large for this machine, and loses most where it idles.`
    : `${at}: its size suits.`;
}

function offerWords(row: SupplyRow, build: Build): string {
  const money = (minor: number) => wholeMoneyWords(minor, build.tariff.currency);
  const number = numbersWithin(row.savesKwh.lo, row.savesKwh.hi);
  const price = changeWords('cost.now', row.delta['cost.now'] ?? 0);
  const noise = changeWords('sound.earIdleDb', row.delta['sound.earIdleDb'] ?? 0);
  return [
    `saves ${money(row.savesMinor.value)} a year (${money(row.savesMinor.lo)} to ${money(row.savesMinor.hi)})`,
    `${number(row.savesKwh.value)} kWh`,
    price ? `price ${price} ${build.currency}` : 'price the same',
    ...(noise ? [`${noise} dB(A)`] : []),
  ].join(' · ');
}
