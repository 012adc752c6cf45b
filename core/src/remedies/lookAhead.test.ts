import { assess } from '../assess';
import { AS_OF, catalogue, fixture } from '../testing/fixture';
import { resolve, type Part, type PartOf } from '../parts/resolve';
import { hasNoSupply } from './lookAhead';

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
