import { createAssessor } from '../../assess';
import { cube, tweak, type Fixture } from '../../testing/fixture';
import { rack, tower } from '../../testing/rules';
import { goneOf, type Gone } from './gone';
import { powerBoxes } from './plugRows';
import { powerOf } from './powerOf';

function gone(made: Fixture, failures = 1): Gone[] {
  const assessor = createAssessor();
  const build = made.set({ brief: { ...made.build.brief, failuresSurvived: failures } }).build;
  const { units } = assessor.assess(build, { asOf: '2026-11-28' });
  return goneOf(assessor.context(build), powerBoxes(assessor.plugs(build), units));
}
const one = (made: Fixture, kind: Gone['kind'], failures = 1) =>
  gone(made, failures).filter((each) => each.kind === kind);

test('a single supply takes the machine with it, and so do the cables a board lives on', () => {
  const made = tower().add('barge-8', 2);
  expect(one(made, 'supply')).toMatchObject([{ host: true, data: 2 }]);
  const cables = one(made, 'cable');
  expect(cables.filter(({ host }) => host).map(({ name }) => name)).toEqual([
    '24-pin',
    expect.stringMatching('processor'),
  ]);
});

test('drives on one cable are told against how many the pool survives', () => {
  const oneCable = [
    { key: 'main', count: 1, plugs: [{ plug: '24-pin', count: 1 }], lengthMm: 500, gaugeAwg: 18 },
    { key: 'cpu', count: 2, plugs: [{ plug: '8-pin-cpu', count: 1 }], lengthMm: 500, gaugeAwg: 18 },
    { key: 'sata', count: 1, plugs: [{ plug: 'sata-power', count: 4 }], lengthMm: 500, gaugeAwg: 18 },
  ];
  const made = tower(tweak('ember-650', { cables: oneCable })).add('barge-8', 2);
  const own = (failures: number) => one(made, 'cable', failures).find(({ drives }) => drives.length > 0);
  expect(own(1)).toMatchObject({ host: false, data: 2, isPastPool: true });
  expect(own(2)).toMatchObject({ host: false, data: 2, isPastPool: false });
});

test('of two modules one is left: its share is the highest of what is asked at most and at the start, by hand', () => {
  const made = rack().add('tern-16i').add('brazier-800').add('barge-12', 16);
  const [module] = one(made, 'module');
  expect(module).toMatchObject({ host: false, drives: [] });
  // The start of all disks is twice as near to one module's limit as to that of both.
  const { start, supply } = powerOf(createAssessor().context(made.build), made.build, '2026').boxes[0]!;
  const a12 = Math.max(...start.steps.map(({ a }) => a['12 V'])) / (start.limits!.a['12 V']! / 2);
  const watts = Math.max(...start.steps.map(({ insideW }) => insideW)) / (supply!.givesW / 2);
  expect(module!.left).toMatchObject({ when: 'start' });
  expect(module!.left!.share).toBeCloseTo(Math.max(a12, watts), 9);
});

test('a shelf’s supply takes the shelf, not the machine; a UPS everything', () => {
  const made = cube(tweak('brazier-550', { modules: 1 }))
    .add('tern-8e')
    .add('loft-16')
    .add('barge-8', 12)
    .add('sump-700');
  const supplies = one(made, 'supply');
  expect(supplies.map(({ host }) => host).sort()).toEqual([false, true]);
  const shelf = supplies.find(({ host }) => !host)!;
  const inShelf = 12 - supplies.find(({ host }) => host)!.drives.length;
  expect(shelf.drives.length).toBe(inShelf);
  expect(inShelf).toBeGreaterThan(0);
  expect(one(made, 'ups')).toMatchObject([{ host: true, data: 12 }]);
});

test('the worst stands first', () => {
  const rank = (each: Gone) => (each.host ? 3 : each.data > 0 && each.isPastPool ? 2 : each.drives.length > 0 ? 1 : 0);
  const all = gone(tower().add('barge-8', 4)).map(rank);
  expect(all).toEqual([...all].sort((a, b) => b - a));
});
