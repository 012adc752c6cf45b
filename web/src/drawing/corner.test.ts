import { largestFree, pack, scaleFor, type Packing } from './arrangements';
import { cornerOf } from './corner';
import { overlaps } from './sheetLayout';

const leaf = (name: string, widthMm: number, heightMm: number): Packing<string> => ({ leaf: name, widthMm, heightMm });

test('a packing fills its room at the largest scale, gaps between neighbours only', () => {
  const packing: Packing<string> = { row: [leaf('a', 100, 50), { column: [leaf('b', 200, 20), leaf('c', 50, 20)] }] };
  // Across 300 mm and one gap of 40 px in 340 px: 1 px to the mm.
  expect(scaleFor(packing, { width: 340, height: 1000 }, 40, 9)).toBeCloseTo(1, 4);
  // Down, 40 mm and one gap in 60 px: 0.5, which the other column of 50 mm allows.
  expect(scaleFor(packing, { width: 1000, height: 60 }, 40, 9)).toBeCloseTo(0.5, 4);
  expect(scaleFor(packing, { width: 9000, height: 9000 }, 40, 2)).toBe(2);
  expect(pack(packing, 10, 20, 1, 40)).toEqual([
    { leaf: 'a', x: 10, y: 20, width: 100, height: 50 },
    { leaf: 'b', x: 150, y: 20, width: 200, height: 20 },
    { leaf: 'c', x: 150, y: 80, width: 50, height: 20 },
  ]);
});

test('the largest free rectangle keeps clear, and a wide one that is high enough goes before a larger strip', () => {
  const area = { x: 0, y: 0, width: 400, height: 300 };
  expect(largestFree(area, [], 10, { width: 1, height: 1 })).toEqual(area);
  const lying = [{ x: 0, y: 0, width: 190, height: 300 }];
  expect(largestFree(area, lying, 10, { width: 1, height: 1 })).toEqual({ x: 200, y: 0, width: 200, height: 300 });
  // Under the first and beside the second: the strip of 90 × 300 is larger than 300 × 80, but too narrow.
  const two = [{ x: 0, y: 0, width: 300, height: 210 }];
  expect(largestFree(area, two, 10, { width: 200, height: 50 })).toEqual({ x: 0, y: 220, width: 400, height: 80 });
  expect(largestFree(area, [area], 10, { width: 1, height: 1 })).toMatchObject({ width: 0, height: 0 });
});

test.each([
  ['high', { x: 5, y: 5, width: 300, height: 300 }, true],
  ['low and wide', { x: 5, y: 5, width: 600, height: 130 }, true],
  ['narrow', { x: 5, y: 5, width: 140, height: 300 }, false],
  ['flat', { x: 5, y: 5, width: 600, height: 60 }, false],
])('the title block in a %s corner leaves the rest whole', (_, free, hasTitle) => {
  const { title, rest } = cornerOf(free);
  expect(title.height > 0).toBe(hasTitle);
  expect(overlaps(title, rest)).toBe(false);
  for (const one of [title, rest]) {
    expect(one.x).toBeGreaterThanOrEqual(free.x);
    expect(one.x + one.width).toBeLessThanOrEqual(free.x + free.width);
    expect(one.y + one.height).toBeLessThanOrEqual(free.y + free.height);
  }
  if (hasTitle) expect(rest.width >= 236 && rest.height >= 112).toBe(true);
  else expect(rest).toEqual(free);
});
