import type { WishRow } from '@inch-tower/core';
import { metWords, wishedWords, wishLabel } from './wishWords';

const row = (wish: WishRow['wish'], limit: number | null, ...met: WishRow['met'][number][]): WishRow => ({
  wish,
  level: 'must',
  limit,
  met,
});

test('a wish is said by its limit, and which way it goes', () => {
  expect(wishedWords(row('usableTb', 40), 'EUR')).toBe('at least 40 TB');
  expect(wishedWords(row('earDb', 26), 'EUR')).toBe('at most 26 dB(A)');
  expect(wishedWords(row('failuresSurvived', 2), 'EUR')).toBe('at least 2');
  expect(wishedWords(row('moneyMinor', 120_000), 'EUR')).toMatch(/^at most €\s1\s200$/);
  expect(wishedWords(row('size', null), 'EUR')).toBe('within the brief');
  expect(wishedWords(row('ecc', null), 'EUR')).toBe('must have');
  expect(wishedWords({ ...row('ecc', null), level: 'nice' }, 'EUR')).toBe('nice to have');
});

test('a machine says how many it meets and which it does not', () => {
  const rows = [row('usableTb', 40, 'yes', 'no'), row('ecc', null, 'yes', 'open'), row('earDb', 26, 'yes', 'perhaps')];
  expect(metWords(rows, 0)).toBe('3 of 3');
  expect(metWords(rows, 1)).toBe('0 of 3; not: room for data now; perhaps not: noise at the ear; open: ECC memory');
  expect(rows.map(wishLabel)).toContain('ECC memory');
});

test('a service says what it asks for and keeps its name; what is not wanted is told so', () => {
  const service = { name: 'NVR of the hall', memoryGb: 8, cores: 1.5, alwaysOn: true, level: 'must' } as const;
  const row = { wish: 'service', level: 'must', limit: null, service, met: ['no'] } as const;
  expect(wishLabel(row)).toBe('NVR of the hall');
  expect(wishedWords(row, 'EUR')).toBe('must run, 8 GB, 1.5 cores, always on');
  const not = { wish: 'shingled', level: 'not', limit: null, met: ['no'] } as const;
  expect(wishedWords(not, 'EUR')).toBe('not wanted');
  expect(metWords([row, not], 0)).toBe('0 of 2; not: NVR of the hall, shingled drives');
});
