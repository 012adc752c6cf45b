import { createAssessor } from '../assess';
import { AS_OF, catalogue, cube, fixture } from '../testing/fixture';
import { hostDrives, poolDrives } from './hosting';

const pool = (sheet: string, count: number) => [{ sheet: sheet as never, count }];
const host = (made: ReturnType<typeof cube>, sheet: string, count: number) =>
  hostDrives(made.build, pool(sheet, count), catalogue, catalogue, createAssessor(), AS_OF);

test('the drives of a pool are those with data or metadata, by sheet; boot and cache stay behind', () => {
  const made = cube()
    .add('barge-8', 4)
    .add('reed-250', 1, { role: 'boot' })
    .add('pike-960', 2, { role: 'meta' })
    .add('pike-480', 1, { role: 'cache' });
  expect(poolDrives(made.build)).toEqual([
    { sheet: 'barge-8', count: 4 },
    { sheet: 'pike-960', count: 2 },
  ]);
});

test('asking changes nothing, and bringing them in is one edit with parts that are owned', () => {
  const made = cube();
  const before = JSON.stringify(made.build);
  const { alone, placed, connected, roomAfter } = host(made, 'barge-8', 2);
  expect(JSON.stringify(made.build)).toBe(before);
  expect([placed, connected]).toEqual([2, 2]);
  expect(alone!.edits).toHaveLength(1);
  const drives = alone!.after.items.find(({ sheet }) => sheet === 'barge-8')!;
  expect(drives).toMatchObject({ deal: 'owned', units: [{}, {}] });
  // What was there before finds the same room, less two.
  expect(roomAfter).toBe(made.assess().figures['drives.room']!.value - 2);
});

test('drives that find no bay are counted out, with ways that bring all of them', () => {
  const found = host(cube(), 'barge-8', 12);
  expect(found).toMatchObject({ drives: 12, all: false });
  expect(found.placed).toBeLessThan(12);
  for (const way of found.ways)
    expect([way.title, way.after.items.find(({ sheet }) => sheet === 'barge-8')!.units.length]).toEqual([
      way.title,
      12,
    ]);
  expect(found.ways.some(({ edits }) => edits.some(({ type }) => type === 'units.remove'))).toBe(false);
});

test('a machine that takes none says so, and has nothing to bring in', () => {
  const empty = hostDrives(fixture().build, pool('barge-8', 3), catalogue, catalogue, createAssessor(), AS_OF);
  expect(empty).toMatchObject({ drives: 3, placed: 0, connected: 0, all: false, alone: null });
});

test('troubles that come with them are said, those there were are not', () => {
  const cold = cube().add('pike-960', 1, { at: ['u2/roof.1'] });
  expect(
    host(cold, 'barge-8', 1)
      .troubles.map(({ code }) => code)
      .filter((code) => cold.assess().snags.some((snag) => snag.code === code)),
  ).toEqual([]);
});
