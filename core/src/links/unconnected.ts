import { printSpot, type Layout, type Wire } from '../build/layout';
import { memoPair } from '../memoLast';
import { demandsFor } from './demands';
import { cableKindBetween, cableKindById } from './cableKinds';
import type { ConnectorKind, Protocol } from '../parts/vocabulary';
import { DRIVE_DATA_KEY, portsIn, protocolOf, type Demand, type HostPort } from './ports';
import { boxOf, seatsOf } from '../machine/hosts';
import { isKind, unitsById, type PlannedUnit } from '../machine/units';
import { sourceOf, throughConnectors } from './passOn';

/** One reason in a conflict, in classes: "9 SATA drives", "8 ports". `units` are those it is about. */
export type ConflictFact = {
  readonly kind: 'drives' | 'ports' | 'portsOff' | 'bays' | 'cards' | 'slots' | 'held';
  readonly count: number;
  readonly label: string;
  readonly units: readonly string[];
};

/** Seated drives that no cable of a layout reaches, with the shortage behind it; read off, not solved. */
export function unconnectedDrives(
  units: readonly PlannedUnit[],
  layout: Layout,
): { readonly unconnected: readonly PlannedUnit[]; readonly conflict: readonly ConflictFact[] | null } {
  const demands = demandsFor(units, layout);
  const live = liveWires(units, layout.wires);
  const unconnected = demands.filter((demand) => !wireServing(demand, live));
  return {
    unconnected: unconnected.map((demand) => demand.unit),
    conflict: unconnected.length > 0 ? portShortage(units, layout, demands) : null,
  };
}

/** A cable that works, and what its port speaks over it. */
export type LiveWire = { readonly wire: Wire; readonly carries: readonly Protocol[] };

/**
 * The cable that serves a drive, at its own end or its backplane connector: it speaks the drive's protocol, and a
 * breakout in reverse has a port on its lane.
 */
export function wireServing(demand: Demand, live: ReadonlyMap<string, LiveWire>): Wire | null {
  const found = live.get(demand.kind === 'bare' ? `${demand.unit.id}/${DRIVE_DATA_KEY}` : demand.target.name);
  const speaks = demand.kind === 'backplane' && demand.target.speaks ? demand.target.speaks : protocolOf(demand.drive);
  if (!found?.carries.includes(speaks)) return null;
  return demand.kind === 'bare' ||
    cableKindById(found.wire.cable)?.shape !== 'reverse' ||
    found.wire.lanes?.includes(demand.lane)
    ? found.wire
    : null;
}

/** Cables by their device ends, less those from an expander or shelf that nothing feeds. */
export const liveWires = memoPair(
  (units: readonly PlannedUnit[], wires: readonly Wire[]): ReadonlyMap<string, LiveWire> => {
    const byId = unitsById(units);
    return new Map(
      wires
        .filter((wire) => sourceOf(units, wires, wire.host[0].host) !== null)
        .flatMap((wire) => {
          const part = byId.get(wire.host[0].host)?.part;
          const connectors =
            part?.kind === 'chassis' ? throughConnectors(part) : part && 'connectors' in part ? part.connectors : [];
          const spoken = connectors.find(({ key }) => key === wire.host[0].key)?.carries ?? [];
          const carries = spoken.filter((one) => cableKindById(wire.cable)?.carries.includes(one));
          return wire.device.map((device) => [printSpot(device), { wire, carries }] as const);
        }),
    );
  },
);

/** Ports short: drives that want one, ports that can reach them, and who switched the others off. */
function portShortage(units: readonly PlannedUnit[], layout: Layout, demands: readonly Demand[]): ConflictFact[] {
  const outside = new Set(
    demands.flatMap((demand) => (demand.kind === 'backplane' && !demand.target.inside ? [demand.target.kind] : [])),
  );
  const within = new Set(
    demands.flatMap((demand) => (demand.kind === 'backplane' && demand.target.inside ? [demand.target.kind] : [])),
  );
  const leadsTo = (port: HostPort, kinds: ReadonlySet<ConnectorKind>) =>
    [...kinds].some((kind) => cableKindBetween('straight', port.kind, kind));
  const at = seatsOf(layout);
  const inBoxes = new Set<string | null>(demands.map(({ unit }) => boxOf(unit.id, at, units)?.id ?? null));
  const boxes = units.filter((unit) => isKind(unit, 'chassis')).length;
  const useful = (port: HostPort) =>
    port.inside
      ? !port.carries.includes('usb') && (inBoxes.has(port.box) || leadsTo(port, outside))
      : leadsTo(port, outside) || (boxes > 1 && leadsTo(port, within));
  const ports = portsIn(units, layout).filter(useful);
  const lanes = ports.reduce((sum, port) => sum + Math.min(port.lanes, 4), 0);
  const facts: ConflictFact[] = [
    { kind: 'drives', count: demands.length, label: 'drives', units: demands.map((demand) => demand.unit.id) },
    {
      kind: 'ports',
      count: lanes,
      label: 'ports that reach a bay',
      units: [...new Set(ports.map((port) => port.unit.id))],
    },
  ];
  const by = new Map<PlannedUnit, number>();
  for (const port of ports)
    if (port.offBecause) by.set(port.offBecause, (by.get(port.offBecause) ?? 0) + port.fullLanes - port.lanes);
  for (const [unit, count] of by) facts.push({ kind: 'portsOff', count, label: unit.part.name, units: [unit.id] });
  return facts;
}
