import { assess } from '../assess';
import { AS_OF, catalogue, fixture } from '../testing/fixture';
import { resolve, type Part, type PartOf } from '../parts/resolve';
import { drivesReached, fewestDrives, hasNoSupply, mostTbIn, mostTbWith } from './lookAhead';

const part = (id: string): Part =>
  resolve(catalogue.sheets[id]!, catalogue.archetypes[catalogue.sheets[id]!.archetype]!);
const supplies = Object.keys(catalogue.sheets)
  .map(part)
  .filter((one): one is PartOf<'supply'> => one.kind === 'supply');
const unitsOf = (...sheets: string[]) =>
  assess(sheets.reduce((made, sheet) => made.add(sheet), fixture()).build, AS_OF).units;

test('a board is a dead end where no supply with its plug goes into the chassis', () => {
  const atx = supplies.filter(({ form }) => form === 'atx');
  expect(hasNoSupply(part('plover-a6'), unitsOf('steading-t9'), atx)).toBe(false);
  expect(hasNoSupply(part('plover-a6'), unitsOf('plank-1u'), atx)).toBe(true);
  expect(hasNoSupply(part('plover-a6'), unitsOf('plank-1u'), supplies)).toBe(false);
});

test('nothing is looked for without a chassis, without a list, or once a supply is chosen; other parts have no ahead', () => {
  const atx = supplies.filter(({ form }) => form === 'atx');
  expect(hasNoSupply(part('plover-a6'), [], atx)).toBe(false);
  expect(hasNoSupply(part('plover-a6'), unitsOf('plank-1u'), [])).toBe(false);
  expect(hasNoSupply(part('plover-a6'), unitsOf('plank-1u', 'clinker-400'), atx)).toBe(false);
  expect(hasNoSupply(part('drover-4'), unitsOf('plank-1u'), atx)).toBe(false);
});

test('at the most a machine holds what is left of all its drives when the largest fail', () => {
  const eight = part('barge-8') as PartOf<'drive'>;
  expect(mostTbWith(eight, 4, [], 0)).toBe(32);
  expect(mostTbWith(eight, 4, [], 1)).toBe(24);
  expect(mostTbWith(eight, 4, [], 5)).toBe(0);
  // Two of 12 TB are there: of two more of 8 and those, the two largest may fail.
  const there = assess(fixture().add('larder-8').add('barge-12', 2).build, AS_OF).units;
  expect(mostTbWith(eight, 2, there, 2)).toBe(16);
  expect(mostTbWith(eight, 2, there, 0)).toBe(40);
});

const drives = ['barge-8', 'barge-12', 'pike-960'].map((id) => part(id) as PartOf<'drive'>);

test('what the bays of a chassis hold at the most, with and without cages, and how few drives do', () => {
  // Four bays of 3.5 inch and two of 5.25: a cage makes three of those two.
  const tower = part('stead-m6') as PartOf<'chassis'>;
  expect(mostTbIn(tower, drives, 0)).toEqual({ plain: 48, caged: 84 });
  expect(mostTbIn(tower, drives, 2)).toEqual({ plain: 24, caged: 60 });
  expect(mostTbIn(tower, [], 0)).toEqual({ plain: 0, caged: 0 });
  expect(fewestDrives(tower, drives, 36, 1)).toBe(4);
  expect(fewestDrives(tower, drives, 72, 1)).toBe(7);
  expect(fewestDrives(tower, drives, 73, 1)).toBeNull();
});

test('a board reaches what its ports and sockets take; with a PCIe slot any number, with a PCI slot no more', () => {
  const board = part('wren-c8') as PartOf<'board'>;
  expect(drivesReached(board)).toBe(Infinity);
  const ports = board.connectors
    .filter(({ side, carries }) => side === 'inside' && carries.includes('sata'))
    .reduce((sum, { count, lanes }) => sum + count * lanes, 0);
  expect(drivesReached({ ...board, slots: [] })).toBe(ports + board.m2Sockets.length);
  expect(drivesReached({ ...board, slots: board.slots.map((slot) => ({ ...slot, bus: 'pci' })) })).toBe(
    ports + board.m2Sockets.length,
  );
});
