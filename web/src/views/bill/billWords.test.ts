import type { Bill, BillLine, Running } from '@inch-tower/core';
import {
  basisWords,
  keptWords,
  monthsOld,
  ordersWords,
  overYears,
  priceAnswer,
  readBackWords,
  stageWords,
} from './billWords';

const plain = (text: string) => text.replace(/\u202f/g, ' ');
const bill = { currency: 'EUR', total: 1000, unpriced: 0 } as Bill;
const line = (more: Partial<BillLine>): BillLine =>
  ({ deal: 'buy', basis: 'listed', from: null, at: null, lot: null, note: '', offers: [], ...more }) as BillLine;
const today = '2026-11-29';

test('what it costs: its range, by usable TB, and what has no price', () => {
  const price = { value: 1000, lo: 900, hi: 1100 };
  expect(plain(priceAnswer(bill, price, { usableTb: 40, places: 8 }))).toBe(
    '€ 1 000 to buy now (€ 900 to € 1 100), € 25 a usable TB, € 125 a bay.',
  );
  expect(
    plain(priceAnswer({ ...bill, unpriced: 1 }, { value: 1000, lo: 1000, hi: 1000 }, { usableTb: 0, places: 0 })),
  ).toBe('€ 1 000 to buy now. Without 1 line that has no price.');
});

test('where a price is from, and when it is old', () => {
  expect(monthsOld('2026-04-30', today)).toBe(7);
  expect(basisWords(line({}), today)).toBe('no date');
  expect(basisWords(line({ from: 'a fair', at: '2026-11-02' }), today)).toBe('a fair, 2026-11-02');
  expect(basisWords(line({ at: '2025-11-02' }), today)).toBe('2025-11-02; 12 months old');
  expect(basisWords(line({ basis: 'typical', note: 'the wiring needs it' }), today)).toBe(
    'typical; the wiring needs it',
  );
  expect(basisWords(line({ lot: 'Server kit' }), today)).toBe('of Server kit');
  expect(basisWords(line({ deal: 'owned', basis: 'owned' }), today)).toBe('');
  const offer = (total: number | null, at: number | null) => ({ total, at, price: {} }) as BillLine['offers'][number];
  const offered = (...offers: BillLine['offers']) => plain(basisWords(line({ offers }), today, 'EUR'));
  expect(offered(offer(150, 0), offer(180, null))).toBe('no date; offered for € 150 in all');
  expect(offered(offer(180, null), offer(190, 0))).toBe('no date; the cheapest of 2 offers');
  expect(offered(offer(180, null))).toBe('no date');
});

test('over the years: price, electricity, drives that fail and batteries sum up', () => {
  const running: Running = {
    energy: { value: 100, lo: 80, hi: 120 },
    kwh: { value: 400, lo: 300, hi: 500 },
    drives: { aYear: 0.1, money: 20 },
    batteries: { count: 1, money: 10 },
  };
  const { rows, sum } = overYears(bill, running, 5);
  expect(rows.map(([what, money, why]) => [what, plain(money), why])).toEqual([
    ['to buy', '€ 1 000', ''],
    ['electricity', '€ 500', '1,500 to 2,500 kWh'],
    ['drives that fail', '€ 100', '0.5 on the average'],
    ['batteries of the UPS', '€ 50', 'typical of their kind'],
  ]);
  expect(plain(sum)).toBe('€ 1 650');
  const none = {
    ...running,
    energy: null,
    kwh: null,
    drives: { aYear: 0, money: 0 },
    batteries: { count: 0, money: 0 },
  };
  expect(overYears(bill, none, 5).rows).toHaveLength(1);
});

test('what speaks against an owned part', () => {
  const own = { item: 'i1' as never, mark: 'A1', name: 'Coot', count: 1, verdict: 'look' as const, isDoubted: false };
  const yearMinor = { value: 1530, lo: 1, hi: 2 };
  expect(plain(keptWords({ ...own, yearMinor, quieterDb: 3.2, found: ['years behind a part'] }, 'EUR'))).toBe(
    '; years behind a part, 3 dB(A) quieter without it, € 15 of electricity a year',
  );
  expect(keptWords({ ...own, yearMinor: null, quieterDb: 0, found: [] }, 'EUR')).toBe('');
  expect(keptWords({ ...own, isDoubted: true, yearMinor: null, quieterDb: 0, found: [] }, 'EUR')).toBe(
    '; marked doubtful',
  );
});

test('what a table changed, and what not', () => {
  expect(readBackWords({ changed: [], unknown: [], problems: [] })).toEqual(['The table says what is here already.']);
  const many = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
  expect(readBackWords({ changed: many, unknown: ['Stranger'], problems: many })).toEqual([
    '7 lines taken over: a, b, c, d, e and 2 more.',
    'Of nothing here: Stranger.',
    ...many.slice(0, 5),
    '2 more lines were not read.',
  ]);
});

test('when all is here, what to order first, and what nobody answers for', () => {
  const of = (what: string, deliveryDays: number) => ({ ...line({}), what, price: { deliveryDays } }) as BillLine;
  expect(ordersWords({ said: [], days: 0, unsaid: 4, risky: [], doubtful: [] })).toEqual([]);
  const all = { said: [of('Board', 30), of('Disk', 1)], days: 30, unsaid: 2, risky: [of('Kit', 0)] };
  expect(ordersWords({ ...all, doubtful: [of('Card', 0)] })).toEqual([
    'All of it is here 30 days after it is ordered; of 2 lines nobody says. First to order: Board (30 days), Disk (1 day).',
    'At your own risk, not tested: Kit. Look before you pay.',
    'May be counterfeit: Card. Ask for its serial number, and the maker about that.',
  ]);
});

test('a stage that works, one that something later would make work, and one that nothing does', () => {
  const stage = (works: boolean, names: readonly string[] | null) => ({
    stage: 0,
    works,
    verdict: works ? 'Clear' : 'Parts missing: cooler',
    forward: names && { names, edits: [] },
  });
  expect(stageWords(stage(true, null), false)).toBe('works. Clear.');
  expect(stageWords(stage(false, ['Fell 47']), false)).toBe('does not work by itself. Parts missing: cooler.');
  expect(stageWords(stage(false, null), true)).toBe('does not work. Parts missing: cooler.');
  expect(stageWords(stage(false, null), false)).toBe(
    'does not work, and nothing of later stages cures it. Parts missing: cooler.',
  );
});
