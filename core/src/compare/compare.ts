import { createAssessor, type AssessOptions } from '../assess';
import { runningOf } from '../bill/running';
import type { Build } from '../build/build';
import type { FigureContext } from '../figures/context';
import { FIGURES } from '../figures/figures';
import { yearSums } from '../figures/power/year';
import { wallW } from '../figures/power/wall';
import { Ledger, rangedOf, rangeOfQuantity, type Quantity, type Ranged } from '../figures/quantity';
import { filledMassG } from '../figures/weight';
import { flowTold } from '../flow/flowTold';
import { ofKind } from '../machine/units';
import { minorPerMajor, rateOf } from '../parts/currency';
import { poolTold } from '../pool/poolTold';
import { verdictOf } from '../verdict';
import { wiringFor } from '../wiring/wiring';

/** What machines are compared by, in the order it is asked. */
const COMPARED = [
  'verdict',
  'usableTb',
  'failures',
  'priceNow',
  'perTb',
  'fiveYears',
  'moneyYear',
  'kwhYear',
  'idleW',
  'workingW',
  'peakW',
  'earDb',
  'hottestC',
  'readMBps',
  'writeMBps',
  'rebuildH',
  'room',
  'rackUnits',
  'volumeL',
  'massKg',
] as const;
export type ComparedBy = (typeof COMPARED)[number];

/** Whether more of it is better, less of it is, or neither can be said. */
const BETTER: Readonly<Record<ComparedBy, 'more' | 'less'>> = {
  verdict: 'less',
  usableTb: 'more',
  failures: 'more',
  priceNow: 'less',
  perTb: 'less',
  fiveYears: 'less',
  moneyYear: 'less',
  kwhYear: 'less',
  idleW: 'less',
  workingW: 'less',
  peakW: 'less',
  earDb: 'less',
  hottestC: 'less',
  readMBps: 'more',
  writeMBps: 'more',
  rebuildH: 'less',
  room: 'more',
  rackUnits: 'less',
  volumeL: 'less',
  massKg: 'less',
};

/** Against the first machine; `same`: not to be told apart within what is known; null without a number. */
export type Against = 'better' | 'worse' | 'equal' | 'same' | null;
export type Cell = Ranged & {
  /** Words in the place of the number. */ readonly words?: string;
  /** By how much it is more than the first, with the range of the difference. */ readonly more: Ranged | null;
  readonly against: Against;
};
export type ComparedRow = {
  readonly by: ComparedBy;
  readonly cells: readonly (Cell | null)[];
  /** Whether any machine surely differs from the first. */ readonly differs: boolean;
};
export type Comparison = {
  readonly machines: readonly { readonly id: string; readonly name: string; readonly currency: string }[];
  readonly rows: readonly ComparedRow[];
  /** Money is not compared where machines are reckoned in different currencies. */ readonly isOneCurrency: boolean;
};

type Value = { readonly quantity: Quantity; readonly words?: string };
const YEARS = 5;

function valuesOf(build: Build, options: AssessOptions): Readonly<Partial<Record<ComparedBy, Value>>> {
  const assessor = createAssessor();
  const assessment = assessor.assess(build, options);
  const context: FigureContext = assessor.context(build);
  const ledger = new Ledger(false);
  const { figures } = assessment;
  const exact = (value: number, unit: string, range?: { lo: number; hi: number }): Value => ({
    quantity: ledger.given(`of ${build.id}: ${unit}`, value, unit, range),
  });
  const as = (quantity: Quantity | null): Value | undefined => (quantity ? { quantity } : undefined);
  const price = FIGURES['cost.now'].compute(context as never, ledger);
  const { kwh, costMinor } = yearSums(context, build.profile, build.tariff, ledger);
  const rate = rateOf(context, build.tariff.currency);
  const year =
    costMinor && rate !== null
      ? ledger.times('A year', costMinor, (rate * build.copies) / minorPerMajor(build.tariff.currency))
      : null;
  const running = runningOf(context, build);
  const pool = poolTold(context);
  const flow = flowTold(context, wiringFor(build, assessment)).pools[0]?.flow;
  const boxes = ofKind(assessment.units, 'chassis').filter(({ id }) => assessment.layout.at[id]);
  const mass = boxes.map((box) => filledMassG(context, box));
  const usable = FIGURES['capacity.usableTb'].compute(context as never, ledger);
  const { words } = verdictOf(assessment);
  const count = (severity: string) => assessment.snags.filter((snag) => snag.severity === severity).length;
  const sum = (of: (one: (typeof mass)[number]) => number) => mass.reduce((all, one) => all + of(one), 0) / 1000;
  const rate1 = flow && (flow.one.reading.neck ? flow.one : flow.inside);
  return {
    verdict: { ...exact(1000 * count('blocker') + count('caution') + 100 * assessment.open.length, 'snags'), words },
    ...entry('usableTb', as(usable)),
    ...entry('failures', pool.sets.length > 0 ? exact(pool.all.any, 'drives') : undefined),
    ...entry('priceNow', as(price)),
    ...entry(
      'perTb',
      price && usable && usable.value > 0
        ? as(ledger.map('A usable TB', build.currency, [price, usable], 'price / TB', (money, tb) => money / tb))
        : undefined,
    ),
    ...entry(
      'fiveYears',
      price && year
        ? as(
            ledger.sum('Five years', build.currency, [
              price,
              ledger.times('Electricity', year, YEARS),
              ledger.given(
                `of ${build.id}: wear`,
                YEARS * (running.drives.money + running.batteries.money),
                build.currency,
              ),
            ]),
          )
        : undefined,
    ),
    ...entry('moneyYear', as(year)),
    ...entry('kwhYear', as(kwh && ledger.times('A year', kwh, build.copies))),
    ...entry('idleW', as(FIGURES['power.idleWallW'].compute(context as never, ledger))),
    ...entry('workingW', as(wallW(context, 'working', ledger))),
    ...entry('peakW', as(FIGURES['power.peakWallW'].compute(context as never, ledger))),
    ...entry('earDb', as(FIGURES['sound.earIdleDb'].compute(context as never, ledger))),
    ...entry('hottestC', as(FIGURES['air.hottestDriveC'].compute(context as never, ledger))),
    ...entry('readMBps', rate1 && exact(rate1.reading.mbPerS, 'MB/s')),
    ...entry('writeMBps', rate1 && exact(rate1.writing.mbPerS, 'MB/s')),
    ...entry('rebuildH', pool.all.rebuildH > 0 ? exact(pool.all.rebuildH, 'h') : undefined),
    ...entry('room', figures['drives.room'] && exact(figures['drives.room'].value, 'drives')),
    ...entry(
      'rackUnits',
      boxes.some(({ part }) => part.rackUnits !== null)
        ? exact(
            boxes.reduce((all, { part }) => all + (part.rackUnits ?? 0), 0),
            'U',
          )
        : undefined,
    ),
    ...entry(
      'volumeL',
      boxes.length > 0
        ? exact(boxes.reduce((all, { part }) => all + part.widthMm * part.heightMm * part.depthMm, 0) / 1e6, 'l')
        : undefined,
    ),
    ...entry(
      'massKg',
      boxes.length > 0
        ? exact(
            sum(({ value }) => value),
            'kg',
            { lo: sum(({ lo }) => lo), hi: sum(({ hi }) => hi) },
          )
        : undefined,
    ),
  };
}

const entry = <K extends ComparedBy>(by: K, value: Value | undefined): Partial<Record<ComparedBy, Value>> =>
  value ? { [by]: value } : {};

const MONEY: ReadonlySet<ComparedBy> = new Set(['priceNow', 'perTb', 'fiveYears', 'moneyYear']);

/**
 * Machines side by side. The difference to the first is reckoned fact by fact, so that what both rest on cancels; where
 * its range holds zero they cannot be told apart (JCGM 100, 5.2).
 */
export function compareBuilds(builds: readonly Build[], options: AssessOptions): Comparison {
  const values = builds.map((build) => valuesOf(build, options));
  const isOneCurrency = new Set(builds.map(({ currency }) => currency)).size < 2;
  const ledger = new Ledger(false);
  return {
    machines: builds.map(({ id, name, currency }) => ({ id, name, currency })),
    isOneCurrency,
    rows: COMPARED.filter((by) => values.some((one) => one[by])).map((by): ComparedRow => {
      const first = values[0]?.[by];
      const cells = values.map((one, i): Cell | null => {
        const own = one[by];
        if (!own) return null;
        const cell = { ...rangedOf(own.quantity), ...(own.words ? { words: own.words } : {}) };
        if (i === 0 || !first || (MONEY.has(by) && !isOneCurrency)) return { ...cell, more: null, against: null };
        const difference = ledger.sum('difference', own.quantity.unit, [
          own.quantity,
          ledger.times('less', first.quantity, -1),
        ]);
        const more = { value: difference.value, ...rangeOfQuantity(difference) };
        return { ...cell, more, against: againstOf(more, BETTER[by]) };
      });
      return { by, cells, differs: cells.some((cell) => cell?.against === 'better' || cell?.against === 'worse') };
    }),
  };
}

function againstOf({ value, lo, hi }: Ranged, better: 'more' | 'less'): Against {
  if (Math.abs(value) < 1e-9 && hi - lo < 1e-9) return 'equal';
  if (lo <= 0 && hi >= 0) return 'same';
  return value > 0 === (better === 'more') ? 'better' : 'worse';
}
