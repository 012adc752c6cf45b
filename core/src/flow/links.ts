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
  /** Of a cable the unit at its other end. */ readonly to?: string;
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
export const flowTree = (machine: Machine, wiring: Pick<Wiring, 'hosts'>): Tree => new Tracing(machine, wiring).tree();

/** Follows cables, cards and slots from drives and ports to the memory; each link is made once. */
class Tracing {
  private readonly byId: ReadonlyMap<string, PlannedUnit>;
  private readonly places: Parameters<typeof linkOf>[3];
  private readonly rows: ReadonlyMap<string, HostRow>;
  private readonly board: UnitOf<'board'> | undefined;
  private readonly links = new Map<string, FlowLink>();

  constructor(
    private readonly machine: Machine,
    private readonly wiring: Pick<Wiring, 'hosts'>,
  ) {
    const { units, layout } = machine;
    this.byId = unitsById(units);
    this.places = { lanes: lanesAt(units, layout), gen: genAt(units, layout) };
    this.rows = new Map(wiring.hosts.map((row) => [row.unit, row]));
    this.board = units.find((unit): unit is UnitOf<'board'> => isKind(unit, 'board') && !!seatSpot(layout, unit));
  }

  tree(): Tree {
    const drives = new Map<UnitId, Path>();
    for (const row of this.wiring.hosts) {
      for (const cable of row.cables) this.overCable(row, cable, drives);
      for (const module of row.modules) this.overSocket(row, module, drives);
    }
    return { drives, ports: this.ports().sort((a, b) => b.mbPerS - a.mbPerS) };
  }

  private readonly link: Known = (one) => {
    const known = this.links.get(one.key);
    if (!known) this.links.set(one.key, one);
    return known ?? one;
  };

  private overCable(row: HostRow, cable: CableRow, drives: Map<UnitId, Path>): void {
    for (const id of cable.drives as UnitId[]) {
      const drive = this.byId.get(id);
      if (!drive || !isKind(drive, 'drive') || drives.has(id)) continue;
      // Both uplinks of a shared backplane serve every drive of it.
      const beside = row.cables.filter(
        (one) => one === cable || (one.drives.includes(id) && one.to.host === cable.to.host),
      );
      drives.set(id, [
        driveLink(drive, this.link),
        cableLink(beside, this.link),
        ...chipOf(cable, this.byId, this.link),
        ...this.fromHost(row),
      ]);
    }
  }

  private overSocket(row: HostRow, module: HostRow['modules'][number], drives: Map<UnitId, Path>): void {
    const { unit: id, carriesMBps, socket } = module;
    const drive = this.byId.get(id);
    if (!drive || !isKind(drive, 'drive')) return;
    const own = this.link({
      key: `socket ${id}`,
      group: `socket ${id}`,
      kind: 'slot',
      name: socket,
      mark: drive.mark,
      carriesMBps,
      half: carriesMBps < USB2_MBPS,
    });
    const on =
      row.unit === id
        ? this.overUplink(row.link?.owner ?? 'chipset')
        : this.byId.has(row.unit)
          ? this.fromHost(row)
          : [];
    drives.set(drive.id, [driveLink(drive, this.link), own, ...on]);
  }

  private overUplink(owner: 'processor' | 'chipset'): FlowLink[] {
    const { board } = this;
    if (!board || owner === 'processor' || board.part.uplinkLanes === 0) return [];
    const { uplinkLanes, uplinkGen } = board.part;
    return [
      this.link({
        key: `uplink ${board.id}`,
        group: 'uplink',
        kind: 'uplink',
        name: `chipset of ${board.part.name}`,
        mark: board.mark,
        carriesMBps: linkMBps(uplinkLanes, uplinkGen),
        half: false,
      }),
    ];
  }

  /** From a card in its slot to the memory. */
  private fromSlot(unit: PlannedUnit): FlowLink[] {
    const own = linkOf(unit, this.machine.layout, this.byId, this.places);
    if (!own || own.uplink) return [];
    const isPci = own.rate === 'PCI';
    const slot = this.link({
      // All slots of conventional PCI are one bus.
      key: isPci ? 'pci' : `slot ${unit.id}`,
      group: isPci ? 'pci' : `slot ${unit.id}`,
      kind: 'slot',
      name: isPci ? 'PCI bus' : `${own.words} at ${own.rate}`,
      mark: unit.mark,
      carriesMBps: isPci ? PCI_MBPS : own.mbPerS,
      half: isPci,
    });
    return [slot, ...this.overUplink(own.owner)];
  }

  private fromHost(row: HostRow, depth = 0): FlowLink[] {
    const unit = this.byId.get(row.unit);
    if (!unit || depth > 6) return [];
    if (row.behind) {
      const feeder = this.rows.get(row.behind);
      const feeding = feeder?.cables.filter(({ to }) => to.host === row.unit) ?? [];
      return [
        ...(feeding.length > 0 ? [cableLink(feeding, this.link)] : []),
        ...(feeder ? this.fromHost(feeder, depth + 1) : []),
      ];
    }
    if (isKind(unit, 'board')) return this.overUplink('chipset');
    if (!isKind(unit, 'controller')) return this.fromSlot(unit);
    const card = this.link({
      key: `card ${unit.id}`,
      group: `card ${unit.id}`,
      kind: 'card',
      name: unit.part.name,
      mark: unit.mark,
      carriesMBps: unit.part.throughputMBps,
      half: false,
      ...(unit.part.raid === 'fixed' ? { raid: true as const } : {}),
    });
    return [card, ...this.fromSlot(unit)];
  }

  private ports(): Port[] {
    const { units, layout } = this.machine;
    return units.flatMap((unit): Port[] => {
      if (isKind(unit, 'board') ? unit !== this.board : !isKind(unit, 'networkCard')) return [];
      const of = unit.part as UnitOf<'networkCard'>['part'];
      if (isKind(unit, 'networkCard') && !groupOf(unit, layout, this.byId)) return [];
      const path = isKind(unit, 'board') ? this.overUplink('chipset') : this.fromSlot(unit);
      return of.networkPorts.flatMap((one) =>
        Array.from({ length: one.count }, () => ({
          mbPerS: networkMBps([{ ...one, count: 1 }]),
          gbPerS: one.gbPerS,
          path,
        })),
      );
    });
  }
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
    to: first.to.host,
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
