import { memoPair } from '../memoLast';
import type { Layout } from '../build/layout';
import { demandsFor } from '../links/demands';
import { liveWires, wireServing } from '../links/unconnected';
import { isKind, unitsById, type PlannedUnit } from '../machine/units';
import type { PartOf } from '../parts/resolve';

/** Units and where they are. */
export type Laid = { readonly units: readonly PlannedUnit[]; readonly layout: Layout };
export type DriveUnit = PlannedUnit & { readonly part: PartOf<'drive'> };

/** Drives by the board or card their cable starts at; those behind an expander card by the card that feeds it. */
const byHost = memoPair((units: readonly PlannedUnit[], layout: Layout): ReadonlyMap<string, readonly DriveUnit[]> => {
  const byId = unitsById(units);
  const live = liveWires(units, layout.wires);
  const found = new Map<string, DriveUnit[]>();
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) continue;
    const near = byId.get(wire.host[0]!.host);
    const feed =
      near && isKind(near, 'expander')
        ? layout.wires.find((one) => one.device.some((device) => device.host === near.id))
        : undefined;
    const host = feed?.host[0]!.host ?? wire.host[0]!.host;
    found.set(host, [...(found.get(host) ?? []), demand.unit as DriveUnit]);
  }
  return found;
});

export const drivesOn = ({ units, layout }: Laid, host: string): readonly DriveUnit[] =>
  byHost(units, layout).get(host) ?? [];
