import fc from 'fast-check';
import { match } from './matching';

/** The most pairs by trying every assignment. */
function mostPairs(lefts: number, edges: readonly (readonly number[])[], taken = new Set<number>(), at = 0): number {
  if (at === lefts) return 0;
  let best = mostPairs(lefts, edges, taken, at + 1);
  for (const right of edges[at]!) {
    if (taken.has(right)) continue;
    best = Math.max(best, 1 + mostPairs(lefts, edges, new Set([...taken, right]), at + 1));
  }
  return best;
}
const graphs = fc
  .integer({ min: 1, max: 5 })
  .chain((rights) =>
    fc.array(fc.uniqueArray(fc.nat(rights - 1)), { minLength: 1, maxLength: 6 }).map((edges) => ({ rights, edges })),
  );

test('matches as many as brute force, along edges only, each right once', () => {
  fc.assert(
    fc.property(graphs, ({ rights, edges }) => {
      const found = match(edges.length, rights, (left) => edges[left]!);
      const used = found.filter((right) => right !== -1);
      expect(new Set(used).size).toBe(used.length);
      found.forEach((right, left) => {
        if (right !== -1) expect(edges[left]).toContain(right);
      });
      expect(used).toHaveLength(mostPairs(edges.length, edges));
    }),
    { numRuns: 400, seed: 3 },
  );
});

test('a seeded pair stands when nothing needs it, moves when something does, never when fixed', () => {
  const edges = [[0, 1], [0]];
  expect(match(1, 2, () => [0, 1], [[0, 1]])).toEqual([1]);
  expect(match(2, 2, (left) => edges[left]!, [[0, 0]])).toEqual([1, 0]);
  expect(
    match(
      2,
      2,
      (left) => edges[left]!,
      [[0, 0]],
      (left) => left === 0,
    ),
  ).toEqual([0, -1]);
});

test('where not all can be matched, the earlier ones are', () => {
  expect(match(3, 1, () => [0])).toEqual([0, -1, -1]);
});
