import { parseSpot, printSpot, type Layout, type SpotRef, type Wire } from '../../build/layout';
import type { ConnectorKind } from '../../parts/vocabulary';
import { leadBetween, leadById } from '../leads';
import { DRIVE_DATA_KEY, driveConnector } from '../ports';
import { isKind, unitsById, type PlannedUnit } from '../units';

/**
 * Leads put or held by hand, by the ends they join. Where one is, its device end takes no other port;
 * the port of a straight one takes no other end. A breakout's other tails stay free, and of a breakout
 * in reverse only that it is one is kept. What shares its uplinks is bound to the card, so that both may go there.
 */
export type Firm = {
  /** The port of a device end; null where a breakout in reverse was put on it. */
  readonly portOf: ReadonlyMap<string, string | null>;
  /** Device ends that alone may be on a port. */
  readonly only: ReadonlyMap<string, ReadonlySet<string>>;
  readonly ports: ReadonlySet<string>;
};

export const NOTHING_FIRM: Firm = { portOf: new Map(), only: new Map(), ports: new Set() };

/** `live` are the ports that there are: a lead whose port is gone binds nothing. `shared` are connectors of what shares its uplinks. */
export function firmLeads(wires: Layout['wires'], live: ReadonlySet<string>, shared: ReadonlySet<string>): Firm {
  const portOf = new Map<string, string | null>();
  const only = new Map<string, Set<string>>();
  const ports = new Set<string>();
  for (const wire of wires) {
    const lead = wire.how === 'solved' ? undefined : leadById(wire.lead);
    if (!lead || !wire.host.every((host) => live.has(printSpot(host)))) continue;
    const port = printSpot(wire.host[0]!);
    const ends = wire.device.map(printSpot);
    for (const end of ends) portOf.set(end, lead.shape === 'reverse' ? null : port);
    if (lead.shape === 'reverse' || ends.some((end) => shared.has(end))) continue;
    ports.add(port);
    if (lead.shape === 'straight') only.set(port, new Set([...only.get(port) ?? [], ...ends]));
  }
  return { portOf, only, ports };
}

/** Whether these ports may serve these ends: the one names of a class of ports, the other of one connector or of drives alike. */
export function firmAllows(firm: Firm, ports: readonly string[], ends: readonly string[]): boolean {
  const bound = ends.find((end) => firm.portOf.has(end));
  if (bound !== undefined) return ports.includes(firm.portOf.get(bound) ?? '');
  return !ports.some((port) => firm.only.has(port));
}

/** The kind of a port, or of a backplane's, card's or drive's own connector; undefined where it is not there. */
function kindAt(units: readonly PlannedUnit[], ref: SpotRef): ConnectorKind | undefined {
  const unit = unitsById(units).get(ref.host);
  if (!unit) return undefined;
  if (isKind(unit, 'drive')) return ref.key === DRIVE_DATA_KEY ? driveConnector(unit.part) : undefined;
  if (isKind(unit, 'board') || isKind(unit, 'controller') || isKind(unit, 'expander')) { const found = unit.part.connectors.find(({ key }) => key === ref.key); return found && (ref.n ?? 1) <= found.count ? found.kind : undefined; }
  if (!isKind(unit, 'chassis') && !isKind(unit, 'adapter')) return undefined;
  const own = unit.part.bayGroups.flatMap((group) => (group.backplane?.connectors ?? []).filter(({ key }) => `${group.key}-${key}` === ref.key))[0];
  return own && (ref.n ?? 1) <= own.count ? own.kind : undefined;
}

/** Leads put or held by hand that sleep, by their device end: as wires again, where both ends are there. */
export function wokenLeads(units: readonly PlannedUnit[], hint: Layout): Wire[] {
  // A lead the solver laid meanwhile gives way; one put or held since does not.
  const busy = new Set(hint.wires.filter(({ how }) => how !== 'solved').flatMap((wire) => [...wire.host, ...wire.device].map(printSpot)));
  return Object.entries(hint.dormant).flatMap(([name, { spot, how }]): Wire[] => {
    const device = parseSpot(name);
    const kinds = device && ([kindAt(units, spot), kindAt(units, device)] as const);
    const lead = kinds?.[0] && kinds[1] ? leadBetween('straight', kinds[0], kinds[1]) : undefined;
    return !device || !lead || busy.has(name) || busy.has(printSpot(spot)) ? [] : [{ lead: lead.id, host: [spot], device: [device], how }];
  });
}

/** Straight leads put or held by hand that are not laid now sleep with their reason, as long as both units are in the build. */
export function sleepingLeads(units: readonly PlannedUnit[], hint: Layout, wires: readonly Wire[]): Layout['dormant'] {
  const byId = unitsById(units);
  const laid = new Set(wires.map((wire) => `${printSpot(wire.host[0]!)}|${printSpot(wire.device[0]!)}`));
  const firm = hint.wires.filter((wire) => wire.how !== 'solved' && leadById(wire.lead)?.shape === 'straight').map((wire) => [printSpot(wire.device[0]!), { spot: wire.host[0]!, how: wire.how }] as const);
  const asleep = Object.entries(hint.dormant).filter(([name]) => parseSpot(name)).map(([name, { spot, how }]) => [name, { spot, how }] as const);
  return Object.fromEntries([...asleep, ...firm].flatMap(([name, { spot, how }]) => {
    const device = parseSpot(name)!;
    if (laid.has(`${printSpot(spot)}|${name}`) || !byId.has(spot.host) || !byId.has(device.host)) return [];
    const reason = !kindAt(units, spot) ? 'that port is not there now' : !kindAt(units, device) ? 'that connector is not there now' : 'no drive is behind it, or another needed the port';
    return [[name, { spot, how, reason }]];
  }));
}
