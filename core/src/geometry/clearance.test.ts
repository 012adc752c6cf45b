import { resolve, type PartOf } from '../parts/resolve';
import { catalogue } from '../testing/fixture';
import { limitFor, needsRiser, openingAt } from './clearance';

const chassis = (values: Partial<PartOf<'chassis'>> = {}): PartOf<'chassis'> => ({
  ...(resolve(
    catalogue.sheets['larder-8']!,
    catalogue.archetypes[catalogue.sheets['larder-8']!.archetype]!,
  ) as PartOf<'chassis'>),
  ...values,
});
const NOTHING: ReadonlySet<string> = new Set();
const wall = { for: 'card' as const, maxMm: 200, because: 'wall', label: 'the wall', while: 'present' as const };

test('the least clearance that applies is the limit, and says because of what', () => {
  const part = chassis({
    clearances: [
      wall,
      { ...wall, maxMm: 180, because: 'cage', label: 'the cage' },
      { ...wall, for: 'cooler', maxMm: 50 },
    ],
  });
  expect(limitFor(part, 'card', { occupied: NOTHING })).toEqual({ maxMm: 180, because: 'cage', label: 'the cage' });
  expect(limitFor(part, 'cooler', { occupied: NOTHING })!.maxMm).toBe(50);
  expect(limitFor(part, 'supply', { occupied: NOTHING })).toBeNull();
});

test('a clearance of some slots holds for those, one of an occupied feature only while it is', () => {
  const part = chassis({
    clearances: [
      wall,
      { ...wall, maxMm: 150, slots: [2, 3] },
      { ...wall, maxMm: 100, because: 'roof', while: 'occupied' },
    ],
  });
  expect(limitFor(part, 'card', { slot: 1, occupied: NOTHING })!.maxMm).toBe(200);
  expect(limitFor(part, 'card', { slot: 3, occupied: NOTHING })!.maxMm).toBe(150);
  expect(limitFor(part, 'card', { slot: 1, occupied: new Set(['roof']) })!.maxMm).toBe(100);
});

test('openings are counted along the wall, group by group', () => {
  const part = chassis({
    openings: [
      { key: 'a', label: 'A', count: 2, height: 'full' },
      { key: 'b', label: 'B', count: 1, height: 'low' },
    ],
  });
  expect([0, 1, 2, 3].map((position) => openingAt(part, position)?.key)).toEqual(['a', 'a', 'b', undefined]);
});

test('where the openings are for a riser a card in the board’s own slot is too high, also behind the closed wall beside them', () => {
  const riser = chassis({ openings: [{ key: 'a', label: 'A', count: 1, height: 'full', forRiser: true }] });
  expect([0, 1, 4].map((position) => needsRiser(riser, position))).toEqual([true, true, true]);
  const mixed = chassis({
    openings: [
      { key: 'a', label: 'A', count: 1, height: 'full', forRiser: true },
      { key: 'b', label: 'B', count: 2, height: 'full' },
    ],
  });
  expect([0, 1, 2, 3].map((position) => needsRiser(mixed, position))).toEqual([true, false, false, false]);
  expect(needsRiser(chassis({ openings: [] }), 0)).toBe(false);
});
