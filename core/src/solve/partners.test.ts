import type { Layout } from '../build/layout';
import type { UnitId } from '../parts/ids';
import { fixture } from '../testing/fixture';
import { drawn } from '../testing/drawn';
import { checkLayout } from './checkLayout';
import { cardsOf, keepPartnersApart, pairsTogether, partnersOf } from './partners';
import { problemOf } from './problem';
import { commit } from './settle';
import { scoreOf } from './solve';
import { LEVELS, levelsOf } from './solver/score';

const rack = (cards: number, drives: number) => {
  let made = fixture().add('gable-24').add('gannet-e8');
  for (let i = 0; i < cards; i++) made = made.add('tern-8i');
  return made.add('barge-8', drives).build;
};
const drivesOf = (build: ReturnType<typeof rack>) => build.items.at(-1)!.units.map(({ id }) => id as string);
const inPairs = (ids: readonly string[]) =>
  Array.from({ length: ids.length >> 1 }, (_, i) => ids.slice(2 * i, 2 * i + 2));

test('partners on one card change bays with drives of another; cables stay, and all but moves is as good', () => {
  const build = rack(2, 16);
  const problem = problemOf(build);
  const partners = inPairs(drivesOf(build));
  const before = pairsTogether(problem.units, build.layout, partners);
  expect(before).toBeGreaterThan(4);
  const apart = keepPartnersApart(problem.units, build.layout, partners);
  expect(pairsTogether(problem.units, apart, partners)).toBe(0);
  expect(apart.wires).toEqual(build.layout.wires);
  expect(checkLayout(problem, apart)).toEqual([]);
  const levels = (layout: Layout) => levelsOf(scoreOf(problem, layout)).filter((_, i) => LEVELS[i] !== 'moves');
  expect(levels(apart)).toEqual(levels(build.layout));
  expect(keepPartnersApart(problem.units, apart, partners)).toBe(apart);
});

test.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
  'drawn pairs %i: no more on one card than must be, by counting',
  (seed) => {
    const next = drawn(seed);
    const build = rack(1 + next(2), 8 + next(9));
    const problem = problemOf(build);
    const ids = drivesOf(build)
      .filter((id) => build.layout.at[id])
      .sort(() => next(3) - 1);
    const partners = inPairs(ids.slice(0, 2 * (2 + next(ids.length >> 1))));
    const apart = keepPartnersApart(problem.units, build.layout, partners);
    // With n drives alike and one card having more than half of them, pairs are together as far as the others and those
    // without partner do not suffice.
    const cards = [...cardsOf(problem.units, build.layout).values()];
    const most = Math.max(...cards.map((card) => cards.filter((one) => one === card).length));
    const paired = 2 * partners.length;
    const mustSit = Math.max(0, most - (ids.length - paired));
    expect(pairsTogether(problem.units, apart, partners)).toBe(Math.max(0, mustSit - partners.length));
    expect(checkLayout(problem, apart)).toEqual([]);
  },
);

test('what is put or held stays; setting up the pool settles, and is one step', () => {
  const build = rack(2, 16);
  const ids = drivesOf(build);
  const held: Layout = {
    ...build.layout,
    at: Object.fromEntries(
      Object.entries(build.layout.at).map(([id, seat]) => [id, { ...seat, how: 'held' as const }]),
    ),
  };
  expect(keepPartnersApart(problemOf(build).units, held, inPairs(ids))).toBe(held);
  const pool = {
    sets: inPairs(ids).map((units, i) => ({ id: `m${i}`, layout: 'mirror2' as const, units: units as UnitId[] })),
  };
  const step = commit(build, [{ type: 'set.pool', value: pool }]);
  if (!step.ok) throw new Error(step.words);
  expect(pairsTogether(problemOf(step.build).units, step.build.layout, partnersOf(step.build.pool))).toBe(0);
  const back = commit(step.build, step.inverse);
  expect(back.ok && back.build.layout.at).toEqual(build.layout.at);
});
