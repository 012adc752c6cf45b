import { sheetSchema, type Archetype } from '../parts/sheet';
import type { SheetId } from '../parts/ids';
import { catalogue } from '../testing/fixture';
import { readSpec } from './readSpec';
import { FIRST } from '../testing/specTexts/first';
import { classFor, sheetOfSpec } from './sheetOf';

const classes = (kind: Archetype['kind']) => Object.values(catalogue.archetypes).filter((one) => one.kind === kind);
const sheetFrom = (text: string) => {
  const read = readSpec(text);
  if (!read.ok) throw new Error(read.words);
  const archetype = classFor(classes(read.kind), read.fields)!;
  return { archetype, sheet: sheetOfSpec('own-x' as SheetId, archetype, read.name || 'X', 'Maker', read.fields), read };
};

test('a class is found by what was read: disks of an interface, modules, supplies of a form', () => {
  const of = (id: string) => sheetFrom(FIRST.find((one) => one.id === id)!.text).archetype.id as string;
  expect(of('disk, a table with tabs and bels')).toMatch(/sas/);
  expect(of('NVMe module, a table copied without tabs')).toMatch(/m2/);
  expect(of('SATA SSD, German')).toMatch(/flash-25/);
  expect(of('supply, the label as a table')).toMatch(/sfx/);
  expect(of('supply, text of a sheet')).toMatch(/atx/);
  expect(classFor([], [])).toBeNull();
});

test('every text read makes a sheet its schema takes, with the line of each field', () => {
  for (const { text } of FIRST) {
    const { sheet, read } = sheetFrom(text);
    expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
    for (const { field, text: line } of read.fields)
      expect(sheet.from?.[field]).toEqual({ basis: 'stated', ref: line });
  }
});
