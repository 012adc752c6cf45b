import { cardOf } from '../card';
import { newBuild } from '../build/newBuild';
import { AS_OF, cube, fixture } from '../testing/fixture';
import { elevationOf } from './elevation';

test('a machine without a chassis is a plain outline', () => {
  expect(elevationOf(newBuild('b', 'B'))).toEqual({ widthMm: 220, heightMm: 260, boxes: [] });
});

test('boxes stand beside each other, each as large as its chassis, with its bays filled or empty', () => {
  const { build } = cube().add('barge-8', 3).add('annex-4');
  const { widthMm, heightMm, boxes } = elevationOf(build);
  expect(boxes).toHaveLength(2);
  expect(boxes[1]!.xMm).toBe(boxes[0]!.widthMm + 40);
  expect([widthMm, heightMm]).toEqual([
    boxes[1]!.xMm + boxes[1]!.widthMm,
    Math.max(...boxes.map((box) => box.heightMm)),
  ]);
  const filled = boxes[0]!.shapes.filter(([what, full]) => what !== 'shell' && full === 1);
  expect(filled.length).toBeGreaterThanOrEqual(3);
  for (const [, , xMm, yMm, wide, high] of boxes[0]!.shapes)
    expect([
      xMm >= -0.1,
      yMm >= -0.1,
      xMm + wide <= boxes[0]!.widthMm + 0.1,
      yMm + high <= boxes[0]!.heightMm + 0.1,
    ]).toEqual([true, true, true, true]);
});

test('a card holds the verdict, the two numbers as assessed, and how many drives another machine might take', () => {
  const made = cube().add('barge-8', 3);
  const { figures, snags, status } = made.assess();
  expect(cardOf(made.build, AS_OF)).toMatchObject({
    status,
    snags: snags.length,
    idleWallW: figures['power.idleWallW']!.value,
    rawTb: 24,
    poolDrives: 3,
  });
  expect(cardOf(fixture().build, AS_OF)).toMatchObject({
    status: 'empty',
    idleWallW: null,
    rawTb: null,
    poolDrives: 0,
  });
});
