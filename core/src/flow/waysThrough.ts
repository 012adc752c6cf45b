import type { FigureContext } from '../figures/context';
import { toldOf } from '../pool/setsOf';
import type { PoolWay } from '../pool/ways';
import type { Wiring } from '../wiring/rows';
import { flowOf } from './flow';
import { flowTree } from './links';
import { rebuildOver } from './rebuild';

/**
 * Layouts with what comes through the links of this machine, before its network: MB/s read and written, and hours to
 * rebuild. By its drives alone a layout reads faster than its cards carry.
 */
export function waysThrough(context: FigureContext, wiring: Wiring, ways: readonly PoolWay[]): PoolWay[] {
  const tree = flowTree(context, wiring);
  return ways.map((way) => {
    const sets = way.sets.map((set) => toldOf(set, context.units));
    const { inside } = flowOf(tree, sets, context.site.links);
    return {
      ...way,
      told: {
        ...way.told,
        readMBps: inside.reading.mbPerS,
        writeMBps: inside.writing.mbPerS,
        rebuildH: Math.max(0, ...sets.map((told) => rebuildOver(tree, told).hours)),
      },
    };
  });
}
