import { printSpot, type Layout } from '../../build/layout';
import { leadById } from '../leads';

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
