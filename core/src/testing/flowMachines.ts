import { createAssessor } from '../assess';
import { flowTree, type Tree } from '../flow/links';
import type { SetLayout } from '../pool/layouts';
import { toldOf, type SetTold } from '../pool/setsOf';
import { ofKind } from '../machine/units';
import { wiringFor } from '../wiring/wiring';
import { drawn } from './drawn';
import { AS_OF, fixture, type Fixture } from './fixture';

export const treeOf = (made: Fixture): Tree => {
  const assessment = createAssessor().assess(made.build, AS_OF);
  return flowTree(assessment, wiringFor(made.build, assessment));
};

const LEAST = { mirror2: 2, mirror3: 3, parity1: 3, parity2: 4, parity3: 5, stripe: 2 } as const;

/** A drawn machine of drives behind cards, shelves and the board, its sets, and the links to its network. */
export function flowMachine(seed: number): {
  readonly made: Fixture;
  readonly tree: Tree;
  readonly sets: readonly SetTold[];
  readonly links: readonly { readonly gbPerS: number; readonly count: number }[];
} {
  const next = drawn(seed);
  const one = <T>(list: readonly T[]): T => list[next(list.length)]!;
  let made = fixture()
    .add('gable-24')
    .add(one(['gannet-e8', 'gannet-c8'] as const));
  for (let i = 0; i <= next(3); i++)
    made = made.add(one(['tern-8i', 'tern-16i', 'tern-6g8', 'stilt-6', 'tern-24i'] as const));
  if (next(2) === 0) made = made.add(one(['skein-10', 'skein-10x2'] as const));
  made = made.add(one(['barge-8', 'barge-12', 'pike-960', 'zander-960'] as const), 4 + next(12));
  if (next(2) === 0) made = made.add(one(['barge-16', 'coot-1'] as const), 2 + next(6));
  const drives = ofKind(createAssessor().assess(made.build, AS_OF).units, 'drive').filter(
    ({ part }) => part.size !== 'm2',
  );
  const sets: SetTold[] = [];
  for (let at = 0; at < drives.length;) {
    const layout = one(Object.keys(LEAST) as (keyof typeof LEAST)[]);
    const least = layout.startsWith('mirror') ? LEAST[layout] * (1 + next(3)) : LEAST[layout] + next(6);
    const own = drives.slice(at, at + least);
    at += own.length;
    if (own.length < least) break;
    const set = { id: `set${sets.length + 1}`, layout: layout as SetLayout, units: own.map(({ id }) => id) };
    sets.push(toldOf(set, ofKind(createAssessor().assess(made.build, AS_OF).units, 'drive')));
  }
  const links = next(2) === 0 ? [] : [{ gbPerS: one([1, 2.5, 10]), count: 1 + next(2) }];
  return { made, tree: treeOf(made), sets, links };
}
