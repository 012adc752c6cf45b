import { createAssessor } from '../assess';
import { catalogue, tweak, type Fixture } from '../testing/fixture';
import { AS_OF } from '../testing/fixture';
import { find, firstRemedy, said, tower } from '../testing/rules';
import { fanPlans, type FanPlan } from './fanHeaders';

const mounts = (count: number) => [{ key: 'front', label: 'Front', count, sizesMm: [120], reach: 'drives' }];
const mountsOf = (count: number) => {
  const own = (catalogue.archetypes['tower-atx'] as unknown as { fanMounts: object[] }).fanMounts[0]!;
  return [{ ...own, ...mounts(count)[0], reach: undefined }].map(({ reach: _, ...mount }) => mount);
};
/** A tower with so many front mounts and nothing built in, a board with headers of so many A, and fans of so many W. */
function made(fans: number, watts: number, headers: { count: number; maxA: number }, more: object = {}): Fixture {
  const chassis = tweak('steading-t9', { fanMounts: mountsOf(12), builtIn: [], ...more });
  const board = tweak('plover-a6', { fanHeaders: [{ key: 'fan', pwm: true, ...headers }] }, chassis);
  const from = tweak('hush-120', { maxW: watts }, tweak('tarn-155', { builtIn: [] }, board));
  return tower(from).add('hush-120', fans);
}
const planOf = (one: Fixture): FanPlan => {
  const { units, layout } = createAssessor().assess(one.build, AS_OF);
  return fanPlans(units, layout)[0]!;
};

test('fans within what their headers carry are dealt one to each, then as they carry best', () => {
  const plan = planOf(made(3, 6, { count: 4, maxA: 1 }));
  expect(plan.outlets.map(({ fans }) => fans.length).sort()).toEqual([0, 1, 1, 1]);
  expect(plan).toMatchObject({ short: 0, over: null, isBest: true });
  // Six of 0.5 A on three headers of 1 A: two on each, by splitters.
  const shared = planOf(made(6, 6, { count: 3, maxA: 1 }));
  expect(shared.outlets.map(({ fans }) => fans.length)).toEqual([2, 2, 2]);
  expect(shared).toMatchObject({ short: 3, over: null });
});

test('seven of 0.5 A on three headers of 1 A: one carries 1.5 A at best', () => {
  const plan = planOf(made(7, 6, { count: 3, maxA: 1 }));
  expect(plan.over!.hasA).toBeCloseTo(1.5, 9);
  expect(plan.over!.outlet.fans.length).toBe(3);
});

test('what no header carries is a blocker where all is said, and a hub cures it', () => {
  const one = made(3, 18, { count: 4, maxA: 1 });
  expect(said(one, 'powered.fans')).toEqual([
    expect.stringMatching(/^blocker: Hush 120.* hangs on one header of Plover A6.*: 1\.5 A; it carries 1 A\.$/),
  ]);
  expect(find(made(3, 11, { count: 4, maxA: 1 }), 'powered.fans')).toEqual([]);
  expect(firstRemedy(one, 'powered.fans').join()).toMatch(/Fan hub/);
  const hubbed = one.add('hub-fan');
  expect(find(hubbed, 'powered.fans')).toEqual([]);
  // The hub hangs on a plug of the supply, with all that is on it.
  const plan = createAssessor().plugs(hubbed.build)[0]!;
  const onHub = plan.chains
    .flatMap(({ plugs }) => plugs.flatMap(({ on }) => on))
    .find(({ input }) => input.input.by.part.kind === 'sundry');
  expect(onHub!.run.a12).toBeCloseTo(4.5, 9);
});

test('two hubs of one entry carry all fans between them, each on a plug of its own', () => {
  const plan = createAssessor().plugs(made(6, 18, { count: 1, maxA: 0.1 }).add('hub-fan', 2).build)[0]!;
  const onHubs = plan.chains
    .flatMap(({ plugs }) => plugs.flatMap(({ on }) => on))
    .filter(({ input }) => input.input.by.part.kind === 'sundry');
  expect(onHubs).toHaveLength(2);
  expect(new Set(onHubs.map(({ input }) => JSON.stringify(input.spot))).size).toBe(2);
  expect(onHubs.reduce((sum, { run }) => sum + run.a12, 0)).toBeCloseTo(6 * 1.5, 9);
});

test('fans that the chassis feeds itself want no header', () => {
  expect(find(made(3, 18, { count: 4, maxA: 1 }, { fansFed: 'own' }), 'powered.fans')).toEqual([]);
});

test('what splitters would put past a header wants a hub among the small parts', () => {
  const uses = (one: Fixture) => one.assess().small.flatMap(({ use, toBuy }) => (toBuy > 0 ? [use] : []));
  expect(uses(made(7, 6, { count: 3, maxA: 1 }))).toContain('fanHub');
  expect(uses(made(6, 6, { count: 3, maxA: 1 }))).toContain('fanSplitter');
  expect(uses(made(7, 6, { count: 3, maxA: 1 }).add('hub-fan'))).not.toContain('fanHub');
});

test('the best way of dealing, against every way there is', () => {
  let seed = 7;
  const draw = (below: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
  for (let round = 0; round < 25; round++) {
    const fans = 2 + draw(5);
    const headers = { count: 1 + draw(3), maxA: 1 + draw(3) / 2 };
    const watts = 4 + draw(20);
    const one = made(fans, watts, headers);
    const plan = planOf(one);
    const placed = plan.outlets.flatMap((outlet) => outlet.fans).length;
    const loads = Array.from({ length: placed }, () => watts / 12);
    let least = Infinity;
    const every = (f: number, has: number[]): void => {
      if (f === loads.length) least = Math.min(least, Math.max(...has.map((a) => Math.max(0, a - headers.maxA))));
      else
        has.forEach((_, b) =>
          every(
            f + 1,
            has.map((a, i) => (i === b ? a + loads[f]! : a)),
          ),
        );
    };
    every(
      0,
      Array.from({ length: headers.count }, () => 0),
    );
    expect(plan.over ? plan.over.hasA - headers.maxA : 0).toBeCloseTo(least, 9);
  }
});
