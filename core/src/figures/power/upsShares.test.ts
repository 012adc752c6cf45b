import { createAssessor } from '../../assess';
import { catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { find, said, rack, tower } from '../../testing/rules';
import { goneOf } from './gone';
import { powerBoxes } from './plugRows';
import { powerFactorAt, vaOn } from './upsVa';
import { mainsPlugs, putMains, upsShares, wattsOn } from './upsShares';

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

describe('plugs put on the mains by hand', () => {
  const shelf = () =>
    fixture()
      .add('larder-8')
      .add('wren-c8')
      .add('drover-4')
      .add('fell-47')
      .add('clew-16e', 2)
      .add('ember-450s')
      .add('tern-8e')
      .add('loft-16')
      .add('barge-8', 12)
      .add('sump-1500');
  const plugsOf = (made: Fixture) => mainsPlugs(createAssessor().context(made.build));
  const shelfPlug = (made: Fixture) => plugsOf(made).find(({ feed }) => /Loft/.test(feed.box!.part.name))!;

  test('a shelf in the wall leaves the UPS what the machine takes, and that is said', () => {
    const made = shelf();
    const all = shares(made)[0]!;
    const own = plugsOf(made).filter(({ feed }) => feed.key === shelfPlug(made).feed.key);
    // It has two modules: with one in the wall it stays up either way.
    expect(own).toHaveLength(2);
    expect(find(made.edit(putMains(own[0]!.spot!, null)), 'powered.besideUps')).toEqual([]);
    const apart = own.reduce((now, { spot }) => now.edit(putMains(spot!, null)), made);
    const left = shares(apart)[0]!;
    expect(shelfPlug(apart)).toMatchObject({ on: null, how: 'put' });
    expect(left.hangs).toEqual(['1 of 1']);
    expect(left.watts).toBeLessThan(all.watts - 12 * 5);
    expect(said(apart, 'powered.besideUps')).toEqual([
      expect.stringMatching(/^caution: .* feeds 12 drives and is in the wall, while the machine is on a UPS\.$/),
    ]);
    expect(find(made, 'powered.besideUps')).toEqual([]);
  });

  test('the machine in the wall beside its UPS is said too, and its outlets count what is on it', () => {
    const made = tower(tweak('sump-1500', { outlets: 1 }))
      .add('barge-8', 4)
      .add('sump-1500');
    const [plug] = plugsOf(made);
    expect(said(made.edit(putMains(plug!.spot!, null)), 'powered.besideUps')).toEqual([
      expect.stringMatching(/^caution: .* feeds the machine and is in the wall, not on the UPS\.$/),
    ]);
    const both = rack(tweak('sump-1500', { outlets: 1 }))
      .add('tern-16i')
      .add('brazier-800')
      .add('sump-1500');
    expect(find(both, 'powered.outlets')).toHaveLength(1);
    expect(find(both.edit(putMains(plugsOf(both)[0]!.spot!, null)), 'powered.outlets')).toEqual([]);
  });

  test('both modules on one of two UPS by hand: it carries all, and the machine falls with it', () => {
    const made = pair().add('sump-1500', 2);
    const [first] = made.build.items.find(({ sheet }) => sheet === 'sump-1500')!.units;
    const [a, b] = plugsOf(made);
    const both = made.edit(putMains(a!.spot!, first.id)).edit(putMains(b!.spot!, first.id));
    expect(shares(both).map(({ hangs }) => hangs)).toEqual([['2 of 2'], []]);
    // One put, the other is dealt round it.
    expect(shares(made.edit(putMains(a!.spot!, first.id))).map(({ hangs }) => hangs)).toEqual([['1 of 2'], ['1 of 2']]);
    const released = both.edit({ type: 'plug.release', device: a!.spot! });
    expect(shares(released).map(({ hangs }) => hangs)).toEqual([['1 of 2'], ['1 of 2']]);
  });

  test('a UPS that is taken out of the kit takes what was put on it by hand along', () => {
    const made = pair().add('sump-1500', 2);
    const [first] = made.build.items.find(({ sheet }) => sheet === 'sump-1500')!.units;
    const put = made.edit(putMains(plugsOf(made)[0]!.spot!, first.id));
    const without = put.edit({ type: 'units.remove', units: [first.id] });
    expect(without.build.layout.plugs).toEqual([]);
    expect(shares(without).map(({ hangs }) => hangs)).toEqual([['2 of 2']]);
  });
});

describe('VA on a UPS', () => {
  test('W / VA rises from a tenth of the load to all of it, by the logarithm', () => {
    expect(powerFactorAt(0.75, 0.98, 1)).toBeCloseTo(0.98, 9);
    expect(powerFactorAt(0.75, 0.98, 0.05)).toBeCloseTo(0.75, 9);
    // √0.1 is half way: 0.75 + 0.23 / 2.
    expect(powerFactorAt(0.75, 0.98, Math.sqrt(0.1))).toBeCloseTo(0.865, 9);
  });

  test('a machine by the factor of its supply at its load', () => {
    const from = tweak('ember-650', { powerFactorLow: 0.6, powerFactorFull: 0.9 });
    const context = createAssessor().context(tower(from).add('barge-8', 4).add('sump-1500').build);
    const [share] = upsShares(context);
    const watts = wattsOn(context, share!, 'idle')!.value;
    // Below a tenth of 650 W.
    expect(watts).toBeLessThan(65);
    expect(vaOn(context, share!, 'idle')!.value).toBeCloseTo(watts / 0.6, 6);
    const peak = wattsOn(context, share!, 'peak')!.value;
    const factor = 0.6 + 0.3 * Math.log10((10 * peak) / 650);
    expect(vaOn(context, share!, 'peak')!.value).toBeCloseTo(peak / factor, 6);
  });
});
