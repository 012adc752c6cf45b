import fc from 'fast-check';
import { createAssessor } from '../../assess';
import { powerOf as reckoned } from './powerOf';
import type { Build } from '../../build/build';
import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { inTurn, rack } from '../../testing/rules';
import { feedsOf } from './feeds';
import { chainsHold } from './chainStart';
import { plugPlans } from './plugPlan';
import { mildestStart, START_SHARE, startCurve, worstShare, type SpinUp, type StartCurve } from './startCurve';
import { turnsOf } from './turns';
import { priceAt } from './year';

const powerOf = ({ build }: Fixture) => reckoned(createAssessor().context(build), build, AS_OF.asOf);
const under = (made: Fixture, spinUp: SpinUp): Fixture => made.set({ policy: { ...made.build.policy, spinUp } });
const startOf = (made: Fixture): StartCurve => powerOf(made).boxes[0]!.start;
const peak12 = ({ steps }: StartCurve) => Math.max(...steps.map(({ a }) => a['12 V']));

/** A willing disk of one step, 10 s at 1.8 A and 0.7 A; turning it takes 0.3 A and 0.4 A. */
const DISK = {
  staggersStart: 'yes',
  spinUp: [{ atS: 0, forS: 10, a12: 1.8, a5: 0.7, a33: 0 }],
  idle12A: 0.3,
  idle5A: 0.4,
  idleW: 5.6,
  standbyW: 0.9,
};
const CHAIN = { key: 'chain', plugs: [{ plug: 'peripheral', count: 2 }], lengthMm: 500, gaugeAwg: 18 };
const willing = tweak('barge-12', DISK, tweak('tern-16i', { staggersStart: 'yes' }));
const fifteen = (from = willing) => rack(from).add('tern-16i').add('brazier-800').add('barge-12', 15);

test('fifteen disks under four policies, by hand: amps on 12 V and 5 V over the host’s, seconds until the last is ready', () => {
  const host = peak12(startOf(rack(willing).add('tern-16i').add('brazier-800')));
  const host5 = startOf(rack(willing).add('tern-16i').add('brazier-800')).steps[0]!.a['5 V'];
  const ask = (spinUp: SpinUp) => {
    const curve = startOf(under(fifteen(), spinUp));
    const five = Math.max(...curve.steps.map(({ a }) => a['5 V']));
    return [peak12(curve) - host, five - host5, curve.readyS].map((one) => Number(one.toFixed(3)));
  };
  // All at once: 15 × 1.8 and 15 × 0.7.
  expect(ask({ kind: 'together' })).toEqual([27, 10.5, 10]);
  // Waves of 4, 4, 4, 3 every 12 s: the third starts over 8 turning, 4 × 1.8 + 8 × 0.3; the fourth is less.
  expect(ask({ kind: 'waves', drives: 4, everyS: 12 })).toEqual([9.6, 6.9, 46]);
  // Every 5 s two waves overlap: eight start over 4 turning (15.6 and 7.2 A), then seven over 8 (15.0 and 8.1 A).
  expect(ask({ kind: 'waves', drives: 4, everyS: 5 })).toEqual([15.6, 8.1, 25]);
  // One by one, the last over 14 turning: 1.8 + 14 × 0.3.
  expect(ask({ kind: 'waves', drives: 1, everyS: 12 })).toEqual([6, 6.3, 178]);
});

test('the highest point of the curve is the figure of the start, on 12 V and at the wall', () => {
  for (const made of [fifteen(), fifteen(catalogue), cube(inTurn()).add('tern-8i').add('barge-8', 8)])
    for (const spinUp of [{ kind: 'together' }, { kind: 'waves', drives: 3, everyS: 8 }] as const) {
      const one = under(made, spinUp);
      const { start, states } = powerOf(one).boxes[0]!;
      expect(peak12(start)).toBeCloseTo(one.assess().figures['power.start12A']!.value, 9);
      const wall = states.find(({ state }) => state === 'start')!.wall;
      expect(Math.max(...start.steps.map(({ wallW }) => wallW))).toBeCloseTo(wall.value, 9);
    }
});

test('the mildest policy is that of looking at every hundredth of a second of every one on offer', () => {
  const made = fifteen(tweak('brazier-800', { rail12A: 22, ratedW: 300 }, willing));
  const { mildest } = powerOf(made);
  const sampled = (spinUp: SpinUp): { readonly share: number; readonly readyS: number } => {
    const { steps, limits, readyS } = startOf(under(made, spinUp));
    let share = 0;
    for (let second = 0; second < readyS; second += 0.01) {
      const now = steps.findLast(({ atS }) => atS <= second + 1e-9)!;
      share = Math.max(share, now.insideW / limits!.insideW, now.a['12 V'] / limits!.a['12 V']!);
      share = Math.max(share, limits!.a['5 V'] ? now.a['5 V'] / limits!.a['5 V'] : 0);
    }
    return { share, readyS };
  };
  const all = [1, 2, 3, 4, 6, 8, 12].flatMap((drives) =>
    [2, 5, 8, 10, 12, 15, 20].map((everyS) => ({
      drives,
      everyS,
      ...sampled({ kind: 'waves', drives, everyS }),
    })),
  );
  const within = all.filter(({ share }) => share <= START_SHARE);
  expect(sampled({ kind: 'together' }).share).toBeGreaterThan(START_SHARE);
  expect(within.length).toBeGreaterThan(0);
  const soonest = Math.min(...within.map(({ readyS }) => readyS));
  expect(mildest).toMatchObject({ readyS: soonest });
  const fewest = Math.max(...within.filter(({ readyS }) => readyS === soonest).map(({ drives }) => drives));
  expect(mildest!.spinUp).toMatchObject({ kind: 'waves' });
  expect(Math.ceil(15 / (mildest!.spinUp as { drives: number }).drives)).toBe(Math.ceil(15 / fewest));
});

test('what cables rule out by their longest pause is what looking at every policy rules out', () => {
  const step = (atS: number, forS: number, a12: number, a5 = 0.7) => ({ atS, forS, a12, a5, a33: 0 });
  const profiles = [
    [step(0, 10, 1.8)],
    [step(0, 4, 2.4), step(4, 6, 1.2)],
    // It rises later, and one takes less than idle at first.
    [step(0, 5, 0.9), step(5, 5, 2.2)],
    [step(0, 6, 0.1, 0.2), step(6, 6, 2)],
  ];
  for (const spinUp of profiles)
    for (const [count, plugs] of [
      [2, 8],
      [3, 5],
      [4, 4],
    ] as const) {
      const cables = [{ ...CHAIN, count, plugs: [{ plug: 'peripheral', count: plugs }] }];
      const made = fifteen(
        tweak(
          'brazier-800',
          { cables },
          tweak('barge-12', { ...DISK, spinUp }, tweak('tern-16i', { staggersStart: 'yes' })),
        ),
      );
      const context = createAssessor().context(made.build);
      const feed = feedsOf(context)[0]!;
      const all = [1, 2, 3, 4, 6, 8, 12].flatMap((drives) =>
        [2, 5, 8, 10, 12, 15, 20].flatMap((everyS) => {
          const policy: SpinUp = { kind: 'waves', drives, everyS };
          const curve = startCurve(context, feed, policy);
          const plans = plugPlans({ ...context, policy: { ...context.policy, spinUp: policy } });
          const turns = new Map(
            plans.flatMap(({ box }) => turnsOf(context, box, policy).map((one) => [one.drive.id, one.turnS])),
          );
          const holds = plans.every((plan) => chainsHold(plan, turns));
          return holds && worstShare(curve) <= START_SHARE ? [curve.readyS] : [];
        }),
      );
      const found = mildestStart(context)!;
      if (found.spinUp.kind === 'together') continue;
      expect([found.cablesHold, found.cablesHold && found.readyS]).toEqual(
        all.length > 0 ? [true, Math.min(...all)] : [false, false],
      );
    }
});

test('where all at once is within 80 % of everything nothing else is offered; where nothing is, nothing', () => {
  // Fifteen starts of 1.8 A through three cables of 8 A are past those, whatever the supply gives.
  expect(powerOf(fifteen()).mildest).toMatchObject({ spinUp: { kind: 'waves' }, cablesHold: true });
  const wide = tweak('brazier-800', { cables: [{ ...CHAIN, count: 6 }] }, willing);
  expect(powerOf(fifteen(wide)).mildest).toMatchObject({ spinUp: { kind: 'together' }, cablesHold: true });
  const thin = tweak(
    'brazier-800',
    { cables: [{ ...CHAIN, count: 1, plugs: [{ plug: 'peripheral', count: 6 }], gaugeAwg: 22 }] },
    willing,
  );
  expect(powerOf(fifteen(thin)).mildest).toMatchObject({ spinUp: { kind: 'together' }, cablesHold: false });
  expect(powerOf(fifteen(tweak('brazier-800', { rail12A: 5, ratedW: 60 }, willing))).mildest).toBeNull();
  // Disks of which nobody says that they wait start at once under every policy.
  const stuck = fifteen(tweak('barge-12', { ...DISK, staggersStart: 'unknown' }, willing));
  expect(powerOf(stuck).cannotWait).toBe(15);
  expect(peak12(startOf(under(stuck, { kind: 'waves', drives: 1, everyS: 12 })))).toBeCloseTo(
    peak12(startOf(stuck)),
    9,
  );
});

test('a longer stagger never raises a peak where a disk asks most at first', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 20 }),
      fc.integer({ min: 1, max: 20 }),
      (drives, shorter, more) => {
        const shares = [shorter, shorter + more].map((everyS) =>
          worstShare(startOf(under(fifteen(), { kind: 'waves', drives, everyS }))),
        );
        expect(shares[1]!).toBeLessThanOrEqual(shares[0]! + 1e-12);
      },
    ),
    { numRuns: 25, seed: 17 },
  );
});

test('a year is the integral of its days, in money by the band of the hour', () => {
  const made = cube();
  const idle = made.assess().figures['power.idleWallW']!;
  const profile = { ...made.build.profile, weekday: Array(24).fill('idle'), weekend: Array(24).fill('idle') };
  const all = (sections: Partial<Build>) =>
    powerOf(made.set({ profile: profile as Build['profile'], ...sections })).year!;
  const flat = all({ tariff: { currency: 'EUR', bands: [{ fromHour: 0, minorPerKwh: 30 }] } });
  expect(flat.kwh.value).toBeCloseTo((idle.value * 8766) / 1000, 6);
  expect(flat.kwh.lo).toBeCloseTo((idle.lo * 8766) / 1000, 3);
  expect(flat.costMinor.value).toBeCloseTo(flat.kwh.value * 30, 6);
  // From 7 to 21 at 32, else at 20: ten of 24 hours at night.
  const bands = [
    { fromHour: 7, minorPerKwh: 32 },
    { fromHour: 21, minorPerKwh: 20 },
  ];
  expect([0, 6, 7, 20, 21, 23].map((hour) => priceAt({ currency: 'EUR', bands }, hour))).toEqual([
    20, 20, 32, 32, 20, 20,
  ]);
  const night = all({ tariff: { currency: 'EUR', bands } });
  expect(night.costMinor.value).toBeCloseTo((idle.value / 1000) * 365.25 * (14 * 32 + 10 * 20), 6);
  // Half of the hours off: half of the energy.
  const half = { ...profile, weekday: [...Array(12).fill('off'), ...Array(12).fill('idle')] };
  half.weekend = half.weekday;
  // Off it draws what waits to be woken: 0.5 W / 0.75 + 0.3 W, for half of 8,766 h.
  const offKwh = ((0.5 / 0.75 + 0.3) * 4383) / 1000;
  expect(all({ profile: half as Build['profile'] }).kwh.value).toBeCloseTo(flat.kwh.value / 2 + offKwh, 6);
});

test('without a supply there are no limits, and without parts no power', () => {
  expect(powerOf(fixture().add('larder-8').add('wren-c8').add('drover-4')).boxes[0]).toMatchObject({
    supply: null,
    startShare: 0,
    start: { limits: null },
  });
  expect(powerOf(fixture())).toMatchObject({ together: [], mildest: null, year: null });
});
