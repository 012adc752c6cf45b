import { valueFor } from '../../lists';
import { parseSpot, printSpot, type Layout, type SpotRef, type Wire } from '../../build/layout';
import type { ConnectorKind } from '../../parts/vocabulary';
import { cableKindBetween, cableKindById } from '../../links/cableKinds';
import { DRIVE_DATA_KEY, driveConnector } from '../../links/ports';
import { isKind, unitsById, type PlannedUnit } from '../../machine/units';

/**
 * Cables put or held by hand, by the ends they join. Where one is, its device end takes no other port;
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

/**
 * `live` are the ports that there are: a cable whose port is gone binds nothing. `shared` are connectors of what shares
 * its uplinks.
 */
export function firmCables(wires: Layout['wires'], live: ReadonlySet<string>, shared: ReadonlySet<string>): Firm {
  const portOf = new Map<string, string | null>();
  const only = new Map<string, Set<string>>();
  const ports = new Set<string>();
  for (const wire of wires) {
    const cable = wire.how === 'solved' ? undefined : cableKindById(wire.cable);
    if (!cable || !wire.host.every((host) => live.has(printSpot(host)))) continue;
    const port = printSpot(wire.host[0]);
    const ends = wire.device.map(printSpot);
    for (const end of ends) portOf.set(end, cable.shape === 'reverse' ? null : port);
    if (cable.shape === 'reverse' || ends.some((end) => shared.has(end))) continue;
    ports.add(port);
    if (cable.shape === 'straight') only.set(port, new Set([...(only.get(port) ?? []), ...ends]));
  }
  return { portOf, only, ports };
}

/**
 * Whether these ports may serve these ends: the one names of a class of ports, the other of one connector or of drives
 * alike.
 */
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
  if (isKind(unit, 'board') || isKind(unit, 'controller') || isKind(unit, 'expander')) {
    const found = unit.part.connectors.find(({ key }) => key === ref.key);
    return found && (ref.n ?? 1) <= found.count ? found.kind : undefined;
  }
  if (!isKind(unit, 'chassis') && !isKind(unit, 'adapter')) return undefined;
  const own = unit.part.bayGroups.flatMap((group) =>
    (group.backplane?.connectors ?? []).filter(({ key }) => `${group.key}-${key}` === ref.key),
  )[0];
  return own && (ref.n ?? 1) <= own.count ? own.kind : undefined;
}

/**
 * The cables of a layout with those put or held by hand that sleep, by their device end, where both ends are there
 * again; tails of one port are one breakout.
 */
export function withWoken(units: readonly PlannedUnit[], hint: Layout): readonly Wire[] {
  // A cable the solver laid meanwhile gives way; one put or held since does not, but takes its own tails back.
  const firm = hint.wires.filter(({ how }) => how !== 'solved');
  const busyEnds = new Set(firm.flatMap((wire) => wire.device.map(printSpot)));
  const onPort = new Map(firm.flatMap((wire) => wire.host.map((host) => [printSpot(host), wire] as const)));
  const woken = new Map<string, Wire>();
  for (const [name, { spot, how }] of Object.entries(hint.dormant)) {
    const device = parseSpot(name);
    const [host, end] = device ? [kindAt(units, spot), kindAt(units, device)] : [undefined, undefined];
    const port = printSpot(spot);
    const there = woken.get(port) ?? onPort.get(port);
    const cable =
      host && end ? (cableKindBetween('straight', host, end) ?? cableKindBetween('forward', host, end)) : undefined;
    if (!device || !cable || busyEnds.has(name)) continue;
    if (!there)
      woken.set(port, {
        cable: cable.id,
        host: [spot],
        device: [device],
        ...(cable.shape === 'forward' ? { lanes: [1] } : {}),
        how,
      });
    else if (cableKindById(there.cable)?.shape === 'forward' && cable.shape === 'forward' && there.device.length < 4) {
      const lane = [1, 2, 3, 4].find((one) => !there.lanes?.includes(one))!;
      woken.set(port, { ...there, device: [...there.device, device], lanes: [...(there.lanes ?? []), lane] });
    }
  }
  return woken.size === 0
    ? hint.wires
    : [
        ...hint.wires.filter(
          (wire) => !(wire.how !== 'solved' && wire.host.some((host) => woken.has(printSpot(host)))),
        ),
        ...woken.values(),
      ];
}

/**
 * Cables put or held by hand, tail by tail, that are not laid now sleep with their reason, as long as both units are in
 * the build. Of a breakout in reverse the solver keeps that it is one.
 */
export function sleepingCables(
  units: readonly PlannedUnit[],
  hint: Layout,
  at: Layout['at'],
  wires: readonly Wire[],
): Layout['dormant'] {
  const byId = unitsById(units);
  const laid = new Set(
    wires.flatMap((wire) => wire.device.map((device) => `${printSpot(wire.host[0])}|${printSpot(device)}`)),
  );
  const firm = hint.wires
    .filter((wire) => wire.how !== 'solved' && cableKindById(wire.cable)?.shape !== 'reverse')
    .flatMap((wire) =>
      wire.device.map((device) => [printSpot(device), { spot: wire.host[0], how: wire.how }] as const),
    );
  const asleep = Object.entries(hint.dormant)
    .filter(([name]) => parseSpot(name))
    .map(([name, { spot, how }]) => [name, { spot, how }] as const);
  return Object.fromEntries(
    [...asleep, ...firm].flatMap(([name, { spot, how }]) => {
      const device = parseSpot(name)!;
      if (laid.has(`${printSpot(spot)}|${name}`) || !byId.has(spot.host) || !byId.has(device.host)) return [];
      const host = valueFor(byId, spot.host);
      const reason = !kindAt(units, spot)
        ? 'that port is not there now'
        : !at[host.id] && !host.builtIn
          ? 'the card of that port has no place now'
          : !kindAt(units, device)
            ? 'that connector is not there now'
            : 'no drive is behind it, or another needed the port';
      return [[name, { spot, how, reason }]];
    }),
  );
}
