import { createAssessor } from '../assess';
import { powerOf } from '../figures/power/powerOf';
import { catalogue, tweak, type Fixture } from '../testing/fixture';
import { rack, tower } from '../testing/rules';
import { supplyOffers, type SupplyChoice, type SupplyOffer } from './supplies';
import type { Base } from './weigh';

const AS_OF = { asOf: '2026-11-28' };
const powerFor = (build: Base['build']) => powerOf(createAssessor().context(build), build, AS_OF.asOf);
function choice(made: Fixture, sheet: string, from = catalogue): SupplyChoice {
  const assessor = createAssessor();
  const base: Base = { build: made.build, assessment: assessor.assess(made.build, AS_OF) };
  const run = supplyOffers(base, made.unit(sheet), from, assessor, AS_OF);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}
const offers = (...asked: Parameters<typeof choice>): readonly SupplyOffer[] => choice(...asked).offers;

test('a wasteful supply is beaten by those that surely lose less, the best first, by what their losses differ', () => {
  const wasteful = tweak('ember-650', {
    noLoadLossW: 40,
    efficiency: [
      { load: 0.2, pct: 60 },
      { load: 1, pct: 62 },
    ],
  });
  const found = offers(tower(wasteful).add('coot-1', 2), 'ember-650', wasteful);
  expect(found.length).toBeGreaterThan(0);
  const saved = found.map(({ savesKwh }) => savesKwh.value);
  expect(saved).toEqual([...saved].sort((a, b) => b - a));
  const before = powerFor(tower(wasteful).add('coot-1', 2).build);
  for (const one of found) {
    expect(one.savesKwh.lo).toBeGreaterThan(0);
    expect(one.causes.filter(({ severity }) => severity === 'blocker')).toEqual([]);
    // What is saved is what the year at the wall is less.
    const after = powerFor(one.after);
    expect(before.year!.kwh.value - after.year!.kwh.value).toBeCloseTo(one.savesKwh.value, 6);
    expect(before.year!.costMinor.value - after.year!.costMinor.value).toBeCloseTo(one.savesMinor.value, 4);
  }
});

test('what cannot be told apart is not offered, nor is a single supply for a redundant one', () => {
  const best = offers(tower().add('coot-1', 2), 'ember-650');
  for (const { sheet } of best) {
    const made = tower().add('coot-1', 2);
    const there = offers(made.edit(...best.find((one) => one.sheet === sheet)!.edits), sheet);
    expect(there.map((one) => one.sheet)).not.toContain('ember-650');
  }
  const redundant = rack().add('tern-16i').add('brazier-800').add('barge-12', 8);
  for (const { name } of offers(redundant, 'brazier-800')) expect(name).toMatch(/1\+1/);
});

test('every supply that goes there is told with what it loses in a year, the smallest first', () => {
  const made = tower().add('coot-1', 2);
  const { all } = choice(made, 'ember-650');
  const watts = all.map(({ givesW }) => givesW);
  expect(watts).toEqual([...watts].sort((a, b) => a - b));
  expect(watts.length).toBeGreaterThan(3);
  expect(all.filter(({ isTooSmall }) => isTooSmall).every(({ blockersAfter }) => blockersAfter > 0)).toBe(true);
  expect(choice(made, 'ember-650').now).toMatchObject({ name: 'Ember 650 ATX', givesW: 650 });
  const assessor = createAssessor();
  for (const { after, lossKwh, sheet } of all) {
    const unit = after.items.find((item) => item.sheet === sheet)!.units[0]!.id;
    expect(assessor.yearLoss(after, unit)!.kwh.value).toBeCloseTo(lossKwh.value, 9);
  }
});
