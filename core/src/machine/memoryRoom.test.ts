import { fixture, tweak } from '../testing/fixture';
import { memoryRoom } from './memoryRoom';
import { ofKind } from './units';

const GB = 1024 ** 3;
/** A board of so many slots, the largest module and the most in all, and modules of 16 or 32 GB in it. */
function room(
  slots: number,
  largestGb: number,
  mostGb: number,
  ...modules: readonly (readonly [sheet: string, count: number])[]
) {
  const board = tweak('gannet-e8', {
    memorySlots: slots,
    memoryFillOrder: Array.from({ length: slots }, (_, i) => i + 1),
    memoryMaxModuleBytes: largestGb * GB,
    memoryMaxBytes: mostGb * GB,
  });
  const made = modules.reduce(
    (so, [sheet, count]) => so.add(sheet, count),
    fixture(board).add('gable-24').add('gannet-e8'),
  );
  const { units, layout } = made.assess();
  const found = memoryRoom(ofKind(units, 'board')[0]!, units, layout);
  return (
    found && {
      fitted: found.fittedBytes / GB,
      most: found.mostBytes / GB,
      free: found.free,
      path: found.path && { ...found.path, ofBytes: found.path.ofBytes / GB },
    }
  );
}

test('free slots take more of the same', () => {
  expect(room(4, 32, 128, ['clew-r32', 2])).toEqual({
    fitted: 64,
    most: 128,
    free: 2,
    path: { add: 2, ofBytes: 32, giveUp: 0 },
  });
});
test('where those do not reach, the largest the board takes', () => {
  expect(room(4, 64, 160, ['clew-r32', 2])).toEqual({
    fitted: 64,
    most: 160,
    free: 2,
    path: { add: 2, ofBytes: 64, giveUp: 0 },
  });
});
test('where that does not either, as few as can be are given up', () => {
  // 3 × 16 + a free slot: 64 GB more are 112; with one of 16 given up two go in, 160.
  expect(room(4, 64, 160, ['clew-r16', 3])).toEqual({
    fitted: 48,
    most: 160,
    free: 1,
    path: { add: 2, ofBytes: 64, giveUp: 1 },
  });
  expect(room(2, 64, 128, ['clew-r32', 2])).toMatchObject({ free: 0, path: { add: 2, ofBytes: 64, giveUp: 2 } });
});
test('the smallest are given up first', () => {
  expect(room(4, 64, 192, ['clew-r32', 2], ['clew-r16', 2])).toMatchObject({
    fitted: 96,
    path: { add: 2, ofBytes: 64, giveUp: 2 },
  });
});
test('a full board has no way further, and slots bound what the sheet promises', () => {
  expect(room(2, 32, 256, ['clew-r32', 2])).toEqual({ fitted: 64, most: 64, free: 0, path: null });
  expect(room(4, 32, 128)).toBeNull();
});
