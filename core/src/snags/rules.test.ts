import { readFileSync } from 'node:fs';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import type { Catalogue } from '../parts/catalogue';
import { RULES } from './registry';
import { rulesPage } from './rulesPage';
import { SNAG_CODES, WORDS, wordsOf, type SnagCode } from './words';

const find = (made: Fixture, code: SnagCode) => made.assess().snags.filter((snag) => snag.code === code);
const sentence = (made: Fixture, code: SnagCode) =>
  find(made, code).map((snag) => `${snag.severity}: ${wordsOf(snag).what}`);
const tower = (from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-550');

test('every code has words and a rule, and none blocks a plain machine', () => {
  expect(Object.keys(RULES).sort()).toEqual([...SNAG_CODES].sort());
  for (const code of SNAG_CODES) expect(WORDS[code].why.length).toBeGreaterThan(10);
  expect(cube().add('barge-8', 4).snags()).toEqual([]);
  expect(tower().add('barge-8', 4).snags()).toEqual([]);
});

test('docs/rules.md is what the registry says', () => {
  expect(readFileSync('docs/rules.md', 'utf8')).toBe(rulesPage());
});

describe('board in chassis', () => {
  test('an ATX board does not go into a cube for Mini-ITX', () => {
    expect(sentence(fixture().add('larder-8').add('plover-a6'), 'fits.boardInChassis')).toEqual([
      'blocker: Plover A6 has atx holes; Larder 8 takes mini-itx.',
    ]);
  });
  test('a board 1 mm deeper than its room blocks, one as deep as it does not', () => {
    expect(sentence(cube(tweak('wren-c8', { depthMm: 173 })), 'fits.boardInChassis')).toEqual([
      'blocker: Wren C8 is 1 mm too deep for Larder 8: 173 mm, room for 172 mm.',
    ]);
    expect(find(cube(tweak('wren-c8', { depthMm: 172 })), 'fits.boardInChassis')).toEqual([]);
  });
});

describe('supply', () => {
  test('an ATX supply does not go where SFX goes', () => {
    expect(sentence(fixture().add('larder-8').add('ember-550'), 'fits.supplyForm')).toEqual([
      'blocker: Ember 550 ATX is atx; Larder 8 takes sfx or sfx-l.',
    ]);
    expect(find(cube(), 'fits.supplyForm')).toEqual([]);
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
    expect(sentence(tower(narrow), 'fits.supplyLength')).toEqual([
      'blocker: Ember 550 ATX is 2 mm too long: 140 mm, room for 138 mm to the drive cage.',
    ]);
  });
});

describe('cooler height', () => {
  const withRoof = (heightMm: number) => cube(tweak('fell-47', { heightMm })).add('pike-960', 1, { at: ['u2/roof.1'] });
  test('under occupied roof bays there is less room', () => {
    expect(sentence(withRoof(74), 'fits.coolerHeight')).toEqual([
      'blocker: Fell 47 is 4 mm too high: 74 mm, room for 70 mm under the roof drives.',
    ]);
    expect(find(withRoof(67), 'fits.coolerHeight')).toEqual([]);
    expect(sentence(withRoof(69), 'fits.coolerHeight')).toEqual([
      'caution: Fell 47 leaves 1 mm under the roof drives.',
    ]);
  });
  test('with the roof bays empty the cover is the limit', () => {
    expect(find(cube(tweak('fell-47', { heightMm: 74 })), 'fits.coolerHeight')).toEqual([]);
    expect(sentence(cube(tweak('fell-47', { heightMm: 99 })), 'fits.coolerHeight')[0]).toContain('under the cover');
  });
});

describe('cards', () => {
  test('a card 1 mm too long names what it runs into, and fits when that is taken out', () => {
    const long = tower(tweak('tern-8i', { lengthMm: 291 })).add('tern-8i');
    expect(sentence(long, 'fits.cardLength')).toEqual([
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
    expect(find(tower(only).add('tern-8i', 1, { at: ['u4/pcie1'] }), 'fits.cardLength')).toHaveLength(1);
    expect(find(tower(only).add('tern-8i', 1, { at: ['u4/pcie3'] }), 'fits.cardLength')).toEqual([]);
  });
  test('two cards and one slot', () => {
    expect(sentence(cube().add('tern-8i').add('skein-10'), 'fits.cardSlot')).toEqual([
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
    expect(sentence(fixture(closed).add('larder-8').add('wren-d6').add('tern-8i'), 'fits.cardSlot')[0]).toContain(
      'It is x8; the slots are x4.',
    );
    expect(find(fixture().add('larder-8').add('wren-d6').add('tern-8i'), 'fits.cardSlot')).toEqual([]);
  });
});

describe('drive in bay', () => {
  test('nine disks and eight bays', () => {
    expect(sentence(cube().add('tern-8i').add('barge-8', 9), 'fits.driveInBay')).toEqual([
      'blocker: 1 drive without a place: 1 × Barge 8 TB. All 8 3.5-inch places are taken.',
    ]);
    expect(find(cube().add('tern-8i').add('barge-8', 8), 'fits.driveInBay')).toEqual([]);
  });
  test('a 2.5-inch drive finds no place in a tower, but does through an adapter', () => {
    expect(find(tower().add('pike-960'), 'fits.driveInBay')).toHaveLength(1);
    expect(find(tower().add('cradle-2').add('pike-960', 2), 'fits.driveInBay')).toEqual([]);
  });
  test('a 15 mm drive in a 9.5 mm bay is too high', () => {
    expect(sentence(tower().add('cradle-2').add('coot-4'), 'fits.driveInBay')).toEqual([
      'blocker: Coot 4 TB is 5.5 mm too high for its bay: 15 mm, room for 9.5 mm.',
    ]);
  });
  test('before there is a chassis drives lie on the table and nothing is said', () => {
    expect(find(fixture().add('barge-8', 5), 'fits.driveInBay')).toEqual([]);
  });
});

describe('ports', () => {
  test('five drives, four ports', () => {
    expect(sentence(cube().add('barge-8', 5), 'reaches.portsShort')).toEqual([
      'blocker: 5 drives in bays, 4 ports that can reach them.',
    ]);
    expect(find(cube().add('barge-8', 4), 'reaches.portsShort')).toEqual([]);
  });
  test('the M.2 that switches ports off is named with how many', () => {
    expect(sentence(cube().add('reed-250', 1, { role: 'boot' }).add('barge-8', 4), 'reaches.portsShort')).toEqual([
      'blocker: 4 drives in bays, 2 ports that can reach them. Reed 250 GB M.2 SATA switches off 2 ports.',
    ]);
  });
  test('enough ports, but of the wrong kind', () => {
    expect(
      sentence(fixture().add('byre-15').add('plover-a6').add('tern-8i').add('sluice-8', 9), 'reaches.portsShort')[0],
    ).toContain('SAS drives find none of their kind left.');
  });
});

describe('memory', () => {
  test('DDR5 in a DDR4 board, SO-DIMM in DIMM slots', () => {
    const bare = fixture().add('larder-8').add('wren-c8');
    expect(sentence(bare.add('clew-5-16'), 'mates.memory')).toEqual([
      'blocker: Clew 16 GB DDR5 is DDR5 DIMM; Wren C8 takes DDR4 DIMM.',
    ]);
    expect(sentence(bare.add('clew-s16'), 'mates.memory')).toEqual([
      'blocker: Clew 16 GB SO-DIMM is DDR4 SO-DIMM; Wren C8 takes DDR4 DIMM.',
    ]);
    expect(find(bare.add('clew-16e'), 'mates.memory')).toEqual([]);
  });
  test('registered where unbuffered is needed, and the other way round', () => {
    const bare = fixture().add('larder-8').add('wren-c8');
    expect(sentence(bare.add('clew-r32'), 'mates.memoryRegistered')).toEqual([
      'blocker: Clew 32 GB registered is in Wren C8, which needs unbuffered modules.',
    ]);
    expect(sentence(fixture().add('gable-24').add('gannet-e8').add('clew-16e'), 'mates.memoryRegistered')[0]).toContain(
      'needs registered modules',
    );
    expect(find(fixture().add('gable-24').add('gannet-e8').add('clew-r32'), 'mates.memoryRegistered')).toEqual([]);
  });
  test('three modules, two slots', () => {
    expect(sentence(fixture().add('larder-8').add('wren-c8').add('clew-16e', 3), 'mates.memorySlots')).toEqual([
      'blocker: 1 module without a slot: Wren C8 has 2.',
    ]);
    expect(find(cube(), 'mates.memorySlots')).toEqual([]);
  });
});

describe('12 V at the start', () => {
  const rail = (rail12A: number) => cube(tweak('ember-450s', { rail12A })).add('tern-8i').add('barge-12', 8);
  test('past the rail it blocks, near it it may, well within it says nothing', () => {
    expect(sentence(rail(14), 'powered.start12V')[0]).toMatch(
      /^blocker: Starting 8 drives together takes 1\d\.\d A on 12 V; Ember 450 SFX gives 14 A\.$/,
    );
    expect(sentence(rail(18), 'powered.start12V')[0]).toMatch(/^caution: Starting 8 drives together may take/);
    expect(find(rail(37.5), 'powered.start12V')).toEqual([]);
  });
});

describe('sound against the brief', () => {
  const wish = (earDb: number) => cube().set({ brief: { earDb } });
  const now = cube().assess().figures['sound.earIdleDb']!;
  test('over the wish it cautions and names the loudest, with the range beside it', () => {
    expect(sentence(wish(now.value - 0.5), 'within.sound')[0]).toMatch(
      /^caution: Probably over the wished [\d.]+ dB\(A\) at the ear: [\d.]+, could be \d+\. Most of it: Stock 120\.$/,
    );
    expect(find(wish(now.hi + 1), 'within.sound')).toEqual([]);
    expect(find(cube(), 'within.sound')).toEqual([]);
  });
});

test('a snag keeps its key while the trouble is the same, and every sentence is short', () => {
  const made = cube().add('barge-8', 5);
  expect(made.assess().snags[0]!.key).toBe(made.set({ name: 'Other' }).assess().snags[0]!.key);
  for (const snag of cube().add('reed-250').add('barge-8', 9).add('clew-s16').assess().snags)
    expect(wordsOf(snag).what.split(/\s+/).length).toBeLessThanOrEqual(35);
});
