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

test('a dearer supply pays for itself by its losses: by hand, with the range of both, told from either side', () => {
  const on = (supply: string) =>
    fixture()
      .add('steading-t9')
      .add('plover-a6')
      .add('drover-4')
      .add('tarn-155')
      .add('clew-16e', 2)
      .add('barge-8', 4)
      .add(supply);
  const { rows, paybacks } = compare(on('cinder-500'), on('moss-500'));
  const more = (by: ComparedBy) => row(rows, by).cells[1]!.more!;
  expect([more('priceNow').value, Math.sign(more('moneyYear').value)]).toEqual([141, -1]);
  expect(paybacks[0]).toBeNull();
  expect(paybacks[1]!.years).toBeCloseTo(141 / -more('moneyYear').value, 9);
  expect(paybacks[1]!.soonest).toBeLessThan(paybacks[1]!.years);
  expect(paybacks[1]!.latest ?? Infinity).toBeGreaterThan(paybacks[1]!.years);
  const turned = compare(on('moss-500'), on('cinder-500')).paybacks[1]!;
  expect(turned).toMatchObject({ isFirst: true });
  expect(turned.years).toBeCloseTo(paybacks[1]!.years, 9);
  // One more disk costs more and draws more: it pays for nothing.
  expect(compare(on('moss-500'), on('moss-500').add('barge-8', 1)).paybacks[1]).toBeNull();
});

describe('several machines as one column', () => {
  const shelf = () => cube().add('barge-8', 4);
  const small = () => cube().add('pike-960', 2);
  const together = (first: Fixture, ...others: Fixture[]) =>
    compareBuilds([named(first, 'a'), others.map((one, i) => named(one, `b${i}`))], AS_OF);

  test('W, money and room add up; noise adds as energy; of pools the weakest counts', () => {
    const [a, b] = compare(shelf(), small())
      .rows.map(({ by, cells }) => [by, cells] as const)
      .reduce<[Partial<Record<ComparedBy, number>>, Partial<Record<ComparedBy, number>>]>(
        ([one, other], [by, cells]) => [
          { ...one, ...(cells[0] ? { [by]: cells[0].value } : {}) },
          { ...other, ...(cells[1] ? { [by]: cells[1].value } : {}) },
        ],
        [{}, {}],
      );
    const { rows, machines, drawn } = together(shelf(), shelf(), small());
    expect(machines[1]).toMatchObject({ id: 'b0+b1', name: 'b0 and b1' });
    expect(drawn[1]).toHaveLength(2);
    const at = (by: ComparedBy) => row(rows, by).cells[1]!.value;
    for (const by of ['idleW', 'workingW', 'peakW', 'kwhYear', 'priceNow', 'usableTb', 'volumeL'] as const)
      expect([by, at(by)]).toEqual([by, expect.closeTo(a[by]! + b[by]!, 6)]);
    expect(at('earDb')).toBeCloseTo(10 * Math.log10(10 ** (a.earDb! / 10) + 10 ** (b.earDb! / 10)), 9);
    expect(at('hottestC')).toBe(Math.max(a.hottestC!, b.hottestC!));
    expect(at('failures')).toBe(Math.min(a.failures!, b.failures!));
    expect(at('perTb')).toBeCloseTo(at('priceNow') / at('usableTb'), 9);
    expect(row(rows, 'verdict').cells[1]!.words).toContain(' · ');
  });

  test('what one of them does not tell is open where it would add', () => {
    const { rows } = together(shelf(), shelf(), fixture());
    expect(row(rows, 'idleW').cells[1]).toBeNull();
    expect(row(rows, 'usableTb').cells[1]!.value).toBeCloseTo(row(rows, 'usableTb').cells[0]!.value, 9);
  });

  test('one machine against itself twice draws twice as much, and misses a wish that one meets', () => {
    const idle = row(compare(shelf()).rows, 'idleW').cells[0]!;
    const brief = { idleW: Math.ceil(idle.hi) + 1, usableTb: 1, mustHave: ['hotSwap' as const] };
    const { wishes, rows } = together(shelf().set({ brief }), shelf(), shelf());
    expect(row(rows, 'idleW').cells[1]!.against).toBe('worse');
    const met = Object.fromEntries(wishes.map((one) => [one.wish, one.met.join(' ')]));
    expect(met).toMatchObject({ idleW: 'yes no', usableTb: 'yes yes', hotSwap: 'yes yes' });
  });

  test('drives wished later are those of all: what none has alone may add up, and is not called missing', () => {
    const brief = { drivesLater: 12 };
    const met = (...others: Fixture[]) =>
      together(shelf().set({ brief }), ...others).wishes.map((one) => one.met.join(' '));
    expect(met(shelf(), shelf())).toEqual(['no open']);
    expect(met(shelf(), rack().add('brazier-800').add('tern-16i').add('barge-12', 4))).toEqual(['no yes']);
  });

  test('a machine that is made for no rack leaves the units of both open', () => {
    const inRack = rack().add('brazier-800');
    const { rows } = together(inRack, inRack, shelf());
    expect(row(rows, 'rackUnits').cells[0]!.value).toBe(4);
    expect(row(rows, 'rackUnits').cells[1]).toBeNull();
  });
});
