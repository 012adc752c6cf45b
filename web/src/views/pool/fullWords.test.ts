import type { GrowthTold, NextTold } from '../../worker/messages';
import { fullAnswer, growthWords, memoryWords, metWords, monthsWords, nextDrivesWords, wornWords } from './fullWords';

const now = new Date(2026, 10, 29);

test('when it is full, in months, years and the month it will be', () => {
  expect([0.4, 1, 18, 30, 150].map(monthsWords)).toEqual([
    'less than a month',
    '1 month',
    '18 months',
    '2.5 years',
    '13 years',
  ]);
  expect(fullAnswer(30, { storedTb: 20, growthTbPerMonth: 2 }, 100, now)).toEqual({
    words: 'In about 2.5 years, May 2029: 20 TB now and 2 TB a month, room for 80 TB.',
    tone: '',
  });
  expect(fullAnswer(6, { growthTbPerMonth: 2 }, 15, now).tone).toBe('warn');
  expect(fullAnswer(0, { storedTb: 20, growthTbPerMonth: 2 }, 15, now).words).toBe(
    'It is full from the start: 20 TB now and 2 TB a month, room for 12 TB.',
  );
  expect(fullAnswer(300, { growthTbPerMonth: 0.1 }, 38, now).words).toMatch(/^Not within twenty years: 100 GB a month/);
  expect(fullAnswer(null, {}, 100, now).words).toBe('Fill it to about 80 TB; the brief does not say how much comes.');
});

test('the next drives, with what stands in their way', () => {
  const next = {
    title: '8 × Barge 12 TB',
    count: 8,
    usableTb: 144,
    months: 115,
    delta: { 'cost.now': 1840 },
    costs: [
      { severity: 'blocker', title: 'Drive places', what: '3 drives without a place.' },
      { severity: 'note', title: 'x', what: 'y' },
    ],
  } as unknown as NextTold;
  const { words, troubles } = nextDrivesWords(next, 'EUR');
  expect(words).toMatch(/^8 × Barge 12 TB make it 144 TB, full in 9\.6 years; price \+1.840 EUR\.$/);
  expect(troubles).toBe('3 drives without a place.');
  expect(nextDrivesWords({ ...next, months: null, costs: [] }, 'EUR')).toMatchObject({ troubles: null });
});

test('how far buying on goes', () => {
  const most = { usableTb: 216, drives: 24, fullAt: 172.8 };
  const limit = [{ severity: 'blocker', title: 'Drive places', what: 'x' }];
  const told = { most, limit } as unknown as GrowthTold;
  expect(growthWords(told)).toBe('Bought on like that it grows to 216 TB on 24 drives, full in 14 years; then: x');
  expect(growthWords({ ...told, limit: [] })).toMatch(/full in 14 years, and further\.$/);
  expect(growthWords({ ...told, most: null })).toBeNull();
});

test('what is passed on the way, with its month', () => {
  const met = [
    { severity: 'caution', title: 'Idle', what: 'Over the wished idle.', boughtAt: 14, drives: 9 },
    { severity: 'caution', title: 'Money', what: 'Over the wished price.', boughtAt: null, drives: 12 },
  ] as unknown as GrowthTold['met'];
  expect(metWords({ met }, now)).toEqual([
    'With 9 drives, in 14 months (January 2028): Over the wished idle.',
    'With 12 drives: Over the wished price.',
  ]);
});

test('flash that wears, and memory as advice', () => {
  const worn = { units: [], marks: ['A1', 'A2'], name: 'Pike', enduranceTb: 100, tbPerYear: 3, years: 33 };
  expect(wornWords(worn)).toBe(
    '2 × Pike: 3 TB written a year each, of 100 TB that its sheet allows: more than twenty years.',
  );
  const wants = [
    { what: 'system' as const, gb: 4 },
    { what: 'reads' as const, gb: 12 },
  ];
  expect(memoryWords({ hasGb: 32, wants, wantGb: 16 })).toBe(
    '32 GB of memory are enough for the files: 4 for the system, 12 for what is read again. Services come on top.',
  );
  expect(memoryWords({ hasGb: 8, wants, wantGb: 16 })).toMatch(
    /^8 GB of memory, about 16 would help: .* reads the drives more\.$/,
  );
  expect(memoryWords({ hasGb: 0, wants, wantGb: 16 })).toMatch(/^No memory yet; about 16 GB would do/);
});
