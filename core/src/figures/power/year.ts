import type { Build } from '../../build/build';
import type { HOUR_STATES } from '../../build/states';
import type { FigureContext } from '../context';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../quantity';
import type { Feed } from './feeds';
import { offWallW } from './off';
import { feedLossW, lossTolerance, mainsFactor } from './supplyLoss';
import { dataDrives } from '../../machine/roles';
import { feedLoadW, lowShareOf, wallW } from './wall';

type HourState = (typeof HOUR_STATES)[number];
/** A year at the wall: kWh, money in minor units of the tariff, and hours a year in each state. */
export type Year = {
  readonly kwh: Ranged;
  readonly costMinor: Ranged;
  readonly hours: Readonly<Partial<Record<HourState, number>>>;
  /** Hours that one scrub of a full pool takes; 0 where none is made. */ readonly scrubHours: number;
};

const DAYS = 365.25;
const WEEKDAYS = (DAYS * 5) / 7;
const WEEKEND_DAYS = DAYS - WEEKDAYS;

/** Minor units a kWh costs at an hour: the band that began last, round the clock. */
export function priceAt({ bands }: Build['tariff'], hour: number): number {
  const sorted = [...bands].sort((a, b) => a.fromHour - b.fromHour);
  return (sorted.findLast(({ fromHour }) => fromHour <= hour) ?? sorted.at(-1))?.minorPerKwh ?? 0;
}

type Weights = Partial<Record<HourState, number>>;

/** Hours a year in each state of the profile's days, five weekdays to two of a weekend, and what a kW in it costs. */
export function weightsOf(
  context: Pick<FigureContext, 'running'>,
  profile: Build['profile'],
  tariff: Build['tariff'],
): { readonly hours: Weights; readonly money: Weights } {
  const hours: Weights = {};
  const money: Weights = {};
  for (const [days, states] of [
    [WEEKDAYS, profile.weekday],
    [WEEKEND_DAYS, profile.weekend],
  ] as const)
    for (const [hour, state] of states.entries()) {
      hours[state] = (hours[state] ?? 0) + days;
      money[state] = (money[state] ?? 0) + days * priceAt(tariff, hour);
    }
  // A scrub is made in hours in which nobody asks, else in those of work: they are busy then, at their mean price.
  let left = profile.scrubsPerYear * scrubHours(context);
  for (const state of ['idle', 'asleep', 'working'] as const) {
    const had = hours[state] ?? 0;
    const taken = Math.min(left, had);
    if (taken <= 0) continue;
    const paid = ((money[state] ?? 0) * taken) / had;
    hours[state] = had - taken;
    money[state] = (money[state] ?? 0) - paid;
    hours.busy = (hours.busy ?? 0) + taken;
    money.busy = (money.busy ?? 0) + paid;
    left -= taken;
  }
  return { hours, money };
}

/** From its outside to its inside a disk gives this share of its sheet's MB/s in the mean. */
const MEAN_SPEED = 0.75;

/** Hours in which the slowest data drive is read once from end to end: how long a scrub of a full pool takes. */
const scrubHours = ({ running }: Pick<FigureContext, 'running'>): number =>
  dataDrives(running).reduce(
    (most, { part }) => Math.max(most, part.capacityBytes / (part.sequentialMBps * 1e6 * MEAN_SPEED) / 3600),
    0,
  );

/** What a feed turns to heat in such a year: kWh and minor units, with the range of its loss alone. */
export type YearLoss = { readonly kwh: Ranged; readonly costMinor: Ranged };

/** Null without a supply. */
export function yearLossOf(
  context: FigureContext,
  feed: Feed,
  profile: Build['profile'],
  tariff: Build['tariff'],
): YearLoss | null {
  if (!feed.supply) return null;
  const { hours, money } = weightsOf(context, profile, tariff);
  const ledger = new Ledger(false);
  const half = lossTolerance(feed);
  const over = (weights: Weights): Ranged => {
    const value = (Object.entries(weights) as [HourState, number][]).reduce((sum, [state, weight]) => {
      const load = state === 'off' ? null : feedLoadW(context, feed, state, ledger);
      if (state === 'off' || !load) return sum;
      const lossW = feedLossW(feed, load.value, lowShareOf(context, feed, state));
      return sum + (weight * mainsFactor(context.site.mainsV).likely * lossW) / 1000;
    }, 0);
    return { value, lo: value * (1 - half), hi: value * (1 + half) };
  };
  return { kwh: over(hours), costMinor: over(money) };
}

type YearSums = { readonly kwh: Quantity | null; readonly costMinor: Quantity | null };

/** Energy and its price over a year of the profile's days: the integral of the day; nulls where nothing draws. */
export function yearSums(
  context: FigureContext,
  profile: Build['profile'],
  tariff: Build['tariff'],
  ledger = new Ledger(false),
): YearSums {
  const { hours, money } = weightsOf(context, profile, tariff);
  const over = (weights: Weights, unit: string): Quantity | null => {
    const terms = (Object.entries(weights) as [HourState, number][]).flatMap(([state, weight]): Quantity[] => {
      const watts = state === 'off' ? offWallW(context, ledger) : wallW(context, state, ledger);
      return watts ? [ledger.times(state, watts, weight / 1000)] : [];
    });
    return terms.length === 0 ? null : ledger.sum('A year', unit, terms);
  };
  return { kwh: over(hours, 'kWh'), costMinor: over(money, tariff.currency) };
}

/** The same with its hours in each state. Null where nothing draws. */
export function yearOf(context: FigureContext, profile: Build['profile'], tariff: Build['tariff']): Year | null {
  const { hours } = weightsOf(context, profile, tariff);
  const { kwh, costMinor } = yearSums(context, profile, tariff);
  return (
    kwh &&
    costMinor && {
      kwh: rangedOf(kwh),
      costMinor: rangedOf(costMinor),
      hours,
      scrubHours: profile.scrubsPerYear > 0 ? scrubHours(context) : 0,
    }
  );
}
