import { atSpeed, draughtM3h, emptyMountM2, resistanceOf, solveFlow, stoppedM2, wallFlow, warmingK } from './flow';
import type { AirBox, Blower, FanWall } from './flow';

const quiet: Blower = { flowM3h: 95, pressurePa: 20 };
const strong: Blower = { flowM3h: 300, pressurePa: 200 };
const wall = (...fans: Blower[]): FanWall => ({ fans, openM2: 0 });
const box = (more: Partial<AirBox>): AirBox => ({
  driveWalls: [],
  kDrives: 8e-4,
  kPast: 1e9,
  sideWall: null,
  exitWall: null,
  supplyM3h: 0,
  ...more,
});
/** Where a straight fan meets k·q²: the root of k·q² + (p/q₀)·q − p. */
const byHand = (flow: number, pa: number, k: number) => {
  const slope = pa / flow;
  return (-slope + Math.sqrt(slope * slope + 4 * k * pa)) / (2 * k);
};

test('one wall of one fan meets the resistance where the quadratic says', () => {
  expect(solveFlow(box({ driveWalls: [wall(quiet)] })).drivesM3h).toBeCloseTo(byHand(95, 20, 8e-4), 8);
});

test('three alike in parallel are three times the flow at the same pressure', () => {
  const flow = solveFlow(box({ driveWalls: [wall(strong, strong, strong)] })).drivesM3h;
  expect(flow).toBeCloseTo(byHand(900, 200, 8e-4), 7);
});

test('two walls in series add pressure, not flow', () => {
  const flow = solveFlow(box({ driveWalls: [wall(quiet), wall(quiet)] })).drivesM3h;
  expect(flow).toBeCloseTo(byHand(95, 40, 8e-4), 8);
  // Without resistance no more than one of them moves.
  expect(solveFlow(box({ driveWalls: [wall(quiet), wall(quiet)], kDrives: 1e-12 })).drivesM3h).toBeCloseTo(95, 3);
});

test('a weak fan beside a strong one is blown through backwards', () => {
  // At 40 Pa the quiet one of 20 Pa goes backwards by its whole flow: 95·(1 − 40/20) = −95.
  expect(wallFlow(wall(quiet), 40)).toBeCloseTo(-95, 9);
  const alone = solveFlow(box({ driveWalls: [wall(strong)], kDrives: 4e-3 })).drivesM3h;
  const beside = solveFlow(box({ driveWalls: [wall(strong, quiet)], kDrives: 4e-3 })).drivesM3h;
  expect(beside).toBeLessThan(alone);
});

test('front and rear walls: what is open between them starves the drives before a drawing wall, and helps a pushing one', () => {
  const rearOnly = (kPast: number) => solveFlow(box({ exitWall: wall(quiet), kPast }));
  expect(rearOnly(3.2e-3).drivesM3h).toBeLessThan(rearOnly(1e9).drivesM3h);
  // Half of the air goes past where both ways are alike.
  const even = rearOnly(8e-4);
  expect(even.drivesM3h).toBeCloseTo(even.pastM3h, 8);
  expect(even.drivesM3h + even.pastM3h).toBeCloseTo(byHand(95, 20, 8e-4 / 4), 7);
  const pushing = (kPast: number) =>
    solveFlow(box({ driveWalls: [wall(strong)], exitWall: { fans: [], openM2: 0.004 }, kPast }));
  expect(pushing(3.2e-3).drivesM3h).toBeGreaterThan(pushing(1e9).drivesM3h);
  expect(pushing(3.2e-3).pastM3h).toBeLessThan(0);
});

test('an empty mount beside running fans leaks back, a stopped fan less', () => {
  const flow = (openM2: number) =>
    solveFlow(box({ driveWalls: [{ fans: [strong], openM2 }], kDrives: 4e-3 })).drivesM3h;
  expect(emptyMountM2(120)).toBeCloseTo(0.9 * Math.PI * 0.06 ** 2, 9);
  expect(stoppedM2(120)).toBeCloseTo(0.6 * Math.PI * 0.06 ** 2 * 0.84, 9);
  expect(flow(emptyMountM2(120))).toBeLessThan(flow(stoppedM2(120)));
  expect(flow(stoppedM2(120))).toBeLessThan(flow(0));
});

test('a fan like its neighbours in a free mount of a sealed drive wall never lowers the flow', () => {
  let seed = 3;
  const draw = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  for (let i = 0; i < 200; i++) {
    const fan = { flowM3h: 20 + 400 * draw(), pressurePa: 5 + 300 * draw() };
    const n = 1 + Math.floor(4 * draw());
    const of = (count: number) =>
      solveFlow(
        box({
          driveWalls: [wall(...Array.from({ length: count }, () => fan))],
          kDrives: 10 ** (-5 + 3 * draw()),
          exitWall: { fans: [], openM2: 0.003 + 0.02 * draw() },
        }),
      );
    const at = seed;
    const few = of(n);
    seed = at;
    expect(of(n + 1).drivesM3h).toBeGreaterThanOrEqual(few.drivesM3h - 1e-9);
  }
});

test('what comes in goes out, on drawn machines, to a part in a thousand million', () => {
  let seed = 11;
  const draw = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  const fan = (): Blower => ({ flowM3h: 10 + 300 * draw(), pressurePa: 3 + 300 * draw() });
  const some = (most: number) => Array.from({ length: Math.floor(most * draw()) }, fan);
  for (let i = 0; i < 1000; i++) {
    const one = box({
      driveWalls: [{ fans: [fan(), ...some(3)], openM2: draw() < 0.5 ? 0 : 0.01 * draw() }, wall(...some(3))],
      exitWall: { fans: some(3), openM2: 0.001 + 0.02 * draw() },
      sideWall: draw() < 0.3 ? wall(fan()) : null,
      kDrives: 10 ** (-5 + 3 * draw()),
      kPast: 10 ** (-4 + 4 * draw()),
      supplyM3h: 60 * draw(),
    });
    const { drivesM3h, pastM3h, insidePa } = solveFlow(one);
    // The balance, with every wall's gain found by another way, changes sign within a part in a thousand million.
    const balance = (flow: number): number => {
      const inside =
        one.driveWalls
          .filter(({ fans }) => fans.length > 0)
          .reduce((sum, each) => sum + secant((pa) => wallFlow(each, pa) - flow), 0) -
        one.kDrives * flow * Math.abs(flow);
      const side = one.sideWall ? wallFlow(one.sideWall, inside) : 0;
      const past = -Math.sign(inside) * Math.sqrt(Math.abs(inside) / one.kPast);
      return flow + side + past - wallFlow(one.exitWall!, -inside) - one.supplyM3h;
    };
    const step = 1e-9 * Math.max(1, Math.abs(drivesM3h));
    expect(balance(drivesM3h - step)).toBeLessThan(0);
    expect(balance(drivesM3h + step)).toBeGreaterThan(0);
    const side = one.sideWall ? wallFlow(one.sideWall, insidePa) : 0;
    const out = wallFlow(one.exitWall!, -insidePa) + one.supplyM3h;
    expect(drivesM3h + pastM3h + side - out).toBeCloseTo(0, 4);
  }
});

/** Another way to a root: the secant, from both sides. */
function secant(f: (x: number) => number): number {
  let [low, high] = [-1e5, 1e5];
  for (let i = 0; i < 300; i++) {
    const middle = low + (high - low) * (i % 2 ? 0.5 : Math.min(0.9, Math.max(0.1, f(low) / (f(low) - f(high)))));
    if (f(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

test('speed, draught and warming, by hand', () => {
  expect(atSpeed(quiet, 0.5)).toEqual({ flowM3h: 47.5, pressurePa: 5 });
  // A tower of 0.4 m, 10 K warmer than a room of 20 °C: about 23 m³/h.
  expect(draughtM3h(0.4, 20, 30, 2.9e-4)).toBeCloseTo(Math.sqrt((3463 * 0.4 * (1 / 293.15 - 1 / 303.15)) / 2.9e-4), 9);
  expect(draughtM3h(0.4, 20, 30, 2.9e-4)).toBeGreaterThan(18);
  expect(draughtM3h(0.4, 20, 30, 2.9e-4)).toBeLessThan(26);
  expect(draughtM3h(0.4, 30, 20, 2.9e-4)).toBe(0);
  expect(warmingK(100, 100, 20)).toBeCloseTo(2.985, 9);
  expect(resistanceOf(0.012)).toBeCloseTo(8.03e-4, 5);
});
