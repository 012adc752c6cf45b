import { Link } from 'react-router';
import type { Build, Power, Year } from '@inch-tower/core';
import { numbersWithin, wholeMoneyWords } from '../../words/format';
import { DayStrip } from './DayStrip';
import { YearParts } from './YearParts';

const HOURS_A_YEAR = 8766;
const WORDS = { off: 'off', asleep: 'asleep', idle: 'idle', working: 'at work', busy: 'busy' } as const;
const STATES = ['working', 'busy', 'idle', 'asleep', 'off'] as const;
/** Heat in BTU/h of a W. */
const BTU_PER_H = 3.412;

/** A year of the days as they are: kWh, money, and the heat that the room takes on the average. */
export function YearPane({
  year: { kwh, costMinor, hours, scrubHours },
  power,
  build,
}: {
  readonly year: Year;
  readonly power: Power;
  readonly build: Build;
}) {
  const number = numbersWithin(kwh.lo, kwh.hi);
  const whole = (minor: number) => wholeMoneyWords(minor, build.tariff.currency);
  const scrubs = build.profile.scrubsPerYear;
  const co2 = build.tariff.co2GramsPerKwh;
  const meanW = (kwh.value * 1000) / HOURS_A_YEAR;
  return (
    <section aria-labelledby="year" className="mt-4 break-inside-avoid border-t border-line pt-2">
      <h2 id="year" className="text-[15px] font-semibold">
        What is that a year?
      </h2>
      <p className="mt-0.5 text-[19px] font-semibold" data-testid="year">
        {whole(costMinor.value)} <span className="mono text-[13px] font-normal text-mid">{number(kwh.value)} kWh</span>
      </p>
      <p className="text-[13px] text-mid">
        From {whole(costMinor.lo)} to {whole(costMinor.hi)}, {number(kwh.lo)}–{number(kwh.hi)} kWh; prices as{' '}
        <Link className="underline" to={`/b/${build.id}/brief`}>
          in the brief
        </Link>
        .
      </p>
      <p className="mt-1 text-[13px]">
        {STATES.flatMap((state) => {
          const of = hours[state];
          return of ? [`${Math.round((of / HOURS_A_YEAR) * 100)} % ${WORDS[state]}`] : [];
        }).join(', ')}
        .
        {scrubHours > 0 &&
          ` ${scrubs} scrubs a year of a full pool, about ${Math.round(scrubHours)} h each, are in it.`}
      </p>
      <p className="text-[13px] text-mid">
        Into the room on the average {Math.round(meanW)} W, {Math.round(meanW * BTU_PER_H)} BTU/h.
        {co2 !== undefined && ` CO₂ ${number((kwh.value * co2) / 1000)} kg.`}
      </p>
      <DayStrip build={build} states={power.together} />
      <YearParts power={power} build={build} />
    </section>
  );
}
