import type { Brief, Catalogue } from '@inch-tower/core';
import type { Effect, GoingRow } from '../../../worker/messages';
import { deadEndsOf } from './deadEnds';
import { partOf } from './partOf';
import { SORTS, sortRows, type SortName } from './trySorts';
import { tableStops } from '../drawing/TablePicture';

const effect = (severity: Effect['severity']): Effect => ({ title: 't', what: 'w', severity });
const row = (sheet: string, more: Partial<GoingRow>): GoingRow => ({
  sheet,
  delta: {},
  figures: {},
  cures: [],
  eases: [],
  causes: [],
  worsens: [],
  blockersAfter: 0,
  ...more,
});
const drive = (id: string, minor: number, capacityBytes: number) => ({
  id,
  kind: 'drive',
  name: id,
  capacityBytes,
  price: { minor, currency: 'EUR' },
});
const catalogue = {
  archetypes: {},
  sheets: {
    cheap: drive('cheap', 9000, 4e12),
    large: drive('large', 20_000, 16e12),
    quiet: drive('quiet', 15_000, 8e12),
  },
} as unknown as Catalogue;
const rows = [
  row('large', { delta: { 'cost.now': 200, 'power.idleWallW': 6, 'sound.earIdleDb': 2 }, causes: [effect('caution')] }),
  row('cheap', { delta: { 'cost.now': 90, 'power.idleWallW': 4, 'sound.earIdleDb': 1 }, causes: [effect('blocker')] }),
  row('quiet', {
    delta: { 'cost.now': 150, 'power.idleWallW': 5, 'sound.earIdleDb': 0.2 },
    cures: [effect('caution')],
  }),
];

test.each<[SortName, string[]]>([
  ['trouble', ['quiet', 'large', 'cheap']],
  ['money', ['quiet', 'large', 'cheap']],
  ['idle', ['quiet', 'large', 'cheap']],
  ['sound', ['quiet', 'large', 'cheap']],
  ['perTb', ['large', 'quiet', 'cheap']],
])('by %s', (sort, order) => {
  expect(sortRows(rows, sort, catalogue).map((one) => one.sheet)).toEqual(order);
});

test('by snags what falls short of the brief stands behind what does not', () => {
  const chassis = (id: string, bays: number, minor: number) => ({
    id,
    kind: 'chassis',
    name: id,
    archetype: 'box',
    price: { minor, currency: 'EUR' },
    bayGroups: [{ rows: bays, columns: 1, access: 'hotSwap', takes: ['3.5'] }],
  });
  const boxes = {
    archetypes: { box: { id: 'box', kind: 'chassis', name: 'box' } },
    sheets: { one: chassis('one', 1, 2000), eight: chassis('eight', 8, 15_000) },
  } as unknown as Catalogue;
  const both = [row('one', { delta: { 'cost.now': 20 } }), row('eight', { delta: { 'cost.now': 150 } })];
  const order = (brief?: Brief) => sortRows(both, 'trouble', boxes, brief).map((one) => one.sheet);
  expect(order({ drivesLater: 8 })).toEqual(['eight', 'one']);
  expect(order()).toEqual(['one', 'eight']);
});

test('drives too small for the room wished in every free place stand behind, the least short first, and say so', () => {
  const of = (id: string, tb: number, minor: number) => ({ ...drive(id, minor, tb * 1e12), archetype: 'disk' });
  const disks = {
    archetypes: { disk: { id: 'disk', kind: 'drive', name: 'disk' } },
    sheets: {
      two: of('two', 2, 6000),
      six: of('six', 6, 14_000),
      eight: of('eight', 8, 18_000),
      ten: of('ten', 10, 23_000),
    },
  } as unknown as Catalogue;
  const each = [60, 140, 180, 230].map((euro, i) =>
    row(['two', 'six', 'eight', 'ten'][i]!, { delta: { 'cost.now': euro } }),
  );
  const order = (wish: { places: number; tb: number | undefined; failures: number }) => {
    const ends = deadEndsOf(each, disks, [], wish);
    return [
      sortRows(each, 'trouble', disks, {}, ends).map((one) => one.sheet),
      [...ends].map(([sheet, { words }]) => `${sheet}: ${words}`),
    ];
  };
  expect(order({ places: 6, tb: 40, failures: 1 })).toEqual([
    ['eight', 'ten', 'six', 'two'],
    ['two: With 6 more at most 10 of 40 TB wished', 'six: With 6 more at most 30 of 40 TB wished'],
  ]);
  expect(order({ places: 6, tb: undefined, failures: 1 })[0]).toEqual(['two', 'six', 'eight', 'ten']);
  expect(order({ places: 0, tb: 40, failures: 1 })[1]).toEqual([]);
});

test('a chassis too small for the room wished stands behind, by its bays and by what cages make of them', () => {
  const group = (key: string, count: number, size: string) => ({
    key,
    rows: count,
    columns: 1,
    takes: [size],
    maxDriveHeightMm: 41.3,
    access: 'fixed',
  });
  const chassis = (id: string, bayGroups: object[]) => ({ id, kind: 'chassis', name: id, archetype: 'box', bayGroups });
  const boxes = {
    archetypes: {
      box: { id: 'box', kind: 'chassis', name: 'box', boardHoles: ['atx'] },
      disk: { id: 'disk', kind: 'drive', name: 'disk', size: '3.5', heightMm: 26.1 },
    },
    sheets: {
      small: chassis('small', [group('a', 2, '3.5')]),
      cages: chassis('cages', [group('a', 2, '3.5'), group('b', 3, '5.25')]),
      large: chassis('large', [group('a', 6, '3.5')]),
      ten: { ...drive('ten', 20_000, 10e12), archetype: 'disk' },
    },
  } as unknown as Catalogue;
  const each = [20, 40, 90].map((euro, i) => row(['small', 'cages', 'large'][i]!, { delta: { 'cost.now': euro } }));
  const ends = deadEndsOf(each, boxes, [], { places: 0, tb: 40, failures: 1 });
  expect(sortRows(each, 'trouble', boxes, {}, ends).map(({ sheet }) => sheet)).toEqual(['large', 'cages', 'small']);
  expect([...ends].map(([sheet, { words }]) => `${sheet}: ${words}`)).toEqual([
    'small: Its bays hold at most 10 of 40 TB wished',
    'cages: Its bays hold at most 10 of 40 TB wished, more with cages',
  ]);
  expect(deadEndsOf(each, boxes, [], { places: 0, tb: undefined, failures: 1 }).size).toBe(0);
  // Where no drives are on sale nothing is known of what bays hold.
  const { ten: _ten, ...noDrives } = boxes.sheets as Record<string, object>;
  const bare = { ...boxes, sheets: noDrives } as unknown as Catalogue;
  expect(deadEndsOf(each, bare, [], { places: 0, tb: 40, failures: 1 }).size).toBe(0);
  // In a rack what is not made for one stands behind, without a word of its own.
  const withUnits = (id: 'small' | 'cages' | 'large', rackUnits: number | null) =>
    [id, { ...(boxes.sheets as Record<string, object>)[id], rackUnits }] as const;
  const racks = {
    ...boxes,
    sheets: {
      ...boxes.sheets,
      ...Object.fromEntries([withUnits('small', null), withUnits('cages', null), withUnits('large', 4)]),
    },
  } as unknown as Catalogue;
  const inRack = deadEndsOf(each, racks, [], { places: 0, tb: undefined, failures: 0, inRack: true });
  expect(sortRows(each, 'trouble', racks, {}, inRack).map(({ sheet }) => sheet)).toEqual(['large', 'small', 'cages']);
  expect([...inRack]).toEqual([
    ['small', { words: '', share: 0.5 }],
    ['cages', { words: '', share: 0.5 }],
  ]);
  // What speaks against it for another reason adds up.
  const both = deadEndsOf(each, racks, [], { places: 0, tb: 40, failures: 1, inRack: true });
  expect(both.get('cages')).toEqual({ words: 'Its bays hold at most 10 of 40 TB wished, more with cages', share: 1 });
  // Beside a chassis that is there another one adds its room; in its place it does not.
  const there = [{ part: partOf(boxes, 'small') }] as unknown as Parameters<typeof deadEndsOf>[2];
  expect(deadEndsOf(each, boxes, there, { places: 0, tb: 40, failures: 1 }).size).toBe(0);
  expect(deadEndsOf(each, boxes, there, { places: 0, tb: 40, failures: 1, isReplacing: true }).size).toBe(2);
});

test('every way of sorting has its words, and leaves the rows it is given alone', () => {
  const before = [...rows];
  for (const sort of Object.keys(SORTS) as SortName[]) sortRows(rows, sort, catalogue);
  expect(rows).toEqual(before);
});

test('outlines on the table stay within their area and apart, each large enough for its label', () => {
  const open = (['chassis', 'board', 'processor', 'cooler', 'memory', 'supply', 'drive'] as const).map((kind) => ({
    kind,
    label: kind,
    spot: { host: 'table', key: kind },
  }));
  const area = { x: 60, y: 66, width: 676, height: 546 };
  const stops = tableStops([], open, area, 1, true);
  expect(stops).toHaveLength(7);
  stops.forEach(({ rect }, i) => {
    expect(rect.width).toBeGreaterThanOrEqual(92);
    expect(rect.x + rect.width).toBeLessThanOrEqual(area.x + area.width + 1e-9);
    expect(rect.y + rect.height).toBeLessThanOrEqual(area.y + area.height);
    for (const other of stops.slice(i + 1)) {
      const apart =
        rect.x + rect.width <= other.rect.x ||
        other.rect.x + other.rect.width <= rect.x ||
        rect.y + rect.height <= other.rect.y ||
        other.rect.y + other.rect.height <= rect.y;
      expect(apart).toBe(true);
    }
  });
});

test('with no room on the table nothing is drawn over its edge', () => {
  const open = [{ kind: 'drive' as const, label: 'Drive', spot: { host: 'table', key: 'drive' } }];
  expect(tableStops([], open, { x: 0, y: 0, width: 300, height: 20 }, 1, false)).toEqual([]);
});
