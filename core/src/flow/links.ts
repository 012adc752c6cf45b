import type { Layout } from '../build/layout';
import { linkMBps, networkMBps, PCI_MBPS, wishMBps } from '../links/rates';
import { groupAt } from '../machine/spotAt';
import { isKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';
import type { UnitId } from '../parts/ids';
import { genAt, lanesAt } from '../solve/checkLayout';
import { linkOf } from '../wiring/links';
import type { CableRow, HostRow, Wiring } from '../wiring/rows';

type Drive = UnitOf<'drive'>;

/** Something data goes through: what it carries, MB/s, each way or, where `half`, both ways together. */
export type FlowLink = {
  readonly key: string;
  /** Links that would be cured together: drives of one sheet, cables of one kind and rate from one host. */
  readonly group: string;
  readonly kind: 'drive' | 'cable' | 'chip' | 'card' | 'slot' | 'uplink' | 'network';
  readonly name: string;
  readonly mark: string;
  readonly carriesMBps: number;
  readonly half: boolean;
  /** Gives less the fuller it is. */ readonly disk?: true;
  /** The card that works out the parity of sets which are all behind it. */ readonly raid?: true;
};

/** What data goes through from a drive, or from a port, to the memory, in order. */
export type Path = readonly FlowLink[];

/** The network: its ports, the fastest first, each with the links behind it towards the memory. */
export type Port = { readonly mbPerS: number; readonly gbPerS: number; readonly path: Path };

/** Drives that nothing reaches are not in it. */
export type Tree = { readonly drives: ReadonlyMap<UnitId, Path>; readonly ports: readonly Port[] };

type Machine = { readonly units: readonly PlannedUnit[]; readonly layout: Layout };

/** USB slower than this is USB 2, which goes one way at a time, as does conventional PCI. */
const USB2_MBPS = 100;

/** Every link between the drives, the memory and the network, as wired. */
export function flowTree({ units, layout }: Machine, wiring: Wiring): Tree {
  const byId = unitsById(units);
  const places = { lanes: lanesAt(units, layout), gen: genAt(units, layout) };
  const rows = new Map(wiring.hosts.map((row) => [row.unit, row]));
  const links = new Map<string, FlowLink>();
  const link = (one: FlowLink): FlowLink => {
    const known = links.get(one.key);
    if (!known) links.set(one.key, one);
    return known ?? one;
  };
  const board = units.find((unit): unit is UnitOf<'board'> => isKind(unit, 'board') && !!seatSpot(layout, unit));

  const overUplink = (owner: 'processor' | 'chipset'): FlowLink[] => {
    if (!board || owner === 'processor' || board.part.uplinkLanes === 0) return [];
    const { uplinkLanes, uplinkGen } = board.part;
    return [
      link({
        key: `uplink ${board.id}`,
        group: 'uplink',
        kind: 'uplink',
        name: `chipset of ${board.part.name}`,
        mark: board.mark,
        carriesMBps: linkMBps(uplinkLanes, uplinkGen),
        half: false,
      }),
    ];
  };

  /** From a card in its slot to the memory. */
  const fromSlot = (unit: PlannedUnit): FlowLink[] => {
    const own = linkOf(unit, layout, byId, places);
    if (!own || own.uplink) return [];
    const isPci = own.rate === 'PCI';
    const slot = link({
      // All slots of conventional PCI are one bus.
      key: isPci ? 'pci' : `slot ${unit.id}`,
      group: isPci ? 'pci' : `slot ${unit.id}`,
      kind: 'slot',
      name: isPci ? 'PCI bus' : `${own.words} at ${own.rate}`,
      mark: unit.mark,
      carriesMBps: isPci ? PCI_MBPS : own.mbPerS,
      half: isPci,
    });
    return [slot, ...overUplink(own.owner)];
  };

  const fromHost = (row: HostRow, depth = 0): FlowLink[] => {
    const unit = byId.get(row.unit);
    if (!unit || depth > 6) return [];
    if (row.behind) {
      const feeder = rows.get(row.behind);
      const feeding = feeder?.cables.filter(({ to }) => to.host === row.unit) ?? [];
      return [
        ...(feeding.length > 0 ? [cableLink(feeding, link)] : []),
        ...(feeder ? fromHost(feeder, depth + 1) : []),
      ];
    }
    if (isKind(unit, 'board')) return overUplink('chipset');
    if (isKind(unit, 'controller'))
      return [
        link({
          key: `card ${unit.id}`,
          group: `card ${unit.id}`,
          kind: 'card',
          name: unit.part.name,
          mark: unit.mark,
          carriesMBps: unit.part.throughputMBps,
          half: false,
          ...(unit.part.raid === 'fixed' ? { raid: true as const } : {}),
        }),
        ...fromSlot(unit),
      ];
    return fromSlot(unit);
  };

  const drives = new Map<UnitId, Path>();
  for (const row of wiring.hosts) {
    for (const cable of row.cables)
      for (const id of cable.drives as UnitId[]) {
        const drive = byId.get(id);
        if (!drive || !isKind(drive, 'drive') || drives.has(id)) continue;
        // Both uplinks of a shared backplane serve every drive of it.
        const beside = row.cables.filter(
          (one) => one === cable || (one.drives.includes(id) && one.to.host === cable.to.host),
        );
        drives.set(id, [
          driveLink(drive, link),
          cableLink(beside, link),
          ...chipOf(cable, byId, link),
          ...fromHost(row),
        ]);
      }
    for (const { unit: id, carriesMBps, socket } of row.modules) {
      const drive = byId.get(id);
      if (!drive || !isKind(drive, 'drive')) continue;
      const own = link({
        key: `socket ${id}`,
        group: `socket ${id}`,
        kind: 'slot',
        name: socket,
        mark: drive.mark,
        carriesMBps,
        half: carriesMBps < USB2_MBPS,
      });
      const host = byId.get(row.unit);
      const on = row.unit === id ? overUplink(row.link?.owner ?? 'chipset') : host ? fromHost(row) : [];
      drives.set(drive.id, [driveLink(drive, link), own, ...on]);
    }
  }

  const ports = units.flatMap((unit): Port[] => {
    if (isKind(unit, 'board') ? unit !== board : !isKind(unit, 'networkCard')) return [];
    const of = unit.part as UnitOf<'networkCard'>['part'];
    if (isKind(unit, 'networkCard') && !groupOf(unit, layout, byId)) return [];
    const path = isKind(unit, 'board') ? overUplink('chipset') : fromSlot(unit);
    return of.networkPorts.flatMap((one) =>
      Array.from({ length: one.count }, () => ({
        mbPerS: networkMBps([{ ...one, count: 1 }]),
        gbPerS: one.gbPerS,
        path,
      })),
    );
  });
  return { drives, ports: ports.sort((a, b) => b.mbPerS - a.mbPerS) };
}

const groupOf = (unit: PlannedUnit, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>) => {
  const spot = seatSpot(layout, unit);
  return spot && groupAt(byId, spot);
};

type Known = (one: FlowLink) => FlowLink;

const driveLink = (drive: Drive, link: Known): FlowLink =>
  link({
    key: `drive ${drive.id}`,
    group: `drives ${drive.part.id}`,
    kind: 'drive',
    name: drive.part.name,
    mark: drive.mark,
    carriesMBps: wishMBps(drive.part),
    half: true,
    ...(drive.part.medium === 'disk' ? { disk: true as const } : {}),
  });

/** Cables between the same two ends, as one link. */
function cableLink(cables: readonly CableRow[], link: Known): FlowLink {
  const [first] = cables as readonly [CableRow, ...CableRow[]];
  const labels = cables.map(({ label }) => label).join(' + ');
  const carriesMBps = cables.reduce((sum, one) => sum + one.carriesMBps, 0);
  return link({
    key: `cable ${labels}`,
    group: `cables ${first.from.host} ${first.cable.id} ${carriesMBps}`,
    kind: 'cable',
    name: `${labels} to ${first.to.brief || first.to.words}`,
    mark: labels,
    carriesMBps,
    half: first.cable.carries.includes('usb') && first.carriesMBps < USB2_MBPS,
  });
}

/** The added chip of a board behind whose ports a cable starts. */
function chipOf(cable: CableRow, byId: ReadonlyMap<string, PlannedUnit>, link: Known): FlowLink[] {
  const board = byId.get(cable.from.host);
  if (!board || !isKind(board, 'board')) return [];
  const { key, n = 1 } = cable.wire.host[0];
  const chip = (board.part.addedChips ?? []).find((one) => one.key === key && one.ns.includes(n));
  return chip
    ? [
        link({
          key: `chip ${board.id} ${key}${chip.ns.join()}`,
          group: `chip ${board.id} ${key}`,
          kind: 'chip',
          name: `added chip of ${board.part.name}`,
          mark: board.mark,
          carriesMBps: linkMBps(chip.lanes, chip.gen),
          half: false,
        }),
      ]
    : [];
}
