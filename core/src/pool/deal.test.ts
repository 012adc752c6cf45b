import { createAssessor } from '../assess';
import { goneOf } from '../figures/power/gone';
import { powerBoxes } from '../figures/power/plugRows';
import { AS_OF, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { breaksOf } from './breaks';
import { dealtOut } from './deal';
import type { SetLayout } from './layouts';
import { toldOf } from './setsOf';

const assessor = createAssessor();
function machine(made: Fixture) {
  const assessment = assessor.assess(made.build, AS_OF);
  const context = assessor.context(made.build);
  const gone = goneOf(context, powerBoxes(assessor.plugs(made.build), assessment.units));
  const wiring = wiringFor(made.build, assessment);
  const cards = wiring.hosts
    .map(({ cables }) => cables.flatMap(({ drives }) => drives))
    .filter((drives) => drives.length > 0);
  const told = (id: string, layout: SetLayout, units: readonly string[]) =>
    toldOf({ id, layout, units: units as never }, assessment.units);
  return { assessment, wiring, gone, cards, told };
}
const three = machine(rack().add('brazier-800').add('tern-8i', 3).add('barge-12', 24));
const { assessment, wiring, gone, cards, told } = three;

test('three sets of eight, each on one card: dealt out, neither a cable nor a card takes more than its share', () => {
  const sets = cards.map((drives, i) => told(`set${i + 1}`, 'parity2', drives));
  const dealt = dealtOut(assessment, wiring, gone, sets)!;
  // A card has eight drives: three sets get two or three each, one more than double parity survives; a cable has four.
  const after = breaksOf(
    assessment,
    wiring,
    gone,
    dealt.sets.map((set) => toldOf(set, assessment.units)),
  );
  expect(after.singles.filter(({ things, worst }) => things[0]!.kind === 'cable' && worst === 'lost')).toEqual([]);
  expect(dealt.saved.map(({ things }) => things[0]!.kind)).toEqual(Array.from({ length: 6 }, () => 'cable'));
  // Every drive is in one set, and every set has as many as before.
  expect(dealt.sets.map(({ units }) => units.length)).toEqual([8, 8, 8]);
  expect(new Set(dealt.sets.flatMap(({ units }) => units)).size).toBe(24);
});

test('four sets of six survive any card, which no other dealing of two a card could better', () => {
  const all = cards.flat();
  const sets = [0, 1, 2, 3].map((i) => told(`set${i + 1}`, 'parity2', all.slice(6 * i, 6 * i + 6)));
  const dealt = dealtOut(assessment, wiring, gone, sets)!;
  const after = breaksOf(
    assessment,
    wiring,
    gone,
    dealt.sets.map((set) => toldOf(set, assessment.units)),
  );
  expect(after.singles.filter(({ things, worst }) => things[0]!.kind === 'card' && worst === 'lost')).toEqual([]);
});

test('of mirrors the partners go to different cards', () => {
  const all = cards.flat();
  const dealt = dealtOut(assessment, wiring, gone, [told('set1', 'mirror2', all)])!;
  const cardOf = new Map(cards.flatMap((drives, i) => drives.map((id) => [id, i] as const)));
  const { units } = dealt.sets[0]!;
  for (let i = 0; i < units.length; i += 2) expect(cardOf.get(units[i]!)).not.toBe(cardOf.get(units[i + 1]!));
});

test('an odd drive of a mirror stays the odd one: all others have partners on other cards', () => {
  const all = cards.flat().slice(0, 17);
  const cardOf = new Map(cards.flatMap((drives, i) => drives.map((id) => [id, i] as const)));
  const { units } = dealtOut(assessment, wiring, gone, [told('set1', 'mirror2', all)])!.sets[0]!;
  expect([...units].sort()).toEqual([...all].sort());
  for (let i = 0; i + 1 < units.length; i += 2) expect(cardOf.get(units[i]!)).not.toBe(cardOf.get(units[i + 1]!));
});

test('what is dealt well already, or cannot be, is left', () => {
  const sets = [0, 1, 2, 3].map((i) =>
    told(
      `set${i + 1}`,
      'parity2',
      cards.flatMap((drives) => drives.slice(2 * i, 2 * i + 2)),
    ),
  );
  expect(dealtOut(assessment, wiring, gone, sets)).toBeNull();
  const one = machine(rack().add('brazier-800').add('tern-8i').add('barge-12', 8));
  const all = [one.told('set1', 'parity2', one.cards.flat())];
  expect(dealtOut(one.assessment, one.wiring, one.gone, all)).toBeNull();
});
