import { plainAt } from '../lists';
/**
 * Maximum bipartite matching by augmenting paths (Kuhn). Left vertices are tried in order, so
 * earlier ones are kept matched where not all can be; `edges` lists right vertices in order of
 * preference. Pairs in `seed` stand unless an augmenting path needs them; `fixed` lefts never move.
 * Returns the right vertex of each left, -1 where none.
 */
export function match(
  lefts: number,
  rights: number,
  edges: (left: number) => readonly number[],
  seed: readonly (readonly [left: number, right: number])[] = [],
  fixed: (left: number) => boolean = () => false,
): number[] {
  const ofLeft = new Array<number>(lefts).fill(-1);
  const ofRight = new Array<number>(rights).fill(-1);
  for (const [left, right] of seed) {
    if (ofLeft[left] !== -1 || ofRight[right] !== -1) continue;
    ofLeft[left] = right;
    ofRight[right] = left;
  }
  let stamp = 0;
  const seen = new Int32Array(rights);
  const augment = (left: number): boolean => {
    const wanted = edges(left);
    for (const right of wanted) {
      if (ofRight[right] !== -1) continue;
      ofRight[right] = left;
      ofLeft[left] = right;
      return true;
    }
    for (const right of wanted) {
      if (seen[right] === stamp) continue;
      seen[right] = stamp;
      const holder = plainAt(ofRight, right);
      if (fixed(holder) || !augment(holder)) continue;
      ofRight[right] = left;
      ofLeft[left] = right;
      return true;
    }
    return false;
  };
  for (let left = 0; left < lefts; left++) {
    if (ofLeft[left] !== -1) continue;
    stamp++;
    augment(left);
  }
  return ofLeft;
}
