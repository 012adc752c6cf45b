import { printSpot, type Layout } from '../build/layout';
import { leadById } from './leads';
import { DRIVE_DATA_KEY } from './ports';
import type { ConflictFact } from './problem';
import { demandsFor, portShortage } from './solve';
import type { PlannedUnit } from './units';

/** Seated drives that no lead of a layout reaches, with the shortage behind it; read off, not solved. */
export function unconnectedDrives(units: readonly PlannedUnit[], layout: Layout): { readonly unconnected: readonly PlannedUnit[]; readonly conflict: readonly ConflictFact[] | null } {
  const reached = new Map(layout.wires.flatMap((wire) => wire.device.map((device) => [printSpot(device), wire] as const)));
  const demands = demandsFor(units, layout);
  const unconnected = demands.filter((demand) => {
    if (demand.kind === 'bare') return !reached.has(`${demand.unit.id}/${DRIVE_DATA_KEY}`);
    const wire = reached.get(demand.target.name);
    // In reverse only the lanes with a host end are live; a straight lead and a tail serve what hangs on them.
    return !wire || (leadById(wire.lead)?.shape === 'reverse' && !wire.lanes?.includes(demand.lane));
  });
  return { unconnected: unconnected.map((demand) => demand.unit), conflict: unconnected.length > 0 ? portShortage(units, layout, demands) : null };
}
