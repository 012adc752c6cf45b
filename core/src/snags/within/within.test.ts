import { find, said, tower, firstRemedy } from '../../testing/rules';
import { cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { newBuild } from '../../build/newBuild';
import type { Build } from '../../build/build';
const wishing = (made: Fixture, brief: Build['brief'], site: Partial<Build['site']> = {}) =>
  made.set({ brief, site: { ...newBuild('x', 'x').site, ...site } });

describe('sound against the brief', () => {
  const site = { ...cube().build.site, listening: 'none' as const };
  const wish = (earDb: number) => cube().set({ brief: { earDb }, site });
  const now = cube().assess().figures['sound.earIdleDb']!;
  test('over the wish it cautions and names the loudest, with the range beside it', () => {
    expect(said(wish(now.value - 0.5), 'within.sound')[0]).toMatch(
      /^caution: Probably over the wished [\d.]+ dB\(A\) at the ear: [\d.]+, could be \d+\. Most of it: Stock 120\.$/,
    );
    expect(find(wish(now.hi + 1), 'within.sound')).toEqual([]);
    expect(find(cube(), 'within.sound')).toEqual([]);
  });
  test('a wish under the room is the room’s fault, not a fan’s; 6 dB under the room is as good as silent', () => {
    const inOffice = (earDb: number) => cube().set({ brief: { earDb }, site: { ...site, listening: 'office' } });
    expect(said(inOffice(20), 'within.sound')).toEqual([
      'note: The room alone is about 36 dB(A), the wish 20: the machine adds next to nothing to it.',
    ]);
    expect(find(inOffice(20), 'within.sound')[0]!.at).toEqual([]);
    expect(find(inOffice(40), 'within.sound')).toEqual([]);
  });
  test('a wish under what the room hides is quoted as it was wished', () => {
    const loud = cube()
      .add('tern-8i')
      .add('barge-8', 8)
      .set({ brief: { earDb: 22 } });
    expect(said(loud, 'within.sound')[0]).toMatch(
      /^caution: Probably over the wished 22 dB\(A\) at the ear and what the room hides \(24\): /,
    );
  });
});

describe('within the brief', () => {
  test('money: what is bought, not what is owned', () => {
    // 129 + 212 + 109 + 36 + 96 + 88 = 670
    expect(said(wishing(cube(), { moneyMinor: 66_900 }), 'within.money')).toEqual([
      'note: Probably over the budget of EUR 669: EUR 670, could be EUR 640.',
    ]);
    const dated = cube().set({
      items: cube().build.items.map((item) => ({ ...item, price: { ...item.price!, at: '2026-10-20' } })),
    });
    expect(said(wishing(dated, { moneyMinor: 66_900 }), 'within.money')).toEqual([
      'caution: Over the budget of EUR 669: EUR 670.',
    ]);
    expect(find(wishing(cube(), { moneyMinor: 70_500 }), 'within.money')).toEqual([]);
    expect(find(wishing(cube().add('barge-20', 8, { deal: 'owned' }), { moneyMinor: 70_500 }), 'within.money')).toEqual(
      [],
    );
    expect(said(wishing(cube(), { moneyMinor: 150_000 }).set({ copies: 3 }), 'within.money')[0]).toMatch(
      /^caution: Over the budget of EUR 1500: EUR 2010/,
    );
  });
  test('room for data: what the proposed sets hold, and what no layout can reach', () => {
    const usable = (made: Fixture, usableTb: number, failuresSurvived?: number) =>
      said(
        wishing(made, { usableTb, ...(failuresSurvived === undefined ? {} : { failuresSurvived }) }),
        'within.usable',
      );
    const mixed = cube().add('barge-8', 3).add('barge-20').add('stickle-500');
    // 8 + 8 + 8 + 20 of data; the module is the system. Each by itself: 44. In single parity, as is usual for four: 24.
    expect(usable(mixed, 44, 0)).toEqual([]);
    expect(usable(mixed, 45, 0)).toEqual(['caution: At most 44 TB usable; 45 TB are wished.']);
    expect(usable(mixed, 24)).toEqual([]);
    expect(usable(mixed, 25)).toEqual(['caution: As proposed there are 24 TB usable; 25 TB are wished.']);
    expect(usable(mixed, 24, 1)).toEqual([]);
    expect(usable(mixed, 25, 1)).toEqual(['caution: At most 24 TB usable if any 1 drive may fail; 25 TB are wished.']);
    expect(said(wishing(cube().add('barge-8', 2), { failuresSurvived: 2 }), 'within.usable')).toEqual([
      'caution: 2 data drives: no layout of them survives 2 failures.',
    ]);
    // Sets that are made count as they are.
    const two = cube().add('barge-8', 4);
    const units = [1, 2, 3, 4].map((n) => two.unit('barge-8', n));
    const made = two.set({ pool: { sets: [{ id: 'set1', layout: 'mirror2', units }] } });
    expect(usable(made, 16)).toEqual([]);
    expect(usable(made, 20)).toEqual(['caution: The sets hold 16 TB usable; 20 TB are wished.']);
    // A drive set aside for something else is no room for data.
    expect(usable(cube().add('barge-8', 2).add('barge-8', 1, { role: 'spare' }), 17)).toHaveLength(1);
  });
  test('room for data later: every free place filled with more of the same', () => {
    const later = (made: Fixture, usableLaterTb: number) =>
      said(wishing(made, { usableLaterTb, failuresSurvived: 2 }), 'within.usableLater');
    const withPorts = cube().add('tern-8i').add('barge-8', 4);
    expect(later(withPorts, 48)).toEqual([]);
    expect(later(withPorts, 49)).toEqual([
      'note: With 4 more of Barge 8 TB at most 48 TB usable if any 2 drives may fail; 49 TB are wished later.',
    ]);
    expect(later(cube().add('barge-8', 4), 17)).toEqual([
      'note: With no bay and port for more at most 16 TB usable if any 2 drives may fail; 17 TB are wished later.',
    ]);
  });
  test('of stages the last is held against what is wished for later, the ones before it against what is wished now', () => {
    const made = wishing(cube().add('tern-8i').add('barge-8', 4), {
      usableTb: 16,
      usableLaterTb: 40,
      failuresSurvived: 2,
    });
    const at = (stage: number) => made.set({ stages: [{ name: 'Now' }, { name: 'Spring' }], stage });
    expect(said(at(0), 'within.usable')).toEqual([]);
    expect(said(at(1), 'within.usable')).toEqual([expect.stringMatching(/16 TB usable.*; 40 TB are wished\.$/)]);
    expect(said(at(1), 'within.usableLater')).toEqual([]);
    expect(said(made, 'within.usable')).toEqual([]);
  });
  test('idle and peak watts: the likely value cautions, the bad end alone is a note, far below is quiet', () => {
    const { value, lo, hi } = cube().assess().figures['power.idleWallW']!;
    const at = (idleW: number) => find(wishing(cube(), { idleW }), 'within.idle').map((snag) => snag.severity);
    expect(at(lo - 1)).toEqual(['caution']);
    expect(at(value + 0.01)).toEqual(['note']);
    expect(at(hi + 0.01)).toEqual([]);
    expect(said(wishing(cube(), { idleW: lo - 1 }), 'within.idle')[0]).toMatch(
      /^caution: Over the wished idle of \d+ W: \d+ W, could be \d+ W\.$/,
    );
    expect(find(wishing(cube(), { peakW: 50 }), 'within.peak')).toHaveLength(1);
    expect(find(wishing(cube(), { peakW: 500 }), 'within.peak')).toEqual([]);
  });
  test.each([
    ['maxDepthMm', 329, 330],
    ['maxWidthMm', 225, 226],
    ['maxHeightMm', 239, 240],
  ] as const)('%s: %d is too little, %d is enough', (field, less, enough) => {
    expect(find(wishing(cube(), { [field]: less }), 'within.size').map((snag) => snag.severity)).toEqual(['caution']);
    expect(find(wishing(cube(), { [field]: enough }), 'within.size')).toEqual([]);
  });
  test('the filled machine is weighed, not the empty chassis: four disks of 720 g stated, by hand', () => {
    // 4.55 kg of chassis, 4 × 0.72 kg of disks, and what the rest typically weighs: 1.3 to 3.5 kg.
    const filled = cube(tweak('barge-12', { massG: 720 })).add('barge-12', 4);
    const weighs = (maxMassG: number, place: 'desk' | 'rack' = 'desk') =>
      said(wishing(filled, { maxMassG }, place === 'rack' ? { place } : undefined), 'within.size');
    expect(weighs(6_000)[0]).toMatch(/^caution: Filled, Larder 8 weighs about \d+ kg, could be \d+; at most 6 kg\.$/);
    expect(weighs(6_000, 'rack')[0]).toMatch(/^blocker: /);
    expect(weighs(13_000)).toEqual([]);
  });
  test('past 25 kg two people lift it; below nobody says so', () => {
    const disks = (count: number) =>
      fixture(tweak('gable-24', { massG: 16_000 }))
        .add('gable-24')
        .add('barge-12', count);
    expect(said(disks(24), 'within.lift')[0]).toMatch(/^note: Filled, Gable 24 weighs about 3\d kg\.$/);
    expect(find(disks(4), 'within.lift')).toEqual([]);
  });
  test('in a rack the depth blocks, the height does not', () => {
    const rack = (brief: Build['brief']) =>
      find(wishing(fixture().add('gable-24'), brief, { place: 'rack' }), 'within.size').map((snag) => snag.severity);
    expect(rack({ maxDepthMm: 600 })).toEqual(['blocker']);
    expect(rack({ maxHeightMm: 100 })).toEqual(['caution']);
  });
  test('too deep and too wide are two snags with two keys', () => {
    const both = find(wishing(cube(), { maxDepthMm: 100, maxWidthMm: 100 }), 'within.size');
    expect(new Set(both.map((snag) => snag.key)).size).toBe(2);
  });
  test('rack units, and a tower in a rack', () => {
    expect(said(wishing(fixture().add('gable-24'), { rackUnits: 3 }, { place: 'rack' }), 'within.rackUnits')).toEqual([
      'caution: 4 U of machines; 3 U are free.',
    ]);
    expect(find(wishing(fixture().add('gable-24'), { rackUnits: 4 }, { place: 'rack' }), 'within.rackUnits')).toEqual(
      [],
    );
    expect(said(wishing(tower(), {}, { place: 'rack' }), 'within.rackUnits')).toEqual([
      'note: Steading T9 is not made for a rack: it wants a shelf there.',
    ]);
  });
  test('drives to come', () => {
    // Four ports on the board: four drives in all.
    expect(said(wishing(cube().add('barge-8', 2), { drivesLater: 5 }), 'within.growth')).toEqual([
      'caution: 5 drives are wanted later; 2 are here and there is room for 2 more (6 bays, 2 ports free).',
    ]);
    expect(find(wishing(cube().add('barge-8', 2), { drivesLater: 4 }), 'within.growth')).toEqual([]);
    expect(firstRemedy(wishing(cube().add('barge-8', 2), { drivesLater: 5 }), 'within.growth')[0]).toMatch(/^Add /);
    // Without a board there are no ports yet: eight bays are room for eight, not for nine.
    expect(find(wishing(fixture().add('larder-8'), { drivesLater: 8 }), 'within.growth')).toEqual([]);
    expect(said(wishing(fixture().add('larder-8'), { drivesLater: 9 }), 'within.growth')).toEqual([
      'caution: 9 drives are wanted later; 0 are here and there is room for 8 more (8 bays free).',
    ]);
  });
  test('network', () => {
    expect(said(wishing(cube(), { networkGbPerS: 10 }), 'within.network')).toEqual([
      'caution: 10 Gb/s are wished; the fastest port here is 2.5 Gb/s.',
    ]);
    expect(find(wishing(cube().add('skein-10'), { networkGbPerS: 10 }), 'within.network')).toEqual([]);
  });
  test('of a near twin without remote management the one that has it is offered', () => {
    expect(firstRemedy(wishing(cube(), { mustHave: ['remoteManagement'] }), 'within.mustHave')[0]).toBe(
      'Take Wren C8 M instead of Wren C8',
    );
  });
  test.each([
    ['ecc', cube(), cube(tweak('clew-16e', { ecc: false })), 'Clew 16 GB ECC'],
    ['hotSwap', cube().add('barge-8'), cube().add('pike-960', 1, { at: ['u2/roof.1'] }), 'Pike 960 GB'],
    ['remoteManagement', fixture().add('gannet-e8'), cube(), 'Wren C8'],
    ['allFlash', cube().add('pike-960'), cube().add('barge-8'), 'Barge 8 TB'],
  ] as const)('must have %s', (wish, with_, without, names) => {
    expect(find(wishing(with_, { mustHave: [wish] }), 'within.mustHave')).toEqual([]);
    expect(said(wishing(without, { mustHave: [wish] }), 'within.mustHave')[0]).toContain(`without it: ${names}`);
  });
});

test('a part priced in another currency is told with the sum it is not in', () => {
  const priced = (currency: string, deal: 'buy' | 'owned' = 'buy') => {
    const made = cube().add('barge-8', 2, { deal });
    const price = { minor: 10_000, currency, per: 'unit' as const, taxIncluded: true };
    return made.edit({ type: 'item.patch', item: made.build.items.at(-1)!.id, patch: { price } });
  };
  expect(said(priced('CHF'), 'within.currency')).toEqual([
    'caution: 1 part is priced in CHF; the sum is in EUR, without it.',
  ]);
  expect(find(priced('EUR'), 'within.currency')).toEqual([]);
  // With a rate they count: 2 × CHF 100 at 1.05 are EUR 210, and undated prices may be a tenth off.
  const without = priced('CHF');
  const rated = without.edit({ type: 'set.rates', value: { CHF: 1.05 } });
  expect(find(rated, 'within.currency')).toEqual([]);
  const cost = (made: typeof rated) => made.assess().figures['cost.now']!;
  expect(cost(rated).value - cost(without).value).toBeCloseTo(210, 9);
  expect(find(rated.edit({ type: 'set.rates', value: { USD: 1 } }), 'within.currency')).toHaveLength(1);
  expect(find(priced('CHF', 'owned'), 'within.currency')).toEqual([]);
});
