import type { Build } from '../build/build';
import type { FigureContext } from '../figures/context';
import { anewCost, moneyLines } from '../figures/cost/money';
import { yearOf } from '../figures/power/year';
import { Ledger, type Ranged } from '../figures/quantity';
import { ofKind, type PlannedUnit } from '../machine/units';
import { minorPerMajor, rateOf } from '../parts/currency';
import { agedAfrPct } from '../pool/risk';

/** What a year of the machine costs besides its price, in major units of the build's currency. */
export type Running = {
  /** Null where nothing draws, or the tariff is in a currency without a rate. */ readonly energy: Ranged | null;
  readonly kwh: Ranged | null;
  /** Drives that fail in a year on the average, and what as many new ones cost. */
  readonly drives: { readonly aYear: number; readonly money: number };
  /** Batteries of UPS, each by its years and a typical share of the UPS's price. */
  readonly batteries: { readonly count: number; readonly money: number };
};

/** Years a battery lasts at room temperature; typical. */
const BATTERY_YEARS = { leadAcid: 4, lithiumIron: 9 } as const;
/** A new battery costs so much of its UPS; typical. */
const BATTERY_SHARE = 0.3;

/** For all copies of the machine. Owned drives are replaced at what is typical of them. */
export function runningOf(context: FigureContext, build: Pick<Build, 'profile' | 'tariff'>): Running {
  const ledger = new Ledger(false);
  const { copies } = context;
  const year = yearOf(context, build.profile, build.tariff);
  const rate = rateOf(context, build.tariff.currency);
  const scaled = (of: Ranged, times: number): Ranged => ({
    value: of.value * times,
    lo: of.lo * times,
    hi: of.hi * times,
  });
  const each = new Map(
    moneyLines(context.units).map((line) => [
      line.item,
      anewCost(line, context, ledger) / (line.item.count ?? line.units.length),
    ]),
  );
  const anew = ({ item }: PlannedUnit): number => (item && each.get(item)) ?? 0;
  const failing = ofKind(context.units, 'drive').map((unit) => ({
    share: agedAfrPct(unit.part.annualFailurePct, unit.item ?? {}) / 100,
    money: anew(unit),
  }));
  const upses = ofKind(context.units, 'ups');
  return {
    energy:
      year && rate !== null ? scaled(year.costMinor, (copies * rate) / minorPerMajor(build.tariff.currency)) : null,
    kwh: year && scaled(year.kwh, copies),
    drives: {
      aYear: copies * failing.reduce((sum, { share }) => sum + share, 0),
      money: copies * failing.reduce((sum, { share, money }) => sum + share * money, 0),
    },
    batteries: {
      count: copies * upses.length,
      money:
        copies * upses.reduce((sum, unit) => sum + (BATTERY_SHARE * anew(unit)) / BATTERY_YEARS[unit.part.battery], 0),
    },
  };
}
