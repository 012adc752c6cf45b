import { catalogue } from '../testing/fixture';
import { readableCatalogue } from './readableCatalogue';

const raw = () =>
  structuredClone(catalogue) as {
    sheets: Record<string, Record<string, unknown>>;
    archetypes: Record<string, Record<string, unknown>>;
  };
const unreadable = (value: ReturnType<typeof raw>) =>
  readableCatalogue(value)
    .unreadable.map((one) => one.id)
    .sort();

test('a whole catalogue is read whole', () => {
  expect(readableCatalogue(catalogue)).toEqual({ catalogue, unreadable: [] });
});

test.each<[string, (value: ReturnType<typeof raw>) => void, string]>([
  [
    'no part at all',
    (value) => {
      (value.sheets as Record<string, unknown>)['coot-1'] = null;
    },
    'coot-1',
  ],
  [
    'a field of another type',
    (value) => {
      value.sheets['coot-1']!.idleW = 'much';
    },
    'coot-1',
  ],
  [
    'a class that is not here',
    (value) => {
      value.sheets['coot-1']!.archetype = 'nowhere';
    },
    'coot-1',
  ],
  [
    'filed under another id',
    (value) => {
      value.sheets['COOT-1'] = value.sheets['coot-1']!;
    },
    'COOT-1',
  ],
])('%s is named, and all others are kept', (_name, spoil, id) => {
  const value = raw();
  spoil(value);
  const read = readableCatalogue(value);
  expect(read.unreadable.map((one) => one.id)).toContain(id);
  expect(Object.keys(read.catalogue.sheets).length).toBeGreaterThan(200);
});

test('what holds a part that cannot be read cannot be read either', () => {
  const value = raw();
  const [outer] = Object.values(value.sheets).filter(
    (sheet) => Array.isArray(sheet.inTheBox) && sheet.inTheBox.length > 0,
  );
  const inner = (outer!.inTheBox as { sheet: string }[])[0]!.sheet;
  value.sheets[inner]!.name = '';
  expect(unreadable(value)).toEqual(expect.arrayContaining([inner, outer!.id as string]));
});
