import {
  find,
  said,
  tower550,
  tower,
  rack,
  sheet,
  archetype,
  fourSlots,
  behindOnePort,
  type Pair,
} from '../../testing/rules';
import type { Catalogue } from '../../parts/catalogue';
import { catalogue, cube, fixture, tweak, type Fixture, AS_OF } from '../../testing/fixture';
import { type SnagCode } from '../words';
import { newBuild } from '../../build/newBuild';
import type { Build } from '../../build/build';
import { allRemedies } from '../../remedies/remedies';
import { createAssessor } from '../../assess';
const remedies = (made: Fixture, code: SnagCode) => {
  const assessment = made.assess();
  return allRemedies(
    { build: made.build, assessment },
    assessment.snags.find((one) => one.code === code)!,
    catalogue,
    createAssessor(),
    AS_OF,
  );
};
const low = () => fixture().add('plank-1u').add('knot-m8').add('drover-4');
const inRack = (made: Fixture, brief: Build['brief'] = {}) =>
  made.set({ brief, site: { ...newBuild('x', 'x').site, place: 'rack' } });
const cage = archetype('cube-8').bayGroups[0]!;
const roofWith = (holes: string[]) =>
  tweak('larder-8', { bayGroups: [cage, { ...archetype('cube-8').bayGroups[1]!, holes }] });
const gap = (mm: number) =>
  tweak(
    'gannet-e8',
    { ...sheet('gannet-e8') },
    tweak('gable-24', {
      clearances: [
        ...archetype('rack-4u-24').clearances,
        { for: 'stick', maxMm: mm, because: 'shell', label: 'the cover', while: 'present' },
      ],
    }),
  );
const stickMm = (catalogue.archetypes['stick-usb'] as unknown as { lengthMm: number }).lengthMm;
const tight = (plugRoomMm: number, turnedPlugRoomMm: number) =>
  tower(
    tweak('steading-t9', {
      bayGroups: archetype('tower-atx').bayGroups.map((group) => ({ ...group, plugRoomMm, turnedPlugRoomMm })),
    }),
  ).add('barge-8', 2);
/** A supply so high over the board of a small box. */
const smallBox = (yMm: number) =>
  fixture(
    tweak('creel-2', {
      supplyBays: archetype('box-two-bays').supplyBays.map((bay) => ({ ...bay, at: { xMm: 130, yMm, zMm: 176 } })),
    }),
  )
    .add('creel-2')
    .add('sprig-i2')
    .add('clew-3s8')
    .add('clinker-400');
/** A module whose socket begins so far along the rear edge, and a card in the first slot. */
const cardOver = (uMm: number) =>
  rack(
    tweak('gannet-e8', {
      m2Sockets: [
        {
          key: 'm2a',
          label: 'M.2 socket 1',
          lengthsMm: [80],
          gen: 3,
          lanes: 4,
          carries: ['pcie'],
          owner: 'chipset',
          at: { uMm, vMm: 120 },
        },
      ],
    }),
  )
    .add('stickle-500')
    .add('tern-8i', 1, { at: ['u4/pcie1'] });
const lowServer = (riser: string) => low().add(riser);
const onRiser = (openings: object[]) =>
  fixture(tweak('plank-1u', { openings }))
    .add('plank-1u')
    .add('knot-m8')
    .add('hoist-1u')
    .add('tern-8i', 1, { at: ['u6/riser1'] });
/** A card that is as long as there is room, with or without a plug at its end. */
const plugged = (plugEndMm: number) => rack(tweak('tern-16i', { lengthMm: 300, plugEndMm })).add('tern-16i');
const takenOut = (effects: { do: 'remove'; key: string }[], title: string) => {
  const made = rack();
  const host = made.unit('gable-24');
  return made.edit({ type: 'change.add', change: { id: 'mod', kind: 'mod', host, title, effects } });
};
const PAIRS: readonly Pair[] = [
  [
    'a card whose plug stands out at its end',
    'fits.cardLength',
    () => plugged(35),
    /^blocker: Tern 16i with its plug is 23 mm too long: 335 mm, room for 312 mm to the fan wall\.$/,
    () => plugged(0),
  ],
  [
    'a row of fans taken out before bays',
    'fits.takenOut',
    () => takenOut([{ do: 'remove', key: 'wall' }], 'Fan wall out'),
    /^caution: Gable 24, fan wall out: \d places for fans fewer\.$/,
    () => rack(),
  ],
  [
    'a full-height card behind low openings',
    'fits.bracket',
    () => cube(tweak('tern-8i', { height: 'full', brackets: ['full'] })).add('tern-8i'),
    /^blocker: Tern 8i is a full-height card; .* 111\.2 mm of card, room for 68\.9 mm\.$/,
    () => cube().add('tern-8i'),
  ],
  [
    'a low card with the full bracket only',
    'fits.bracket',
    () => cube(tweak('tern-8i', { brackets: ['full'] })).add('tern-8i'),
    /^blocker: Tern 8i comes with a full-height bracket; its opening is low-profile\.$/,
    () =>
      cube(tweak('tern-8i', { brackets: ['full'] }))
        .add('bracket-low')
        .add('tern-8i'),
  ],
  [
    'a wall with an opening too few',
    'fits.opening',
    () =>
      rack(tweak('gable-24', { openings: [{ key: 'openings', label: 'Openings', count: 5, height: 'full' }] })).add(
        'tern-8i',
        1,
        { at: ['u4/pcie6'] },
      ),
    /^caution: Tern 8i: the rear wall has no opening/,
    () =>
      rack(tweak('gable-24', { openings: [{ key: 'openings', label: 'Openings', count: 6, height: 'full' }] })).add(
        'tern-8i',
        1,
        { at: ['u4/pcie6'] },
      ),
  ],
  [
    'a network card without an opening is useless',
    'fits.opening',
    () => rack(tweak('gable-24', { openings: [] })).add('skein-10', 1, { at: ['u4/pcie1'] }),
    /^blocker: .*1 outside port cannot be used\.$/,
    () => rack().add('skein-10', 1, { at: ['u4/pcie1'] }),
  ],
  [
    'a card on a riser behind a closed wall',
    'fits.opening',
    () => onRiser([]),
    /^caution: Tern 8i: the rear wall has no opening at its slot/,
    () => onRiser(archetype('rack-1u-4').openings),
  ],
  [
    'a riser to the right where the opening is on the left',
    'fits.riserHand',
    () => lowServer('hoist-1u-r'),
    /^blocker: Hoist 1U, right lays its card to the right; Plank 1U has the opening for it on the left\.$/,
    () => lowServer('hoist-1u'),
  ],
  [
    'a card standing where only a riser has room',
    'fits.cardHeight',
    () => low().add('tern-8i', 1, { at: ['u4/pcie1'] }),
    /^blocker: Tern 8i stands 68\.9 mm high in its slot; Plank 1U has 37\.5 mm there\. On a riser it lies flat\.$/,
    () => low().add('hoist-1u').add('tern-8i'),
  ],
  [
    'fixed bays where a drive more is to come',
    'fits.fixedBays',
    () => {
      const made = tower().add('barge-8', 2);
      return made.set({ brief: { drivesLater: 3 } });
    },
    /^note: 2 drives sit in bays that are not hot swap: to change or add one the machine is switched off\.$/,
    () =>
      tower()
        .add('barge-8', 2)
        .set({ brief: { drivesLater: 2 } }),
  ],
  [
    '2.5-inch drives in bays with the holes of 3.5-inch ones',
    'fits.holes',
    () => cube(roofWith(['A', 'B'])).add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] }),
    /^caution: 2 drives mate, but nothing holds them: Pike 960 GB has the holes of 2\.5-inch drives; the bay has those of A and B\.$/,
    () => cube(roofWith(['2.5'])).add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] }),
  ],
  [
    'a disk of hole set B in a bay of set A',
    'fits.holes',
    () =>
      tower(
        tweak('steading-t9', {
          bayGroups: archetype('tower-atx').bayGroups.map((group) => ({ ...group, holes: ['A'] })),
        }),
      ).add('barge-12'),
    /^caution: 1 drive mates, but nothing holds it: .* hole set B; the bay has those of A\.$/,
    () => tower().add('barge-12'),
  ],
  [
    'a supply bay without screw points',
    'fits.supplyScrews',
    () =>
      cube(tweak('larder-8', { supplyBays: archetype('cube-8').supplyBays.map((bay) => ({ ...bay, screws: false })) })),
    /^caution: Ember 450 SFX goes into the .* has no screw points for it\.$/,
    () => cube(),
  ],
  [
    'a base a millimetre short of what gets hot under the spreader',
    'fits.coolerBase',
    () => cube(tweak('fell-47', { baseMm: 25 })),
    /^caution: The base of Fell 47 is 25 mm; the heat spreader of Drover 4 is 38 mm, and gets hot 26 mm wide\.$/,
    () => cube(tweak('fell-47', { baseMm: 35 })),
  ],
  [
    'a stick a millimetre too tall',
    'fits.stick',
    () => rack(gap(stickMm + 7)).add('dab-32'),
    /^blocker: Dab 32 GB.* stands \d+ mm above the board/,
    () => rack(gap(stickMm + 11)).add('dab-32'),
  ],
  [
    'plugs with no room behind the drive, and room in front of it',
    'fits.plugRoom',
    () => tight(29, 30),
    /^note: 2 × Barge 8 TB go in turned round, plugs to the front: 30 mm are there, 29 mm behind; a plug and its bend want 30 mm\.$/,
    () => tight(30, 0),
  ],
  [
    'plugs with room for angled ones only',
    'fits.plugRoom',
    () => tight(29, 29),
    /^caution: Barge 8 TB has 29 mm before its plugs; a straight plug with its bend wants 30 mm, an angled one 14 mm\.$/,
    () => tight(29, 29).add('sata-angle', 1).add('sata-angle', 1),
  ],
  [
    'angled plugs for one sort of drive and not for the other',
    'fits.plugRoom',
    () => tight(20, 0).add('lighter-4', 2).add('sata-angle').add('sata-angle'),
    /^caution: Lighter 4 TB has 20 mm before its plugs/,
    () => tight(20, 0).add('lighter-4', 2).add('sata-angle').add('sata-angle').add('sata-angle').add('sata-angle'),
  ],
  [
    'plugs with no room at all',
    'fits.plugRoom',
    () => tight(13, 12),
    /^blocker: Barge 8 TB has 13 mm before its plugs; even an angled one wants 14 mm\.$/,
    () => tight(14, 0).add('sata-angle', 1).add('sata-angle', 1),
  ],
  [
    'a supply over the memory',
    'fits.goesFirst',
    () => smallBox(63),
    /^note: 1 memory module of Sprig I2 goes in first: Clinker 400 Flex lies over it\.$/,
    () => smallBox(64),
  ],
  [
    'a card over a module',
    'fits.goesFirst',
    () => cardOver(80),
    /^note: 1 M\.2 module of Gannet E8 goes in first: Tern 8i lies over it\.$/,
    () => cardOver(20),
  ],
  [
    'a body too wide for its rails',
    'fits.rackBody',
    () => inRack(rack(tweak('gable-24', { widthMm: 441 }))),
    /^caution: Gable 24 is 441 mm wide; with slide rails there is room for 440 mm\.$/,
    () => inRack(rack(tweak('gable-24', { widthMm: 440 }))),
  ],
  [
    'a body too wide for the opening',
    'fits.rackBody',
    () => inRack(rack(tweak('gable-24', { widthMm: 451 }))),
    /^blocker: /,
    () => rack(tweak('gable-24', { widthMm: 451 })),
  ],
  [
    'handles a millimetre past the door',
    'fits.rackDepth',
    () => inRack(rack(tweak('gable-24', { handlesMm: 40 })), { maxDepthMm: 749 }),
    /^caution: Gable 24 is 660 mm deep; with 40 mm of handles and 50 mm for cables 750 mm, where 749 mm are\.$/,
    () => inRack(rack(tweak('gable-24', { handlesMm: 40 })), { maxDepthMm: 750 }),
  ],
  [
    'as much room for cables as the brief says',
    'fits.rackDepth',
    () => inRack(rack(), { maxDepthMm: 739, cableRoomMm: 80 }),
    /with 80 mm for cables 740 mm, where 739 mm are/,
    () => inRack(rack(), { maxDepthMm: 739, cableRoomMm: 79 }),
  ],
];

test.each(PAIRS)('%s', (_what, code, there, sentence, not) => {
  expect(said(there(), code)[0]).toMatch(sentence);
  expect(said(there(), code)[0]!.split(/\s+/).length).toBeLessThanOrEqual(36);
  expect(said(not(), code).filter((one) => sentence.test(one))).toEqual([]);
});

describe('board in chassis', () => {
  test('an ATX board does not go into a cube for Mini-ITX', () => {
    expect(said(fixture().add('larder-8').add('plover-a6'), 'fits.boardInChassis')).toEqual([
      'blocker: Plover A6 has atx holes; Larder 8 takes mini-itx.',
    ]);
  });
  test('a board 1 mm deeper than its room blocks, one as deep as it does not', () => {
    expect(said(cube(tweak('wren-c8', { depthMm: 173 })), 'fits.boardInChassis')).toEqual([
      'blocker: Wren C8 is 1 mm too deep for Larder 8: 173 mm, room for 172 mm.',
    ]);
    expect(find(cube(tweak('wren-c8', { depthMm: 172 })), 'fits.boardInChassis')).toEqual([]);
  });
});

describe('supply', () => {
  test('an ATX supply does not go where SFX goes', () => {
    expect(said(fixture().add('larder-8').add('ember-550'), 'fits.supplyForm')).toEqual([
      'blocker: Ember 550 ATX is ATX; Larder 8 takes SFX or SFX-L.',
    ]);
    expect(find(cube(), 'fits.supplyForm')).toEqual([]);
  });
  test('two boot sticks find sockets outside, one for each', () => {
    expect(find(cube().add('dab-32', 2, { role: 'boot' }), 'fits.driveInBay')).toEqual([]);
    expect(find(cube().add('dab-32', 4, { role: 'boot' }), 'fits.driveInBay')).toHaveLength(1);
  });
  test('an SFX supply on the table of an ATX tower lies there because its bay is taken, not for its form', () => {
    const two = tower().add('ember-450s');
    expect(find(two, 'fits.supplyForm')).toEqual([]);
    expect(said(two, 'complete.runsNothing')).toContainEqual(
      expect.stringMatching(/^caution: Ember 450 SFX feeds nothing/),
    );
  });
  test.each([
    [131, 'blocker'],
    [130, 'caution'],
    [129, 'caution'],
    [127, null],
  ] as const)('a supply %d mm long in a bay of 130: %s', (lengthMm, severity) => {
    expect(find(cube(tweak('ember-450s', { lengthMm })), 'fits.supplyLength').map((snag) => snag.severity)).toEqual(
      severity ? [severity] : [],
    );
  });
  test('the cage that limits it is named when it is what limits', () => {
    const narrow = tweak('steading-t9', {
      clearances: [{ for: 'supply', maxMm: 138, because: 'cage', label: 'the drive cage', while: 'present' }],
    });
    expect(said(tower550(narrow), 'fits.supplyLength')).toEqual([
      'blocker: Ember 550 ATX is 2 mm too long: 140 mm, room for 138 mm to the drive cage.',
    ]);
  });
});

describe('cooler height', () => {
  const withRoof = (heightMm: number) => cube(tweak('fell-47', { heightMm })).add('pike-960', 1, { at: ['u2/roof.1'] });
  test('under occupied roof bays there is less room', () => {
    expect(said(withRoof(74), 'fits.coolerHeight')).toEqual([
      'blocker: Fell 47 is 4 mm too high: 74 mm, room for 70 mm under the roof drives.',
    ]);
    expect(find(withRoof(67), 'fits.coolerHeight')).toEqual([]);
    // A millimetre is a caution where one of the two is only typical of its class, and enough where both are stated.
    expect(said(withRoof(69), 'fits.coolerHeight')).toEqual(['caution: Fell 47 leaves 1 mm under the roof drives.']);
    const stated = tweak(
      'larder-8',
      { clearances: archetype('cube-8').clearances },
      tweak('fell-47', { heightMm: 69 }),
    );
    const low = (from: Catalogue) => cube(from).add('pike-960', 1, { at: ['u2/roof.1'] });
    expect(find(low(stated), 'fits.coolerHeight')).toEqual([]);
  });
  test('with the roof bays empty the cover is the limit', () => {
    expect(find(cube(tweak('fell-47', { heightMm: 74 })), 'fits.coolerHeight')).toEqual([]);
    expect(said(cube(tweak('fell-47', { heightMm: 99 })), 'fits.coolerHeight')[0]).toContain('under the cover');
  });
});

describe('cards', () => {
  test('a card 1 mm too long names what it runs into, and fits when that is taken out', () => {
    const long = tower550(tweak('tern-8i', { lengthMm: 291 })).add('tern-8i');
    expect(said(long, 'fits.cardLength')).toEqual([
      'blocker: Tern 8i is 1 mm too long: 291 mm, room for 290 mm to the drive cage.',
    ]);
    const out = long.edit({
      type: 'change.add',
      change: { id: 'c', kind: 'option', host: long.unit('steading-t9'), key: 'noCage' },
    });
    expect(find(out, 'fits.cardLength')).toEqual([]);
  });
  test('a limit for certain slots leaves the others alone', () => {
    const only = tweak('steading-t9', {
      clearances: [{ for: 'card', slots: [0], maxMm: 100, because: 'cage', label: 'the drive cage', while: 'present' }],
    });
    expect(find(tower550(only).add('tern-8i', 1, { at: ['u4/pcie1'] }), 'fits.cardLength')).toHaveLength(1);
    expect(find(tower550(only).add('tern-8i', 1, { at: ['u4/pcie3'] }), 'fits.cardLength')).toEqual([]);
  });
  test('two cards and one slot', () => {
    expect(said(cube().add('tern-8i').add('skein-10'), 'fits.cardSlot')).toEqual([
      'blocker: Skein 10: no slot is left that takes it. The only one is in use.',
    ]);
    expect(find(cube().add('tern-8i'), 'fits.cardSlot')).toEqual([]);
  });
  test('an x8 card in a closed x4 slot', () => {
    const closed = tweak('wren-d6', {
      slots: [
        {
          key: 'pcie1',
          label: 'Slot 1, x4',
          position: 0,
          bus: 'pcie',
          lanes: 4,
          wiredLanes: 4,
          gen: 3,
          owner: 'processor',
          openEnd: false,
        },
      ],
    });
    expect(said(fixture(closed).add('larder-8').add('wren-d6').add('tern-8i'), 'fits.cardSlot')[0]).toContain(
      'It is x8; the slots are x4.',
    );
    expect(find(fixture().add('larder-8').add('wren-d6').add('tern-8i'), 'fits.cardSlot')).toEqual([]);
  });
});

describe('drive in bay', () => {
  test('nine disks and eight bays', () => {
    expect(said(cube().add('tern-8i').add('barge-8', 9), 'fits.driveInBay')).toEqual([
      'blocker: 1 drive without a place: 1 × Barge 8 TB. All 8 3.5-inch places are taken.',
    ]);
    expect(find(cube().add('tern-8i').add('barge-8', 8), 'fits.driveInBay')).toEqual([]);
  });
  test('a 2.5-inch drive finds no place in a tower, but does through an adapter', () => {
    expect(find(tower550().add('pike-960'), 'fits.driveInBay')).toHaveLength(1);
    expect(find(tower550().add('cradle-2').add('pike-960', 2), 'fits.driveInBay')).toEqual([]);
  });
  test('a 15 mm drive in a 9.5 mm bay is too high', () => {
    expect(said(tower550().add('cradle-2').add('coot-4'), 'fits.driveInBay')).toEqual([
      'blocker: Coot 4 TB is 5.5 mm too high for its bay: 15 mm, room for 9.5 mm.',
    ]);
    expect(said(tower550().add('cradle-2').add('coot-4', 2), 'fits.driveInBay')).toEqual([
      'blocker: 2 × Coot 4 TB are 5.5 mm too high for their bays: 15 mm, room for 9.5 mm.',
    ]);
  });
  test('before there is a chassis drives lie on the table and nothing is said', () => {
    expect(find(fixture().add('barge-8', 5), 'fits.driveInBay')).toEqual([]);
  });
});

describe('thick cards', () => {
  test('a three-slot card covers the slot beside it', () => {
    expect(said(tower().add('beacon-300', 1, { at: ['u4/pcie1'] }), 'fits.cardCovers')).toEqual([
      'note: Beacon 300 is 3 slots thick and covers Slot 2, x1.',
    ]);
    expect(find(tower().add('skein-10'), 'fits.cardCovers')).toEqual([]);
  });
  test('in the last slots its bracket has no opening', () => {
    const low = tweak('steading-t9', {
      openings: [{ key: 'opening', label: 'Slot opening', count: 5, height: 'full' }],
    });
    expect(said(tower(low).add('beacon-300', 1, { at: ['u4/pcie3'] }), 'fits.cardCovers')).toEqual([
      'blocker: Beacon 300 takes 3 openings and would need number 6; the chassis has 5.',
    ]);
    expect(
      find(tower().add('beacon-300', 1, { at: ['u4/pcie3'] }), 'fits.cardCovers').map((snag) => snag.severity),
    ).not.toContain('blocker');
  });
});

describe('fans', () => {
  test('one of another size, and one too many', () => {
    expect(said(cube().add('hush-92'), 'fits.fanMount')).toEqual([
      'blocker: 1 fan without a mount: Hush 92. The mounts take 120 mm.',
    ]);
    expect(said(cube().add('hush-120', 2), 'fits.fanMount')).toEqual([
      'blocker: 1 fan without a mount: Hush 120. All 1 mounts of its size are taken.',
    ]);
    expect(find(cube().add('hush-120'), 'fits.fanMount')).toEqual([]);
  });
});

describe('M.2 modules that find no socket: it says what is wrong with each there is', () => {
  const sockets = (values: object) =>
    tweak('knot-m8', {
      m2Sockets: [
        {
          key: 'm2a',
          label: 'M.2 socket 1',
          lengthsMm: [80],
          gen: 3,
          lanes: 4,
          carries: ['pcie', 'sata'],
          owner: 'chipset',
          ...values,
        },
      ],
    });
  const made = (values: object, sheet: string) => fixture(sockets(values)).add('stead-m6').add('knot-m8').add(sheet);
  test.each([
    [{}, 'stickle-42', /M\.2 socket 1 takes 80 mm, it is 42\.$/],
    [{ carries: ['pcie'] }, 'reed-250', /M\.2 socket 1 speaks NVMe only\.$/],
    [{ notch: 'B' }, 'stickle-500', /M\.2 socket 1 has key B, it has M\.$/],
    [{ notch: 'E' }, 'reed-250', /has key E, it has B\+M\.$/],
  ] as const)('%j, %s', (values, sheet, sentence) => {
    expect(said(made(values, sheet), 'fits.driveInBay')[0]).toMatch(sentence);
  });
  test('four sockets of one trouble are one sentence', () => {
    expect(said(rack().add('punt-4').add('stickle-42'), 'fits.driveInBay')[0]).toMatch(/ M\.2 sockets take [^.]*\.$/);
  });
  test.each([
    [{ lengthsMm: [42, 80] }, 'stickle-42'],
    [{}, 'reed-250'],
    [{ notch: 'B' }, 'reed-250'],
    [{ notch: 'M' }, 'stickle-500'],
  ] as const)('%j, %s goes in', (values, sheet) => {
    expect(find(made(values, sheet), 'fits.driveInBay')).toEqual([]);
  });
});

describe('ways out', () => {
  test.each<readonly [SnagCode, () => Fixture, RegExp]>([
    [
      'fits.bracket',
      () => cube(tweak('tern-8i', { brackets: ['full'] })).add('tern-8i'),
      /^(Add Low-profile bracket|Take .* instead of Tern 8i)$/,
    ],
    ['fits.cardHeight', () => low().add('tern-8i', 1, { at: ['u4/pcie1'] }), /^Add Hoist 1U and lay Tern 8i on it$/],
    ['fits.coolerBase', () => cube(tweak('fell-47', { baseMm: 20 })), /instead of Fell 47$/],
    ['fits.stick', () => rack(gap(stickMm + 7)).add('dab-32'), /^Add USB angle adapter$/],
    [
      'fits.holes',
      () => cube(roofWith(['A', 'B'])).add('pike-960', 1, { at: ['u2/roof.1'] }),
      /^Move Pike 960 GB \(G1\) to cage$/,
    ],
    [
      'reaches.slotLink',
      () =>
        rack()
          .add('tern-8i', 1, { at: ['u4/pcie6'] })
          .add('pike-960', 8),
      /^Move Tern 8i to Slot/,
    ],
    [
      'reaches.m2Link',
      () => cube(tweak('stickle-500', { sequentialMBps: 6000 })).add('stickle-500', 1, { at: ['u4/m2b'] }),
      /^Move Stickle 500 GB NVMe to M\.2 socket 1/,
    ],
    ['reaches.multiplier', () => behindOnePort(), /^Add Stilt 10, multiplied$/],
    ['reaches.raid', () => rack().add('grebe-8r').add('barge-8', 8), /instead of Grebe 8R$/],
    [
      'mates.memoryOrder',
      () =>
        fixture()
          .add('steading-t9')
          .add('plover-a6')
          .add('clew-16e', 2, { at: ['u4/memory.1', 'u4/memory.3'] }),
      /^Put them into slots 2 and 4$/,
    ],
    [
      'mates.spareCables',
      () =>
        cube(tweak('larder-8', { inTheBox: [] }))
          .add('lead-forward-8643')
          .add('barge-8', 4),
      /^Leave out/,
    ],
    ['fits.plugRoom', () => tight(20, 0), /^Add 2 × Angled SATA plug adapter$/],
    [
      'mates.memoryPath',
      () => rack(fourSlots()).add('clew-r32', 2),
      /^Take 2 × Clew 64 GB registered instead of 4 × Clew 32 GB registered$/,
    ],
    ['mates.frontUsb', () => cube(tweak('wren-c8', { usbInside: [] })), /^Add Adapter, USB 3 header to USB 2$/],
    ['complete.smallParts', () => cube(tweak('wren-c8', { inTheBox: [] })), /^Put all 2 on the list$/],
  ])('%s', (code, made, title) => {
    const build = made();
    const [first] = remedies(build, code);
    expect(first?.title).toMatch(title);
    expect(first!.cure).toBe(true);
    // Taken, the snag is gone.
    expect(find(build.edit(...first!.edits), code)).toEqual([]);
  });
});

test('a bracket left off is an edit: the card goes in, a note says what holds it, and taken back it is as before', () => {
  const made = rack(tweak('gable-24', { openings: [] })).add('tern-8i', 1, { at: ['u4/pcie1'] });
  const off = remedies(made, 'fits.opening').find(({ title }) => title === 'Leave the bracket off Tern 8i');
  // Moving does not help where no slot has an opening.
  expect(off).toBeDefined();
  const after = made.edit(...off!.edits);
  expect(find(after, 'fits.opening')).toEqual([]);
  expect(said(after, 'fits.bracketOff')).toEqual(['note: Tern 8i stands without its bracket; only the slot holds it.']);
  expect(said(after.edit({ type: 'change.remove', id: `${made.unit('tern-8i')}:bracketOff` }), 'fits.opening')).toEqual(
    said(made, 'fits.opening'),
  );
});

test('the bracket taken off does not make a card useful whose sockets are outside', () => {
  const made = rack(tweak('gable-24', { openings: [] })).add('skein-10', 1, { at: ['u4/pcie1'] });
  expect(remedies(made, 'fits.opening').map(({ title }) => title)).not.toContainEqual(expect.stringMatching(/bracket/));
  const off = made.edit({
    type: 'change.add',
    change: {
      id: 'off',
      kind: 'mod',
      host: made.unit('skein-10'),
      title: 'Bracket off',
      effects: [{ do: 'bracketOff' }],
    },
  });
  expect(said(off, 'fits.bracketOff')[0]).toMatch(/^blocker: /);
});

test('a riser with a wide edge does not enter a closed narrow slot; of an unknown edge nothing is said', () => {
  const seat = (values: Record<string, unknown>) =>
    fixture(tweak('hoist-1u', values)).add('plank-1u').add('knot-m8').add('hoist-1u');
  // Its slot of 16 lanes lies second; the first is closed and of 8.
  expect(seat({ edgeLanes: 16 }).seat('hoist-1u')).toBe('pcie2');
  expect(seat({ edgeLanes: 8 }).seat('hoist-1u')).toBe('pcie1');
});
