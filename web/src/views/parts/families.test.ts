import { classSheet, type Archetype, type Catalogue, type Sheet } from '@inch-tower/core';
import { readdirSync, readFileSync } from 'node:fs';
import { familiesOf, priceSpan, search, searchable, shelfOf } from './families';

const read = (name: string) => JSON.parse(readFileSync(`demo/catalogue/${name}`, 'utf8')) as never[];
const byId = <T extends { id: string }>(list: readonly T[]) => Object.fromEntries(list.map((one) => [one.id, one]));
const catalogue: Catalogue = {
  archetypes: byId<Archetype>(read('archetypes.json')),
  sheets: byId<Sheet>(
    readdirSync('demo/catalogue')
      .filter((name) => name !== 'archetypes.json')
      .flatMap(read),
  ),
};
const all = Object.values(catalogue.sheets);

test('a series is one row with its members by capacity', () => {
  const barge = familiesOf(all, catalogue.archetypes).find((family) => family.name === 'Barge')!;
  expect(barge.members.map((sheet) => sheet.name)).toEqual([
    'Barge 2 TB',
    'Barge 4 TB',
    'Barge 6 TB',
    'Barge 8 TB',
    'Barge 10 TB',
    'Barge 12 TB',
    'Barge 16 TB',
    'Barge 18 TB',
    'Barge 20 TB',
    'Barge 24 TB',
  ]);
  expect(priceSpan(barge)).toEqual({ lo: 6200, hi: 44_900, currency: 'EUR' });
});

test('every part is in exactly one row, chassis first', () => {
  const families = familiesOf(all, catalogue.archetypes);
  expect(families.reduce((sum, family) => sum + family.members.length, 0)).toBe(all.length);
  expect(families[0]!.kind).toBe('chassis');
  expect(families.length).toBeLessThan(all.length * 0.75);
});

test('a search wants every word, anywhere in name, maker, series, kind or class', () => {
  const list = searchable(all, catalogue);
  expect(search(list, 'barge 16', null).map((sheet) => sheet.id)).toEqual(['barge-16']);
  expect(search(list, 'BARGEYARD sas used', null).every((sheet) => sheet.family === 'Sluice SAS')).toBe(true);
  expect(search(list, 'gold', 'supply').length).toBeGreaterThan(3);
  expect(search(list, 'gold', 'drive')).toEqual([]);
  expect(search(list, '  ', null)).toHaveLength(all.length);
});

test('own sheets and classes stand on shelves of their own', () => {
  const owned = { ...catalogue, own: ['coot-1'] };
  expect(shelfOf(owned, 'own').map((sheet) => sheet.id)).toEqual(['coot-1']);
  expect(shelfOf(owned, 'catalogue')).toHaveLength(all.length - 1);
  expect(shelfOf(owned, 'classes')).toHaveLength(Object.keys(catalogue.archetypes).length);
  expect(classSheet(catalogue.archetypes['disk-25']!)).toMatchObject({
    id: 'class-disk-25',
    archetype: 'disk-25',
    kind: 'drive',
  });
});
