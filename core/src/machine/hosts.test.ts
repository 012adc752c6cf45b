import { fixture } from '../testing/fixture';
import { boardSlot, boxOf, chassisAround, coveredBy, seatsOf } from './hosts';
import { plannedUnits, seatSpot, unitsById, type PlannedUnit } from './units';

const low = () =>
  fixture()
    .add('plank-1u')
    .add('knot-m8')
    .add('hoist-1u')
    .add('tern-8i', 1, { at: ['u6/riser1'] });
const at = (made: ReturnType<typeof low>, layout = made.build.layout) => {
  const units = plannedUnits(made.build);
  return { units, byId: unitsById(units), seatOf: (unit: PlannedUnit) => seatSpot(layout, unit) };
};

test('the slot of a card, in the board or through a riser', () => {
  const made = low();
  const { byId, seatOf } = at(made);
  const riser = byId.get('u6')!;
  expect(boardSlot(seatOf(riser), byId, seatOf)).toMatchObject({
    board: { id: 'u4' },
    slot: { key: 'pcie1' },
    riser: null,
  });
  expect(boardSlot(seatOf(byId.get(made.unit('tern-8i'))!), byId, seatOf)).toMatchObject({
    board: { id: 'u4' },
    slot: { key: 'pcie1' },
    riser: { id: 'u6' },
  });
  expect(boardSlot(undefined, byId, seatOf)).toBeNull();
  expect(boardSlot({ host: 'u2', key: 'front', n: 1 }, byId, seatOf)).toBeNull();
});

test('a riser in itself, as only a file can say it, cables nowhere', () => {
  const made = low();
  const seat = { spot: { host: 'u6', key: 'riser1' }, how: 'put' as const };
  const { byId, seatOf, units } = at(made, {
    ...made.build.layout,
    at: { ...made.build.layout.at, ['u6' as never]: seat },
  });
  expect(boardSlot({ host: 'u6', key: 'riser1' }, byId, seatOf)).toBeNull();
  expect(boxOf('u6', new Map([['u6', seat]]), units)).toBeNull();
});

test('the box around what is in it, through board, riser and carrier; none for what lies on the table', () => {
  const made = low()
    .add('punt-1', 1, { at: ['u4/pcie2'] })
    .add('stickle-500');
  const { units } = at(made);
  const seats = seatsOf(made.build.layout);
  expect(chassisAround(made.unit('tern-8i'), seats, units)?.name).toBe('Plank 1U');
  expect(boxOf('u2', seats, units)?.id).toBe('u2');
  expect(chassisAround('nobody', seats, units)).toBeNull();
  expect(seatsOf(made.build.layout)).toBe(seats);
});

test('a thick card covers the slots behind its own, as many as it is thick', () => {
  const made = fixture()
    .add('byre-15s')
    .add('gannet-c8')
    .add('beacon-300', 1, { at: ['u4/pcie2'] });
  const card = plannedUnits(made.build).find(({ part }) => part.kind === 'accelerator')!;
  expect(coveredBy(card, { host: 'u4', key: 'pcie2' }, plannedUnits(made.build))).toEqual(['u4/pcie3', 'u4/pcie4']);
  expect(coveredBy(card, { host: 'u2', key: 'opening' }, plannedUnits(made.build))).toEqual([]);
});
