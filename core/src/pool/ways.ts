import { groupsOf, LAYOUTS, TERABYTE, type PoolSet, type SetLayout } from './layouts';
import { asSets, bestGrouping, WIDEST, type Grouping } from './propose';
import { lossOfAny } from './risk';
import { holding as holdingOf, leastBytes, likelyBytes, setOf, type Drive, type SetTold } from './setsOf';

/** All sets of a pool together: striped, so that one lost is all lost. */
export type PoolTold = {
  readonly usableTb: number;
  /** With what padding of records and the file system may take. */ readonly leastTb: number;
  readonly rawTb: number;
  readonly redundancyTb: number;
  readonly wastedTb: number;
  readonly any: number;
  readonly lucky: number;
  readonly readMBps: number;
  readonly writeMBps: number;
  readonly readIops: number;
  readonly writeIops: number;
  readonly rebuildH: number;
  readonly lossAYear: { readonly apart: number; readonly together: number };
};

const sum = <T>(list: readonly T[], of: (one: T) => number): number => list.reduce((all, one) => all + of(one), 0);

export function together(sets: readonly SetTold[], loose: readonly Drive[] = []): PoolTold {
  const holding = holdingOf(sets);
  const looseTb = sum(loose, ({ part }) => part.capacityBytes) / TERABYTE;
  // Striped over several sets every one of them gives as much as the slowest.
  const slowest = (of: (one: SetTold) => number) =>
    holding.length === 0 ? 0 : holding.length * Math.min(...holding.map(of));
  return {
    usableTb: sum(sets, likelyBytes) / TERABYTE,
    leastTb: sum(sets, leastBytes) / TERABYTE,
    rawTb: sum(sets, ({ bytes }) => bytes.data + bytes.redundancy + bytes.wasted) / TERABYTE + looseTb,
    redundancyTb: sum(sets, ({ bytes }) => bytes.redundancy) / TERABYTE,
    wastedTb: sum(sets, ({ bytes }) => bytes.wasted) / TERABYTE + looseTb,
    any: holding.length === 0 ? 0 : Math.min(...holding.map(({ any }) => any)),
    lucky: sum(holding, ({ lucky }) => lucky),
    readMBps: slowest(({ readMBps }) => readMBps),
    writeMBps: slowest(({ writeMBps }) => writeMBps),
    readIops: slowest(({ readIops }) => readIops),
    writeIops: slowest(({ writeIops }) => writeIops),
    rebuildH: Math.max(0, ...holding.map(({ rebuildH }) => rebuildH)),
    lossAYear: {
      apart: lossOfAny(holding.map(({ loss }) => loss.apart)),
      together: lossOfAny(holding.map(({ loss }) => loss.together)),
    },
  };
}

/** A way to lay some drives out, with what it gives; `sets` can be kept as they are. */
export type PoolWay = {
  readonly key: string;
  readonly layout: SetLayout;
  readonly widths: readonly number[];
  readonly over: number;
  readonly sets: readonly PoolSet[];
  readonly told: PoolTold;
};

/** Widths a builder thinks in. */
const WIDTHS = [4, 5, 6, 8, 10, 12, 16];

/** Layouts of these drives side by side: mirrors, parity in sets of several widths, dedicated parity, a bare stripe. */
export function waysFor(drives: readonly Drive[]): readonly PoolWay[] {
  const sorted = [...drives].sort((a, b) => b.part.capacityBytes - a.part.capacityBytes);
  const all = (layout: SetLayout, own: readonly Drive[]): Grouping => ({
    sets: [{ layout, drives: own }],
    over: sorted.slice(own.length),
    dataBytes: 0,
  });
  const mirrors = ([2, 3] as const).flatMap((ways): Grouping[] => {
    const whole = groupsOf(sorted, ways).flat();
    return whole.length > 0 ? [all(ways === 2 ? 'mirror2' : 'mirror3', whole)] : [];
  });
  const parities = [1, 2, 3].flatMap((failures) => {
    const widest = WIDEST[failures] ?? 12;
    const narrower = WIDTHS.filter((width) => width > failures + 1 && width < Math.min(widest, sorted.length));
    return [...narrower, widest].map((width) => bestGrouping(sorted, failures, width));
  });
  const isMixed = new Set(sorted.map(({ part }) => part.capacityBytes)).size > 1;
  const dedicated = isMixed
    ? (['dedicated1', 'dedicated2'] as const)
        .filter((layout) => sorted.length >= LAYOUTS[layout].least)
        .map((layout) => all(layout, sorted))
    : [];
  const stripe = sorted.length > 1 ? [all('stripe', sorted)] : [];
  const seen = new Set<string>();
  return [...mirrors, ...parities, ...dedicated, ...stripe].flatMap((grouping): PoolWay[] => {
    const [first] = grouping.sets;
    if (!first) return [];
    const key = grouping.sets.map((one) => `${one.layout}${one.drives.length}`).join();
    if (seen.has(key)) return [];
    seen.add(key);
    const sets = asSets([grouping]);
    const told = sets.map((set, i) => setOf(set, grouping.sets[i]!.drives));
    return [
      {
        key,
        layout: first.layout,
        widths: grouping.sets.map((one) => one.drives.length),
        over: grouping.over.length,
        sets,
        told: together(told, grouping.over),
      },
    ];
  });
}
