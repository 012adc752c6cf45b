import { memberAt } from '../../lists';
import type { Layout } from '../../build/layout';
import { bracketsWanted } from '../../links/brackets';
import { cableKindBetween } from '../../links/cableKinds';
import { driveConnector, expanderPorts, hostPorts, type SeatOf } from '../../links/ports';
import { boxAmong } from '../../machine/hosts';
import { isKind, ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import { boxHomes } from './boxHomes';
import { firmAllows, firmCables, NOTHING_FIRM } from './boundCables';
import { classDrives, classPorts, endName, lanesOf } from './classes';
import { endCable, expanderCell, feedsOf, settledCables, tasteOf } from './feeds';
import { MOVE, PUT_BROKEN, type Score } from './score';
import { cellShapes, chained, tiedApart } from './shapes';
import type { Cell, DriveUnit, EndClass, Table } from './table';
import type { Wishes } from './wishes';

export type Laid = { readonly table: Table; readonly score: Score };
export type Given = {
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
  const handing = new Set(expanderPorts(units, seatOf).map((port) => port.unit));
  const expanders = units.filter((unit) => isKind(unit, 'expander') && handing.has(unit));
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
      ? [{ unit: unit.id, most: unit.part.mostDevices }]
      : [],
  );
  const brackets = bracketsWanted(units, (unit) => boxAmong(unit.id, byId, seatOf)?.id ?? null);
  const ports = classPorts(
    given,
    expanders,
    limits.map((one) => one.unit),
    sharing,
    firm,
    sataAlone,
    brackets,
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
        : feedsOf(memberAt(shape.targets, 0), shape, classes, ports, ownedAt, brackets).filter((feed) =>
            firmAllows(
              firm,
              memberAt(ports, feed.port).ports.map(({ name }) => name),
              shape.targets.map(({ name }) => name),
            ),
          );
    const reverse =
      shape.kind === 'direct' && shape.targets.every(({ name }) => (firm.portOf.get(name) ?? null) === null)
        ? cableKindBetween('reverse', 'sata', memberAt(shape.targets, 0).kind)
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
      takes: classes.map((one) => shape.takes(one.units[0])),
      taste: classes.map((one) => tasteOf(one.units[0], shape.group)),
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
              if (shape.takes(one.units[0]) === 0) return -1;
              const bare = !shape.group.group.backplane;
              const kind = bare ? driveConnector(one.units[0].part) : memberAt(shape.targets, 0).kind;
              const inside = bare || memberAt(shape.targets, 0).inside;
              // Ends that a cable may be tied to: a drive's own, or the connector of the one bay of a cell.
              const own = bare ? [endName(one.units[0])] : shape.tied ? [shape.tied] : [];
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
      homes: boxHomes(units, classes, cells, wishes),
      expanders: expanders.flatMap((unit) => expanderCell(unit, ports, settled, ownedAt, firm, sataAlone, brackets)),
    },
    score: {
      a: 0,
      b: gone.filter((unit) => wishes.get(unit.id)!.seat.how === 'put').length * PUT_BROKEN,
      c: gone.length * MOVE,
    },
  };
}
