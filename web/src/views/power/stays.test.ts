import type { Gone, UnitId } from '@inch-tower/core';
import { goneName, staysRows, staysWords } from './staysWords';

const ids = (count: number) => Array.from({ length: count }, (_, i) => `u${i}` as UnitId);
const gone = (more: Partial<Gone> = {}): Gone => ({
  kind: 'cable',
  unit: 'u9' as UnitId,
  mark: 'D1',
  name: 'SATA power',
  label: 'P3',
  host: false,
  drives: [],
  data: 0,
  isPastPool: false,
  fewer: [],
  left: null,
  ...more,
});

test('what stops, in words that say how grave it is', () => {
  expect(staysWords(gone({ host: true }))).toMatchObject({ words: 'The machine stops.' });
  expect(staysWords(gone({ drives: ids(3), data: 3, isPastPool: true }))).toEqual({
    words: '3 drives stop, 3 of the pool’s data: more than may fail at once.',
    tone: 'bad',
  });
  expect(staysWords(gone({ drives: ids(1), data: 1 }))).toEqual({
    words: '1 drive stops, 1 of the pool’s data: as many as may fail.',
    tone: 'warn',
  });
  expect(staysWords(gone({ drives: ids(1) })).words).toBe('1 drive stops, none of the pool’s data.');
  expect(staysWords(gone({ fewer: [{ mark: 'A1', name: 'Bays', left: 2, of: 3 }] })).words).toBe(
    'A1 keeps 2 of 3 inputs; whether all its bays then run is not said.',
  );
});

test('modules that are left hold, or do not', () => {
  const module = (share: number) => gone({ kind: 'module', label: null, left: { share, when: 'start' } });
  expect(staysWords(module(0.9))).toEqual({
    words: 'All stays up: what is left is at 90 % while drives start.',
    tone: 'good',
  });
  expect(staysWords(module(1.2)).tone).toBe('bad');
  expect(goneName(module(1))).toBe('One module of D1 SATA power');
});

test('cables that end alike are one row', () => {
  const rows = staysRows([
    gone({ host: true, label: 'P1' }),
    gone({ host: true, label: 'P2' }),
    gone({ drives: ids(2), data: 2, isPastPool: true }),
  ]);
  expect(rows.map(({ what }) => what)).toEqual(['Cables P1, P2', 'Cable P3, SATA power']);
});
