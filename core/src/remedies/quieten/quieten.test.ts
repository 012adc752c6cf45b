import { createAssessor } from '../../assess';
import { hottestOn } from '../../figures/air/sameTemperature';
import { AS_OF, catalogue, cube, type Fixture } from '../../testing/fixture';
import { rack } from '../../testing/rules';
import type { Catalogue } from '../../parts/catalogue';
import { weigh } from '../weigh';
import { quieten, type QuietProgress } from './quieten';
import { quietWays } from './ways';

const assessor = createAssessor();
const full = () => rack().add('tern-24i').add('brazier-800').add('barge-12', 24);
const baseOf = (made: Fixture) => ({ build: made.build, assessment: made.assess() });

/** The catalogue with only some fans, supplies, coolers and drives, so that every pair can be looked at. */
const few = (...ids: readonly string[]): Catalogue => ({
  ...catalogue,
  sheets: Object.fromEntries(
    Object.entries(catalogue.sheets).filter(
      ([id, { kind }]) => !['fan', 'supply', 'cooler', 'drive'].includes(kind) || ids.includes(id),
    ),
  ),
});

function run(made: Fixture, from: Catalogue) {
  const steps: QuietProgress[] = [];
  for (const step of quieten(baseOf(made), from, assessor, AS_OF)) steps.push(step);
  return steps;
}

test('what is offered is quieter by as much as it says, with the hottest drive no warmer and nothing new to mend', () => {
  const made = full();
  const before = made.assess();
  const wasC = hottestOn(assessor.context(made.build), 'hot')!;
  const { best } = run(made, few('hush-120', 'gale-120', 'hush-80', 'stock-80')).at(-1)!;
  expect(best.length).toBeGreaterThan(2);
  for (const one of best) {
    const after = assessor.assess(one.after, AS_OF);
    expect(before.figures['sound.earIdleDb']!.value - after.figures['sound.earIdleDb']!.value).toBeCloseTo(
      one.savesDb,
      9,
    );
    expect(one.savesDb).toBeGreaterThanOrEqual(0.5);
    expect(hottestOn(assessor.context(one.after), 'hot')!).toBeLessThan(wasC + 0.1);
    expect(after.snags.filter(({ severity }) => severity === 'blocker')).toHaveLength(
      before.snags.filter(({ severity }) => severity === 'blocker').length,
    );
    expect(one.after.policy.fans).toEqual({ kind: 'fixed', duty: one.duty });
  }
  expect(best.map(({ savesDb }) => savesDb)).toEqual(best.map(({ savesDb }) => savesDb).sort((a, b) => b - a));
});

test('the best is the best of all singles and pairs, each looked at at every per cent of duty', () => {
  const made = full();
  const from = few('hush-120', 'hush-80', 'stock-80');
  const base = baseOf(made);
  const best = run(made, from).at(-1)!.best[0]!;
  const wasDb = base.assessment.figures['sound.earIdleDb']!.value;
  const wasC = hottestOn(assessor.context(made.build), 'hot')!;
  const ways = quietWays(base, from);
  const sets = [
    ...ways.map((way) => [way]),
    ...ways.flatMap((one, i) =>
      ways.slice(i + 1).flatMap((other) => (one.subject === other.subject ? [] : [[one, other]])),
    ),
  ];
  const quietest = Math.min(
    ...sets.map((set) => {
      let now: Fixture | null = made;
      for (const way of set)
        try {
          now = now && now.edit(...way.edits(now.build));
        } catch {
          now = null;
        }
      if (!now) return Infinity;
      const other = now;
      const policy = (duty: number) => ({ ...other.build.policy, fans: { kind: 'fixed' as const, duty } });
      for (let pct = 20; pct <= 100; pct++) {
        const build = { ...other.build, policy: policy(pct / 100) };
        if (hottestOn(assessor.context(build), 'hot')! > wasC + 0.05) continue;
        const weighed = weigh(base, [{ type: 'set.policy', value: policy(pct / 100) }], assessor, AS_OF);
        const after = assessor.assess(build, AS_OF);
        const had = new Set(base.assessment.snags.map(({ code }) => code));
        if (after.snags.some(({ code, severity }) => severity !== 'note' && !had.has(code))) return Infinity;
        return weighed.ok ? after.figures['sound.earIdleDb']!.value : Infinity;
      }
      return Infinity;
    }),
  );
  expect(best.savesDb).toBeCloseTo(wasDb - quietest, 1);
});

test('walls of a machine that has several may turn apart, each slower than now; of a machine with one nothing is said', () => {
  const words = (one: Fixture) => quietWays(baseOf(one), few()).map((way) => way.words);
  const apart = words(full()).filter((one) => /the others as fast as it takes/.test(one));
  expect(apart).toContain('Rear fans at 20 %, the others as fast as it takes');
  expect(words(cube().add('tern-8i').add('barge-8', 4)).join()).not.toMatch(/the others/);
});

test('it tells how far it is, singles first, and never forgets what was best', () => {
  const steps = run(full(), few('hush-120', 'hush-80'));
  expect(steps.map(({ done }) => done)).toEqual(steps.map((_, i) => i + 1));
  const top = steps.map(({ best }) => best[0]?.savesDb ?? 0);
  expect(top).toEqual([...top].sort((a, b) => a - b));
});

test('drives on bare steel are offered rubber; once there, no more of it', () => {
  const sheets = { ...catalogue.sheets } as Record<string, never>;
  const groups = (catalogue.archetypes['cube-8'] as unknown as { bayGroups: object[] }).bayGroups;
  sheets['larder-8'] = {
    ...catalogue.sheets['larder-8'],
    bayGroups: groups.map((group) => ({ ...group, mounting: 'hard' })),
  } as never;
  const made = cube({ ...catalogue, sheets }).add('barge-8', 6);
  const words = (one: Fixture) => quietWays(baseOf(one), catalogue).map((way) => way.words);
  expect(words(made)).toContain('Set 6 drives on rubber: Rubber washers, pack');
  const soft = made.add('damper-4', 2);
  expect(words(soft).join()).not.toMatch(/rubber/i);
  // 6 drives at 4 washers each: two packs of 16; one pack holds four of them.
  const level = (one: Fixture) => one.assess().figures['sound.earIdleDb']!.value;
  expect(level(soft)).toBeLessThan(level(made.add('damper-4', 1)) - 0.5);
  expect(level(made.add('damper-4', 1))).toBeLessThan(level(made) - 0.5);
});

test('where no drive is reckoned, nothing is offered and the search is over at once', () => {
  expect(run(cube(), catalogue)).toEqual([]);
});

test('drives of the roof may be moved before the fan, where bays are free there', () => {
  const roof = cube().add('coot-4', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
  const words = (made: Fixture) => quietWays(baseOf(made), few()).map((one) => one.words);
  expect(words(roof)).toContain('Move 2 drives (G1, G2) to cage');
  // Nowhere else to go, nothing is said.
  expect(words(full()).filter((one) => one.startsWith('Move '))).toEqual([]);
});
