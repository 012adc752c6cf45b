import { printSpot, type Layout, type Wire } from '../build/layout';
import { demandsFor } from './demands';
import { liveWires, wireServing } from './unconnected';
import type { PlannedUnit } from '../machine/units';
import { feedChain } from './passOn';

/** The cable that serves a seated drive; null where none reaches it. */
export function wireOf(units: readonly PlannedUnit[], layout: Layout, drive: string): Wire | null {
  const demand = demandsFor(units, layout).find((one) => one.unit.id === drive);
  return demand ? wireServing(demand, liveWires(units, layout.wires)) : null;
}

/**
 * The places on the data path of a unit: from a drive its port's card or board, from a card or
 * board the bays it serves, its own place always. Empty for a unit without a place.
 */
export function tracePath(units: readonly PlannedUnit[], layout: Layout, unit: string): ReadonlySet<string> {
  const seat = layout.at[unit];
  if (!seat) return new Set();
  const places = new Set([printSpot(seat.spot)]);
  const live = liveWires(units, layout.wires);
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) continue;
    const near = wire.host.map((ref) => ref.host);
    // Behind an expander or a shelf the path goes on to what feeds it.
    const hosts = near.flatMap((id) => feedChain(units, layout.wires, id));
    if (demand.unit.id !== unit && !hosts.includes(unit)) continue;
    for (const one of [demand.unit.id, ...(demand.unit.id === unit ? hosts : [])]) {
      const spot = layout.at[one]?.spot;
      if (spot) places.add(printSpot(spot));
    }
  }
  return places;
}
