import { cube, fixture, type Fixture } from '../testing/fixture';
import { sceneOf } from './scene';
import { plannedUnits } from '../machine/units';
import { projectBox, viewSize, VIEW_NAMES, type ViewName } from './project';

const made = cube().add('barge-8', 2, { at: ['u2/cage.1', 'u2/cage.2'] });
const scene = sceneOf(plannedUnits(made.build), made.build.layout);
const box = scene.boxes[0]!;
const find = (view: ViewName, id: string) => projectBox(view, box).find((shape) => shape.solid.id === id)!;

test('views share their edges: plan and front one width, front and side one height', () => {
  expect(viewSize('plan', box.size)).toEqual({ widthMm: 226, heightMm: 330 });
  expect(viewSize('front', box.size)).toEqual({ widthMm: 226, heightMm: 240 });
  expect(viewSize('side', box.size)).toEqual({ widthMm: 330, heightMm: 240 });
});

test('a bay lines up between the views: across in plan and front, up in front and side, back in plan and side', () => {
  const [plan, front, side] = (['plan', 'front', 'side'] as const).map((view) => find(view, 'u2/cage.1'));
  expect(plan!.xMm).toBe(front!.xMm);
  expect(front!.yMm).toBe(side!.yMm);
  expect(plan!.heightMm).toBe(side!.widthMm);
  // The front edge is at the bottom of the plan and at the left of the side view.
  expect(330 - plan!.yMm - plan!.heightMm).toBeCloseTo(side!.xMm, 9);
});

test('the rear view is the front seen from behind', () => {
  const supply = box.solids.find((solid) => solid.id === 'u2/rear')!;
  const rear = find('rear', 'u2/rear');
  expect(rear.xMm).toBeCloseTo(226 - supply.box.xMm - supply.box.widthMm, 9);
  expect(projectBox('front', box).some((shape) => shape.solid.what === 'board')).toBe(false);
});

test('every view stays inside its outline', () => {
  for (const view of VIEW_NAMES) {
    const size = viewSize(view, box.size);
    for (const shape of projectBox(view, box)) {
      if (!['shell', 'bay', 'drive', 'fan', 'supply', 'tray', 'backplane'].includes(shape.solid.what)) continue;
      expect(shape.xMm).toBeGreaterThanOrEqual(-1e-6);
      expect(shape.xMm + shape.widthMm).toBeLessThanOrEqual(size.widthMm + 1e-6);
    }
  }
});

test('a part without a place lies on the table at its own size', () => {
  const loose = cube().add('barge-8', 9);
  const { table } = sceneOf(plannedUnits(loose.build), loose.build.layout);
  expect(table).toHaveLength(1);
  expect(table[0]!.box).toMatchObject({ widthMm: 101.6, depthMm: 147 });
});

test('a standing board is drawn behind what stands on it', () => {
  const order = (fixtureMade: Fixture) => {
    const shapes = projectBox('side', sceneOf(plannedUnits(fixtureMade.build), fixtureMade.build.layout).boxes[0]!);
    const at = (what: string) => shapes.findIndex(({ solid }) => solid.what === what && solid.unit);
    return [at('board'), at('cooler'), at('card')] as const;
  };
  const [board, cooler, card] = order(fixture().add('steading-t9').add('plover-a6').add('tarn-155').add('tern-8i'));
  expect(board).toBeLessThan(cooler);
  expect(board).toBeLessThan(card);
});

test('the rear shows the sockets of the board, and in an opening the bracket of the card behind it', () => {
  const withCard = cube().add('tern-8i');
  const shapes = projectBox('rear', sceneOf(plannedUnits(withCard.build), withCard.build.layout).boxes[0]!);
  expect(shapes.filter(({ solid }) => solid.what === 'io').length).toBeGreaterThan(4);
  expect(shapes.find(({ solid }) => solid.what === 'opening')!.solid.unit?.part.id).toBe('tern-8i');
  expect(projectBox('plan', box).some(({ solid }) => solid.what === 'io')).toBe(false);
});
