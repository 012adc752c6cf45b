import { heldOrder } from './useHeldOrder';

const rows = (names: string) => [...names].map((sheet) => ({ sheet }));
const read = (seen: string, sorted: string) =>
  heldOrder([...seen], rows(sorted))
    .map(({ sheet }) => sheet)
    .join('');

test('rows that were seen keep their places, new ones come behind them in their own order, those gone leave no hole', () => {
  expect(read('', 'cab')).toBe('cab');
  expect(read('abc', 'cab')).toBe('abc');
  expect(read('bc', 'xcayb')).toBe('bcxay');
  expect(read('abcd', 'dxb')).toBe('bdx');
});

test('the newest form of a row is the one shown', () => {
  const fresh = { sheet: 'a', worth: 2 };
  expect(heldOrder(['b', 'a'], [fresh, { sheet: 'b', worth: 1 }])[1]).toBe(fresh);
});
