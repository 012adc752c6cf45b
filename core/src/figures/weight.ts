import { boxOf, seatsOf } from '../machine/hosts';
import type { PlannedUnit } from '../machine/units';
import { massOf, type Mass } from '../parts/mass';
import type { FigureContext } from './context';

/** Mass of a chassis with all that is in it, g: the low ends and the high ends each together. */
export function filledMassG({ units, layout }: Pick<FigureContext, 'units' | 'layout'>, box: PlannedUnit): Mass {
  const seats = seatsOf(layout);
  const inside = units.filter((unit) => unit !== box && boxOf(unit.id, seats, units) === box);
  return [box, ...inside].reduce<Mass>(
    (sum, { part }) => {
      const { value, lo, hi } = massOf(part);
      return { value: sum.value + value, lo: sum.lo + lo, hi: sum.hi + hi };
    },
    { value: 0, lo: 0, hi: 0 },
  );
}
