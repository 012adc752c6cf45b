import { catalogue, tweak } from '../testing/fixture';
import type { SheetId } from './ids';
import { basisOf, factOf, resolve, type PartOf } from './resolve';
import type { Sheet } from './sheet';
import { rangeOf } from './tolerances';

const partOf = (id: string, from = catalogue) => {
  const sheet = from.sheets[id]!;
  return resolve(sheet, from.archetypes[sheet.archetype]!);
};

test('what a sheet leaves open takes the typical value, and is marked as typical', () => {
  const sheet = { id: 'bare' as SheetId, rev: 1, kind: 'drive', name: 'Bare', archetype: 'disk-35-54' } as Sheet;
  const part = resolve(sheet, catalogue.archetypes['disk-35-54']!) as PartOf<'drive'>;
  expect(part.idleW).toBe(3.5);
  expect(basisOf(part, 'idleW')).toBe('typical');
  expect(factOf(part, 'idleW')).toMatchObject({ value: 3.5, lo: 3.5 * 0.75, hi: 3.5 * 1.25, unit: 'W' });
});

test('a stated value keeps the tolerance of what is stated, and its own range where it gives one', () => {
  expect(factOf(partOf('tern-8i', tweak('tern-8i', { idleW: 10 })), 'idleW')).toMatchObject({
    value: 10,
    basis: 'stated',
    lo: 9.2,
    hi: 10.8,
  });
  // No maker states what a board draws: without a meter or a line of a datasheet it is typical.
  expect(factOf(partOf('wren-c8'), 'idleW')).toMatchObject({ basis: 'typical', lo: 5.525, hi: 11.475 });
  const named = tweak('wren-c8', { from: { idleW: { basis: 'stated', ref: 'data sheet, page 4' } } });
  expect(factOf(partOf('wren-c8', named), 'idleW')).toMatchObject({ basis: 'stated', lo: 8.5 * 0.92 });
  const measured = partOf('wren-c8', tweak('wren-c8', { from: { idleW: { basis: 'measured', lo: 8.2, hi: 8.9 } } }));
  expect(factOf(measured, 'idleW')).toMatchObject({ basis: 'measured', lo: 8.2, hi: 8.9 });
});

test('null is known not to exist and stays; an array replaces the typical one whole', () => {
  const part = partOf('wren-d6') as PartOf<'board'>;
  expect(part.socket).toBeNull();
  expect(part.connectors.map((one) => one.key)).toEqual(['sata', 'usba', 'usbc']);
  expect(part.connectors[0]!.count).toBe(6);
});

test('the same sheet and archetype give the same part object', () => {
  expect(partOf('wren-c8')).toBe(partOf('wren-c8'));
});

test.each([
  ['lengthMm', 100, 'stated', 99.5, 100.5],
  ['lengthMm', 100, 'measured', 99, 101],
  ['lengthMm', 100, 'typical', 97, 103],
  ['idleW', 10, 'stated', 9.2, 10.8],
  ['idleW', 10, 'measured', 9.7, 10.3],
  ['soundIdleDb', 20, 'typical', 16, 24],
  ['price', 100, 'typical', 75, 125],
  ['price', 100, 'stated', 100, 100],
  ['ratedW', 450, 'typical', 450, 450],
  ['kPerW', 2, 'typical', 1.5, 2.5],
  ['ratedA', 4.5, 'typical', 4.5, 4.5],
  ['memorySlots', 4, 'typical', 4, 4],
] as const)('%s of %d, %s, is %d to %d', (field, value, basis, lo, hi) => {
  const range = rangeOf(field, value, basis);
  expect(range.lo).toBeCloseTo(lo, 9);
  expect(range.hi).toBeCloseTo(hi, 9);
});
