import { createAssessor } from '../assess';
import type { Build } from '../build/build';
import { ofKind, seatSpot } from '../machine/units';
import { allRemedies } from '../remedies/remedies';
import { AS_OF, catalogue, tweak, type Fixture } from '../testing/fixture';
import { find, rack, said, tower } from '../testing/rules';

const full = () => rack().add('brazier-800').add('tern-16i').add('barge-16', 16);
const withPolicy = (made: Fixture, policy: Partial<Build['policy']>) =>
  made.edit({ type: 'set.policy', value: { ...made.build.policy, ...policy } });
const fixed = (duty: number) => ({ fans: { kind: 'fixed' as const, duty } });
/** Every place of a fan in the machine, each once. */
function wallsOf(made: Fixture): { readonly host: string; readonly key: string }[] {
  const { units, layout } = createAssessor().assess(made.build, AS_OF);
  const spots = ofKind(units, 'fan').flatMap((fan) => seatSpot(layout, fan) ?? []);
  return [...new Map(spots.map(({ host, key }) => [`${host}/${key}`, { host, key }])).values()];
}
const FIGURES = ['power.idleWallW', 'power.peakWallW', 'sound.earIdleDb', 'air.hottestDriveC'] as const;
const figuresOf = (made: Fixture) => {
  const { figures } = made.assess();
  return FIGURES.map((id) => [id, figures[id]?.value]);
};

test('walls that all turn apart at one duty are a machine whose fans turn at it', () => {
  const all = wallsOf(full());
  expect(all.length).toBeGreaterThan(1);
  const apart = all.map((wall) => ({ ...wall, duty: 0.6 }));
  expect(figuresOf(withPolicy(full(), { ...fixed(0.3), apart }))).toEqual(figuresOf(withPolicy(full(), fixed(0.6))));
});

test('a wall that turns slower apart is quieter, draws less, and leaves the drives warmer', () => {
  const [front] = wallsOf(full());
  const [even, slow] = [
    withPolicy(full(), fixed(0.6)),
    withPolicy(full(), { ...fixed(0.6), apart: [{ ...front!, duty: 0.3 }] }),
  ].map((made) => made.assess().figures);
  expect(slow!['sound.earIdleDb']!.value).toBeLessThan(even!['sound.earIdleDb']!.value);
  expect(slow!['power.idleWallW']!.value).toBeLessThan(even!['power.idleWallW']!.value);
  expect(slow!['air.hottestDriveC']!.value).toBeGreaterThan(even!['air.hottestDriveC']!.value);
  // At most everything turns at full, whatever is set.
  expect(slow!['power.peakWallW']!.value).toBe(even!['power.peakWallW']!.value);
});

describe('fans without a PWM wire', () => {
  const made = (byVolts: boolean | undefined, pwm = false) => {
    const header = { key: 'fan', count: 4, pwm: true, maxA: 1, ...(byVolts === undefined ? {} : { byVolts }) };
    const from = tweak('hush-120', { pwm }, tweak('plover-a6', { fanHeaders: [header] }));
    return withPolicy(tower(from).add('hush-120', 2), fixed(0.4));
  };
  test('on a board that steers by PWM alone they turn at full, and it is said', () => {
    const loud = made(false);
    expect(said(loud, 'powered.fanSteer')).toEqual([
      'caution: Hush 120 has no PWM wire, and Plover A6 steers fans by nothing else.',
      'caution: 2 × Hush 120 have no PWM wire, and Plover A6 steers fans by nothing else.',
    ]);
    const faster = loud.assess().figures['sound.earIdleDb']!.value;
    expect(faster).toBeGreaterThan(made(true).assess().figures['sound.earIdleDb']!.value + 3);
    const assessment = loud.assess();
    const snag = assessment.snags.findLast(({ code }) => code === 'powered.fanSteer')!;
    const base = { build: loud.build, assessment };
    const [first] = allRemedies(base, snag, catalogue, createAssessor(), AS_OF);
    expect(first!.title).toMatch(/^Take .* instead of Hush 120$/);
  });
  test.each([
    ['a board that steers by volts too', true, false],
    ['a board of which nobody knows', undefined, false],
    ['fans with the wire', false, true],
  ])('%s: nothing is said', (_what, byVolts, pwm) => {
    expect(find(made(byVolts, pwm), 'powered.fanSteer')).toEqual([]);
  });
});

test('on 115 V a supply is held to what it gives there', () => {
  const on = (mainsV: 115 | 230, ratedW115?: number) => {
    const from = tweak('ember-650', { ratedW115 });
    const made = tower(from).add('tern-8i').add('barge-8', 8);
    return made.edit({ type: 'set.site', value: { ...made.build.site, mainsV } });
  };
  expect(find(on(115), 'powered.total')).toEqual([]);
  expect(find(on(230, 200), 'powered.total')).toEqual([]);
  expect(said(on(115, 200), 'powered.total')[0]).toMatch(/^blocker: .* Ember 650 ATX gives 200 W\.$/);
});
