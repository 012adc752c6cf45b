import { briefAt } from '../build/stageBrief';
import type { AssessOptions, Assessor } from '../assess';
import type { Edit } from '../build/edits';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import type { SheetId } from '../parts/ids';
import { minorPerMajor } from '../parts/currency';
import type { PartOf } from '../parts/resolve';
import { yearOf } from '../figures/power/year';
import { dataDrives } from '../machine/roles';
import { LAYOUTS, TERABYTE, type SetLayout } from '../pool/layouts';
import { asSets, bestGrouping, usualFailures, type Grouping } from '../pool/propose';
import { rebuildHours } from '../pool/risk';
import { holding, poolOf, type Drive } from '../pool/setsOf';
import { listed } from './guesses';
import { weigh, type Base, type Weighed } from './weigh';

/** So many of one drive that hold what is wished, as an edit that is weighed like any other. */
export type SizeRow = Weighed & {
  readonly sheet: SheetId;
  readonly name: string;
  readonly tb: number;
  readonly count: number;
  readonly layout: SetLayout;
  readonly widths: readonly number[];
  readonly rebuildH: number;
  /** Price with the electricity of five years, in the build's currency; null where the tariff is in another. */
  readonly fiveYears: number | null;
  readonly isNow: boolean;
};
export type Sizes = {
  readonly wishTb: number;
  readonly failures: number;
  /** The wish is the brief's; else it is what the pool holds now. */ readonly isWished: boolean;
  /** By capacity, the smallest first. */ readonly rows: readonly SizeRow[];
  /** Past this capacity a larger drive costs more over five years than it saves; null where that is not known. */
  readonly kneeTb: number | null;
};

const YEARS = 5;
/** More drives than that are not what a builder means by smaller ones. */
const MOST_DRIVES = 60;

/** How many of one drive hold so much with any `failures` of a set gone, and in which sets; null past `MOST_DRIVES`. */
export function countFor(part: PartOf<'drive'>, wishTb: number, failures: number): Grouping | null {
  for (let count = failures + 1; count <= MOST_DRIVES; count++) {
    const alike = Array.from({ length: count }, () => ({ part }) as Drive);
    const grouping: Grouping =
      failures === 0
        ? { sets: [{ layout: 'single', drives: alike }], over: [], dataBytes: count * part.capacityBytes }
        : bestGrouping(alike, failures);
    if (grouping.over.length === 0 && grouping.dataBytes >= wishTb * TERABYTE) return grouping;
  }
  return null;
}

/**
 * Number against size: for the room wished, every sort of drive on sale in the place of the data drives of now, with as
 * many as it takes. One of each capacity: the one in place, else the cheapest. Yields between weighings so that a
 * caller can stop.
 */
export function* sizesFor(
  base: Base,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<'weighing', Sizes> {
  const context = assessor.context(base.build);
  const data = dataDrives(context.units);
  const { sets, isProposed } = poolOf(context);
  const bytesOf = (medium: Drive['part']['medium']) =>
    data.reduce((sum, { part }) => sum + (part.medium === medium ? part.capacityBytes : 0), 0);
  const medium = data.length === 0 || bytesOf('disk') >= bytesOf('flash') ? 'disk' : 'flash';
  const own = data.filter(({ part }) => part.medium === medium);
  const mine = holding(sets).filter(({ drives }) => drives.every(({ part }) => part.medium === medium));
  const failures = context.failuresWished ?? (mine.length > 0 ? Math.min(...mine.map(({ any }) => any)) : 1);
  const now = mine.reduce((sum, { bytes }) => sum + bytes.data, 0) / TERABYTE;
  const { usableTb: wish } = briefAt(base.build);
  const wishTb = wish ?? now;
  const told = { wishTb, failures, isWished: wish !== undefined };
  const rows: SizeRow[] = [];
  if (wishTb <= 0) return { ...told, rows, kneeTb: null };
  const ids = new Set(own.map(({ id }) => id));
  const all = isProposed ? sets.map(({ set }) => set) : base.build.pool.sets;
  const kept = all.filter((set) => !set.units.some((id) => ids.has(id)));
  for (const part of onePerCapacity(own, catalogue, medium)) {
    const grouping = countFor(part, wishTb, failures);
    if (!grouping) continue;
    const count = grouping.sets.reduce((sum, one) => sum + one.drives.length, 0);
    const add = addItemEdit(base.build, catalogue, part.id, count);
    const edits: Edit[] = [
      ...(own.length > 0 ? [{ type: 'units.remove' as const, units: own.map(({ id }) => id) }] : []),
      add,
      // Sets are made where some are, or where what would be proposed survives something else.
      ...(base.build.pool.sets.length > 0 || (context.failuresWished === undefined && usualFailures(count) !== failures)
        ? [
            {
              type: 'set.pool' as const,
              value: { ...base.build.pool, sets: [...kept, ...namedSets(grouping, add.item.units, kept)] },
            },
          ]
        : []),
    ];
    const weighed = weigh(base, edits, assessor, options);
    yield 'weighing';
    if (!weighed.ok) continue;
    rows.push({
      ...weighed,
      sheet: part.id,
      name: part.name,
      tb: part.capacityBytes / TERABYTE,
      count,
      layout: grouping.sets[0]!.layout,
      widths: grouping.sets.map((one) => one.drives.length),
      rebuildH: failures > 0 && LAYOUTS[grouping.sets[0]!.layout].spare > 0 ? rebuildHours(part) : 0,
      fiveYears: fiveYears(weighed, assessor),
      isNow: own.length === count && own.every((drive) => drive.part.id === part.id),
    });
  }
  return { ...told, rows, kneeTb: kneeOf(rows) };
}

/** Drives of the same form as those of now, one of each capacity, the smallest first; none that is shingled. */
function onePerCapacity(
  own: readonly Drive[],
  catalogue: Catalogue,
  medium: Drive['part']['medium'],
): readonly PartOf<'drive'>[] {
  const size = own[0]?.part.size ?? '3.5';
  const found = new Map<number, PartOf<'drive'>>();
  for (const { part } of own) if (catalogue.sheets[part.id]) found.set(part.capacityBytes, part);
  for (const part of listed(catalogue, 'drive')) {
    const isAlike = part.medium === medium && part.size === size && part.price && !part.shingled;
    if (isAlike && !found.has(part.capacityBytes)) found.set(part.capacityBytes, part);
  }
  return [...found.values()].sort((a, b) => a.capacityBytes - b.capacityBytes);
}

/** The sets of a grouping with the units that are added, in order. */
function namedSets(
  grouping: Grouping,
  units: readonly { readonly id: Drive['id'] }[],
  taken: Parameters<typeof asSets>[1],
): ReturnType<typeof asSets> {
  let at = 0;
  const real = grouping.sets.map((set) => {
    const drives = set.drives.map(({ part }, i) => ({ part, id: units[at + i]!.id }) as Drive);
    at += set.drives.length;
    return { layout: set.layout, drives };
  });
  return asSets([{ ...grouping, sets: real }], taken);
}

function fiveYears({ after, figures }: Weighed, assessor: Assessor): number | null {
  const price = figures['cost.now'];
  const year = yearOf(assessor.context(after), after.profile, after.tariff);
  if (!price || !year || after.tariff.currency !== after.currency) return null;
  // The price is of all copies already.
  return price.value + (YEARS * after.copies * year.costMinor.value) / minorPerMajor(after.currency);
}

/** The capacity that costs least over five years, of those that block nothing. */
function kneeOf(rows: readonly SizeRow[]): number | null {
  const blocks = ({ causes, worsens }: SizeRow) =>
    [...causes, ...worsens].some(({ severity }) => severity === 'blocker');
  const known = rows.filter((row) => row.fiveYears !== null && !blocks(row));
  if (known.length < 2) return null;
  const least = known.reduce((a, b) => (b.fiveYears! < a.fiveYears! ? b : a));
  return least.tb;
}
