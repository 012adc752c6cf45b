import { dataDrives } from '../machine/roles';
import type { PlannedUnit } from '../machine/units';
import { bytesIn, LAYOUTS, TERABYTE, type PoolSet } from './layouts';
import { asSets, proposeSets, WIDEST } from './propose';

/** A way to give drives that are in no set a place: `into` a set that is kept, or sets of their own where null. */
export type Joining = {
  readonly into: PoolSet | null;
  readonly sets: readonly PoolSet[];
  /** TB of room for data that it brings, before padding. */ readonly moreTb: number;
  /** A set becomes wider than is good: too many share one failure too many. */ readonly isWide: boolean;
};

/**
 * Where drives that are in no set may go: no set too wide first, then the most room, sets of their own before others.
 * A set takes drives of its own medium alone. Sets of their own survive what the wish says or, without one, what the
 * weakest of those kept does.
 */
export function joinings(
  units: readonly PlannedUnit[],
  kept: readonly PoolSet[],
  added: ReadonlySet<string>,
  failuresWished?: number,
): readonly Joining[] {
  const byId = new Map(dataDrives(units).map((unit) => [unit.id as string, unit]));
  const fresh = [...byId.values()].filter(({ id }) => added.has(id));
  const [first] = fresh;
  if (!first || kept.length === 0) return [];
  const bytesOf = ({ layout, units: members }: PoolSet) =>
    bytesIn(
      layout,
      members.flatMap((id) => byId.get(id)?.part.capacityBytes ?? []),
    );
  const dataTb = (sets: readonly PoolSet[]) => sets.reduce((all, set) => all + bytesOf(set).data, 0) / TERABYTE;
  const way = (into: PoolSet | null, sets: readonly PoolSet[]): Joining => ({
    into,
    sets,
    moreTb: dataTb(sets) - dataTb(kept),
    isWide: into !== null && into.units.length + fresh.length > (WIDEST[LAYOUTS[into.layout].spare] ?? Infinity),
  });
  const alike = kept.filter((set) =>
    set.units.every((id) => (byId.get(id)?.part.medium ?? first.part.medium) === first.part.medium),
  );
  const weakest = Math.min(...kept.map(({ layout }) => LAYOUTS[layout].spare));
  const own = asSets(proposeSets(fresh, failuresWished ?? weakest), kept);
  return [
    ...(own.length > 0 ? [way(null, [...kept, ...own])] : []),
    ...alike.map((one) =>
      way(
        one,
        kept.map((set) => (set === one ? { ...set, units: [...set.units, ...fresh.map(({ id }) => id)] } : set)),
      ),
    ),
  ].sort((a, b) => Number(a.isWide) - Number(b.isWide) || b.moreTb - a.moreTb);
}
