import { KIND_DEFAULTS } from './kindDefaults';
import { archetypeSchema, VALUES } from './sheet';
import { PART_KINDS } from './vocabulary';

test.each(PART_KINDS)(
  'what is typical of a %s is a whole set of values, and no more than its sheet must have',
  (kind) => {
    expect(VALUES[kind].safeParse(KIND_DEFAULTS[kind]).error?.issues ?? []).toEqual([]);
    const must = Object.entries(VALUES[kind].shape).flatMap(([field, value]) =>
      value.safeParse(undefined).success ? [] : [field],
    );
    expect(Object.keys(KIND_DEFAULTS[kind]).sort()).toEqual(must.sort());
  },
);

test('an archetype that lacks a field is filled; one that says it is not', () => {
  const { maxC: _gone, ...old } = KIND_DEFAULTS.drive;
  const parsed = archetypeSchema.parse({ id: 'a', rev: 1, kind: 'drive', name: 'A', ...old, rpm: 5400 });
  expect(parsed).toMatchObject({ maxC: KIND_DEFAULTS.drive.maxC, rpm: 5400 });
  expect(
    archetypeSchema.safeParse({ id: 'a', rev: 1, kind: 'drive', name: 'A', ...old, unknownField: 1 }).success,
  ).toBe(false);
});
