import { printSpot, type Layout, type Seat } from '../../build/layout';
import { mismatch } from '../../machine/accepts';
import { groupAt } from '../../machine/spotAt';
import { unitsById, type PlannedUnit } from '../../machine/units';

/** The place a unit had or sleeps for. */
type Wish = { readonly seat: Seat; readonly name: string };
export type Wishes = ReadonlyMap<string, Wish>;

const RANK = { held: 0, put: 1, solved: 2 } as const;

/**
 * Hint seats and sleeping places alike: both are wanted again as soon as they can be had. A wish
 * counts where its place is there and takes the part; of several for one place the firmest.
 */
export function wishesOf(units: readonly PlannedUnit[], hint: Layout): Wishes {
  const byId = unitsById(units);
  const all = units
    .flatMap((unit): [PlannedUnit, Wish][] => {
      if (unit.builtIn) return [];
      const asleep = hint.dormant[unit.id];
      const seat = asleep ? { spot: asleep.spot, how: asleep.how } : hint.at[unit.id];
      const group = seat && groupAt(byId, seat.spot);
      return seat && group && !mismatch(unit.part, group) ? [[unit, { seat, name: printSpot(seat.spot) }]] : [];
    })
    .sort(([, a], [, b]) => RANK[a.seat.how] - RANK[b.seat.how]);
  const claimed = new Set<string>();
  const wishes = new Map<string, Wish>();
  for (const [unit, wish] of all) {
    if (claimed.has(wish.name)) continue;
    claimed.add(wish.name);
    wishes.set(unit.id, wish);
  }
  return wishes;
}

/** The seat for a unit at a place: the wished one itself where it is that, so that how it came about is kept. */
export const seatAt = (wishes: Wishes, unit: string, spot: Seat['spot']): Seat => {
  const wish = wishes.get(unit);
  return wish && wish.name === printSpot(spot) ? wish.seat : { spot, how: 'solved' };
};

/** Every put or held place that its unit does not have sleeps with its reason. */
export function sleepers(
  units: readonly PlannedUnit[],
  hint: Layout,
  at: Readonly<Record<string, Seat>>,
): Layout['dormant'] {
  const byId = unitsById(units);
  return Object.fromEntries(
    units.flatMap((unit) => {
      const asleep = hint.dormant[unit.id];
      const seat = asleep ? { spot: asleep.spot, how: asleep.how } : hint.at[unit.id];
      if (!seat || unit.builtIn || seat.how === 'solved') return [];
      const got = at[unit.id];
      if (got && printSpot(got.spot) === printSpot(seat.spot)) return [];
      const group = groupAt(byId, seat.spot);
      const reason = !group
        ? 'that place is not there now'
        : mismatch(unit.part, group)
          ? 'it does not go there'
          : 'another part needs that place';
      return [[unit.id, { spot: seat.spot, how: seat.how, reason }]];
    }),
  );
}
