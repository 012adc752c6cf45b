import type { Site } from '../build/build';
import { LAYOUTS } from '../pool/layouts';
import { holding as holdingOf, type SetTold } from '../pool/setsOf';
import type { UnitId } from '../parts/ids';
import type { FlowLink, Path, Port, Tree } from './links';

/** What the machine is plugged into, `count` links each. */
type Links = readonly Readonly<Site['links'][number]>[];
export type Direction = 'reading' | 'writing';

/** Share of an Ethernet payload that files get through a file protocol: it takes 3 to 6 %. */
export const FILE_SHARE = 0.955;
/** A disk half full is that much slower than an empty one: √(1 − 0.75·0.5). */
export const HALF_FULL = Math.sqrt(1 - 0.75 * 0.5);

/** A link with what it carries for every MB/s of files, and the rate of files it allows. */
export type Loaded = {
  readonly link: FlowLink;
  /** Links like it, of which this is the narrowest. */ readonly count: number;
  readonly perMBps: number;
  readonly allowsMBps: number;
};
/** The rate of files in one direction for one client or several, with what holds it back and what would next. */
export type Rate = {
  readonly mbPerS: number;
  readonly neck: Loaded | null;
  /** What would hold it back with that cured. */ readonly next: Loaded | null;
  /** Every link that carries some of it, the narrowest of each group, drives first. */
  readonly links: readonly Loaded[];
  /** Every link by itself. */ readonly each: readonly Loaded[];
  /** MB/s that go through each link then, by its key. */ readonly through: ReadonlyMap<string, number>;
};
export type Flow = {
  /** In the machine, before the network. */ readonly inside: Readonly<Record<Direction, Rate>>;
  readonly one: Readonly<Record<Direction, Rate>>;
  readonly several: Readonly<Record<Direction, Rate>>;
  /** Ports that are plugged in, as the place says, else the fastest one. */
  readonly ports: readonly Port[];
  /** Drives of the sets that nothing reaches: the flow is of the others. */ readonly without: readonly UnitId[];
};

/** What goes up, to the memory, and down, from it, through each link for every MB/s of files. */
type Loads = Map<FlowLink, { up: number; down: number }>;

const add = (loads: Loads, path: Path, up: number, down: number): void => {
  for (const link of path) {
    const own = loads.get(link) ?? { up: 0, down: 0 };
    loads.set(link, { up: own.up + up, down: own.down + down });
  }
};

/** What holds the paths of a set in common, once: of drives that take turns only one is at work. */
const inTurns = (loads: Loads, paths: readonly Path[], up: number, down: number): void => {
  const own: Loads = new Map();
  for (const path of paths) for (const link of path) own.set(link, { up, down });
  for (const [link, one] of own) add(loads, [link], one.up, one.down);
};

/**
 * The loads of one set that has `share` of the pool. Striped evenly, every drive does the same: in a row of parity
 * n − p drives hold what a row holds, of mirrors each group; a mirror is read from all of its drives and written to
 * all. Where parity has drives of its own, and where every drive stands alone, one works at a time; such parity is
 * read, reckoned and written again.
 */
function loadSet(
  loads: Loads,
  { set, drives }: SetTold,
  share: number,
  paths: ReadonlyMap<UnitId, Path>,
  way: Direction,
): void {
  const { kind, spare } = LAYOUTS[set.layout];
  const n = drives.length;
  const own = drives.map(({ id }) => paths.get(id) ?? []);
  const isReading = way === 'reading';
  /** The drive itself, and the links behind it. */
  const each = (effort: number, through: number) => {
    const raid = kind === 'parity' && !isReading ? cardOfAll(own) : null;
    for (const path of own) {
      add(loads, path.slice(0, 1), isReading ? effort : 0, isReading ? 0 : effort);
      const behind = path.slice(1);
      // A card that reckons the parity itself is sent the data alone.
      const at = raid ? behind.findIndex((link) => link === raid) : -1;
      const before = at < 0 ? behind : behind.slice(0, at + 1);
      add(loads, before, isReading ? through : 0, isReading ? 0 : through);
      if (at >= 0) add(loads, behind.slice(at + 1), 0, share / n);
    }
  };
  switch (kind) {
    case 'mirror': {
      const groups = Math.floor(n / (spare + 1));
      return isReading ? each(share / n, share / n) : each(share / groups, share / groups);
    }
    case 'parity':
      return isReading ? each(share / (n - spare), share / n) : each(share / (n - spare), share / (n - spare));
    case 'stripe':
      return each(share / n, share / n);
    case 'single':
      return inTurns(loads, own, isReading ? share : 0, isReading ? 0 : share);
    case 'dedicated': {
      if (isReading) return inTurns(loads, own, share, 0);
      // The largest keep the parity.
      const order = drives
        .map((drive, i) => ({ drive, path: own[i]! }))
        .sort((a, b) => b.drive.part.capacityBytes - a.drive.part.capacityBytes);
      inTurns(
        loads,
        order.slice(spare).map(({ path }) => path),
        share,
        share,
      );
      for (const { path } of order.slice(0, spare)) add(loads, path, share, share);
    }
  }
}

/** The card that works out the parity of all these drives; null where they hang on more than it. */
export function cardOfAll(paths: readonly Path[]): FlowLink | null {
  const raid = paths[0]?.find((link) => link.raid);
  return raid && paths.every((path) => path.includes(raid)) ? raid : null;
}

const ORDER: readonly FlowLink['kind'][] = ['drive', 'cable', 'chip', 'card', 'slot', 'uplink', 'network'];

function rateOf(loads: Loads, slower: number): Rate {
  const all = [...loads].flatMap(([link, load]): Loaded[] => {
    const carries = link.disk ? link.carriesMBps * slower : link.carriesMBps;
    const per = link.half ? load.up + load.down : Math.max(load.up, load.down);
    return per > 0 ? [{ link, count: 1, perMBps: per, allowsMBps: carries / per }] : [];
  });
  const narrowest = new Map<string, Loaded>();
  for (const one of all) {
    const known = narrowest.get(one.link.group);
    const least = known && known.allowsMBps <= one.allowsMBps ? known : one;
    narrowest.set(one.link.group, { ...least, count: (known?.count ?? 0) + 1 });
  }
  const links = [...narrowest.values()].sort((a, b) => ORDER.indexOf(a.link.kind) - ORDER.indexOf(b.link.kind));
  const [neck, next] = [...links].sort((a, b) => a.allowsMBps - b.allowsMBps);
  return {
    mbPerS: neck?.allowsMBps ?? 0,
    neck: neck ?? null,
    next: next ?? null,
    links,
    each: all,
    through: new Map(all.map(({ link, perMBps }) => [link.key, perMBps * (neck?.allowsMBps ?? 0)])),
  };
}

/** Ports in use: as many as there are links for, none faster than its link; without a word of links the fastest. */
function portsUsed(ports: readonly Port[], links: Links): Port[] {
  if (links.length === 0) return ports.slice(0, 1);
  const there = links.flatMap(({ gbPerS, count }) => Array.from({ length: count }, () => gbPerS)).sort((a, b) => b - a);
  return ports.slice(0, there.length).map((port, i) => {
    const gbPerS = Math.min(port.gbPerS, there[i]!);
    return { ...port, gbPerS, mbPerS: (port.mbPerS * gbPerS) / port.gbPerS };
  });
}

const portLink = (ports: readonly Port[], mbPerS: number): FlowLink => {
  const gb = [...new Set(ports.map(({ gbPerS }) => gbPerS))];
  return {
    key: 'network',
    group: 'network',
    kind: 'network',
    name: `${ports.length > 1 ? `${ports.length} × ` : ''}${gb.join(' and ')} Gb/s network`,
    mark: '',
    carriesMBps: mbPerS * FILE_SHARE,
    half: false,
  };
};

/**
 * How fast files go in a row from the sets to the clients and back: one factor for all drives of an evenly striped
 * pool, the least of what each link carries over what it is asked for (a bottleneck of proportional loads). Links go
 * both ways at once unless they are `half`. `slower` is what disks give of their outer rate (`HALF_FULL`).
 */
export function flowOf(tree: Tree, sets: readonly SetTold[], links: Links, slower = 1): Flow {
  const holding = holdingOf(sets);
  const without = holding.flatMap(({ drives }) => drives.filter(({ id }) => !tree.drives.has(id)).map(({ id }) => id));
  const ports = portsUsed(tree.ports, links);
  const loadsOf = (way: Direction): Loads => {
    const loads: Loads = new Map();
    for (const told of holding) loadSet(loads, told, 1 / holding.length, tree.drives, way);
    return loads;
  };
  const through = (way: Direction, used: readonly Port[]): Rate => {
    const loads = loadsOf(way);
    const all = used.reduce((sum, { mbPerS }) => sum + mbPerS, 0);
    // Drives that nothing reaches give a client nothing, however fast its link.
    if (all === 0 || loads.size === 0)
      return { mbPerS: 0, neck: null, next: null, links: [], each: [], through: new Map() };
    // What goes out of the network comes down from the memory, and the other way round.
    for (const port of used) {
      const part = port.mbPerS / all / FILE_SHARE;
      add(loads, port.path, way === 'writing' ? part : 0, way === 'writing' ? 0 : part);
    }
    add(loads, [portLink(used, all)], way === 'writing' ? 1 : 0, way === 'writing' ? 0 : 1);
    return rateOf(loads, slower);
  };
  const both = (of: (way: Direction) => Rate) => ({ reading: of('reading'), writing: of('writing') });
  return {
    inside: both((way) => rateOf(loadsOf(way), slower)),
    one: both((way) => through(way, ports.slice(0, 1))),
    several: both((way) => through(way, ports)),
    ports,
    without,
  };
}
