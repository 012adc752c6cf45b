import { createAssessor } from '../assess';
import type { Build, Item } from '../build/build';
import { commit } from '../solve/settle';
import { AS_OF, cube, type Fixture } from '../testing/fixture';
import { billOf } from './bill';
import { billCsv } from './billCsv';
import { readBill, type BillReading } from './readBill';

const csvOf = (build: Build) => billCsv(billOf(build, createAssessor().assess(build, AS_OF)));
const priced = (made: Fixture, more: Partial<Record<string, Partial<Item>>>): Build =>
  made.set({ items: made.build.items.map((item) => ({ ...item, ...more[item.sheet] })) }).build;
const build = priced(cube().add('barge-8', 4), {
  'larder-8': {
    price: {
      minor: 18_999,
      currency: 'EUR',
      per: 'unit',
      taxIncluded: false,
      taxPct: 19,
      shippingMinor: 790,
      from: '=cmd, "a shop"',
      at: '2026-10-01',
      seller: 'private',
      tested: false,
      deliveryDays: 12,
      warrantyMonths: 0,
      doubtful: true,
    },
    offers: [
      {
        minor: 17_000,
        currency: 'EUR',
        per: 'unit',
        taxIncluded: true,
        from: '+a market',
        seller: 'private',
        doubtful: false,
      },
      {
        minor: 15_050,
        currency: 'USD',
        per: 'unit',
        taxIncluded: false,
        taxPct: 7,
        at: '2026-09-30',
        deliveryDays: 30,
      },
    ],
  },
  'barge-8': { price: { minor: 50_000, currency: 'USD', per: 'item', taxIncluded: true, taxPct: 7 } },
  'ember-450s': { deal: 'owned' },
});
const read = (text: string, of: Build = build) => readBill(text, of) as Extract<BillReading, { ok: true }>;
const applied = (of: Build, text: string): Build => {
  const step = commit(of, read(text, of).edits as never);
  if (!step.ok) throw new Error(step.words);
  return step.build;
};

test('a table given out and read back changes nothing, and brings back every price and deal that was lost', () => {
  const csv = csvOf(build);
  expect(read(csv)).toEqual({ ok: true, edits: [], changed: [], unknown: [], problems: [] });
  const bare = {
    ...build,
    items: build.items.map(({ price: _gone, offers: _too, ...item }) => ({ ...item, deal: 'buy' as const })),
  };
  const back = applied(bare, csv);
  expect(back.items).toEqual(build.items);
  expect(csvOf(back)).toBe(csv);
});

test('filled in by a spreadsheet with semicolons and decimal commas', () => {
  const text = 'mark;what;price;from\nA1;Larder;149,50;a market\nE1–E2;Memory;30;\nX9;Stranger;5;\n;Cable;;';
  const [chassis, memory] = [build.items[0]!, build.items.find(({ units }) => units[0]?.mark === 'E1')!];
  const { edits, changed, unknown, problems } = read(text);
  expect(problems).toEqual([]);
  expect(unknown).toEqual(['Stranger']);
  expect(changed).toHaveLength(2);
  // What the table has no column for stays.
  expect(edits[0]).toMatchObject({
    item: chassis.id,
    patch: { price: { ...chassis.price, minor: 14_950, from: 'a market' } },
  });
  expect(edits[1]).toMatchObject({ item: memory.id, patch: { price: { minor: 3000, currency: 'EUR' } } });
});

test('what cannot be read changes nothing of its line, and says its row', () => {
  const row = (cells: string) => read(`mark,price,priceCurrency,deal,at,tax\nA1,${cells}`);
  const wrong: readonly (readonly [string, RegExp])[] = [
    ['dear,EUR,buy,,', /^Row 2, Larder 8: “dear”/],
    ['-5,EUR,buy,,', /^Row 2, Larder 8: -5 is no price/],
    ['5,euros,buy,,', /is no currency/],
    ['5,EUR,maybe,,', /neither buy nor owned/],
    ['5,EUR,buy,yesterday,', /is no day/],
    ['5,EUR,buy,,250', /from 0 to 100 %/],
  ];
  for (const [cells, problem] of wrong) {
    const { edits, problems } = row(cells);
    expect(edits).toEqual([]);
    expect(problems).toEqual([expect.stringMatching(problem)]);
  }
  expect(read('mark,price,count\nE1,30,5')).toMatchObject({
    edits: [],
    problems: [expect.stringMatching(/^Row 2, .*: “5” in the table, 2 here: change that in the kit\.$/)],
  });
  expect(readBill('a,b\n1,2', build)).toMatchObject({ ok: false, words: expect.stringContaining('no columns') });
  expect(readBill('x'.repeat(2_000_001), build)).toMatchObject({ ok: false });
});

test('offers are lines of their own: changed, added and refused by their row; a table without any leaves them', () => {
  const csv = csvOf(build);
  const offers = csv.split('\r\n').filter((line) => line.includes(',offer,'));
  expect(offers).toHaveLength(2);
  // In no sum: the total of the lines that count is the one told.
  const total = Number(
    csv
      .split('\r\n')
      .find((line) => line.includes('Together'))!
      .split(',')[7],
  );
  const sum = csv
    .split('\r\n')
    .slice(1)
    .filter((line) => !line.includes('Together') && !line.includes(',offer,'))
    .reduce((all, line) => all + (Number(line.match(/,(?:buy|owned|here),[^,]*,([^,]*),/)?.[1]) || 0), 0);
  expect(sum).toBeCloseTo(total, 2);
  const [chassis] = build.items;
  const cheaper = applied(build, csv.replace('150.50,USD', '99,USD'));
  expect(cheaper.items[0]!.offers!.map(({ minor }) => minor)).toEqual([17_000, 9900]);
  expect(cheaper.items[0]!.price).toEqual(chassis!.price);
  const without = csv
    .split('\r\n')
    .filter((line) => !line.includes(',offer,'))
    .join('\r\n');
  expect(read(without).edits).toEqual([]);
  expect(read(csv.replace('150.50,USD', 'cheap,USD')).problems).toEqual([expect.stringMatching(/^Row 4, Larder 8: /)]);
});

test('a table of before the column for counterfeits was there does not take the word away', () => {
  const text = 'mark,what,price,from\nA1,Larder,150,a market\n';
  expect(read(text).edits[0]).toMatchObject({ patch: { price: { doubtful: true } } });
});
