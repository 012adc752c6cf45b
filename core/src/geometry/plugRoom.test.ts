import { catalogue } from '../testing/fixture';
import type { BayGroup } from '../parts/chassisValues';
import { plugsEnd, STRAIGHT_PLUG_MM } from './plugRoom';

const bare = (catalogue.archetypes['box-1l'] as unknown as { bayGroups: BayGroup[] }).bayGroups[0]!;
const hotSwap = (catalogue.archetypes['cube-8'] as unknown as { bayGroups: BayGroup[] }).bayGroups[0]!;

test.each<readonly [string, Partial<BayGroup>, 'rear' | 'front']>([
  ['nothing is stated', {}, 'rear'],
  ['there is room behind', { plugRoomMm: STRAIGHT_PLUG_MM, turnedPlugRoomMm: 100 }, 'rear'],
  ['there is room in front only', { plugRoomMm: STRAIGHT_PLUG_MM - 1, turnedPlugRoomMm: STRAIGHT_PLUG_MM }, 'front'],
  ['there is room at neither end', { plugRoomMm: 20, turnedPlugRoomMm: STRAIGHT_PLUG_MM - 1 }, 'rear'],
  ['what is in front is not stated', { plugRoomMm: 20 }, 'rear'],
])('the plugs of a drive where %s', (_, more, end) => {
  expect(plugsEnd({ ...bare, ...more })).toBe(end);
});

test('before a backplane a drive has no plugs of its own', () => {
  expect(plugsEnd({ ...hotSwap, plugRoomMm: 1, turnedPlugRoomMm: 100 })).toBeNull();
});
