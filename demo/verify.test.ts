import { mutateFiles } from '../scripts/test/mutating';

test('three hundred mutated files: each is assessed or refused with a reason', () => {
  const { assessed, refused, faults } = mutateFiles(500, 7, 60_000);
  expect(faults).toEqual([]);
  expect(assessed).toBeGreaterThan(10);
  expect(refused).toBeGreaterThan(100);
});
