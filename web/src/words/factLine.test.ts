import { resolve } from '@inch-tower/core';
import { loadDemoCatalogue } from '../../../demo/loadDemo';
import { factLine } from './factLine';

const catalogue = loadDemoCatalogue();
const line = (id: string) => {
  const sheet = catalogue.sheets[id]!;
  return factLine(resolve(sheet, catalogue.archetypes[sheet.archetype]!));
};

test.each([
  ['hurdle-half', '1 × 2.5 fixed, own shape board, 214 × 44 × 240 mm'],
  ['larder-8', '8 × 3.5 hot swap, 4 × 2.5 fixed, Mini-ITX board, 226 × 240 × 330 mm'],
  ['loft-16', /^16 × 3\.5 hot swap, no board,/],
  ['gable-24', /^24 × 3\.5 hot swap, boards to SSI-EEB,/],
  // Four SATA ports and two of four lanes; USB is none.
  ['wren-x8', /^170 × 170 mm, soldered processor, 12 drive ports, 1 M\.2, 4 × DDR4$/],
  ['barge-8', /^8 TB, 3\.5-inch, SATA, \d+ rpm$/],
  ['tern-8i', '2 × SFF-8643, x8 gen 3, 155 mm'],
  ['skein-10', /^x\d gen \d, \d+ mm long$/],
])('%s', (id, words) => {
  expect(line(id)).toEqual(typeof words === 'string' ? words : expect.stringMatching(words));
});

test('every part of the catalogue has a line without a hole in it', () => {
  for (const id of Object.keys(catalogue.sheets))
    expect([id, /undefined|NaN|, ,|^,/.test(line(id))]).toEqual([id, false]);
});
