import { assess } from '../assess';
import { newBuild } from '../build/newBuild';
import { catalogue, fixture } from '../testing/fixture';
import { buildOfStock } from './buildOfStock';
import { freeOf, overclaims, stockClaims, stockEntrySchema, type StockEntry } from './stock';

const entry = (id: string, count: number): StockEntry => stockEntrySchema.parse({ id, sheet: 'coot-1', count });
const using = (id: string, units: number, more: object = {}) => {
  const made = fixture().add('coot-1', units, { deal: 'owned' }).build;
  return { ...made, id, name: id, items: made.items.map((item) => ({ ...item, stockId: 's1' })), ...more };
};

test('two builds that claim one unit are told, each with what it takes', () => {
  const claims = stockClaims([using('a', 4), using('b', 3), newBuild('c', 'c')]);
  expect(claims).toEqual([
    { stock: 's1', build: 'a', name: 'a', units: 4 },
    { stock: 's1', build: 'b', name: 'b', units: 3 },
  ]);
  expect(overclaims([entry('s1', 6)], claims)).toMatchObject([{ claimed: 7, by: [{ build: 'a' }, { build: 'b' }] }]);
  expect(overclaims([entry('s1', 7)], claims)).toEqual([]);
});

test('copies of a machine claim as often; a part to buy claims nothing', () => {
  expect(stockClaims([using('a', 2, { copies: 3 })])).toMatchObject([{ units: 6 }]);
  const bought = using('a', 2);
  expect(stockClaims([{ ...bought, items: bought.items.map((item) => ({ ...item, deal: 'buy' as const })) }])).toEqual(
    [],
  );
});

test('what is free for one build is what the others leave', () => {
  const claims = stockClaims([using('a', 4), using('b', 3)]);
  expect(freeOf(entry('s1', 6), claims, 'a')).toBe(3);
  expect(freeOf(entry('s1', 6), claims)).toBe(0);
});

test('an entry without a count, or with hours below none, is refused', () => {
  expect(stockEntrySchema.safeParse({ id: 's', sheet: 'x', count: 0 }).success).toBe(false);
  expect(stockEntrySchema.safeParse({ id: 's', sheet: 'x', count: 1, hours: -1 }).success).toBe(false);
});

test('a machine begun with stock has every free unit on its table, owned, with what is known of it', () => {
  const stock = [
    stockEntrySchema.parse({ id: 's1', sheet: 'coot-1', count: 6, hours: 41_020, condition: 'worn' }),
    stockEntrySchema.parse({ id: 's2', sheet: 'plover-b7', count: 1, year: 2013 }),
    stockEntrySchema.parse({ id: 's3', sheet: 'fell-74', count: 1 }),
  ];
  const claims = [...stockClaims([using('a', 4)]), { stock: 's3', build: 'a', name: 'a', units: 1 }];
  const build = buildOfStock(newBuild('n', ''), stock, claims, catalogue);
  if (typeof build === 'string') throw new Error(build);
  expect(build.items).toMatchObject([
    { sheet: 'coot-1', deal: 'owned', stockId: 's1', hours: 41_020, condition: 'worn', units: [{}, {}] },
    { sheet: 'plover-b7', deal: 'owned', stockId: 's2', year: 2013, units: [{}] },
  ]);
  expect(build.layout.at).toEqual({});
  expect(assess(build, { asOf: '2026-11-28' }).figures['cost.now']?.value ?? 0).toBe(0);
  const gone = { ...stock[0]!, sheet: 'not-there' as never };
  expect(buildOfStock(newBuild('n', ''), [gone], [], catalogue)).toMatch(/not there any more/);
});
