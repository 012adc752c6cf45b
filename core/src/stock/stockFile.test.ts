import { readPartsFile } from '../parts/catalogueFile';
import { catalogue } from '../testing/fixture';
import type { StockEntry } from './stock';
import { readStock, writeStockJson } from './stockFile';

const entry = (id: string, more: Partial<StockEntry> = {}): StockEntry =>
  ({ id, sheet: 'barge-8', count: 4, year: 2023, condition: 'worn', ...more }) as StockEntry;
const fresh = () => 'fresh';
const file = (entries: readonly StockEntry[]) =>
  writeStockJson(entries, catalogue.sheets, catalogue.archetypes, { name: 'The drawer' });

test('what is given out is read back whole, with the sheets it stands on, each once', () => {
  const entries = [entry('a'), entry('b', { count: 1, note: 'loud' }), entry('c', { sheet: 'tern-8i' as never })];
  const text = file(entries);
  expect(readStock(text, [], fresh)).toEqual({ entries, same: 0, faults: [] });
  const read = readPartsFile(text, { ...catalogue, sheets: {} }, () => false);
  expect(read.ok && read.rows.map((row) => row.ok && row.sheet.id)).toEqual(['barge-8', 'tern-8i']);
  expect(read.ok && read.about).toEqual({ name: 'The drawer' });
});

test('what is here already is left; what is here under its name and is another gets a name of its own', () => {
  const text = file([entry('a'), entry('b')]);
  const { entries, same } = readStock(text, [entry('a'), entry('b', { count: 2 })], fresh);
  expect(same).toBe(1);
  expect(entries).toEqual([entry('fresh')]);
});

test('bad lines are said one by one and good ones kept; a file of parts alone has no stock', () => {
  const text = file([entry('a'), entry('b', { count: 0 }), entry('no good name!')]);
  const { entries, faults } = readStock(text, [], fresh);
  expect(entries.map(({ id }) => id)).toEqual(['a']);
  expect(faults).toEqual([
    expect.stringMatching(/^Line 2 of the stock: count /),
    expect.stringMatching(/^Line 3 of the stock: id /),
  ]);
  for (const other of ['{"sheets": []}', '[]', 'null', '{', '', '{"stock": 3}'])
    expect(readStock(other, [], fresh)).toEqual({ entries: [], same: 0, faults: [] });
  const many = file(Array.from({ length: 600 }, (_, i) => entry(`e${i}`)));
  const all = readStock(many, [], fresh);
  expect(all.entries).toHaveLength(500);
  expect(all.faults).toEqual(['The file has 600 lines of stock; the first 500 are taken, at most.']);
});
