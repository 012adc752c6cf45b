import type { Build } from '../../build/build';
import { ofKind } from '../../machine/units';
import type { UnitId } from '../../parts/ids';
import type { FigureContext } from '../context';
import { Ledger, rangedOf, type Ranged } from '../quantity';
import { draw, type DrawLine } from './draw';
import { spinsUp } from './spinsUp';
import { feedLossW, mainsFactor } from './supplyLoss';
import { feedLoadW, lowShareOf } from './wall';
import { weightsOf, yearOf } from './year';

/** What a year goes without some like parts, with what the supply loses less for them: kWh and minor units. */
export type YearPart = {
  readonly label: string;
  readonly units: readonly UnitId[];
  readonly kwh: Ranged;
  readonly costMinor: Ranged;
};

/**
 * Every class of parts by what the year is cheaper without it, the dearest first. They do not add up to the whole: what
 * a supply loses without load goes with none of them.
 */
export function yearParts(context: FigureContext, profile: Build['profile'], tariff: Build['tariff']): YearPart[] {
  const { hours, money } = weightsOf(context, profile, tariff);
  const ledger = new Ledger(false);
  const parts = new Map<string, { label: string; units: readonly UnitId[]; kwh: Ranged; costMinor: Ranged }>();
  for (const state of Object.keys(hours) as (keyof typeof hours)[]) {
    if (state === 'off') continue;
    for (const line of draw(context, state, ledger)) {
      const watts = withoutW(context, line, state, ledger);
      const { part, feed, units } = line.of;
      const isAwake = units.length === 0;
      const key = `${part.id}|${feed.key}|${isAwake}`;
      const had = parts.get(key);
      parts.set(key, {
        label: isAwake
          ? 'Processor kept from deep idle by a card'
          : units.length > 1
            ? `${units.length} × ${part.name}`
            : part.name,
        units: units.map(({ id }) => id),
        kwh: added(had?.kwh, watts, (hours[state] ?? 0) / 1000),
        costMinor: added(had?.costMinor, watts, (money[state] ?? 0) / 1000),
      });
    }
  }
  return [...parts.values()].filter(({ kwh }) => kwh.value > 0).sort((a, b) => b.kwh.value - a.kwh.value);
}

const added = (had: Ranged | undefined, watts: Ranged, weight: number): Ranged => ({
  value: (had?.value ?? 0) + weight * watts.value,
  lo: (had?.lo ?? 0) + weight * watts.lo,
  hi: (had?.hi ?? 0) + weight * watts.hi,
});

/** W at the wall that go with a line: its own, and what its supply loses less without it. */
function withoutW(
  context: FigureContext,
  { watts, of }: DrawLine,
  state: Parameters<typeof feedLoadW>[2],
  ledger: Ledger,
): Ranged {
  const own = rangedOf(watts);
  const { feed } = of;
  const load = feedLoadW(context, feed, state, ledger)?.value ?? 0;
  if (!feed.supply || own.value <= 0) return own;
  const low = lowShareOf(context, feed, state);
  const lossW = (inside: number) => mainsFactor(context.site.mainsV).likely * feedLossW(feed, inside, low);
  const times = (own.value + lossW(load) - lossW(Math.max(0, load - own.value))) / own.value;
  return { value: own.value * times, lo: own.lo * times, hi: own.hi * times };
}

/** What letting the drives sleep in the idle hours of the days would save in a year, and how often they would start. */
export type YearAsleep = { readonly kwh: number; readonly costMinor: number; readonly starts: number };

/** Null without disks that spin, without idle hours, and where nothing is saved. */
export function yearAsleep(
  context: FigureContext,
  profile: Build['profile'],
  tariff: Build['tariff'],
): YearAsleep | null {
  if (!ofKind(context.running, 'drive').some(({ part }) => spinsUp(part))) return null;
  const sleeping = (day: Build['profile']['weekday']) =>
    day.map((state) => (state === 'idle' ? 'asleep' : state)) as Build['profile']['weekday'];
  const other = { ...profile, weekday: sleeping(profile.weekday), weekend: sleeping(profile.weekend) };
  const [is, would] = [yearOf(context, profile, tariff), yearOf(context, other, tariff)];
  if (!is || !would) return null;
  const kwh = is.kwh.value - would.kwh.value;
  if (kwh < 1) return null;
  const starts = (5 * wakings(other.weekday) + 2 * wakings(other.weekend)) * (365.25 / 7);
  return { kwh, costMinor: is.costMinor.value - would.costMinor.value, starts: Math.round(starts) };
}

/** Times a day that goes round its drives wake. */
const wakings = (day: Build['profile']['weekday']): number =>
  day.filter((state, i) => state !== 'asleep' && state !== 'off' && day.at(i - 1) === 'asleep').length;
