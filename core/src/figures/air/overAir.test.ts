import { createAssessor } from '../../assess';
import { cube, type Fixture } from '../../testing/fixture';
import { rack } from '../../testing/rules';
import { Ledger } from '../quantity';
import { soundOverAir, targetOf } from './overAir';
import { withDuty } from './sameTemperature';
import { drivesAt, hottestOf } from './temperatures';

const contextOf = (made: Fixture) => createAssessor().context(made.build);
const full = () => rack().add('tern-24i').add('brazier-800').add('barge-12', 24);

test('winter to summer: never slower nor quieter as the room warms, and each point holds what it says', () => {
  const context = contextOf(full());
  const { points, targetC } = soundOverAir(context, 44);
  const held = points.filter(({ duty }) => duty !== null);
  expect(points).toHaveLength(41);
  expect(held.length).toBeGreaterThan(10);
  expect(held.map(({ duty }) => duty)).toEqual(held.map(({ duty }) => duty!).sort((a, b) => a - b));
  expect(held.map(({ earDb }) => earDb)).toEqual(held.map(({ earDb }) => earDb!).sort((a, b) => a - b));
  // What is not held comes after what is.
  expect(points.slice(held.length).every(({ duty }) => duty === null)).toBe(true);
  for (const { roomC, duty } of held.filter((_, i) => i % 6 === 0)) {
    const at = (share: number) =>
      hottestOf(
        drivesAt(withDuty(context, share), { label: '', state: 'working', roomC, duty: share }, new Ledger(false)),
      )!.value;
    expect(at(duty!)).toBeLessThanOrEqual(targetC + 1e-9);
    if (duty! > 0.2) expect(at(duty! - 0.011)).toBeGreaterThan(targetC);
  }
});

test('it is held at what the policy says, else 10 K within the least that a drive allows', () => {
  const made = cube().add('barge-8', 2);
  expect(targetOf(contextOf(made))).toBe(50);
  const policy = { ...made.build.policy, fans: { kind: 'hold' as const, hottestDriveC: 42 } };
  expect(targetOf(contextOf(made.set({ policy })))).toBe(42);
  expect(targetOf(contextOf(cube()))).toBeNull();
});
