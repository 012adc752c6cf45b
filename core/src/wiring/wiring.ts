import { plainAt, valueFor } from '../lists';
import type { Build } from '../build/build';
import { printSpot, type Layout, type Wire } from '../build/layout';
import type { CableNeeds } from '../needs/cables';
import { isOfKind, cableKindById, type CableKind } from '../links/cableKinds';
import { expanderPorts, hostPorts, protocolOf, type HostPort } from '../links/ports';
import { laneMBps, SATA_GB, speaksSataAlone, uplinkGb, wishMBps } from '../links/rates';
import { genAt, lanesAt } from '../solve/checkLayout';
import { boxedCables, type BoxedCable } from '../solve/problem';
import { placeAt } from '../machine/spotAt';
import { feedChain, passesOn } from '../links/passOn';
import { isKind, ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';
import { budgetsOf } from './budgets';
import { hostOrder } from './hostOrder';
import { deviceWords, hostWords } from './cableWords';
import { linkOf, moduleRow, socketLink } from './links';
import { looseEnds } from './looseEnds';
import { servedBy } from './servedBy';
import type { HostRow, CableRow, CableSource, Wiring } from './rows';
import { runMm } from './runLength';

/** What hangs on what, without the ways cables go, which take the whole drawing: `runMm` is null. */
export const linkRows = (units: readonly PlannedUnit[], layout: Layout): HostRow[] =>
  rowsAndPorts(units, layout, () => ({ kind: 'buy' }), false).hosts;

/**
 * The boards and cards that drives hang on with their cables, in the order of their places; cables are labelled #1, #2,
 * … in that order: with a letter they would read like a drive's mark. `supply` says where each cable comes from.
 */
function rowsAndPorts(
  units: readonly PlannedUnit[],
  layout: Layout,
  supply: (cable: CableKind) => CableSource,
  isMeasured: boolean,
) {
  const byId = unitsById(units);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  const ports = [...hostPorts(units, seatOf, layout.modes), ...expanderPorts(units, seatOf)];
  const portByName = new Map(ports.map((port) => [port.name, port]));
  const links = { lanes: lanesAt(units, layout), gen: genAt(units, layout) };
  const served = servedBy(units, layout);
  const machine = { byId, sataAlone: speaksSataAlone(ofKind(units, 'drive').map(({ part }) => part)) };
  const used = new Set(layout.wires.flatMap((wire) => [...wire.host, ...wire.device].map(printSpot)));
  const feeders = new Map<string, string>();
  for (const wire of layout.wires)
    for (const { host } of wire.device) {
      const unit = byId.get(host);
      if (unit && passesOn(unit)) feeders.set(host, wire.host[0].host);
    }

  const order = hostOrder(units, layout, byId, feeders);
  let label = 0;
  const hosts = order.map((unit): HostRow => {
    const names = ports.map(({ name }) => name);
    const mine = layout.wires
      .filter((wire) => wire.host[0].host === unit.id)
      .sort((a, b) => names.indexOf(printSpot(a.host[0])) - names.indexOf(printSpot(b.host[0])));
    const cables = mine.flatMap((wire): CableRow[] => {
      const cable = cableKindById(wire.cable);
      if (!cable) return [];
      const first = portByName.get(printSpot(wire.host[0]));
      const drives = served.get(wire) ?? [];
      const passing = wire.device.map(({ host }) => byId.get(host)).find((one) => one && passesOn(one));
      const own = drives.reduce((sum, { part }) => sum + wishMBps(part), 0);
      return [
        {
          label: `#${++label}`,
          wire,
          cable,
          from: { host: unit.id, words: hostWords(unit, wire, byId) },
          to: deviceWords(wire, byId, layout),
          drives: drives.map(({ id }) => id),
          carriesMBps: carries(wire, cable, first, drives, machine),
          asksMBps: own + (passing ? asksBehind(passing, units, layout, served) : 0),
          runMm: isMeasured ? runMm({ units, layout }, wire) : null,
          source: supply(cable),
        },
      ];
    });
    const free = new Map<string, number>();
    for (const port of ports)
      if (port.unit === unit && port.lanes > 0 && !used.has(port.name) && !port.carries.every((one) => one === 'usb'))
        free.set(port.kind, (free.get(port.kind) ?? 0) + 1);
    const seat = seatOf(unit);
    if (seat && isKind(unit, 'drive'))
      return {
        unit: unit.id,
        name: placeAt(byId, seat).label,
        mark: valueFor(byId, seat.host).mark,
        cables,
        modules: [moduleRow(unit, seat, byId, links)],
        free: [],
        link: socketLink(unit, seat, byId, links),
        behind: null,
      };
    const modules = ofKind(units, 'drive').flatMap((drive) => {
      const spot = seatOf(drive);
      return spot?.host === unit.id && isKind(unit, 'carrier') ? [moduleRow(drive, spot, byId, links)] : [];
    });
    return {
      unit: unit.id,
      name: unit.part.name,
      mark: unit.mark,
      cables,
      modules,
      free: [...free].map(([kind, count]) => ({ kind, count })),
      link: linkOf(unit, layout, byId, links),
      behind: feeders.get(unit.id) ?? null,
    };
  });
  return { hosts, ports };
}

/** The data wiring of a machine: its hosts with their cables, what nothing is plugged into, and the lanes in use. */
function wiringOf(
  units: readonly PlannedUnit[],
  layout: Layout,
  needs: Pick<CableNeeds, 'spare'>,
  boxed: readonly BoxedCable[],
  unconnected: readonly PlannedUnit[],
): Wiring {
  const { hosts, ports } = rowsAndPorts(units, layout, stockOf(units, needs, boxed), true);
  return { hosts, loose: looseEnds(units, layout, ports, unconnected, needs), budgets: budgetsOf({ units, layout }) };
}

/** The wiring of an assessed build. */
export const wiringFor = (
  build: Pick<Build, 'sheets' | 'archetypes'>,
  {
    units,
    layout,
    needs,
    unconnected,
  }: {
    readonly units: readonly PlannedUnit[];
    readonly layout: Layout;
    readonly needs: CableNeeds;
    readonly unconnected: readonly PlannedUnit[];
  },
): Wiring => wiringOf(units, layout, needs, boxedCables(units, build.sheets, build.archetypes), unconnected);

function carries(
  wire: Wire,
  cable: CableKind,
  port: HostPort | undefined,
  drives: readonly UnitOf<'drive'>[],
  { byId, sataAlone }: { readonly byId: ReadonlyMap<string, PlannedUnit>; readonly sataAlone: boolean },
): number {
  if (!port) return 0;
  const end = byId.get(wire.device[0].host);
  const group =
    end && (isKind(end, 'chassis') || isKind(end, 'adapter'))
      ? end.part.bayGroups.find(({ key }) => wire.device[0].key.startsWith(`${key}-`))
      : undefined;
  const spoken = drives[0] && protocolOf(drives[0].part);
  const handsOn =
    end && isKind(end, 'expander') ? end.part : group?.backplane?.type === 'expander' ? group.backplane : undefined;
  // An expander is spoken to as SAS whatever hangs behind it, a bridge as it speaks.
  const shared =
    group?.backplane?.type === 'expander'
      ? 'sas'
      : group?.backplane?.type === 'bridge'
        ? group.backplane.connectors[0].carries[0]
        : null;
  const protocol =
    shared && cable.carries.includes(shared)
      ? shared
      : spoken && cable.carries.includes(spoken)
        ? spoken
        : (port.carries.find((one) => cable.carries.includes(one)) ?? plainAt(cable.carries, 0));
  const own = Math.min(port.gbPerLane, group?.backplane?.connectors[0]?.gbPerLane ?? Infinity);
  const gb =
    protocol === 'sata'
      ? Math.min(own, SATA_GB)
      : handsOn
        ? uplinkGb(own, handsOn.edgeBuffering ?? false, sataAlone)
        : own;
  const many =
    cable.shape === 'straight'
      ? Math.min(port.lanes, group?.backplane?.connectors[0]?.lanes ?? (drives[0] ? drives[0].part.lanes : port.lanes))
      : cable.shape === 'reverse'
        ? wire.host.length
        : wire.device.length;
  return Math.round(many * laneMBps(protocol, gb));
}

/** What the drives ask that hang on the other ports of an expander or shelf, however far down the chain. */
const asksBehind = (
  unit: PlannedUnit,
  units: readonly PlannedUnit[],
  layout: Layout,
  served: ReadonlyMap<Wire, readonly UnitOf<'drive'>[]>,
): number => {
  const behind = layout.wires.filter((wire) =>
    wire.host.some(({ host }) => feedChain(units, layout.wires, host).includes(unit.id)),
  );
  const drives = new Set(behind.flatMap((wire) => served.get(wire) ?? []));
  return [...drives].reduce((sum, { part }) => sum + wishMBps(part), 0);
};

/** Cables that are here already, dealt out in the order they are asked for: the kit before the boxes. */
function stockOf(
  units: readonly PlannedUnit[],
  needs: Pick<CableNeeds, 'spare'>,
  boxed: readonly BoxedCable[],
): (cable: CableKind) => CableSource {
  const spare = new Set(needs.spare.map(({ id }) => id as string));
  const kit = ofKind(units, 'cable').filter(({ id }) => !spare.has(id));
  const boxes = [...boxed];
  return (cable) => {
    const mine = kit.findIndex(({ part }) => isOfKind(part, cable));
    const [own] = mine >= 0 ? kit.splice(mine, 1) : [];
    if (own) return { kind: 'kit', name: own.part.name, lengthMm: own.part.lengthMm };
    const box = boxes.findLastIndex(({ part }) => isOfKind(part, cable));
    const [boxed] = box >= 0 ? boxes.splice(box, 1) : [];
    return boxed ? { kind: 'box', of: boxed.of, lengthMm: boxed.part.lengthMm } : { kind: 'buy' };
  };
}
