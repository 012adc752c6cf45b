import Papa from 'papaparse';
import { createAssessor } from '../assess';
import { AS_OF, cube, fixture, type Fixture } from '../testing/fixture';
import { otherCurrencies } from '../figures/cost/money';
import { billOf } from './bill';
import { yearOf } from '../figures/power/year';
import { billCsv } from './billCsv';
import { ordersOf } from './orders';
import { reuseOf } from './reuse';
import { runningOf } from './running';

const made = (one: Fixture) => {
  const assessment = createAssessor().assess(one.build, AS_OF);
  return { assessment, bill: billOf(one.build, assessment) };
};
const rows = (csv: string) => Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data;

const machines: Record<string, () => Fixture> = {
  'a cube with owned drives': () => cube().add('barge-8', 4).add('pike-960', 2, { deal: 'owned' }),
  'a rack with cables to buy': () =>
    fixture().add('gable-24').add('gannet-e8').add('tern-16i').add('tern-8i').add('barge-12', 24),
  'three machines alike': () => cube().add('barge-8', 4).set({ copies: 3 }),
  nothing: () => fixture(),
};

test.each(Object.entries(machines))('the lines of the CSV sum to the money shown: %s', (_name, make) => {
  const { assessment, bill } = made(make());
  const table = rows(billCsv(bill));
  const sum = table.slice(0, -1).reduce((all, row) => all + Number(row.total), 0);
  expect(sum).toBeCloseTo(assessment.figures['cost.now']?.value ?? 0, 6);
  expect(Number(table.at(-1)!.total)).toBeCloseTo(sum, 6);
  for (const row of table.slice(0, -1)) expect(Number(row.each) * Number(row.count)).toBeCloseTo(Number(row.total), 6);
});

test('owned parts cost nothing, cables come with their reason, those in a box are free', () => {
  const { bill } = made(cube().add('barge-8', 4).add('pike-960', 1, { deal: 'owned' }));
  expect(bill.lines.find((line) => line.what === 'Pike 960 GB')).toMatchObject({ deal: 'owned', total: 0 });
  expect(bill.lines.find((line) => line.what.startsWith('Reverse breakout'))).toMatchObject({
    deal: 'here',
    total: 0,
    note: 'the wiring needs it',
  });
});

test('a price in another currency is left out of the sum and said', () => {
  const one = cube();
  const items = one.build.items.map((item) =>
    item.sheet === 'wren-c8' ? { ...item, price: { ...item.price!, currency: 'USD' } } : item,
  );
  const { bill, assessment } = made(one.set({ items }));
  expect(bill.lines.find((line) => line.what === 'Wren C8')).toMatchObject({
    total: null,
    note: 'USD 212 each, not in the sum',
  });
  expect(bill.total).toBeCloseTo(assessment.figures['cost.now']!.value, 6);
  const rated = made(one.set({ items, rates: { USD: 0.5 } }));
  expect(rated.bill.lines.find((line) => line.what === 'Wren C8')).toMatchObject({ total: 106, note: 'USD 212 each' });
  expect(rated.bill.total).toBeCloseTo(rated.assessment.figures['cost.now']!.value, 6);
  expect(rated.bill.total - bill.total).toBeCloseTo(106, 6);
});

test('a machine in a currency that nothing here is priced in has a price once that of the parts has a rate', () => {
  const abroad = cube().add('barge-8', 4).set({ currency: 'CHF' });
  expect(made(abroad).bill.total).toBe(0);
  const { bill, assessment } = made(abroad.set({ rates: { EUR: 0.95 } }));
  expect(bill.total).toBeCloseTo(made(cube().add('barge-8', 4)).bill.total * 0.95, 6);
  expect(bill.total).toBeCloseTo(assessment.figures['cost.now']!.value, 6);
  expect(otherCurrencies(abroad.build)).toEqual(['EUR']);
});

test('names with commas, quotes and line ends come back whole', () => {
  const one = cube();
  const sheets = {
    ...one.build.sheets,
    'larder-8': { ...one.build.sheets['larder-8']!, name: 'A "box",\nwith; everything' },
  } as never;
  expect(rows(billCsv(made(one.set({ sheets })).bill))[0]!.what).toBe('A "box",\nwith; everything');
});

const lot = (one: Fixture, sheets: readonly string[], minor: number, more: object = {}) =>
  one.set({
    bundles: [
      { id: 'l1', name: 'Server kit', price: { minor, currency: 'EUR', per: 'item', taxIncluded: true, ...more } },
    ] as never,
    items: one.build.items.map((item) => (sheets.includes(item.sheet) ? { ...item, bundle: 'l1' } : item)),
  });

describe('a lot at one price', () => {
  const kit = ['wren-c8', 'drover-4', 'clew-16e'];
  test('is spread over its parts by what each would cost alone, to the cent, and counts once', () => {
    const one = lot(cube(), kit, 10_001);
    const { bill, assessment } = made(one);
    const own = bill.lines.filter(({ lot: of }) => of === 'Server kit');
    expect(own).toHaveLength(3);
    expect(own.reduce((sum, { total }) => sum + total!, 0)).toBeCloseTo(100.01, 9);
    expect(bill.total).toBeCloseTo(assessment.figures['cost.now']!.value, 6);
    // Two of them alone cost as their list prices are to each other, but for a cent of rounding.
    const alone = made(cube()).bill;
    const ratio = (from: typeof bill) =>
      from.lines.find(({ what }) => what === 'Wren C8')!.total! /
      from.lines.find(({ kind }) => kind === 'processor')!.total!;
    expect(ratio(bill)).toBeCloseTo(ratio(alone), 2);
    const without = alone.lines
      .filter(({ item }) => !own.some((line) => line.item === item))
      .reduce((sum, { total }) => sum + (total ?? 0), 0);
    expect(bill.total).toBeCloseTo(without + 100.01, 6);
  });
  test('with shipping and tax, for three machines alike', () => {
    const bill = made(
      lot(cube(), kit, 10_000, { shippingMinor: 1000, taxIncluded: false, taxPct: 20 }).set({ copies: 3 }),
    ).bill;
    const own = bill.lines.filter(({ lot: of }) => of !== null);
    expect(own.reduce((sum, { total }) => sum + total!, 0)).toBeCloseTo(3 * (120 + 10), 6);
  });
  test('over two stages it is paid for once, with the first of it', () => {
    const one = lot(cube(), kit, 10_000).set({ stages: [{ name: 'Now' }, { name: 'Later' }] });
    const later = one.set({
      items: one.build.items.map((item) => (item.sheet === 'clew-16e' ? { ...item, stage: 1 } : item)),
    });
    const { bill } = made(later);
    expect(bill.lines.reduce((sum, line) => sum + (line.lot ? line.total! : 0), 0)).toBeCloseTo(100, 9);
    expect(bill.later).toEqual([{ stage: 1, what: [expect.stringMatching(/^2 × Clew 16 GB/)], total: 0, unpriced: 0 }]);
  });
  test('a lot without a price, and what is owned, cost what they cost alone', () => {
    const unpriced = cube().set({ bundles: [{ id: 'l1', name: 'x' }] as never });
    const items = unpriced.build.items.map((item) => ({ ...item, bundle: 'l1' }));
    expect(made(unpriced.set({ items })).bill.total).toBeCloseTo(made(cube()).bill.total, 6);
    const one = lot(cube(), kit, 10_000);
    const owned = one.set({
      items: one.build.items.map((item) => (item.sheet === 'wren-c8' ? { ...item, deal: 'owned' as const } : item)),
    });
    const lines = made(owned).bill.lines.filter(({ lot: of }) => of !== null);
    expect(lines.map(({ kind }) => kind)).toEqual(['processor', 'memory']);
    expect(lines.reduce((sum, { total }) => sum + total!, 0)).toBeCloseTo(100, 9);
  });
});

test('groups sum to the whole, owned parts have a worth, later stages a sum', () => {
  const one = cube().add('barge-8', 4).add('pike-960', 1, { deal: 'owned' });
  const { bill } = made(one);
  expect(bill.groups.reduce((sum, { total }) => sum + total, 0)).toBeCloseTo(bill.total, 9);
  const pike = made(cube().add('pike-960')).bill.lines.find(({ what }) => what === 'Pike 960 GB')!;
  expect(bill.ownedWorth).toBeCloseTo(pike.total!, 6);
  const staged = one.set({
    stages: [{ name: 'Now' }, { name: 'Spring' }],
    items: one.build.items.map((item) => (item.sheet === 'barge-8' ? { ...item, stage: 1 } : item)),
  });
  const barge = bill.lines.find(({ what }) => what === 'Barge 8 TB')!;
  expect(made(staged).bill.later).toEqual([{ stage: 1, what: ['4 × Barge 8 TB'], total: barge.total, unpriced: 0 }]);
  expect(bill.later).toEqual([]);
});

test('a year of running by hand: electricity at its tariff, drives that fail, batteries', () => {
  const one = cube().add('barge-8', 4).add('sump-700');
  const assessor = createAssessor();
  const assessment = assessor.assess(one.build, AS_OF);
  const context = assessor.context(one.build);
  const told = runningOf(context, one.build);
  const year = yearOf(context, one.build.profile, one.build.tariff)!;
  expect(told.energy!.value).toBeCloseTo(year.costMinor.value / 100, 9);
  const { bill } = { bill: billOf(one.build, assessment) };
  const each = (what: RegExp) => bill.lines.find((line) => what.test(line.what))!.each!;
  const pct = assessment.units.find(({ part }) => part.kind === 'drive')!.part as { annualFailurePct: number };
  expect(told.drives.aYear).toBeCloseTo((4 * pct.annualFailurePct) / 100, 9);
  expect(told.drives.money).toBeCloseTo(told.drives.aYear * each(/^Barge 8 TB/), 6);
  expect(told.batteries).toEqual({ count: 1, money: expect.closeTo((0.3 * each(/^Sump 700/)) / 4, 6) });
  const three = one.set({ copies: 3 });
  assessor.assess(three.build, AS_OF);
  expect(runningOf(assessor.context(three.build), three.build).drives.money).toBeCloseTo(3 * told.drives.money, 6);
});

describe('what is owned, kept or not', () => {
  const told = (one: Fixture) => {
    const assessor = createAssessor();
    const assessment = assessor.assess(one.build, AS_OF);
    return reuseOf(one.build, assessment, assessor.context(one.build));
  };
  const owned = (more: object) => {
    const one = cube().add('barge-8', 4, { deal: 'owned' }).add('pike-960', 1, { deal: 'owned' });
    return one.set({
      items: one.build.items.map((item) => (item.sheet === 'barge-8' ? { ...item, ...more } : item)),
    });
  };
  test('sound parts are kept, with what a year of them costs', () => {
    const lines = told(owned({}));
    expect(lines.map(({ name, count }) => [name, count])).toEqual([
      ['Barge 8 TB', 4],
      ['Pike 960 GB', 1],
    ]);
    expect(lines[1]).toMatchObject({ verdict: 'keep' });
    expect(lines[0]!.yearMinor!.value).toBeGreaterThan(4 * lines[1]!.yearMinor!.value);
    expect(told(cube())).toEqual([]);
  });
  test('drives that have run long ask for a look, doubted ones are replaced', () => {
    const run = told(owned({ hours: 52_000 }))[0]!;
    expect([run.verdict, run.snags.map(({ code }) => code)]).toEqual(['look', expect.arrayContaining(['lasts.worn'])]);
    expect(told(owned({ condition: 'doubtful' }))[0]!.verdict).toBe('replace');
  });
  test('the machine without them is as much quieter as its noise says', () => {
    const [disks, ssd] = told(owned({}));
    const idleDb = (one: Fixture) => createAssessor().assess(one.build, AS_OF).figures['sound.earIdleDb']!.value;
    expect(disks!.quieterDb).toBeGreaterThan(0.5);
    expect(Math.abs(disks!.quieterDb - (idleDb(owned({})) - idleDb(cube().add('pike-960'))))).toBeLessThan(0.3);
    expect(ssd!.quieterDb).toBe(0);
  });
});

test('what arrives last is ordered first; an untested part of a private seller is at one’s own risk', () => {
  const one = cube().add('barge-8', 4);
  const offers: Readonly<Record<string, object>> = {
    'barge-8': { deliveryDays: 3, seller: 'shop', warrantyMonths: 24 },
    'wren-c8': { deliveryDays: 30, seller: 'private', tested: true },
    'drover-4': { seller: 'private' },
    'ember-450s': { warrantyMonths: 0 },
  };
  const items = one.build.items.map((item) =>
    offers[item.sheet] ? { ...item, price: { ...item.price!, ...offers[item.sheet] } } : item,
  );
  const { bill } = made(one.set({ items }));
  const { said, days, unsaid, risky } = ordersOf(bill);
  expect([said.map(({ what }) => what), days]).toEqual([['Wren C8', 'Barge 8 TB'], 30]);
  expect(unsaid).toBe(bill.lines.filter(({ deal }) => deal === 'buy').length - 2);
  expect(risky.map(({ what }) => what)).toEqual(['Drover 4', 'Ember 450 SFX']);
});
