import { memberAt } from '../../lists';
import TinyQueue from 'tinyqueue';
import { least, type Room } from './least';
import { compare, ZERO, type Score } from './score';
import { isSpent, spend, type Work } from './work';
import type { State } from './table';

/**
 * Dealing as a chain of small choices. A state is what is left after some of them (drives of every
 * class, ports of every class, drives waiting for a lane, cables in hand); each layer makes one more
 * choice and adds its cost. Two ways to one state differ in nothing later, so only the better is
 * kept: the best way through all layers is the best there is (Bellman's principle of optimality).
 * `taste` breaks ties that no level decides: own size first, data in hot-swap bays.
 */
export type Emit = (next: State, a: number, b: number, c: number, taste: number, pick: unknown) => void;
export type Layer = {
  /** `aLeft` is what may still be added to `a`: ways that add more need not be told. */
  readonly expand: (state: State, emit: Emit, aLeft: number) => void;
  /**
   * What is left before this layer: drives waiting, and cables that could serve them, by how many each does at most.
   */
  readonly room: (state: State) => Room;
};
type Node = {
  readonly state: State;
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly taste: number;
  readonly from: Node | null;
  readonly pick: unknown;
};
/** `found` is null where no way is better than the limit; `whole` is false where the search was cut short. */
export type Dealt = {
  readonly found: { readonly score: Score; readonly picks: readonly unknown[] } | null;
  readonly whole: boolean;
};

/**
 * States kept a layer on the first way through, which only has to find a good answer fast, and on the second; what
 * those leave open is looked for nearest first.
 */
const BEAM = 4;
const WIDER = 30;
/** `most` bounds each number of a state; `twins` are numbers whose order in a state does not matter. */
export type Dealing = {
  /** What looking at one choice is reckoned at. */ readonly cost: number;
  readonly start: State;
  readonly most: readonly number[];
  readonly twins: readonly (readonly number[])[];
  readonly layers: readonly Layer[];
};

/**
 * The cheapest way through all layers from a start; `limit` cuts ways that are no better than one known; `onlyOut` asks
 * only how much stays out.
 */
export function deal(
  { cost, start, most, twins, layers }: Dealing,
  limit: Score | null,
  work: Work,
  onlyOut = false,
): Dealt {
  const search: Search = { cost, start, layers, work, onlyOut, keyOf: keysFor(most, twins) };
  const answer = (best: Node | null, whole: boolean): Dealt => ({
    found: best && { score: { a: best.a, b: best.b, c: best.c }, picks: picksOf(best) },
    whole,
  });
  // Where an answer is known the cut by it is sharp enough; else a narrow way through finds one first, among those that
  // leave out no more than must be where there are such.
  if (limit) {
    const only = through(search, Infinity, limit, limit.a);
    return answer(only.best, !only.cut);
  }
  let first = through(search, BEAM, null, least(ZERO, memberAt(layers, 0).room(start)).a);
  if (!first.best) first = through(search, BEAM, null, Infinity);
  if (!first.cut && first.best) return answer(first.best, true);
  // A wider way cut by it is often all there is, and else makes the cut sharper.
  const more = through(search, WIDER, first.best, first.best?.a ?? Infinity);
  const best = more.best ?? first.best;
  if (!more.cut) return answer(best, true);
  const last = nearestFirst(search, best, best?.a ?? Infinity);
  return answer(last.best ?? best, !last.cut);
}

/** Some way through, however little work is left: of a dealing whose layers tell only the first few ways on. */
export function dealSomehow({ cost, start, most, twins, layers }: Dealing): Dealt {
  const { best } = through(
    { cost, start, layers, work: { left: Infinity }, onlyOut: false, keyOf: keysFor(most, twins) },
    BEAM,
    null,
    Infinity,
  );
  return { found: best && { score: { a: best.a, b: best.b, c: best.c }, picks: picksOf(best) }, whole: false };
}

type Search = Pick<Dealing, 'cost' | 'start' | 'layers'> & {
  readonly work: Work;
  readonly onlyOut: boolean;
  readonly keyOf: (state: State) => string | number;
};
/** The best way found, and whether others were left unlooked at. */
type Way = { readonly best: Node | null; readonly cut: boolean };

type Open = {
  readonly node: Node;
  readonly at: number;
  readonly key: string | number;
  readonly least: Score;
  readonly nth: number;
};
/** Least bound first; of those the deepest, the best to taste, the latest. */
const sooner = (one: Open, other: Open): number =>
  compare(one.least, other.least) || other.at - one.at || one.node.taste - other.node.taste || other.nth - one.nth;

/**
 * The most hopeful way on is followed first, so the first that comes through is the best (A*): ways dearer than the
 * best are never gone. Null where none is better than the limit.
 */
function nearestFirst(search: Search, limit: Score | null, mostA: number): Way {
  const { start, layers, work } = search;
  const queue = new TinyQueue<Open>([], sooner);
  const kept = layers.map(() => new Map<string | number, Node>());
  let nth = 0;
  queue.push({ node: { state: start, ...ZERO, taste: 0, from: null, pick: null }, at: 0, key: '', least: ZERO, nth });
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { node, at } = next;
    if (isSpent(work)) return { best: null, cut: true };
    if (at === layers.length) return { best: node, cut: false };
    if (at > 0 && memberAt(kept, at - 1).get(next.key) !== node) continue;
    onward(
      search,
      node,
      memberAt(layers, at),
      memberAt(kept, at),
      mostA,
      (sum, state) => {
        const bound = least(sum, layers[at + 1]?.room(state));
        return !limit || compare(bound, limit) < 0 ? bound : null;
      },
      (made, key, bound) => queue.push({ node: made, at: at + 1, key, least: bound, nth: ++nth }),
    );
  }
  return { best: null, cut: false };
}

/** Tells the ways on from a node that are better than those known to the same state and, by their `bound`, worth it. */
function onward<B extends object>(
  { cost, work, onlyOut, keyOf }: Search,
  node: Node,
  layer: Layer,
  kept: Map<string | number, Node>,
  mostA: number,
  bound: (sum: Score, state: State) => B | null,
  tell?: (made: Node, key: string | number, bound: B) => void,
): void {
  layer.expand(
    node.state,
    (next, a, b, c, taste, pick) => {
      spend(work, cost);
      if (node.a + a > mostA) return;
      const sum = onlyOut ? { a: node.a + a, b: 0, c: 0 } : { a: node.a + a, b: node.b + b, c: node.c + c };
      const key = keyOf(next);
      const known = kept.get(key);
      if (known) {
        const order = compare(sum, known);
        if (order > 0 || (order === 0 && node.taste + taste >= known.taste)) return;
      }
      const worth = bound(sum, next);
      if (!worth) return;
      const { a: sumA, b: sumB, c: sumC } = sum;
      const made: Node = {
        state: next.slice(),
        a: sumA,
        b: sumB,
        c: sumC,
        taste: node.taste + taste,
        from: node,
        pick,
      };
      kept.set(key, made);
      tell?.(made, key, worth);
    },
    mostA - node.a,
  );
}

/** Layer by layer, no more than `width` states kept of each, of those that might be better than the limit. */
function through(search: Search, width: number, limit: Score | null, mostA: number): Way {
  const { start, layers, work } = search;
  let nodes: Node[] = [{ state: start, a: 0, b: 0, c: 0, taste: 0, from: null, pick: null }];
  let cut = false;
  for (let at = 0; at < layers.length; at++) {
    const layer = memberAt(layers, at);
    const after = layers[at + 1];
    const kept = new Map<string | number, Node>();
    for (const node of nodes) {
      if (isSpent(work)) {
        cut = true;
        break;
      }
      onward(search, node, layer, kept, mostA, (sum, next) =>
        limit && noBetter(sum, () => after?.room(next), limit) ? null : sum,
      );
    }
    nodes = [...kept.values()];
    // Layers stop telling ways on when the work is spent.
    if (isSpent(work)) cut = true;
    if (nodes.length > width) {
      const ranked = nodes
        .map((node) => ({ node, least: least(node, after?.room(node.state)) }))
        .sort((one, other) => compare(one.least, other.least) || one.node.taste - other.node.taste);
      nodes = ranked.slice(0, width).map(({ node }) => node);
      cut = true;
    }
  }
  let best: Node | null = null;
  for (const node of nodes) {
    const order = best ? compare(node, best) : -1;
    if (order < 0 || (order === 0 && node.taste < best!.taste)) best = node;
  }
  return { best, cut };
}

/** A state as one number where its numbers are small enough for that, else as text. */
function keysFor(most: readonly number[], twins: Dealing['twins']): (state: State) => string | number {
  const plain =
    most.reduce((product, one) => product * (one + 1), 1) >= Number.MAX_SAFE_INTEGER
      ? (state: State) => String.fromCharCode(...state)
      : (state: State) => {
          let key = 0;
          for (let i = 0; i < most.length; i++) key = key * (most[i]! + 1) + state[i]!;
          return key;
        };
  if (twins.length === 0) return plain;
  const ordered: State = Array<number>(most.length).fill(0);
  return (state) => {
    for (let i = 0; i < ordered.length; i++) ordered[i] = state[i]!;
    for (const like of twins) {
      const counts = like.map((i) => state[i]!).sort((a, b) => a - b);
      like.forEach((i, nth) => {
        ordered[i] = counts[nth]!;
      });
    }
    return plain(ordered);
  };
}

function picksOf(node: Node): unknown[] {
  const picks: unknown[] = [];
  for (let at: Node | null = node; at?.from; at = at.from) picks.push(at.pick);
  return picks.reverse();
}

const noBetter = (sum: Score, room: () => Room | undefined, limit: Score) =>
  compare(sum, limit) >= 0 || compare(least(sum, room(), limit), limit) >= 0;
