import { printSpot, type Layout, type Wire } from '../build/layout';
import { leadById } from './leads';
import { demandsFor } from './solve';
import { DRIVE_DATA_KEY, type Demand } from './ports';
import type { PlannedUnit } from './units';

/** The lead that serves a seated drive; null where none reaches it. */
export function wireOf(units: readonly PlannedUnit[], layout: Layout, drive: string): Wire | null {
  const demand = demandsFor(units, layout).find((one) => one.unit.id === drive);
  return demand ? wireServing(demand, layout) : null;
}

function wireServing(demand: Demand, layout: Layout): Wire | null {
  const end = demand.kind === 'bare' ? `${demand.unit.id}/${DRIVE_DATA_KEY}` : demand.target.name;
  const wire = layout.wires.find((one) => one.device.some((device) => printSpot(device) === end));
  // Of a breakout in reverse only the lanes with a port behind them are live.
  const live = wire && (demand.kind === 'bare' || leadById(wire.lead)?.shape !== 'reverse' || wire.lanes?.includes(demand.lane));
  return live ? wire : null;
}

/**
 * The places on the data path of a unit: from a drive its port's card or board, from a card or
 * board the bays it serves, its own place always. Empty for a unit without a place.
 */
export function tracePath(units: readonly PlannedUnit[], layout: Layout, unit: string): ReadonlySet<string> {
  const seat = layout.at[unit];
  if (!seat) return new Set();
  const places = new Set([printSpot(seat.spot)]);
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, layout);
    if (!wire) continue;
    const hosts = wire.host.map((ref) => ref.host);
    if (demand.unit.id !== unit && !hosts.includes(unit)) continue;
    for (const one of [demand.unit.id, ...(demand.unit.id === unit ? hosts : [])]) {
      const spot = layout.at[one]?.spot;
      if (spot) places.add(printSpot(spot));
    }
  }
  return places;
}
