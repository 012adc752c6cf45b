import { printSpot, type Layout } from '../build/layout';
import { demandsFor } from './solve';
import { DRIVE_DATA_KEY } from './ports';
import type { PlannedUnit } from './units';

/**
 * The places on the data path of a unit: from a drive its port's card or board, from a card or
 * board the bays it serves, its own place always. Empty for a unit without a place.
 */
export function tracePath(units: readonly PlannedUnit[], layout: Layout, unit: string): ReadonlySet<string> {
  const seat = layout.at[unit];
  if (!seat) return new Set();
  const places = new Set([printSpot(seat.spot)]);
  for (const demand of demandsFor(units, layout)) {
    const end = demand.kind === 'bare' ? `${demand.unit.id}/${DRIVE_DATA_KEY}` : demand.target.name;
    const wire = layout.wires.find((one) => one.device.some((device) => printSpot(device) === end));
    const live = wire && (demand.kind === 'bare' || wire.host.length === 1 || !wire.lanes || wire.lanes.includes(demand.lane));
    if (!live) continue;
    const hosts = wire.host.map((ref) => ref.host);
    if (demand.unit.id !== unit && !hosts.includes(unit)) continue;
    for (const one of [demand.unit.id, ...(demand.unit.id === unit ? hosts : [])]) {
      const spot = layout.at[one]?.spot;
      if (spot) places.add(printSpot(spot));
    }
  }
  return places;
}
