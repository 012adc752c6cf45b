import Papa from 'papaparse';
import { createAssessor } from '../assess';
import { AS_OF, cube, fixture, type Fixture } from '../testing/fixture';
import { otherCurrencies } from '../figures/cost/money';
import { billOf } from './bill';
import { billCsv } from './billCsv';

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
