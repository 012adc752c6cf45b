import type { Config } from './configs';
import { compare, type Cost } from './cost';

export type Filled = {
  /** Inputs left without a plug. */ readonly left: number;
  readonly cost: Cost;
  /** What each cable takes. */ readonly configs: readonly Config[];
};

/** A config as the search reads it: its classes and counts one after the other, and what it takes off a state. */
type Move = { readonly takes: readonly number[]; readonly by: number; readonly config: Config };

/**
 * Fills cables one after the other so that the fewest inputs are left, then at the least cost: dynamic programming over
 * how many of each class are left (`counts`; the first `classes` of them are inputs). Of several alike the first stays:
 * ways that filled earlier cables more come first.
 */
export function fillCables(counts: readonly number[], classes: number, cables: readonly (readonly Config[])[]): Filled {
  const width = counts.length;
  const radix: number[] = [];
  let size = 1;
  for (const count of counts) {
    radix.push(size);
    size *= count + 1;
  }
  /** How many of each class are left, state by state. */
  const digits = new Uint16Array(size * width);
  for (let state = 0; state < size; state++)
    for (let k = 0; k < width; k++) digits[state * width + k] = Math.floor(state / radix[k]!) % (counts[k]! + 1);
  const moves = new Map<readonly Config[], readonly Move[]>();
  const movesOf = (configs: readonly Config[]): readonly Move[] => {
    let known = moves.get(configs);
    if (!known)
      moves.set(
        configs,
        (known = configs.map((config) => ({
          takes: config.used.flatMap((count, k) => (count > 0 ? [k, count] : [])),
          by: config.used.reduce((all, count, k) => all + count * radix[k]!, 0),
          config,
        }))),
      );
    return known;
  };
  let now = costs(size);
  now.broken[size - 1] = 0;
  const chosen: Int32Array[] = [];
  for (const configs of cables) {
    const next = costs(size);
    const by = new Int32Array(size).fill(-1);
    const all = movesOf(configs);
    for (let state = 0; state < size; state++) {
      const broken = now.broken[state]!;
      if (broken === Infinity) continue;
      const [over, near, rest] = [now.over[state]!, now.near[state]!, now.rest[state]!];
      const at = state * width;
      moves: for (let m = 0; m < all.length; m++) {
        const { takes, by: step, config } = all[m]!;
        for (let i = 0; i < takes.length; i += 2) if (digits[at + takes[i]!]! < takes[i + 1]!) continue moves;
        const to = state - step;
        const cost = config.cost;
        const b = broken + cost.broken;
        const o = over + cost.over;
        const n = near + cost.near;
        const r = rest + cost.rest;
        if (
          (b - next.broken[to]! || o - next.over[to]! || n - next.near[to]! || r - next.rest[to]!) >= 0 &&
          next.broken[to] !== Infinity
        )
          continue;
        next.broken[to] = b;
        next.over[to] = o;
        next.near[to] = n;
        next.rest[to] = r;
        by[to] = m;
      }
    }
    chosen.push(by);
    now = next;
  }
  let best: { state: number; left: number; cost: Cost } | null = null;
  for (let state = 0; state < size; state++) {
    if (now.broken[state] === Infinity) continue;
    let left = 0;
    for (let k = 0; k < classes; k++) left += digits[state * width + k]!;
    const cost = {
      broken: now.broken[state]!,
      over: now.over[state]!,
      near: now.near[state]!,
      rest: now.rest[state]!,
    };
    if (!best || left < best.left || (left === best.left && compare(cost, best.cost) < 0)) best = { state, left, cost };
  }
  const configs: Config[] = [];
  let { state } = best!;
  for (let c = cables.length - 1; c >= 0; c--) {
    const { by, config } = movesOf(cables[c]!)[chosen[c]![state]!]!;
    configs.unshift(config);
    state += by;
  }
  return { left: best!.left, cost: best!.cost, configs };
}

const costs = (size: number) => ({
  broken: new Float64Array(size).fill(Infinity),
  over: new Float64Array(size),
  near: new Float64Array(size),
  rest: new Float64Array(size),
});
