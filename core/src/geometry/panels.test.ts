import type { PartOf } from '../parts/resolve';
import { resolve } from '../parts/resolve';
import { catalogue, tweak } from '../testing/fixture';
import { panelsOf, PAPERS, tilesOf, type CutOut } from './panels';

const chassis = (id: string, changes: Readonly<Record<string, unknown>> = {}) => {
  const from = tweak(id, changes);
  const sheet = from.sheets[id]!;
  return resolve(sheet, from.archetypes[sheet.archetype]!) as PartOf<'chassis'>;
};
const panel = (name: string, t = 3) => panelsOf(chassis('larder-8'), t).find((one) => one.name === name)!;
const round = (one: CutOut) => (one.kind === 'round' ? [one.xMm, one.yMm, one.diameterMm] : []);

test('six panels of a cube of 226 × 240 × 330 mm in sheet of 3 mm, butted, by hand', () => {
  expect(panelsOf(chassis('larder-8'), 3).map(({ name, widthMm, heightMm }) => [name, widthMm, heightMm])).toEqual([
    ['Front', 226, 234],
    ['Rear', 226, 234],
    ['Left side', 324, 234],
    ['Right side', 324, 234],
    ['Top', 226, 330],
    ['Bottom', 226, 330],
  ]);
});

test('together they fill the shell: no thickness is counted twice, none is missing', () => {
  for (const t of [1, 3, 12]) {
    const all = panelsOf(chassis('larder-8'), t);
    const sheet = all.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm * t, 0);
    const hollow = (226 - 2 * t) * (240 - 2 * t) * (330 - 2 * t);
    expect(sheet).toBeCloseTo(226 * 240 * 330 - hollow, 6);
  }
});

test('a fan of 120 mm in the rear: opening and four screws at 105 mm, seen from behind, by hand', () => {
  // At x 53 to 173 of 226 and y 8 to 128 from the front: its middle is 113 from either side and 68 - 3 up the panel.
  const holes = panel('Rear')
    .cutOuts.filter(({ kind }) => kind === 'round')
    .map(round);
  expect(holes).toEqual([
    [113, 65, 116],
    [60.5, 12.5, 4.5],
    [165.5, 12.5, 4.5],
    [60.5, 117.5, 4.5],
    [165.5, 117.5, 4.5],
  ]);
});

test('the slot and the sockets of the board are on the rear, the cage on the front, nothing outside of its panel', () => {
  expect(panel('Rear').cutOuts.map(({ label }) => label)).toEqual(expect.arrayContaining(['Sockets of the board']));
  expect(panel('Front').cutOuts).toHaveLength(1);
  for (const id of Object.values(catalogue.sheets).flatMap((one) => (one.kind === 'chassis' ? [one.id as string] : [])))
    for (const { name, widthMm, heightMm, cutOuts } of panelsOf(chassis(id), 2))
      for (const one of cutOuts) {
        const [x, y] =
          one.kind === 'round' ? [one.xMm, one.yMm] : [one.xMm + one.widthMm / 2, one.yMm + one.heightMm / 2];
        expect([id, name, one.label, x > 0 && x < widthMm, y > 0 && y < heightMm]).toEqual([
          id,
          name,
          one.label,
          true,
          true,
        ]);
      }
});

test('sheets of paper cover a panel edge to edge, at full size', () => {
  for (const paper of ['a4', 'letter'] as const)
    for (const one of panelsOf(chassis('gable-24'), 2)) {
      const tiles = tilesOf(one, paper);
      const area = tiles.reduce((sum, tile) => sum + tile.widthMm * tile.heightMm, 0);
      expect(area).toBeCloseTo(one.widthMm * one.heightMm, 6);
      expect(
        tiles.every((tile) => tile.widthMm <= PAPERS[paper].widthMm && tile.heightMm <= PAPERS[paper].heightMm),
      ).toBe(true);
    }
});
