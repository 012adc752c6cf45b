import { cube, fixture } from '../testing/fixture';
import { bootDrives, canStart, dataDrives, rolesOf } from './roles';
import { plannedUnits } from './units';

const marksOf = (made: ReturnType<typeof fixture>) =>
  [...bootDrives(plannedUnits(made.build))].map(({ part }) => part.id as string);

test('a module or stick beside larger drives is where the system is; flash beside disks is not taken for it', () => {
  expect(marksOf(cube().add('stickle-500').add('barge-8', 4))).toEqual(['stickle-500']);
  expect(marksOf(cube().add('dab-32').add('barge-8', 4))).toEqual(['dab-32']);
  expect(marksOf(cube().add('pike-960', 4).add('barge-8', 4))).toEqual([]);
  expect(marksOf(cube().add('pike-960', 1, { role: 'boot' }).add('barge-8', 4))).toEqual(['pike-960']);
});

test('modules as large as everything else are the pool, though it can start from one', () => {
  const made = fixture().add('steading-t9').add('plover-a6').add('stickle-1000', 2);
  expect(marksOf(made)).toEqual([]);
  expect(canStart(plannedUnits(made.build))).toBe(true);
  expect(canStart(plannedUnits(cube().add('barge-8', 2).build))).toBe(false);
  expect(canStart(plannedUnits(cube().add('barge-8').build))).toBe(true);
});

test('the role of every drive: set by hand before proposed; what is not proposed holds data', () => {
  const units = plannedUnits(cube().add('stickle-500').add('barge-8', 2).add('pike-960', 1, { role: 'cache' }).build);
  expect([...rolesOf(units).values()]).toEqual(['boot', 'data', 'data', 'cache']);
  expect(dataDrives(units).map(({ part }) => part.id as string)).toEqual(['barge-8', 'barge-8']);
});
