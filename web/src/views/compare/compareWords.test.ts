import type { Cell, ComparedBy, ComparedRow, Comparison } from '@inch-tower/core';
import { besideWords, cellWords, rangeWords } from './compareWords';

const plain = (text: string) => text.replace(/\u202f/g, ' ');
const cell = (value: number, more: Partial<Cell> = {}): Cell => ({
  value,
  lo: value,
  hi: value,
  more: null,
  against: null,
  ...more,
});
const row = (by: ComparedBy, ...cells: Cell[]): ComparedRow => ({ by, cells, differs: false });

test('numbers of a cell in their unit, with a range where there is one', () => {
  expect(cellWords('idleW', cell(43.2, { lo: 39, hi: 48 }), 'EUR')).toBe('43 W');
  expect(rangeWords('idleW', cell(43.2, { lo: 39, hi: 48 }), 'EUR')).toBe('39 to 48');
  expect(plain(cellWords('priceNow', cell(5782.4), 'EUR'))).toBe('€ 5 782');
  expect(plain(rangeWords('priceNow', cell(5782, { lo: 5400, hi: 6100 }), 'EUR')!)).toBe('€ 5 400 to € 6 100');
  expect(cellWords('failures', cell(0), 'EUR')).toBe('none');
  expect(cellWords('rebuildH', cell(28), 'EUR')).toBe('28 h');
  expect(cellWords('verdict', cell(0, { words: 'Clear' }), 'EUR')).toBe('Clear');
  expect(rangeWords('room', cell(4), 'EUR')).toBeNull();
});

test('how a machine stands beside the first, in sentences', () => {
  const against = (value: number, which: Cell['against']) =>
    cell(0, { more: { value, lo: value - 1, hi: value + 1 }, against: which });
  const comparison: Comparison = {
    machines: [
      { id: 'a', name: 'Old', currency: 'EUR' },
      { id: 'b', name: '', currency: 'EUR' },
    ],
    isOneCurrency: true,
    wishes: [],
    drawn: [[], []],
    paybacks: [null, null],
    rows: [
      row('usableTb', cell(1), against(12, 'better')),
      row('priceNow', cell(1), against(500, 'worse')),
      row('idleW', cell(1), against(-3, 'better')),
      row('earDb', cell(1), against(1, 'same')),
      row('room', cell(1), against(0, 'equal')),
    ],
  };
  expect(besideWords(comparison, 1).map(plain)).toEqual([
    'Better than Old: usable room +12 TB, idle at the wall −3 W.',
    'Worse: price now +\u2060€ 500.',
    'Not to be told apart: noise at the ear when idle.',
  ]);
  expect(besideWords({ ...comparison, rows: [] }, 1)).toEqual(['In nothing surely better than Old.']);
  expect(besideWords(comparison, 2)).toEqual([]);
  const paid = (more: object) =>
    besideWords(
      {
        ...comparison,
        rows: [],
        paybacks: [null, { isFirst: false, dearer: 120, savesAYear: 40, years: 3, soonest: 2, latest: 6.04, ...more }],
      },
      1,
    )
      .map(plain)
      .at(-1);
  expect(paid({})).toBe(
    'Unnamed costs € 120 more and saves € 40 a year: paid for after 3 years, at the soonest 2, at the latest 6.',
  );
  expect(paid({ isFirst: true, latest: null })).toMatch(/^Old costs .*, perhaps never\.$/);
  expect(paid({ years: 31 })).toMatch(/it does not pay for itself within twenty years\.$/);
});
