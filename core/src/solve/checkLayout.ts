import { valueFor } from '../lists';
import { memoPair } from '../memoLast';
import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { cableKindById } from '../links/cableKinds';
import { mismatch } from '../machine/accepts';
import { boxAmong } from '../machine/hosts';
import {
  DRIVE_DATA_KEY,
  driveConnector,
  expanderPorts,
  hostPorts,
  protocolOf,
  targetOf,
  usesOf,
  type HostPort,
  type Target,
} from '../links/ports';
import type { Problem } from './problem';
import { groupAt } from '../machine/spotAt';
import { lanesLeft } from '../links/laneSharing';
import { isCard, isKind, ofKind, seatSpot, unitsById, type PlannedUnit } from '../machine/units';

export type Violation = {
  readonly code:
    | 'noUnit'
    | 'noSpot'
    | 'notHosted'
    | 'mismatch'
    | 'twice'
    | 'covered'
    | 'fixed'
    | 'cable'
    | 'portOff'
    | 'portTwice'
    | 'endTwice'
    | 'protocol'
    | 'laneTwice'
    | 'noEnd'
    | 'side'
    | 'box'
    | 'unfed'
    | 'uplinks'
    | 'tooMany'
    | 'slotOff';
  readonly about: string;
};

/**
 * Checks a stored layout from the sheets alone, not from how the solver works: every seat exists,
 * takes the part and is used once; every cable has ends it fits, live ports and lanes used once.
 * An empty list means the layout can be built. It does not ask whether everything has a place.
 */
export function checkLayout(problem: Problem, layout: Layout): Violation[] {
  const units = unitsById(problem.units);
  return [
    ...checkSeats(units, layout),
    ...checkLanes(problem.units, units, layout),
    ...checkWires(problem.units, units, layout),
  ];
}

function checkSeats(units: ReadonlyMap<string, PlannedUnit>, layout: Layout): Violation[] {
  const faults: Violation[] = [];
  const used = new Map<string, string>();
  const claim = (name: string, unit: string, code: Violation['code']) => {
    if (used.has(name) && used.get(name) !== unit) faults.push({ code, about: name });
    used.set(name, unit);
  };
  for (const unit of units.values())
    if (unit.builtIn?.fixed) claim(canonical(units, unit.builtIn.spot), unit.id, 'fixed');
  for (const [id, seat] of Object.entries(layout.at)) {
    const unit = units.get(id);
    if (!unit) {
      faults.push({ code: 'noUnit', about: id });
      continue;
    }
    const group = groupAt(units, seat.spot);
    if (!group) {
      faults.push({ code: 'noSpot', about: printSpot(seat.spot) });
      continue;
    }
    if (!standsOnFloor(units, layout, seat.spot)) faults.push({ code: 'notHosted', about: printSpot(seat.spot) });
    if (mismatch(unit.part, group)) faults.push({ code: 'mismatch', about: id });
    claim(printSpot(seat.spot), id, 'twice');
    for (const covered of alsoTaken(units, unit, seat.spot)) claim(covered, id, 'covered');
  }
  return faults;
}

function canonical(units: ReadonlyMap<string, PlannedUnit>, spot: SpotRef): string {
  return printSpot(groupAt(units, spot) ? spot : { host: spot.host, key: spot.key });
}

function standsOnFloor(units: ReadonlyMap<string, PlannedUnit>, layout: Layout, spot: SpotRef): boolean {
  for (let host = spot.host, depth = 0; depth < 6; depth++) {
    if (host === 'floor') return true;
    const next = layout.at[host]?.spot ?? units.get(host)?.builtIn?.spot;
    if (!next) return false;
    host = next.host;
  }
  return false;
}

function alsoTaken(units: ReadonlyMap<string, PlannedUnit>, unit: PlannedUnit, spot: SpotRef): string[] {
  if (unit.part.kind === 'adapter')
    return Array.from({ length: unit.part.span - 1 }, (_, i) => printSpot({ ...spot, n: (spot.n ?? 1) + i + 1 }));
  const board = units.get(spot.host)?.part;
  if (!isCard(unit.part) || board?.kind !== 'board') return [];
  const own = board.slots.find((slot) => slot.key === spot.key);
  // A card in an M.2 socket lies over no slot.
  if (!own) return [];
  const thick = Math.ceil(unit.part.thickSlots);
  return board.slots
    .filter((slot) => slot.position > own.position && slot.position < own.position + thick)
    .map((slot) => `${spot.host}/${slot.key}`);
}

/** Slots and sockets that a mode, a rule or the slot under them leaves without lanes hold nothing. */
function checkLanes(
  list: readonly PlannedUnit[],
  units: ReadonlyMap<string, PlannedUnit>,
  layout: Layout,
): Violation[] {
  const width = lanesAt(list, layout);
  return list.flatMap((unit): Violation[] => {
    const spot = unit.builtIn ? undefined : seatSpot(layout, unit);
    const group = spot && groupAt(units, spot);
    return group && (group.type === 'slot' || group.type === 'm2') && width(spot) === 0
      ? [{ code: 'slotOff', about: unit.id }]
      : [];
  });
}

/**
 * Lanes of a slot or socket as a layout leaves them: less what modes and rules of its board, its riser and its slot's
 * parting take.
 */
export const lanesAt = memoPair((list: readonly PlannedUnit[], layout: Layout): ((spot: SpotRef) => number) => {
  const units = unitsById(list);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  const left = new Map(
    ofKind(list, 'board').map((board) => [
      board.id as string,
      lanesLeft(board.part, usesOf(board.id, list, seatOf), layout.modes?.[board.id]),
    ]),
  );
  const width = (spot: SpotRef): number => {
    const host = units.get(spot.host);
    const group = groupAt(units, spot);
    if (!host || !group || (group.type !== 'slot' && group.type !== 'm2')) return 0;
    const own = group.type === 'slot' ? group.slot.wiredLanes : group.socket.lanes;
    if (isKind(host, 'board')) return valueFor(left, host.id)(spot.key, 1, own).lanes;
    const under = seatOf(host);
    const slot = under && groupAt(units, under);
    if (!under || slot?.type !== 'slot') return 0;
    const nth = isKind(host, 'carrier')
      ? host.part.m2Sockets.findIndex((one) => one.key === spot.key)
      : isKind(host, 'riser')
        ? host.part.slots.findIndex((one) => one.key === spot.key)
        : 0;
    const wired = width(under);
    if (nth === 0) return Math.min(own, wired);
    // The n-th socket has the n-th share of a way the slot parts into, of those its lanes are enough for.
    const shares = (slot.slot.bifurcates ?? [])
      .map((way) => way.slice(1).split('x').map(Number))
      .filter((way) => way.reduce((sum, one) => sum + one, 0) <= wired)
      .map((way) => way[nth] ?? 0);
    return Math.min(own, Math.max(0, ...shares));
  };
  return width;
});

/** Generation of a slot or socket: on a riser or carrier no more than the slot under it. */
export function genAt(list: readonly PlannedUnit[], layout: Pick<Layout, 'at'>): (spot: SpotRef) => number {
  const units = unitsById(list);
  const gen = (spot: SpotRef): number => {
    const host = units.get(spot.host);
    const group = groupAt(units, spot);
    if (!host || !group || (group.type !== 'slot' && group.type !== 'm2')) return 0;
    const own = group.type === 'slot' ? group.slot.gen : group.socket.gen;
    const under = isKind(host, 'board') ? undefined : seatSpot(layout, host);
    return under ? Math.min(own, gen(under)) : own;
  };
  return gen;
}

/**
 * What feeds an expander, a bridge or a multiplier, card or backplane, comes from one card over two cables at most; no
 * card has more drives than it takes.
 */
function checkShared(list: readonly PlannedUnit[], layout: Layout, ends: Ends): Violation[] {
  const faults: Violation[] = [];
  const feeders = new Map<string, string[]>();
  const drives = new Map<string, number>();
  const count = (host: SpotRef, end: DeviceEnd | null) =>
    drives.set(host.host, (drives.get(host.host) ?? 0) + (end?.drives.length ?? 0));
  for (const wire of layout.wires) {
    if (cableKindById(wire.cable)?.shape === 'reverse') {
      wire.host.forEach((host, i) => count(host, deviceEnd(wire.device[0], ends, new Set([wire.lanes?.[i] ?? 1]))));
      continue;
    }
    const host = wire.host[0];
    for (const ref of wire.device) {
      const end = deviceEnd(ref, ends, null);
      if (end?.shared) feeders.set(end.shared, [...(feeders.get(end.shared) ?? []), host.host]);
      // Drives behind a shared connector are counted once, at its first cable.
      if (!end?.shared || valueFor(feeders, end.shared).length === 1) count(host, end);
    }
  }
  for (const [shared, hosts] of feeders)
    if (hosts.length > 2 || new Set(hosts).size > 1) faults.push({ code: 'uplinks', about: shared });
  // From the end of a chain to its start: what an expander card or a shelf hands on hangs on what feeds it.
  const feederOf = (id: string): string | undefined =>
    feeders.get(id)?.[0] ?? [...feeders].find(([shared]) => shared.startsWith(`${id}/`))?.[1][0];
  const handing = [...ofKind(list, 'expander'), ...ofKind(list, 'chassis')].map(({ id }) => id as string);
  const hosts = new Set(layout.wires.map((wire) => wire.host[0].host));
  for (const id of handing.filter((one) => hosts.has(one))) {
    const seen = new Set([id]);
    let at = feederOf(id);
    while (at !== undefined && handing.includes(at) && !seen.has(at)) {
      seen.add(at);
      at = feederOf(at);
    }
    if (at === undefined || handing.includes(at)) faults.push({ code: 'unfed', about: id });
    else drives.set(at, (drives.get(at) ?? 0) + (drives.get(id) ?? 0));
  }
  for (const card of ofKind(list, 'controller'))
    if ((drives.get(card.id) ?? 0) > card.part.mostDevices) faults.push({ code: 'tooMany', about: card.id });
  return faults;
}

function checkWires(
  list: readonly PlannedUnit[],
  units: ReadonlyMap<string, PlannedUnit>,
  layout: Layout,
): Violation[] {
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  const ports = new Map(
    [...hostPorts(list, seatOf, layout.modes), ...expanderPorts(list, seatOf)].map((port) => [port.name, port]),
  );
  const ends: Ends = { units, layout, drivesAt: seatedDrives(units, layout) };
  const faults = checkShared(list, layout, ends);
  const usedPort = new Set<string>();
  const usedEnd = new Set<string>();
  for (const wire of layout.wires) {
    faults.push(...checkWire(wire, ports, ends));
    for (const host of wire.host.map(printSpot)) {
      if (usedPort.has(host) || usedEnd.has(host)) faults.push({ code: 'portTwice', about: host });
      usedPort.add(host);
    }
    for (const device of wire.device.map(printSpot)) {
      if (usedEnd.has(device) || (ports.has(device) && usedPort.has(device)))
        faults.push({ code: 'endTwice', about: device });
      usedEnd.add(device);
    }
  }
  return faults;
}

type SeatedDrive = { readonly spot: SpotRef; readonly drive: PartOf<'drive'> };
type Ends = {
  readonly units: ReadonlyMap<string, PlannedUnit>;
  readonly layout: Layout;
  readonly drivesAt: ReadonlyMap<string, readonly SeatedDrive[]>;
};

/** Seated drives by the bay group they are in. */
function seatedDrives(units: ReadonlyMap<string, PlannedUnit>, layout: Layout): Map<string, SeatedDrive[]> {
  const found = new Map<string, SeatedDrive[]>();
  for (const [id, { spot }] of Object.entries(layout.at)) {
    const drive = units.get(id)?.part;
    if (drive?.kind !== 'drive') continue;
    const key = `${spot.host}/${spot.key}`;
    const list = found.get(key);
    if (list) list.push({ spot, drive });
    else found.set(key, [{ spot, drive }]);
  }
  return found;
}

function checkWire(wire: Wire, ports: ReadonlyMap<string, HostPort>, ends: Ends): Violation[] {
  const about = wire.host.map(printSpot).join('+');
  const cable = cableKindById(wire.cable);
  const [hosts, devices] = cable?.shape === 'reverse' ? [cable.tails, 1] : [1, cable?.tails ?? 0];
  if (!cable || wire.host.length > hosts || wire.device.length > devices) return [{ code: 'cable', about }];
  const lanes = wire.lanes ?? [1];
  if (
    cable.shape !== 'straight' &&
    (new Set(lanes).size !== lanes.length || lanes.length !== Math.max(wire.host.length, wire.device.length))
  )
    return [{ code: 'laneTwice', about }];
  const faults: Violation[] = [];
  const live = wire.host.map((ref) => ports.get(printSpot(ref)));
  for (const port of live) {
    if (!port) faults.push({ code: 'noEnd', about });
    else if (port.lanes === 0) faults.push({ code: 'portOff', about: port.name });
    else if (port.kind !== cable.host) faults.push({ code: 'cable', about: port.name });
  }
  for (const ref of wire.device) {
    const end = deviceEnd(ref, ends, cable.shape === 'reverse' ? new Set(lanes) : null);
    if (!end) {
      faults.push({ code: 'noEnd', about: printSpot(ref) });
      continue;
    }
    // A SAS receptacle on a tail takes a SATA drive too.
    const plugs = end.kind === cable.device || (cable.device === 'sff-8482' && end.kind === 'sata');
    if (!plugs) faults.push({ code: 'cable', about: printSpot(ref) });
    // A drive behind a backplane that this port does not speak to goes without; a cable that speaks to none is wrong.
    const wanted = end.speaks ? [end.speaks] : end.drives.map(protocolOf);
    if (
      wanted.length > 0 &&
      wanted.every(
        (protocol) =>
          !cable.carries.includes(protocol) || live.some((port) => port && !port.carries.includes(protocol)),
      )
    )
      faults.push({ code: 'protocol', about: printSpot(ref) });
    for (const port of live) {
      if (!port) continue;
      const isSameBox = port.box === boxOfEnd(ref, ends);
      const through = cable.bracketAt === (port.inside ? 'host' : 'device');
      if (port.inside !== end.inside && !through) faults.push({ code: 'side', about: printSpot(ref) });
      // Inside both ends are in one box; through a bracket they are in two.
      else if (port.inside !== end.inside ? isSameBox : end.inside && !isSameBox)
        faults.push({ code: 'box', about: printSpot(ref) });
    }
    if (
      end.wants &&
      live.some((port) => port && (end.wants === 'sas' ? !port.carries.includes('sas') : !port.multiplier))
    )
      faults.push({ code: 'protocol', about: printSpot(ref) });
  }
  return faults;
}

const boxOfEnd = (ref: SpotRef, { units, layout }: Ends) =>
  boxAmong(ref.host, units, (unit) => seatSpot(layout, unit))?.id ?? null;

/** `shared` names what several drives hang on behind this end; `wants` is what its port must do for that. */
type DeviceEnd = {
  readonly shared: string | null;
  readonly wants: 'sas' | 'multiplier' | null;
  readonly kind: Target['kind'];
  readonly drives: readonly PartOf<'drive'>[];
  readonly speaks: Target['speaks'];
  readonly inside: boolean;
};

/**
 * The connector at a cable's device end and the drives it serves there: of a breakout in reverse, those on its lanes.
 */
function deviceEnd(
  ref: SpotRef,
  { units, layout, drivesAt }: Ends,
  served: ReadonlySet<number> | null,
): DeviceEnd | null {
  const unit = units.get(ref.host);
  if (!unit) return null;
  if (unit.part.kind === 'drive')
    return ref.key === DRIVE_DATA_KEY && layout.at[unit.id]
      ? { shared: null, wants: null, kind: driveConnector(unit.part), drives: [unit.part], speaks: null, inside: true }
      : null;
  if (unit.part.kind === 'expander') {
    const connector = unit.part.connectors.find((one) => one.key === ref.key && (ref.n ?? 1) <= one.count);
    return connector && layout.at[unit.id]
      ? {
          shared: unit.id,
          wants: 'sas',
          kind: connector.kind,
          drives: [],
          speaks: null,
          inside: connector.side === 'inside',
        }
      : null;
  }
  if (unit.part.kind !== 'chassis' && unit.part.kind !== 'adapter') return null;
  for (const group of unit.part.bayGroups) {
    const connector = group.backplane?.connectors.find((one) => ref.key === `${group.key}-${one.key}`);
    if (!group.backplane || !connector || (ref.n ?? 1) > connector.count) continue;
    const { backplane } = group;
    const name = printSpot(ref);
    const drives = (drivesAt.get(`${ref.host}/${group.key}`) ?? [])
      .filter(({ spot }) => {
        if (backplane.type !== 'direct') return true;
        const { target, lane } = targetOf(spot, group, backplane);
        return target.name === name && (!served || served.has(lane));
      })
      .map(({ drive }) => drive);
    const wants =
      backplane.type !== 'expander' ? null : connector.lanes > 1 ? ('sas' as const) : ('multiplier' as const);
    return {
      shared: backplane.type === 'direct' ? null : `${ref.host}/${group.key}`,
      wants,
      kind: connector.kind,
      drives,
      speaks: backplane.type === 'bridge' ? connector.carries[0] : null,
      inside: connector.side === 'inside',
    };
  }
  return null;
}
