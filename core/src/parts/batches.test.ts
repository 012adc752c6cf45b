import { catalogue } from '../testing/fixture';
import { batchesOf } from './batches';
import { containedIn } from './checkSheet';
import type { Sheet } from './sheet';

const all = Object.values(catalogue.sheets);

test('every sheet once, none before what it contains, no parcel larger than it may be', () => {
  // The other way round, so that what contains comes first.
  const reversed = [...all].reverse();
  const batches = batchesOf(reversed, 20_000, 40);
  const flat = batches.flat();
  expect(flat).toHaveLength(all.length);
  expect(new Set(flat)).toEqual(new Set(all));
  const at = new Map(flat.map((sheet, i) => [sheet.id as string, i]));
  for (const sheet of flat)
    for (const inner of containedIn(sheet)) expect(at.get(inner)!).toBeLessThan(at.get(sheet.id)!);
  for (const batch of batches) {
    expect(batch.length).toBeLessThanOrEqual(40);
    if (batch.length > 1) expect(JSON.stringify(batch).length).toBeLessThan(20_000 + 2 * batch.length);
  }
});

test('nothing makes no parcel; one sheet larger than a parcel goes by itself', () => {
  expect(batchesOf([])).toEqual([]);
  expect(batchesOf([all[0]!, all[1]!] as Sheet[], 10)).toEqual([[all[0]], [all[1]]]);
});
