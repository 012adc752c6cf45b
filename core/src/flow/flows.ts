import type { FigureContext } from '../figures/context';
import { holding, mediumOf, poolOf, type SetTold } from '../pool/setsOf';
import { linkRows } from '../wiring/wiring';
import { flowOf, type Direction, type Flow, type Loaded, type Rate } from './flow';
import { flowTree, type FlowLink, type Tree } from './links';

/** Sets that are filled together, those on disks or those on flash alone, with how fast files go to and from them. */
export type OnePool = {
  readonly medium: 'disk' | 'flash';
  readonly sets: readonly SetTold[];
  readonly flow: Flow;
};
/** Every link of a machine, and its pools: that on disks first. */
export type PoolFlows = { readonly tree: Tree; readonly pools: readonly OnePool[] };

/** How fast files go in a machine as it is placed and wired, without a word of what is bought for it. */
export function poolFlows(
  units: FigureContext['units'],
  layout: FigureContext['layout'],
  pool: FigureContext['pool'],
  failuresWished: FigureContext['failuresWished'],
  links: FigureContext['site']['links'],
): PoolFlows {
  const { sets } = poolOf({ units, pool, ...(failuresWished === undefined ? {} : { failuresWished }) });
  const all = holding(sets);
  const tree: Tree = all.length === 0 ? NOTHING : flowTree({ units, layout }, { hosts: linkRows(units, layout) });
  return poolsOver(tree, all, links);
}
const NOTHING: Tree = { drives: new Map(), ports: [] };

/** Pools of the sets that hold something over the links there are. */
export const poolsOver = (tree: Tree, all: readonly SetTold[], links: FigureContext['site']['links']): PoolFlows => ({
  tree,
  pools: (['disk', 'flash'] as const).flatMap((medium): OnePool[] => {
    const sets = all.filter((told) => mediumOf(told) === medium);
    return sets.length > 0 ? [{ medium, sets, flow: flowOf(tree, sets, links) }] : [];
  }),
});

type Rates = Readonly<Record<Direction, Rate>>;
/** What one client gets; in a machine without a network port, what the machine itself gets. */
export const clientRates = ({ one, inside }: Flow): { readonly rates: Rates; readonly isInside: boolean } =>
  one.reading.neck ? { rates: one, isInside: false } : { rates: inside, isInside: true };

/** Less than so much more is not felt. */
const FELT = 1.1;

/**
 * What links cost that could carry more: `clients` where files to or from several clients at once go slower for them,
 * `inside` where only what the machine does by itself is (rebuilds, scrubs, copies from set to set), `nothing` where
 * something else is narrower anyway. MB/s as it is and with them cured, and what `holds` then.
 */
export type Felt = {
  readonly by: 'clients' | 'inside' | 'nothing';
  readonly way: Direction;
  readonly mbPerS: number;
  readonly curedMBps: number;
  readonly holds: Pick<Loaded, 'link' | 'count'>;
};

/** What links that `are` meant cost at the worst of directions and pools; null where no data of a pool goes there. */
export function feltAt({ pools }: PoolFlows, are: (link: FlowLink) => boolean): Felt | null {
  const worst = (by: Felt['by'], ratesOf: (flow: Flow) => Rates): Felt | null => {
    const each = pools.flatMap(({ flow }) =>
      (['reading', 'writing'] as const).flatMap((way): Felt[] => {
        const { each: all, mbPerS } = ratesOf(flow)[way];
        const others = all.filter(({ link }) => !are(link));
        if (others.length === all.length) return [];
        const [next] = others.sort((a, b) => a.allowsMBps - b.allowsMBps);
        if (!next) return [];
        const count = others.filter(({ link }) => link.group === next.link.group).length;
        const holds = { link: next.link, count };
        return [{ by, way, mbPerS, curedMBps: Math.max(mbPerS, next.allowsMBps), holds }];
      }),
    );
    const [most] = each.sort((a, b) => b.curedMBps / b.mbPerS - a.curedMBps / a.mbPerS);
    return most ?? null;
  };
  const clients = worst('clients', ({ several, inside }) => (several.reading.neck ? several : inside));
  if (!clients || clients.curedMBps >= clients.mbPerS * FELT) return clients;
  const inside = worst('inside', (flow) => flow.inside);
  return inside && inside.curedMBps >= inside.mbPerS * FELT ? inside : { ...clients, by: 'nothing' };
}
