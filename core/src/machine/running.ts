import type { Layout } from '../build/layout';
import { sittersBySpot } from './sitters';
import type { PlannedUnit } from './units';

/** Built-in units that a unit of the kit has displaced do not run. */
export function runningUnits(units: readonly PlannedUnit[], layout: Layout): PlannedUnit[] {
  const sitting = sittersBySpot(units, layout);
  return units.filter((unit) => {
    if (!unit.builtIn || unit.builtIn.fixed) return true;
    const { host, key, n } = unit.builtIn.spot;
    const there = sitting.get(`${host}/${key}.${n ?? 1}`) ?? sitting.get(`${host}/${key}`);
    return !there || there.id === unit.id;
  });
}
