import { createAssessor } from '../assess';
import type { Build } from '../build/build';
import { checkLayout } from '../solve/checkLayout';
import { commit } from '../solve/settle';
import { goneOf } from '../figures/power/gone';
import { powerBoxes } from '../figures/power/plugRows';
import { breaksOf } from '../pool/breaks';
import { poolOf, toldOf } from '../pool/setsOf';
import type { PoolSet, SetLayout } from '../pool/layouts';
import { AS_OF, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { dealtPlaces } from './dealPlaces';

const assessor = createAssessor();
const withSets = ({ build }: Fixture, layout: SetLayout, groups: readonly (readonly string[])[]): Build => ({
  ...build,
  pool: {
    ...build.pool,
    sets: groups.map((units, i): PoolSet => ({ id: `set${i + 1}`, layout, units: units as PoolSet['units'] })),
  },
});
function cardsOf({ build }: Fixture): string[][] {
  const assessment = assessor.assess(build, AS_OF);
  return wiringFor(build, assessment)
    .hosts.map(({ cables }) => cables.flatMap(({ drives }) => drives))
    .filter((drives) => drives.length > 0);
}
/** Kinds of what alone takes a set with it, drives aside. */
function takers(build: Build): string[] {
  const assessment = assessor.assess(build, AS_OF);
  const context = assessor.context(build);
  const gone = goneOf(context, powerBoxes(assessor.plugs(build), assessment.units));
  const { sets } = poolOf(context);
  return breaksOf(assessment, wiringFor(build, assessment), gone, sets)
    .singles.filter(({ things: [thing], worst }) => worst === 'lost' && thing?.kind !== 'drive')
    .map(({ things: [thing] }) => thing!.kind);
}
function moved(build: Build): { readonly after: Build; readonly moves: number } {
  const out = dealtPlaces(build, assessor, AS_OF)!;
  const step = commit(build, out.edits);
  if (!step.ok) throw new Error(step.words);
  return { after: step.build, moves: out.moves.length };
}

const three = rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 24);
const cards = cardsOf(three);

test('four sets of six, each on one card or two: drives change bays until no card takes one, their sets stay', () => {
  const all = cards.flat();
  const build = withSets(
    three,
    'parity2',
    [0, 1, 2, 3].map((i) => all.slice(6 * i, 6 * i + 6)),
  );
  expect(takers(build)).toContain('card');
  const { after, moves } = moved(build);
  expect(takers(after).filter((kind) => kind === 'card' || kind === 'cable')).toEqual([]);
  expect(after.pool).toEqual(build.pool);
  const { units, layout } = assessor.assess(after, AS_OF);
  expect(checkLayout({ units }, layout)).toEqual([]);
  // Two of each set are on every card then: of six on one card four move, of four and two on two cards two.
  expect(moves).toBeLessThanOrEqual(4 + 4 + 4 + 4);
  // Every bay that held a drive holds one.
  const bays = (of: Build) =>
    Object.values(of.layout.at)
      .map(({ spot }) => `${spot.host}/${spot.key}.${spot.n}`)
      .sort();
  expect(bays(after)).toEqual(bays(build));
});

test('partners of mirrors put side by side on one card go to two', () => {
  const all = cards.flat();
  const held = three.edit(
    ...all.map((unit) => ({ type: 'place.put', unit, spot: three.build.layout.at[unit]!.spot }) as never),
  );
  const { after } = moved(withSets(held, 'mirror2', [all]));
  const cardOf = new Map(
    cardsOf({ build: after } as Fixture).flatMap((drives, i) => drives.map((id) => [id, i] as const)),
  );
  const [set] = after.pool.sets;
  const told = toldOf(set!, assessor.assess(after, AS_OF).units).drives.map(({ id }) => cardOf.get(id));
  for (let i = 0; i < told.length; i += 2) expect(told[i]).not.toBe(told[i + 1]);
});

test('nothing is offered where all is dealt well, where a drive is held, or where one card is all there is', () => {
  const well = withSets(
    three,
    'parity2',
    [0, 1, 2, 3].map((i) => cards.flatMap((drives) => drives.slice(2 * i, 2 * i + 2))),
  );
  expect(dealtPlaces(well, assessor, AS_OF)).toBeNull();
  const all = cards.flat();
  const sets = [0, 1, 2, 3].map((i) => all.slice(6 * i, 6 * i + 6));
  const held = three.edit(
    ...all.map((unit) => ({ type: 'place.hold', unit, spot: three.build.layout.at[unit]!.spot }) as never),
  );
  expect(dealtPlaces(withSets(held, 'parity2', sets), assessor, AS_OF)).toBeNull();
  const one = rack().add('brazier-800').add('tern-8i').add('barge-12', 8);
  expect(dealtPlaces(withSets(one, 'parity2', [cardsOf(one).flat()]), assessor, AS_OF)).toBeNull();
});
