import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assess, parseBuildText, plannedUnits, sceneOf, VIEW_NAMES, type Build, type SceneBox } from '@inch-tower/core';
import { legs, placeBalloons, strikes } from './balloons';
import { LABEL_PX, placeLabels } from './labels';
import type { Focus } from './foci';
import { drawnTogether, layoutSheet, onSheet, overlaps, RULER } from './sheetLayout';
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
const demoIds = readdirSync(join(process.cwd(), 'demo', 'builds'))
  .map((name) => name.replace(/\.json$/, ''))
  .filter((id) => id !== 'reading-room');

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
    const layout = layoutSheet([boxOf(id)], focus, width, height);
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

/** A box of other sizes. */
const sized = (widthMm: number, heightMm: number, depthMm: number): SceneBox => ({
  ...boxOf('boathouse-rack'),
  size: { widthMm, heightMm, depthMm },
});

test('the three views share one scale and, in an L, line up', () => {
  // As deep as it is wide, and high: the plan over the front, the side beside it.
  const { views } = layoutSheet([sized(300, 200, 300)], 'sheet', 655, 578);
  const [plan, front, side] = views;
  expect(new Set(views.map((view) => view.scale)).size).toBe(1);
  expect(plan!.x).toBe(front!.x);
  expect(plan!.width).toBeCloseTo(front!.width, 9);
  expect(front!.y).toBe(side!.y);
  expect(front!.height).toBeCloseTo(side!.height, 9);
});

test('the arrangement is the one that draws the machine largest', () => {
  // One unit of a rack: all three under each other.
  const [plan, front, side] = layoutSheet([sized(430, 44, 450)], 'sheet', 736, 606).views;
  expect([front!.x, side!.x]).toEqual([plan!.x, plan!.x]);
  // A deep rack: front and side beside the plan.
  const deep = layoutSheet([sized(430, 177, 660)], 'sheet', 910, 606).views;
  expect(deep[1]!.y).toBe(deep[0]!.y);
  expect(deep[2]!.x).toBe(deep[1]!.x);
  // A tower: beside each other.
  const tower = layoutSheet([sized(214, 482, 472)], 'sheet', 910, 606).views;
  expect(tower.map(({ y }) => y)).toEqual([tower[0]!.y, tower[0]!.y, tower[0]!.y]);
});

test('the outlines take at least 44 % of the sheet in the median of the demo machines, the kit folded', () => {
  const [width, height] = [910, 606];
  const shares = demoIds
    .map((id) => {
      const { boxes } = sceneOf(plannedUnits(read(id)), read(id).layout);
      const { views } = layoutSheet(drawnTogether(boxes, boxes[0]!, width, height), 'sheet', width, height);
      return views.reduce((sum, view) => sum + view.width * view.height, 0) / (width * height);
    })
    .sort((a, b) => a - b);
  expect(shares[Math.floor(shares.length / 2)]).toBeGreaterThanOrEqual(0.44);
});

test('boxes of one machine are drawn at once, at one scale, apart from one another', () => {
  const { boxes } = sceneOf(plannedUnits(read('school-shelf')), read('school-shelf').layout);
  expect(drawnTogether(boxes, boxes[1]!, 736, 606)).toHaveLength(2);
  const { views, free } = layoutSheet(boxes, 'sheet', 736, 606);
  expect(views).toHaveLength(6);
  expect(new Set(views.map(({ scale }) => scale)).size).toBe(1);
  expect(new Set(views.map(({ title }) => title)).size).toBe(6);
  const all = [...views, free];
  all.forEach((one, i) => expect(all.slice(i + 1).some((other) => overlaps(one, other))).toBe(false));
  // A cube beside a cabinet would be a stamp: the one that is asked for is drawn.
  const cabinet = sized(600, 2000, 1000);
  expect(drawnTogether([sized(180, 40, 180), cabinet], cabinet, 736, 606)).toEqual([cabinet]);
});

test('a millimetre is as long across as up', () => {
  const { views } = layoutSheet([boxOf('boathouse-rack')], 'front', 736, 606);
  const front = views[0]!;
  expect(front.width / front.height).toBeCloseTo(430 / 177, 6);
  const bay = front.shapes.find((shape) => shape.solid.what === 'drive')!;
  const rect = onSheet(front, bay);
  expect(rect.width / rect.height).toBeCloseTo(105.5 / 28.4, 6);
});

test('balloons lie beside the views, apart from one another, one a snag', () => {
  const layout = layoutSheet([boxOf('hall-cupboard')], 'sheet', 736, 606);
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

test.each(demoIds)('%s: no leader strikes through what is written, at any size', (id) => {
  const { snags } = assess(read(id), { asOf: '2026-11-28' });
  const struck = AREAS.flatMap(([width, height]) => {
    const { boxes } = sceneOf(plannedUnits(read(id)), read(id).layout);
    const layout = layoutSheet(drawnTogether(boxes, boxes[0]!, width, height), 'sheet', width, height);
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
  const { views } = layoutSheet([boxOf('gauge-house')], 'side', 736, 606);
  const [large] = views;
  expect(Math.min(...large!.shapes.map((shape) => shape.yMm))).toBeLessThan(-10);
  for (const shape of large!.shapes) expect(onSheet(large!, shape).y).toBeGreaterThanOrEqual(RULER);
  views.forEach((view, i) => expect(views.slice(i + 1).some((other) => overlaps(view, other))).toBe(false));
});
