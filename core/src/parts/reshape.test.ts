import fc from 'fast-check';
import { catalogue, fixture } from '../testing/fixture';
import { checkSheet } from './checkSheet';
import { ownSheet } from './ownSheet';
import { reshape, type ChassisDraft } from './reshape';
import { resolve, type PartOf } from './resolve';
import { sheetSchema } from './sheet';
import type { SheetId } from './ids';
import { layOut } from '../geometry/chassisPlan';
import { limitFor } from '../geometry/clearance';

const chassisArchetypes = Object.values(catalogue.archetypes).filter((one) => one.kind === 'chassis');
const partOf = (id: string) => {
  const archetype = catalogue.archetypes[id]!;
  return resolve(
    ownSheet('own-x' as SheetId, archetype, { name: 'X', values: {}, basis: 'measured' }),
    archetype,
  ) as PartOf<'chassis'>;
};
const shaped = (id: string, draft: ChassisDraft) => {
  const archetype = catalogue.archetypes[id]!;
  const sheet = ownSheet('own-x' as SheetId, archetype, {
    name: 'X',
    values: reshape(partOf(id), draft),
    basis: 'measured',
  });
  return { sheet, part: resolve(sheet, archetype) as PartOf<'chassis'>, faults: checkSheet(sheet, archetype) };
};

test('nothing typed changes nothing', () => {
  for (const archetype of chassisArchetypes) expect(reshape(partOf(archetype.id), {})).toEqual({});
});

test('features move in proportion with the shell', () => {
  const { part } = shaped('cube-8', { depthMm: 660 });
  expect(part.depthMm).toBe(660);
  expect(part.bayGroups.find((group) => group.key === 'roof')!.at).toEqual({ xMm: 68, yMm: 208, zMm: 360 });
});

test('bays are as many as typed, their backplane with them, and never more than the shell holds', () => {
  const twelve = shaped('rack-4u-24', { bays: { front: { rows: 3 } } }).part.bayGroups[0]!;
  expect([twelve.rows, twelve.columns, twelve.backplane!.connectors[0].count]).toEqual([3, 4, 3]);
  const low = shaped('rack-4u-24', { heightMm: 88 }).part.bayGroups[0]!;
  expect([low.rows, low.columns]).toEqual([3, 4]);
  expect(shaped('tower-atx', { bays: { cage: { rows: 0 } } }).part.bayGroups.map((group) => group.key)).toEqual([
    'upper',
  ]);
});

test('typed limits replace the least that always holds; one that holds only while bays are used stays', () => {
  const { part } = shaped('cube-8', { coolerMm: 120, cardMm: 200, supplyMm: 150 });
  expect(limitFor(part, 'cooler', { occupied: new Set() })!.maxMm).toBe(120);
  expect(limitFor(part, 'cooler', { occupied: new Set(['roof']) })!.maxMm).toBe(70);
  expect(limitFor(part, 'card', { occupied: new Set() })!.maxMm).toBe(200);
  expect(part.supplyBays[0]!.maxLengthMm).toBe(150);
});

const draft = fc.record(
  {
    widthMm: fc.integer({ min: 60, max: 900 }),
    heightMm: fc.integer({ min: 30, max: 900 }),
    depthMm: fc.integer({ min: 60, max: 1200 }),
    cardMm: fc.integer({ min: 1, max: 400 }),
    coolerMm: fc.integer({ min: 1, max: 200 }),
  },
  { requiredKeys: [] },
);

test('whatever is typed, the sheet is valid, its bays fit the shell, and nothing is drawn outside of it', () => {
  fc.assert(
    fc.property(fc.constantFrom(...chassisArchetypes.map((one) => one.id)), draft, (id, typed) => {
      const { sheet, part, faults } = shaped(id, typed);
      expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
      expect(faults).toEqual([]);
      for (const box of layOut(part).cells.values()) {
        expect(box.xMm).toBeGreaterThanOrEqual(0);
        expect(box.xMm + box.widthMm).toBeLessThanOrEqual(part.widthMm + 1e-6);
        expect(box.zMm + box.depthMm).toBeLessThanOrEqual(part.depthMm + 1e-6);
      }
    }),
    { numRuns: 200 },
  );
});

test('a chassis of typed numbers takes parts as any other', () => {
  const { sheet } = shaped('cube-8', { widthMm: 300, bays: { cage: { rows: 2 } } });
  const made = fixture({ ...catalogue, sheets: { ...catalogue.sheets, 'own-x': sheet } })
    .add('own-x')
    .add('wren-c8')
    .add('barge-8', 4);
  expect(made.assess().unplaced).toEqual([]);
});
