import { printSpot, type SpotRef } from '../build/layout';
import { spotsOf, type SpotGroup } from './spots';
import type { PlannedUnit } from './units';

/** The group a spot belongs to and a number within its count; null when the sheet has no such place. */
export function groupAt(units: ReadonlyMap<string, PlannedUnit>, spot: SpotRef): SpotGroup | null {
  if (spot.host === 'floor')
    return spot.key === 'chassis'
      ? { type: 'floor', kind: 'chassis', host: 'floor', key: 'chassis', label: 'Floor', count: 1 }
      : null;
  const host = units.get(spot.host);
  const group = host && spotsOf(host.id, host.part).find((one) => one.key === spot.key);
  if (!group) return null;
  const numbered = spot.n !== undefined;
  return group.count > 1 === numbered && (spot.n ?? 1) <= group.count ? group : null;
}

/** The place a spot is of, where it has to be one: a seat that is none is a fault of the program. */
export function placeAt(byId: ReadonlyMap<string, PlannedUnit>, spot: SpotRef): SpotGroup {
  const group = groupAt(byId, spot);
  if (!group) throw new RangeError(`no place ${printSpot(spot)}`);
  return group;
}
