import type { Layout } from '../build/layout';
import { memoPair } from '../memoLast';
import { demandOf, type Demand } from './ports';
import { groupAt } from '../machine/spotAt';
import { ofKind, unitsById, type PlannedUnit } from '../machine/units';

/**
 * What each drive in a bay needs to be reached, in the order of the kit. The same units and layout give the same list.
 */
export const demandsFor = memoPair((units: readonly PlannedUnit[], layout: Pick<Layout, 'at'>): readonly Demand[] => {
  const byId = unitsById(units);
  return ofKind(units, 'drive').flatMap((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const group = spot && groupAt(byId, spot);
    const demand = group && demandOf(unit, spot, group);
    return demand ? [demand] : [];
  });
});
