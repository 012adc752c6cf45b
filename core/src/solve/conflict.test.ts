import { machine } from '../testing/mip/machines';
import { cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { conflictOf, factsOf, factWords, goes, type Fact } from './conflict';
import { solve } from './solve';
import { plannedUnits } from '../machine/units';

const conflictIn = (made: Fixture) => conflictOf(plannedUnits(made.build), made.build.layout);
const words = (made: Fixture) => conflictIn(made)?.map(factWords).sort();

test('a build that goes together has no conflict', () => {
  expect(conflictIn(cube().add('barge-8', 4))).toBeNull();
});

test('more drives than ports: the drives and the ports, nothing else', () => {
  expect(words(cube().add('barge-8', 6))).toEqual(['4 ports that speak to them', '6 × Barge 8 TB']);
});

test('two cards and one slot: both cards and the slot', () => {
  expect(words(cube().add('barge-8', 2).add('tern-8i').add('skein-10'))).toEqual([
    '1 slot that takes them',
    'Skein 10',
    'Tern 8i',
  ]);
});

test('a module that takes two ports is named beside drives and ports', () => {
  const made = cube(
    tweak('wren-c8', {
      m2Sockets: [{ key: 'm2b', label: 'M.2', lengthsMm: [80], gen: 3, lanes: 4, carries: ['sata'], owner: 'chipset' }],
    }),
  )
    .add('barge-8', 4)
    .add('reed-250');
  expect(words(made)).toEqual([
    '1 M.2 socket that takes them',
    '2 ports that speak to them',
    '4 × Barge 8 TB',
    'Reed 250 GB M.2 SATA',
  ]);
});

test('what is held is blamed only where it matters', () => {
  const held = (made: Fixture, sheet: string, key: string) =>
    made.edit({ type: 'place.hold', unit: made.unit(sheet), spot: { host: made.unit('plover-a8'), key } });
  const board = fixture(
    tweak('plover-a8', {
      slots: [
        {
          key: 'wide',
          label: 'Wide',
          position: 0,
          bus: 'pcie',
          lanes: 16,
          wiredLanes: 16,
          gen: 4,
          owner: 'processor',
          openEnd: false,
        },
        {
          key: 'narrow',
          label: 'Narrow',
          position: 2,
          bus: 'pcie',
          lanes: 4,
          wiredLanes: 4,
          gen: 3,
          owner: 'chipset',
          openEnd: false,
        },
      ],
    }),
  )
    .add('steading-t9')
    .add('plover-a8')
    .add('skein-10');
  const blocked = held(board, 'skein-10', 'wide').add('tern-8i');
  expect(
    conflictIn(blocked)
      ?.map(({ kind, what }) => `${kind} ${what}`)
      .sort(),
  ).toEqual(['has slots', 'held cards', 'wants cards', 'wants cards']);
  const beside = held(board, 'skein-10', 'narrow').add('tern-8i', 2);
  expect(conflictIn(beside)?.some(({ kind }) => kind === 'held')).toBe(false);
});

test.each(Array.from({ length: 40 }, (_, i) => i + 1))(
  'drawn machine %i: the conflict conflicts, and without any one of its facts it does not',
  (seed) => {
    const { problem, hint } = machine(seed, 8);
    const { layout } = solve(problem, hint);
    const conflict = conflictOf(problem.units, layout);
    const same = (one: Fact, other: Fact) =>
      one.kind === other.kind &&
      one.what === other.what &&
      (one.kind === 'has' || one.units.join() === other.units.join());
    const all = factsOf(problem.units, layout);
    const given = all.filter((fact) => !conflict?.some((one) => same(one, fact)));
    if (!conflict) {
      expect(goes(problem.units, layout, new Set())).toBe(true);
      return;
    }
    expect(goes(problem.units, layout, new Set(given))).toBe(false);
    for (const fact of all.filter((one) => !given.includes(one)))
      expect(goes(problem.units, layout, new Set([...given, fact]))).toBe(true);
  },
);
