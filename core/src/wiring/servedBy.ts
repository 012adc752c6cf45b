import type { Layout, Wire } from '../build/layout';
import { demandsFor } from '../links/demands';
import { liveWires, wireServing } from '../links/unconnected';
import type { PlannedUnit, UnitOf } from '../machine/units';

/** The drives behind every cable of a layout. */
export function servedBy(units: readonly PlannedUnit[], layout: Layout): ReadonlyMap<Wire, readonly UnitOf<'drive'>[]> {
  const live = liveWires(units, layout.wires);
  const served = new Map<Wire, UnitOf<'drive'>[]>();
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) continue;
    served.set(wire, [...(served.get(wire) ?? []), demand.unit as never]);
    // Behind a shared backplane both uplinks serve every drive.
    if (demand.kind === 'backplane' && demand.target.shared)
      for (const other of layout.wires)
        if (
          other !== wire &&
          other.device.some((end) => end.host === demand.target.ref.host && end.key === demand.target.ref.key)
        )
          served.set(other, [...(served.get(other) ?? []), demand.unit as never]);
  }
  return served;
}
