import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import { lanesAt } from '../solve/checkLayout';
import { limitFor, needsRiser } from '../geometry/clearance';
import { boxAmong } from '../machine/hosts';
import { demandsFor } from '../links/demands';
import { cableKindById, type CableKind } from '../links/cableKinds';
import { mismatch } from '../machine/accepts';
import { expanderPorts, hostPorts, protocolOf, type Demand, type HostPort } from '../links/ports';
import type { Problem } from '../solve/problem';
import { cardWishMBps, laneMBps, PCIE_LANE_MBPS, dealtMBps, speaksSataAlone, uplinkGb } from '../links/rates';
import { passesOn } from '../links/passOn';
import { groupAt } from '../machine/spotAt';
import { liveWires, wireServing, type LiveWire } from '../links/unconnected';
import {
  cardReachMm,
  hasPlaces,
  isCard,
  isKind,
  ofKind,
  seatSpot,
  unitsById,
  type PlannedUnit,
} from '../machine/units';

/**
 * The levels of docs/decisions/placement.md in their order, units without a place and drives without a cable by rank.
 */
export const RECKONED = [
  'dataOut',
  'bootOut',
  'cardsOut',
  'restOut',
  'dataLoose',
  'bootLoose',
  'restLoose',
  'putsBroken',
  'misfits',
  'mbLost',
  'bootOffBoard',
  'hotPairs',
  'otherBox',
  'cablesToBuy',
  'moves',
  'partlyUsed',
] as const;

/**
 * How good a finished layout is, reckoned from the layout alone and unit by unit, as the page says
 * it: no classes, no counts, nothing of the solver.
 */
export function reckon(problem: Problem, hint: Layout, layout: Layout): number[] {
  const { units } = problem;
  const byId = unitsById(units);
  const sum = {
    dataOut: 0,
    bootOut: 0,
    cardsOut: 0,
    restOut: 0,
    dataLoose: 0,
    bootLoose: 0,
    restLoose: 0,
    putsBroken: 0,
    misfits: 0,
    mbLost: 0,
    bootOffBoard: 0,
    hotPairs: 0,
    otherBox: 0,
    cablesToBuy: 0,
    moves: 0,
    partlyUsed: 0,
  };
  const live = liveWires(units, layout.wires);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  const ports = new Map(
    [...hostPorts(units, seatOf, layout.modes), ...expanderPorts(units, seatOf)].map((port) => [port.name, port]),
  );
  const served: { readonly demand: Demand; readonly wire: Wire }[] = [];

  for (const unit of units) {
    if (unit.builtIn || !hasPlaces(unit)) continue;
    if (!layout.at[unit.id])
      sum[
        isCard(unit.part)
          ? ('cardsOut' as const)
          : isKind(unit, 'drive')
            ? (`${rankOf(unit)}Out` as const)
            : ('restOut' as const)
      ]++;
  }
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) {
      sum[`${rankOf(demand.unit)}Loose`]++;
      continue;
    }
    served.push({ demand, wire });
    const at =
      demand.kind === 'backplane' && cableKindById(wire.cable)!.shape === 'reverse'
        ? wire.lanes!.indexOf(demand.lane)
        : 0;
    const port = ports.get(printSpot(wire.host[at]!))!;
    const group = groupAt(byId, layout.at[demand.unit.id]!.spot)!;
    const behind = group.type === 'bay' ? (group.group.backplane?.gbPerLane ?? Infinity) : Infinity;
    const shared = demand.kind === 'backplane' && demand.target.shared;
    const lanes =
      demand.drive.interface !== 'nvme'
        ? 1
        : Math.min(demand.drive.lanes, demand.kind === 'backplane' ? demand.target.lanes : port.lanes);
    sum.mbLost += Math.max(
      0,
      Math.round(
        dealtMBps(demand.drive) -
          lanes * laneMBps(protocolOf(demand.drive), shared ? behind : Math.min(port.gbPerLane, behind)),
      ),
    );
    if (demand.unit.role === 'boot' && !port.onBoard) sum.bootOffBoard++;
  }
  sum.mbLost += pastUplinks(served, layout, ports, byId);
  for (const { id, role } of units) {
    const host = layout.at[id] && groupAt(byId, layout.at[id].spot);
    if (role === 'boot' && host?.type === 'm2' && byId.get(host.host)!.part.kind !== 'board') sum.bootOffBoard++;
  }
  for (const unit of units) sum.misfits += Number(misfits(unit, layout, byId));
  const lanes = lanesAt(units, layout);
  for (const unit of units) sum.mbLost += linkLoss(unit, layout, byId, lanes);
  sum.hotPairs = hotPairs(units, layout, byId);

  for (const [unit, was] of boxesBefore(units, hint)) {
    const seat = layout.at[unit.id];
    if (seat && boxKey(seat.spot, byId, seatOf) !== was) sum.otherBox++;
  }
  for (const [unit, wish] of wishesIn(units, hint)) {
    const seat = layout.at[unit.id];
    if (seat && printSpot(seat.spot) === printSpot(wish.spot)) continue;
    sum.moves++;
    if (wish.how === 'put') sum.putsBroken++;
  }
  const used = new Map<string, number>();
  for (const wire of layout.wires) used.set(wire.cable, (used.get(wire.cable) ?? 0) + 1);
  for (const [cable, count] of used)
    sum.cablesToBuy += Math.max(0, count - (problem.owned?.get(cable) ?? 0)) * (isPlain(cableKindById(cable)!) ? 1 : 2);

  for (const was of hint.wires)
    sum.moves += Number((ports.get(printSpot(was.host[0]))?.lanes ?? 0) > 0 && movedCable(was, layout, live, byId));
  for (const wire of layout.wires) {
    const { shape } = cableKindById(wire.cable)!;
    if (shape === 'forward') {
      sum.partlyUsed += Number(wire.device.length < 4);
      continue;
    }
    const mine = served.filter((one) => one.wire === wire && one.demand.kind === 'backplane').length;
    const target = served.find((one) => one.wire === wire)?.demand;
    if (target?.kind === 'backplane' && target.target.lanes > 1 && !target.target.shared)
      sum.partlyUsed += Number(mine < baysBehind(target, byId, layout));
  }
  return RECKONED.map((level) => sum[level]);
}

/** Negative when the first is the better. */
export function compareLevels(one: readonly number[], other: readonly number[]): number {
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) return one[i]! - other[i]!;
  return 0;
}

export const rankOf = ({ role }: PlannedUnit): 'data' | 'boot' | 'rest' =>
  role === undefined || role === 'data' || role === 'meta' ? 'data' : role === 'boot' ? 'boot' : 'rest';

type Wish = { readonly spot: SpotRef; readonly how: 'held' | 'put' | 'solved' };

/**
 * Whose places and sleeping places in a hint count: of several for one place the firmest, then the first of the kit.
 */
export function wishesIn(units: readonly PlannedUnit[], hint: Layout): [PlannedUnit, Wish][] {
  const byId = unitsById(units);
  const firm = ['held', 'put', 'solved'];
  const claimed = new Set<string>();
  return units
    .filter((unit) => isKind(unit, 'drive') || isCard(unit.part) || isKind(unit, 'riser') || isKind(unit, 'adapter'))
    .flatMap((unit): [PlannedUnit, Wish][] => {
      const wish = hint.dormant[unit.id] ?? hint.at[unit.id];
      const group = wish && groupAt(byId, wish.spot);
      return wish && group && !mismatch(unit.part, group) ? [[unit, wish]] : [];
    })
    .sort(([, a], [, b]) => firm.indexOf(a.how) - firm.indexOf(b.how))
    .filter(([, { spot }]) => !claimed.has(printSpot(spot)) && claimed.add(printSpot(spot)));
}

/** The box a bay is in, drive shelves that hand on as one: `seatOf` says where adapters sit. */
export function boxKey(
  { host }: SpotRef,
  byId: ReadonlyMap<string, PlannedUnit>,
  seatOf: (unit: PlannedUnit) => SpotRef | undefined,
): string | null {
  const box = boxAmong(host, byId, seatOf);
  return box && (passesOn(box) ? 'shelves' : box.id);
}

/** Drives for bays with the box each was in. */
export function boxesBefore(units: readonly PlannedUnit[], hint: Layout): [PlannedUnit, string][] {
  const byId = unitsById(units);
  const places = wishesIn(units, hint);
  const wasAt = new Map(places.map(([unit, { spot }]) => [unit, spot]));
  return places.flatMap(([unit, { spot }]) => {
    const inBay = isKind(unit, 'drive') && !['m2', 'usb'].includes(unit.part.size);
    const box = inBay ? boxKey(spot, byId, (one) => one.builtIn?.spot ?? wasAt.get(one)) : null;
    return box === null ? [] : [[unit, box]];
  });
}

function baysBehind(
  demand: Extract<Demand, { kind: 'backplane' }>,
  byId: ReadonlyMap<string, PlannedUnit>,
  layout: Layout,
): number {
  const host = byId.get(demand.target.ref.host)!.part;
  const group =
    host.kind === 'chassis' || host.kind === 'adapter'
      ? host.bayGroups.find((one) => demand.target.ref.key.startsWith(`${one.key}-`))!
      : null!;
  const { baysPerConnector, connectors } = group.backplane!;
  const nth = (demand.target.ref.n ?? 1) - 1;
  const last = connectors[0].count - 1;
  return Array.from({ length: group.rows * group.columns }, (_, i) => i)
    .filter((i) => Math.min(Math.floor(i / baysPerConnector), last) === nth)
    .filter(
      (i) =>
        !Object.entries(layout.at).some(
          ([id, { spot }]) =>
            byId.get(id)?.part.kind === 'adapter' &&
            spot.host === demand.target.ref.host &&
            spot.key === group.key &&
            (spot.n ?? 1) === i + 1,
        ),
    ).length;
}

function misfits(unit: PlannedUnit, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): boolean {
  const spot = layout.at[unit.id]?.spot;
  const group = spot && groupAt(byId, spot);
  if (!group) return false;
  if (group.type === 'bay') return isKind(unit, 'drive') && unit.part.heightMm > group.group.maxDriveHeightMm;
  const box = boxAmong(spot.host, byId, (one) => seatSpot(layout, one));
  const rear = rearOf(spot, layout, byId);
  if (!rear || !isCard(unit.part) || !box || !isKind(box, 'chassis')) return false;
  const limit = limitFor(box.part, 'card', { slot: rear.position, occupied: new Set() });
  const openings = box.part.openings.reduce((sum, one) => sum + one.count, 0);
  if (byId.get(spot.host)?.part.kind === 'board' && needsRiser(box.part, rear.position)) return true;
  return (
    (!!limit && cardReachMm(unit.part) > limit.maxMm) ||
    (unit.part.brackets.length > 0 && rear.position + Math.ceil(unit.part.thickSlots) > openings)
  );
}

function linkLoss(
  unit: PlannedUnit,
  layout: Layout,
  byId: ReadonlyMap<string, PlannedUnit>,
  lanesAt: (spot: SpotRef) => number,
): number {
  const { part } = unit;
  const spot = layout.at[unit.id]?.spot;
  const group = spot && groupAt(byId, spot);
  if (group?.type === 'm2' && part.kind === 'drive' && part.interface === 'nvme')
    return Math.max(
      0,
      Math.round(
        dealtMBps(part) -
          lanesAt(spot!) * PCIE_LANE_MBPS[Math.min(part.pcieGen ?? 3, ...gensDown(spot!, layout, byId))]!,
      ),
    );
  if (
    group?.type !== 'slot' ||
    !isCard(part) ||
    part.kind === 'carrier' ||
    part.kind === 'expander' ||
    part.bus !== 'pcie'
  )
    return 0;
  return Math.max(
    0,
    cardWishMBps(part) -
      Math.min(part.lanes, lanesAt(spot!)) * PCIE_LANE_MBPS[Math.min(part.gen, ...gensDown(spot!, layout, byId))]!,
  );
}

/** Generations of a place and of the slots under it, down to the board. */
function gensDown(spot: SpotRef, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): number[] {
  const group = groupAt(byId, spot);
  const below = layout.at[spot.host]?.spot;
  const own = group?.type === 'slot' ? [group.slot.gen] : group?.type === 'm2' ? [group.socket.gen] : [];
  return own.length > 0 && below ? [...own, ...gensDown(below, layout, byId)] : own;
}

type Served = { readonly demand: Demand; readonly wire: Wire };

/** MB/s asked of expanders and bridges, backplanes and cards, past what their uplinks carry. */
function pastUplinks(
  served: readonly Served[],
  layout: Layout,
  ports: ReadonlyMap<string, HostPort>,
  byId: ReadonlyMap<string, PlannedUnit>,
): number {
  const wishes = (of: (one: Served) => boolean) =>
    served.filter(of).reduce((sum, { demand }) => sum + dealtMBps(demand.drive), 0);
  const sataAlone = speaksSataAlone(ofKind([...byId.values()], 'drive').map(({ part }) => part));
  let lost = 0;
  const groups = new Set(
    served.flatMap(({ demand }) =>
      demand.kind === 'backplane' && demand.target.shared ? [`${demand.target.ref.host}/${demand.target.ref.key}`] : [],
    ),
  );
  for (const group of groups) {
    const mine = (one: Served) =>
      one.demand.kind === 'backplane' && `${one.demand.target.ref.host}/${one.demand.target.ref.key}` === group;
    const { target } = served.find(mine)!.demand as Extract<Demand, { kind: 'backplane' }>;
    const { spot } = layout.at[served.find(mine)!.demand.unit.id]!;
    const at = groupAt(byId, spot)!;
    const behind = at.type === 'bay' ? at.group.backplane! : undefined;
    const own = behind?.connectors[0]!.gbPerLane ?? Infinity;
    const gathers = behind?.type === 'expander' ? behind.edgeBuffering : true;
    const carried = layout.wires
      .filter(({ device }) => `${device[0].host}/${device[0].key}` === group)
      .reduce(
        (sum, { host }) =>
          sum +
          target.lanes *
            laneMBps(
              target.speaks ?? 'sas',
              uplinkGb(Math.min(ports.get(printSpot(host[0]))!.gbPerLane, own), gathers, sataAlone),
            ),
        0,
      );
    lost += Math.max(0, wishes(mine) - carried);
  }
  for (const card of byId.values()) {
    if (!isKind(card, 'expander')) continue;
    const { lanes, gbPerLane } = card.part.connectors[0];
    const uplinks = layout.wires
      .filter(({ device }) => device[0].host === card.id)
      .reduce(
        (sum, { host }) =>
          sum +
          lanes *
            laneMBps(
              'sas',
              uplinkGb(
                Math.min(gbPerLane, ports.get(printSpot(host[0]))!.gbPerLane),
                card.part.edgeBuffering,
                sataAlone,
              ),
            ),
        0,
      );
    lost += Math.max(0, wishes(({ wire }) => wire.host[0].host === card.id) - uplinks);
  }
  return lost;
}

/** Whether what a settled cable fed is fed otherwise now, or its port carries no cable of its kind any more. */
function movedCable(
  was: Wire,
  layout: Layout,
  live: ReadonlyMap<string, LiveWire>,
  byId: ReadonlyMap<string, PlannedUnit>,
): boolean {
  const { shape, device } = cableKindById(was.cable)!;
  const [from, to] = [printSpot(was.host[0]), was.device[0]];
  const host = byId.get(to.host);
  const same = (wire: Wire) => wire.cable === was.cable && printSpot(wire.host[0]) === from;
  const group =
    host && (isKind(host, 'chassis') || isKind(host, 'adapter'))
      ? host.part.bayGroups.find((one) => to.key.startsWith(`${one.key}-`))
      : undefined;
  const shared = (host && isKind(host, 'expander')) || (group?.backplane && group.backplane.type !== 'direct');
  if (shared) {
    const into = layout.wires.filter(
      (wire) => wire.device[0].host === to.host && (host!.part.kind === 'expander' || wire.device[0].key === to.key),
    );
    return into.length > 0 && !into.some(same);
  }
  if (
    shape !== 'forward' &&
    !['sata', 'sff-8482', ...(host && isKind(host, 'drive') ? ['sff-8639'] : [])].includes(device)
  ) {
    const now = live.get(printSpot(to))?.wire;
    return !!now && (shape === 'reverse' ? cableKindById(now.cable)!.shape !== 'reverse' : !same(now));
  }
  return !layout.wires.some(same);
}

/** Where a card stands at the rear wall: one on a riser where that stands. */
function rearOf(
  spot: SpotRef,
  layout: Layout,
  byId: ReadonlyMap<string, PlannedUnit>,
): { board: string; position: number } | null {
  const host = byId.get(spot.host);
  const group = groupAt(byId, spot);
  if (!host || group?.type !== 'slot') return null;
  const under = isKind(host, 'board') ? undefined : layout.at[host.id]?.spot;
  return isKind(host, 'board')
    ? { board: host.id, position: group.slot.position }
    : under
      ? rearOf(under, layout, byId)
      : null;
}

/** Pairs of cards side by side that both need moving air. */
function hotPairs(units: readonly PlannedUnit[], layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): number {
  const hot = units.flatMap((unit) => {
    const rear =
      layout.at[unit.id] && isCard(unit.part) && unit.part.needsAirMPerS !== null
        ? rearOf(layout.at[unit.id]!.spot, layout, byId)
        : null;
    return rear && isCard(unit.part) ? [{ ...rear, to: rear.position + Math.ceil(unit.part.thickSlots) }] : [];
  });
  return hot.reduce(
    (sum, one) => sum + hot.filter((other) => other.board === one.board && one.to === other.position).length,
    0,
  );
}

/** A single cable, neither split nor led through a bracket. */
const isPlain = ({ shape, bracketAt }: CableKind): boolean => shape === 'straight' && !bracketAt;
