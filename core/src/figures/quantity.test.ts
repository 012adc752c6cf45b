import { Ledger, rangeOfQuantity, type Quantity } from './quantity';

/** A supply's loss of 10 % to 30 % of what goes through it, 20 % likely. */
const LOSS = { low: (x: number) => 1.1 * x, likely: (x: number) => 1.2 * x, high: (x: number) => 1.3 * x };
const through = (input: Quantity) => new Ledger(false).systematic('Wall', 'W', input, 'P + loss', LOSS, { id: 'loss' });
const watts = (...spread: (readonly [string, readonly [number, number]])[]): Quantity => ({
  value: 100,
  unit: 'W',
  basis: 'stated',
  spread: new Map(spread),
});
const rangeOf = (input: Quantity) => {
  const { lo, hi } = rangeOfQuantity(through(input));
  return [Number(lo.toFixed(6)), Number(hi.toFixed(6))];
};

test('a factor that errs one way for all of its input: low on low, high on high', () => {
  // 100 ± 10 W through it: 90 × 1.1 and 110 × 1.3.
  expect(rangeOf(watts(['a', [-10, 10]]))).toEqual([99, 143]);
  // 6 and 8 W of two facts are 10 W together.
  expect(rangeOf(watts(['a', [-6, 6]], ['b', [-8, 8]]))).toEqual([99, 143]);
});

test('facts that err one way only widen that side; on the other the factor alone does', () => {
  expect(rangeOf(watts(['a', [0, 10]]))).toEqual([110, 143]);
  expect(rangeOf(watts(['a', [-10, 0]]))).toEqual([99, 130]);
  expect(rangeOf(watts(['a', [0, 6]], ['b', [0, 8]]))).toEqual([110, 143]);
});

test('a fact that lowers the value where it is itself high keeps its direction', () => {
  const { spread } = through(watts(['a', [10, -10]]));
  expect(spread.get('a')![0]).toBeCloseTo(23, 9);
  expect(spread.get('a')![1]).toBeCloseTo(-21, 9);
});

test('without any error of its own the input has the range of the factor', () => {
  expect(rangeOf(watts())).toEqual([110, 130]);
});
