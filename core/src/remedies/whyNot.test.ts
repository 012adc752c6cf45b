import { createAssessor } from '../assess';
import { commit } from '../solve/settle';
import { parseSpot } from '../build/layout';
import type { SheetId } from '../parts/ids';
import { AS_OF, catalogue, cube, fixture, type Fixture } from '../testing/fixture';
import { whyNot } from './whyNot';

const ask = (made: Fixture, spot: string, sheet: string) =>
  whyNot(
    { build: made.build, assessment: made.assess() },
    parseSpot(spot)!,
    sheet as SheetId,
    catalogue,
    createAssessor(),
    AS_OF,
  );
const after = (made: Fixture, way: ReturnType<typeof ask>['ways'][number]) => {
  const done = commit(made.build, way.edits);
  if (!done.ok) throw new Error(done.words);
  return createAssessor().assess(done.build, AS_OF);
};
const tower = () =>
  fixture().add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');

test('an ATX supply in a cube: another chassis is what would let it in, and the supply stays the wanted one', () => {
  const made = cube();
  const { ways } = ask(made, 'u2/supply', 'ember-550');
  // The cube has a supply already: nothing short of taking it out makes room.
  expect(ways.every((way) => after(made, way).units.some(({ part }) => part.id === 'ember-550'))).toBe(true);
  const bare = fixture().add('larder-8').add('wren-c8');
  const [first] = ask(bare, 'u2/supply', 'ember-550').ways;
  expect(first!.title).toMatch(/^Take .* instead of Larder 8$/);
  expect(after(bare, first!).snags.filter(({ severity }) => severity === 'blocker')).toEqual([]);
});

test('a 2.5-inch drive for a bay of a tower: an adapter lets it in', () => {
  const made = tower();
  const { ways } = ask(made, 'u2/cage.1', 'pike-960');
  expect(ways[0]!.title).toBe('Add Cradle 2');
  expect(after(made, ways[0]!).unplaced).toEqual([]);
});

test('what goes elsewhere says where', () => {
  const { ways } = ask(tower(), 'u4/pcie2', 'tern-8i');
  expect(ways[0]!.title).toMatch(/^It goes elsewhere: slot 1, x16 of Plover A6$/);
});

test('a card for the one slot that is held: the conflict names both and the hold', () => {
  const made = cube().add('tern-8i');
  const held = made.edit({
    type: 'place.hold',
    unit: made.unit('tern-8i'),
    spot: { host: made.unit('wren-c8'), key: 'pcie1' },
  });
  const { ways, conflict } = ask(held, 'u4/pcie1', 'skein-10');
  expect(conflict.join('; ')).toContain('Tern 8i');
  for (const way of ways) expect(after(held, way).unplaced).toEqual([]);
});

test('never a way that takes the wanted part out or another for it', () => {
  for (const [made, spot, sheet] of [
    [cube(), 'u2/supply', 'ember-550'],
    [tower(), 'u2/cage.1', 'pike-960'],
    [cube(), 'u4/socket', 'drover-m8'],
  ] as const)
    for (const way of ask(made, spot, sheet).ways)
      expect(after(made, way).units.some(({ part }) => part.id === sheet)).toBe(true);
});
