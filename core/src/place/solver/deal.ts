import { LOOSE, OUT } from './roles';
import { compare, LEAD_TO_BUY, type Score } from './score';

/**
 * Dealing as a chain of small choices. A state is what is left after some of them (drives of every
 * class, ports of every class, drives waiting for a lane, leads in hand); each layer makes one more
 * choice and adds its cost. Two ways to one state differ in nothing later, so only the better is
 * kept: the best way through all layers is the best there is (Bellman's principle of optimality).
 */
export type State = Uint16Array;
/** `taste` breaks ties that no level decides: own size first, data in hot-swap bays. */
export type Emit = (next: State, a: number, b: number, c: number, taste: number, pick: unknown) => void;
export type Layer = {
  readonly expand: (state: State, emit: Emit) => void;
  /** What is left before this layer: drives waiting, and leads that could serve them, by how many each does at most. */
  readonly room: (state: State) => Room;
};
/**
 * What is left to deal with, for a bound. In `a` for certain: `nowhere` for drives no bay takes, `lost`
 * for drives no lead could serve. Of all drives, and of each kind that the same bays take, `seeking`
 * want one of `bays`; `waiting` want a lead;
 * `reach` is how many of them find a bay and a lane in one box at most. Then leads that could serve
 * them, by how many each does.
 */
export type Room = {
  readonly nowhere: number; readonly homes: readonly { readonly seeking: Ranked; readonly bays: number }[]; readonly waiting: Ranked; readonly lost: number; readonly reach: number;
  readonly shared: readonly number[]; readonly straight: number; readonly breakouts: number; readonly ones: number; readonly owned: number;
};

/** Numbers of data drives, boot drives and others. */
export type Ranked = readonly [data: number, boot: number, rest: number];

type Node = { readonly state: State; readonly a: number; readonly b: number; readonly c: number; readonly taste: number; readonly from: Node | null; readonly pick: unknown };
/** `found` is null where no way is better than the limit; `whole` is false where the search was cut short. */
export type Dealt = { readonly found: { readonly score: Score; readonly picks: readonly unknown[] } | null; readonly whole: boolean };

/** States kept a layer on the first way through, which only has to find a good answer fast. */
const BEAM = 4;
/** Choices that may still be looked at, over all the dealing for one question; past them it stops and says so. A count, so that the same question has the same answer. */
export type Budget = { left: number };
export const MOST_CHOICES = 250_000;

/** The cheapest way through all layers from a start; `most` bounds each number of a state; `limit` cuts ways that are no better than one known; `onlyOut` asks only how much stays out. */
export function deal(start: State, most: readonly number[], layers: readonly Layer[], limit: Score | null, budget: Budget, onlyOut = false): Dealt {
  const keyOf = keysFor(most);
  const answer = (best: Node | null, whole: boolean): Dealt => ({ found: best && { score: { a: best.a, b: best.b, c: best.c }, picks: picksOf(best) }, whole });
  // Where an answer is known the cut by it is sharp enough; else a narrow way through finds one first.
  const first = through(start, layers, limit ? Infinity : BEAM, limit, budget, onlyOut, keyOf);
  if (limit || !first.cut) return answer(first.best, !first.cut);
  const all = through(start, layers, Infinity, first.best, budget, onlyOut, keyOf);
  return answer(all.best ?? first.best, !all.cut);
}

function through(start: State, layers: readonly Layer[], width: number, limit: Score | null, budget: Budget, onlyOut: boolean, keyOf: (state: State) => string | number): { best: Node | null; cut: boolean } {
  let nodes: Node[] = [{ state: start, a: 0, b: 0, c: 0, taste: 0, from: null, pick: null }];
  let cut = false;
  for (let at = 0; at < layers.length; at++) {
    const layer = layers[at]!;
    const after = layers[at + 1];
    const kept = new Map<string | number, Node>();
    for (const node of nodes) {
      if (budget.left <= 0) { cut = true; break; }
      layer.expand(node.state, (next, a, b, c, taste, pick) => {
        budget.left--;
        const sum = onlyOut ? { a: node.a + a, b: 0, c: 0 } : { a: node.a + a, b: node.b + b, c: node.c + c };
        const key = keyOf(next);
        const known = kept.get(key);
        if (known) { const order = compare(sum, known); if (order > 0 || (order === 0 && node.taste + taste >= known.taste)) return; }
        if (limit && noBetter(sum, after?.room(next), limit)) return;
        kept.set(key, { state: next.slice(), ...sum, taste: node.taste + taste, from: node, pick });
      });
    }
    nodes = [...kept.values()];
    if (nodes.length > width) {
      const ranked = nodes.map((node) => ({ node, least: least(node, after?.room(node.state)) })).sort((one, other) => compare(one.least, other.least) || one.node.taste - other.node.taste);
      nodes = ranked.slice(0, width).map(({ node }) => node);
      cut = true;
    }
  }
  let best: Node | null = null;
  for (const node of nodes) { const order = best ? compare(node, best) : -1; if (order < 0 || (order === 0 && node.taste < best!.taste)) best = node; }
  return { best, cut };
}

/** A state as one number where its numbers are small enough for that, else as text. */
function keysFor(most: readonly number[]): (state: State) => string | number {
  if (most.reduce((product, one) => product * (one + 1), 1) >= Number.MAX_SAFE_INTEGER) return (state) => String.fromCharCode(...state);
  return (state) => {
    let key = 0;
    for (let i = 0; i < most.length; i++) key = key * (most[i]! + 1) + state[i]!;
    return key;
  };
}

function picksOf(node: Node): unknown[] {
  const picks: unknown[] = [];
  for (let at: Node | null = node; at?.from; at = at.from) picks.push(at.pick);
  return picks.reverse();
}

const noBetter = (sum: Score, room: Room | undefined, limit: Score) => sum.a > limit.a || compare(least(sum, room), limit) >= 0;

const total = (ranked: Ranked): number => ranked[0] + ranked[1] + ranked[2];
/** What so many of these count at least: those of the lowest rank first. */
function leastOf(ranked: Ranked, many: number, cost: Ranked): number {
  let [sum, left] = [0, many];
  for (let i = 2; i >= 0 && left > 0; i--) { const some = Math.min(left, ranked[i]!); sum += some * cost[i]!; left -= some; }
  return sum;
}

/** No way on from here costs less: drives past every lane there is stay out, and the leads that serve most serve first. */
export function least(sum: Score, room: Room | undefined): Score {
  if (!room) return sum;
  let [homeless, outside] = [0, 0];
  for (const { seeking, bays } of room.homes) {
    const many = total(seeking) - bays;
    if (many <= 0) continue;
    homeless = Math.max(homeless, many);
    outside = Math.max(outside, leastOf(seeking, many, OUT));
  }
  const certain = sum.a + room.nowhere + outside;
  const lost = homeless > 0 ? 0 : room.lost;
  // Who has no bay wants no lead: those lost may be among the homeless.
  let waiting = total(room.waiting) - homeless;
  if (waiting <= 0) return { a: certain + lost, b: sum.b, c: sum.c };
  const out = Math.max(0, waiting - room.reach);
  waiting -= out;
  let leads = 0;
  let straight = room.straight;
  for (const many of room.shared) {
    if (many <= 4) straight++;
    else if (waiting > 0) { waiting -= many; leads++; }
  }
  if (waiting > 0) {
    const plain = Math.min(Math.ceil(waiting / 4), straight);
    waiting = Math.max(0, waiting - 4 * plain);
    leads += plain;
    // A breakout burdens as two and serves four; for one or two drives single leads do as well.
    const split = Math.min(Math.floor(waiting / 4), room.breakouts);
    waiting -= 4 * split;
    leads += 2 * split + (split < room.breakouts ? Math.min(waiting, 2) : waiting);
  }
  return { a: certain + lost + leastOf(room.waiting, out, LOOSE), b: sum.b, c: sum.c + Math.max(0, leads - room.owned) * LEAD_TO_BUY };
}
