import { createAssessor } from '../../assess';
import type { Reading } from '../../build/build';
import { kitPrint } from '../../build/kitPrint';
import { cube, type Fixture } from '../../testing/fixture';
import { rack } from '../../testing/rules';
import { hottestDriveC } from '../air/temperatures';
import { powerOf } from '../power/powerOf';
import { wallW } from '../power/wall';
import { Ledger, rangedOf, type Quantity } from '../quantity';
import { earDb } from '../sound/ear';
import { learn, narrowed } from './learned';
import { readingsTold, reckonedFor } from './readings';

const contextOf = (made: Fixture) => createAssessor().context(made.build);
const full = () => rack().add('tern-24i').add('brazier-800').add('barge-12', 24);
const quiet = new Ledger(false);
const read = (made: Fixture, ...readings: Partial<Reading>[]) =>
  made.set({
    readings: readings.map((one, i) => ({
      id: `r${i}`,
      at: '2026-11-01',
      state: 'working' as const,
      what: 'driveC' as const,
      value: 40,
      kit: kitPrint(made.build),
      ...one,
    })),
  });
const half = (quantity: Quantity) => (rangedOf(quantity).hi - rangedOf(quantity).lo) / 2;
const quantity = (value: number, ...effects: [string, number][]): Quantity => ({
  value,
  unit: 'K',
  basis: 'typical',
  spread: new Map(effects.map(([id, by]) => [id, [-by, by]])),
});

test('one reading by hand: two facts of equal effect and an exact instrument share the difference', () => {
  const learned = learn([{ reckoned: quantity(50, ['a', 4], ['b', 4]), differs: 4, errs: new Map() }]);
  expect(learned!.moved.get('a')).toBeCloseTo(0.5, 12);
  expect(learned!.moved.get('b')).toBeCloseTo(0.5, 12);
  const same = narrowed(learned, quantity(50, ['a', 4], ['b', 4]), quiet);
  expect(same.value).toBeCloseTo(54, 12);
  expect(half(same)).toBeCloseTo(0, 6);
  // What hangs on one of them only: half of its doubt is the other one's.
  const one = narrowed(learned, quantity(30, ['a', 4]), quiet);
  expect(one.value).toBeCloseTo(32, 12);
  expect(half(one)).toBeCloseTo(4 * Math.SQRT1_2, 12);
  // What hangs on neither stays as it is.
  const other = quantity(20, ['c', 2]);
  expect(narrowed(learned, other, quiet)).toBe(other);
});

test('an instrument as much in doubt as the estimate moves it half way', () => {
  const learned = learn([{ reckoned: quantity(50, ['a', 3]), differs: 6, errs: new Map([['meter', 3]]) }]);
  const now = narrowed(learned, quantity(50, ['a', 3]), quiet);
  expect(now.value).toBeCloseTo(53, 12);
  expect(half(now)).toBeCloseTo(3 * Math.SQRT1_2, 12);
});

test('readings in any order say the same: it is least squares, also reckoned with a matrix', () => {
  const drawn = [
    {
      reckoned: quantity(50, ['a', 3], ['b', 1]),
      differs: 2,
      errs: new Map([
        ['m', 1],
        ['r1', 0.5],
      ]),
    },
    {
      reckoned: quantity(40, ['a', 2], ['c', 2]),
      differs: -1,
      errs: new Map([
        ['m', 1],
        ['r2', 0.5],
      ]),
    },
    {
      reckoned: quantity(70, ['b', 2], ['c', 1]),
      differs: 3,
      errs: new Map([
        ['m', 1],
        ['r3', 0.5],
      ]),
    },
  ];
  const asked = quantity(60, ['a', 1], ['b', 2], ['c', 3]);
  const first = narrowed(learn(drawn), asked, quiet);
  const last = narrowed(learn([...drawn].reverse()), asked, quiet);
  expect(last.value).toBeCloseTo(first.value, 9);
  expect(half(last)).toBeCloseTo(half(first), 9);
  // The second way: cov(asked, read) · cov(read)⁻¹ · differs.
  const ids = ['a', 'b', 'c', 'm', 'r1', 'r2', 'r3'];
  const row = ({ reckoned, errs }: (typeof drawn)[number]) =>
    ids.map((id) => reckoned.spread.get(id)?.[1] ?? (errs as ReadonlyMap<string, number>).get(id) ?? 0);
  const H = drawn.map(row);
  const g = ids.map((id) => asked.spread.get(id)?.[1] ?? 0);
  const by = (u: number[], v: number[]) => u.reduce((sum, one, i) => sum + one * v[i]!, 0);
  const S = H.map((u) => H.map((v) => by(u, v)));
  const solve3 = (b: number[]) => {
    const det = (m: number[][]) =>
      m[0]![0]! * (m[1]![1]! * m[2]![2]! - m[1]![2]! * m[2]![1]!) -
      m[0]![1]! * (m[1]![0]! * m[2]![2]! - m[1]![2]! * m[2]![0]!) +
      m[0]![2]! * (m[1]![0]! * m[2]![1]! - m[1]![1]! * m[2]![0]!);
    return [0, 1, 2].map((j) => det(S.map((line, i) => line.map((one, k) => (k === j ? b[i]! : one)))) / det(S));
  };
  const gain = H.map((u) => by(u, g));
  expect(first.value).toBeCloseTo(60 + by(gain, solve3(drawn.map(({ differs }) => differs))), 9);
  expect(half(first) ** 2).toBeCloseTo(by(g, g) - by(gain, solve3(gain)), 9);
});

test('a drive read at one duty narrows what is reckoned for another day to ± 5 K and moves it the same way', () => {
  const made = full();
  const before = hottestDriveC(contextOf(made), quiet)!;
  const at = { duty: 0.4, roomC: 21, state: 'working' as const };
  const likely = reckonedFor(contextOf(made), read(made, at).build.readings[0]!, quiet)!.value;
  for (const differs of [-5, 0, 5]) {
    const after = hottestDriveC(contextOf(read(made, { ...at, value: likely + differs })), quiet)!;
    expect(half(after)).toBeLessThan(half(before));
    expect(half(after)).toBeLessThan(5);
    expect(half(after)).toBeGreaterThanOrEqual(2 - 1e-9);
    expect(Math.sign(Math.round(10 * (after.value - before.value)))).toBe(Math.sign(differs));
  }
});

/** Every fact of a machine as it might be in truth, the same wherever it is met. */
function truths(seed: number): Ledger {
  let state = seed;
  const uniform = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
  const drawn = new Map<string, number>();
  return new Ledger(false, ({ id, value, lo, hi }) => {
    if (lo === hi) return value;
    if (!drawn.has(id)) {
      // Ranges are two deviations either way.
      const normal = Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
      drawn.set(id, Math.max(-1, Math.min(1, normal / 2)));
    }
    const at = drawn.get(id)!;
    return at < 0 ? value + at * (value - lo) : value + at * (hi - value);
  });
}

test('two hundred machines as they may be in truth: once read, what is foretold of another day holds', () => {
  const made = full();
  const context = contextOf(made);
  const at = { duty: 0.4, roomC: 21, state: 'working' as const };
  let [inside, nearer] = [0, 0];
  const runs = 200;
  for (let seed = 1; seed <= runs; seed++) {
    const truth = truths(seed * 7919);
    const value = reckonedFor(context, read(made, at).build.readings[0]!, truth)!.value;
    const real = hottestDriveC(context, truth)!.value;
    const blind = hottestDriveC(context, quiet)!;
    const after = hottestDriveC(contextOf(read(made, { ...at, value })), quiet)!;
    const { lo, hi } = rangedOf(after);
    if (real >= lo && real <= hi) inside++;
    if (Math.abs(real - after.value) <= Math.abs(real - blind.value)) nearer++;
  }
  expect(inside / runs).toBeGreaterThan(0.9);
  expect(nearer / runs).toBeGreaterThan(0.8);
});

test('W read at the wall, less what else hung on the meter, replace the estimate within the meter', () => {
  const made = full();
  const likely = wallW(contextOf(made), 'idle', quiet)!;
  const now = wallW(
    contextOf(read(made, { what: 'wallW', state: 'idle', value: likely.value + 15 + 40, otherW: 40 })),
    'idle',
    quiet,
  )!;
  expect(now.value).toBeGreaterThan(likely.value + 12);
  expect(half(now)).toBeLessThan(half(likely));
  expect(half(now)).toBeCloseTo(0.05 * now.value, 0);
});

test('boxes and feeds are narrowed as the whole is: together they are the figure', () => {
  const made = read(full(), { what: 'wallW', state: 'idle', value: 180 });
  const context = contextOf(made);
  const power = powerOf(context, made.build, '2026-11-01');
  const whole = power.together.find(({ state }) => state === 'idle')!.wall;
  const own = power.boxes.map(({ states }) => states.find(({ state }) => state === 'idle')!.wall);
  expect(own.reduce((sum, { value }) => sum + value, 0)).toBeCloseTo(whole.value, 6);
  expect(Math.abs(whole.value - 180)).toBeLessThan(Math.abs(wallW(contextOf(full()), 'idle', quiet)!.value - 180));
});

test('dB(A): the room is taken off as energy; a phone in a quiet room says only at most', () => {
  const made = cube().add('barge-8', 2);
  const likely = earDb(contextOf(made), quiet, 'idle')!.value;
  const loud = read(made, { what: 'earDb', state: 'idle', value: 50, offDb: 44, instrument: 'soundMeter' });
  const { readings } = readingsTold(contextOf(made), kitPrint(made.build), loud.build.readings, ['earDb']);
  expect(readings[0]!.own).toBeCloseTo(10 * Math.log10(10 ** 5 - 10 ** 4.4), 9);
  const phone = (value: number) =>
    readingsTold(
      contextOf(made),
      kitPrint(made.build),
      read(made, { what: 'earDb', state: 'idle', value }).build.readings,
      ['earDb'],
    ).readings[0]!.use;
  expect(likely).toBeGreaterThan(20);
  expect(phone(Math.min(39, likely + 3))).toBe('withinLimit');
  expect(phone(likely - 5)).toBe('atMost');
  expect(phone(45)).toBe('asRead');
});

test('a machine that was changed since keeps what differed, in more doubt; without what was reckoned, nothing', () => {
  const made = full();
  const now = (more: Partial<Reading>) =>
    wallW(contextOf(read(made, { what: 'wallW', state: 'idle', value: 200, kit: 'another', ...more })), 'idle', quiet)!;
  const likely = wallW(contextOf(made), 'idle', quiet)!;
  expect(now({}).value).toBe(likely.value);
  expect(now({ reckoned: 180 }).value).toBeGreaterThan(likely.value + 10);
  expect(now({ reckoned: 220 }).value).toBeLessThan(likely.value - 10);
});

test('under a policy that holds a temperature a reading without a duty is reckoned the same, believed or not', () => {
  const policy = { ...full().build.policy, fans: { kind: 'hold' as const, hottestDriveC: 50 } };
  const made = full().set({ policy });
  const one = read(made, { state: 'busy', value: 47 });
  const [reading] = one.build.readings;
  const before = reckonedFor(contextOf(made), reading!, quiet)!.value;
  expect(reckonedFor(contextOf(one), reading!, quiet)!.value).toBeCloseTo(before, 9);
  const told = readingsTold(contextOf(one), kitPrint(made.build), one.build.readings, ['driveC']);
  expect(told.readings[0]!.reckoned!.value).toBeCloseTo(before, 9);
});

test('what a reading most likely means is named: a rack much cooler than reckoned lets more air through', () => {
  const made = full();
  const at = { duty: 0.4, roomC: 21, state: 'working' as const };
  const likely = reckonedFor(contextOf(made), read(made, at).build.readings[0]!, quiet)!.value;
  const cooler = read(made, { ...at, value: likely - 6 });
  const { explains } = readingsTold(contextOf(made), kitPrint(made.build), cooler.build.readings, ['driveC']);
  expect(explains.length).toBeGreaterThan(0);
  expect(explains.map(({ label }) => label).join()).toMatch(/Heat out of a drive|chassis/);
  expect(explains[0]!.by).toBeLessThan(0);
});

test('the print of a kit is that of its sheets and mods, not of prices or the brief', () => {
  const { build } = full();
  expect(kitPrint({ ...build, items: [...build.items].reverse() })).toBe(kitPrint(build));
  expect(kitPrint({ ...build, items: build.items.slice(1) })).not.toBe(kitPrint(build));
  // One more of what is there is another machine.
  expect(kitPrint(cube().add('barge-8', 5).build)).not.toBe(kitPrint(cube().add('barge-8', 4).build));
});
