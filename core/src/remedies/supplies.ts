import type { AssessOptions, Assessor } from '../assess';
import type { Catalogue } from '../parts/catalogue';
import type { SheetId, UnitId } from '../parts/ids';
import { plannedUnits, unitsById } from '../machine/units';
import type { Figures } from '../figures/figures';
import type { YearLoss } from '../figures/power/year';
import type { Ranged } from '../figures/quantity';
import type { PartOf } from '../parts/resolve';
import { tryAt } from './tryAt';
import type { Base, Weighed } from './weigh';

/** What a supply loses in a year of this machine, kWh and money, and the noise at the ear with it. */
export type SupplyLoss = {
  readonly name: string;
  /** W of all its modules. */ readonly givesW: number;
  readonly lossKwh: Ranged;
  readonly lossMinor: Ranged;
  readonly earDb: number | null;
};
/** A supply in the place of one that is there. */
export type SupplyPoint = Weighed &
  SupplyLoss & {
    readonly sheet: SheetId;
    /** It has every plug, and gives less than the machine asks for. */ readonly isTooSmall: boolean;
  };
/** One that surely loses less than what is there: what it saves a year in kWh and money. */
export type SupplyOffer = SupplyPoint & { readonly savesKwh: Ranged; readonly savesMinor: Ranged };

/** What is there, every supply that would go there, the smallest first, and the best few that surely lose less. */
export type SupplyChoice = {
  readonly now: SupplyLoss | null;
  readonly all: readonly SupplyPoint[];
  readonly offers: readonly SupplyOffer[];
};

const MOST_OFFERS = 3;
const NONE: SupplyChoice = { now: null, all: [], offers: [] };
/** What a supply that is only too small is blocked by. */
const SIZE: ReadonlySet<string> = new Set(['powered.total', 'powered.start12V', 'powered.rails']);

/**
 * Supplies on sale that go where one is and block nothing but by their size, with what each loses in a year of this
 * machine. Offered are those that surely
 * lose less, block nothing and have as many modules; two supplies err apart, so what one saves has both their ranges.
 * Yields between weighings so that a caller can stop.
 */
export function* supplyOffers(
  base: Base,
  supply: UnitId,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<'weighing', SupplyChoice> {
  const seat = base.build.layout.at[supply]?.spot;
  const unit = unitsById(base.assessment.units).get(supply);
  const now = assessor.yearLoss(base.build, supply);
  if (!seat || unit?.part.kind !== 'supply' || !now) return NONE;
  const all: SupplyPoint[] = [];
  const offers: SupplyOffer[] = [];
  const candidates = Object.values(catalogue.sheets).filter(({ kind }) => kind === 'supply');
  for (const row of tryAt(base, { spot: seat, replace: true }, catalogue, assessor, options, candidates)) {
    yield 'weighing';
    if (!row.goes) continue;
    const { weighed } = row;
    const part = unitsById(plannedUnits(weighed.after)).get(supply)?.part;
    const then = assessor.yearLoss(weighed.after, supply);
    if (part?.kind !== 'supply' || !then) continue;
    const blocks = [...weighed.causes, ...weighed.worsens].filter(({ severity }) => severity === 'blocker');
    if (blocks.some(({ code }) => !SIZE.has(code))) continue;
    const isTooSmall = blocks.length > 0;
    const point = { ...weighed, ...lossOf(part, then, weighed.figures), sheet: row.sheet, isTooSmall };
    all.push(point);
    const savesKwh = less(now.kwh, then.kwh);
    if (isTooSmall || part.modules < unit.part.modules || savesKwh.lo <= 0) continue;
    offers.push({ ...point, savesKwh, savesMinor: less(now.costMinor, then.costMinor) });
  }
  return {
    now: lossOf(unit.part, now, base.assessment.figures),
    all: all.sort((a, b) => a.givesW - b.givesW),
    offers: offers.sort((a, b) => b.savesKwh.value - a.savesKwh.value).slice(0, MOST_OFFERS),
  };
}

const lossOf = (part: PartOf<'supply'>, loss: YearLoss, figures: Figures): SupplyLoss => ({
  name: part.name,
  givesW: part.ratedW * part.modules,
  lossKwh: loss.kwh,
  lossMinor: loss.costMinor,
  earDb: figures['sound.earIdleDb']?.value ?? null,
});

function less(was: Ranged, is: Ranged): Ranged {
  const value = was.value - is.value;
  const half = Math.hypot((was.hi - was.lo) / 2, (is.hi - is.lo) / 2);
  return { value, lo: value - half, hi: value + half };
}
