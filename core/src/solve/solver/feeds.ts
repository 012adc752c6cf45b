import { memberAt } from '../../lists';
import type { Layout } from '../../build/layout';
import { printSpot } from '../../build/layout';
import { leadsBetween, type Brackets } from '../../links/brackets';
import { cableKindBetween, cableKindById, goesBetween } from '../../links/cableKinds';
import type { Target } from '../../links/ports';
import { laneMBps, uplinkGb } from '../../links/rates';
import type { PlannedUnit } from '../../machine/units';
import type { BayGroupHere } from './bayPlans';
import type { Firm } from './boundCables';
import { feedsExpander, uplinkOf, wayOf } from './classes';
import type { Shape } from './shapes';
import type { DriveClass, DriveUnit, EndCable, EndClass, ExpanderCell, Feed, PortClass } from './table';

export type Settled = {
  readonly toTarget: ReadonlyMap<
    string,
    readonly { readonly port: number; readonly ports: readonly number[]; readonly reverse: boolean }[]
  >;
};

/** Settled cables by what they feed; those of one lane and breakouts are noted on their class of ports. */
export function settledCables(
  wires: Layout['wires'],
  ports: readonly PortClass[],
  joined: ReadonlySet<string>,
): Settled {
  const classOf = new Map(
    ports.flatMap((one, i) => (one.first === i ? one.ports.map((port) => [port.name, i] as const) : [])),
  );
  const toTarget = new Map<string, { port: number; ports: number[]; reverse: boolean }[]>();
  for (const wire of wires) {
    const cable = cableKindById(wire.cable);
    const port = classOf.get(printSpot(wire.host[0]));
    if (!cable || port === undefined) continue;
    const single = memberAt(ports, port).single as Map<string, number>;
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

export function feedsOf(
  target: Target,
  shape: Shape,
  classes: readonly DriveClass[],
  ports: readonly PortClass[],
  ownedAt: (cable: string) => number,
  brackets: Brackets,
): Feed[] {
  const sataAlone = classes.every(({ protocol }) => protocol !== 'sas');
  return ports.flatMap((one, port): Feed[] => {
    const first = one.ports[0];
    const cable = cableKindBetween('straight', one.kind, target.kind);
    if (!cable || one.lanes < target.lanes) return [];
    if (!leadsBetween(cable, first, { inside: target.inside, box: shape.box }, brackets)) return [];
    const { backplane } = shape.group.group;
    if (backplane?.type === 'expander' && !(target.lanes > 1 ? first.carries.includes('sas') : first.multiplier))
      return [];
    const speaks = (protocol: DriveClass['protocol']) => target.speaks ?? protocol;
    const serves = classes.map(
      (drive, i) =>
        shape.takes(memberAt(classes, i).units[0]) > 0 &&
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
              (drive.protocol === 'pcie' ? Math.min(drive.units[0].part.lanes, target.lanes) : 1),
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

/** An expander card with its classes of ports, by how it may be fed. */
export function expanderCell(
  unit: PlannedUnit,
  ports: readonly PortClass[],
  settled: Settled,
  ownedAt: (cable: string) => number,
  firm: Firm,
  sataAlone: boolean,
  brackets: Brackets,
): ExpanderCell[] {
  const isOwn = ({ behind, ports: [first] }: PortClass) => behind >= 0 && first.unit === unit;
  const own = ports.find(isOwn);
  if (!own) return [];
  const outlets = own.ports;
  const classOf = (way: string) => ports.findIndex((one) => isOwn(one) && wayOf(one.uplinkMBps, one.limit) === way);
  const feeds = ports.flatMap((one, port) => {
    const cable = cableKindBetween('straight', one.kind, own.kind);
    if (!cable || !feedsExpander(one, outlets, firm, brackets)) return [];
    const carriesMBps = uplinkOf(one, outlets[0], sataAlone);
    return [
      {
        port,
        cable: cable.id,
        owned: ownedAt(cable.id),
        serves: [],
        lossMBps: [],
        carriesMBps,
        outlets: [1, 2].map((uplinks) => classOf(wayOf(uplinks * carriesMBps, one.limit))),
      },
    ];
  });
  return [
    {
      unit,
      connectors: outlets.length,
      feeds,
      fedFrom: outlets.flatMap((port) => settled.toTarget.get(port.name) ?? []).map((one) => one.port),
    },
  ];
}

export function endCable(
  drive: DriveClass,
  kind: EndClass['kind'],
  bare: boolean,
  inside: boolean,
  shape: Shape,
  one: PortClass,
): EndCable | null {
  const first = one.ports[0];
  if (!first.carries.includes(drive.protocol)) return null;
  const wide = one.lanes >= 4 && drive.protocol !== 'pcie';
  const cable = cableKindBetween(wide ? 'forward' : 'straight', one.kind, kind);
  const lossMBps = Math.max(
    0,
    Math.round(
      drive.wishMBps -
        laneMBps(drive.protocol, Math.min(first.gbPerLane, shape.gb)) *
          (drive.protocol === 'pcie' ? Math.min(drive.units[0].part.lanes, one.lanes) : 1),
    ),
  );
  if (!cable || !goesBetween(cable, first, { inside, box: shape.box })) return null;
  return {
    cable: cable.id,
    lossMBps,
    also: wide && bare && kind === 'sata' ? (cableKindBetween('forward', one.kind, 'sff-8482')?.id ?? null) : null,
  };
}

/** Own size first; data where it can be pulled, boot drives where nobody pulls them. */
export const tasteOf = (unit: DriveUnit, { group }: BayGroupHere): number =>
  group.takes.indexOf(unit.part.size as never) * 10 +
  (unit.role === 'boot' ? (group.access === 'fixed' ? 0 : 5) : group.access === 'hotSwap' ? 0 : 5);
