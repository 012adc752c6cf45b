import { catalogue, fixture, tweak, type Fixture } from '../testing/fixture';
import type { Catalogue } from '../parts/catalogue';
import { lyingOver } from './liesOver';
import { plannedUnits } from '../machine/units';

const over = (made: Fixture) =>
  lyingOver(plannedUnits(made.build), made.build.layout).map(
    ({ under, over: bodies }) =>
      `${bodies.map(({ part }) => part.name).join(', ')} over ${under.map(({ part }) => part.name).join(', ')}`,
  );
const archetype = (id: string) => catalogue.archetypes[id] as unknown as Record<string, object[]>;
const socket = (uMm: number, vMm: number) => [
  {
    key: 'm2a',
    label: 'M.2 socket 1',
    lengthsMm: [80],
    gen: 3,
    lanes: 4,
    carries: ['pcie'],
    owner: 'chipset',
    at: { uMm, vMm },
  },
];

describe('a card over a module', () => {
  /** The first slot stands 160 mm from the outside sockets; a module of 80 mm crosses under it from 90 on. */
  const flat = (uMm: number) =>
    fixture(tweak('gannet-e8', { m2Sockets: socket(uMm, 120) }))
      .add('gable-24')
      .add('gannet-e8')
      .add('stickle-500')
      .add('tern-8i', 1, { at: ['u4/pcie1'] });
  const standing = (uMm: number, boardAt: object | null = { xMm: 190, yMm: 420, zMm: 460 }) =>
    fixture(tweak('plover-a6', { m2Sockets: socket(uMm, 120) }, tweak('steading-t9', { boardAt })))
      .add('steading-t9')
      .add('plover-a6')
      .add('stickle-500')
      .add('tern-8i', 1, { at: ['u4/pcie1'] });
  test.each([
    ['flat', flat],
    ['standing', standing],
  ] as const)('on a board that lies %s', (_, made) => {
    expect(over(made(90))).toEqual(['Tern 8i over Stickle 500 GB NVMe']);
    // It ends before the card begins.
    expect(over(made(60))).toEqual([]);
  });
  test('where the board lies is not stated: nothing is said', () => {
    expect(over(standing(90, null))).toEqual([]);
  });
  test('past the end of the card', () => {
    expect(
      over(
        fixture(tweak('gannet-e8', { m2Sockets: socket(90, 156) }))
          .add('gable-24')
          .add('gannet-e8')
          .add('stickle-500')
          .add('tern-8i', 1, { at: ['u4/pcie1'] }),
      ),
    ).toEqual([]);
  });
});

describe('drives over memory', () => {
  /** A small box whose one bay hangs so high over the board, fixed or hot swap. */
  const box = (yMm: number, access: string, at = true): Catalogue =>
    tweak('creel-2', {
      bayGroups: archetype('box-two-bays')
        .bayGroups!.filter((group) => (group as { key: string }).key === 'bay')
        .map((group) => ({ ...group, access, ...(at ? { at: { xMm: 100, yMm, zMm: 120 } } : { at: undefined }) })),
      supplyBays: [],
    });
  const made = (yMm: number, access = 'fixed', at = true) =>
    fixture(box(yMm, access, at))
      .add('creel-2')
      .add('sprig-i2')
      .add('clew-3s8')
      .add('lighter-1');
  test('a fixed bay low over it, and one it can rise under', () => {
    expect(over(made(63))).toEqual(['Lighter 1 TB, used over Clew 8 GB DDR3 SO-DIMM, used']);
    expect(over(made(65))).toEqual([]);
  });
  test('out of a hot-swap bay the drive is pulled first', () => {
    expect(over(made(60, 'hotSwap'))).toEqual([]);
  });
  test('an empty bay is in nobody’s way', () => {
    expect(over(fixture(box(60, 'fixed')).add('creel-2').add('sprig-i2').add('clew-3s8'))).toEqual([]);
  });
  test('of a bay without a place nothing is said', () => {
    expect(over(made(60, 'fixed', false))).toEqual([]);
  });
});

test('modules on the table lie under nothing', () => {
  expect(over(fixture().add('sprig-i2').add('clew-3s8'))).toEqual([]);
});
