import { createAssessor } from '../assess';
import { AS_OF, catalogue, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { resolve, type PartOf } from '../parts/resolve';
import { poolOf } from '../pool/setsOf';
import { countFor, sizesFor, type Sizes } from './sizes';

const driveOf = (id: string) => {
  const sheet = catalogue.sheets[id]!;
  return resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<'drive'>;
};
function sizes(made: Fixture): Sizes {
  const assessor = createAssessor();
  const run = sizesFor({ build: made.build, assessment: made.assess() }, catalogue, assessor, AS_OF);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
const counted = (id: string, wishTb: number, failures: number) =>
  countFor(driveOf(id), wishTb, failures)?.sets.map(({ layout, drives }) => `${drives.length} ${layout}`);

test('how many of one drive hold what is wished, by hand', () => {
  // 60 TB of 12 TB disks: five for data and two for parity; of 8 TB ones eight and two.
  expect(counted('barge-12', 60, 2)).toEqual(['7 parity2']);
  expect(counted('barge-8', 60, 2)).toEqual(['10 parity2']);
  expect(counted('barge-12', 12, 1)).toEqual(['2 mirror2']);
  expect(counted('barge-12', 12.1, 0)).toEqual(['2 single']);
  // Sets no wider than twelve: past ten for data there are two.
  expect(counted('barge-8', 88, 2)).toEqual(['8 parity2', '7 parity2']);
  expect(counted('coot-1', 500, 2)).toBeUndefined();
});

describe('number against size', () => {
  const made = rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 12);
  const wished = made.set({ brief: { usableTb: 96, failuresSurvived: 2 } });
  const { rows, wishTb, failures, isWished, kneeTb } = sizes(wished);

  test('every capacity on sale that fits the wish, as an edit that gives what it says', () => {
    expect({ wishTb, failures, isWished }).toEqual({ wishTb: 96, failures: 2, isWished: true });
    expect(rows.length).toBeGreaterThan(3);
    for (const row of rows) {
      expect(row.figures['capacity.usableTb']!.value).toBeGreaterThanOrEqual(96);
      const drives = createAssessor()
        .assess(row.after, AS_OF)
        .units.filter(({ part }) => part.kind === 'drive');
      expect(drives.map(({ part }) => part.id)).toEqual(Array.from({ length: row.count }, () => row.sheet));
    }
    expect(rows.map(({ tb }) => tb)).toEqual([...rows].map(({ tb }) => tb).sort((a, b) => a - b));
    expect(rows.map(({ count }) => count)).toEqual([...rows].map(({ count }) => count).sort((a, b) => b - a));
  });
  test('fewer, larger drives draw less and are rebuilt longer; what pays least over five years is the knee', () => {
    const [small, large] = [rows.find(({ tb }) => tb === 8)!, rows.at(-1)!];
    expect(large.figures['power.idleWallW']!.value).toBeLessThan(small.figures['power.idleWallW']!.value);
    expect(large.rebuildH).toBeGreaterThan(small.rebuildH);
    const fit = rows.filter(({ causes }) => causes.every(({ severity }) => severity !== 'blocker'));
    expect(fit.length).toBeLessThan(rows.length);
    const least = Math.min(...fit.map(({ fiveYears }) => fiveYears!));
    expect(rows.find(({ fiveYears }) => fiveYears === least)!.tb).toBe(kneeTb);
  });
  test('sets that are made are made anew with the new drives', () => {
    const units = Array.from({ length: 12 }, (_, i) => made.unit('barge-12', i + 1));
    const kept = sizes(made.set({ pool: { sets: [{ id: 'set1', layout: 'parity2', units }] } }));
    expect(kept).toMatchObject({ wishTb: 120, failures: 2, isWished: false });
    for (const row of kept.rows) {
      expect(row.after.pool.sets.flatMap((set) => set.units)).toHaveLength(row.count);
      expect(row.figures['capacity.usableTb']!.value).toBeGreaterThanOrEqual(120);
    }
    expect(kept.rows.find(({ isNow }) => isNow)).toMatchObject({ sheet: 'barge-12', count: 12 });
  });
  test('a pool that is only proposed survives as much afterwards as before, however few drives there are then', () => {
    // Twelve drives of which two may fail as proposed; of four only one would.
    const proposed = sizes(made.set({ brief: { usableTb: 40 } })).rows;
    expect(proposed.some(({ count }) => count <= 4)).toBe(true);
    for (const { after, widths } of proposed) {
      const told = poolOf(createAssessor().context(after));
      expect(told.sets.map(({ any }) => any)).toEqual(widths.map(() => 2));
      expect(told.sets.map(({ drives }) => drives.length).sort()).toEqual([...widths].sort());
    }
  });
  test('of three machines alike everything is three times as much', () => {
    const three = sizes(wished.set({ copies: 3 })).rows;
    for (const [i, row] of rows.entries()) expect(three[i]!.fiveYears).toBeCloseTo(3 * row.fiveYears!, 6);
  });
  test('a machine without a wish and without drives has nothing to compare', () => {
    expect(sizes(rack())).toMatchObject({ rows: [], kneeTb: null });
  });
});
