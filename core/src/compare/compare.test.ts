import { AS_OF, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { compareBuilds, type ComparedBy, type ComparedRow } from './compare';

const named = (made: Fixture, id: string) => made.set({ id, name: id }).build;
const compare = (...made: Fixture[]) =>
  compareBuilds(
    made.map((one, i) => named(one, `m${i + 1}`)),
    AS_OF,
  );
const row = (rows: readonly ComparedRow[], by: ComparedBy) => rows.find((one) => one.by === by)!;

test('a machine beside itself differs in nothing', () => {
  const made = cube().add('barge-8', 4);
  const { rows } = compare(made, made);
  expect(rows.length).toBeGreaterThan(12);
  for (const { by, cells, differs } of rows) {
    expect([by, differs]).toEqual([by, false]);
    expect(cells[0]!.value).toBeCloseTo(cells[1]!.value, 9);
    expect(['equal', 'same']).toContain(cells[1]!.against);
  }
});

test('what both rest on cancels: one more disk surely draws more, however wide the range of the rest', () => {
  const [three, four] = [cube().add('barge-8', 3), cube().add('barge-8', 4)];
  const idle = row(compare(three, four).rows, 'idleW');
  const [a, b] = idle.cells as [NonNullable<(typeof idle.cells)[0]>, NonNullable<(typeof idle.cells)[0]>];
  // The ranges overlap, the difference does not hold zero.
  expect(a.hi).toBeGreaterThan(b.lo);
  expect(b.more!.lo).toBeGreaterThan(0);
  expect(b.against).toBe('worse');
  expect(b.more!.value).toBeCloseTo(b.value - a.value, 9);
});

test('what is better is said by what is asked: more room, less money, fewer blockers', () => {
  const small = cube().add('barge-8', 4);
  const large = rack().add('brazier-800').add('tern-16i').add('barge-12', 12);
  const { rows, isOneCurrency } = compare(small, large);
  expect(isOneCurrency).toBe(true);
  const against = (by: ComparedBy) => row(rows, by).cells[1]!.against;
  expect(['usableTb', 'priceNow', 'idleW', 'rackUnits', 'massKg'].map((by) => against(by as ComparedBy))).toEqual([
    'better',
    'worse',
    'worse',
    null,
    'worse',
  ]);
  expect(row(rows, 'verdict').cells[0]!.words).toMatch(/^Clear/);
});

test('five years by hand: the price, five years of electricity, and drives that fail', () => {
  const { rows } = compare(cube().add('barge-8', 4));
  const at = (by: ComparedBy) => row(rows, by).cells[0]!.value;
  const wear = at('fiveYears') - at('priceNow') - 5 * at('moneyYear');
  expect(wear).toBeGreaterThan(0);
  expect(wear).toBeLessThan(100);
  expect(at('perTb')).toBeCloseTo(at('priceNow') / at('usableTb'), 9);
});

test('money of two currencies is shown and not compared', () => {
  const made = cube().add('barge-8', 4);
  const { rows, isOneCurrency } = compare(made, made.set({ currency: 'CHF', rates: { EUR: 0.95 } }));
  expect(isOneCurrency).toBe(false);
  expect(row(rows, 'priceNow').cells[1]).toMatchObject({ more: null, against: null });
  expect(row(rows, 'idleW').cells[1]!.against).not.toBeNull();
});

test('a network both hang on cancels; another disk of as much by its sheet cannot be told apart', () => {
  const cells = (by: ComparedBy, ...made: Fixture[]) => row(compare(...made).rows, by).cells;
  const four = () => cube().add('barge-8', 4);
  const [one, other] = cells('readMBps', four(), cube().add('barge-8', 5));
  // Four disks in double parity read at 360 MB/s and five at 540, before a network of 281.
  expect(one!.value).toBeCloseTo(other!.value, 9);
  expect(other!.against).toBe('equal');
  const fast = (sheet: string, rate: number) =>
    fixture(tweak(sheet, { sequentialMBps: rate }, tweak('skein-10x2', {})))
      .add('larder-8')
      .add('wren-c8')
      .add('drover-4')
      .add('skein-10x2')
      .add(sheet, 4);
  expect(cells('readMBps', fast('barge-8', 180), fast('barge-12', 185))[1]!.against).toBe('same');
  expect(cells('readMBps', fast('barge-8', 180), fast('barge-12', 260))[1]!.against).toBe('better');
});

test('a card both sides of a rebuild hang on makes it longer here too', () => {
  const hours = (rate: number) =>
    row(
      compare(
        rack(tweak('tern-8i', { throughputMBps: rate }))
          .add('tern-8i')
          .add('barge-8', 8),
      ).rows,
      'rebuildH',
    ).cells[0]!.value;
  expect(hours(600)).toBeGreaterThan(1.5 * hours(6000));
});
