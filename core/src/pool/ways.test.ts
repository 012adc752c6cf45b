import type { UnitOf } from '../machine/units';
import { setOf } from './setsOf';
import { lossOfAny, rebuildHours, unreadable, yearlyLoss } from './risk';
import { together, waysFor } from './ways';

const TB = 1e12;
const drive = (i: number, tb: number) =>
  ({
    id: `u${i}`,
    part: {
      capacityBytes: tb * TB,
      medium: 'disk',
      sequentialMBps: 200,
      randomIops: 150,
      shingled: false,
      annualFailurePct: 1.5,
      unreadablePerBit: 1e-15,
    },
  }) as unknown as UnitOf<'drive'>;
const drives = (...sizes: number[]) => sizes.map((tb, i) => drive(i, tb));
const alike = (count: number, tb = 12) => drives(...Array<number>(count).fill(tb));

test('rebuild by hand: 12 TB, four fifths full, at half of three quarters of 200 MB/s', () => {
  const hours = (0.8 * 12e12) / (0.75 * 200e6 * 0.5) / 3600;
  expect(rebuildHours(drive(0, 12).part)).toBeCloseTo(hours, 9);
  expect(hours).toBeCloseTo(35.56, 2);
  expect(rebuildHours({ ...drive(0, 12).part, shingled: true })).toBeCloseTo(10 * hours, 9);
});

/** The same chain walked hour by hour: the chance to be in each state, one failure too many kept for good. */
function walked(n: number, spare: number, afrPct: number, rebuildH: number, times: number): number {
  const perHour = -Math.log(1 - afrPct / 100) / 8760;
  let at = Array.from({ length: spare + 2 }, (_, k) => (k === 0 ? 1 : 0));
  const steps = 8760 * 4;
  for (let i = 0; i < steps; i++) {
    const next = [...at];
    for (let k = 0; k <= spare; k++) {
      const fail = ((n - k) * perHour * (k > 0 ? times : 1)) / 4;
      const mend = k > 0 ? 1 / rebuildH / 4 : 0;
      next[k]! -= at[k]! * (fail + mend);
      next[k + 1]! += at[k]! * fail;
      if (k > 0) next[k - 1]! += at[k]! * mend;
    }
    at = next;
  }
  return at[spare + 1]!;
}

test.each([
  [4, 1, 1.5, 36],
  [8, 1, 3, 60],
  [6, 2, 4, 90],
  [2, 1, 2, 24],
  [8, 0, 1.5, 10],
  [12, 2, 8, 120],
])(
  'risk of %d drives with %d to spare: the mean time to loss against the chain walked hour by hour',
  (n, p, afr, h) => {
    for (const times of [1, 10]) {
      const chain = walked(n, p, afr, h, times);
      const told = yearlyLoss({ drives: n, spare: p, afrPct: afr, rebuildH: h }, times);
      // The mean time counts the first rebuilds' grace out: a few per cent, on the careful side.
      expect(told / chain).toBeGreaterThan(0.97);
      expect(told / chain).toBeLessThan(1.1);
    }
  },
);

test('never better than one in a million; several sets add up; unreadable sectors by hand', () => {
  const safe = yearlyLoss({ drives: 6, spare: 3, afrPct: 0.5, rebuildH: 5 }, 1);
  expect(safe).toBeLessThan(1e-9);
  expect(lossOfAny([safe, safe])).toBe(1e-6);
  expect(lossOfAny([0.1, 0.2])).toBeCloseTo(1 - 0.9 * 0.8, 12);
  expect(unreadable(72e12, 1e-15)).toBeCloseTo(1 - Math.exp(-0.576), 9);
});

test('a set of each kind: what it reads, writes and does at random, of drives of 200 MB/s and 150 a second', () => {
  const of = (layout: Parameters<typeof setOf>[0]['layout'], count: number) => {
    const { readMBps, writeMBps, readIops, writeIops } = setOf({ id: 's', layout, units: [] }, alike(count));
    return [readMBps, writeMBps, readIops, writeIops];
  };
  expect(of('parity2', 8)).toEqual([1200, 1200, 150, 150]);
  expect(of('mirror2', 8)).toEqual([1600, 800, 1200, 600]);
  expect(of('stripe', 4)).toEqual([800, 800, 600, 600]);
  expect(of('dedicated1', 4)).toEqual([200, 200, 450, 150]);
  expect(of('parity2', 3)).toEqual([0, 0, 0, 0]);
});

test('ways of twenty-four drives: each kept once, its drives all somewhere, more failures never more room', () => {
  const ways = waysFor(alike(24));
  expect(new Set(ways.map(({ key }) => key)).size).toBe(ways.length);
  for (const { widths, over, told, sets } of ways) {
    const inSets = sets.reduce((sum, { units }) => sum + units.length, 0);
    expect(inSets + over).toBe(24);
    expect(widths.reduce((sum, one) => sum + one, 0)).toBe(inSets);
    expect(told.usableTb + told.redundancyTb + told.wastedTb).toBeCloseTo(24 * 12, 6);
    expect(told.leastTb).toBeLessThanOrEqual(told.usableTb);
  }
  const three = ways.find(({ key }) => key === 'parity28,parity28,parity28')!;
  expect(three.told).toMatchObject({ usableTb: 216, any: 2, lucky: 6, readMBps: 3600, writeIops: 450 });
  const most = (any: number) =>
    Math.max(...ways.filter(({ told }) => told.any >= any).map(({ told }) => told.usableTb));
  expect([most(0), most(1), most(2), most(3)]).toEqual([288, 252, 240, 216]);
});

test('mixed sizes: dedicated parity uses what parity in rows wastes', () => {
  const ways = waysFor(drives(18, 12, 8, 8, 4));
  const of = (layout: string) => ways.filter((way) => way.layout === layout).map(({ told }) => told.usableTb);
  expect(of('dedicated1')).toEqual([32]);
  expect(Math.max(...of('parity1'))).toBeLessThan(32);
});

test('several sets give as much each as the slowest of them; one that holds nothing gives nothing', () => {
  const fast = setOf({ id: 'a', layout: 'mirror2', units: [] }, alike(2));
  const wide = setOf({ id: 'b', layout: 'mirror2', units: [] }, alike(4));
  expect(together([fast, wide]).readMBps).toBe(800);
  expect(together([]).usableTb).toBe(0);
  expect(together([], alike(2)).wastedTb).toBe(24);
});
