import { cube, fixture, type Fixture } from '../testing/fixture';
import { printSpot } from '../build/layout';
import { bodyOf } from './bodies';
import { sceneOf } from './scene';
import { sittersBySpot } from '../machine/sitters';
import { plannedUnits } from '../machine/units';

const solids = (made: Fixture) => sceneOf(plannedUnits(made.build), made.build.layout).boxes[0]!.solids;
const solid = (made: Fixture, id: string) => solids(made).find((one) => one.id === id)!;

test('every place of the chassis and the board is in the scene once', () => {
  const ids = solids(cube()).map((one) => one.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const id of [
    'u2/cage.1',
    'u2/cage.8',
    'u2/roof.4',
    'u2/supply',
    'u2/rear',
    'u2/tray',
    'u4/socket',
    'u4/coolerMount',
    'u4/memory.2',
    'u4/m2a',
    'u4/pcie1',
  ])
    expect(ids).toContain(id);
});

test('a part is drawn at its own size: supply length, cooler height, card length', () => {
  const made = cube().add('tern-8i');
  expect(solid(made, 'u2/supply').box).toMatchObject({ widthMm: 125, heightMm: 63.5, depthMm: 100 });
  expect(solid(made, 'u4/coolerMount').box.heightMm).toBe(47);
  expect(solid(made, 'u4/pcie1').box).toMatchObject({ depthMm: 155, heightMm: 68.9 });
});

test('a riser stands in its slot, and the card on it lies flat over the board at its own size; without one its slot is a place', () => {
  const low = fixture().add('plank-1u').add('knot-m8').add('hoist-1u');
  const raised = `${low.unit('hoist-1u')}/riser1`;
  expect(solid(low, raised)).toMatchObject({ what: 'slot', unit: null });
  const made = low.add('tern-8i');
  const card = solid(made, raised);
  expect(card).toMatchObject({ what: 'card', unit: { part: { name: 'Tern 8i' } } });
  expect(card.box).toMatchObject({ widthMm: 68.9, depthMm: 155, assumed: true });
  // Between the board and the cover.
  const board = solid(made, 'u2/tray').box;
  expect(card.box.yMm).toBeGreaterThan(board.yMm + board.heightMm);
  expect(card.box.yMm + card.box.heightMm).toBeLessThanOrEqual(43.5);
  // Its bracket is what shows in the rear wall.
  expect(solids(made).filter((one) => one.what === 'opening' && one.unit?.part.name === 'Tern 8i').length).toBe(
    solids(low).some((one) => one.what === 'opening') ? 1 : 0,
  );
});

test('two risers side by side: what is on them lies to both sides, not in one another', () => {
  const made = fixture()
    .add('plank-1u')
    .add('knot-m8')
    .add('hoist-1u', 2, { at: ['u4/pcie1', 'u4/pcie2'] })
    .add('tern-8i', 2, { at: ['u6/riser1', 'u7/riser1'] });
  const [one, two] = ['u6/riser1', 'u7/riser1'].map((id) => solid(made, id).box);
  expect(Math.min(one!.xMm + one!.widthMm, two!.xMm + two!.widthMm)).toBeLessThanOrEqual(
    Math.max(one!.xMm, two!.xMm) + 1e-6,
  );
});

test('a card in a tower stands out from the board towards the cover', () => {
  const tower = fixture()
    .add('steading-t9')
    .add('plover-a6')
    .add('tern-8i', 1, { at: ['u4/pcie1'] });
  const card = solid(tower, 'u4/pcie1').box;
  const board = solid(tower, 'u2/tray').box;
  expect(card.widthMm).toBeCloseTo(68.9, 9);
  expect(card.xMm + card.widthMm).toBeLessThanOrEqual(board.xMm);
  expect(board.heightMm).toBe(305);
});

test('a cage over three bays is as high as they are, and its own bays lie inside it', () => {
  const tower = fixture().add('steading-t9').add('plover-a6').add('crib-5').add('barge-8', 1);
  const cage = solids(tower).find((one) => one.what === 'adapter')!;
  const inner = solids(tower).filter((one) => one.spot?.host === tower.unit('crib-5'));
  expect(inner).toHaveLength(5);
  for (const { box } of inner) {
    expect(box.yMm).toBeGreaterThanOrEqual(cage.box.yMm - 1e-6);
    expect(box.yMm + box.heightMm).toBeLessThanOrEqual(cage.box.yMm + cage.box.heightMm + 1e-6);
  }
});

test('a stock fan gives way to one of the kit', () => {
  const stock = cube();
  const own = stock.add('hush-120', 1, { at: ['u2/rear'] });
  const at = (made: Fixture) => sittersBySpot(plannedUnits(made.build), made.build.layout).get('u2/rear')!.part.name;
  expect([at(stock), at(own)]).toEqual(['Stock 120', 'Hush 120']);
});

test('each unit of a settled build is drawn at the place its layout names', () => {
  const made = cube().add('barge-8', 4);
  for (const [unit, seat] of Object.entries(made.build.layout.at)) {
    if (seat.spot.host === 'floor') continue;
    expect([unit, solid(made, printSpot(seat.spot)).unit?.id]).toEqual([unit, unit]);
  }
});

test('what lies on the table has the outer size of its kind', () => {
  const units = plannedUnits(
    fixture().add('barge-8').add('clew-16e').add('hush-120').add('ember-550').add('wren-c8').add('stickle-500').build,
  );
  const sizes = units.map((unit) => [unit.part.kind, bodyOf(unit.part).widthMm]);
  expect(sizes).toEqual([
    ['drive', 101.6],
    ['memory', 133],
    ['fan', 120],
    ['supply', 150],
    ['board', 170],
    ['drive', 80],
  ]);
});

test('a stick in an outside socket is drawn at the place it is in, spelt as that place is', () => {
  const made = fixture().add('husk-1').add('sprig-s1').add('dab-32');
  expect(made.seat('dab-32')).toBe('usbOutside');
  const drawn = solid(made, `${made.unit('sprig-s1')}/usbOutside`);
  expect(drawn.unit?.id).toBe(made.unit('dab-32'));
  // An empty one is not drawn: nobody looks for it.
  const empty = solids(fixture().add('husk-1').add('sprig-s1')).map(({ id }) => id);
  expect(empty.filter((id) => id.includes('usbOutside'))).toEqual([]);
});
