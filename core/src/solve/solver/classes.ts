import { leadsBetween, type Brackets } from '../../links/brackets';
import { cableKindBetween } from '../../links/cableKinds';
import { DRIVE_DATA_KEY, expanderPorts, hostPorts, protocolOf, type HostPort } from '../../links/ports';
import { dealtMBps, laneMBps, uplinkGb } from '../../links/rates';
import type { PlannedUnit } from '../../machine/units';
import { groupedBy, isNonEmpty, type NonEmpty, type ReadonlyNonEmpty } from '../../lists';
import type { PartOf } from '../../parts/resolve';
import type { Given } from './buildTable';
import { firmAllows, type Firm } from './boundCables';
import { looseOf, outOf, rankOf } from './roles';
import type { Shape } from './shapes';
import type { DriveClass, DriveUnit, PortClass } from './table';

export const endName = (unit: DriveUnit) => `${unit.id}/${DRIVE_DATA_KEY}`;

/** Drives by all that placing can tell of them. */
export function classDrives(drives: readonly DriveUnit[], shapes: readonly Shape[], firm: Firm): DriveClass[] {
  const byMark = groupedBy(
    drives,
    (unit) =>
      `${protocolOf(unit.part)}|${outOf(unit)}|${unit.role === 'boot'}|` +
      `${dealtMBps(unit.part)}|${shapes.map((shape) => shape.takes(unit)).join('')}|` +
      `${firm.portOf.get(endName(unit)) ?? ''}`,
  );
  return [...byMark.values()].map((units) => {
    const [first] = units;
    return {
      units,
      protocol: protocolOf(first.part),
      wishMBps: dealtMBps(first.part),
      rank: rankOf(first),
      out: outOf(first),
      loose: looseOf(first),
      boot: first.role === 'boot',
    };
  });
}

/** Ports that nothing tells apart; on an expander's machine each card's own, since its uplinks are shared. */
export function classPorts(
  given: Pick<Given, 'units' | 'seatOf' | 'modes'>,
  expanders: readonly PlannedUnit[],
  limited: readonly string[],
  apart: boolean,
  firm: Firm,
  sataAlone: boolean,
  brackets: Brackets,
): PortClass[] {
  const own = ownPorts(given, limited, apart, firm);
  const all = [...own];
  for (const [behind, unit] of expanders.entries()) {
    const ports = expanderPorts(given.units, given.seatOf).filter((port) => port.unit === unit);
    if (isNonEmpty(ports)) all.push(...portsBehind(ports, behind, all.length, own, firm, sataAlone, brackets));
  }
  return all;
}

function ownPorts(
  { units, seatOf, modes }: Pick<Given, 'units' | 'seatOf' | 'modes'>,
  limited: readonly string[],
  apart: boolean,
  firm: Firm,
): PortClass[] {
  const byMark = groupedBy(
    hostPorts(units, seatOf, modes).filter(({ lanes }) => lanes > 0),
    (port) => {
      const alone = apart || limited.includes(port.unit.id) || port.onBoard;
      return [
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
    },
  );
  return [...byMark.values()].map((ports, i): PortClass => {
    const [{ kind, lanes, onBoard, unit }] = ports;
    return {
      ports,
      kind,
      lanes,
      onBoard,
      limit: limited.indexOf(unit.id),
      behind: -1,
      first: i,
      uplinkMBps: 0,
      single: new Map(),
      firm: ports.some(({ name }) => firm.ports.has(name)),
    };
  });
}

/** One class for each number of uplinks, rate and limit it may be fed with; at least one, where nothing can feed it. */
function portsBehind(
  ports: NonEmpty<HostPort>,
  behind: number,
  first: number,
  own: readonly PortClass[],
  firm: Firm,
  sataAlone: boolean,
  brackets: Brackets,
): PortClass[] {
  const [{ kind, lanes }] = ports;
  const ways = new Map(
    own
      .filter((one) => feedsExpander(one, ports, firm, brackets))
      .flatMap((one) =>
        [1, 2].map((uplinks) => {
          const uplinkMBps = uplinks * uplinkOf(one, ports[0], sataAlone);
          return [wayOf(uplinkMBps, one.limit), { uplinkMBps, limit: one.limit }] as const;
        }),
      ),
  );
  return [...(ways.size > 0 ? ways.values() : [{ uplinkMBps: 0, limit: -1 }])].map((way) => ({
    ...way,
    ports,
    kind,
    lanes,
    onBoard: false,
    behind,
    first,
    single: new Map(),
    firm: false,
  }));
}

export const lanesOf = ({ connectors }: PartOf<'controller'>) =>
  connectors.reduce((sum, one) => sum + one.count * one.lanes, 0);
export const uplinkOf = (feeder: PortClass, outlet: HostPort, sataAlone: boolean) => {
  const gb = Math.min(feeder.ports[0].gbPerLane, outlet.gbPerLane);
  const { part } = outlet.unit;
  const buffers = part.kind === 'expander' ? part.edgeBuffering : undefined;
  return outlet.fullLanes * laneMBps('sas', uplinkGb(gb, buffers, sataAlone));
};
/** How an expander is fed, as the name of its class of ports. */
export const wayOf = (uplinkMBps: number, limit: number) => `${uplinkMBps}|${limit}`;

export function feedsExpander(
  one: PortClass,
  outlets: ReadonlyNonEmpty<HostPort>,
  firm: Firm,
  brackets: Brackets,
): boolean {
  const [port, first] = [one.ports[0], outlets[0]];
  const cable = cableKindBetween('straight', one.kind, first.kind);
  return (
    one.behind < 0 &&
    !!cable &&
    one.lanes >= first.fullLanes &&
    port.carries.includes('sas') &&
    leadsBetween(cable, port, first, brackets) &&
    firmAllows(
      firm,
      one.ports.map(({ name }) => name),
      outlets.map(({ name }) => name),
    )
  );
}
