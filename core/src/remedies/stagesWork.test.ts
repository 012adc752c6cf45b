import { commit } from '../solve/settle';
import { assess } from '../assess';
import { AS_OF, cube, fixture, type Fixture } from '../testing/fixture';
import type { Build } from '../build/build';
import { stagesWork } from './stagesWork';

/** The same machine, its parts of some sheets only at a later stage. */
const later = (made: Fixture, sheets: Readonly<Record<string, number>>, stages = 2): Build => ({
  ...made.build,
  stages: Array.from({ length: stages }, (_, i) => ({ name: `Stage ${i + 1}` })),
  stage: stages - 1,
  items: made.build.items.map((item) => ({ ...item, stage: sheets[item.sheet] ?? 0 })),
});
const told = (build: Build) =>
  stagesWork(build, AS_OF).map(({ works, verdict, forward }) => [works, verdict.split(',')[0], forward?.names ?? null]);

test('one stage has nothing to tell', () => {
  expect(stagesWork(cube().add('barge-8', 2).build, AS_OF)).toEqual([]);
});

test('disks that come later leave a machine that works, as far as it has one of them', () => {
  const made = cube().add('barge-8', 2).add('barge-12', 2);
  expect(told(later(made, { 'barge-12': 1 }))).toEqual([
    [true, 'Clear', null],
    [true, 'Clear', null],
  ]);
});

test('a part that the first stage cannot be without is brought forward, and then it works', () => {
  const made = cube().add('barge-8', 2);
  const build = later(made, { 'ember-450s': 1, 'clew-16e': 1 });
  const [first, last] = stagesWork(build, AS_OF);
  expect(first).toMatchObject({ works: false });
  expect([...first!.forward!.names].sort()).toEqual(['Clew 16 GB ECC', 'Ember 450 SFX']);
  expect(last!.works).toBe(true);
  const step = commit(build, first!.forward!.edits);
  if (!step.ok) throw new Error(step.words);
  expect(assess({ ...step.build, stage: 0 }, AS_OF).status).toBe('clear');
  expect(stagesWork(step.build, AS_OF).every(({ works }) => works)).toBe(true);
});

test('a controller without which the disks of a stage have no port comes with them; of parts that help not, none', () => {
  const made = cube().add('barge-8', 8).add('tern-8i').add('skein-10');
  const build = later(made, { 'tern-8i': 2, 'skein-10': 1 }, 3);
  const [first] = stagesWork(build, AS_OF);
  expect(first!.works).toBe(false);
  expect(first!.forward?.names).toEqual(['Tern 8i']);
  const [unfed] = stagesWork(later(made, { 'tern-8i': 1, 'ember-450s': 1 }), AS_OF);
  expect(unfed!.verdict).toMatch(/^1 blocker.*, missing: supply$/);
});

test('what no later part cures is told without one', () => {
  const made = fixture().add('larder-8').add('wren-c8').add('barge-8', 2);
  expect(told(later(made, { 'barge-8': 1 }))).toEqual([
    [false, 'Parts missing: processor', null],
    [false, 'Parts missing: processor', null],
  ]);
});
