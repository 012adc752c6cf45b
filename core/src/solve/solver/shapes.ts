import { memberAt } from '../../lists';
import { printSpot } from '../../build/layout';
import { hostPorts, targetsOf, type Target } from '../../links/ports';
import { mismatch } from '../../machine/accepts';
import { refsOf } from '../../machine/spots';
import { unitsById } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import type { Firm } from './boundCables';
import { chainShelves } from './chainShelves';
import type { Given } from './buildTable';
import type { Bay, Cell, ChainLink, DriveUnit } from './table';

/** Bays with a connector each: those whose cable was put or held are cells of their own. */
export function tiedApart(shape: Shape, firm: Firm): Shape[] {
  if (shape.kind !== 'loose' || shape.targets.length === 0) return [shape];
  const targetOf = (bay: Bay) => memberAt(shape.targets, Math.min(bay.n - 1, shape.targets.length - 1));
  const tied = shape.bays.filter((bay) => firm.portOf.has(targetOf(bay).name));
  if (tied.length === 0) return [shape];
  return [
    { ...shape, bays: shape.bays.filter((bay) => !tied.includes(bay)) },
    ...tied.map((bay): Shape => ({ ...shape, bays: [bay], targets: [targetOf(bay)], tied: targetOf(bay).name })),
  ];
}

/** Shelves that the outside ports are too few for, each behind another. */
export function chained(given: Given, shapes: readonly Shape[]): readonly Shape[] {
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

export function cellShapes(group: BayGroupHere, covered: ReadonlySet<string>, box: string | null): Shape[] {
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
    lanes: memberAt(targets, 0).lanes,
    gb: backplane.gbPerLane,
    upGb: backplane.connectors[0].gbPerLane,
    takes,
  };
  if (backplane.type !== 'direct') return [{ ...shape, kind: 'shared', bays, targets }];
  if (memberAt(targets, 0).lanes === 1) return [{ ...shape, kind: 'loose', bays, targets }];
  const per = backplane.baysPerConnector;
  return targets.map((target, i) => ({
    ...shape,
    kind: 'direct' as const,
    targets: [target],
    bays: bays.filter((bay) => Math.min(Math.floor((bay.n - 1) / per), targets.length - 1) === i),
  }));
}
