import { AS_OF, cube, tweak, type Fixture } from '../testing/fixture';
import { assess } from '../assess';
import { rack } from '../testing/rules';
import { joinings } from './joining';
import type { PoolSet, SetLayout } from './layouts';

const disks = (made: Fixture, from: number, to: number, sheet = 'barge-8') =>
  Array.from({ length: to - from + 1 }, (_, i) => made.unit(sheet, from + i));
const setOf = (id: string, layout: SetLayout, units: PoolSet['units']): PoolSet => ({ id, layout, units });
const told = (made: Fixture, sets: readonly PoolSet[], added: readonly string[], wished?: number) =>
  joinings(assess(made.build, AS_OF).units, sets, new Set(added), wished).map(({ into, sets: all, moreTb, isWide }) => [
    into?.id ??
      all
        .slice(sets.length)
        .map(({ layout, units }) => `${layout} of ${units.length}`)
        .join(),
    Math.round(moreTb * 10) / 10,
    ...(isWide ? ['wide'] : []),
  ]);

// Six of 8 TB in double parity; two more widen it by 16 TB, as a mirror of their own they give 8.
test('two drives beside six: into the set they bring most, one failure less of their own brings less', () => {
  const made = cube().add('barge-8', 8);
  const six = setOf('set1', 'parity2', disks(made, 1, 6));
  expect(told(made, [six], disks(made, 7, 8))).toEqual([['set1', 16]]);
  expect(told(made, [six], disks(made, 7, 8), 1)).toEqual([
    ['set1', 16],
    ['mirror2 of 2', 8],
  ]);
});

// A smaller drive brings every member down to its size: 4 × 4 TB instead of 3 × 8 hold 12 of the 16 TB there were.
test('a smaller drive takes room away and is said to', () => {
  const made = cube(tweak('barge-12', { capacityBytes: 4e12 }))
    .add('barge-8', 3)
    .add('barge-12', 1);
  const three = setOf('set1', 'parity1', disks(made, 1, 3));
  expect(told(made, [three], disks(made, 1, 1, 'barge-12'))).toEqual([['set1', -4]]);
});

test('flash joins no set of disks, drives that are nowhere new join none, and too wide stands last', () => {
  const made = rack().add('tern-16i').add('barge-8', 13).add('pike-960', 2);
  const twelve = setOf('set1', 'parity2', disks(made, 1, 12));
  expect(told(made, [twelve], disks(made, 1, 2, 'pike-960'), 1)).toEqual([['mirror2 of 2', 1]]);
  expect(told(made, [twelve], disks(made, 13, 13))).toEqual([['set1', 8, 'wide']]);
  expect(told(made, [twelve], [])).toEqual([]);
  expect(told(made, [], disks(made, 13, 13))).toEqual([]);
});
