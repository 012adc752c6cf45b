import { createAssessor } from '../assess';
import { AS_OF, catalogue, cube, tweak, type Fixture } from '../testing/fixture';
import { find, rack, said } from '../testing/rules';
import { growthOf, nextDrives } from '../remedies/growth';
import type { SetLayout } from './layouts';
import { enduranceOf, memoryTold, monthsUntilFull } from './lasting';

const worn = (made: Fixture) => {
  const assessor = createAssessor();
  assessor.assess(made.build, AS_OF);
  return enduranceOf(assessor.context(made.build), made.build.brief);
};
const growing = (made: Fixture, growthTbPerMonth: number, more: object = {}) =>
  made.set({ brief: { ...made.build.brief, growthTbPerMonth, ...more } });
const withSet = (made: Fixture, sheet: string, count: number, layout: SetLayout) =>
  made.set({
    pool: { sets: [{ id: 'set1', layout, units: Array.from({ length: count }, (_, i) => made.unit(sheet, i + 1)) }] },
  });
const next = (made: Fixture) => {
  const assessor = createAssessor();
  return nextDrives({ build: made.build, assessment: assessor.assess(made.build, AS_OF) }, catalogue, assessor, AS_OF);
};

test('months until four fifths are full: by hand, from the start, and without a growth', () => {
  expect(monthsUntilFull(100, { growthTbPerMonth: 2, storedTb: 20 })).toBe(30);
  expect(monthsUntilFull(100, { growthTbPerMonth: 2 })).toBe(40);
  expect(monthsUntilFull(10, { growthTbPerMonth: 2, storedTb: 20 })).toBe(0);
  expect(monthsUntilFull(10, {})).toBeNull();
});

describe('what new data writes to flash', () => {
  const flash = cube(tweak('zander-960', { enduranceTb: 100 })).add('zander-960', 6);
  test('a year of 1 TB a month: of six in double parity a quarter each, of three mirrors a third', () => {
    const parity = worn(growing(withSet(flash, 'zander-960', 6, 'parity2'), 1));
    expect(parity).toMatchObject([{ tbPerYear: 3, enduranceTb: 100 }]);
    expect(parity[0]!.units).toHaveLength(6);
    expect(parity[0]!.years).toBeCloseTo(100 / 3, 9);
    expect(worn(growing(withSet(flash, 'zander-960', 6, 'mirror2'), 1))[0]!.tbPerYear).toBeCloseTo(4, 9);
    expect(worn(growing(withSet(flash, 'zander-960', 6, 'stripe'), 1))[0]!.tbPerYear).toBeCloseTo(2, 9);
  });
  test('one drive for parity is written with every other', () => {
    expect(worn(growing(withSet(flash, 'zander-960', 4, 'dedicated1'), 1)).map(({ tbPerYear }) => tbPerYear)).toEqual([
      12, 4,
    ]);
  });
  test('a log gets everything once more; worn within five years it is a caution', () => {
    const made = withSet(
      cube(tweak('zander-960', { enduranceTb: 40 }))
        .add('barge-8', 3)
        .add('zander-960'),
      'barge-8',
      3,
      'parity1',
    );
    const logged = growing(made, 1).edit({ type: 'unit.role', unit: made.unit('zander-960'), role: 'log' });
    expect(said(logged, 'lasts.endurance')[0]).toMatch(
      /^caution: Zander 960 GB.*: 12 TB a year each of the 40 TB its sheet allows: 3\.3 years\.$/,
    );
    expect(find(growing(logged, 0.5), 'lasts.endurance')).toEqual([]);
    expect(find(made, 'lasts.endurance')).toEqual([]);
  });
});

describe('the next drives', () => {
  const made = rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 8);
  test('one more set like the last one, another pair of a mirror, one more of a proposed set', () => {
    const set = next(growing(withSet(made, 'barge-12', 8, 'parity2'), 1))!;
    expect([set.count, set.usableTb, set.name]).toEqual([8, 144, 'Barge 12 TB']);
    expect(set.months).toBeCloseTo(0.8 * set.figures['capacity.usableTb']!.lo, 6);
    expect(set.after.pool.sets.map(({ units }) => units.length)).toEqual([8, 8]);
    const pair = next(withSet(made, 'barge-12', 8, 'mirror2'))!;
    expect([pair.count, pair.usableTb, pair.months]).toEqual([2, 60, null]);
    const proposed = next(made)!;
    expect([proposed.count, proposed.usableTb]).toEqual([1, 84]);
  });
  test('where no place is left that is what stands in the way', () => {
    const full = next(withSet(cube().add('barge-8', 8), 'barge-8', 8, 'parity2'))!;
    expect(full.blockersAfter).toBeGreaterThan(0);
  });
  test('without a pool there are none', () => {
    expect(next(rack())).toBeNull();
  });
});

test('bought on set by set, it grows until no place is left', () => {
  const assessor = createAssessor();
  const made = growing(
    withSet(rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 8), 'barge-12', 8, 'parity2'),
    1,
  );
  const run = growthOf(
    { build: made.build, assessment: assessor.assess(made.build, AS_OF) },
    catalogue,
    assessor,
    AS_OF,
  );
  let told = run.next();
  while (!told.done) told = run.next();
  const { steps, limit } = told.value;
  // Eight, sixteen and twenty-four of twenty-four bays: the fourth set has none.
  expect(steps.map(({ drives, usableTb }) => [drives, usableTb])).toEqual([
    [16, 144],
    [24, 216],
    [32, 288],
  ]);
  expect(limit!.at).toBe(2);
  expect(limit!.snags.map(({ code }) => code)).toContain('fits.driveInBay');
  // Four fifths of what each makes it, at 1 TB a month; padding and the file system are taken off.
  for (const { months, usableTb } of steps) {
    expect(months).toBeLessThan(0.8 * usableTb);
    expect(months).toBeGreaterThan(0.8 * 0.9 * usableTb);
  }
});

test('memory as advice: for the system, what is read again, and keeping track of a read cache', () => {
  const told = (made: Fixture) => {
    const assessor = createAssessor();
    assessor.assess(made.build, AS_OF);
    return memoryTold(assessor.context(made.build));
  };
  const made = withSet(cube().add('barge-8', 4).add('zander-960'), 'barge-8', 4, 'parity1');
  expect(told(made)).toMatchObject({ hasGb: 32, wantGb: 16 });
  const cached = told(made.edit({ type: 'unit.role', unit: made.unit('zander-960'), role: 'cache' }));
  expect(cached.wants.map(({ what, gb }) => [what, Number(gb.toFixed(2))])).toEqual([
    ['system', 4],
    ['reads', 12],
    ['cache', 2.88],
  ]);
});
