import { memberAt } from '../lists';
import { printSpot, type Layout, type SpotRef } from '../build/layout';
import type { Backplane, BayGroup } from '../parts/chassisValues';
import type { Connector } from '../parts/connector';
import type { PartOf } from '../parts/resolve';
import type { ConnectorKind, Protocol } from '../parts/vocabulary';
import { boxAmong } from '../machine/hosts';
import { type SpotGroup } from '../machine/spots';
import { linkMBps } from './rates';
import { lanesLeft, type Left, type Uses } from './laneSharing';
import { throughConnectors } from './passOn';
import { memoPair } from '../memoLast';
import { isKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';

/**
 * One host-side connector: `lanes` is what is left of it, `offBecause` who took the others (a module
 * by a board's rule; the chassis, where an outside connector finds no opening). Cables inside stay in
 * their `box`.
 */
export type HostPort = {
  readonly ref: SpotRef;
  readonly name: string;
  readonly kind: ConnectorKind;
  readonly lanes: number;
  readonly fullLanes: number;
  readonly carries: readonly Protocol[];
  readonly onBoard: boolean;
  readonly unit: PlannedUnit;
  readonly offBecause: PlannedUnit | null;
  readonly inside: boolean;
  readonly gbPerLane: number;
  readonly box: string | null;
  /** Whether several drives may hang on it behind a SATA port multiplier. */
  readonly multiplier: boolean;
};

/** What a seated drive needs: a cable to its own connector, or a lane of its backplane's connector. */
export type Demand =
  | { readonly kind: 'bare'; readonly unit: PlannedUnit; readonly drive: PartOf<'drive'> }
  | {
      readonly kind: 'backplane';
      readonly unit: PlannedUnit;
      readonly drive: PartOf<'drive'>;
      readonly target: Target;
      readonly lane: number;
    };

/**
 * A backplane connector that must be fed: one of a direct backplane, or the first uplink of a
 * `shared` one (expander, port multiplier, bridge), which serves all of its bays. `speaks` is what
 * its cable carries where that is not what the drives speak.
 */
export type Target = {
  readonly ref: SpotRef;
  readonly name: string;
  readonly kind: ConnectorKind;
  readonly lanes: number;
  readonly shared: boolean;
  readonly carries: readonly Protocol[];
  readonly speaks: Protocol | null;
  readonly inside: boolean;
};

export const protocolOf = (drive: PartOf<'drive'>): Protocol => (drive.interface === 'nvme' ? 'pcie' : drive.interface);

/** Data connectors of a drive by interface (SFF-8482 for SAS, SFF-8639 for U.2). */
export const driveConnector = (drive: PartOf<'drive'>): ConnectorKind =>
  drive.interface === 'sas' ? 'sff-8482' : drive.interface === 'nvme' ? 'sff-8639' : 'sata';
export const DRIVE_DATA_KEY = 'data';

const copiesOf = (host: string, connector: Connector): SpotRef[] =>
  connector.count === 1
    ? [{ host, key: connector.key }]
    : Array.from({ length: connector.count }, (_, i) => ({ host, key: connector.key, n: i + 1 }));

export type SeatOf = (unit: PlannedUnit) => SpotRef | undefined;
export type Modes = Layout['modes'];

/** Host ports of every seated board and controller, with what board modes, rules and missing openings leave of them. */
export function hostPorts(units: readonly PlannedUnit[], seatOf: SeatOf, modes?: Modes): HostPort[] {
  const byId = unitsById(units);
  return units.flatMap((unit): HostPort[] => {
    const spot = seatOf(unit);
    if (!spot) return [];
    if (isKind(unit, 'controller')) {
      const wall = unit.part.connectors.some((one) => one.side === 'outside') ? wallBefore(spot, byId, seatOf) : null;
      return unit.part.connectors.flatMap((connector) =>
        portsOf(
          unit,
          connector,
          boxAmong(unit.id, byId, seatOf)?.id ?? null,
          (_n, full) => (connector.side === 'outside' && wall ? { lanes: 0, by: wall.id } : { lanes: full, by: null }),
          byId,
        ),
      );
    }
    if (!isKind(unit, 'board')) return [];
    const left = lanesLeft(unit.part, usesOf(unit.id, units, seatOf), modes?.[unit.id]);
    return unit.part.connectors.flatMap((connector) =>
      portsOf(
        unit,
        connector,
        boxAmong(unit.id, byId, seatOf)?.id ?? null,
        (n, full) => left(connector.key, n, full),
        byId,
        (n) => shareOfChip(unit.part, connector, n),
      ),
    );
  });
}

/** The same of a layout. */
export const portsIn = memoPair((units: readonly PlannedUnit[], layout: Layout): readonly HostPort[] =>
  hostPorts(units, (unit) => seatSpot(layout, unit), layout.modes),
);

/**
 * The connectors of what hands on: seated expander cards, of which one or two are fed by a host port and the others
 * feed, and shelves, through whose second one the next is chained.
 */
export function expanderPorts(units: readonly PlannedUnit[], seatOf: SeatOf): HostPort[] {
  const byId = unitsById(units);
  return units.flatMap((unit) => {
    const own = isKind(unit, 'chassis')
      ? throughConnectors(unit.part)
      : isKind(unit, 'expander') && seatOf(unit)
        ? unit.part.connectors
        : [];
    return own.flatMap((connector) =>
      portsOf(
        unit,
        connector,
        boxAmong(unit.id, byId, seatOf)?.id ?? null,
        (_n, full) => ({ lanes: full, by: null }),
        byId,
      ),
    );
  });
}

/** The added chip a port of a board is on. */
const chipOf = (board: PartOf<'board'>, key: string, n: number) =>
  board.addedChips?.find((chip) => chip.key === key && chip.ns.includes(n)) ?? null;

/** Gb/s of a port; of one on an added chip its part of what the chip's link carries while all are busy. */
function shareOfChip(board: PartOf<'board'>, { key, gbPerLane }: Connector, n: number): number {
  const chip = chipOf(board, key, n);
  return chip ? Math.min(gbPerLane, Math.floor(linkMBps(chip.lanes, chip.gen) / chip.ns.length) / 100) : gbPerLane;
}

function portsOf(
  unit: PlannedUnit,
  connector: Connector,
  box: string | null,
  left: (n: number, full: number) => Left,
  byId: ReadonlyMap<string, PlannedUnit>,
  gbOf: (n: number) => number = () => connector.gbPerLane,
): HostPort[] {
  if (connector.role === 'device') return [];
  const onBoard = isKind(unit, 'board');
  return copiesOf(unit.id, connector).map((ref, i) => {
    const { lanes, by } = left(i + 1, connector.lanes);
    return {
      ref,
      name: printSpot(ref),
      kind: connector.kind,
      lanes,
      fullLanes: connector.lanes,
      carries: connector.carries,
      onBoard,
      unit,
      offBecause: by ? (byId.get(by) ?? null) : null,
      inside: connector.side === 'inside',
      gbPerLane: gbOf(i + 1),
      box,
      multiplier: isKind(unit, 'controller') && unit.part.portMultiplier,
    };
  });
}

/** What sits in the sockets and slots of a board, and as what. */
export function usesOf(board: string, units: readonly PlannedUnit[], seatOf: SeatOf): Uses {
  const uses = new Map<string, { as: Protocol; by: string }>();
  for (const unit of units) {
    const spot = seatOf(unit);
    if (spot?.host === board)
      uses.set(spot.key, { as: isKind(unit, 'drive') ? protocolOf(unit.part) : 'pcie', by: unit.id });
  }
  return uses;
}

/**
 * The chassis whose rear wall is closed behind a card's slot; null where there is an opening. A riser stands in its own
 * slot's opening.
 */
export function wallBefore(spot: SpotRef, byId: ReadonlyMap<string, PlannedUnit>, seatOf: SeatOf): PlannedUnit | null {
  const host = byId.get(spot.host);
  const hostSpot = host && isKind(host, 'riser') ? seatOf(host) : undefined;
  if (hostSpot) return wallBefore(hostSpot, byId, seatOf);
  const box = boxAmong(spot.host, byId, seatOf);
  if (!host || !isKind(host, 'board') || !box || !isKind(box, 'chassis')) return null;
  const position = host.part.slots.find((slot) => slot.key === spot.key)?.position ?? 0;
  return position < box.part.openings.reduce((sum, one) => sum + one.count, 0) ? null : box;
}

export function demandOf(unit: UnitOf<'drive'>, spot: SpotRef, group: SpotGroup): Demand | null {
  if (group.type !== 'bay') return null;
  const { backplane } = group.group;
  if (!backplane) return { kind: 'bare', unit, drive: unit.part };
  const { target, lane } = targetOf(spot, group.group, backplane);
  return { kind: 'backplane', unit, drive: unit.part, target, lane };
}

const targets = new WeakMap<BayGroup, Map<string, readonly Target[]>>();

/** All connectors of a backplane that cables end at. */
export function targetsOf(host: string, group: BayGroup, backplane: Backplane): readonly Target[] {
  const ofGroup = targets.get(group) ?? new Map<string, readonly Target[]>();
  targets.set(group, ofGroup);
  let found = ofGroup.get(host);
  if (!found) {
    found = backplane.connectors.flatMap((connector) =>
      copiesOf(host, { ...connector, key: `${group.key}-${connector.key}` }).map((ref) => ({
        ref,
        name: printSpot(ref),
        kind: connector.kind,
        lanes: connector.lanes,
        shared: backplane.type !== 'direct',
        carries: backplane.carries,
        speaks: backplane.type === 'bridge' ? connector.carries[0] : null,
        inside: connector.side === 'inside',
      })),
    );
    ofGroup.set(host, found);
  }
  return found;
}

/** The backplane connector behind a bay and its lane there; a shared one is the target of all its bays. */
export function targetOf(spot: SpotRef, group: BayGroup, backplane: Backplane): { target: Target; lane: number } {
  const all = targetsOf(spot.host, group, backplane);
  const n = spot.n ?? 1;
  const at =
    backplane.type !== 'direct' ? 0 : Math.min(Math.floor((n - 1) / backplane.baysPerConnector), all.length - 1);
  return {
    target: memberAt(all, at),
    lane: backplane.type !== 'direct' ? 1 : ((n - 1) % backplane.baysPerConnector) + 1,
  };
}
