import { askOf, withAnother } from '../../parts/rows';
import type { Archetype } from '../../parts/sheet';
import { VALUES } from '../../parts/sheet';
import { chassis } from './chassisLists';
import {
  isPcie,
  isSata,
  lanesOf,
  rowsOf,
  type Builder,
  type Lists,
  type Made,
  type Row,
  type Said,
  type SaidPlug,
} from './builder';
import type { Place } from './places';
import type { SaidEnd } from './ports';
import type { SaidStart } from './starts';

/** Lists of a sheet as a text counts them, and what of it could not be put into them. */
export type PlacedLists = {
  readonly lists: Lists;
  readonly left: readonly Place[];
  /** Lists that were said whole: they are no class's. */ readonly whole: readonly string[];
};

/**
 * The lists of a part's class with as many rows as a text counts; what a row is like beyond that is the class's.
 * `values` are the numbers read of the same text: bays have to stand in the shell they say.
 */
export function listsOf(archetype: Archetype, values: Lists, places: readonly Place[]): PlacedLists {
  const said = new Map(places.map((place) => [place.field, place.value]));
  const made = builders[archetype.kind]?.(archetype, said, values, places) ?? { lists: {}, taken: [] };
  const left = places.filter(({ field }) => !made.taken.includes(field));
  return { lists: made.lists, left, whole: made.whole ?? [] };
}

function board(archetype: Archetype, said: Said): Made {
  const lists: Record<string, unknown> = {};
  const ports = said.get('sataPorts') as number | undefined;
  if (ports !== undefined) {
    const all = rowsOf(archetype, 'connectors');
    const had = all.findIndex(({ kind, side }) => kind === 'sata' && side === 'inside');
    const row = all[had] ?? SATA;
    lists.connectors = [{ ...row, count: ports }, ...all.filter((_, i) => i !== had)];
  }
  const sockets = said.get('m2Sockets') as number | undefined;
  const like = rowsOf(archetype, 'm2Sockets');
  const plugs = said.get('plugs') as readonly (SaidPlug & { readonly carries: readonly string[] })[] | undefined;
  if (plugs) {
    const all = (lists.connectors as readonly Row[] | undefined) ?? rowsOf(archetype, 'connectors');
    lists.connectors = [...plugs.map(boardPlug), ...all];
  }
  if (sockets !== undefined && like.length > 0) lists.m2Sockets = asMany(like, sockets, archetype, 'm2Sockets');
  const slots = said.get('slots') as readonly SaidSlot[] | undefined;
  if (slots) lists.slots = slotRows(slots, Number(rowsOf(archetype, 'slots')[0]?.gen ?? 3));
  const network = networkRows(said);
  const taken = [
    'sataPorts',
    'plugs',
    'slots',
    ...(lists.m2Sockets ? ['m2Sockets'] : []),
    ...(network ? ['networkPorts'] : []),
  ];
  // What switches what off, and what is on a chip of its own, is that of the board there was.
  const changed = Object.keys(lists).length > 0 ? { ...lists, rules: [], modes: [], addedChips: [] } : {};
  return { taken, lists: { ...changed, ...(network ? { networkPorts: network } : {}) } };
}

function networkRows(said: Said): readonly Row[] | undefined {
  const ports = said.get('networkPorts') as readonly { count: number; gbPerS: number }[] | undefined;
  return ports?.map(({ count, gbPerS }, i) => ({ key: `lan${i + 1}`, gbPerS, count }));
}

function networkCard(_archetype: Archetype, said: Said): Made {
  const networkPorts = networkRows(said);
  return networkPorts ? { lists: { networkPorts }, taken: ['networkPorts'] } : { lists: {}, taken: [] };
}

const SATA: Row = {
  key: 'sata',
  label: 'SATA port',
  kind: 'sata',
  lanes: 1,
  carries: ['sata'],
  gbPerLane: 6,
  role: 'host',
  side: 'inside',
};
const boardPlug = ({ count, kind, carries }: SaidPlug & { readonly carries: readonly string[] }, i: number): Row => ({
  ...SATA,
  key: `plug${i + 1}`,
  label: kind.toUpperCase(),
  kind,
  count,
  lanes: lanesOf(kind),
  carries,
  gbPerLane: carries.includes('sas') ? 12 : 6,
});
type SaidSlot = { readonly count: number; readonly lanes: number; readonly wiredLanes: number; readonly gen?: number };

/** Slots one beside the other from the first opening on; the widest hang on the processor. */
function slotRows(slots: readonly SaidSlot[], gen: number): readonly Row[] {
  const widest = Math.max(...slots.map(({ wiredLanes }) => wiredLanes));
  return slots
    .flatMap((slot) => Array.from({ length: slot.count }, () => slot))
    .map((slot, i) => ({
      key: `pcie${i + 1}`,
      label: `Slot ${i + 1}, x${slot.lanes}`,
      position: i,
      bus: 'pcie',
      lanes: slot.lanes,
      wiredLanes: slot.wiredLanes,
      gen: slot.gen ?? gen,
      owner: slot.wiredLanes === widest ? 'processor' : 'chipset',
      openEnd: false,
    }));
}

/** The rows of a class, as many as were counted: the first of them, or more like the last. */
function asMany(rows: readonly Row[], count: number, { kind }: Archetype, field: string): readonly unknown[] {
  const schema = (VALUES[kind].shape as unknown as Readonly<Record<string, Parameters<typeof askOf>[0]>>)[field]!;
  const ask = askOf(schema);
  if (ask.type !== 'rows') return rows;
  let made: readonly unknown[] = rows.slice(0, count);
  while (made.length < count) made = withAnother(made, ask.of);
  return made;
}

/** Plugs are dealt to cables as is usual: one a cable for board, processor and cards, up to four for drives. */
const PLUGS: readonly (readonly [field: string, plug: string, most: number])[] = [
  ['mainPlugs', '24-pin', 1],
  ['processorPlugs', '8-pin-cpu', 1],
  ['cardPlugs', '8-pin-card', 1],
  ['sataPlugs', 'sata-power', 4],
  ['peripheralPlugs', 'peripheral', 4],
];
const USUAL = { lengthMm: 600, gaugeAwg: 18 };

function supply(archetype: Archetype, said: Said): Made {
  const had = rowsOf(archetype, 'cables');
  const has = (row: Row, plug: string) => (row.plugs as readonly { plug: string }[]).some((one) => one.plug === plug);
  const asked = PLUGS.filter(([field]) => said.has(field));
  if (asked.length === 0) return { lists: {}, taken: [] };
  const made = asked.flatMap(([field, plug, most], i): Row[] => {
    const all = said.get(field) as number;
    const { lengthMm, gaugeAwg } = { ...USUAL, ...had.find((row) => has(row, plug)) };
    const cable = (key: string, count: number, plugs: number): Row[] =>
      count > 0 && plugs > 0 ? [{ key, count, plugs: [{ plug, count: plugs }], lengthMm, gaugeAwg }] : [];
    return [...cable(`cable${i}a`, Math.floor(all / most), most), ...cable(`cable${i}b`, 1, all % most)];
  });
  const others = had.filter((row) => !asked.some(([, plug]) => has(row, plug)));
  return { lists: { cables: [...made, ...others] }, taken: asked.map(([field]) => field) };
}

function controller(archetype: Archetype, said: Said): Made {
  const ports = said.get('ports') as readonly { count: number; kind: string; side: string }[] | undefined;
  const [like] = rowsOf(archetype, 'connectors');
  if (!ports || !like) return { lists: {}, taken: [] };
  const connectors = ports.map(({ count, kind, side }, i): Row => {
    const { label: _label, ...rest } = like;
    const way = isSata(kind) ? { carries: ['sata'], gbPerLane: Math.min(6, Number(like.gbPerLane)) } : {};
    return { ...rest, ...way, key: `port${i + 1}`, count, kind, side, lanes: lanesOf(kind) };
  });
  return { lists: { connectors }, taken: ['ports'] };
}

function carrier(archetype: Archetype, said: Said): Made {
  const sockets = said.get('m2Sockets') as number | undefined;
  const like = rowsOf(archetype, 'm2Sockets');
  return sockets === undefined || like.length === 0
    ? { lists: {}, taken: [] }
    : { lists: { m2Sockets: asMany(like, sockets, archetype, 'm2Sockets') }, taken: ['m2Sockets'] };
}

/** Plugs for SAS carry PCIe by other pins (SFF-8643, SFF-8654): what the far end takes tells which cable it is. */
const carriedBy = (one: string, other: string): readonly string[] =>
  isPcie(one) || isPcie(other) ? ['pcie'] : isSata(one) || isSata(other) ? ['sata'] : ['sas', 'sata'];

/**
 * Both ends of a cable. The end that is named first is at the host, unless the text says forward (one plug there) or
 * reverse (the tails there); tails that are not counted are as many as the plug has lanes.
 */
function cable(_archetype: Archetype, said: Said): Made {
  const ends = said.get('ends') as readonly SaidEnd[] | undefined;
  if (!ends) return { lists: {}, taken: [] };
  const [one, other] = ends.map((end, i) => {
    const far = ends[1 - i]!;
    const isFan = end.tails === 1 && far.tails === 1 && lanesOf(end.kind) === 1 && lanesOf(far.kind) > 1;
    return { ...end, tails: isFan ? lanesOf(far.kind) : end.tails };
  }) as [SaidEnd, SaidEnd];
  const isReverse = (said.get('isReverse') as boolean | undefined) ?? one.tails > other.tails;
  const roleOf = (end: SaidEnd, far: SaidEnd) =>
    end.tails === far.tails ? 'either' : end.tails < far.tails === !isReverse ? 'host' : 'device';
  const row = (end: SaidEnd, far: SaidEnd): Row => ({
    kind: end.kind,
    tails: end.tails,
    lanesPerTail: Math.max(1, Math.floor(lanesOf(end.tails > 1 ? far.kind : end.kind) / end.tails)),
    role: roleOf(end, far),
  });
  return {
    lists: { ends: [row(one, other), row(other, one)], carries: carriedBy(one.kind, other.kind) },
    taken: ['ends', 'isReverse'],
  };
}

/** The start of its class with what was said on each rail as its most. */
function drive(archetype: Archetype, said: Said): Made {
  const start = said.get('start') as SaidStart | undefined;
  if (!start) return { lists: {}, taken: [] };
  const had = rowsOf(archetype, 'spinUp') as readonly { readonly [name: string]: number }[];
  const steps = had.length > 0 ? had : [{ atS: 0, forS: 10, a12: 0, a5: 0, a33: 0 }];
  const asSaid = (rail: 'a12' | 'a5', step: Readonly<Record<string, number>>): number => {
    const most = Math.max(...steps.map((one) => one[rail] ?? 0));
    const wanted = start[rail];
    return wanted === undefined ? (step[rail] ?? 0) : most > 0 ? ((step[rail] ?? 0) / most) * wanted : wanted;
  };
  const spinUp = steps.map((step) => ({ ...step, a12: asSaid('a12', step), a5: asSaid('a5', step) }));
  const isWhole = (['a12', 'a5'] as const).every(
    (rail) => start[rail] !== undefined || steps.every((step) => (step[rail] ?? 0) === 0),
  );
  return { lists: { spinUp }, taken: ['start'], whole: isWhole ? ['spinUp'] : [] };
}

const builders: Readonly<Partial<Record<Archetype['kind'], Builder>>> = {
  drive,
  board,
  chassis,
  supply,
  controller,
  networkCard,
  powerAdapter: (_archetype, said) =>
    said.has('gives') ? { lists: { gives: said.get('gives') }, taken: ['gives'] } : { lists: {}, taken: [] },
  expander: controller,
  carrier,
  cable,
};
