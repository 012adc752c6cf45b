import { createAssessor } from '../../assess';
import { catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { rack, tower } from '../../testing/rules';
import { ofKind, type UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import { Ledger, rangedOf, type Quantity } from '../quantity';
import { earDb } from '../sound/ear';
import { boxAir } from './airBox';
import { siteWith } from './around';
import { airOf, marginOf } from './airOf';
import { chipK, driveKPerW, moduleKPerW, momentOf, OnDay } from './moment';
import { warmestCardC, hotDrives, hottestDriveC, warmthOf, type Warm } from './temperatures';
import { solveFlow } from './flow';

const contextOf = (made: Fixture) => createAssessor().context(made.build);
const warmth = (made: Fixture) => warmthOf(contextOf(made));
const drivesOf = (made: Fixture): Warm[] =>
  warmth(made).flatMap(({ warm }) => warm.filter(({ where }) => where !== 'processor' && where !== 'card'));
const hottest = (made: Fixture) => hottestDriveC(contextOf(made), new Ledger(false))!.value;
const site = (made: Fixture, more: Partial<Fixture['build']['site']>) =>
  made.set({ site: { ...made.build.site, ...more } });
const atDuty = (made: Fixture, duty: number) =>
  made.set({ policy: { ...made.build.policy, fans: { kind: 'fixed', duty } } });
const full = () => rack().add('tern-24i').add('brazier-800').add('barge-12', 24);

test('a row of drives behind a wall of fans, by hand: air, half its own heat, and its way out', () => {
  const made = atDuty(site(full(), { hotDayC: 32, cupboard: 'none' }), 1);
  const [box] = warmth(made);
  const { drivesM3h } = box!.air.hot.flow;
  const drive = drivesOf(made).find(({ where }) => where === 'stream')!;
  const watts = drive.on.hot.watts.value;
  // 24 bays abreast, all filled: each has a twenty-fourth of the air.
  const past = drivesM3h / 24;
  const air = 32 + ((2.985 * (273.15 + 32)) / 293.15) * (watts / 2 / past);
  expect(drive.on.hot.airC).toBeCloseTo(air, 6);
  expect(drive.on.hot.tempC.value).toBeCloseTo(air + watts * (0.5 + 1 / (0.25 + 0.4 * (past / 10) ** 0.6)), 6);
});

test('the flow of the rack is that of its walls and its two ways, drawn up by hand', () => {
  const { bypassShare: past, resistancePaPerM3h2: k } = catalogue.archetypes['rack-4u-24'] as unknown as {
    bypassShare: number;
    resistancePaPerM3h2: number;
  };
  const made = atDuty(full(), 1);
  const fans = made
    .assess()
    .units.flatMap(({ part, builtIn }) => (part.kind === 'fan' && builtIn ? [{ part, key: builtIn.spot.key }] : []));
  const wall = (key: string) => ({
    fans: fans
      .filter((one) => one.key === key)
      .map(({ part }) => ({ flowM3h: part.flowM3h, pressurePa: part.pressurePa })),
    openM2: 0,
  });
  const own = warmth(made)[0]!.air.hot.flow;
  const exit = wall('rear');
  const by = (supplyM3h: number) =>
    solveFlow({
      driveWalls: [wall('wall')],
      kDrives: k / (1 - past) ** 2,
      kPast: k / past ** 2,
      sideWall: null,
      exitWall: exit,
      supplyM3h,
    }).drivesM3h;
  // The supply draws between what it does idle and full.
  expect(own.drivesM3h).toBeGreaterThan(by(25) - 1e-6);
  expect(own.drivesM3h).toBeLessThan(by(70) + 1e-6);
});

test('more duty is never hotter in the open; a hotter room is hotter by as much', () => {
  const temps = [0.3, 0.4, 0.6, 0.8, 1].map((duty) => hottest(atDuty(full(), duty)));
  expect(temps).toEqual([...temps].sort((a, b) => b - a));
  const at = (hotDayC: number) => hottest(site(full(), { hotDayC }));
  expect(at(42) - at(32)).toBeGreaterThan(9.9);
  expect(at(42) - at(32)).toBeLessThan(10.6);
});

test('a cupboard warms by what is drawn at the wall over what it gives off; a vented one less', () => {
  const of = (cupboard: 'none' | 'vented' | 'closed') =>
    warmth(site(full(), { cupboard, hotDayC: 30 }))[0]!.air.hot.aroundC;
  expect(of('none')).toBe(30);
  expect(of('closed') - 30).toBeCloseTo(2 * (of('vented') - 30), 6);
  expect(of('closed')).toBeGreaterThan(60);
});

test('without a fan warmth moves the air itself, and the skin gives off the rest', () => {
  const still = tweak('creel-2w', { builtIn: [] });
  const made = fixture(still).add('creel-2w').add('sprig-i2').add('barge-4', 1);
  const box = warmth(made)[0];
  expect(box?.air.hot.isStill).toBe(true);
  expect(box!.air.hot.insideC).toBeGreaterThan(made.build.site.hotDayC);
  // What goes in as heat comes out by air and skin: more of it, more warmth, less than in proportion.
  const rise = (watts: number) => {
    const from = tweak('sprig-i2', { busyW: watts }, still);
    const one = fixture(from).add('creel-2w').add('sprig-i2').add('barge-4', 1);
    return warmth(one)[0]!.air.hot.insideC - one.build.site.hotDayC;
  };
  expect(rise(40)).toBeGreaterThan(rise(20));
  expect(rise(40)).toBeLessThan(2 * rise(20));
});

test('a drive behind everything is warmer than one in the stream', () => {
  const made = cube()
    .add('barge-8', 2)
    .add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
  const where = new Map(drivesOf(made).map((one) => [one.where, one.on.hot.airC]));
  expect(where.get('inside')!).toBeGreaterThan(where.get('stream')! - 3);
  expect([...where.keys()].sort()).toEqual(['inside', 'stream']);
});

test('laws by hand: ways out of drives, modules and chips', () => {
  expect(driveKPerW(true, 10)).toBeCloseTo(0.5 + 1 / 0.65, 9);
  expect(driveKPerW(false, 10)).toBeCloseTo(0.5 + 1 / 0.26, 9);
  expect(moduleKPerW(1)).toBeCloseTo(1 / 0.085, 9);
  expect(chipK(10, 4)).toBeCloseTo(20, 9);
  // Still air counts as a fifth of a metre a second.
  expect(chipK(10, 0)).toBeCloseTo(40 / Math.sqrt(0.2), 9);
});

test.each([
  ['the hottest drive', (context: FigureContext, ledger: Ledger) => hottestDriveC(context, ledger)!],
  ['noise at the ear', (context: FigureContext, ledger: Ledger) => earDb(context, ledger, 'working')!],
  ['a controller', (context: FigureContext, ledger: Ledger) => chipOf(context, ledger)],
])('%s: of two thousand draws from within its facts nine in ten lie in its range', (_what, of) => {
  const context = contextOf(full());
  const { lo, hi } = rangedOf(of(context, new Ledger(false)));
  let seed = 5;
  const uniform = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  let inside = 0;
  const draws = 2000;
  for (let i = 0; i < draws; i++) {
    const known = new Map<string, number>();
    const draw = (fact: { id: string; value: number; lo: number; hi: number }): number => {
      const at = known.get(fact.id) ?? uniform();
      known.set(fact.id, at);
      return fact.lo + at * (fact.hi - fact.lo);
    };
    const { value } = of(context, new Ledger(false, draw));
    if (value >= lo && value <= hi) inside++;
  }
  expect(inside / draws).toBeGreaterThan(0.9);
});

/** The chip of the first controller on the hottest day. */
function chipOf(context: FigureContext, ledger: Ledger): Quantity {
  const box = context.units.find(({ part }) => part.kind === 'chassis') as UnitOf<'chassis'>;
  const day = new OnDay(context, boxAir(context, box)!, momentOf(context, 'hot'), ledger);
  return day.ofCard(ofKind(context.running, 'controller')[0]!, []).tempC;
}

test('a cupboard is never cooler at the same duty; one of which nothing is known is taken to be closed', () => {
  for (const duty of [0.3, 0.6, 1]) {
    const of = (more: Partial<Fixture['build']['site']>) => hottest(site(atDuty(full(), duty), more));
    const [open, vented, closed] = (['none', 'vented', 'closed'] as const).map((cupboard) => of({ cupboard }));
    expect(vented!).toBeGreaterThan(open!);
    expect(closed!).toBeGreaterThan(vented!);
    expect(of({ place: 'cupboard', cupboard: 'none' })).toBeCloseTo(of({ place: 'cupboard', cupboard: 'closed' }), 9);
  }
  // In a cupboard faster fans that draw more may heat what they are to cool.
  const thirsty = tweak('stock-120x38', { maxW: 60 });
  const made = (duty: number) =>
    site(atDuty(rack(thirsty).add('tern-24i').add('brazier-800').add('barge-12', 24), duty), { cupboard: 'closed' });
  expect(hottest(made(1))).toBeGreaterThan(hottest(made(0.6)));
});

test('air that another machine has warmed is so much warmer, and a place in a cupboard comes and goes with it', () => {
  expect(hottest(site(full(), { intakeWarmerK: 6 })) - hottest(full())).toBeCloseTo(6, 0);
  const { site: before } = full().build;
  const inside = siteWith(before, 'place', 'cupboard');
  expect(inside).toMatchObject({ place: 'cupboard', cupboard: 'closed' });
  expect(siteWith(siteWith(inside, 'cupboard', 'vented'), 'place', 'cupboard').cupboard).toBe('vented');
  expect(siteWith(inside, 'place', 'shelf').cupboard).toBe('none');
  expect(siteWith(inside, 'cupboard', 'none')).toMatchObject({ place: 'shelf', cupboard: 'none' });
});

test('an open frame is not reckoned, and rows of the view stand by their margin', () => {
  expect(warmth(fixture().add('trestle-7').add('barge-8', 2))).toEqual([]);
  const { boxes, heard } = airOf(contextOf(full()));
  const margins = boxes[0]!.rows.map(marginOf);
  expect(margins).toEqual([...margins].sort((a, b) => a - b));
  expect(heard.map(({ state }) => state)).toEqual(['idle', 'working', 'peak']);
  expect(heard[2]!.ear.value).toBeGreaterThan(heard[0]!.ear.value);
  // What is tried stands in for what is set.
  const faster = airOf(contextOf(full()), { duty: 1 });
  expect(faster.boxes[0]!.air.hot.flow.drivesM3h).toBeGreaterThan(boxes[0]!.air.hot.flow.drivesM3h);
});

test('like drives of one place are one row, those of another are another', () => {
  const made = tower().add('barge-8', 3);
  const all = hotDrives(contextOf(made), new Ledger(false));
  expect(all.map(({ drives }) => drives.length)).toEqual([3]);
});

test('the slowest duty that keeps every drive and card 5 K within its limit; one step slower does not', () => {
  const { slowest } = airOf(contextOf(full()));
  const margin = (duty: number) =>
    Math.min(
      ...warmth(atDuty(full(), duty)).flatMap(({ warm }) =>
        warm
          .filter(({ where }) => where === 'stream' || where === 'card')
          .map(({ limitC, on }) => limitC - on.hot.tempC.value),
      ),
    );
  expect(margin(slowest!.duty)).toBeGreaterThanOrEqual(5);
  expect(slowest!.marginK).toBeCloseTo(margin(slowest!.duty), 9);
  if (slowest!.duty > 0.2) expect(margin(slowest!.duty - 0.05)).toBeLessThan(5);
  // Where no duty does, there is none.
  expect(airOf(contextOf(site(full(), { hotDayC: 59 }))).slowest).toBeNull();
});

test('with one fan of a wall standing still its drives are warmer: air leaks back through it', () => {
  const { without } = airOf(contextOf(full()));
  const wall = without.find(({ count }) => count === 3)!;
  expect(wall.hottestC).toBeGreaterThan(hottest(full()) + 0.5);
  expect(without.map(({ limitC, hottestC }) => limitC - hottestC)).toEqual(
    [...without].map(({ limitC, hottestC }) => limitC - hottestC).sort((a, b) => a - b),
  );
});

const holding = (made: Fixture, hottestDriveC: number) =>
  made.set({ policy: { ...made.build.policy, fans: { kind: 'hold', hottestDriveC } } });

test('a policy that holds a temperature is solved: the slowest fans that do, on each of the days', () => {
  const { heldDuty } = contextOf(holding(full(), 50));
  expect(heldDuty!.holds).toEqual({ normal: true, hot: true });
  expect(heldDuty!.hot).toBeGreaterThan(heldDuty!.normal);
  const at = (duty: number) => hottest(atDuty(full(), duty));
  expect(at(heldDuty!.hot)).toBeLessThanOrEqual(50);
  expect(at(heldDuty!.hot - 0.03)).toBeGreaterThan(50);
  // Idle figures follow the normal day's duty, busy ones the hottest day's.
  const quiet = holding(full(), 50).assess().figures['sound.earIdleDb']!.value;
  const fixed = atDuty(full(), heldDuty!.normal).assess().figures['sound.earIdleDb']!.value;
  expect(quiet).toBeCloseTo(fixed, 6);
  expect(holding(full(), 50).assess().figures['air.hottestDriveC']!.value).toBeLessThanOrEqual(50);
});

test('chips of cards are held as well where the policy wants it, and it says when they want more than the drives', () => {
  const held = (cardsC?: number) => {
    const made = holding(full(), 60);
    const fans = { kind: 'hold' as const, hottestDriveC: 60, ...(cardsC === undefined ? {} : { cardsC }) };
    return contextOf(made.set({ policy: { ...made.build.policy, fans } })).heldDuty!;
  };
  const [alone, loose, strict] = [held(), held(110), held(90)];
  expect(alone.forCards).toEqual({ normal: false, hot: false });
  expect(loose.hot).toBeGreaterThanOrEqual(alone.hot);
  expect(strict.hot).toBeGreaterThan(loose.hot);
  expect(strict.forCards.hot).toBe(true);
  // No speed holds them lower than full speed makes them.
  expect(held(60).holds.hot).toBe(false);
  // At that duty the warmest chip is at its target, a little slower it is past it.
  const card = (duty: number) => warmestCardC(contextOf(atDuty(full(), duty)), 'hot')!;
  expect(card(strict.hot)).toBeLessThanOrEqual(90);
  expect(card(strict.hot - 0.03)).toBeGreaterThan(90);
});

test('what no duty holds takes the coolest, and says so; a fixed duty is not solved for', () => {
  const { heldDuty } = contextOf(holding(site(full(), { hotDayC: 50 }), 40));
  expect(heldDuty).toMatchObject({ hot: 1, holds: { hot: false } });
  expect(contextOf(full()).heldDuty).toBeUndefined();
  // Without drives there is nothing to hold.
  expect(contextOf(holding(rack().add('brazier-800'), 40)).heldDuty).toBeUndefined();
});

test('in a closed cupboard every step is looked at, and the coolest found even where more duty heats', () => {
  const made = site(holding(full(), 20), { cupboard: 'closed', hotDayC: 25 });
  const { heldDuty } = contextOf(made);
  const at = (duty: number) => hottest(site(atDuty(full(), duty), { cupboard: 'closed', hotDayC: 25 }));
  const temps = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1].map((duty) => [duty, at(duty)] as const);
  const coolest = temps.reduce((least, one) => (one[1] < least[1] ? one : least));
  expect(heldDuty!.hot).toBeCloseTo(coolest[0], 9);
});
