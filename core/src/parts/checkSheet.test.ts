import { catalogue } from '../testing/fixture';
import { checkSheet } from './checkSheet';
import type { BaySize } from './vocabulary';
import type { Archetype } from './sheet';

const faults = (id: string, values: object) => {
  const sheet = { ...catalogue.sheets[id]!, ...values };
  return checkSheet(sheet, catalogue.archetypes[sheet.archetype] as Archetype).map(
    ({ field, words }) => `${field}: ${words}`,
  );
};
const bays = (archetype: string) =>
  (catalogue.archetypes[archetype] as unknown as { bayGroups: readonly object[] }).bayGroups;

test('every sheet of the catalogue is free of faults', () => {
  for (const id of Object.keys(catalogue.sheets)) expect([id, faults(id, {})]).toEqual([id, []]);
});

test('bays wider than their shell are a fault, a millimetre less is none', () => {
  // Four bays of 104.6 mm abreast.
  const wide = (widthMm: number) =>
    faults('gable-24', { widthMm, bayGroups: [{ ...bays('rack-4u-24')[0], columns: 4, pitchXMm: 107 }] });
  expect(wide(427)).toEqual([expect.stringMatching(/^bayGroups: bays .* take 428 × .* more than the shell\.$/)]);
  expect(wide(428)).toEqual([]);
});

test.each<readonly [BaySize, BaySize, boolean]>([
  ['5.25', '3.5', true],
  ['3.5', '2.5', true],
  ['3.5', '3.5', false],
  ['3.5', '5.25', false],
  ['2.5', '2.5', false],
  ['2.5', 'u.2', true],
])('an adapter in %s with bays of %s: %s', (sitsIn, takes, good) => {
  expect(faults('cradle-2', { sitsIn, bayGroups: [{ ...bays('adapter-2in35')[0], takes: [takes] }] })).toEqual(
    good ? [] : [expect.stringContaining(`are as large as the ${sitsIn} bay it sits in`)],
  );
});

test('a key that stands twice is a fault', () => {
  const slots = (catalogue.archetypes['board-server'] as unknown as { slots: readonly object[] }).slots;
  expect(faults('gannet-e8', { slots: [slots[0], slots[0]] })).toEqual(['connectors: the key pcie1 stands twice.']);
});
