import { cube, fixture } from '../testing/fixture';
import { dataDrives } from '../machine/roles';
import { plannedUnits, type UnitOf } from '../machine/units';
import { bytesIn, paddedShare, survives, type SetLayout } from './layouts';
import { asSets, bestGrouping, proposeSets } from './propose';
import { agedAfrPct } from './risk';
import { toldOf } from './setsOf';

const TB = 1e12;
const tb = (...sizes: number[]) => sizes.map((one) => one * TB);
const of = (layout: SetLayout, ...sizes: number[]) => bytesIn(layout, tb(...sizes)).data / TB;

test('usable by hand: 54 of 72 TB, mirrors, stripes, dedicated parity with mixed sizes', () => {
  expect(of('parity1', 18, 18, 18, 18)).toBe(54);
  expect(of('parity2', 12, 12, 12, 12, 12, 12)).toBe(48);
  expect(of('mirror2', 8, 8, 4, 4)).toBe(12);
  expect(of('mirror3', 8, 8, 8)).toBe(8);
  expect(of('stripe', 8, 6)).toBe(12);
  expect(of('single', 8, 6)).toBe(14);
  // The 8 keeps parity for the 6, 4 and 4.
  expect(of('dedicated1', 4, 8, 6, 4)).toBe(14);
  expect(bytesIn('dedicated1', tb(8, 6, 4, 4))).toEqual({ data: 14 * TB, redundancy: 6 * TB, wasted: 2 * TB });
  expect(bytesIn('parity1', tb(8, 8, 4))).toEqual({ data: 8 * TB, redundancy: 4 * TB, wasted: 8 * TB });
  // Too few of them hold nothing; the odd one of a mirror has no partner.
  expect(bytesIn('parity2', tb(8, 8, 8)).data).toBe(0);
  expect(of('mirror2', 8, 8, 8)).toBe(8);
});

test('what is in a set is what its drives hold, and one more of the same never takes from it', () => {
  const layouts: SetLayout[] = [
    'single', 'stripe', 'mirror2', 'mirror3', 'parity1', 'parity2', 'parity3', 'dedicated1', 'dedicated2',
  ]; // prettier-ignore
  for (const layout of layouts)
    for (let n = 1; n <= 16; n++) {
      const { data, redundancy, wasted } = bytesIn(layout, tb(...Array<number>(n).fill(8)));
      expect(data + redundancy + wasted).toBe(n * 8 * TB);
      expect(Math.min(data, redundancy, wasted)).toBeGreaterThanOrEqual(0);
      expect(bytesIn(layout, tb(...Array<number>(n + 1).fill(8))).data).toBeGreaterThanOrEqual(data);
    }
});

test('failures: any, and at the best', () => {
  expect(survives('mirror2', 8)).toEqual({ any: 1, lucky: 4 });
  expect(survives('mirror3', 6)).toEqual({ any: 2, lucky: 4 });
  expect(survives('parity2', 8)).toEqual({ any: 2, lucky: 2 });
  expect(survives('stripe', 4)).toEqual({ any: 0, lucky: 0 });
  expect(survives('parity2', 3)).toEqual({ any: 0, lucky: 0 });
});

/** Sectors a record takes, laid down row by row: data, its parity, then up to a multiple of p + 1. */
function laidDown(d: number, n: number, p: number): number {
  let [left, taken] = [d, 0];
  while (left > 0) {
    const row = Math.min(left, n - p);
    taken += row + p;
    left -= row;
  }
  while (taken % (p + 1) !== 0) taken++;
  return taken;
}

test.each([4, 6, 8, 12])('padding of %d drives at three record sizes, laid down row by row', (n) => {
  for (const p of [1, 2, 3] as const)
    for (const kib of [16, 128, 1024]) {
      const d = (kib * 1024) / 4096;
      const share = paddedShare(`parity${p}`, n, { recordBytes: kib * 1024, allocationBytes: 4096 });
      expect(share).toBeCloseTo((d / laidDown(d, n, p)) * (n / (n - p)), 12);
      expect(share).toBeLessThanOrEqual(1);
    }
  expect(paddedShare('mirror2', n, { recordBytes: 16_384, allocationBytes: 4096 })).toBe(1);
});

test('padding, four widths by hand at 128 KiB records of 4 KiB', () => {
  const at = (layout: SetLayout, n: number) => paddedShare(layout, n, { recordBytes: 131_072, allocationBytes: 4096 });
  // 32 + 11 = 43, to 44: 32/44 of 4 drives against 3 of 4.
  expect(at('parity1', 4)).toBeCloseTo((32 / 44) * (4 / 3), 12);
  // 32 + 2·8 = 48, a multiple of 3: nothing is lost.
  expect(at('parity2', 6)).toBeCloseTo(1, 12);
  // 32 + 2·6 = 44, to 45.
  expect(at('parity2', 8)).toBeCloseTo((32 / 45) * (8 / 6), 12);
  // 32 + 3·4 = 44, a multiple of 4.
  expect(at('parity3', 12)).toBeCloseTo((32 / 44) * (12 / 9), 12);
});

const drivesOf = (...sizes: number[]) =>
  sizes.map((size, i) => ({ id: `u${i}`, part: { capacityBytes: size * TB, medium: 'disk' } }) as UnitOf<'drive'>);

/** Every way to put drives into sets or leave them over, tried one by one. */
function most(sizes: readonly number[], p: number, widest: number): number {
  if (sizes.length === 0) return 0;
  const [first, ...rest] = sizes;
  let best = most(rest, p, widest);
  for (let mask = 0; mask < 1 << rest.length; mask++) {
    const own = [first!, ...rest.filter((_, i) => mask & (1 << i))];
    if (own.length < p + 1 || own.length > widest || (p === 3 && own.length === 4)) continue;
    const others = rest.filter((_, i) => !(mask & (1 << i)));
    best = Math.max(best, (own.length - p) * Math.min(...own) + most(others, p, widest));
  }
  return best;
}

test('mixed sizes: the best grouping is that of all, tried one by one', () => {
  let seed = 11;
  const random = (n: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % n;
  for (let i = 0; i < 60; i++) {
    const sizes = Array.from({ length: 3 + random(6) }, () => [2, 4, 6, 8, 12, 18][random(6)]!);
    const p = 1 + random(3);
    const widest = p + 1 + random(6);
    const { dataBytes, sets, over } = bestGrouping(drivesOf(...sizes), p, widest);
    expect([sizes, p, widest, dataBytes / TB]).toEqual([sizes, p, widest, most(sizes, p, widest)]);
    // What is said of the bytes is what the sets hold, and every drive is somewhere once.
    const held = sets.reduce(
      (sum, { layout, drives }) =>
        sum +
        bytesIn(
          layout,
          drives.map(({ part }) => part.capacityBytes),
        ).data,
      0,
    );
    expect(held).toBe(dataBytes);
    expect([...sets.flatMap(({ drives }) => drives), ...over].map(({ id }) => id).sort()).toEqual(
      sizes.map((_, j) => `u${j}`).sort(),
    );
  }
});

test('up to ten drives of mixed sizes, a few of them by all groupings', () => {
  for (const [sizes, p, widest] of [
    [[18, 18, 12, 12, 12, 8, 8, 8, 4, 4], 1, 8],
    [[18, 18, 18, 12, 12, 8, 8, 6, 6, 2], 2, 10],
  ] as const)
    expect(bestGrouping(drivesOf(...sizes), p, widest).dataBytes / TB).toBe(most(sizes, p, widest));
});

test('twenty-four alike in double parity are two sets of twelve; at most eight wide, three of eight', () => {
  const drives = drivesOf(...Array<number>(24).fill(12));
  expect(bestGrouping(drives, 2).sets.map((one) => one.drives.length)).toEqual([12, 12]);
  expect(bestGrouping(drives, 2, 10).sets.map((one) => one.drives.length)).toEqual([8, 8, 8]);
});

test('a proposal keeps disks and flash apart and takes no system drive', () => {
  const made = cube().add('barge-8', 4).add('pike-960', 2).add('reed-250', 1, { role: 'boot' });
  const drives = dataDrives(plannedUnits(made.build));
  const sets = asSets(proposeSets(drives, 1));
  expect(sets.map(({ layout, units }) => [layout, units.length])).toEqual([
    ['parity1', 4],
    ['mirror2', 2],
  ]);
  expect(new Set(sets.map(({ id }) => id)).size).toBe(2);
  expect(asSets(proposeSets(drives, 1), [{ id: 'set1', layout: 'single', units: [] }]).map(({ id }) => id)).toEqual([
    'set2',
    'set3',
  ]);
  expect(asSets(proposeSets(dataDrives(plannedUnits(fixture().build)), 1))).toEqual([]);
});

test('a drive that is given another task is no longer in its set', () => {
  const made = cube().add('barge-8', 3).add('barge-8', 1, { role: 'spare' });
  const units = [made.unit('barge-8', 1), made.unit('barge-8', 2), made.unit('barge-8', 3), made.unit('barge-8', 4)];
  const told = toldOf({ id: 'set1', layout: 'parity1', units }, plannedUnits(made.build));
  expect(told.drives.map(({ id }) => id)).toEqual(units.slice(0, 3));
  expect(told.bytes.data).toBe(16 * TB);
});

test('drives that have run long, or are not trusted, fail more often', () => {
  expect(agedAfrPct(1, {})).toBe(1);
  expect(agedAfrPct(1, { hours: 30_000 })).toBe(1.5);
  expect(agedAfrPct(1, { hours: 50_000, condition: 'good' })).toBe(2.5);
  expect(agedAfrPct(1, { hours: 50_000, condition: 'doubtful' })).toBe(7.5);
  expect(agedAfrPct(40, { hours: 50_000 })).toBe(50);
  const made = cube().add('barge-8', 4, { deal: 'owned' });
  const old = made.set({ items: made.build.items.map((item) => ({ ...item, hours: 50_000 })) });
  const loss = (of: typeof made) =>
    toldOf(
      { id: 's', layout: 'parity1', units: [1, 2, 3, 4].map((n) => of.unit('barge-8', n)) },
      plannedUnits(of.build),
    ).loss.together;
  expect(loss(old)).toBeGreaterThan(4 * loss(made));
});
