import { useState } from 'react';
import type { Build, Power } from '@inch-tower/core';
import { numbersWithin, wholeMoneyWords } from '../../words/format';

const SHOWN = 6;

/** What the year is cheaper without each class of parts, and what drives asleep in idle hours would save. */
export function YearParts({ power, build }: { readonly power: Power; readonly build: Build }) {
  const [isWhole, setWhole] = useState(false);
  const { yearParts: parts, yearAsleep: asleep } = power;
  const money = (minor: number) => wholeMoneyWords(minor, build.tariff.currency);
  if (parts.length === 0) return null;
  return (
    <section aria-labelledby="year-parts" className="mt-3 break-inside-avoid">
      <h3 id="year-parts" className="text-[13px] font-semibold">
        Cheaper a year without
      </h3>
      <table className="mt-1 w-full border-collapse text-[13px]">
        <tbody>
          {(isWhole ? parts : parts.slice(0, SHOWN)).map(({ label, units, kwh, costMinor }) => (
            <tr key={`${label}${units[0] ?? ''}`} className="border-t border-dotted border-line">
              <th className="py-1 pr-2 text-left font-normal">{label}</th>
              <td className="mono w-[72px] py-1 text-right font-medium">{money(costMinor.value)}</td>
              <td className="mono w-[76px] py-1 text-right text-[12px] text-mid">
                {numbersWithin(kwh.lo, kwh.hi)(kwh.value)} kWh
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {parts.length > SHOWN && (
        <button
          type="button"
          className="plain no-print min-h-6 text-[13px] underline"
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? 'Fewer' : `${parts.length - SHOWN} more`}
        </button>
      )}
      {asleep && (
        <p className="mt-1.5 text-[13px]" data-testid="asleep">
          Drives asleep in the idle hours would save {money(asleep.costMinor)} and {Math.round(asleep.kwh)} kWh a year,
          {asleep.starts > 0
            ? ` for about ${asleep.starts} starts of each drive.`
            : ' and never wake for work by this day; whoever asks wakes them all the same.'}
        </p>
      )}
    </section>
  );
}
