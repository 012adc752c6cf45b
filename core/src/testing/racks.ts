import type { Layout } from '../build/layout';
import { problemOf, type Problem } from '../solve/problem';
import { drawn } from './drawn';
import { fixture } from './fixture';

/**
 * A drawn rack server of so many drives of up to three sorts: 24 bays behind six connectors and four
 * controllers, past that drive shelves over outside ports. Laid out once; the drives of one sort are
 * then new, as after an edit.
 */
export function rack(seed: number, drives: number): { readonly problem: Problem; readonly hint: Layout } {
  const next = drawn(seed);
  const one = <T>(list: readonly T[]): T => list[next(list.length)]!;
  const shelves = Math.ceil(Math.max(0, drives - 24) / 16);
  let made = fixture().add('gable-24').add('gannet-e8');
  if (shelves)
    made = made
      .add('loft-16', shelves)
      .add('tern-8e', Math.min(3, Math.ceil(shelves / 2)))
      .add(one(['tern-24i', 'tern-8i']));
  else for (let i = 0; i < 4; i++) made = made.add(one(['tern-8i', 'tern-8i', 'tern-16i', 'tern-6g8', 'stilt-6']));
  if (shelves && next(2) === 0) made = made.add('weir-36');
  const sorts = 1 + next(3);
  let left = drives;
  for (let i = 0; i < sorts; i++) {
    const role = i === 0 || i === sorts - 1 ? 'data' : one(['data', 'spare', 'boot'] as const);
    const count =
      i === sorts - 1
        ? left
        : role === 'data'
          ? Math.min(left, 1 + next(Math.max(1, Math.floor((2 * drives) / sorts))))
          : Math.min(left, 2);
    if (count > 0)
      made = made.add(role === 'boot' ? 'pike-960' : one(['barge-12', 'barge-8', 'sluice-8', 'pike-960']), count, {
        role,
      });
    left -= count;
  }
  const fresh = new Set(made.build.items[made.build.items.length - 1]!.units.map(({ id }) => id as string));
  const { layout } = made.build;
  const hint =
    next(3) === 0
      ? { at: {}, wires: [], plugs: [], dormant: {} }
      : { ...layout, at: Object.fromEntries(Object.entries(layout.at).filter(([id]) => !fresh.has(id))) };
  return { problem: problemOf(made.build), hint };
}
