import { cube } from '../testing/fixture';
import { plannedUnits } from '../machine/units';
import { tracePath, wireOf } from './trace';

const made = cube()
  .add('tern-8i')
  .add('barge-8', 8)
  .add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
const trace = (unit: string) => [...tracePath(plannedUnits(made.build), made.build.layout, unit)].sort();

test('from a drive behind the backplane to the card that feeds it', () => {
  expect(trace(made.unit('barge-8', 3))).toEqual([`u2/${made.seat('barge-8', 3)!}`, 'u4/pcie1'].sort());
});

test("a drive knows its own cable, not its neighbour's", () => {
  const units = plannedUnits(made.build);
  const end = (n: number) => wireOf(units, made.build.layout, made.unit('barge-8', n))!.device[0];
  const feeds = [1, 2, 3, 4, 5, 6, 7, 8].map((n) => [Number(made.seat('barge-8', n)!.split('.')[1]), end(n).n]);
  for (const [bay, feed] of feeds) expect(feed).toBe(bay! <= 4 ? 1 : 2);
  expect(wireOf(units, made.build.layout, made.unit('drover-4'))).toBeNull();
});

test('from the card to every bay it serves, and none that the board serves', () => {
  const path = trace(made.unit('tern-8i'));
  expect(path.filter((place) => place.startsWith('u2/cage'))).toHaveLength(8);
  expect(path.some((place) => place.startsWith('u2/roof'))).toBe(false);
});

test('from the board to the drives on its own ports', () => {
  expect(trace(made.unit('wren-c8')).filter((place) => place.startsWith('u2/roof'))).toEqual([
    'u2/roof.1',
    'u2/roof.2',
  ]);
});

test('in reverse only the lanes with a port are live; on the table there is no path', () => {
  const short = cube().add('barge-8', 5);
  const units = plannedUnits(short.build);
  expect(tracePath(units, short.build.layout, short.unit('wren-c8')).size).toBe(5);
  expect(tracePath(units, { ...short.build.layout, at: {} }, short.unit('barge-8')).size).toBe(0);
});
