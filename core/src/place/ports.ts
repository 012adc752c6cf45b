import { printSpot, type SpotRef } from '../build/layout';
import type { Backplane, BayGroup } from '../parts/chassisValues';
import type { Connector } from '../parts/connector';
import type { PartOf } from '../parts/resolve';
import type { ConnectorKind, Protocol } from '../parts/vocabulary';
import { isKind, type PlannedUnit } from './units';
import { type SpotGroup } from './spots';

/** One host-side connector: `lanes` is what the board's rules leave of it, `offBecause` who took them. */
export type HostPort = {
  readonly ref: SpotRef; readonly name: string; readonly kind: ConnectorKind; readonly lanes: number; readonly fullLanes: number;
  readonly carries: readonly Protocol[]; readonly onBoard: boolean; readonly unit: PlannedUnit; readonly offBecause: PlannedUnit | null; readonly inside: boolean; readonly gbPerLane: number;
};

/** What a seated drive needs: a lead to its own connector, or a lane of its backplane's connector. */
export type Demand =
  | { readonly kind: 'bare'; readonly unit: PlannedUnit; readonly drive: PartOf<'drive'> }
  | { readonly kind: 'backplane'; readonly unit: PlannedUnit; readonly drive: PartOf<'drive'>; readonly target: Target; readonly lane: number };

/**
 * A backplane connector that must be fed: one of a direct backplane, or the first uplink of a
 * `shared` one (expander, port multiplier, bridge), which serves all of its bays. `speaks` is what
 * its lead carries where that is not what the drives speak.
 */
export type Target = {
  readonly ref: SpotRef; readonly name: string; readonly kind: ConnectorKind; readonly lanes: number; readonly shared: boolean;
  readonly carries: readonly Protocol[]; readonly speaks: Protocol | null; readonly inside: boolean;
};

export const protocolOf = (drive: PartOf<'drive'>): Protocol => (drive.interface === 'nvme' ? 'pcie' : drive.interface);

/** Data connectors of a drive by interface (SFF-8482 for SAS, SFF-8639 for U.2). */
export const driveConnector = (drive: PartOf<'drive'>): ConnectorKind => (drive.interface === 'sas' ? 'sff-8482' : drive.interface === 'nvme' ? 'sff-8639' : 'sata');
export const DRIVE_DATA_KEY = 'data';

const copiesOf = (host: string, connector: Connector): SpotRef[] =>
  connector.count === 1 ? [{ host, key: connector.key }] : Array.from({ length: connector.count }, (_, i) => ({ host, key: connector.key, n: i + 1 }));

/** Host ports of every seated board and controller, less what M.2 sockets in use switch off. */
export function hostPorts(units: readonly PlannedUnit[], seatOf: (unit: PlannedUnit) => SpotRef | undefined): HostPort[] {
  const seated = units.filter((unit) => seatOf(unit));
  return seated.flatMap((unit): HostPort[] => {
    if (isKind(unit, 'controller')) return unit.part.connectors.flatMap((connector) => portsOf(unit, connector, false, () => null));
    if (!isKind(unit, 'board')) return [];
    const off = takenBySockets(unit.part, unit.id, seated, seatOf);
    return unit.part.connectors.flatMap((connector) => portsOf(unit, connector, true, (n) => off.get(`${connector.key}.${n}`) ?? null));
  });
}

type Taken = { readonly lanes: number; readonly by: PlannedUnit };

function portsOf(unit: PlannedUnit, connector: Connector, onBoard: boolean, taken: (n: number) => Taken | null): HostPort[] {
  if (connector.role === 'device') return [];
  return copiesOf(unit.id, connector).map((ref, i) => {
    const off = taken(i + 1);
    return {
      ref, name: printSpot(ref), kind: connector.kind, lanes: off ? Math.min(off.lanes, connector.lanes) : connector.lanes, fullLanes: connector.lanes,
      carries: connector.carries, onBoard, unit, offBecause: off?.by ?? null, inside: connector.side === 'inside', gbPerLane: connector.gbPerLane,
    };
  });
}

function takenBySockets(board: PartOf<'board'>, host: string, seated: readonly PlannedUnit[], seatOf: (unit: PlannedUnit) => SpotRef | undefined): Map<string, Taken> {
  const taken = new Map<string, Taken>();
  for (const rule of board.rules) {
    const user = seated.find((unit) => {
      const spot = seatOf(unit)!;
      if (spot.host !== host || spot.key !== rule.when.key) return false;
      return rule.when.as === 'any' || (isKind(unit, 'drive') && protocolOf(unit.part) === rule.when.as) || (!isKind(unit, 'drive') && rule.when.as === 'pcie');
    });
    if (!user) continue;
    for (const then of rule.then) {
      const count = board.connectors.find((connector) => connector.key === then.key)?.count ?? 0;
      for (const n of then.ns ?? Array.from({ length: count }, (_, i) => i + 1)) taken.set(`${then.key}.${n}`, { lanes: then.lanes, by: user });
    }
  }
  return taken;
}

/** Whether using a socket takes storage ports away, and how many. */
export function portsTakenBy(board: PartOf<'board'>, socketKey: string, protocol: Protocol): number {
  return board.rules
    .filter((rule) => rule.when.key === socketKey && (rule.when.as === 'any' || rule.when.as === protocol))
    .flatMap((rule) => rule.then)
    .reduce((sum, then) => sum + (then.ns?.length ?? board.connectors.find((one) => one.key === then.key)?.count ?? 0), 0);
}

export function demandOf(unit: PlannedUnit & { readonly part: PartOf<'drive'> }, spot: SpotRef, group: SpotGroup): Demand | null {
  if (group.type !== 'bay') return null;
  const { backplane } = group.group;
  if (!backplane) return { kind: 'bare', unit, drive: unit.part };
  const { target, lane } = targetOf(spot, group.group, backplane);
  return { kind: 'backplane', unit, drive: unit.part, target, lane };
}

const targets = new WeakMap<BayGroup, Map<string, readonly Target[]>>();

function targetsOf(host: string, group: BayGroup, backplane: Backplane): readonly Target[] {
  const ofGroup = targets.get(group) ?? new Map<string, readonly Target[]>();
  targets.set(group, ofGroup);
  let found = ofGroup.get(host);
  if (!found) {
    found = backplane.connectors.flatMap((connector) => copiesOf(host, { ...connector, key: `${group.key}-${connector.key}` }).map((ref) => ({ ref, name: printSpot(ref), kind: connector.kind, lanes: connector.lanes, shared: backplane.type !== 'direct', carries: backplane.carries, speaks: backplane.type === 'bridge' ? connector.carries[0]! : null, inside: connector.side === 'inside' })));
    ofGroup.set(host, found);
  }
  return found;
}

/** The backplane connector behind a bay and its lane there; a shared one is the target of all its bays. */
export function targetOf(spot: SpotRef, group: BayGroup, backplane: Backplane): { target: Target; lane: number } {
  const all = targetsOf(spot.host, group, backplane);
  const n = spot.n ?? 1;
  const at = backplane.type !== 'direct' ? 0 : Math.min(Math.floor((n - 1) / backplane.baysPerConnector), all.length - 1);
  return {
    target: all[at]!,
    lane: backplane.type !== 'direct' ? 1 : ((n - 1) % backplane.baysPerConnector) + 1,
  };
}
