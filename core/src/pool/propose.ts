import { groupedBy } from '../lists';
import type { UnitOf } from '../machine/units';
import { LAYOUTS, type PoolSet, type SetLayout } from './layouts';

type Drive = UnitOf<'drive'>;
/** Drives in one set at most: more share one failure too many, and wait too long for each other. */
export const WIDEST: Readonly<Record<number, number>> = { 1: 8, 2: 12, 3: 16 };

/** How a list of drives is best cut into sets, what is left over, and the bytes for data. */
export type Grouping = {
  readonly sets: readonly { readonly layout: SetLayout; readonly drives: readonly Drive[] }[];
  readonly over: readonly Drive[];
  readonly dataBytes: number;
};

type Best = { readonly bytes: number; readonly count: number; readonly squares: number; readonly from: number };
const isBetter = (one: Omit<Best, 'from'>, other: Omit<Best, 'from'>): boolean =>
  one.bytes !== other.bytes
    ? one.bytes > other.bytes
    : one.count !== other.count
      ? one.count < other.count
      : one.squares < other.squares;

/**
 * The grouping with the most bytes for data of which any `failures` of a set may fail and no set is wider than
 * `widest`; of equals the one with the fewest sets, then of the most even widths. Exact: in some best grouping every
 * set is a run of the drives by size, since a smaller drive in a set can be changed for a larger one that is left out
 * or in a set of smaller ones.
 */
export function bestGrouping(drives: readonly Drive[], failures: number, widest = WIDEST[failures] ?? 12): Grouping {
  const sorted = [...drives].sort((a, b) => b.part.capacityBytes - a.part.capacityBytes);
  const least = failures + 1;
  const best: Best[] = [{ bytes: 0, count: 0, squares: 0, from: -1 }];
  for (let to = 1; to <= sorted.length; to++) {
    // A drive may stay over.
    let found: Best = { ...best[to - 1]!, from: to - 1 };
    const smallest = sorted[to - 1]!.part.capacityBytes;
    for (let width = least; width <= Math.min(widest, to); width++) {
      if (!layoutFor(failures, width)) continue;
      const before = best[to - width]!;
      const next = {
        bytes: before.bytes + (width - failures) * smallest,
        count: before.count + 1,
        squares: before.squares + width * width,
        from: to - width,
      };
      if (isBetter(next, found)) found = next;
    }
    best.push(found);
  }
  const sets: { layout: SetLayout; drives: readonly Drive[] }[] = [];
  const over: Drive[] = [];
  for (let to = sorted.length; to > 0; to = best[to]!.from) {
    const own = sorted.slice(best[to]!.from, to);
    const layout = own.length >= least ? layoutFor(failures, own.length) : null;
    const isSet = layout && best[to]!.count > best[best[to]!.from]!.count;
    if (isSet) sets.unshift({ layout, drives: own });
    else over.unshift(...own);
  }
  return { sets, over, dataBytes: best[sorted.length]!.bytes };
}

/** The layout of a set of so many drives of which any `failures` may fail; null for none. */
function layoutFor(failures: number, width: number): SetLayout | null {
  if (width === failures + 1) return failures === 1 ? 'mirror2' : failures === 2 ? 'mirror3' : null;
  const layout: SetLayout = failures === 1 ? 'parity1' : failures === 2 ? 'parity2' : 'parity3';
  return width >= LAYOUTS[layout].least ? layout : null;
}

/** So many failures are usual where a builder has said none: one up to four drives, two above. */
export const usualFailures = (drives: number): number => (drives <= 1 ? 0 : drives <= 4 ? 1 : 2);

/** Sets for drives that are in none: disks and flash apart, by the failures wished, or the usual ones. */
export function proposeSets(drives: readonly Drive[], failures: number | undefined): readonly Grouping[] {
  return [...groupedBy(drives, ({ part }) => part.medium).values()].map((own) => {
    const wished = failures ?? usualFailures(own.length);
    if (wished > 0) return bestGrouping(own, wished);
    return {
      sets: [{ layout: 'single' as const, drives: own }],
      over: [],
      dataBytes: own.reduce((sum, { part }) => sum + part.capacityBytes, 0),
    };
  });
}

/** A grouping as sets of a build, named `set1`, `set2` … past the names that are taken. */
export function asSets(groupings: readonly Grouping[], taken: readonly PoolSet[] = []): PoolSet[] {
  const names = new Set(taken.map(({ id }) => id));
  let next = 1;
  return groupings.flatMap(({ sets }) =>
    sets.map(({ layout, drives }): PoolSet => {
      while (names.has(`set${next}`)) next++;
      const id = `set${next++}`;
      return { id, layout, units: drives.map((drive) => drive.id) };
    }),
  );
}
