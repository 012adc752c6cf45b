import { memoryWords } from './memoryWords';

const GB = 1024 ** 3;
const room = (
  fitted: number,
  most: number,
  free: number,
  path: { add: number; of: number; giveUp: number } | null,
) => ({
  fittedBytes: fitted * GB,
  mostBytes: most * GB,
  slots: 4,
  free,
  path: path && { add: path.add, ofBytes: path.of * GB, giveUp: path.giveUp },
});

test.each([
  [room(64, 128, 2, { add: 2, of: 32, giveUp: 0 }), '64 of 128 GB. 2 slots are free: 2 × 32 GB would fill it.'],
  [room(96, 128, 1, { add: 1, of: 32, giveUp: 0 }), '96 of 128 GB. 1 slot is free: 1 × 32 GB would fill it.'],
  [room(64, 128, 0, { add: 2, of: 64, giveUp: 2 }), '64 of 128 GB. The rest means 2 × 64 GB, and 2 modules given up.'],
  [room(64, 64, 0, null), '64 GB, the most the board takes.'],
])('%#', (of, words) => {
  expect(memoryWords(of)).toBe(words);
});
