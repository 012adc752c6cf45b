import { factOf } from '../../parts/resolve';
import type { UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import { rangedOf, type Ranged } from '../quantity';
import type { PowerState } from './draw';
import type { Feed } from './feeds';
import { feedAt, wattsOn, type UpsShare } from './upsShares';

type Supply = UnitOf<'supply'>;
/** The loads between which a power factor is taken to rise with the logarithm of the load. */
const [LOW_LOAD, FULL_LOAD] = [0.1, 1];

/** W / VA at the mains: its sheet's at a tenth of its load and at all of it, between them by the load's logarithm. */
export function powerFactorAt(low: number, full: number, load: number): number {
  const at = Math.log(Math.min(FULL_LOAD, Math.max(LOW_LOAD, load)) / LOW_LOAD) / Math.log(FULL_LOAD / LOW_LOAD);
  return low + at * (full - low);
}

/** What hangs on a UPS in a state, VA: each supply by its power factor at its load, all else as a full one. */
export function vaOn(context: FigureContext, share: UpsShare, state: PowerState): Ranged | null {
  const watts = wattsOn(context, share, state);
  if (!watts) return null;
  const parts = share.hanging.flatMap(({ feed, plugs, of }) => {
    const wall = feedAt(context, feed, state);
    return wall ? [{ feed, watts: (rangedOf(wall).value * plugs) / of }] : [];
  });
  const own = parts.reduce((sum, one) => sum + one.watts, 0);
  const each = (end: 'value' | 'lo' | 'hi'): number => {
    const va = parts.reduce((sum, one) => sum + one.watts / factorOf(context, one.feed, state, end), 0);
    // Readings narrow the whole and what else hangs there counts as it is: what is left goes by the same factor.
    return own > 0 ? watts[end] * (va / own) : watts[end];
  };
  return { value: each('value'), lo: each('lo'), hi: each('hi') };
}

/** The end of a factor's range that goes with an end of the VA. */
const FACTOR_END = { lo: 'hi', value: 'value', hi: 'lo' } as const;

function factorOf(context: FigureContext, feed: Feed, state: PowerState, end: 'value' | 'lo' | 'hi'): number {
  const plugged: readonly Supply[] = feed.brick ? [feed.brick] : feed.sharing;
  const [first] = plugged;
  if (!first) return 1;
  const ratedW = plugged.reduce((sum, { part }) => sum + part.ratedW * Math.max(1, part.modules), 0);
  const load = (feedAt(context, feed, state)?.value ?? 0) / ratedW;
  const of = (field: 'powerFactorLow' | 'powerFactorFull') => factOf(first.part, field)[FACTOR_END[end]];
  return Math.min(1, powerFactorAt(of('powerFactorLow'), of('powerFactorFull'), load));
}
