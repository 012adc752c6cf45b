import fc from 'fast-check';
import { cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { inTurn, rack, tower } from '../../testing/rules';
import { createAssessor } from '../../assess';
import { ofKind } from '../../machine/units';
import { monotoneCubic } from '../monotoneCubic';
import { fanRpmShare, straightThrough } from '../fanCurve';
import type { FigureContext } from '../context';
import { currents, together } from './currents';
import type { PartOf } from '../../parts/resolve';
import { Ledger } from '../quantity';
import { draw } from './draw';
import { feedsOf } from './feeds';
import { powerOf } from './powerOf';
import { railsIn } from './rails';
import { supplyLossW } from './supplyLoss';

const figure = (made: Fixture, id: 'power.idleWallW' | 'power.peakWallW' | 'power.start12A') =>
  made.assess().figures[id]!;
const supplyOf = (made: Fixture) => ofKind(made.assess().units, 'supply')[0]!.part;

test('a monotone cubic goes through its points, never turns between them, and goes on with its end slope', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.double({ min: 0.1, max: 5, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true })), {
        minLength: 2,
        maxLength: 7,
      }),
      (steps) => {
        let x = 0;
        let y = 1;
        const points = steps.map(([dx, dy]): [number, number] => [(x += dx), (y += dy)]);
        const curve = monotoneCubic(points);
        for (const [px, py] of points) expect(curve(px)).toBeCloseTo(py, 9);
        let before = -Infinity;
        for (let i = 0; i <= 200; i++) {
          const at = curve(points[0]![0] + ((x - points[0]![0]) * i) / 200);
          expect(at).toBeGreaterThanOrEqual(before - 1e-9);
          before = at;
        }
      },
    ),
    { numRuns: 60, seed: 2 },
  );
});

test('slopes of the cubic are those of PCHIP: 7/6, 9/13 and 1/6 through (0, 0), (1, 1), (3, 2)', () => {
  const curve = monotoneCubic([
    [0, 0],
    [1, 1],
    [3, 2],
  ]);
  const slopeAt = (x: number) => (curve(x + 1e-6) - curve(x - 1e-6)) / 2e-6;
  expect([slopeAt(-1), slopeAt(1), slopeAt(4)].map((one) => Number(one.toFixed(4)))).toEqual([1.1667, 0.6923, 0.1667]);
});

test('a load stated twice counts with the lower efficiency, and stays a number', () => {
  const { efficiency } = supplyOf(cube());
  const twice = {
    ...supplyOf(cube()),
    efficiency: [...efficiency, { ...efficiency[0]!, pct: efficiency[0]!.pct - 5 }],
  };
  const lower = {
    ...supplyOf(cube()),
    efficiency: [{ ...efficiency[0]!, pct: efficiency[0]!.pct - 5 }, ...efficiency.slice(1)],
  };
  expect(supplyLossW(twice, 60)).toBeCloseTo(supplyLossW(lower, 60), 9);
});

test('450 W gold at 20, 50 and 100 % load loses what its efficiency says; without load 1.1 % of 450 W', () => {
  const supply = supplyOf(cube());
  expect(supplyLossW(supply, 90)).toBeCloseTo(90 / 0.9 - 90, 9);
  expect(supplyLossW(supply, 225)).toBeCloseTo(225 / 0.92 - 225, 9);
  expect(supplyLossW(supply, 450)).toBeCloseTo(450 / 0.89 - 450, 9);
  expect(supplyLossW(supply, 0)).toBeCloseTo(4.95, 9);
});

test('two modules share the load: twice the loss of half the load each', () => {
  const supply = supplyOf(fixture().add('gable-24').add('brazier-800'));
  expect(supply.modules).toBe(2);
  // Half load of both, each of 800 W.
  expect(supplyLossW(supply, 800)).toBeCloseTo(2 * (400 / 0.94 - 400), 6);
});

test('idle at the wall of the plain cube, by hand', () => {
  // Board 8.5, processor 4.5 / 0.75 = 6, memory 2 × 1.2, backplane 1.5, fans at 40 % duty: rpm share 0.4867.
  const share = 0.3 + ((0.4 - 0.2) / 0.3) * 0.28;
  const fan = (maxW: number) => (maxW - 0.2) * share ** 3 + 0.2;
  const parts = 8.5 + 6 + 2.4 + 1.5 + fan(2.2) + fan(1.2);
  expect(
    fanRpmShare(
      {
        curve: [
          { duty: 0, rpmShare: 0.2 },
          { duty: 0.2, rpmShare: 0.3 },
          { duty: 0.5, rpmShare: 0.58 },
          { duty: 1, rpmShare: 1 },
        ],
        startDuty: 0.1,
      },
      0.4,
    ),
  ).toBeCloseTo(share, 9);
  const supply = supplyOf(cube());
  expect(figure(cube(), 'power.idleWallW').value).toBeCloseTo(parts + supplyLossW(supply, parts), 6);
});

test('on 115 V a supply loses about a quarter more, by a wider range', () => {
  const at = (mainsV: 115 | 230) => figure(cube().set({ site: { ...cube().build.site, mainsV } }), 'power.idleWallW');
  const inside = at(230).value - lossAt(230);
  expect(at(115).value).toBeCloseTo(inside + 1.23 * lossAt(230), 6);
  expect(at(115).hi - at(115).value).toBeGreaterThan(at(230).hi - at(230).value);

  function lossAt(mainsV: 115 | 230): number {
    const supply = supplyOf(cube());
    let parts = 0;
    let step = at(mainsV).value;
    // What goes in is what comes out and its loss: solved by halving.
    for (let i = 0; i < 60; i++, step /= 2)
      if (parts + step + supplyLossW(supply, parts + step) <= at(mainsV).value) parts += step;
    return supplyLossW(supply, parts);
  }
});

test('peak is everything at its maximum with fans at full, or the start of the drives where that is more', () => {
  const wall = (made: Fixture, parts: number) => parts + supplyLossW(supplyOf(made), parts);
  const calm = cube().add('pike-960', 2);
  const most = 20 + 58 / 0.88 + 2 * 3.5 + 1.5 + 2.2 + 1.2 + 2 * 4;
  expect(figure(calm, 'power.peakWallW').note).toBeUndefined();
  expect(figure(calm, 'power.peakWallW').value).toBeCloseTo(wall(calm, most), 6);
  // Two disks start on 1.6 A of 12 V and 0.6 A of 5 V each; the host is busy with its self-test.
  const disks = cube().add('barge-8', 2);
  const start = 14 + 40 / 0.88 + 2 * 3 + 1.5 + 2.2 + 1.2 + 2 * (12 * 1.6 + 5 * 0.6);
  expect(figure(disks, 'power.peakWallW')).toMatchObject({ note: 'at the start' });
  expect(figure(disks, 'power.peakWallW').value).toBeCloseTo(wall(disks, start), 6);
});

test('states rise from asleep to peak, and each box is told where there are several', () => {
  const made = rack().add('brazier-800').add('tern-4i4e').add('loft-16').add('barge-8', 20);
  const keyed = createAssessor().keyed(made.build);
  const of = (state: string, box?: string) => keyed.find(({ key }) => key.state === state && key.box === box)!.value;
  const states = ['asleep', 'idle', 'working', 'busy', 'peak'].map((state) => of(state));
  expect(states).toEqual([...states].sort((a, b) => a - b));
  const boxes = [made.unit('gable-24'), made.unit('loft-16')];
  expect(boxes.reduce((sum, box) => sum + of('idle', box), 0)).toBeCloseTo(of('idle'), 9);
  // Each box's own worst moment is no less than what it takes at the worst moment of both.
  expect(boxes.reduce((sum, box) => sum + of('start', box), 0)).toBeGreaterThanOrEqual(of('start') - 1e-9);
});

test('a controller keeps the processor from deep idle: 4 W besides its own', () => {
  const supply = supplyOf(cube());
  const before = figure(cube(), 'power.idleWallW').value;
  const after = figure(cube().add('tern-8i'), 'power.idleWallW').value;
  expect(after - before).toBeGreaterThan(13);
  expect(after - before).toBeLessThan(13 + supplyLossW(supply, 60));
});

test('without a supply the parts are counted and the loss is left out', () => {
  const bare = fixture().add('larder-8').add('wren-c8').add('drover-4');
  expect(createAssessor().explain(bare.build, 'power.idleWallW')!.working.formula).toContain('no supply');
});

test('eight disks starting together: 8 × 1.6 A and the rest of the machine on 12 V', () => {
  const made = cube().add('barge-8', 8);
  const start = figure(made, 'power.start12A');
  const rest = 14 * 0.6 + 40 / 0.88 + 2 * 3 + 2.2 + 1.2;
  expect(start.value).toBeCloseTo(8 * 1.6 + rest / 12, 6);
  expect(start.unit).toBe('A');
});

test('waves of two spread the start', () => {
  const together = cube(inTurn()).add('tern-8i').add('barge-8', 8);
  const waves = together.edit({
    type: 'set.policy',
    value: { spinUp: { kind: 'waves', drives: 2, everyS: 12 }, fans: { kind: 'fixed', duty: 0.4 } },
  });
  const turning = 6 * ((3.5 * 0.6) / 12);
  // Near busy in its self-test, with the card that the other drives hang on.
  const rest = 14 * 0.6 + 40 / 0.88 + 2 * 3 + 2.2 + 1.2 + 13;
  expect(figure(waves, 'power.start12A').value).toBeCloseTo(2 * 1.6 + turning + rest / 12, 3);
});

test('flash starts nothing on 12 V', () => {
  expect(cube().add('pike-960', 4).assess().figures['power.start12A']).toBeUndefined();
});

test('at a fixed duty and policy, taking a consumer out never raises a figure of power', () => {
  const full = cube().add('tern-8i').add('barge-8', 4).add('pike-960', 2).add('skein-10');
  const before = full.assess().figures;
  for (const item of full.build.items.filter((one) => !['larder-8', 'ember-450s'].includes(one.sheet))) {
    const after = full.edit({ type: 'item.remove', item: item.id }).assess().figures;
    for (const id of ['power.idleWallW', 'power.peakWallW', 'power.start12A'] as const)
      expect(after[id]?.value ?? 0).toBeLessThanOrEqual(before[id]!.value + 1e-9);
  }
});

test('a stated efficiency errs by 15 % of the loss, a typical one by 30 %', () => {
  const typical = figure(cube(), 'power.idleWallW');
  const sheet = tweak('ember-450s', {
    efficiency: [
      { load: 0.2, pct: 90 },
      { load: 0.5, pct: 92 },
      { load: 1, pct: 89 },
    ],
  });
  const stated = figure(cube(sheet), 'power.idleWallW');
  expect(stated.value).toBeCloseTo(typical.value, 9);
  expect(stated.hi - stated.lo).toBeLessThan(typical.hi - typical.lo);
});

test('between points a line is straight, outside it is level', () => {
  const points = [
    [0, 1],
    [2, 3],
  ] as const;
  expect([-1, 0, 1, 2, 5].map((x) => straightThrough(points, x))).toEqual([1, 1, 2, 3, 3]);
});

test('currents of a start in waves, by hand: the second wave starts while the first turns', () => {
  const made = cube(inTurn())
    .add('tern-8i')
    .add('barge-8', 4)
    .set({ policy: { ...cube().build.policy, spinUp: { kind: 'waves', drives: 2, everyS: 12 } } });
  const { units, layout } = made.assess();
  const context = { units, layout, running: units, policy: made.build.policy } as unknown as FigureContext;
  const feed = feedsOf(context)[0]!;
  const { momentsS, at } = currents(context, feed, '12 V');
  const { spinUp, idle12A } = ofKind(units, 'drive')[0]!.part;
  const { a12, forS } = spinUp[0]!;
  expect(momentsS).toEqual([0, forS, 12, 12 + forS]);
  expect(together(at(0))).toBeCloseTo(2 * a12, 9);
  expect(together(at(forS))).toBeCloseTo(2 * idle12A, 9);
  expect(together(at(12))).toBeCloseTo(2 * idle12A + 2 * a12, 9);
  expect(together(at(100))).toBeCloseTo(4 * idle12A, 9);
  expect(together(currents(context, feed, '5 V').at(0))).toBeCloseTo(2 * spinUp[0]!.a5, 9);
  expect(currents(context, feed, '3.3 V').momentsS).toEqual([]);
});

test('what does not say that it waits starts with the first, whatever the policy', () => {
  const waves = (from: Parameters<typeof cube>[0]) =>
    cube(from)
      .add('tern-8i')
      .add('barge-8', 8)
      .edit({
        type: 'set.policy',
        value: { spinUp: { kind: 'waves', drives: 2, everyS: 12 }, fans: { kind: 'fixed', duty: 0.4 } },
      });
  const start = (from: Parameters<typeof cube>[0]) => figure(waves(from), 'power.start12A').value;
  const all = figure(cube().add('tern-8i').add('barge-8', 8), 'power.start12A').value;
  expect(start(inTurn())).toBeLessThan(all - 7);
  expect(start(tweak('barge-8', { staggersStart: 'unknown' }, inTurn()))).toBeCloseTo(all, 9);
  // Those on the board's own ports do not wait then, those on the card do.
  const some = start(tweak('wren-c8', { staggersStart: 'no' }, inTurn()));
  expect(some).toBeGreaterThan(start(inTurn()));
  expect(some).toBeLessThan(all);
});

test('A by rail in every state but the start: by hand from the sheets of a board with four disks', () => {
  const { build } = tower().add('barge-8', 4);
  const assessor = createAssessor();
  assessor.assess(build, { asOf: '2026-11-01' });
  const context = assessor.context(build);
  const [box] = powerOf(context, build, '2026-11-01').boxes;
  const at = (state: string) => box!.states.find((one) => one.state === state)!;
  const disk = context.units.find(({ part }) => part.id === 'barge-8')!.part as PartOf<'drive'>;
  const bare = createAssessor().context(tower().build);
  const feed = feedsOf(bare)[0]!;
  for (const [state, twelve, five] of [
    ['idle', disk.idle12A, disk.idle5A],
    ['busy', disk.busy12A, disk.busy5A],
  ] as const) {
    const rest = railsIn(bare, feed, state);
    expect(at(state).a!['12 V']).toBeCloseTo(rest['12 V'] + 4 * twelve, 6);
    expect(at(state).a!['5 V']).toBeCloseTo(rest['5 V'] + 4 * five, 6);
    // Rails together are what is drawn inside.
    expect(rest['12 V'] * 12 + rest['5 V'] * 5 + rest['3.3 V'] * 3.3).toBeCloseTo(
      draw(bare, state, new Ledger(false)).reduce((sum, { watts }) => sum + watts.value, 0),
      6,
    );
  }
  expect(at('start').a).toBeUndefined();
});
