import { createAssessor } from '../../assess';
import { catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { rack } from '../../testing/rules';
import type { BayGroup } from '../../parts/chassisValues';
import { warmthOf } from './temperatures';
import { isInStream, tiersOf } from './tiers';

const [front] = (catalogue.archetypes['rack-4u-24'] as unknown as { bayGroups: BayGroup[] }).bayGroups;
const groupAt = (key: string, zMm: number, more: Partial<BayGroup> = {}): BayGroup => ({
  ...front!,
  key,
  at: { ...front!.at!, zMm },
  ...more,
});
const warm = (made: Fixture) => warmthOf(createAssessor().context(made.build))[0]!;

test('a row is behind another where it lies behind it and before the same face', () => {
  const tiers = (...groups: BayGroup[]) => [...tiersOf(groups)].map(([key, tier]) => `${key} ${tier}`);
  expect(tiers(groupAt('a', 4), groupAt('b', 130), groupAt('c', 260))).toEqual(['a 0', 'b 1', 'c 2']);
  // Side by side, above one another and without a place none is behind another.
  const beside = groupAt('b', 200, { at: { xMm: 430, yMm: 3, zMm: 200 } });
  expect(tiers(groupAt('a', 4), beside)).toEqual(['a 0', 'b 0']);
  const { at: _, ...nowhere } = groupAt('n', 0);
  expect(tiersOf([groupAt('a', 4), nowhere as BayGroup]).get('n')).toBeUndefined();
  expect(tiers(groupAt('a', 4), groupAt('b', 40))).toEqual(['a 0', 'b 0']);
});

test('bays loaded from above are in the stream where a wall of fans draws through them', () => {
  const wall = { key: 'w', label: 'Wall', wall: 'middle', sizesMm: [120], count: 3, path: 'inside' } as const;
  const at = (zMm: number) => ({ fanMounts: [{ ...wall, sizesMm: [120] as [number], at: { xMm: 30, yMm: 28, zMm } }] });
  const top = groupAt('t', 40, { wall: 'top' });
  expect(isInStream(top, at(286))).toBe(true);
  expect(isInStream(top, at(20))).toBe(false);
  expect(isInStream({ ...top, at: { xMm: 4, yMm: 160, zMm: 40 }, rows: 1 }, at(286))).toBe(false);
  expect(isInStream(top, { fanMounts: [] })).toBe(false);
  expect(isInStream(groupAt('f', 4), { fanMounts: [] })).toBe(true);
});

test('the second row gets the air of the first, warmed by all of its heat, by hand', () => {
  const two = tweak('gable-24', { bayGroups: [front!, groupAt('second', 130, { wall: 'top', label: 'Second row' })] });
  const made = (drives: number) => {
    const kit = rack(two).add('tern-24i', 2).add('brazier-800').add('barge-12', drives);
    const hot = kit.set({ site: { ...kit.build.site, hotDayC: 32, cupboard: 'none' } });
    return hot.set({ policy: { ...kit.build.policy, fans: { kind: 'fixed', duty: 1 } } });
  };
  const one = warm(made(24));
  const both = warm(made(48));
  const rows = both.warm.filter(({ where }) => where === 'stream');
  expect(rows.map(({ units }) => units.length)).toEqual([24, 24]);
  const [first, second] = rows as [(typeof rows)[number], (typeof rows)[number]];
  const q = both.air.hot.flow.drivesM3h;
  const warming = (watts: number, flow: number) => (((2.985 * (273.15 + 32)) / 293.15) * watts) / flow;
  const watts = first.on.hot.watts.value;
  expect(first.on.hot.airC).toBeCloseTo(32 + warming(watts / 2, q / 24), 6);
  expect(second.on.hot.airC).toBeCloseTo(32 + warming(24 * watts, q) + warming(watts / 2, q / 24), 6);
  expect(second.on.hot.tempC.value).toBeGreaterThan(first.on.hot.tempC.value + 1);
  // Half of its bays empty lets more through: the chassis is what both rows take, one after the other.
  expect(one.air.hot.flow.drivesM3h).toBeGreaterThan(q);
});

test('slots without covers let fans at the rear draw air that passes no drive; fans that push lose nothing by it', () => {
  const open = (made: Fixture, box: string, cm2: number) =>
    made.edit({
      type: 'change.add',
      change: { id: 'm', kind: 'mod', host: made.unit(box), title: 'Open', effects: [{ do: 'opening', cm2 }] },
    });
  const cube = fixture()
    .add('larder-8')
    .add('wren-c8')
    .add('drover-4')
    .add('fell-47')
    .add('ember-450s')
    .add('barge-8', 8);
  const flow = (made: Fixture) => warm(made).air.hot.flow;
  expect(flow(open(cube, 'larder-8', 40)).drivesM3h).toBeLessThan(flow(cube).drivesM3h * 0.97);
  // A wall before the board and none running at the rear: what is open there lets the air out.
  const pushed = rack(tweak('gable-24', { builtIn: [] }))
    .add('tern-24i')
    .add('brazier-800')
    .add('barge-12', 12);
  const walled = pushed.add('gale-120', 3);
  expect(flow(open(walled, 'gable-24', 90)).drivesM3h).toBeGreaterThanOrEqual(flow(walled).drivesM3h);
});
