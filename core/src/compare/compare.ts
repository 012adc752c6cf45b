import { createAssessor, type Assessment, type AssessOptions } from '../assess';
import { runningOf } from '../bill/running';
import type { Build } from '../build/build';
import type { FigureContext } from '../figures/context';
import { hottestDriveC } from '../figures/air/temperatures';
import { costNow } from '../figures/cost/money';
import { usableTb } from '../figures/pool/capacity';
import { yearSums } from '../figures/power/year';
import { peakWallW, wallW } from '../figures/power/wall';
import { Ledger, rangedOf, rangeOfQuantity, type Quantity, type Ranged } from '../figures/quantity';
import { earIdleDb } from '../figures/sound/ear';
import { filledMassG } from '../figures/weight';
import { clientRates } from '../flow/flows';
import { flowTold, type FlowTold } from '../flow/flowTold';
import { rateQuantity } from '../flow/rateQuantity';
import { ofKind } from '../machine/units';
import { minorPerMajor, rateOf } from '../parts/currency';
import { poolTold, type PoolSeen } from '../pool/poolTold';
import { verdictOf } from '../verdict';
import { wiringFor } from '../wiring/wiring';
import { joined } from './joined';
import { outlinesOf, type Outline } from './outline';
import { wishesMet, type WishRow } from './wishes';

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
/**
 * When a dearer machine has paid for itself by a lower electricity bill, in years: after the first of the two where
 * `isFirst`. `latest` is null where it may never.
 */
export type Payback = {
  readonly isFirst: boolean;
  readonly dearer: number;
  readonly savesAYear: number;
  readonly years: number;
  readonly soonest: number;
  readonly latest: number | null;
};

export type Comparison = {
  /** The boxes of each machine, to be drawn at one scale. */ readonly drawn: readonly (readonly Outline[])[];
  /** Of each against the first; null where neither pays back. */ readonly paybacks: readonly (Payback | null)[];
  readonly machines: readonly { readonly id: string; readonly name: string; readonly currency: string }[];
  readonly rows: readonly ComparedRow[];
  /** Money is not compared where machines are reckoned in different currencies. */ readonly isOneCurrency: boolean;
  /** How each meets the wishes of the first one's brief. */ readonly wishes: readonly WishRow[];
};

export type Value = { readonly quantity: Quantity; readonly words?: string };
export type Values = Readonly<Record<ComparedBy, Value | null>>;
/** A machine, or several that are held against others together. */
export type Column = Build | readonly Build[];
const isSeveral = (column: Column): column is readonly Build[] => Array.isArray(column);

type Valued = { readonly values: Values; readonly drawn: readonly Outline[] };
const YEARS = 5;

function valuedOf(build: Build, options: AssessOptions): Valued {
  const assessor = createAssessor();
  const assessment = assessor.assess(build, options);
  const context = assessor.context(build);
  const ledger = new Ledger(false);
  const as = (quantity: Quantity | null): Value | null => quantity && { quantity };
  const exact = (by: ComparedBy, value: number | null | undefined, range?: { lo: number; hi: number }): Value | null =>
    value === null || value === undefined ? null : as(ledger.given(`${by} of ${build.id}`, value, '', range));
  const price = costNow(context, ledger);
  const usable = usableTb(context, ledger);
  const { kwh, costMinor } = yearSums(context, build.profile, build.tariff, ledger);
  const rate = rateOf(context, build.tariff.currency);
  const money =
    costMinor && rate !== null
      ? ledger.times('A year', costMinor, (rate * build.copies) / minorPerMajor(build.tariff.currency))
      : null;
  const { drives, batteries } = runningOf(context, build);
  const wear = ledger.given(`wear of ${build.id}`, YEARS * (drives.money + batteries.money), build.currency);
  const pool = poolTold(context);
  const told = flowTold(context, wiringFor(build, assessment));
  const flow = told.pools[0]?.flow;
  const rates = flow && clientRates(flow).rates;
  const { rackUnits, volumeL, massKg } = sizeOf(context);
  const values: Values = {
    verdict: standing(assessment, exact),
    usableTb: as(usable),
    failures: exact('failures', pool.sets.length > 0 ? pool.all.any : null),
    priceNow: as(price),
    perTb:
      price && usable && usable.value > 0
        ? as(ledger.map('A usable TB', build.currency, [price, usable], 'price / TB', (all, tb) => all / tb))
        : null,
    fiveYears:
      price && money
        ? as(ledger.sum('Five years', build.currency, [price, ledger.times('Electricity', money, YEARS), wear]))
        : null,
    moneyYear: as(money),
    kwhYear: as(kwh && ledger.times('A year', kwh, build.copies)),
    idleW: as(wallW(context, 'idle', ledger)),
    workingW: as(wallW(context, 'working', ledger)),
    peakW: as(peakWallW(context, ledger)),
    earDb: as(earIdleDb(context, ledger)),
    hottestC: as(hottestDriveC(context, ledger)),
    readMBps: rates ? as(rateQuantity('Read', rates.reading, context.units, ledger)) : null,
    writeMBps: rates ? as(rateQuantity('Written', rates.writing, context.units, ledger)) : null,
    rebuildH: as(rebuildQuantity(pool, told, ledger)),
    room: exact('room', assessment.figures['drives.room']?.value),
    rackUnits: exact('rackUnits', rackUnits),
    volumeL: exact('volumeL', volumeL),
    massKg: exact('massKg', massKg?.value, massKg ?? undefined),
  };
  return { values, drawn: outlinesOf(assessment) };
}

/** How much of a link or a drive in use a rebuild gets differs from pool to pool, and alike for two of one. */
const REBUILD_RANGE = { lo: 0.75, hi: 1.5 };
function rebuildQuantity({ sets, all }: PoolSeen, { rebuilds }: FlowTold, ledger: Ledger): Quantity | null {
  const hours = Math.max(all.rebuildH, ...sets.map(({ set }) => rebuilds.get(set.id)?.hours ?? 0));
  return hours > 0
    ? ledger.times('Rebuild', ledger.given('what a rebuild gets', 1, '', REBUILD_RANGE), hours, 'largest set')
    : null;
}

/** Blockers outweigh what is missing, that outweighs cautions; the words say it all. */
function standing(assessment: Assessment, exact: (by: ComparedBy, value: number) => Value | null): Value | null {
  const count = (severity: string) => assessment.snags.filter((snag) => snag.severity === severity).length;
  const value = exact('verdict', 10_000 * count('blocker') + 100 * assessment.open.length + count('caution'));
  return value && { ...value, words: verdictOf(assessment).words };
}

/** All boxes of a machine that have a place together; nulls without any, or without one for a rack. */
function sizeOf(context: FigureContext) {
  const boxes = ofKind(context.units, 'chassis').filter(({ id }) => context.layout.at[id]);
  const sum = (of: (box: (typeof boxes)[number]) => number) => boxes.reduce((all, box) => all + of(box), 0);
  if (boxes.length === 0) return { rackUnits: null, volumeL: null, massKg: null };
  const mass = new Map(boxes.map((box) => [box, filledMassG(context, box)]));
  const kg = (end: 'value' | 'lo' | 'hi') => sum((box) => mass.get(box)![end] / 1000);
  return {
    rackUnits: boxes.some(({ part }) => part.rackUnits !== null) ? sum(({ part }) => part.rackUnits ?? 0) : null,
    volumeL: sum(({ part }) => part.widthMm * part.heightMm * part.depthMm) / 1e6,
    massKg: { value: kg('value'), lo: kg('lo'), hi: kg('hi') },
  };
}

const MONEY: ReadonlySet<ComparedBy> = new Set(['priceNow', 'perTb', 'fiveYears', 'moneyYear']);

/**
 * Machines side by side. The difference to the first is reckoned fact by fact, so that what both rest on cancels; where
 * its range holds zero they cannot be told apart (JCGM 100, 5.2).
 */
export function compareBuilds(columns: readonly Column[], options: AssessOptions): Comparison {
  const builds = columns.map((column): readonly Build[] => (isSeveral(column) ? column : [column]));
  const isOneCurrency = new Set(builds.flat().map(({ currency }) => currency)).size < 2;
  const ledger = new Ledger(false);
  const all = builds.map((own): Valued => {
    const each = own.map((build) => valuedOf(build, options));
    const [first] = each;
    return first && each.length === 1
      ? first
      : {
          values: joined(
            each.map(({ values }) => values),
            own[0]?.currency ?? '',
            ledger,
          ),
          drawn: each.flatMap(({ drawn }) => drawn),
        };
  });
  const rows = rowsOf(
    all.map(({ values }) => values),
    isOneCurrency,
    ledger,
  );
  return {
    drawn: all.map(({ drawn }) => drawn),
    paybacks: builds.map((_, i) => paybackOf(rows, i)),
    rows,
    machines: builds.map((own) => ({
      id: own.map(({ id }) => id).join('+'),
      name: own.map(({ name }) => name).join(' and '),
      currency: own[0]?.currency ?? '',
    })),
    isOneCurrency,
    wishes: wishesMet(
      builds,
      all.map(({ values }) => values),
      options,
    ),
  };
}

/** Both differences to the first are known to the sign, and the one outweighs the other in time. */
function paybackOf(rows: readonly ComparedRow[], at: number): Payback | null {
  const more = (by: ComparedBy) => rows.find((row) => row.by === by)?.cells[at]?.more ?? null;
  const [price, year] = [more('priceNow'), more('moneyYear')];
  if (!price || !year || price.value === 0 || price.value * year.value >= 0) return null;
  const isFirst = price.value < 0;
  const ends = ({ value, lo, hi }: Ranged, sign: number) => ({
    value: sign * value,
    lo: Math.min(sign * lo, sign * hi),
    hi: Math.max(sign * lo, sign * hi),
  });
  const [dearer, saves] = [ends(price, isFirst ? -1 : 1), ends(year, isFirst ? 1 : -1)];
  return {
    isFirst,
    dearer: dearer.value,
    savesAYear: saves.value,
    years: dearer.value / saves.value,
    soonest: Math.max(0, dearer.lo) / saves.hi,
    latest: saves.lo > 0 ? dearer.hi / saves.lo : null,
  };
}

function rowsOf(values: readonly Values[], isOneCurrency: boolean, ledger: Ledger): ComparedRow[] {
  return COMPARED.filter((by) => values.some((one) => one[by])).map((by): ComparedRow => {
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
  });
}

function againstOf({ value, lo, hi }: Ranged, better: 'more' | 'less'): Against {
  if (Math.abs(value) < 1e-9 && hi - lo < 1e-9) return 'equal';
  if (lo <= 0 && hi >= 0) return 'same';
  return value > 0 === (better === 'more') ? 'better' : 'worse';
}
