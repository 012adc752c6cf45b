import { chainShelves } from './chainShelves';
import { printSpot, type Layout } from '../../build/layout';
import { boxAmong } from '../../machine/hosts';
import { cableKindBetween, cableKindById } from '../../links/cableKinds';
import { mismatch } from '../../machine/accepts';
import {
  DRIVE_DATA_KEY,
  driveConnector,
  expanderPorts,
  hostPorts,
  protocolOf,
  targetsOf,
  type HostPort,
  type SeatOf,
  type Target,
} from '../../links/ports';
import { laneMBps, dealtMBps, uplinkGb } from '../../links/rates';
import type { PartOf } from '../../parts/resolve';
import { refsOf } from '../../machine/spots';
import { isKind, ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import { firmAllows, firmCables, NOTHING_FIRM, type Firm } from './boundCables';
import { looseOf, outOf, rankOf } from './roles';
import { MOVE, PUT_BROKEN, type Score } from './score';
import type {
  Bay,
  Cell,
  ChainLink,
  DriveClass,
  DriveUnit,
  EndClass,
  EndCable,
  ExpanderCell,
  Feed,
  PortClass,
  Table,
} from './table';
import type { Wishes } from './wishes';

export type Laid = { readonly table: Table; readonly score: Score };
type Given = {
  readonly units: readonly PlannedUnit[];
  readonly groups: readonly BayGroupHere[];
  readonly covered: ReadonlySet<string>;
  readonly seatOf: SeatOf;
  readonly modes: Layout['modes'];
  readonly wishes: Wishes;
  readonly wires: Layout['wires'];
  readonly owned: ReadonlyMap<string, number>;
};

/**
 * The table for one way of seating cards and adapters, and what is lost with it: wishes for bays that are covered now.
 */
export function layTable(given: Given): Laid {
  const { units, seatOf, wishes } = given;
  const byId = unitsById(units);
  const drives = units.filter(
    (unit): unit is DriveUnit =>
      isKind(unit, 'drive') && !unit.builtIn && unit.part.size !== 'm2' && unit.part.size !== 'usb',
  );
  const plain = chained(
    given,
    given.groups.flatMap((group) => cellShapes(group, given.covered, boxAmong(group.host, byId, seatOf)?.id ?? null)),
  );
  const expanders = units.filter((unit) => isKind(unit, 'expander') && seatOf(unit));
  const sharing = expanders.length > 0 || plain.some((shape) => shape.targets.length > 1 && shape.kind === 'shared');
  // Of a cable from shelf to shelf the chains are made; it binds no port.
  const shelves = new Set(ofKind(units, 'chassis').map(({ id }) => id as string));
  const toPorts = given.wires.filter((wire) => !wire.host.some(({ host }) => shelves.has(host)));
  const firm = toPorts.every(({ how }) => how === 'solved')
    ? NOTHING_FIRM
    : firmCables(
        toPorts,
        new Set(
          [
            ...hostPorts(units, seatOf, given.modes).filter(({ lanes }) => lanes > 0),
            ...expanderPorts(units, seatOf),
          ].map(({ name }) => name),
        ),
        new Set(
          [
            ...plain.filter(({ kind }) => kind === 'shared').flatMap(({ targets }) => targets),
            ...expanderPorts(units, seatOf),
          ].map(({ name }) => name),
        ),
      );
  const shapes = plain.flatMap((shape) => tiedApart(shape, firm));
  const classes = classDrives(drives, shapes, firm);
  const sataAlone = classes.every(({ protocol }) => protocol !== 'sas');
  const sharesAny = sharing || shapes.some((shape) => shape.kind === 'shared');
  const limits = units.flatMap((unit) =>
    isKind(unit, 'controller') &&
    seatOf(unit) &&
    unit.part.mostDevices < Math.min(drives.length, sharesAny ? Infinity : lanesOf(unit.part))
      ? [{ unit: unit.id as string, most: unit.part.mostDevices }]
      : [],
  );
  const ports = classPorts(
    given,
    expanders,
    limits.map((one) => one.unit),
    sharing,
    firm,
    sataAlone,
  );
  const owned = [...given.owned].map(([cable, count]) => ({ cable, count }));
  const ownedAt = (cable: string) => owned.findIndex((one) => one.cable === cable);
  const joined = new Set([
    ...shapes.flatMap((shape) => (shape.kind === 'loose' ? [] : shape.targets.map((target) => target.name))),
    ...ports.flatMap((one) => (one.behind >= 0 ? one.ports.map((port) => port.name) : [])),
  ]);
  const settled = settledCables(given.wires, ports, joined);
  const ends: EndClass[] = [];
  const endAt = new Map<string, number>();
  const cells = shapes.map((shape): Cell => {
    const where = new Map(shape.bays.map((bay) => [bay.name, bay]));
    const here = (unit: DriveUnit, how?: string) => {
      const wish = wishes.get(unit.id);
      return !!wish && where.has(wish.name) && (!how || wish.seat.how === how);
    };
    const count = (how?: string) => classes.map((one) => one.units.filter((unit) => here(unit, how)).length);
    const feeds =
      shape.kind === 'loose'
        ? []
        : feedsOf(shape.targets[0]!, shape, classes, ports, ownedAt).filter((feed) =>
            firmAllows(
              firm,
              ports[feed.port]!.ports.map(({ name }) => name),
              shape.targets.map(({ name }) => name),
            ),
          );
    const reverse =
      shape.kind === 'direct' && shape.targets.every(({ name }) => (firm.portOf.get(name) ?? null) === null)
        ? cableKindBetween('reverse', 'sata', shape.targets[0]!.kind)
        : undefined;
    const cables = shape.targets.flatMap((target) => settled.toTarget.get(target.name) ?? []);
    return {
      kind: shape.kind,
      group: shape.group,
      box: shape.box,
      bays: shape.bays,
      targets: shape.targets,
      links: shape.links ?? [],
      lanes: shape.lanes,
      laneGb: shape.gb,
      takes: classes.map((one) => shape.takes(one.units[0]!)),
      taste: classes.map((one) => tasteOf(one.units[0]!, shape.group)),
      home: count(),
      put: count('put'),
      held: count('held'),
      fedFrom: cables.filter((one) => !one.reverse).map((one) => one.port),
      feeds,
      reverse: reverse?.id ?? null,
      wasReverse: cables.some((one) => one.reverse),
      joinedFrom: cables.flatMap((one) => (one.reverse ? one.ports : [])),
      ends:
        shape.kind !== 'loose'
          ? []
          : classes.map((one, i) => {
              if (shape.takes(one.units[0]!) === 0) return -1;
              const bare = !shape.group.group.backplane;
              const kind = bare ? driveConnector(one.units[0]!.part) : shape.targets[0]!.kind;
              const inside = bare || shape.targets[0]!.inside;
              // Ends that a cable may be tied to: a drive's own, or the connector of the one bay of a cell.
              const own = bare ? [endName(one.units[0]!)] : shape.tied ? [shape.tied] : [];
              const key = `${i}|${kind}|${bare}|${inside}|${shape.box}|${shape.gb}|${shape.tied ?? ''}`;
              let at = endAt.get(key);
              if (at === undefined) {
                endAt.set(key, (at = ends.length));
                ends.push({
                  tied: ports.findIndex(
                    (port) =>
                      port.firm && port.ports.some(({ name }) => own.some((end) => name === firm.portOf.get(end))),
                  ),
                  drive: i,
                  box: shape.box,
                  kind,
                  bare,
                  serves: ports.map((port) =>
                    firmAllows(
                      firm,
                      port.ports.map(({ name }) => name),
                      own,
                    )
                      ? endCable(one, kind, bare, inside, shape, port)
                      : null,
                  ),
                });
              }
              return at;
            }),
    };
  });
  const there = new Set(cells.flatMap((cell) => cell.bays.map((bay) => bay.name)));
  const gone = drives.filter((unit) => {
    const wish = wishes.get(unit.id);
    return wish && !there.has(wish.name);
  });
  return {
    table: {
      drives: classes,
      cells,
      ports,
      ends,
      owned,
      limits,
      expanders: expanders.map((unit) => expanderCell(unit, ports, settled, ownedAt, firm, sataAlone)),
    },
    score: {
      a: 0,
      b: gone.filter((unit) => wishes.get(unit.id)!.seat.how === 'put').length * PUT_BROKEN,
      c: gone.length * MOVE,
    },
  };
}

/** Bays with a connector each: those whose cable was put or held are cells of their own. */
function tiedApart(shape: Shape, firm: Firm): Shape[] {
  if (shape.kind !== 'loose' || shape.targets.length === 0) return [shape];
  const targetOf = (bay: Bay) => shape.targets[Math.min(bay.n - 1, shape.targets.length - 1)]!;
  const tied = shape.bays.filter((bay) => firm.portOf.has(targetOf(bay).name));
  if (tied.length === 0) return [shape];
  return [
    { ...shape, bays: shape.bays.filter((bay) => !tied.includes(bay)) },
    ...tied.map((bay): Shape => ({ ...shape, bays: [bay], targets: [targetOf(bay)], tied: targetOf(bay).name })),
  ];
}

/** Shelves that the outside ports are too few for, each behind another. */
function chained(given: Given, shapes: readonly Shape[]): readonly Shape[] {
  const ports = hostPorts(given.units, given.seatOf, given.modes).filter(
    (port) => !port.inside && port.lanes > 1 && port.carries.includes('sas'),
  );
  return chainShelves(shapes, ports, given.wires, unitsById(given.units));
}

export type Shape = {
  /** Of shelves chained behind the first: the cables between them. */
  readonly links?: readonly ChainLink[];
  /** The connector that a cable put or held ends at, where it makes a cell of its own. */
  readonly tied?: string;
  readonly kind: Cell['kind'];
  readonly group: BayGroupHere;
  readonly box: string | null;
  readonly bays: readonly Bay[];
  readonly targets: readonly Target[];
  readonly lanes: number;
  readonly gb: number;
  readonly upGb: number;
  readonly takes: (unit: DriveUnit) => number;
};

function cellShapes(group: BayGroupHere, covered: ReadonlySet<string>, box: string | null): Shape[] {
  const bays = refsOf(group)
    .map((spot): Bay => ({ spot, name: printSpot(spot), n: spot.n ?? 1 }))
    .filter((bay) => !covered.has(bay.name));
  const { backplane } = group.group;
  const known = new Map<string, number>();
  const takes = (unit: DriveUnit) => {
    let found = known.get(unit.part.id);
    if (found === undefined)
      known.set(
        unit.part.id,
        (found = mismatch(unit.part, group) ? 0 : unit.part.heightMm <= group.group.maxDriveHeightMm ? 1 : 2),
      );
    return found;
  };
  if (!backplane) return [{ kind: 'loose', group, box, bays, targets: [], lanes: 1, gb: 64, upGb: 64, takes }];
  const targets = targetsOf(group.host, group.group, backplane);
  const shape = {
    group,
    box,
    lanes: targets[0]!.lanes,
    gb: backplane.gbPerLane,
    upGb: backplane.connectors[0]!.gbPerLane,
    takes,
  };
  if (backplane.type !== 'direct') return [{ ...shape, kind: 'shared', bays, targets }];
  if (targets[0]!.lanes === 1) return [{ ...shape, kind: 'loose', bays, targets }];
  const per = backplane.baysPerConnector;
  return targets.map((target, i) => ({
    ...shape,
    kind: 'direct' as const,
    targets: [target],
    bays: bays.filter((bay) => Math.min(Math.floor((bay.n - 1) / per), targets.length - 1) === i),
  }));
}

const endName = (unit: DriveUnit) => `${unit.id}/${DRIVE_DATA_KEY}`;

/** Drives by all that placing can tell of them. */
function classDrives(drives: readonly DriveUnit[], shapes: readonly Shape[], firm: Firm): DriveClass[] {
  const byMark = new Map<string, DriveUnit[]>();
  for (const unit of drives) {
    const mark =
      `${protocolOf(unit.part)}|${outOf(unit)}|${unit.role === 'boot'}|` +
      `${dealtMBps(unit.part)}|${shapes.map((shape) => shape.takes(unit)).join('')}|` +
      `${firm.portOf.get(endName(unit)) ?? ''}`;
    const like = byMark.get(mark);
    if (like) like.push(unit);
    else byMark.set(mark, [unit]);
  }
  return [...byMark.values()].map((units) => ({
    units,
    protocol: protocolOf(units[0]!.part),
    wishMBps: dealtMBps(units[0]!.part),
    rank: rankOf(units[0]!),
    out: outOf(units[0]!),
    loose: looseOf(units[0]!),
    boot: units[0]!.role === 'boot',
  }));
}

function classPorts(
  { units, seatOf, modes }: Given,
  expanders: readonly PlannedUnit[],
  limited: readonly string[],
  apart: boolean,
  firm: Firm,
  sataAlone: boolean,
): PortClass[] {
  const byMark = new Map<string, HostPort[]>();
  for (const port of hostPorts(units, seatOf, modes)) {
    if (port.lanes === 0) continue;
    const alone = apart || limited.includes(port.unit.id) || port.onBoard;
    const mark = [
      alone ? port.unit.id : port.unit.part.id,
      port.kind,
      port.lanes,
      port.carries.join('+'),
      port.gbPerLane,
      port.inside,
      port.box,
      port.multiplier,
      firm.ports.has(port.name) ? port.name : '',
    ].join('|');
    const like = byMark.get(mark);
    if (like) like.push(port);
    else byMark.set(mark, [port]);
  }
  const own = [...byMark.values()].map((ports, i): PortClass => ({
    ports,
    kind: ports[0]!.kind,
    lanes: ports[0]!.lanes,
    onBoard: ports[0]!.onBoard,
    limit: limited.indexOf(ports[0]!.unit.id),
    behind: -1,
    first: i,
    uplinkMBps: 0,
    single: new Map(),
    firm: ports.some(({ name }) => firm.ports.has(name)),
  }));
  const all = [...own];
  for (const [behind, unit] of expanders.entries()) {
    const ports = expanderPorts(units, seatOf).filter((port) => port.unit === unit);
    const first = all.length;
    // One class for every number of uplinks, rate and limit it may be fed with; at least one, where nothing can feed
    // it.
    const ways = new Set([
      ...own
        .filter((one) => feedsExpander(one, ports, firm))
        .flatMap((one) => [1, 2].map((uplinks) => wayOf(one, ports[0]!, uplinks, sataAlone))),
      ...(own.some((one) => feedsExpander(one, ports, firm)) ? [] : ['0|-1']),
    ]);
    for (const [mbPerS, limit] of [...ways].map((way) => way.split('|').map(Number)))
      all.push({
        ports,
        kind: ports[0]!.kind,
        lanes: ports[0]!.lanes,
        onBoard: false,
        limit: limit!,
        behind,
        first,
        uplinkMBps: mbPerS!,
        single: new Map(),
        firm: false,
      });
  }
  return all;
}

const lanesOf = ({ connectors }: PartOf<'controller'>) =>
  connectors.reduce((sum, one) => sum + one.count * one.lanes, 0);
const uplinkOf = (feeder: PortClass, outlet: HostPort, sataAlone: boolean) => {
  const gb = Math.min(feeder.ports[0]!.gbPerLane, outlet.gbPerLane);
  const { part } = outlet.unit;
  const buffers = part.kind === 'expander' ? part.edgeBuffering : undefined;
  return outlet.fullLanes * laneMBps('sas', uplinkGb(gb, buffers, sataAlone));
};
const wayOf = (feeder: PortClass, outlet: HostPort, uplinks: number, sataAlone: boolean) =>
  `${uplinks * uplinkOf(feeder, outlet, sataAlone)}|${feeder.limit}`;

function feedsExpander(one: PortClass, outlets: readonly HostPort[], firm: Firm): boolean {
  const [port, first] = [one.ports[0]!, outlets[0]!];
  return (
    one.behind < 0 &&
    !!cableKindBetween('straight', one.kind, first.kind) &&
    one.lanes >= first.fullLanes &&
    port.carries.includes('sas') &&
    reaches(port, first.inside, first.box) &&
    firmAllows(
      firm,
      one.ports.map(({ name }) => name),
      outlets.map(({ name }) => name),
    )
  );
}

type Settled = {
  readonly toTarget: ReadonlyMap<
    string,
    readonly { readonly port: number; readonly ports: readonly number[]; readonly reverse: boolean }[]
  >;
};

/** Settled cables by what they feed; those of one lane and breakouts are noted on their class of ports. */
function settledCables(wires: Layout['wires'], ports: readonly PortClass[], joined: ReadonlySet<string>): Settled {
  const classOf = new Map(
    ports.flatMap((one, i) => (one.first === i ? one.ports.map((port) => [port.name, i] as const) : [])),
  );
  const toTarget = new Map<string, { port: number; ports: number[]; reverse: boolean }[]>();
  for (const wire of wires) {
    const cable = cableKindById(wire.cable);
    const port = classOf.get(printSpot(wire.host[0]!));
    if (!cable || port === undefined) continue;
    const single = ports[port]!.single as Map<string, number>;
    if (!wire.device.some((device) => joined.has(printSpot(device))))
      single.set(wire.cable, (single.get(wire.cable) ?? 0) + 1);
    else
      for (const device of wire.device)
        toTarget.set(printSpot(device), [
          ...(toTarget.get(printSpot(device)) ?? []),
          {
            port,
            ports: wire.host.flatMap((host) => classOf.get(printSpot(host)) ?? []),
            reverse: cable.shape === 'reverse',
          },
        ]);
  }
  return { toTarget };
}

function feedsOf(
  target: Target,
  shape: Shape,
  classes: readonly DriveClass[],
  ports: readonly PortClass[],
  ownedAt: (cable: string) => number,
): Feed[] {
  const sataAlone = classes.every(({ protocol }) => protocol !== 'sas');
  return ports.flatMap((one, port): Feed[] => {
    const first = one.ports[0]!;
    const cable = cableKindBetween('straight', one.kind, target.kind);
    if (!cable || one.lanes < target.lanes || !reaches(first, target.inside, shape.box)) return [];
    const { backplane } = shape.group.group;
    if (backplane?.type === 'expander' && !(target.lanes > 1 ? first.carries.includes('sas') : first.multiplier))
      return [];
    const speaks = (protocol: DriveClass['protocol']) => target.speaks ?? protocol;
    const serves = classes.map(
      (drive, i) =>
        shape.takes(classes[i]!.units[0]!) > 0 &&
        first.carries.includes(speaks(drive.protocol)) &&
        cable.carries.includes(speaks(drive.protocol)),
    );
    if (!serves.some(Boolean)) return [];
    const gb = Math.min(first.gbPerLane, shape.gb);
    const lossMBps = classes.map((drive) =>
      Math.max(
        0,
        Math.round(
          drive.wishMBps -
            laneMBps(drive.protocol, gb) *
              (drive.protocol === 'pcie' ? Math.min(drive.units[0]!.part.lanes, target.lanes) : 1),
        ),
      ),
    );
    const own = Math.min(first.gbPerLane, shape.upGb);
    const up = backplane?.type === 'expander' ? uplinkGb(own, backplane.edgeBuffering, sataAlone) : own;
    return [
      {
        port,
        cable: cable.id,
        owned: ownedAt(cable.id),
        serves,
        lossMBps:
          shape.kind === 'shared'
            ? classes.map((drive) => Math.max(0, drive.wishMBps - laneMBps(drive.protocol, shape.gb)))
            : lossMBps,
        carriesMBps: target.lanes * laneMBps(target.speaks ?? 'sas', up),
      },
    ];
  });
}

/** A cable inside stays in its box; one outside goes from box to box. */
const reaches = (port: HostPort, inside: boolean, box: string | null) =>
  port.inside === inside && (!inside || port.box === box);

function expanderCell(
  unit: PlannedUnit,
  ports: readonly PortClass[],
  settled: Settled,
  ownedAt: (cable: string) => number,
  firm: Firm,
  sataAlone: boolean,
): ExpanderCell {
  const outlets = ports.find((one) => one.behind >= 0 && one.ports[0]!.unit === unit)!.ports;
  const classOf = (way: string) =>
    ports.findIndex(
      (one) => one.behind >= 0 && one.ports[0]!.unit === unit && `${one.uplinkMBps}|${one.limit}` === way,
    );
  const feeds = ports.flatMap((one, port) => {
    if (!feedsExpander(one, outlets, firm)) return [];
    const cable = cableKindBetween('straight', one.kind, outlets[0]!.kind)!;
    return [
      {
        port,
        cable: cable.id,
        owned: ownedAt(cable.id),
        serves: [],
        lossMBps: [],
        carriesMBps: uplinkOf(one, outlets[0]!, sataAlone),
        outlets: [1, 2].map((uplinks) => classOf(wayOf(one, outlets[0]!, uplinks, sataAlone))),
      },
    ];
  });
  return {
    unit,
    connectors: outlets.length,
    feeds,
    fedFrom: outlets.flatMap((port) => settled.toTarget.get(port.name) ?? []).map((one) => one.port),
  };
}

function endCable(
  drive: DriveClass,
  kind: EndClass['kind'],
  bare: boolean,
  inside: boolean,
  shape: Shape,
  one: PortClass,
): EndCable | null {
  const first = one.ports[0]!;
  if (!first.carries.includes(drive.protocol) || !reaches(first, inside, shape.box)) return null;
  const wide = one.lanes >= 4 && drive.protocol !== 'pcie';
  const cable = cableKindBetween(wide ? 'forward' : 'straight', one.kind, kind);
  const lossMBps = Math.max(
    0,
    Math.round(
      drive.wishMBps -
        laneMBps(drive.protocol, Math.min(first.gbPerLane, shape.gb)) *
          (drive.protocol === 'pcie' ? Math.min(drive.units[0]!.part.lanes, one.lanes) : 1),
    ),
  );
  if (!cable) return null;
  return {
    cable: cable.id,
    lossMBps,
    also: wide && bare && kind === 'sata' ? (cableKindBetween('forward', one.kind, 'sff-8482')?.id ?? null) : null,
  };
}

/** Own size first; data where it can be pulled, boot drives where nobody pulls them. */
const tasteOf = (unit: DriveUnit, { group }: BayGroupHere): number =>
  group.takes.indexOf(unit.part.size as never) * 10 +
  (unit.role === 'boot' ? (group.access === 'fixed' ? 0 : 5) : group.access === 'hotSwap' ? 0 : 5);
