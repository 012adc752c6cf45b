import { memoPair } from '../memoLast';
import type { Layout } from '../build/layout';
import { demandsFor } from '../links/demands';
import { liveWires, wireServing } from '../links/unconnected';
import { sourceOf } from '../links/passOn';
import type { PlannedUnit, UnitOf } from '../machine/units';

/** Units and where they are. */
export type Laid = { readonly units: readonly PlannedUnit[]; readonly layout: Layout };
export type DriveUnit = UnitOf<'drive'>;

/** Drives by the board or card their cable starts at, or that feeds what they hang on: an expander, chained shelves. */
const byHost = memoPair((units: readonly PlannedUnit[], layout: Layout): ReadonlyMap<string, readonly DriveUnit[]> => {
  const live = liveWires(units, layout.wires);
  const found = new Map<string, DriveUnit[]>();
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) continue;
    const host = sourceOf(units, layout.wires, wire.host[0].host) ?? wire.host[0].host;
    found.set(host, [...(found.get(host) ?? []), demand.unit as DriveUnit]);
  }
  return found;
});

export const drivesOn = ({ units, layout }: Laid, host: string): readonly DriveUnit[] =>
  byHost(units, layout).get(host) ?? [];
