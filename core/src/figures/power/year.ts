import type { Build } from '../../build/build';
import type { HOUR_STATES } from '../../build/states';
import type { FigureContext } from '../context';
import { Ledger, rangeOfQuantity, type Quantity } from '../quantity';
import { wallW } from './wall';

type HourState = (typeof HOUR_STATES)[number];
export type Ranged = { readonly value: number; readonly lo: number; readonly hi: number };
/** A year at the wall: kWh, money in minor units of the tariff, and hours a year in each state. */
export type Year = {
  readonly kwh: Ranged;
  readonly costMinor: Ranged;
  readonly hours: Readonly<Partial<Record<HourState, number>>>;
};

const DAYS = 365.25;
const WEEKDAYS = (DAYS * 5) / 7;
const WEEKEND_DAYS = DAYS - WEEKDAYS;

/** Minor units a kWh costs at an hour: the band that began last, round the clock. */
export function priceAt({ bands }: Build['tariff'], hour: number): number {
  const sorted = [...bands].sort((a, b) => a.fromHour - b.fromHour);
  return (sorted.findLast(({ fromHour }) => fromHour <= hour) ?? sorted.at(-1))?.minorPerKwh ?? 0;
}

/**
 * Energy and its price over a year of the profile's days, five weekdays to two of a weekend: the integral of the day.
 * Hours switched off count as nothing. Null where nothing draws.
 */
export function yearOf(context: FigureContext, profile: Build['profile'], tariff: Build['tariff']): Year | null {
  const hours: Partial<Record<HourState, number>> = {};
  const money: Partial<Record<HourState, number>> = {};
  for (const [days, states] of [
    [WEEKDAYS, profile.weekday],
    [WEEKEND_DAYS, profile.weekend],
  ] as const)
    for (const [hour, state] of states.entries()) {
      hours[state] = (hours[state] ?? 0) + days;
      money[state] = (money[state] ?? 0) + days * priceAt(tariff, hour);
    }
  const ledger = new Ledger(false);
  const over = (weights: Partial<Record<HourState, number>>, unit: string): Ranged | null => {
    const terms = (Object.entries(weights) as [HourState, number][]).flatMap(([state, weight]): Quantity[] => {
      const watts = state === 'off' ? null : wallW(context, state, ledger);
      return watts ? [ledger.times(state, watts, weight / 1000)] : [];
    });
    if (terms.length === 0) return null;
    const sum = ledger.sum('A year', unit, terms);
    return { value: sum.value, ...rangeOfQuantity(sum) };
  };
  const [kwh, costMinor] = [over(hours, 'kWh'), over(money, tariff.currency)];
  return kwh && costMinor && { kwh, costMinor, hours };
}
