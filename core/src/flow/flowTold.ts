import type { FigureContext } from '../figures/context';
import { drivesFor } from '../machine/roles';
import { ofKind } from '../machine/units';
import { LAYOUTS } from '../pool/layouts';
import { holding, poolOf, type SetTold } from '../pool/setsOf';
import { wishMBps } from '../links/rates';
import type { Wiring } from '../wiring/rows';
import { cardOfAll, flowOf, HALF_FULL, type Direction, type Flow } from './flow';
import { poolsOver } from './flows';
import { flowTree, type Tree } from './links';
import { rebuildOver, type Rebuild } from './rebuild';

/** Share of the memory that holds writes until the pool has them; typical, 5 to 20 %. */
const WRITES_SHARE = 0.1;
/** Share of the memory that keeps what was read; typical. */
const READS_SHARE = 0.5;

/** Sets that are filled together: those on disks, or those on flash alone. */
export type PoolFlow = {
  readonly medium: 'disk' | 'flash';
  readonly sets: readonly string[];
  readonly flow: Flow;
  /** With disks half full. */ readonly halfFull: Flow;
  /** Small operations a second, wherever they come from. */
  readonly small: Readonly<Record<Direction, number>>;
  /** What the drives could give, as so many times what one client gets of it. */
  readonly drivesOver: number;
};

/** GB that go at `mbPerS` before it falls to `thenMBps`. */
export type Burst = {
  readonly kind: 'memoryWrites' | 'memoryReads' | 'cache';
  readonly gb: number;
  readonly mbPerS: number;
  readonly thenMBps: number;
};

/** A controller with what its drives could give and what it passes on; how many like it they want. */
export type CardShare = {
  readonly mark: string;
  readonly name: string;
  readonly drives: number;
  readonly wantMBps: number;
  readonly givesMBps: number;
  readonly wanted: number;
};

export type FlowTold = {
  readonly pools: readonly PoolFlow[];
  readonly bursts: readonly Burst[];
  readonly cards: readonly CardShare[];
  /** Hours to rebuild a drive of each set, where a link makes it longer than the drives alone would. */
  readonly rebuilds: ReadonlyMap<string, Rebuild>;
  /** Ports there are, by Gb/s, the fastest first. */
  readonly ports: readonly number[];
  /** What the machine is plugged into is said, or the fastest port alone is taken. */
  readonly isSaid: boolean;
};

export function flowTold(context: FigureContext, wiring: Wiring): FlowTold {
  const tree = flowTree(context, wiring);
  const { links } = context.site;
  const all = holding(poolOf(context).sets);
  const pools = poolsOver(tree, all, links).pools.map(({ medium, sets, flow }): PoolFlow => {
    const each = sets.map((told) => smallOf(told, tree));
    const slowest = (way: Direction) => sets.length * Math.min(...each.map((one) => one[way]));
    const drives = flow.inside.reading.links.filter(({ link }) => link.kind === 'drive');
    const give = Math.min(...drives.map(({ allowsMBps }) => allowsMBps));
    const gets = flow.one.reading.mbPerS;
    return {
      medium,
      sets: sets.map(({ set }) => set.id),
      flow,
      halfFull: flowOf(tree, sets, links, HALF_FULL),
      small: { reading: slowest('reading'), writing: slowest('writing') },
      drivesOver: drives.length > 0 && gets > 0 ? give / gets : 0,
    };
  });
  return {
    pools,
    bursts: pools[0] ? burstsOf(context, pools[0]) : [],
    cards: cardsOf(context, tree),
    rebuilds: new Map(
      all.flatMap((told) => {
        const rebuild = rebuildOver(tree, told);
        return rebuild.by ? [[told.set.id, rebuild] as const] : [];
      }),
    ),
    ports: tree.ports.map(({ gbPerS }) => gbPerS),
    isSaid: links.length > 0,
  };
}

/**
 * Small operations a second of a set. Where software lays out whole records, those of one drive; a RAID card touches
 * the drives concerned alone, and of one small write reads and writes data and parity: 2 + 2p for p parities.
 */
function smallOf({ set, drives, readIops, writeIops }: SetTold, tree: Tree): Readonly<Record<Direction, number>> {
  const { kind, spare } = LAYOUTS[set.layout];
  const byCard = kind === 'parity' && cardOfAll(drives.map(({ id }) => tree.drives.get(id) ?? [])) !== null;
  const all = drives.length * readIops;
  return byCard ? { reading: all, writing: all / (2 + 2 * spare) } : { reading: readIops, writing: writeIops };
}

/** What memory and read cache do for a pool that is slower than the network; nothing where it is not. */
function burstsOf({ units }: FigureContext, { flow }: PoolFlow): Burst[] {
  const networkOf = (way: Direction) =>
    flow.several[way].links.find(({ link }) => link.kind === 'network')?.allowsMBps ?? 0;
  const memoryGb = ofKind(units, 'memory').reduce((sum, { part }) => sum + part.capacityBytes, 0) / 1e9;
  const [writes, reads] = [networkOf('writing'), networkOf('reading')];
  const { inside } = flow;
  const caches = drivesFor(units, 'cache').filter(({ part }) => part.medium === 'flash');
  const cacheMBps = caches.reduce((sum, { part }) => sum + wishMBps(part), 0);
  return [
    ...(memoryGb > 0 && writes > inside.writing.mbPerS && inside.writing.mbPerS > 0
      ? [
          {
            kind: 'memoryWrites' as const,
            // While it fills, the pool empties it: GB·network / (network − pool).
            gb: (WRITES_SHARE * memoryGb * writes) / (writes - inside.writing.mbPerS),
            mbPerS: writes,
            thenMBps: inside.writing.mbPerS,
          },
        ]
      : []),
    ...(memoryGb > 0 && reads > inside.reading.mbPerS && inside.reading.mbPerS > 0
      ? [{ kind: 'memoryReads' as const, gb: READS_SHARE * memoryGb, mbPerS: reads, thenMBps: inside.reading.mbPerS }]
      : []),
    ...(cacheMBps > 0
      ? [
          {
            kind: 'cache' as const,
            gb: caches.reduce((sum, { part }) => sum + part.capacityBytes, 0) / 1e9,
            mbPerS: Math.min(cacheMBps, reads > 0 ? reads : Infinity),
            thenMBps: Math.min(inside.reading.mbPerS, reads > 0 ? reads : Infinity),
          },
        ]
      : []),
  ];
}

function cardsOf({ units }: FigureContext, tree: Tree): CardShare[] {
  return ofKind(units, 'controller').flatMap((card): CardShare[] => {
    const on = [...tree.drives.values()].filter((path) => path.some(({ key }) => key === `card ${card.id}`));
    const [first] = on;
    if (!first) return [];
    const from = first.findIndex(({ key }) => key === `card ${card.id}`);
    // What it shares with other cards is not its own limit.
    const own = first.slice(from, from + 2).filter(({ kind }) => kind === 'card' || kind === 'slot');
    const givesMBps = Math.min(...own.map(({ carriesMBps }) => carriesMBps));
    const wantMBps = on.reduce((sum, path) => sum + (path[0]?.carriesMBps ?? 0), 0);
    return [
      {
        mark: card.mark,
        name: card.part.name,
        drives: on.length,
        wantMBps,
        givesMBps,
        wanted: Math.ceil(wantMBps / givesMBps),
      },
    ];
  });
}
