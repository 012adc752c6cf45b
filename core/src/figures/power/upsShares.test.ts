import { createAssessor } from '../../assess';
import { catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { find, said, rack, tower } from '../../testing/rules';
import { goneOf } from './gone';
import { powerBoxes } from './plugRows';
import { upsShares, wattsOn } from './upsShares';

const shares = (made: Fixture) => {
  const context = createAssessor().context(made.build);
  return upsShares(context).map((share) => ({
    name: share.unit.part.name,
    hangs: share.hanging.map(({ plugs, of }) => `${plugs} of ${of}`),
    watts: wattsOn(context, share, 'peak')!.value,
  }));
};
const pair = () => rack(catalogue).add('tern-16i').add('brazier-800').add('barge-12', 8);

test('one UPS carries the whole machine', () => {
  const made = tower().add('barge-8', 4).add('sump-1500');
  const { figures } = made.assess();
  expect(shares(made)[0]!.watts).toBeLessThanOrEqual(figures['power.peakWallW']!.value);
  expect(shares(made)[0]!.hangs).toEqual(['1 of 1']);
});

test('two modules of one supply go on two UPS, each with half of what the machine takes', () => {
  const both = shares(pair().add('sump-1500', 2));
  expect(both.map(({ hangs }) => hangs)).toEqual([['1 of 2'], ['1 of 2']]);
  expect(both[0]!.watts).toBeCloseTo(both[1]!.watts, 9);
});

test('a machine with one plug hangs on the larger of two, and the other carries nothing', () => {
  const made = tower().add('barge-8', 4).add('sump-700').add('sump-1500');
  expect(shares(made).map(({ name, hangs }) => [name, hangs.length])).toEqual([
    ['Sump 700', 0],
    ['Sump 1500', 1],
  ]);
});

test('two UPS do not add up for a machine with one plug: what its own does not carry blocks', () => {
  const from = tweak('sump-700', { ratedW: 100, ratedVa: 700 });
  const made = tower(from).add('barge-8', 4);
  expect(said(made.add('sump-700', 3), 'powered.ups')).toEqual([
    expect.stringMatching(/^blocker: At its peak what hangs on it at best takes \d+ W; Sump 700 gives 100 W\.$/),
  ]);
  expect(find(tower(tweak('sump-700', { ratedW: 900, ratedVa: 1500 })).add('sump-700', 2), 'powered.ups')).toEqual([]);
});

test('one of two gone: a redundant supply runs on the other, which is asked for all of it', () => {
  const assessor = createAssessor();
  const of = (made: Fixture) => {
    const { units } = assessor.assess(made.build, { asOf: '2026-11-28' });
    return goneOf(assessor.context(made.build), powerBoxes(assessor.plugs(made.build), units)).filter(
      ({ kind }) => kind === 'ups',
    );
  };
  const both = of(pair().add('sump-1500', 2));
  expect(both).toMatchObject([
    { host: false, drives: [] },
    { host: false, drives: [] },
  ]);
  const { figures } = pair().assess();
  expect(both[0]!.left!.share).toBeCloseTo(figures['power.peakWallW']!.value / 900, 1);
  // A shelf on a UPS of its own takes the shelf alone.
  const shelf = fixture()
    .add('larder-8')
    .add('wren-c8')
    .add('drover-4')
    .add('fell-47')
    .add('clew-16e', 2)
    .add('ember-450s')
    .add('tern-8e')
    .add('loft-16')
    .add('barge-8', 12)
    .add('sump-1500', 2);
  expect(of(shelf).map(({ host }) => host)).toContain(true);
});
