import { createAssessor } from '../assess';
import { goneOf } from '../figures/power/gone';
import { powerBoxes } from '../figures/power/plugRows';
import { AS_OF, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { breaksOf, type Struck } from './breaks';
import type { PoolSet, SetLayout } from './layouts';
import { toldOf } from './setsOf';

const assessor = createAssessor();
function breaks(made: Fixture, sets: readonly PoolSet[]) {
  const assessment = assessor.assess(made.build, AS_OF);
  const context = assessor.context(made.build);
  const gone = goneOf(context, powerBoxes(assessor.plugs(made.build), assessment.units));
  return breaksOf(
    assessment,
    wiringFor(made.build, assessment),
    gone,
    sets.map((set) => toldOf(set, assessment.units)),
  );
}
const set = (id: string, layout: SetLayout, units: readonly string[]): PoolSet => ({
  id,
  layout,
  units: units as never,
});
const named = (kind: string, singles: readonly Struck[]) => singles.filter(({ things }) => things[0]!.kind === kind);

/** Twenty-four bays on three cards of eight ports: bays 1 to 8, 9 to 16 and 17 to 24. */
const three = () => rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 24);
/** The drives by the card they hang on. */
function byCard(made: Fixture): string[][] {
  const assessment = assessor.assess(made.build, AS_OF);
  const { hosts } = wiringFor(made.build, assessment);
  return hosts.map(({ cables }) => cables.flatMap(({ drives }) => drives)).filter((drives) => drives.length > 0);
}

test('three sets, each on a card of its own: a card takes its set with it; dealt across the cards, none does', () => {
  const made = three();
  const cards = byCard(made);
  expect(cards.map(({ length }) => length)).toEqual([8, 8, 8]);
  const own = breaks(
    made,
    cards.map((drives, i) => set(`set${i + 1}`, 'parity2', drives)),
  );
  expect(named('card', own.singles).map(({ worst, drives }) => [worst, drives])).toEqual([
    ['lost', 8],
    ['lost', 8],
    ['lost', 8],
  ]);
  // One cable of four: two may fail, four are gone.
  expect(named('cable', own.singles).every(({ worst, drives }) => worst === 'lost' && drives === 4)).toBe(true);
  expect(named('drive', own.singles).every(({ worst }) => worst === 'short')).toBe(true);
  // Six sets of four across the cards: a card takes one or two of each.
  const across = [0, 1, 2, 3].map((i) =>
    set(
      `set${i + 1}`,
      'parity2',
      cards.flatMap((drives) => drives.slice(2 * i, 2 * i + 2)),
    ),
  );
  const dealt = breaks(made, across);
  expect(named('card', dealt.singles).map(({ worst, sets }) => [worst, sets.map(({ gone }) => gone)])).toEqual(
    Array<unknown>(3).fill(['short', [2, 2, 2, 2]]),
  );
  // Two cards take four of six: more than two.
  const cardPairs = dealt.pairs.filter(({ things }) => things.every(({ kind }) => kind === 'card'));
  expect(cardPairs).toHaveLength(3);
  // Any card and any drive that does not hang on it.
  const mixed = dealt.pairs.filter(
    ({ things }) => things.some(({ kind }) => kind === 'card') && things.some(({ kind }) => kind === 'drive'),
  );
  expect(mixed).toHaveLength(3 * 16);
  expect(dealt.drivePairs).toEqual({ lose: 0, of: (24 * 23) / 2 });
});

test('mirrors: a pair is lost with both, whoever else lives; every pair of partners counts', () => {
  const made = three();
  const cards = byCard(made);
  const partners = cards[0]!.flatMap((id, i) => [id, cards[1]![i]!]);
  const { singles, drivePairs } = breaks(made, [set('set1', 'mirror2', partners)]);
  expect(
    named('card', singles)
      .map(({ worst }) => worst)
      .sort(),
  ).toEqual(['short', 'short']);
  expect(drivePairs).toEqual({ lose: 8, of: (16 * 15) / 2 });
});

test('striking out more never revives a set, and each drive alone is worth one', () => {
  const made = three();
  const { singles, pairs } = breaks(
    made,
    byCard(made).map((drives, i) => set(`set${i + 1}`, 'parity2', drives)),
  );
  for (const one of named('drive', singles)) expect(one.sets.map(({ gone }) => gone).sort()).toEqual([0, 0, 1]);
  const alone = new Map(singles.map((one) => [one.things[0]!.key, one]));
  for (const { things, sets } of pairs)
    for (const thing of things)
      for (const [i, { gone }] of alone.get(thing.key)!.sets.entries())
        expect(sets[i]!.gone).toBeGreaterThanOrEqual(gone);
});

test('against taking the card out of the machine and assessing again: the same drives are without a port', () => {
  const made = three();
  const cards = byCard(made);
  const { singles } = breaks(
    made,
    cards.map((drives, i) => set(`set${i + 1}`, 'parity2', drives)),
  );
  for (const { things, sets } of named('card', singles)) {
    const without = {
      ...made.build.layout,
      wires: made.build.layout.wires.filter(({ host }) => host[0].host !== things[0]!.unit),
    };
    const { unconnected } = assessor.assess({ ...made.build, layout: without }, AS_OF);
    const bySet = cards.map((drives) => drives.filter((id) => unconnected.some((unit) => unit.id === id)).length);
    expect(sets.map(({ gone }) => gone)).toEqual(bySet);
  }
});

test('a backplane that all drives share takes them all', () => {
  const made = three();
  const { singles } = breaks(made, [set('set1', 'parity3', byCard(made).flat())]);
  const cage = named('cage', singles);
  expect(cage.map(({ worst, drives }) => [worst, drives])).toEqual([['lost', 24]]);
});

test('the metadata of a pool takes all sets with it: alone at once, as a mirror when both are gone', () => {
  const made = rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 4).add('zander-960', 2);
  const drives = [1, 2, 3, 4].map((n) => made.unit('barge-12', n));
  const withMeta = (count: number) =>
    made.edit(
      ...Array.from({ length: count }, (_, i) => ({
        type: 'unit.role' as const,
        unit: made.unit('zander-960', i + 1),
        role: 'meta' as const,
      })),
    );
  const alone = breaks(withMeta(1), [set('set1', 'parity2', drives)]);
  expect(named('drive', alone.singles).filter(({ worst }) => worst === 'lost')).toHaveLength(1);
  const mirrored = breaks(withMeta(2), [set('set1', 'parity2', drives)]);
  expect(named('drive', mirrored.singles).filter(({ worst }) => worst === 'lost')).toEqual([]);
  expect(mirrored.drivePairs).toEqual({ lose: 1, of: 15 });
});

test('a row of fans standing still loses nothing, heats its sets, and makes no pair with anything', () => {
  const made = three();
  const all = byCard(made).flat();
  const assessment = assessor.assess(made.build, AS_OF);
  const context = assessor.context(made.build);
  const gone = goneOf(context, powerBoxes(assessor.plugs(made.build), assessment.units));
  const sets = [set('set1', 'parity2', all.slice(0, 12)), set('set2', 'parity2', all.slice(12))];
  const told = sets.map((one) => toldOf(one, assessment.units));
  const wiring = wiringFor(made.build, assessment);
  const wall = { key: 'a/wall', label: 'Middle wall', fans: [{ unit: all[0]! as never, mark: 'K1' }] };
  const strikes = breaksOf(assessment, wiring, gone, told, [{ ...wall, drives: all.slice(0, 3) as never }]);
  const [fans] = named('fans', strikes.singles);
  expect(fans).toMatchObject({ worst: 'hot', drives: 0, heated: 3, lost: [] });
  expect(fans!.sets.map(({ state }) => state)).toEqual(['hot', 'lives']);
  expect(strikes.pairs).toEqual(breaksOf(assessment, wiring, gone, told).pairs);
  const cool = breaksOf(assessment, wiring, gone, told, [{ ...wall, drives: [] }]);
  expect(named('fans', cool.singles)[0]).toMatchObject({ worst: 'lives', heated: 0 });
});
