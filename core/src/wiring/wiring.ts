import type { Build } from '../build/build';
import { parseSpot, printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import type { LeadNeeds } from '../needs/leads';
import { isLead, leadById, type Lead } from '../place/leads';
import { demandsFor } from '../place/demands';
import { expanderPorts, hostPorts, protocolOf, type HostPort } from '../place/ports';
import { laneMBps, linkMBps, wishMBps } from '../place/rates';
import { lanesAt } from '../place/checkLayout';
import { boxedCables, type BoxedCable } from '../place/problem';
import { groupAt } from '../place/spotAt';
import { liveWires, wireServing } from '../place/unconnected';
import { isCard, isKind, ofKind, seatSpot, unitsById, type PlannedUnit } from '../place/units';
import type { PartOf } from '../parts/resolve';
import { runMm } from './runLength';

/** One lead of the layout as a builder handles it. MB/s are what it carries at most and what its drives could give. */
export type LeadRow = {
  readonly label: string;
  readonly wire: Wire;
  readonly lead: Lead;
  readonly from: { readonly host: string; readonly words: string };
  readonly to: { readonly host: string; readonly words: string; /** The bays or the part alone. */ readonly brief: string };
  /** Drives it serves, by unit. */
  readonly drives: readonly string[];
  readonly carriesMBps: number;
  readonly asksMBps: number;
  /** About how long it has to be; null where it leaves its box. */
  readonly runMm: number | null;
  readonly source: LeadSource;
};
/** Where a lead comes from: a cable of the kit, the box of a part, or a shop. */
export type LeadSource = { readonly kind: 'kit'; readonly name: string; readonly lengthMm: number } | { readonly kind: 'box'; readonly of: string; readonly lengthMm: number } | { readonly kind: 'buy' };

/** A board or card that leads start at, with its link towards the processor: null for what is on the processor itself. */
export type HostRow = {
  readonly unit: string; readonly name: string; readonly mark: string; readonly leads: readonly LeadRow[];
  /** Ports that nothing is on, by kind. */
  readonly free: readonly { readonly kind: string; readonly count: number }[];
  readonly link: { readonly words: string; readonly lanes: number; readonly gen: number; readonly mbPerS: number; readonly owner: 'processor' | 'chipset'; readonly wiredLanes: number } | null;
  /** The card that feeds an expander. */
  readonly behind: string | null;
};
export type LooseEnd = { readonly unit: string; readonly mark: string; readonly words: string; readonly why: string };
/** Lanes or MB/s of a source that are in use. */
export type Budget = { readonly source: 'processor' | 'chipset'; readonly words: string; readonly used: number; readonly has: number; readonly unit: 'lanes' | 'MB/s' };
export type Wiring = { readonly hosts: readonly HostRow[]; readonly loose: readonly LooseEnd[]; readonly budgets: readonly Budget[] };

/** No SATA link is faster (SATA 3.x), also behind a port of 12 Gb/s. */
const SATA_GB = 6;

/**
 * The data wiring of a machine by the board or card every lead starts at, in the order of their
 * places; leads are labelled L1, L2, … in that order.
 */
export function wiringOf(units: readonly PlannedUnit[], layout: Layout, needs: Pick<LeadNeeds, 'spare'>, boxed: readonly BoxedCable[], unconnected: readonly PlannedUnit[]): Wiring {
  const byId = unitsById(units);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  const ports = [...hostPorts(units, seatOf, layout.modes), ...expanderPorts(units, seatOf)];
  const portByName = new Map(ports.map((port) => [port.name, port]));
  const lanes = lanesAt(units, byId, layout);
  const served = servedBy(units, layout);
  const supply = stockOf(units, needs, boxed);
  const used = new Set(layout.wires.flatMap((wire) => [...wire.host, ...wire.device].map(printSpot)));
  const feeders = new Map<string, string>();
  for (const wire of layout.wires) for (const { host } of wire.device) { const unit = byId.get(host); if (unit && isKind(unit, 'expander')) feeders.set(host, wire.host[0]!.host); }

  const order = hostOrder(units, layout, feeders);
  let label = 0;
  const hosts = order.map((unit): HostRow => {
    const own = ports.map(({ name }) => name);
    const mine = layout.wires.filter((wire) => wire.host[0]!.host === unit.id).sort((a, b) => own.indexOf(printSpot(a.host[0]!)) - own.indexOf(printSpot(b.host[0]!)));
    const leads = mine.flatMap((wire): LeadRow[] => {
      const lead = leadById(wire.lead);
      if (!lead) return [];
      const first = portByName.get(printSpot(wire.host[0]!));
      const drives = served.get(wire) ?? [];
      const toExpander = wire.device.map(({ host }) => byId.get(host)).find((one) => one && isKind(one, 'expander'));
      return [{
        label: `L${++label}`, wire, lead, from: { host: unit.id, words: hostWords(unit, wire, byId) }, to: deviceWords(wire, byId, layout), drives: drives.map(({ id }) => id),
        carriesMBps: carries(wire, lead, first, byId, drives), asksMBps: toExpander ? asksBehind(toExpander, layout, served) : drives.reduce((sum, { part }) => sum + wishMBps(part), 0),
        runMm: runMm({ units, layout }, wire), source: supply(lead),
      }];
    });
    const free = new Map<string, number>();
    for (const port of ports) if (port.unit === unit && port.lanes > 0 && !used.has(port.name) && !port.carries.every((one) => one === 'usb')) free.set(port.kind, (free.get(port.kind) ?? 0) + 1);
    return { unit: unit.id, name: unit.part.name, mark: unit.mark, leads, free: [...free].map(([kind, count]) => ({ kind, count })), link: linkOf(unit, layout, byId, lanes), behind: feeders.get(unit.id) ?? null };
  });
  return { hosts, loose: looseEnds(units, layout, ports, unconnected, needs), budgets: budgetsOf(units, layout, byId, lanes, hosts) };
}

/** The wiring of an assessed build. */
export const wiringFor = (build: Pick<Build, 'sheets' | 'archetypes'>, { units, layout, needs, unconnected }: { readonly units: readonly PlannedUnit[]; readonly layout: Layout; readonly needs: LeadNeeds; readonly unconnected: readonly PlannedUnit[] }): Wiring =>
  wiringOf(units, layout, needs, boxedCables(units, build.sheets, build.archetypes), unconnected);

/** The board, cards on its chipset, cards on the processor, each by slot; expander cards after the card that feeds them. So what goes to one source stands together. */
function hostOrder(units: readonly PlannedUnit[], layout: Layout, feeders: ReadonlyMap<string, string>): PlannedUnit[] {
  const hosts = units.filter((unit) => (isKind(unit, 'board') || isCard(unit.part)) && seatSpot(layout, unit));
  const slot = (unit: PlannedUnit) => { const spot = seatSpot(layout, unit)!; const board = units.find(({ id }) => id === spot.host)?.part; return board?.kind === 'board' ? board.slots.findIndex(({ key }) => key === spot.key) : -1; };
  const onProcessor = (unit: PlannedUnit) => { const spot = seatSpot(layout, unit)!; const board = units.find(({ id }) => id === spot.host)?.part; return Number(board?.kind === 'board' && board.slots.find(({ key }) => key === spot.key)?.owner === 'processor'); };
  const direct = hosts.filter(({ id }) => !feeders.has(id)).sort((a, b) => Number(isKind(b, 'board')) - Number(isKind(a, 'board')) || onProcessor(a) - onProcessor(b) || slot(a) - slot(b));
  return direct.flatMap((unit) => [unit, ...hosts.filter(({ id }) => feeders.get(id) === unit.id)]);
}

function servedBy(units: readonly PlannedUnit[], layout: Layout): ReadonlyMap<Wire, readonly (PlannedUnit & { readonly part: PartOf<'drive'> })[]> {
  const live = liveWires(units, layout.wires);
  const served = new Map<Wire, (PlannedUnit & { readonly part: PartOf<'drive'> })[]>();
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) continue;
    served.set(wire, [...served.get(wire) ?? [], demand.unit as never]);
    // Behind a shared backplane both uplinks serve every drive.
    if (demand.kind === 'backplane' && demand.target.shared) for (const other of layout.wires) if (other !== wire && other.device.some((end) => end.host === demand.target.ref.host && end.key === demand.target.ref.key)) served.set(other, [...served.get(other) ?? [], demand.unit as never]);
  }
  return served;
}

function carries(wire: Wire, lead: Lead, port: HostPort | undefined, byId: ReadonlyMap<string, PlannedUnit>, drives: readonly (PlannedUnit & { readonly part: PartOf<'drive'> })[]): number {
  if (!port) return 0;
  const end = byId.get(wire.device[0]!.host);
  const group = end && (isKind(end, 'chassis') || isKind(end, 'adapter')) ? end.part.bayGroups.find(({ key }) => wire.device[0]!.key.startsWith(`${key}-`)) : undefined;
  const own = drives[0] && protocolOf(drives[0].part);
  // An expander is spoken to as SAS whatever hangs behind it, a bridge as it speaks.
  const shared = group?.backplane?.type === 'expander' ? 'sas' : group?.backplane?.type === 'bridge' ? group.backplane.connectors[0]!.carries[0]! : null;
  const protocol = shared && lead.carries.includes(shared) ? shared : own && lead.carries.includes(own) ? own : port.carries.find((one) => lead.carries.includes(one)) ?? lead.carries[0]!;
  const gb = Math.min(port.gbPerLane, group?.backplane?.connectors[0]?.gbPerLane ?? Infinity, protocol === 'sata' ? SATA_GB : Infinity);
  const many = lead.shape === 'straight' ? Math.min(port.lanes, group?.backplane?.connectors[0]?.lanes ?? (drives[0] ? drives[0].part.lanes : port.lanes)) : lead.shape === 'reverse' ? wire.host.length : wire.device.length;
  return Math.round(many * laneMBps(protocol, gb));
}

const asksBehind = (expander: PlannedUnit, layout: Layout, served: ReadonlyMap<Wire, readonly (PlannedUnit & { readonly part: PartOf<'drive'> })[]>): number =>
  layout.wires.filter((wire) => wire.host[0]!.host === expander.id).reduce((sum, wire) => sum + (served.get(wire) ?? []).reduce((all, { part }) => all + wishMBps(part), 0), 0);

function linkOf(unit: PlannedUnit, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>, lanes: (spot: SpotRef) => number): HostRow['link'] {
  if (isKind(unit, 'board')) {
    const { uplinkLanes, uplinkGen } = unit.part;
    return uplinkLanes === 0 ? null : { words: 'Chipset uplink', lanes: uplinkLanes, gen: uplinkGen, mbPerS: linkMBps(uplinkLanes, uplinkGen), owner: 'processor', wiredLanes: uplinkLanes };
  }
  const spot = seatSpot(layout, unit);
  const group = spot && groupAt(byId, spot);
  if (group?.type !== 'slot' || !isCard(unit.part) || isKind(unit, 'expander')) return null;
  const have = unit.part.bus === 'pci' ? 1 : Math.min(unit.part.lanes, lanes(spot!));
  const gen = Math.min(unit.part.gen, group.slot.gen);
  return { words: group.label, lanes: have, gen, mbPerS: unit.part.bus === 'pci' ? 100 : linkMBps(have, gen), owner: group.slot.owner, wiredLanes: lanes(spot!) };
}

const nth = ({ n }: SpotRef) => (n === undefined ? '' : ` ${n}`);
function hostWords(unit: PlannedUnit, wire: Wire, byId: ReadonlyMap<string, PlannedUnit>): string {
  const host = byId.get(unit.id)!.part;
  const connector = 'connectors' in host ? host.connectors.find(({ key }) => key === wire.host[0]!.key) : undefined;
  const ports = wire.host.map((ref) => ref.n ?? 1);
  const name = connector?.label ?? wire.host[0]!.key;
  return `${unit.part.name} ${unit.mark}, ${lower(name)}${wire.host.length > 1 ? ` ${ports.join(', ')}` : nth(wire.host[0]!)}`;
}
/** Bays of an adapter are named with it: there may be several alike. */
const ofAdapter = (unit: PlannedUnit | undefined) => (unit && isKind(unit, 'adapter') ? ` of ${unit.mark}` : '');
const lower = (words: string) => (/^[A-Z]{2}/.test(words) || /^[A-Z]\./.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1));

function deviceWords(wire: Wire, byId: ReadonlyMap<string, PlannedUnit>, layout: Layout): LeadRow['to'] {
  const [ref] = wire.device;
  const unit = byId.get(ref!.host);
  if (!unit) return { host: ref!.host, words: printSpot(ref!), brief: printSpot(ref!) };
  if (isKind(unit, 'drive')) {
    const places = wire.device.map(({ host }) => { const seat = layout.at[host]; const group = seat && groupAt(byId, seat.spot); return `${byId.get(host)?.mark ?? host}${group ? ` in ${lower(group.label)}${nth(seat!.spot)}${ofAdapter(byId.get(seat!.spot.host))}` : ''}`; });
    const only = wire.device.length === 1 ? layout.at[unit.id] : undefined;
    const at = only && groupAt(byId, only.spot);
    return { host: unit.id, words: places.join(', '), brief: at ? `${lower(at.label)}${nth(only.spot)}${ofAdapter(byId.get(only.spot.host))}` : `${wire.device.length} drives` };
  }
  if (isKind(unit, 'expander')) return { host: unit.id, words: `${unit.part.name} ${unit.mark}, port${nth(ref!)}`, brief: `port${nth(ref!)}` };
  const group = isKind(unit, 'chassis') || isKind(unit, 'adapter') ? unit.part.bayGroups.find(({ key }) => ref!.key.startsWith(`${key}-`)) : undefined;
  const bays = group?.backplane?.type === 'direct' && ref!.n !== undefined ? `, bays ${(ref!.n - 1) * group.backplane.baysPerConnector + 1}–${Math.min(ref!.n * group.backplane.baysPerConnector, group.rows * group.columns)}` : '';
  const label = lower(group?.label ?? 'bays');
  return { host: unit.id, words: `${unit.part.name} ${unit.mark}, ${label} connector${nth(ref!)}${bays}`, brief: bays ? `${label.replace(/ bays$/, '')} ${bays.slice(2)}` : label };
}

/** Cables that are here already, dealt out in the order they are asked for: the kit before the boxes. */
function stockOf(units: readonly PlannedUnit[], needs: Pick<LeadNeeds, 'spare'>, boxed: readonly BoxedCable[]): (lead: Lead) => LeadSource {
  const spare = new Set(needs.spare.map(({ id }) => id as string));
  const kit = ofKind(units, 'cable').filter(({ id }) => !spare.has(id));
  const boxes = [...boxed];
  return (lead) => {
    const mine = kit.findIndex(({ part }) => isLead(part, lead));
    if (mine >= 0) { const [one] = kit.splice(mine, 1); return { kind: 'kit', name: one!.part.name, lengthMm: one!.part.lengthMm }; }
    const box = boxes.findLastIndex(({ part }) => isLead(part, lead));
    if (box >= 0) { const [one] = boxes.splice(box, 1); return { kind: 'box', of: one!.of, lengthMm: one!.part.lengthMm }; }
    return { kind: 'buy' };
  };
}

function looseEnds(units: readonly PlannedUnit[], layout: Layout, ports: readonly HostPort[], unconnected: readonly PlannedUnit[], needs: Pick<LeadNeeds, 'spare'>): LooseEnd[] {
  const byId = unitsById(units);
  const end = (unit: PlannedUnit, words: string, why: string): LooseEnd => ({ unit: unit.id, mark: unit.mark, words, why });
  const off = ports.filter(({ offBecause }) => offBecause);
  const offs = [...new Set(off.map(({ unit }) => unit))].map((unit) => {
    const mine = off.filter((port) => port.unit === unit);
    const by = mine[0]!.offBecause!;
    return end(unit, `${mine.length} ${mine.length === 1 ? 'port' : 'ports'} of ${unit.part.name}`, isKind(by, 'chassis') ? 'no opening in the rear wall' : `switched off by ${by.part.name} ${by.mark}`);
  });
  const drives = unconnected.map((unit) => {
    const seat = layout.at[unit.id];
    const group = seat && groupAt(byId, seat.spot);
    return end(unit, unit.part.name, `no port left for ${group ? lower(group.label) : 'its bay'}${seat?.spot.n ? ` ${seat.spot.n}` : ''}`);
  });
  const tabled = ofKind(units, 'drive').filter((unit) => !unit.builtIn && !layout.at[unit.id]).map((unit) => end(unit, unit.part.name, 'no bay'));
  const cards = units.filter((unit) => isCard(unit.part) && !layout.at[unit.id] && !unit.builtIn).map((unit) => end(unit, unit.part.name, 'no slot'));
  const cables = needs.spare.map((unit) => end(unit, unit.part.name, 'fits nowhere here'));
  const asleep = Object.entries(layout.dormant).flatMap(([name, { spot, how, reason }]) => {
    const host = byId.get(spot.host);
    const device = parseSpot(name);
    return host && device ? [end(host, `Lead from ${host.part.name}, port${nth(spot)} to ${byId.get(device.host)?.part.name ?? device.host}${nth(device)}, ${how === 'held' ? 'held' : 'put by hand'}`, `sleeps: ${reason}`)] : [];
  });
  return [...drives, ...tabled, ...cards, ...offs, ...asleep, ...cables];
}

function budgetsOf(units: readonly PlannedUnit[], layout: Layout, byId: ReadonlyMap<string, PlannedUnit>, lanes: (spot: SpotRef) => number, hosts: readonly HostRow[]): Budget[] {
  const board = ofKind(units, 'board').find((unit) => seatSpot(layout, unit));
  const processor = ofKind(units, 'processor').find((unit) => seatSpot(layout, unit));
  if (!board) return [];
  const seated = units.flatMap((unit) => {
    const spot = seatSpot(layout, unit);
    const group = spot?.host === board.id ? groupAt(byId, spot) : undefined;
    const place = group?.type === 'slot' ? group.slot : group?.type === 'm2' ? group.socket : undefined;
    // An expander takes power from its slot, no lanes.
    return place && !isKind(unit, 'expander') ? [{ unit, owner: place.owner, gen: place.gen, lanes: Math.min(isCard(unit.part) ? unit.part.lanes : isKind(unit, 'drive') ? (unit.part.interface === 'nvme' ? unit.part.lanes : 0) : 16, lanes(spot!)) }] : [];
  });
  const taken = seated.filter(({ owner }) => owner === 'processor').reduce((sum, one) => sum + one.lanes, 0);
  const onBoard = hosts.find(({ unit }) => unit === board.id);
  const asked = (onBoard?.leads.reduce((sum, lead) => sum + lead.asksMBps, 0) ?? 0) + seated.filter(({ owner }) => owner === 'chipset').reduce((sum, { unit, lanes: many, gen }) => sum + (isKind(unit, 'drive') ? Math.min(wishMBps(unit.part), linkMBps(many, gen)) : hosts.find((host) => host.unit === unit.id)?.leads.reduce((all, lead) => all + lead.asksMBps, 0) || linkMBps(many, gen)), 0);
  return [
    ...(processor ? [{ source: 'processor' as const, words: processor.part.name, used: taken, has: processor.part.lanes, unit: 'lanes' as const }] : []),
    ...(board.part.uplinkLanes ? [{ source: 'chipset' as const, words: 'Chipset uplink', used: Math.round(asked), has: linkMBps(board.part.uplinkLanes, board.part.uplinkGen), unit: 'MB/s' as const }] : []),
  ];
}
