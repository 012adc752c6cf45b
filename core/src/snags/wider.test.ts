import { newBuild } from '../build/newBuild';
import type { Build } from '../build/build';
import type { Catalogue } from '../parts/catalogue';
import { allRemedies } from '../remedies/remedies';
import { createAssessor } from '../assess';
import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { wordsOf, type SnagCode } from './words';

const find = (made: Fixture, code: SnagCode) => made.assess().snags.filter((snag) => snag.code === code);
const sentence = (made: Fixture, code: SnagCode) =>
  find(made, code).map((snag) => `${snag.severity}: ${wordsOf(snag).what}`);
const tower = (from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');
const wishing = (made: Fixture, brief: Build['brief'], site: Partial<Build['site']> = {}) =>
  made.set({ brief, site: { ...newBuild('x', 'x').site, ...site } });
const firstRemedy = (made: Fixture, code: SnagCode, from: Catalogue = catalogue) => {
  const assessment = made.assess();
  const snag = assessment.snags.find((one) => one.code === code)!;
  return allRemedies({ build: made.build, assessment }, snag, from, createAssessor(), AS_OF).map((one) => one.title);
};

describe('socket', () => {
  test('a processor of another socket stays on the table, and its own socket does not', () => {
    const wrong = fixture().add('larder-8').add('wren-c8').add('drover-m8');
    expect(sentence(wrong, 'mates.socket')).toEqual(['blocker: Drover M8 is for socket Q5; Wren C8 has Q4.']);
    expect(find(cube(), 'mates.socket')).toEqual([]);
    expect(firstRemedy(wrong, 'mates.socket')[0]).toMatch(/instead of Drover M8/);
  });
  test('a cooler of another socket', () => {
    expect(sentence(fixture().add('larder-8').add('wren-c8').add('drover-4').add('crag-q8'), 'mates.socket')).toEqual([
      'blocker: Crag Q8 is for socket Q8; Wren C8 has Q4.',
    ]);
  });
  test('a second processor for a board with a soldered one', () => {
    expect(sentence(fixture().add('larder-8').add('sprig-i6').add('drover-4'), 'mates.socket')).toEqual([
      'blocker: Drover 4 finds no socket: the processor of Sprig I6 is soldered.',
    ]);
  });
});

describe('memory', () => {
  const GB = 1024 ** 3;
  test('in all: 64 GB where 64 go, not where 48 go', () => {
    const full = (max: number) =>
      fixture(tweak('wren-c8', { memoryMaxBytes: max * GB }))
        .add('larder-8')
        .add('wren-c8')
        .add('clew-32e', 2);
    expect(find(full(64), 'mates.memoryMax')).toEqual([]);
    expect(sentence(full(48), 'mates.memoryMax')).toEqual(['blocker: 64 GB in all; Wren C8 takes 48 GB.']);
  });
  test('a module larger than the board takes', () => {
    expect(
      sentence(
        fixture(tweak('wren-c8', { memoryMaxModuleBytes: 16 * GB }))
          .add('larder-8')
          .add('wren-c8')
          .add('clew-32e'),
        'mates.memoryMax',
      ),
    ).toEqual(['blocker: 32 GB a module; Wren C8 takes 16 GB.']);
  });
  test('a third module on two slots', () => {
    expect(sentence(cube().add('clew-16e'), 'mates.memorySlots')).toEqual([
      'blocker: 1 module without a slot: Wren C8 has 2.',
    ]);
  });
});

describe('a picture to install with', () => {
  const headless = () =>
    fixture().add('larder-8').add('wren-c8').add('drover-6h').add('fell-47').add('clew-16e').add('ember-450s');
  test('no graphics and no remote management is said, and cured by another processor or a card', () => {
    expect(sentence(headless(), 'mates.display')).toEqual([
      'caution: Drover 6 headless has no graphics, and Wren C8 brings no remote management.',
    ]);
    expect(find(headless().add('lamp-30'), 'mates.display')).toEqual([]);
    expect(firstRemedy(headless(), 'mates.display')).toContain('Take Drover 4 instead of Drover 6 headless');
  });
  test('remote management is enough', () => {
    expect(find(fixture().add('gable-24').add('gannet-e8').add('shire-16'), 'mates.display')).toEqual([]);
  });
});

describe('thick cards', () => {
  test('a three-slot card covers the slot beside it', () => {
    expect(sentence(tower().add('beacon-300', 1, { at: ['u4/pcie1'] }), 'fits.cardCovers')).toEqual([
      'note: Beacon 300 is 3 slots thick and covers Slot 2, x1.',
    ]);
    expect(find(tower().add('skein-10'), 'fits.cardCovers')).toEqual([]);
  });
  test('in the last slots its bracket has no opening', () => {
    const low = tweak('steading-t9', {
      openings: [{ key: 'opening', label: 'Slot opening', count: 5, height: 'full' }],
    });
    expect(sentence(tower(low).add('beacon-300', 1, { at: ['u4/pcie3'] }), 'fits.cardCovers')).toEqual([
      'blocker: Beacon 300 takes 3 openings and would need number 6; the chassis has 5.',
    ]);
    expect(
      find(tower().add('beacon-300', 1, { at: ['u4/pcie3'] }), 'fits.cardCovers').map((snag) => snag.severity),
    ).not.toContain('blocker');
  });
});

describe('fans', () => {
  test('one of another size, and one too many', () => {
    expect(sentence(cube().add('hush-92'), 'fits.fanMount')).toEqual([
      'blocker: 1 fan without a mount: Hush 92. The mounts take 120 mm.',
    ]);
    expect(sentence(cube().add('hush-120', 2), 'fits.fanMount')).toEqual([
      'blocker: 1 fan without a mount: Hush 120. All 1 mounts of its size are taken.',
    ]);
    expect(find(cube().add('hush-120'), 'fits.fanMount')).toEqual([]);
  });
});

describe('interface', () => {
  test('SAS drives on a board with SATA ports only; an HBA cures it', () => {
    const sas = tower().add('sluice-8', 2);
    expect(sentence(sas, 'reaches.interface')).toEqual([
      'blocker: 2 SAS drives, and no port here speaks SAS: the ports are SATA.',
    ]);
    expect(find(sas, 'reaches.portsShort')).toEqual([]);
    expect(find(sas.add('tern-8i'), 'reaches.interface')).toEqual([]);
    expect(firstRemedy(sas, 'reaches.interface')[0]).toMatch(/^Add Tern/);
  });
  test('SATA drives short of ports are short of ports, not of another interface', () => {
    expect(find(tower().add('barge-8', 8), 'reaches.interface')).toEqual([]);
  });
});

describe('plugs', () => {
  const cables = (sata: number, peripheral: number) =>
    tweak('ember-650', {
      cables: [
        {
          key: 'main',
          count: 1,
          plugs: [
            { plug: '24-pin', count: 1 },
            { plug: '8-pin-cpu', count: 1 },
          ],
          lengthMm: 500,
          gaugeAwg: 18,
        },
        ...(sata
          ? [{ key: 'sata', count: 1, plugs: [{ plug: 'sata-power', count: sata }], lengthMm: 500, gaugeAwg: 18 }]
          : []),
        ...(peripheral
          ? [
              {
                key: 'chain',
                count: 1,
                plugs: [{ plug: 'peripheral', count: peripheral }],
                lengthMm: 500,
                gaugeAwg: 18,
              },
            ]
          : []),
      ],
    });
  test('four bare drives, three plugs: one splitter; four plugs: none', () => {
    expect(sentence(tower(cables(3, 1)).add('barge-8', 4), 'powered.plugs')).toEqual([
      'caution: SATA power plugs: 4 wanted, Ember 650 ATX has 3. Splitters are needed.',
    ]);
    expect(find(tower(cables(4, 1)).add('barge-8', 4), 'powered.plugs')).toEqual([]);
    expect(find(tower(cables(3, 1)).add('barge-8', 4).add('yoke-2'), 'powered.plugs')).toEqual([]);
    expect(firstRemedy(tower(cables(3, 1)).add('barge-8', 4), 'powered.plugs', cables(3, 1))).toContainEqual(
      expect.stringMatching(/^Add Yoke/),
    );
  });
  test('a splitter needs a plug to hang on', () => {
    expect(find(tower(cables(3, 0)).add('barge-8', 4).add('yoke-2'), 'powered.plugs')).toHaveLength(1);
    expect(find(tower(cables(3, 0)).add('barge-8', 4).add('yoke-4'), 'powered.plugs')).toEqual([]);
  });
  test('a card without its plug blocks', () => {
    expect(sentence(tower(cables(4, 1)).add('beacon-120'), 'powered.plugs')).toEqual([
      'blocker: 8-pin card plugs: 1 wanted, Ember 650 ATX has 0.',
    ]);
    expect(find(tower().add('beacon-120'), 'powered.plugs')).toEqual([]);
  });
  test('a backplane is fed once, however many drives it holds', () => {
    expect(find(cube().add('barge-8', 8).add('tern-8i'), 'powered.plugs')).toEqual([]);
  });
});

test('a supply smaller than everything at its most', () => {
  const loaded = (ratedW: number) =>
    tower(tweak('ember-650', { ratedW, rail12A: 60 }))
      .add('beacon-300')
      .add('barge-8', 4);
  expect(find(loaded(650), 'powered.total')).toEqual([]);
  const [snag] = find(loaded(300), 'powered.total');
  expect(snag).toMatchObject({ severity: 'blocker', gap: { limit: 300, unit: 'W' } });
  // By hand, at the outputs: 250 + 58 / 0.88 + 26 + 2 × 3.5 + 4 × 6.5 and two fans: a little under 380 W.
  expect(snag!.gap!.have).toBeGreaterThan(370);
  expect(snag!.gap!.have).toBeLessThan(385);
  expect(firstRemedy(loaded(300), 'powered.total')[0]).toMatch(/instead of Ember 650/);
});

describe('within the brief', () => {
  test('money: what is bought, not what is owned', () => {
    // 129 + 212 + 109 + 36 + 96 + 88 = 670
    expect(sentence(wishing(cube(), { moneyMinor: 66_900 }), 'within.money')).toEqual([
      'caution: Over the budget of EUR 669: EUR 670.',
    ]);
    expect(find(wishing(cube(), { moneyMinor: 67_000 }), 'within.money')).toEqual([]);
    expect(find(wishing(cube().add('barge-20', 8, { deal: 'owned' }), { moneyMinor: 67_000 }), 'within.money')).toEqual(
      [],
    );
  });
  test('idle and peak watts: the likely value cautions, the bad end alone is a note, far below is quiet', () => {
    const { value, lo, hi } = cube().assess().figures['power.idleWallW']!;
    const at = (idleW: number) => find(wishing(cube(), { idleW }), 'within.idle').map((snag) => snag.severity);
    expect(at(lo - 1)).toEqual(['caution']);
    expect(at(value + 0.01)).toEqual(['note']);
    expect(at(hi + 0.01)).toEqual([]);
    expect(sentence(wishing(cube(), { idleW: lo - 1 }), 'within.idle')[0]).toMatch(
      /^caution: Over the wished idle of \d+ W: \d+ W, could be \d+ W\.$/,
    );
    expect(find(wishing(cube(), { peakW: 50 }), 'within.peak')).toHaveLength(1);
    expect(find(wishing(cube(), { peakW: 500 }), 'within.peak')).toEqual([]);
  });
  test.each([
    ['maxDepthMm', 329, 330],
    ['maxWidthMm', 225, 226],
    ['maxHeightMm', 239, 240],
    ['maxMassG', 4549, 4550],
  ] as const)('%s: %d is too little, %d is enough', (field, less, enough) => {
    expect(find(wishing(cube(), { [field]: less }), 'within.size').map((snag) => snag.severity)).toEqual(['caution']);
    expect(find(wishing(cube(), { [field]: enough }), 'within.size')).toEqual([]);
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
    expect(
      sentence(wishing(fixture().add('gable-24'), { rackUnits: 3 }, { place: 'rack' }), 'within.rackUnits'),
    ).toEqual(['caution: 4 U of machines; 3 U are free.']);
    expect(find(wishing(fixture().add('gable-24'), { rackUnits: 4 }, { place: 'rack' }), 'within.rackUnits')).toEqual(
      [],
    );
    expect(sentence(wishing(tower(), {}, { place: 'rack' }), 'within.rackUnits')).toEqual([
      'note: Steading T9 is not made for a rack: it wants a shelf there.',
    ]);
  });
  test('drives to come', () => {
    // Four ports on the board: four drives in all.
    expect(sentence(wishing(cube().add('barge-8', 2), { drivesLater: 5 }), 'within.growth')).toEqual([
      'caution: 5 drives are wanted later; 2 are here and there is room for 2 more (6 bays, 2 ports free).',
    ]);
    expect(find(wishing(cube().add('barge-8', 2), { drivesLater: 4 }), 'within.growth')).toEqual([]);
    expect(firstRemedy(wishing(cube().add('barge-8', 2), { drivesLater: 5 }), 'within.growth')[0]).toMatch(/^Add /);
  });
  test('network', () => {
    expect(sentence(wishing(cube(), { networkGbPerS: 10 }), 'within.network')).toEqual([
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
    expect(sentence(wishing(without, { mustHave: [wish] }), 'within.mustHave')[0]).toContain(`without it: ${names}`);
  });
});
