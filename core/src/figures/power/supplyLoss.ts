import { basisOf, type PartOf } from '../../parts/resolve';
import type { Feed } from './feeds';
import { monotoneCubic } from '../monotoneCubic';

/** Loss without load as a share of rated W, typical by efficiency class. */
const NO_LOAD_SHARE = {
  plain: 0.025,
  bronze: 0.02,
  silver: 0.016,
  gold: 0.011,
  platinum: 0.009,
  titanium: 0.007,
} as const;
/** Half-width of a supply's loss: it is the loss that is uncertain, not the efficiency. */
const LOSS_TOLERANCE = { stated: 0.15, measured: 0.05, typical: 0.3 } as const;

const curves = new WeakMap<PartOf<'supply'>, (loadW: number) => number>();

function curveOf(supply: PartOf<'supply'>): (loadW: number) => number {
  let curve = curves.get(supply);
  if (!curve) {
    const idle = supply.noLoadLossW ?? NO_LOAD_SHARE[supply.efficiencyClass] * supply.ratedW;
    // A load that is stated twice counts with the lower efficiency.
    const byLoad = new Map([...supply.efficiency].sort((a, b) => b.pct - a.pct).map(({ load, pct }) => [load, pct]));
    const points = [...byLoad]
      .sort(([a], [b]) => a - b)
      .map(([load, pct]): [number, number] => {
        const loadW = load * supply.ratedW;
        return [loadW, loadW / (pct / 100) - loadW];
      });
    curve = monotoneCubic([[0, idle], ...points]);
    curves.set(supply, curve);
  }
  return curve;
}

/**
 * W a supply turns to heat at a load in W: modules that are awake, each of its own rating, share the load evenly, and
 * those that rest, powered, lose what they lose without load. `modules` are all that share, else its own.
 */
export function supplyLossW(supply: PartOf<'supply'>, loadW: number, modules = supply.modules): number {
  const curve = curveOf(supply);
  const resting = Math.min(modules - 1, supply.restingModules ?? 0);
  const awake = modules - resting;
  return awake * Math.max(0, curve(loadW / awake)) + resting * Math.max(0, curve(0));
}

/** 5 V and 3.3 V of redundant modules come from converters on the board that joins them. */
const JOINED_LOW_RAILS = 0.92;

/** The parts of a feed in which W are lost. */
type Stages = Pick<Feed, 'supply' | 'sharing' | 'brick'>;

/**
 * W a feed turns to heat between the mains and its parts, of which `lowShare` of the load is on 5 V and 3.3 V. Before a
 * converter stands its brick, and loses on what that loses too; one that passes 12 V through converts the rest only.
 */
export function feedLossW({ supply, sharing, brick }: Stages, loadW: number, lowShare: number): number {
  if (!supply) return 0;
  const { part } = supply;
  const lowW = loadW * lowShare;
  if (brick) {
    const converterW = supplyLossW(part, part.twelveThrough ? lowW : loadW);
    return converterW + supplyLossW(brick.part, loadW + converterW);
  }
  const joinedW = part.form === 'redundant' ? lowW / JOINED_LOW_RAILS - lowW : 0;
  return joinedW + supplyLossW(part, loadW + joinedW, modulesOf({ sharing }));
}

/** Whether what a feed loses hangs on how its load lies on the rails. */
export const losesByRail = ({ supply, brick }: Stages): boolean => brick !== null || supply?.part.form === 'redundant';

/** Modules that share a feed's load, of all its like supplies. */
export const modulesOf = ({ sharing }: Pick<Feed, 'sharing'>): number =>
  sharing.reduce((sum, { part }) => sum + part.modules, 0);

/**
 * A curve is taken to be of 230 V. On 115 V the mains side carries twice the current: by the efficiency classes' own
 * tables the loss is 1.1 to 1.35 times as much.
 */
const LOSS_AT_115_V = { lo: 1.1, likely: 1.23, hi: 1.35 } as const;
const AS_STATED = { lo: 1, likely: 1, hi: 1 } as const;
export const mainsFactor = (mainsV: 115 | 230) => (mainsV === 115 ? LOSS_AT_115_V : AS_STATED);

export const lossTolerance = ({ supply, brick }: Stages): number =>
  Math.max(0, ...[supply, brick].map((one) => (one ? LOSS_TOLERANCE[basisOf(one.part, 'efficiency')] : 0)));
