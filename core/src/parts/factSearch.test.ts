import { catalogue } from '../testing/fixture';
import { isFound } from './factSearch';

const found = (words: string, kind?: string) =>
  Object.values(catalogue.sheets)
    .filter((sheet) => (!kind || sheet.kind === kind) && isFound(sheet, catalogue.archetypes[sheet.archetype], words))
    .map(({ id }) => id as string);

test('parts are found by their facts in the words of the trade', () => {
  expect(found('4u hot swap', 'chassis')).toContain('gable-24');
  expect(found('4u hot swap', 'chassis')).not.toContain('larder-8');
  expect(found('mini-itx hot swap', 'chassis')).toContain('larder-8');
  expect(found('10 Gb/s', 'networkCard')).toContain('skein-10');
  expect(found('10 gb/s', 'networkCard')).not.toContain('skein-25');
  expect(found('registered 32 gb', 'memory')).toContain('clew-r32');
  expect(found('m.2 5 ports', 'controller')).toEqual(['stilt-m5']);
  expect(found('used sas 8 tb', 'drive')).toEqual(['sluice-8']);
});

test('a number is looked for whole, a word anywhere', () => {
  const drives = found('8tb', 'drive');
  expect(drives).toContain('barge-8');
  expect(drives.filter((id) => id.includes('18'))).toEqual([]);
  expect(found('BARG', 'drive')).toContain('barge-8');
  expect(found('nothing of that name')).toEqual([]);
  expect(found('')).toHaveLength(Object.keys(catalogue.sheets).length);
});
