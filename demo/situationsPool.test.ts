import { createAssessor, flowTold, poolTold, wiringFor, type Build } from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from './loadDemo';
import { situations } from './situations';

const all: Readonly<Record<string, Build>> = {
  ...Object.fromEntries(loadDemoBuilds().map((build) => [build.id, build])),
  ...situations(loadDemoCatalogue()),
};
function told(id: string, more: Partial<Build> = {}) {
  const assessor = createAssessor();
  const build = { ...all[id]!, ...more };
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
  within(first.one.reading.next!.mbPerS, 3 * 261);
  within(first.inside.writing.next!.mbPerS, (1050 * 3) / 4);
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

test('fifteen fixed bays: two sizes, of which the larger waste what the smaller lack, in every layout but mirrors', () => {
  const { pool } = told('granary-fifteen');
  expect(pool.all.usableTb).toBeGreaterThan(0);
  expect(pool.ways.length).toBeGreaterThan(3);
  for (const { told: way } of pool.ways)
    expect(way.usableTb + way.redundancyTb + way.wastedTb).toBeCloseTo(way.rawTb, 6);
});
