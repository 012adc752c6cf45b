import type { Breaks, PoolTold, Struck, Thing } from '@inch-tower/core';
import { besides, withDrives, withLayout, withoutDrive, withoutSet, withRecord } from './poolEdits';
import {
  breakRows,
  dealtWords,
  hoursWords,
  movedWords,
  oneIn,
  pairRows,
  storeAnswer,
  tb,
  wayName,
  workingWords,
} from './poolWords';
import { struckWords } from '../../words/struck';

const all: PoolTold = {
  usableTb: 144,
  leastTb: 134,
  rawTb: 192,
  redundancyTb: 48,
  wastedTb: 0,
  any: 2,
  lucky: 4,
  readMBps: 1,
  writeMBps: 1,
  readIops: 1,
  writeIops: 1,
  rebuildH: 28,
  lossAYear: { apart: 1e-6, together: 2e-6 },
};
const seen = (more: object) =>
  ({ sets: [{}, {}], isProposed: false, all, loose: [], ...more }) as unknown as Parameters<typeof storeAnswer>[0];

test('how much can I store: usable, in TiB, and what may fail', () => {
  expect(storeAnswer(seen({}), undefined)).toEqual({
    words: '144 TB usable (131 TiB); any 2 drives of a set may fail.',
    tone: 'good',
  });
  expect(storeAnswer(seen({ isProposed: true }), 150).words).toBe(
    'As proposed 144 TB usable (131 TiB); any 2 drives of a set may fail. 150 TB are wished.',
  );
  expect(storeAnswer(seen({ all: { ...all, any: 0 }, sets: [{}] }), undefined)).toMatchObject({ tone: 'bad' });
  expect(storeAnswer(seen({ sets: [] }), undefined).words).toBe('No data drive yet.');
  expect(workingWords(all)).toBe(
    '192 TB raw, less 48 TB for failures. Records and the file system take up to 10 TB of it. ' +
      'Fill it to about 107 TB: past four fifths it slows down.',
  );
});

test('numbers a builder reads', () => {
  expect([tb(0.5), tb(12.34), tb(216)]).toEqual(['500 GB', '12.3 TB', '216 TB']);
  expect([oneIn(0.5), oneIn(1 / 57_312), oneIn(1e-6)]).toEqual(['50 %', '1 in 57,000', '1 in a million']);
  expect([hoursWords(0), hoursWords(28.4), hoursWords(100)]).toEqual(['none', '28 h', '4.2 days']);
  expect(wayName({ layout: 'parity2', widths: [8, 8, 8], over: 0 })).toBe('double parity, 3 × 8 drives');
  expect(wayName({ layout: 'mirror2', widths: [8], over: 1 })).toBe('4 mirrored pairs, 1 over');
  expect(wayName({ layout: 'parity1', widths: [6, 5], over: 0 })).toBe('single parity, 6 + 5 drives');
});

const thing = (kind: Thing['kind'], mark: string): Thing => ({
  key: mark,
  kind,
  mark,
  name: 'Tern 8i',
  unit: mark as never,
});
const struck = (things: Thing[], drives: number, state: 'short' | 'lost'): Struck => ({
  things,
  drives,
  heated: 0,
  sets: [{ id: 'set1', gone: drives, state }],
  worst: state,
});

test('what may break: like things in one line, the worst said plainly', () => {
  expect(struckWords(struck([thing('card', 'G1')], 8, 'lost'))).toEqual({
    says: '8 drives gone: set1 is down until it is mended.',
    tone: 'bad',
  });
  const rows = breakRows([
    struck([thing('cable', '#1')], 4, 'lost'),
    struck([thing('cable', '#2')], 4, 'lost'),
    struck([thing('drive', 'J1')], 1, 'short'),
    struck([thing('drive', 'J2')], 1, 'short'),
  ]);
  expect(rows.map(({ what }) => what)).toEqual(['Cables #1, #2, each', 'Any of 2 drives']);
  const breaks: Breaks = {
    singles: [],
    pairs: [
      struck([thing('drive', 'J1'), thing('card', 'G1')], 3, 'lost'),
      struck([thing('drive', 'J2'), thing('card', 'G1')], 3, 'lost'),
      struck([thing('card', 'G1'), thing('card', 'G2')], 4, 'lost'),
    ],
    drivePairs: { lose: 0, of: 6 },
  };
  expect(pairRows(breaks)).toEqual([
    'Card G1, Tern 8i and any of 2 drives: set1 is down.',
    'Card G1, Tern 8i and card G2, Tern 8i: set1 is down.',
  ]);
  expect(pairRows({ ...breaks, pairs: [], drivePairs: { lose: 6, of: 6 } })).toEqual([
    'Any two drives: a set is lost.',
  ]);
});

test('sets are changed without losing the others, each under a name of its own', () => {
  const sets = [
    { id: 'set1', layout: 'parity1' as const, units: ['a', 'b', 'c'] as never[] },
    { id: 'set3', layout: 'mirror2' as const, units: ['d', 'e'] as never[] },
  ];
  expect(withLayout(sets, 'set1', 'mirror3').map(({ layout }) => layout)).toEqual(['mirror3', 'mirror2']);
  expect(withoutSet(sets, 'set1').map(({ id }) => id)).toEqual(['set3']);
  expect(withoutDrive(sets, 'd').map(({ units }) => units)).toEqual([['a', 'b', 'c'], ['e']]);
  expect(withoutDrive(withoutDrive(sets, 'd'), 'e').map(({ id }) => id)).toEqual(['set1']);
  expect(withDrives(sets, ['f'] as never[], 'set3')[1]!.units).toEqual(['d', 'e', 'f']);
  expect(withDrives(sets, ['f', 'g'] as never[], { layout: 'mirror2' })[2]).toEqual({
    id: 'set2',
    layout: 'mirror2',
    units: ['f', 'g'],
  });
  expect(withRecord(sets, 'set1', 65_536)[0]).toMatchObject({ recordBytes: 65_536 });
  expect(withRecord(withRecord(sets, 'set1', 65_536), 'set1', undefined)).toEqual(sets);
  expect(besides([sets[0]!], [sets[0]!, sets[1]!]).map(({ id }) => id)).toEqual(['set1', 'set2', 'set3']);
});

test('a row of fans takes nothing, and says what gets too hot', () => {
  const still = (heated: number): Struck => ({
    things: [{ key: 'fans a', kind: 'fans', mark: 'H1, H2', name: 'Middle wall', unit: 'u1' as never }],
    drives: 0,
    heated,
    sets: [{ id: 'set1', gone: 0, state: heated > 0 ? 'hot' : 'lives' }],
    worst: heated > 0 ? 'hot' : 'lives',
  });
  expect(breakRows([still(8), still(0)]).map(({ what, says, tone }) => [what, says, tone])).toEqual([
    ['Fans H1, H2, Middle wall', 'Nothing is gone; 8 drives too hot on the hottest day, all busy.', 'warn'],
    ['Fans H1, H2, Middle wall', 'No drive gets too hot.', 'good'],
  ]);
  // Rows of one chassis have its mark: they are told by where they are.
  const rear = { ...still(0), things: [{ ...still(0).things[0]!, key: 'fans b', mark: 'A1', name: 'Rear fans' }] };
  expect(breakRows([still(0), rear])[0]!.what).toBe('Middle wall, or Rear fans standing still');
});

test('what moving drives saves is said before what dealing sets anew asks', () => {
  const saved = [struck([thing('card', 'G1')], 8, 'lost')];
  expect(movedWords({ saved, left: 0 })).toBe(
    'Each takes another’s bay and stays in its set; nothing is written anew: card G1, Tern 8i no longer takes a set.',
  );
  expect(dealtWords({ sets: [], saved, left: 1 }, true)).toBe(
    'Or other sets; a pool in use is copied off first. Dealt over what they hang on, card G1, Tern 8i no longer ' +
      'takes a set; 1 other thing still does.',
  );
});
