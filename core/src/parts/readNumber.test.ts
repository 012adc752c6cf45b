import { fieldsOf, readField } from './fields';
import { readNumber } from './readNumber';

test.each([
  ['1200', '', 1200],
  ['1 200,5', '', 1200.5],
  ['1\u202f200', '', 1200],
  ['1,234,567', '', 1234567],
  ['1.234,5', '', 1234.5],
  ['1,234.5', '', 1234.5],
  ['0,125', '', 0.125],
  ['2,5', '', 2.5],
  ['-3', '', -3],
  ['1e6', '', 1e6],
  ['15 TB', 'TB', 15],
  ['500 gb', 'TB', 0.5],
  ['70 cm', 'mm', 700],
  ['19"', 'mm', 482.6],
  ['2500 €', 'EUR', 2500],
  ['€ 2500', 'EUR', 2500],
  ['12 kg', 'kg', 12],
  ['2.5 Gbit/s', 'Gb/s', 2.5],
  ['5.', '', 5],
] as const)('%s in %s is %d', (text, unit, value) => {
  const read = readNumber(text, { unit });
  expect(read).toEqual({ ok: true, value: expect.closeTo(value, 9) });
});

test.each([
  ['2,500', '', '“2,500” can be 2500 or 2.5: write one of these'],
  ['2.500', '', '“2.500” can be 2500 or 2.5: write one of these'],
  ['12 V', 'W', '“12 V” is not a number of W'],
  ['$ 20', 'EUR', '“$ 20” is not a number of EUR'],
  ['lots', 'mm', '“lots” is not a number of mm'],
  ['1,2,3', '', '“1,2,3” is not a number'],
  ['1.2,3.4', '', '“1.2,3.4” is not a number'],
  ['', '', '“” is not a number'],
  ['x'.repeat(80), '', `“${'x'.repeat(60)}…” is not a number`],
])('%s is refused', (text, unit, words) => {
  expect(readNumber(text, { unit })).toEqual({ ok: false, words });
});

test('a field that is kept in bytes takes no terabytes where bytes are written, and a long text is soon refused', () => {
  const capacity = fieldsOf('drive').find(({ name }) => name === 'capacityBytes')!;
  expect(readField(capacity, '8000000000000')).toEqual({ ok: true, value: 8e12 });
  expect(readField(capacity, '8 TB').ok).toBe(false);
  expect(readNumber(`€${' '.repeat(200_000)}x`).ok).toBe(false);
});

test('what our own files write is read as it was written', () => {
  expect(readNumber('2.625', { dotIsDecimal: true })).toEqual({ ok: true, value: 2.625 });
  expect(readNumber('2,625', { dotIsDecimal: true }).ok).toBe(false);
});
