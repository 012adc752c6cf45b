import { createAssessor } from '../../assess';
import type { Catalogue } from '../../parts/catalogue';
import { catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { feedsOf } from './feeds';
import { classesOn } from './fedClasses';
import { powerOf } from './powerOf';
import { feedLossW, supplyLossW } from './supplyLoss';
import { feedLoadW, lowShareOf, wallW } from './wall';
import { firstRemedy } from '../../testing/rules';
import { Ledger } from '../quantity';

const contextOf = (made: Fixture) => createAssessor().context(made.build);
const quiet = new Ledger(false);
const idleW = (made: Fixture) => wallW(contextOf(made), 'idle', quiet)!.value;
const bare = (from: Catalogue = catalogue) =>
  fixture(from).add('larder-8').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2);

/** Loses 10 W without load and a tenth more of what it gives: 100 W cost 20 W, 400 W 50 W. */
const plain = (id: string, more: Readonly<Record<string, unknown>>, from: Catalogue = catalogue) =>
  tweak(
    id,
    {
      ratedW: 500,
      rail12A: 41,
      noLoadLossW: 10,
      efficiency: [0.2, 0.5, 1].map((load) => ({ load, pct: (100 * load * 500) / (load * 500 * 1.1 + 10) })),
      ...more,
    },
    from,
  );
const feedOf = (made: Fixture) => feedsOf(contextOf(made))[0]!;

test('two modules share: each loses its fixed watts; one that rests loses only those', () => {
  const feed = (more: Readonly<Record<string, unknown>>) =>
    feedOf(fixture(plain('brazier-800', more)).add('gable-24').add('brazier-800'));
  expect(feedLossW(feed({ modules: 2 }), 400, 0)).toBeCloseTo(2 * 10 + 40, 6);
  expect(feedLossW(feed({ modules: 2, restingModules: 1 }), 400, 0)).toBeCloseTo(10 + 40 + 10, 6);
  expect(feedLossW(feed({ modules: 1 }), 400, 0)).toBeCloseTo(10 + 40, 6);
});

test('5 V and 3.3 V of redundant modules cost a converter at 92 % more', () => {
  const feed = feedOf(
    fixture(plain('brazier-800', { modules: 2 }))
      .add('gable-24')
      .add('brazier-800'),
  );
  const joinedW = 92 / 0.92 - 92;
  expect(feedLossW(feed, 460, 0.2)).toBeCloseTo(joinedW + 20 + 0.1 * (460 + joinedW), 6);
});

test('single modules of one kind in one chassis are one redundant supply', () => {
  const chassis = {
    supplyBays: [
      { key: 'supply', label: 'Module bays', forms: ['redundant'], count: 2, maxLengthMm: 200, screws: true },
    ],
  };
  const from = tweak('gable-24', chassis, plain('brazier-800', { modules: 1 }));
  const made = fixture(from).add('gable-24').add('brazier-800', 2);
  const feeds = feedsOf(contextOf(made));
  expect(feeds.map(({ sharing }) => sharing.length)).toEqual([2]);
  expect(powerOf(contextOf(made), made.build, '2026').boxes[0]!.supply).toMatchObject({ givesW: 1000, modules: 2 });
});

test('a brick before a converter: what one loses the other carries too', () => {
  const converter = { noLoadLossW: 2, efficiency: [{ load: 1, pct: 80 }], ratedW: 100 };
  const made = (twelveThrough: boolean) =>
    bare(tweak('pip-160', { ...converter, twelveThrough }, plain('pellet-12v150', { ratedW: 500 })))
      .add('pellet-12v150')
      .add('pip-160');
  const through = feedOf(made(true));
  const [brick, supply] = [through.brick!.part, through.supply!.part];
  expect(supply.id).toBe('pip-160');
  // 60 W, a quarter of them on 5 V: only those are converted.
  const ownW = supplyLossW(supply, 15);
  expect(feedLossW(through, 60, 0.25)).toBeCloseTo(ownW + 10 + 0.1 * (60 + ownW), 6);
  const allW = supplyLossW(supply, 60);
  expect(feedLossW(feedOf(made(false)), 60, 0.25)).toBeCloseTo(allW + 10 + 0.1 * (60 + allW), 6);
  expect(supplyLossW(brick, 60)).toBeCloseTo(16, 6);
});

test('the wall of a brick with a converter is its parts and both losses; the brick needs no bay', () => {
  const made = bare().add('pellet-12v150').add('pip-160');
  const feed = feedOf(made);
  const inside = feedLoadW(contextOf(made), feed, 'idle', quiet)!.value;
  const low = lowShareOf(contextOf(made), feed, 'idle');
  expect(low).toBeGreaterThan(0.02);
  expect(idleW(made)).toBeCloseTo(inside + feedLossW(feed, inside, low), 6);
  expect(made.snags().join()).not.toContain('fits.supplyForm');
  const shortOf = (one: Fixture) =>
    one.assess().snags.flatMap((snag) => (snag.code === 'powered.plugs' ? [snag.facts.plug] : []));
  expect(shortOf(made)).not.toContain('dc-jack');
  expect(shortOf(bare().add('pip-160'))).toContain('dc-jack');
  // Without its brick one is offered that gives what it takes.
  const plug = (key: string, of: string) => ({
    key,
    count: 1,
    plugs: [{ plug: of, count: 1 }],
    lengthMm: 300,
    gaugeAwg: 18,
  });
  const whole = tweak('pip-160', { cables: [plug('main', '24-pin'), plug('cpu', '8-pin-cpu')] });
  expect(firstRemedy(bare(whole).add('pip-160'), 'powered.plugs').join()).toMatch(/Pellet 150, 12 V/);
});

test('a brick that is too small for what its converter takes blocks, the next larger does not', () => {
  const made = (ratedW: number) =>
    bare(tweak('pellet-12v150', { ratedW, rail12A: ratedW / 12 }))
      .add('pellet-12v150')
      .add('pip-160')
      .add('barge-8', 3);
  expect(made(60).snags()).toContain('blocker powered.total');
  expect(
    made(400)
      .snags()
      .filter((one) => one === 'blocker powered.total'),
  ).toEqual([]);
});

test('volts that are not those of 12 V do not pass through a converter', () => {
  const made = (outV: number) => bare(tweak('pellet-12v150', { outV })).add('pellet-12v150').add('pip-160').snags();
  expect(made(19)).toContain('blocker powered.brick');
  expect(made(12).join()).not.toContain('powered.brick');
});

const twoBays = {
  supplyBays: [
    { key: 'supply', label: 'Supply bays', forms: ['sfx', 'sfx-l'], count: 2, maxLengthMm: 200, screws: true },
  ],
};
/** The second supply has no cable for a board: drives hang on both. */
const dual = () => {
  const drives = [{ key: 'sata', count: 3, plugs: [{ plug: 'sata-power', count: 4 }], lengthMm: 500, gaugeAwg: 18 }];
  const peripherals = [
    { key: 'chain', count: 2, plugs: [{ plug: 'peripheral', count: 4 }], lengthMm: 500, gaugeAwg: 16 },
  ];
  const from = tweak('ember-600s', { cables: [...drives, ...peripherals] }, tweak('larder-8', twoBays));
  const main = (catalogue.archetypes['supply-sfx'] as unknown as { cables: { key: string }[] }).cables;
  const noDrives = tweak('ember-450s', { cables: main.filter(({ key }) => key === 'main' || key === 'cpu') }, from);
  return cube(noDrives).add('ember-600s').add('barge-8', 4);
};

test('of two supplies in a box each carries what hangs on its plugs', () => {
  const made = dual();
  const context = contextOf(made);
  const [first, second] = feedsOf(context);
  const kinds = (feed: typeof first) => [...new Set(classesOn(context, feed!).map(({ part }) => part.kind))].sort();
  expect(kinds(second)).toEqual(['drive']);
  expect(kinds(first)).not.toContain('drive');
  const load = (feed: typeof first) => feedLoadW(context, feed!, 'idle', quiet)!.value;
  const wall = load(first) + feedLossW(first!, load(first), 0) + load(second) + feedLossW(second!, load(second), 0);
  expect(idleW(made)).toBeCloseTo(wall, 6);
  const { boxes } = powerOf(context, made.build, '2026');
  expect(boxes.map(({ name }) => name)).toEqual(
    expect.arrayContaining([expect.stringContaining('Ember 450'), expect.stringContaining('Ember 600')]),
  );
  expect(boxes[1]!.start.steps.some(({ a }) => a['12 V'] > 4)).toBe(true);
  expect(boxes[0]!.start.steps.every(({ a }) => a['12 V'] < 8)).toBe(true);
});

test('nothing starts a second supply whose main plug has no board, and one without such a plug is not asked', () => {
  const both = cube(tweak('larder-8', twoBays)).add('ember-600s').add('barge-8', 4);
  expect(both.snags()).toContain('caution powered.unstarted');
  expect(dual().snags().join()).not.toContain('powered.unstarted');
  expect(cube().add('barge-8', 4).snags().join()).not.toContain('powered.unstarted');
});

test('a supply put in the place of the one a box came with is its only one', () => {
  const shelf = fixture().add('loft-16').add('barge-8', 4);
  const spot = shelf.assess().units.find(({ part, builtIn }) => part.kind === 'supply' && builtIn)!.builtIn!.spot;
  const made = shelf.add('brazier-800', 1, { at: [`${spot.host}/${spot.key}.${spot.n ?? 1}`] });
  expect(feedsOf(contextOf(shelf)).map(({ supply }) => supply?.part.id)).toEqual(['brazier-550']);
  expect(feedsOf(contextOf(made)).map(({ supply }) => supply?.part.id)).toEqual(['brazier-800']);
});
