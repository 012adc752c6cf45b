import { memberAt } from '../../lists';
import type { Layout, Seat } from '../../build/layout';
import { bracketsWanted, type Brackets } from '../../links/brackets';
import { cableKindBetween } from '../../links/cableKinds';
import { driveConnector, expanderPorts, hostPorts, type SeatOf } from '../../links/ports';
import { boxAmong } from '../../machine/hosts';
import { isKind, ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import { boxHomes } from './boxHomes';
import { firmAllows, firmCables, NOTHING_FIRM, type Firm } from './boundCables';
import { classDrives, classPorts, endName, lanesOf } from './classes';
import { endCable, expanderCell, feedsOf, settledCables, tasteOf } from './feeds';
import { MOVE, PUT_BROKEN, type Score } from './score';
import { cellShapes, chained, tiedApart, type Shape } from './shapes';
import type { Cell, DriveClass, DriveUnit, EndClass, Feed, PortClass, Table } from './table';
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
  const boxAt = (unit: string) => boxAmong(unit, byId, seatOf)?.id ?? null;
  const drives = units.filter(
    (unit): unit is DriveUnit =>
      isKind(unit, 'drive') && !unit.builtIn && unit.part.size !== 'm2' && unit.part.size !== 'usb',
  );
  const plain = chained(
    given,
    given.groups.flatMap((group) => cellShapes(group, given.covered, boxAt(group.host))),
  );
  const handing = new Set(expanderPorts(units, seatOf).map((port) => port.unit));
  const expanders = units.filter((unit) => isKind(unit, 'expander') && handing.has(unit));
  const sharing = expanders.length > 0 || plain.some((shape) => shape.targets.length > 1 && shape.kind === 'shared');
  const firm = firmFor(given, plain);
  const shapes = plain.flatMap((shape) => tiedApart(shape, firm));
  const classes = classDrives(drives, shapes, firm);
  const sataAlone = classes.every(({ protocol }) => protocol !== 'sas');
  const limits = limitsFor(given, drives, sharing || shapes.some((shape) => shape.kind === 'shared'));
  const brackets = bracketsWanted(units, ({ id }) => boxAt(id));
  const limited = limits.map((one) => one.unit);
  const ports = classPorts(given, expanders, limited, sharing, firm, sataAlone, brackets);
  const owned = [...given.owned].map(([cable, count]) => ({ cable, count }));
  const ownedAt = (cable: string) => owned.findIndex((one) => one.cable === cable);
  const joined = new Set([
    ...shapes.flatMap((shape) => (shape.kind === 'loose' ? [] : shape.targets.map((target) => target.name))),
    ...ports.flatMap((one) => (one.behind >= 0 ? one.ports.map((port) => port.name) : [])),
  ]);
  const settled = settledCables(given.wires, ports, joined);
  const making = new Cells({ classes, ports, firm, wishes, settled, ownedAt, brackets });
  const cells = shapes.map((shape) => making.cell(shape));
  const there = new Set(cells.flatMap((cell) => cell.bays.map((bay) => bay.name)));
  const gone = drives.flatMap(({ id }) => {
    const wish = wishes.get(id);
    return wish && !there.has(wish.name) ? [wish] : [];
  });
  return {
    table: {
      drives: classes,
      cells,
      ports,
      ends: making.ends,
      owned,
      limits,
      homes: boxHomes(units, classes, cells, wishes),
      expanders: expanders.flatMap((unit) => expanderCell(unit, ports, settled, ownedAt, firm, sataAlone, brackets)),
    },
    score: {
      a: 0,
      b: gone.filter(({ seat }) => seat.how === 'put').length * PUT_BROKEN,
      c: gone.length * MOVE,
    },
  };
}

/** What cables put or held by hand tie together. Of one from shelf to shelf the chains are made; it binds no port. */
function firmFor({ units, seatOf, modes, wires }: Given, plain: readonly Shape[]): Firm {
  const shelves = new Set(ofKind(units, 'chassis').map(({ id }) => id as string));
  const toPorts = wires.filter((wire) => !wire.host.some(({ host }) => shelves.has(host)));
  if (toPorts.every(({ how }) => how === 'solved')) return NOTHING_FIRM;
  const named = (list: readonly { readonly name: string }[]) => list.map(({ name }) => name);
  const outlets = named(expanderPorts(units, seatOf));
  const hosts = named(hostPorts(units, seatOf, modes).filter(({ lanes }) => lanes > 0));
  const shared = named(plain.filter(({ kind }) => kind === 'shared').flatMap(({ targets }) => targets));
  return firmCables(toPorts, new Set([...hosts, ...outlets]), new Set([...shared, ...outlets]));
}

/** Controllers that might be given more drives than they take. */
const limitsFor = ({ units, seatOf }: Given, drives: readonly DriveUnit[], sharesAny: boolean): Table['limits'] =>
  units.flatMap((unit) =>
    isKind(unit, 'controller') &&
    seatOf(unit) &&
    unit.part.mostDevices < Math.min(drives.length, sharesAny ? Infinity : lanesOf(unit.part))
      ? [{ unit: unit.id, most: unit.part.mostDevices }]
      : [],
  );

type Around = {
  readonly classes: readonly DriveClass[];
  readonly ports: readonly PortClass[];
  readonly firm: Firm;
  readonly wishes: Wishes;
  readonly settled: ReturnType<typeof settledCables>;
  readonly ownedAt: (cable: string) => number;
  readonly brackets: Brackets;
};

/** Cells of the table, and the kinds of ends that drives in those with a cable each wait with. */
class Cells {
  readonly ends: EndClass[] = [];
  private readonly endAt = new Map<string, number>();

  constructor(private readonly around: Around) {}

  cell(shape: Shape): Cell {
    const { classes, firm, settled } = this.around;
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
      ...this.before(shape),
      fedFrom: cables.filter((one) => !one.reverse).map((one) => one.port),
      feeds: this.feeds(shape),
      reverse: reverse?.id ?? null,
      wasReverse: cables.some((one) => one.reverse),
      joinedFrom: cables.flatMap((one) => (one.reverse ? one.ports : [])),
      ends: shape.kind === 'loose' ? classes.map((one, i) => this.end(shape, one, i)) : [],
    };
  }

  /** By class, how many had a place here, and how many of those by hand. */
  private before(shape: Shape): Pick<Cell, 'home' | 'put' | 'held'> {
    const { classes, wishes } = this.around;
    const names = new Set(shape.bays.map(({ name }) => name));
    const count = (how?: Seat['how']) =>
      classes.map(
        ({ units }) =>
          units.filter(({ id }) => {
            const wish = wishes.get(id);
            return !!wish && names.has(wish.name) && (!how || wish.seat.how === how);
          }).length,
      );
    return { home: count(), put: count('put'), held: count('held') };
  }

  private feeds(shape: Shape): readonly Feed[] {
    if (shape.kind === 'loose') return [];
    const { classes, ports, firm, ownedAt, brackets } = this.around;
    return feedsOf(memberAt(shape.targets, 0), shape, classes, ports, ownedAt, brackets).filter((feed) =>
      firmAllows(
        firm,
        memberAt(ports, feed.port).ports.map(({ name }) => name),
        shape.targets.map(({ name }) => name),
      ),
    );
  }

  /** The kind of end a class of drives waits with in a loose cell, -1 where it does not go there. */
  private end(shape: Shape, one: DriveClass, i: number): number {
    if (shape.takes(one.units[0]) === 0) return -1;
    const { ports, firm } = this.around;
    const bare = !shape.group.group.backplane;
    const kind = bare ? driveConnector(one.units[0].part) : memberAt(shape.targets, 0).kind;
    const inside = bare || memberAt(shape.targets, 0).inside;
    // Ends that a cable may be tied to: a drive's own, or the connector of the one bay of a cell.
    const own = bare ? [endName(one.units[0])] : shape.tied ? [shape.tied] : [];
    const key = `${i}|${kind}|${bare}|${inside}|${shape.box}|${shape.gb}|${shape.tied ?? ''}`;
    const known = this.endAt.get(key);
    if (known !== undefined) return known;
    const namesOf = (port: PortClass) => port.ports.map(({ name }) => name);
    this.endAt.set(key, this.ends.length);
    return (
      this.ends.push({
        tied: ports.findIndex(
          (port) => port.firm && namesOf(port).some((name) => own.some((end) => name === firm.portOf.get(end))),
        ),
        drive: i,
        box: shape.box,
        kind,
        bare,
        serves: ports.map((port) =>
          firmAllows(firm, namesOf(port), own) ? endCable(one, kind, bare, inside, shape, port) : null,
        ),
      }) - 1
    );
  }
}
