import {
  wholeMoneyWords,
  capacityWords,
  changeWords,
  figureNumber,
  moneyWords,
  numbersWithin,
  plainNumber,
  rangeWords,
} from './format';
import { tapeScale } from '../views/build/Tape';

const thin = '\u202f';
test('numbers have digits only where they mean something, and thin spaces between thousands', () => {
  expect(figureNumber('power.idleWallW', 203.87)).toBe('204');
  expect(figureNumber('sound.earIdleDb', 24.29)).toBe('24.3');
  expect(figureNumber('capacity.rawTb', 3.84)).toBe('3.8');
  expect(figureNumber('capacity.rawTb', 192)).toBe('192');
  expect(figureNumber('cost.now', 5724)).toBe(`5${thin}724`);
  expect(figureNumber('cost.now', 1234567)).toBe(`1${thin}234${thin}567`);
});

test('a range only where it is wider than what is shown', () => {
  const figure = { id: 'cost.now' as const, value: 666, lo: 666, hi: 666, unit: 'EUR', basis: 'stated' as const };
  expect(rangeWords('cost.now', figure)).toBe('');
  expect(rangeWords('cost.now', { ...figure, lo: 650.2, hi: 680 })).toBe('650–680');
});

test('a change has its sign, and none where it would read as nothing', () => {
  expect(changeWords('power.idleWallW', 3.6)).toBe('+4');
  expect(changeWords('sound.earIdleDb', -0.26)).toBe('−0.3');
  expect(changeWords('power.idleWallW', 0.2)).toBe('');
  expect(changeWords('cost.now', 1192)).toBe(`+1${thin}192`);
});

test('money in minor units of its currency, also one without any', () => {
  expect(moneyWords(12_900, 'EUR')).toBe(`€${thin}129`);
  expect(moneyWords(850, 'EUR')).toBe(`€${thin}8.50`);
  expect(moneyWords(5000, 'JPY')).toBe(`¥${thin}5${thin}000`);
});

test('capacity as drives are sold', () => {
  expect([960e9, 1.92e12, 8e12, 32e9].map(capacityWords)).toEqual(['960 GB', '1.92 TB', '8 TB', '32 GB']);
});

test('a tape begins at zero and keeps everything in sight, with at most five round numbers', () => {
  for (const values of [[0], [28, 25, 32, 60], [5724, 5700, 5740], [24.3, 23.5, 25.3, 24], [0, 120], [0.43], [1e6]]) {
    const { to, major, minor } = tapeScale(values);
    for (const value of values) expect(value).toBeLessThan(to);
    expect(to).toBeLessThanOrEqual(2.3 * Math.max(1, ...values));
    expect(to / major).toBeGreaterThanOrEqual(2);
    expect(to / major).toBeLessThanOrEqual(5);
    expect(['1', '2', '5']).toContain(major.toExponential()[0]);
    expect([4, 5]).toContain(Math.round(major / minor));
  }
  expect(tapeScale([28, 60])).toEqual({ to: 80, major: 20, minor: 5 });
});

test('places are counted whole', () => {
  expect(tapeScale([0], true)).toEqual({ to: 5, major: 1, minor: 1 });
});

test('an edit that changes little leaves the tape where it is', () => {
  for (const value of [26, 28, 34, 40]) expect(tapeScale([value, 60])).toEqual(tapeScale([28, 60]));
});

test('numbers are rounded to what their range leaves a meaning', () => {
  const within = (lo: number, value: number, hi: number) => [lo, value, hi].map(numbersWithin(lo, hi));
  expect(within(0.4093, 0.431, 0.4514)).toEqual(['0.41', '0.43', '0.45']);
  expect(within(24.2, 31.7, 40.6)).toEqual(['24', '32', '41']);
  expect(within(188.3, 211.2, 234.9)).toEqual(['188', '211', '235']);
  expect(within(5.12, 5.5, 5.94)).toEqual(['5.1', '5.5', '5.9']);
  // Without a range it is exact, and keeps its own digits.
  expect([4, 0.75, 12.5, 20_000, -0.0001].map((value) => numbersWithin(value, value)(value))).toEqual([
    '4',
    '0.75',
    '12.5',
    '20000',
    '0',
  ]);
  expect(plainNumber(-2.5)).toBe('−2.5');
});

test('money without small change, also where a currency has none', () => {
  expect(wholeMoneyWords(64_749, 'EUR')).toBe(moneyWords(64_700, 'EUR'));
  expect(wholeMoneyWords(64_750, 'JPY')).toBe(moneyWords(64_750, 'JPY'));
});
