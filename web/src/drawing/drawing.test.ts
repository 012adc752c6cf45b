import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assess, parseBuildText, plannedUnits, sceneOf, VIEW_NAMES, type Build, type SceneBox } from '@inch-tower/core';
import { legs, placeBalloons, strikes } from './balloons';
import { LABEL_PX, placeLabels } from './labels';
import { layoutSheet, onSheet, overlaps, RULER, type Focus } from './sheetLayout';
import { nextFeature, nextStop, type Stop } from './walk';

const read = (id: string): Build => {
  const parsed = parseBuildText(readFileSync(join(process.cwd(), 'demo', 'builds', `${id}.json`), 'utf8'));
  if (!parsed.ok) throw new Error(parsed.words);
  return parsed.build;
};
const boxOf = (id: string): SceneBox => {
  const build = read(id);
  return sceneOf(plannedUnits(build), build.layout).boxes[0]!;
};
const cases = ['hall-cupboard', 'boathouse-rack', 'gauge-house'].flatMap((id) =>
  (['sheet', ...VIEW_NAMES] as Focus[]).flatMap((focus) =>
    (
      [
        [736, 606],
        [480, 560],
        [1300, 880],
      ] as const
    ).map(([width, height]) => [id, focus, width, height] as const),
  ),
);

test.each(cases)(
  '%s as %s on %d × %d: views lie on the sheet, labels in their rectangles, none on another',
  (id, focus, width, height) => {
    const layout = layoutSheet(boxOf(id), focus, width, height);
    for (const view of layout.views) {
      expect(view.x + view.width).toBeLessThanOrEqual(width);
      expect(view.y + view.height).toBeLessThanOrEqual(height);
      const labels = placeLabels(view);
      labels.forEach((label, i) => {
        expect(label.height).toBeGreaterThanOrEqual(LABEL_PX);
        expect(labels.slice(i + 1).filter((other) => overlaps(label, other))).toEqual([]);
      });
    }
    layout.views.forEach((view, i) =>
      expect(layout.views.slice(i + 1).some((other) => overlaps(view, other))).toBe(false),
    );
  },
);

test('the three views share one scale and line up', () => {
  const { views } = layoutSheet(boxOf('hall-cupboard'), 'sheet', 736, 606);
  const [plan, front, side] = views;
  expect(new Set(views.map((view) => view.scale)).size).toBe(1);
  expect(plan!.x).toBe(front!.x);
  expect(plan!.width).toBeCloseTo(front!.width, 9);
  expect(front!.y).toBe(side!.y);
  expect(front!.height).toBeCloseTo(side!.height, 9);
});

test('the arrangement is the one that draws the machine largest', () => {
  const flat = { ...boxOf('boathouse-rack'), size: { widthMm: 430, heightMm: 44, depthMm: 450 } };
  const [plan, front, side] = layoutSheet(flat, 'sheet', 736, 606).views;
  // One unit of a rack: all three under each other.
  expect([front!.x, side!.x]).toEqual([plan!.x, plan!.x]);
  // A cube on a wide sheet: beside each other.
  const wide = layoutSheet(boxOf('hall-cupboard'), 'sheet', 910, 606).views;
  expect(wide.map(({ y }) => y)).toEqual([wide[0]!.y, wide[0]!.y, wide[0]!.y]);
  const scales = [736, 910].map((width) => layoutSheet(boxOf('hall-cupboard'), 'sheet', width, 606).scale);
  expect(scales[1]).toBeGreaterThan(scales[0]! * 1.05);
});

test('a millimetre is as long across as up', () => {
  const { views } = layoutSheet(boxOf('boathouse-rack'), 'front', 736, 606);
  const front = views[0]!;
  expect(front.width / front.height).toBeCloseTo(430 / 177, 6);
  const bay = front.shapes.find((shape) => shape.solid.what === 'drive')!;
  const rect = onSheet(front, bay);
  expect(rect.width / rect.height).toBeCloseTo(105.5 / 28.4, 6);
});

test('balloons lie beside the views, apart from one another, one a snag', () => {
  const layout = layoutSheet(boxOf('hall-cupboard'), 'sheet', 736, 606);
  const at = ['u8', 'u17', 'u18', 'u20'].map((unit, i) => ({ key: `s${i}`, severity: 'blocker', at: [{ unit }] }));
  const balloons = placeBalloons(at, layout.views, layout.views.flatMap(placeLabels), {
    x: 28,
    y: 28,
    width: 700,
    height: 570,
  });
  expect(balloons.length).toBeGreaterThanOrEqual(3);
  balloons.forEach((balloon, i) => {
    for (const other of balloons.slice(i + 1))
      expect(Math.hypot(balloon.x - other.x, balloon.y - other.y)).toBeGreaterThan(20);
    for (const view of layout.views)
      expect(
        balloon.x > view.x && balloon.x < view.x + view.width && balloon.y > view.y && balloon.y < view.y + view.height,
      ).toBe(false);
  });
});

/** What is left for the drawing at 1024, 1280 and 1920 wide, the kit open and folded. */
const AREAS = [
  [480, 578],
  [655, 578],
  [736, 606],
  [910, 606],
  [1376, 886],
] as const;

const demoIds = readdirSync(join(process.cwd(), 'demo', 'builds'))
  .map((name) => name.replace(/\.json$/, ''))
  .filter((id) => id !== 'reading-room');

test.each(demoIds)('%s: no leader strikes through what is written, at any size', (id) => {
  const { snags } = assess(read(id), { asOf: '2026-11-28' });
  const struck = AREAS.flatMap(([width, height]) => {
    const layout = layoutSheet(boxOf(id), 'sheet', width, height);
    const labels = layout.views.flatMap(placeLabels);
    const balloons = placeBalloons(snags, layout.views, labels, {
      x: 28,
      y: 28,
      width: width - 32,
      height: height - 32,
    });
    return balloons.flatMap((balloon) =>
      labels
        .filter((label) => legs(balloon).some(([a, b]) => strikes(a, b, label)))
        .map((label) => `${width}: ${balloon.n} through ${JSON.stringify(label)}`),
    );
  });
  expect(struck).toEqual([]);
});

test('a line goes through a box or past it', () => {
  const box = { x: 10, y: 10, width: 20, height: 10 };
  expect(strikes([0, 15], [40, 15], box)).toBe(true);
  expect(strikes([0, 0], [40, 30], box)).toBe(true);
  expect(strikes([0, 5], [40, 5], box)).toBe(false);
  expect(strikes([0, 15], [8, 15], box)).toBe(false);
  expect(strikes([15, 15], [16, 16], box)).toBe(true);
});

const grid: Stop[] = [0, 1, 2].flatMap((row) =>
  [0, 1, 2].map((column): Stop => ({
    id: `b/bay.${row * 3 + column + 1}`,
    feature: 'b/bay',
    rect: { x: column * 50, y: row * 20, width: 48, height: 18 },
  })),
);
const stops: Stop[] = [
  ...grid,
  { id: 'b/fan.2', feature: 'b/fan', rect: { x: 300, y: 0, width: 40, height: 40 } },
  { id: 'b/fan.1', feature: 'b/fan', rect: { x: 350, y: 0, width: 40, height: 40 } },
];

test('arrows walk to the nearest place straight ahead, and stop at the edge', () => {
  const from = grid[4]!;
  expect(['left', 'right', 'up', 'down'].map((direction) => nextStop(grid, from, direction as never)?.id)).toEqual([
    'b/bay.4',
    'b/bay.6',
    'b/bay.2',
    'b/bay.8',
  ]);
  expect(nextStop(grid, grid[0]!, 'left')).toBeNull();
});

test('pages walk from feature to feature, to its first place, round and round', () => {
  expect(nextFeature(stops, grid[5]!, 1).id).toBe('b/fan.1');
  expect(nextFeature(stops, stops.at(-1)!, 1).id).toBe('b/bay.1');
  expect(nextFeature(stops, grid[0]!, -1).id).toBe('b/fan.1');
});

test('a card that stands out of its machine is drawn whole, clear of the ruler', () => {
  const { views } = layoutSheet(boxOf('gauge-house'), 'side', 736, 606);
  const [large] = views;
  expect(Math.min(...large!.shapes.map((shape) => shape.yMm))).toBeLessThan(-10);
  for (const shape of large!.shapes) expect(onSheet(large!, shape).y).toBeGreaterThanOrEqual(RULER);
  views.forEach((view, i) => expect(views.slice(i + 1).some((other) => overlaps(view, other))).toBe(false));
});
