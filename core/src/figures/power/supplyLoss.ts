import { basisOf, type PartOf } from '../../parts/resolve';
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

/** W a supply turns to heat at a load in W; its modules, each of its own rating, share the load evenly. */
export function supplyLossW(supply: PartOf<'supply'>, loadW: number): number {
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
  return supply.modules * Math.max(0, curve(loadW / supply.modules));
}

/**
 * A curve is taken to be of 230 V. On 115 V the mains side carries twice the current: by the efficiency classes' own
 * tables the loss is 1.1 to 1.35 times as much.
 */
const LOSS_AT_115_V = { lo: 1.1, likely: 1.23, hi: 1.35 } as const;
const AS_STATED = { lo: 1, likely: 1, hi: 1 } as const;
export const mainsFactor = (mainsV: 115 | 230) => (mainsV === 115 ? LOSS_AT_115_V : AS_STATED);

export const lossTolerance = (supply: PartOf<'supply'>): number => LOSS_TOLERANCE[basisOf(supply, 'efficiency')];
