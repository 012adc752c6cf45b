import {
  addItemEdit,
  billOf,
  breaksOf,
  commit,
  compareBuilds,
  createAssessor,
  flowTold,
  growthOf,
  nextDrives,
  poolOf,
  poolTold,
  wiringFor,
  type Build,
  type SheetId,
} from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from './loadDemo';
import { recipes, situations } from './situations';

const all: Readonly<Record<string, Build>> = {
  ...Object.fromEntries(loadDemoBuilds().map((build) => [build.id, build])),
  ...situations(loadDemoCatalogue()),
};
const told = (id: string, more: Partial<Build> = {}) => toldOf({ ...all[id]!, ...more });
function toldOf(build: Build) {
  const assessor = createAssessor();
  const assessment = assessor.assess(build, { asOf: '2026-11-01' });
  const context = assessor.context(build);
  return { pool: poolTold(context), flow: flowTold(context, wiringFor(build, assessment)) };
}
const within = (value: number, expected: number) => expect(Math.abs(value / expected - 1)).toBeLessThan(0.01);
const FILE = 0.955;

test('one-slot mini box: the drives on the PCI card share its bus, which written parity fills first', () => {
  const { inside } = told('lock-keepers-box').flow.pools[0]!.flow;
  // Two of three disks of 110 MB/s hold data; one of three is behind the bus.
  within(inside.reading.mbPerS, 220);
  within(inside.writing.mbPerS, 200);
  expect(inside.writing.links.find(({ link }) => link.name === 'PCI bus')).toBeDefined();
});

test('mini computer and USB box: three of four drives usable; network, then drives, then USB level on writes', () => {
  const { pool, flow } = told('school-shelf');
  expect(pool.all.usableTb).toBe(48);
  const [{ flow: first }] = flow.pools as [(typeof flow.pools)[number]];
  within(first.one.reading.mbPerS, 294.25 * FILE);
  within(first.one.reading.next!.allowsMBps, 3 * 261);
  within(first.inside.writing.next!.allowsMBps, (1050 * 3) / 4);
});

test('compact four-drive box: from 2.5 to 10 Gb/s the narrow place moves to the drives', () => {
  const at = (gbPerS: number) =>
    told('attic-four', { site: { ...all['attic-four']!.site, links: [{ gbPerS, count: 1 }] } }).flow.pools[0]!.flow;
  expect(at(2.5).one.reading.neck!.link.kind).toBe('network');
  within(at(2.5).one.reading.mbPerS, 294.25 * FILE);
  // The 10 Gb/s card has no slot left: the board's own port is what there is.
  const free = told('attic-four').pool;
  expect(free.all.usableTb).toBe(24);
});

test('twenty-four SSDs: one card holds everything back, before it the network', () => {
  const { flow } = told('reel-room');
  const [{ flow: first, drivesOver }] = flow.pools as [(typeof flow.pools)[number]];
  // Twenty of twenty-four hold data; what the card passes on is what is read, written it is 24/20 of it.
  within(first.inside.reading.mbPerS, 6700);
  within(first.inside.writing.mbPerS, (6700 * 20) / 24);
  expect(first.inside.reading.neck!.link.name).toBe('Tern 24i long');
  within(first.one.reading.mbPerS, 1177 * FILE);
  expect(drivesOver).toBeGreaterThan(5);
  expect(flow.cards.map(({ wanted }) => wanted)).toEqual([2]);
});

test('twelve small drives: what is behind a multiplier shares its port, and mirrors hold half', () => {
  const build = all['evening-copies']!;
  const card = commit(build, [addItemEdit(build, loadDemoCatalogue(), 'stilt-10' as SheetId, 1)]);
  if (!card.ok) throw new Error(card.words);
  const { pool, flow } = told('evening-copies', { ...card.build });
  const mirrors = pool.ways.find(({ layout }) => layout === 'mirror2')!;
  expect(mirrors.told.usableTb).toBe(6);
  const { inside } = flow.pools[0]!.flow;
  // Ten of twelve hold data. Six of them behind one port of 600 MB/s let 1,200 through, of which writing needs twelve.
  within(inside.reading.mbPerS, 10 * 110);
  expect([inside.reading.next, inside.writing.neck].map((one) => one!.link.name)).toEqual(
    Array.from({ length: 2 }, () => expect.stringMatching(/to cage bays$/)),
  );
  within(inside.writing.mbPerS, (1200 * 10) / 12);
});

test('smallest of all: the bridge of a single-board computer carries less than the SSD behind it', () => {
  const start = recipes();
  const { build } = start('boat-shed', 'Boat shed')
    .add('husk-1')
    .add('sprig-s1')
    .add('annex-2')
    .add('dab-32', 1, { role: 'boot' })
    .add('pike-480');
  const { flow, pool } = toldOf(build);
  expect(pool.all.usableTb).toBeCloseTo(0.48, 6);
  expect(flow.pools.map(({ medium }) => medium)).toEqual(['flash']);
  const { one, inside, without } = flow.pools[0]!.flow;
  expect(without).toEqual([]);
  expect(one.reading.mbPerS).toBeLessThanOrEqual(inside.reading.mbPerS);
  expect(one.reading.mbPerS).toBeLessThan(480);
});

test('twenty-four bays: groups of eight with double parity, any two of a group may fail', () => {
  const { build } = recipes()('lock-office', 'Lock office')
    .add('gable-24')
    .add('gannet-e8')
    .add('shire-16')
    .add('crag-q8')
    .add('clew-r32', 4)
    .add('brazier-800')
    .add('tern-16x')
    .add('barge-12', 24);
  const { pool } = toldOf(build);
  const eights = pool.ways.find(({ key }) => key === 'parity28,parity28,parity28')!;
  expect(eights.told).toMatchObject({ usableTb: 3 * 6 * 12, any: 2, lucky: 6 });
  const widest = pool.ways.find(({ key }) => key.split(',').length < 3 && key.startsWith('parity2'))!;
  expect(widest.told.usableTb).toBeGreaterThan(eights.told.usableTb);
  expect(widest.told.readIops).toBeLessThan(eights.told.readIops);
});

test('eight-bay cube: three drives now and eight later: what five more add, and that ports and bays are there', () => {
  const build = { ...all['eel-loft']!, brief: { usableTb: 20, growthTbPerMonth: 1, failuresSurvived: 1 } };
  const assessor = createAssessor();
  const assessment = assessor.assess(build, { asOf: '2026-11-01' });
  const { pool } = toldOf(build);
  expect(pool.sets.map(({ set, drives }) => [set.layout, drives.length])).toContainEqual(['parity1', 3]);
  const growing = growthOf({ build, assessment }, loadDemoCatalogue(), assessor, { asOf: '2026-11-01' });
  let at = growing.next();
  while (!at.done) at = growing.next();
  // Disks grow, not the few SSDs beside them: five more find bays and ports, the sixth none.
  const { steps, limit } = at.value;
  expect(steps.map(({ name, count }) => [name, count])).toEqual([
    ...Array.from({ length: 5 }, () => ['Barge 12 TB', 1]),
    ['Barge 12 TB', 2],
  ]);
  expect(limit?.snags.map(({ code }) => code)).toEqual(['fits.driveInBay']);
});

test('fifteen fixed bays: two sizes, of which the larger waste what the smaller lack, in every layout but mirrors', () => {
  const { pool } = told('granary-fifteen');
  expect(pool.all.usableTb).toBeGreaterThan(0);
  expect(pool.ways.length).toBeGreaterThan(3);
  for (const { told: way } of pool.ways)
    expect(way.usableTb + way.redundancyTb + way.wastedTb).toBeCloseTo(way.rawTb, 6);
});

test('all-flash box: six SSDs as three mirrors, and what that costs against parity', () => {
  const { pool } = told('sound-desk');
  const mirrors = pool.ways.find(({ layout }) => layout === 'mirror2')!;
  expect(mirrors.told.usableTb).toBeCloseTo(3 * 0.96, 6);
  expect([mirrors.told.any, mirrors.told.lucky]).toEqual([1, 3]);
  // Any two may fail in the proposal, and it holds more.
  expect(pool.all.any).toBe(2);
  expect(pool.all.usableTb).toBeCloseTo(4 * 0.96, 6);
});

test('the old desktop: the drive that leaves is counted in no set, and old drives fail more often', () => {
  const { pool } = told('old-desktop');
  expect(pool.support.map(({ role }) => role)).toContain('leaving');
  expect(pool.sets.flatMap(({ drives }) => drives)).toHaveLength(6);
  const young = told('old-desktop', {
    items: all['old-desktop']!.items.map(({ hours: _run, condition: _said, ...item }) => item),
  });
  expect(pool.all.lossAYear.together).toBeGreaterThan(2 * young.pool.all.lossAYear.together);
});

test('1U: two modules as a mirror and four disks with parity are two pools, each with its own rate', () => {
  const { flow } = told('gauge-house');
  expect(flow.pools.map(({ medium, sets }) => [medium, sets.length])).toEqual([
    ['disk', 1],
    ['flash', 1],
  ]);
  within(flow.pools[0]!.flow.inside.reading.mbPerS, 3 * 180);
});

test('rescue: without its metadata drives no set of a pool can be read', () => {
  const catalogue = loadDemoCatalogue();
  const step = commit(all.rescue!, [addItemEdit(all.rescue!, catalogue, 'barge-8' as SheetId, 6)]);
  if (!step.ok) throw new Error(step.words);
  const more = commit(step.build, [addItemEdit(step.build, catalogue, 'zander-960' as SheetId, 1, { role: 'meta' })]);
  if (!more.ok) throw new Error(more.words);
  const assessor = createAssessor();
  const assessment = assessor.assess(more.build, { asOf: '2026-11-01' });
  const { sets } = poolOf(assessor.context(more.build));
  const { singles } = breaksOf(assessment, wiringFor(more.build, assessment), [], sets);
  const alone = singles.filter(({ things, worst }) => things[0]!.kind === 'drive' && worst === 'lost');
  expect(alone.map(({ things }) => things[0]!.name)).toEqual([expect.stringMatching(/^Zander 960 GB/)]);
});

test('used server board: from four disks to eight, with what a usable TB costs before and after', () => {
  const build = all.weighbridge!;
  const assessor = createAssessor();
  const assessment = assessor.assess(build, { asOf: '2026-11-01' });
  const next = nextDrives({ build, assessment }, loadDemoCatalogue(), assessor, { asOf: '2026-11-01' })!;
  // Past four drives two of them may fail as proposed: one more would hold no more.
  expect([next.count, next.name, next.usableTb]).toEqual([2, 'Barge 8 TB', 32]);
  const lot = {
    ...build,
    bundles: [
      { id: 'l', name: 'Kit', price: { minor: 15_000, currency: 'EUR', per: 'item' as const, taxIncluded: true } },
    ],
    items: build.items.map((item) => (item.condition === 'good' ? { ...item, bundle: 'l' } : item)),
  };
  const bill = billOf(lot, assessor.assess(lot, { asOf: '2026-11-01' }));
  const kit = bill.lines.filter((line) => line.lot === 'Kit');
  expect(kit.map(({ kind }) => kind)).toEqual(['board', 'processor', 'memory']);
  expect(kit.reduce((sum, { total }) => sum + total!, 0)).toBeCloseTo(150, 9);
});

test('four nodes: one bill of four, and the price with five years of running is of four', () => {
  const { rows } = compareBuilds([all['four-nodes']!, { ...all['four-nodes']!, id: 'one', copies: 1 }], {
    asOf: '2026-11-01',
  });
  for (const by of ['priceNow', 'moneyYear', 'kwhYear', 'fiveYears']) {
    const [four, one] = rows.find((row) => row.by === by)!.cells;
    expect(four!.value).toBeCloseTo(4 * one!.value, 6);
  }
});

test('old against new: what surely differs is said, and what cannot be told apart', () => {
  const { rows } = compareBuilds([all['old-desktop']!, all['school-shelf']!], { asOf: '2026-11-01' });
  const against = (by: string) => rows.find((row) => row.by === by)!.cells[1]!.against;
  expect(against('usableTb')).toBe('better');
  expect(against('idleW')).toBe('better');
  expect(against('priceNow')).toBe('worse');
});
