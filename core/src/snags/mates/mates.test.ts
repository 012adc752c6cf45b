import { find, said, tower, firstRemedy, rack, fourSlots, type Pair } from '../../testing/rules';
import type { Sheet } from '../../parts/sheet';
import { catalogue, cube, fixture, tweak } from '../../testing/fixture';
import type { SheetId } from '../../parts/ids';
/** A tower whose board tells generations apart, with a processor of one. */
const generations = (generation: string | undefined) =>
  tower(
    tweak(
      'plover-a6',
      { processors: [{ generation: 'Drover 1' }, { generation: 'Drover 2', firmware: '1.20' }] },
      tweak('drover-4', { generation }),
    ),
  );
/** A shelf of disks on a cable of some length. */
const toShelf = (lengthMm: number) =>
  rack(tweak('lead-8644-200', { lengthMm, maxTotalMm: null }))
    .add('tern-8e')
    .add('loft-16')
    .add('barge-8', 26)
    .add('lead-8644-200');
/** A card with NVMe ports, a cage for U.2 drives and two of them. */
const toU2 = (lengthMm: number, drive: Partial<Sheet<'drive'>> = {}, box: Partial<Sheet<'chassis'>> = {}) => {
  const ends = [
    { kind: 'sff-8654-4i', tails: 1, lanesPerTail: 4, role: 'host' },
    { kind: 'sff-8639', tails: 1, lanesPerTail: 4, role: 'device' },
  ] as const;
  const port = (catalogue.sheets['heron-2' as SheetId] as Sheet<'controller'>).connectors![0]!;
  const card = { connectors: [{ ...port, gbPerLane: drive.gbPerLane ?? 16 }] };
  const cables = tweak('lead-u2', { ends, lengthMm, maxTotalMm: null });
  return tower(tweak('steading-t9', box, tweak('wels-1920', drive, tweak('heron-2', card, cables))))
    .add('heron-2')
    .add('crib-u2')
    .add('wels-1920', 2);
};
const PAIRS: readonly Pair[] = [
  [
    'registered modules on a processor that takes none',
    'mates.processorMemory',
    () => rack(tweak('shire-16', { memoryRegistered: false })),
    /^blocker: Clew 32 GB registered is registered; Shire 16 takes unbuffered alone\.$/,
    () => rack(),
  ],
  [
    'a type of memory the board takes and the processor does not',
    'mates.processorMemory',
    () => tower(tweak('drover-4', { memoryTypes: ['ddr5'] })),
    /^blocker: Clew 16 GB ECC is DDR4; Drover 4 takes DDR5 alone\.$/,
    () => tower(tweak('drover-4', { memoryTypes: ['ddr4', 'ddr5'] })),
  ],
  [
    'modules faster than what the processor runs them at',
    'mates.memorySpeed',
    () => tower(tweak('drover-4', { memoryMtPerS: 2666 }, tweak('clew-16e', { mtPerS: 3200 }))),
    /^note: Clew 16 GB ECC is made for 3200 MT\/s; Drover 4 for 2666\.$/,
    () => tower(tweak('drover-4', { memoryMtPerS: 3200 }, tweak('clew-16e', { mtPerS: 3200 }))),
  ],
  [
    'modules of two speeds on one board',
    'mates.memorySpeed',
    () => tower(tweak('clew-8e', { mtPerS: 2400 }, tweak('clew-16e', { mtPerS: 3200 }))).add('clew-8e'),
    /^note: Clew 16 GB ECC is made for 3200 MT\/s; Clew 8 GB ECC for 2400\.$/,
    () => tower(tweak('clew-8e', { mtPerS: 3200 })).add('clew-8e'),
  ],
  [
    'a processor of a generation the board does not know',
    'mates.generation',
    () => generations('Drover 3'),
    /^blocker: Drover 4 is of Drover 3; Plover A6 takes Drover 1, Drover 2\.$/,
    () => generations('drover 1'),
  ],
  [
    'a processor the board knows with later firmware',
    'mates.generation',
    () => generations('Drover 2'),
    /^caution: Plover A6 knows Drover 4 \(Drover 2\) from firmware 1\.20 on\.$/,
    () => generations(undefined),
  ],
  [
    'a processor of more watts than its board is made for',
    'mates.boardWatts',
    () => tower(tweak('plover-a6', { carriesW: 65 }, tweak('drover-4', { sustainedW: 125 }))),
    /^blocker: Drover 4 draws 125 W for minutes; Plover A6 is made for processors of 65 W\.$/,
    () => tower(tweak('plover-a6', { carriesW: 95 }, tweak('drover-4', { sustainedW: 95 }))),
  ],
  [
    'modules with ECC on a processor without',
    'mates.ecc',
    () => tower(tweak('drover-4', { memoryEcc: false })),
    /^note: Clew 16 GB ECC has ECC; Drover 4 does not use it\.$/,
    () => tower(tweak('drover-4', { memoryEcc: true })),
  ],
  [
    'four small modules where two would do',
    'mates.memoryPath',
    () => rack(fourSlots()).add('clew-r32', 2),
    /^note: 128 of 256 GB, and all 4 slots of Gannet E8 are in use: the rest means 4 × 64 GB, and 4 modules given up\.$/,
    () => rack(fourSlots()).add('clew-r32', 1),
  ],
  [
    'drives of 520-byte sectors',
    'mates.sectors',
    () =>
      rack(tweak('sluice-8', { sectors: '520' }))
        .add('tern-8i')
        .add('sluice-8', 4),
    /^caution: 4 drives with 520-byte sectors: Sluice 8 TB SAS, used\.$/,
    () =>
      rack(tweak('sluice-8', { sectors: '512e' }))
        .add('tern-8i')
        .add('sluice-8', 4),
  ],
  [
    'drives that obey the 3.3 V pin on plain plugs',
    'mates.powerDisable',
    () => tower(tweak('barge-8', { obeysPin3: true })).add('barge-8', 2),
    /^caution: 2 drives obey the power-disable pin, and nothing here cuts it\.$/,
    () =>
      tower(tweak('barge-8', { obeysPin3: true }))
        .add('barge-8', 2)
        .add('yoke-2'),
  ],
  [
    'modules in the wrong slots',
    'mates.memoryOrder',
    () =>
      fixture()
        .add('steading-t9')
        .add('plover-a6')
        .add('clew-16e', 2, { at: ['u4/memory.1', 'u4/memory.3'] }),
    /^caution: 2 modules in slots 1 and 3; Plover A6 wants slots 2 and 4 filled first\.$/,
    () => fixture().add('steading-t9').add('plover-a6').add('clew-16e', 2),
  ],
  [
    'front sockets without a header',
    'mates.frontUsb',
    () => cube(tweak('wren-c8', { usbInside: [] })),
    /^note: Larder 8 has USB 3 in front; Wren C8 has no header for it\.$/,
    () => cube(tweak('wren-c8', { usbInside: [] })).add('header-usb3'),
  ],
  [
    'a forward breakout where a reverse one is wanted',
    'mates.spareCables',
    () =>
      cube(tweak('larder-8', { inTheBox: [] }))
        .add('lead-forward-8643')
        .add('barge-8', 4),
    /^caution: 1 × Forward breakout.*: it is a forward breakout, the other way round\. Wanted: 1 × Reverse breakout/,
    () =>
      cube(tweak('larder-8', { inTheBox: [] }))
        .add('lead-reverse-8643')
        .add('barge-8', 4),
  ],
  [
    'a cable shorter than its way',
    'mates.cableLength',
    () =>
      tower(tweak('lead-sata', { lengthMm: 150 }))
        .add('lead-sata', 2)
        .add('barge-8', 2),
    /^caution: SATA cable, 50 cm is 150 mm; the way is about \d+ mm/,
    () =>
      tower(tweak('lead-sata', { lengthMm: 700 }))
        .add('lead-sata', 2)
        .add('barge-8', 2),
  ],
  [
    'a SATA cable past a metre',
    'mates.cableLength',
    () =>
      tower(tweak('lead-sata', { lengthMm: 1001 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
    /^caution: .* is 1001 mm long; for what it carries it may be 1000 mm\.$/,
    () =>
      tower(tweak('lead-sata', { lengthMm: 1000 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
  ],
  [
    'a cable of generation 4 past three quarters of a metre, where one of generation 3 may have a metre',
    'mates.cableLength',
    () => toU2(800).add('lead-u2', 1),
    /^caution: Cable, SFF-8643 to U\.2 is 800 mm long; for what it carries it may be 750 mm\.$/,
    () => toU2(800, { gbPerLane: 8, pcieGen: 3 }).add('lead-u2', 1),
  ],
  [
    'a cable from box to box longer than what it carries goes, where nobody knows the way',
    'mates.cableLength',
    () => toShelf(6500),
    /^caution: Cable outside, SFF-8644, 200 cm is 6500 mm long; for what it carries it may be 6000 mm\.$/,
    () => toShelf(6000),
  ],
  [
    'a cable three times as long as its way',
    'mates.cableLength',
    () =>
      tower(tweak('lead-sata', { lengthMm: 1000 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
    /^note: .* is 1000 mm; the way is about \d+ mm\. The rest lies in coils before the air\.$/,
    () =>
      tower(tweak('lead-sata', { lengthMm: 700 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
  ],
  [
    'a way longer than what it carries goes, with no cable for it yet',
    'mates.cableLength',
    () => toU2(500, { gbPerLane: 32, pcieGen: 5 }, { depthMm: 1200, boardAt: { xMm: 200, yMm: 466, zMm: 1196 } }),
    /^caution: Cable, .*: the way is about \d+ mm(?: for 2 of them)?; what it carries goes 500 mm at most\.$/,
    () => toU2(500, { gbPerLane: 32, pcieGen: 5 }),
  ],
];

test.each(PAIRS)('%s', (_what, code, there, sentence, not) => {
  expect(said(there(), code)[0]).toMatch(sentence);
  expect(said(there(), code)[0]!.split(/\s+/).length).toBeLessThanOrEqual(36);
  expect(said(not(), code).filter((one) => sentence.test(one))).toEqual([]);
});

describe('memory', () => {
  test('DDR5 in a DDR4 board, SO-DIMM in DIMM slots', () => {
    const bare = fixture().add('larder-8').add('wren-c8');
    expect(said(bare.add('clew-5-16'), 'mates.memory')).toEqual([
      'blocker: Clew 16 GB DDR5 is DDR5 DIMM; Wren C8 takes DDR4 DIMM.',
    ]);
    expect(said(bare.add('clew-s16'), 'mates.memory')).toEqual([
      'blocker: Clew 16 GB SO-DIMM is DDR4 SO-DIMM; Wren C8 takes DDR4 DIMM.',
    ]);
    expect(find(bare.add('clew-16e'), 'mates.memory')).toEqual([]);
  });
  test('registered where unbuffered is needed, and the other way round', () => {
    const bare = fixture().add('larder-8').add('wren-c8');
    expect(said(bare.add('clew-r32'), 'mates.memoryRegistered')).toEqual([
      'blocker: Clew 32 GB registered is in Wren C8, which needs unbuffered modules.',
    ]);
    expect(said(fixture().add('gable-24').add('gannet-e8').add('clew-16e'), 'mates.memoryRegistered')[0]).toContain(
      'needs registered modules',
    );
    expect(find(fixture().add('gable-24').add('gannet-e8').add('clew-r32'), 'mates.memoryRegistered')).toEqual([]);
  });
  test('three modules, two slots', () => {
    expect(said(fixture().add('larder-8').add('wren-c8').add('clew-16e', 3), 'mates.memorySlots')).toEqual([
      'blocker: 1 module without a slot: Wren C8 has 2.',
    ]);
    expect(find(cube(), 'mates.memorySlots')).toEqual([]);
  });
});

describe('socket', () => {
  test('a processor of another socket stays on the table, and its own socket does not', () => {
    const wrong = fixture().add('larder-8').add('wren-c8').add('drover-m8');
    expect(said(wrong, 'mates.socket')).toEqual(['blocker: Drover M8 is for socket Q5; Wren C8 has Q4.']);
    expect(find(cube(), 'mates.socket')).toEqual([]);
    expect(firstRemedy(wrong, 'mates.socket')[0]).toMatch(/instead of Drover M8/);
  });
  test('a cooler of another socket', () => {
    expect(said(fixture().add('larder-8').add('wren-c8').add('drover-4').add('crag-q8'), 'mates.socket')).toEqual([
      'blocker: Crag Q8 is for socket Q8; Wren C8 has Q4.',
    ]);
  });
  test('a second processor for a board with a soldered one', () => {
    expect(said(fixture().add('larder-8').add('sprig-i6').add('drover-4'), 'mates.socket')).toEqual([
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
    expect(said(full(48), 'mates.memoryMax')).toEqual(['blocker: 64 GB in all; Wren C8 takes 48 GB.']);
  });
  test('a module larger than the board takes', () => {
    expect(
      said(
        fixture(tweak('wren-c8', { memoryMaxModuleBytes: 16 * GB }))
          .add('larder-8')
          .add('wren-c8')
          .add('clew-32e'),
        'mates.memoryMax',
      ),
    ).toEqual(['blocker: 32 GB a module; Wren C8 takes 16 GB.']);
  });
  test('a third module on two slots', () => {
    expect(said(cube().add('clew-16e'), 'mates.memorySlots')).toEqual([
      'blocker: 1 module without a slot: Wren C8 has 2.',
    ]);
  });
});

describe('a picture to install with', () => {
  const headless = () =>
    fixture().add('larder-8').add('wren-c8').add('drover-6h').add('fell-47').add('clew-16e').add('ember-450s');
  test('no graphics and no remote management is said, and cured by another processor or a card', () => {
    expect(said(headless(), 'mates.display')).toEqual([
      'caution: Drover 6 headless has no graphics, and Wren C8 brings no remote management.',
    ]);
    expect(find(headless().add('lamp-30'), 'mates.display')).toEqual([]);
    expect(firstRemedy(headless(), 'mates.display')).toContain('Take Drover 4 instead of Drover 6 headless');
  });
  test('remote management is enough', () => {
    expect(find(fixture().add('gable-24').add('gannet-e8').add('shire-16'), 'mates.display')).toEqual([]);
  });
});

describe('modules that do not belong together', () => {
  const board = () => fixture().add('gable-24').add('knot-x10').add('shire-16').add('crag-q8');
  test('registered and unbuffered on one board block; one kind does not', () => {
    const mixed = board().add('clew-r32', 2).add('clew-32e', 1);
    expect(said(mixed, 'mates.memoryMixed')).toEqual([
      expect.stringMatching(/^blocker: Clew 32 GB.* is registered, Clew 32 GB.* is not, and both are on Knot X10/),
    ]);
    expect(find(board().add('clew-r32', 3), 'mates.memoryMixed')).toEqual([]);
    expect(firstRemedy(mixed, 'mates.memoryMixed').length).toBeGreaterThan(0);
  });
  test('two sizes are a note; one size is none', () => {
    expect(said(board().add('clew-r32', 2).add('clew-r16', 1), 'mates.memoryUneven')).toEqual([
      'note: Knot X10, used has modules of 16 and 32 GB.',
    ]);
    expect(find(board().add('clew-r32', 3), 'mates.memoryUneven')).toEqual([]);
  });
});
