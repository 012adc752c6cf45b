import { printSpot, type Layout } from '../build/layout';
import { memoPair } from '../memoLast';
import type { PlannedUnit } from './units';

/** Who sits where; a swappable built-in gives way to a unit of the kit. The same units and layout give the same map. */
export const sittersBySpot = memoPair(
  (units: readonly PlannedUnit[], layout: Layout): ReadonlyMap<string, PlannedUnit> => findSitters(units, layout),
);

function findSitters(units: readonly PlannedUnit[], layout: Layout): Map<string, PlannedUnit> {
  const sitting = new Map<string, PlannedUnit>();
  for (const unit of units)
    if (unit.builtIn)
      for (const name of [
        printSpot(unit.builtIn.spot),
        ...(unit.builtIn.spot.n === 1 ? [`${unit.builtIn.spot.host}/${unit.builtIn.spot.key}`] : []),
      ])
        sitting.set(name, unit);
  for (const unit of units) {
    const seat = layout.at[unit.id];
    if (!seat) continue;
    sitting.set(printSpot(seat.spot), unit);
    if (seat.spot.n === undefined) sitting.set(`${printSpot(seat.spot)}.1`, unit);
  }
  return sitting;
}
