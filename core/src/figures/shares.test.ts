import { createAssessor } from '../assess';
import { AS_OF, cube, type Fixture } from '../testing/fixture';
import { rack, tower } from '../testing/rules';
import type { FigureId } from './figures';

const sharesOf = (made: Fixture, id: FigureId) => createAssessor().shares(made.build, id);
const valueOf = (made: Fixture, id: FigureId) => createAssessor().assess(made.build, AS_OF).figures[id]!.value;
const sum = (shares: readonly { readonly value: number }[]) => shares.reduce((all, { value }) => all + value, 0);

const MACHINES: readonly (readonly [string, () => Fixture])[] = [
  ['a cube with four disks', () => cube().add('barge-8', 4)],
  ['a rack of sixteen', () => rack().add('tern-16i').add('barge-8', 16)],
  ['a tower without a disk', () => tower()],
  ['disks in bays and on the table', () => cube().add('barge-8', 12)],
  ['a box of disks of which nothing else draws', () => cube().add('loft-16').add('barge-8', 4)],
  ['a machine with a box beside it', () => cube().add('annex-4').add('barge-4', 4)],
];

test.each(MACHINES)('%s: shares of watts and money add up to their figures', (_what, made) => {
  for (const id of ['power.idleWallW', 'power.peakWallW', 'cost.now'] as const) {
    const shares = sharesOf(made(), id);
    expect(sum(shares)).toBeCloseTo(valueOf(made(), id), 6);
    expect(shares.reduce((all, { of }) => all + of, 0)).toBeCloseTo(1, 9);
    expect([...shares].sort((a, b) => b.value - a.value)).toEqual(shares);
  }
});

test('of noise a share is of the energy, and its value what goes without the source', () => {
  const made = cube().add('barge-8', 4);
  const shares = sharesOf(made, 'sound.earIdleDb');
  expect(shares.reduce((all, { of }) => all + of, 0)).toBeCloseTo(1, 9);
  const disks = shares.find(({ label }) => label.startsWith('4 × Barge'))!;
  const without = cube();
  // The disks taken out, their load on the supply is gone too: its own sound hardly moves.
  expect(disks.value).toBeCloseTo(valueOf(made, 'sound.earIdleDb') - valueOf(without, 'sound.earIdleDb'), 0);
});

test('a part is named with its units, and what has no parts to name has none', () => {
  const made = cube().add('barge-8', 4);
  const [first] = sharesOf(made, 'cost.now');
  expect(first).toMatchObject({ label: '4 × Barge 8 TB' });
  expect(first!.units).toHaveLength(4);
  expect(sharesOf(made, 'drives.room')).toEqual([]);
});
