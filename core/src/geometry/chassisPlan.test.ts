import fc from 'fast-check';
import { catalogue } from '../testing/fixture';
import { checkSheet } from '../parts/checkSheet';
import type { SheetId } from '../parts/ids';
import { resolve, type PartOf } from '../parts/resolve';
import type { Sheet } from '../parts/sheet';
import { layOut, type Box } from './chassisPlan';

const maybePoint = (w: number, h: number, d: number) =>
  fc.option(
    fc.record({
      xMm: fc.integer({ min: 0, max: w }),
      yMm: fc.integer({ min: 0, max: h }),
      zMm: fc.integer({ min: 0, max: d }),
    }),
    { nil: undefined },
  );

/** Chassis of any shape; those a sheet check refuses are left out. */
const chassis = fc
  .record({
    widthMm: fc.integer({ min: 120, max: 600 }),
    heightMm: fc.integer({ min: 44, max: 600 }),
    depthMm: fc.integer({ min: 180, max: 800 }),
  })
  .chain((size) => {
    const point = maybePoint(size.widthMm, size.heightMm, size.depthMm);
    const group = fc.record({
      rows: fc.integer({ min: 1, max: 6 }),
      columns: fc.integer({ min: 1, max: 4 }),
      lies: fc.constantFrom('flat' as const, 'upright' as const),
      takes: fc.constantFrom(['3.5' as const], ['2.5' as const], ['5.25' as const]),
      at: point,
    });
    const mount = fc.record({
      wall: fc.constantFrom(
        'front' as const,
        'middle' as const,
        'rear' as const,
        'top' as const,
        'side' as const,
        'bottom' as const,
      ),
      count: fc.integer({ min: 1, max: 5 }),
      size: fc.constantFrom(40, 80, 92, 120, 140),
      at: point,
    });
    return fc.record({
      size: fc.constant(size),
      groups: fc.array(group, { maxLength: 3 }),
      mounts: fc.array(mount, { maxLength: 4 }),
      pose: fc.constantFrom('flat' as const, 'standing' as const),
      supplyAt: point,
      stands: fc.boolean(),
      boardAt: fc.option(
        fc.record({
          xMm: fc.integer({ min: 0, max: 600 }),
          yMm: fc.integer({ min: 0, max: 600 }),
          zMm: fc.integer({ min: 0, max: 800 }),
        }),
        { nil: null },
      ),
    });
  })
  .map(
    ({ size, groups, mounts, pose, supplyAt, stands, boardAt }): Sheet =>
      ({
        id: 'random' as SheetId,
        rev: 1,
        kind: 'chassis',
        name: 'Random',
        archetype: 'tower-atx' as never,
        ...size,
        boardPose: pose,
        boardAt,
        bayGroups: groups.map((group, i) => ({
          key: `bays${i}`,
          label: 'Bays',
          maxDriveHeightMm: 26.1,
          access: 'tray' as const,
          mounting: 'tray' as const,
          wall: 'front' as const,
          backplane: null,
          rows: group.rows,
          columns: group.columns,
          lies: group.lies,
          takes: group.takes,
          ...(group.at ? { at: group.at } : {}),
        })),
        fanMounts: mounts.map((mount, i) => ({
          key: `fans${i}`,
          label: 'Fans',
          path: 'open' as const,
          wall: mount.wall,
          count: mount.count,
          sizesMm: [mount.size],
          ...(mount.at ? { at: mount.at } : {}),
        })),
        supplyBays: [
          {
            key: 'supply',
            label: 'Supply',
            forms: ['atx'],
            count: 1,
            maxLengthMm: 180,
            screws: true,
            stands,
            ...(supplyAt ? { at: supplyAt } : {}),
          },
        ],
        clearances: [],
        options: [],
      }) as unknown as Sheet,
  );
const typical = catalogue.archetypes['tower-atx']!;

test('on 200 random valid chassis nothing lies outside the shell', () => {
  let valid = 0;
  fc.assert(
    fc.property(chassis, (sheet) => {
      fc.pre(checkSheet(sheet, typical).length === 0);
      valid++;
      const plan = layOut(resolve(sheet, typical) as PartOf<'chassis'>);
      const inside = (box: Box) =>
        box.xMm >= -1e-6 &&
        box.yMm >= -1e-6 &&
        box.zMm >= -1e-6 &&
        box.xMm + box.widthMm <= plan.shell.widthMm + 1e-6 &&
        box.yMm + box.heightMm <= plan.shell.heightMm + 1e-6 &&
        box.zMm + box.depthMm <= plan.shell.depthMm + 1e-6;
      for (const [key, box] of [...plan.features, ...plan.cells])
        if (!inside(box))
          throw new Error(`${key} lies outside: ${JSON.stringify(box)} in ${JSON.stringify(plan.shell)}`);
    }),
    { numRuns: 200, seed: 11 },
  );
  expect(valid).toBeGreaterThanOrEqual(200);
});

test('what the sheet places is where the sheet says; what it leaves open is marked as assumed', () => {
  const sheet = catalogue.sheets['larder-8']!;
  const plan = layOut(resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<'chassis'>);
  expect(plan.features.get('cage')).toMatchObject({ xMm: 8, yMm: 6, zMm: 4, assumed: false });
  expect(plan.cells.get('opening.1')!.assumed).toBe(true);
});

test('bays count from the top left, row by row', () => {
  const sheet = catalogue.sheets['larder-8']!;
  const { cells } = layOut(resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<'chassis'>);
  expect(cells.get('cage.1')!.yMm).toBeGreaterThan(cells.get('cage.3')!.yMm);
  expect(cells.get('cage.2')!.xMm).toBeGreaterThan(cells.get('cage.1')!.xMm);
});

test.each([
  ['front', 1, 2],
  ['rear', 2, 1],
  ['front', 4, 2],
] as const)('bays without a position at the %s lie clear of the others: %i × %i', (wall, rows, columns) => {
  const sheet = catalogue.sheets['larder-8']!;
  const cube = resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<'chassis'>;
  const { at: _at, ...like } = cube.bayGroups[1]!;
  const more = { ...like, key: 'more', wall, rows, columns };
  const { features } = layOut({ ...cube, bayGroups: [...cube.bayGroups, more] });
  const box = features.get('more')!;
  for (const { key } of cube.bayGroups) expect([key, overlap(box, features.get(key)!)]).toEqual([key, false]);
  if (wall === 'rear') expect(box.zMm + box.depthMm).toBeCloseTo(cube.depthMm - 4);
});
const overlap = (one: Box, other: Box): boolean =>
  one.xMm < other.xMm + other.widthMm &&
  other.xMm < one.xMm + one.widthMm &&
  one.yMm < other.yMm + other.heightMm &&
  other.yMm < one.yMm + one.heightMm &&
  one.zMm < other.zMm + other.depthMm &&
  other.zMm < one.zMm + one.depthMm;
