import { least, type Room } from './bounds';
import { compare, ZERO, type Score } from './score';
import type { State } from './table';

/**
 * Dealing as a chain of small choices. A state is what is left after some of them (drives of every
 * class, ports of every class, drives waiting for a lane, leads in hand); each layer makes one more
 * choice and adds its cost. Two ways to one state differ in nothing later, so only the better is
 * kept: the best way through all layers is the best there is (Bellman's principle of optimality).
 * `taste` breaks ties that no level decides: own size first, data in hot-swap bays.
 */
export type Emit = (next: State, a: number, b: number, c: number, taste: number, pick: unknown) => void;
export type Layer = {
  /** `aLeft` is what may still be added to `a`: ways that add more need not be told. */
  readonly expand: (state: State, emit: Emit, aLeft: number) => void;
  /** What is left before this layer: drives waiting, and leads that could serve them, by how many each does at most. */
  readonly room: (state: State) => Room;
};
type Node = { readonly state: State; readonly a: number; readonly b: number; readonly c: number; readonly taste: number; readonly from: Node | null; readonly pick: unknown };
/** `found` is null where no way is better than the limit; `whole` is false where the search was cut short. */
export type Dealt = { readonly found: { readonly score: Score; readonly picks: readonly unknown[] } | null; readonly whole: boolean };

/** States kept a layer on the first way through, which only has to find a good answer fast, and on the second. */
const BEAM = 4;
const WIDER = 30;
/** Choices that may still be looked at, over all the dealing for one question; past them it stops and says so. A count, so that the same question has the same answer. */
export type Budget = { left: number };
export const MOST_CHOICES = 1_000_000;

/** `most` bounds each number of a state; `twins` are numbers whose order in a state does not matter. */
export type Dealing = { readonly start: State; readonly most: readonly number[]; readonly twins: readonly (readonly number[])[]; readonly layers: readonly Layer[] };

/** The cheapest way through all layers from a start; `limit` cuts ways that are no better than one known; `onlyOut` asks only how much stays out. */
export function deal({ start, most, twins, layers }: Dealing, limit: Score | null, budget: Budget, onlyOut = false): Dealt {
  const keyOf = keysFor(most, twins);
  const answer = (best: Node | null, whole: boolean): Dealt => ({ found: best && { score: { a: best.a, b: best.b, c: best.c }, picks: picksOf(best) }, whole });
  // Where an answer is known the cut by it is sharp enough; else a narrow way through finds one first, among those that leave out no more than must be where there are such.
  if (limit) { const only = through(start, layers, Infinity, limit, limit.a, budget, onlyOut, keyOf); return answer(only.best, !only.cut); }
  let first = through(start, layers, BEAM, null, least(ZERO, layers[0]!.room(start)).a, budget, onlyOut, keyOf);
  if (!first.best) first = through(start, layers, BEAM, null, Infinity, budget, onlyOut, keyOf);
  if (!first.cut && first.best) return answer(first.best, true);
  // A wider way cut by it is often all there is, and else makes the cut sharper.
  let best = first.best;
  for (const width of [WIDER, Infinity]) {
    const more = through(start, layers, width, best, best?.a ?? Infinity, budget, onlyOut, keyOf);
    best = more.best ?? best;
    if (!more.cut) return answer(best, true);
  }
  return answer(best, false);
}

function through(start: State, layers: readonly Layer[], width: number, limit: Score | null, mostA: number, budget: Budget, onlyOut: boolean, keyOf: (state: State) => string | number): { best: Node | null; cut: boolean } {
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
        if (sum.a > mostA) return;
        const key = keyOf(next);
        const known = kept.get(key);
        if (known) { const order = compare(sum, known); if (order > 0 || (order === 0 && node.taste + taste >= known.taste)) return; }
        if (limit && noBetter(sum, () => after?.room(next), limit)) return;
        kept.set(key, { state: next.slice(), ...sum, taste: node.taste + taste, from: node, pick });
      }, mostA - node.a);
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
function keysFor(most: readonly number[], twins: Dealing['twins']): (state: State) => string | number {
  const plain = most.reduce((product, one) => product * (one + 1), 1) >= Number.MAX_SAFE_INTEGER ? (state: State) => String.fromCharCode(...state) : (state: State) => {
    let key = 0;
    for (let i = 0; i < most.length; i++) key = key * (most[i]! + 1) + state[i]!;
    return key;
  };
  if (twins.length === 0) return plain;
  const ordered = new Uint16Array(most.length);
  return (state) => {
    ordered.set(state);
    for (const like of twins) { const counts = like.map((i) => state[i]!).sort((a, b) => a - b); like.forEach((i, nth) => { ordered[i] = counts[nth]!; }); }
    return plain(ordered);
  };
}

function picksOf(node: Node): unknown[] {
  const picks: unknown[] = [];
  for (let at: Node | null = node; at?.from; at = at.from) picks.push(at.pick);
  return picks.reverse();
}

const noBetter = (sum: Score, room: () => Room | undefined, limit: Score) => compare(sum, limit) >= 0 || compare(least(sum, room(), limit), limit) >= 0;

