import highsLoader from 'highs';
import { createAssessor } from '../assess';
import type { SetLayout } from '../pool/layouts';
import { poolTold } from '../pool/poolTold';
import { toldOf, type SetTold } from '../pool/setsOf';
import { cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { flowMachine, treeOf } from '../testing/flowMachines';
import { rateByProgram } from '../testing/mip/flowProgram';
import { rack } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { waysThrough } from './waysThrough';
import { rebuildOver } from './rebuild';
import { FILE_SHARE, flowOf, type Flow } from './flow';
import { flowTold } from './flowTold';

const PORT_10 = 1177 * FILE_SHARE;
const setOf = (made: Fixture, sheet: string, layout: SetLayout, from: number, to: number): SetTold =>
  toldOf(
    { id: `set${from}`, layout, units: Array.from({ length: to - from + 1 }, (_, i) => made.unit(sheet, from + i)) },
    made.assess().units,
  );
const flow = (made: Fixture, ...sets: SetTold[]): Flow => flowOf(treeOf(made), sets, made.build.site.links);
const rates = ({ reading, writing }: Flow['inside']) => [Math.round(reading.mbPerS), Math.round(writing.mbPerS)];

describe('by hand', () => {
  // Four disks of 261 MB/s in single parity behind USB of 10 Gb/s: 3 × 261 both ways; written, 4/3 of it is sent.
  test('a mini computer with a USB box: the drives, then USB on writes; the network before both', () => {
    const made = fixture().add('satchel-1').add('clew-s16').add('stickle-500').add('annex-4').add('barge-16', 4);
    const told = flow(made, setOf(made, 'barge-16', 'parity1', 1, 4));
    expect(rates(told.inside)).toEqual([783, 783]);
    expect(Math.round(told.inside.writing.next!.allowsMBps)).toBe(788);
    expect(Math.round(told.inside.reading.next!.allowsMBps)).toBe(1050);
    expect(told.one.reading.neck!.link.kind).toBe('network');
    expect(told.one.reading.mbPerS).toBeCloseTo(294.25 * FILE_SHARE, 5);
  });

  // Eight striped, four of them behind 500 MB/s: they hold back the others, 1,000 MB/s in all.
  test('the slow half of a stripe holds back the quick half', () => {
    const made = cube(tweak('tern-8i', { throughputMBps: 500 }))
      .add('tern-8i')
      .add('pike-960', 8);
    const tree = treeOf(made);
    const behind = [...tree.drives.values()].filter((path) => path.some(({ kind }) => kind === 'card')).length;
    const told = flow(made, setOf(made, 'pike-960', 'stripe', 1, 8));
    expect(told.inside.reading.neck!.link.kind).toBe('card');
    expect(told.inside.reading.mbPerS).toBeCloseTo((500 * 8) / behind, 6);
  });

  test('mirrors are read from all of their drives and written to all; parity of n with p from n − p', () => {
    const made = cube().add('tern-8i').add('barge-8', 8);
    expect(rates(flow(made, setOf(made, 'barge-8', 'mirror2', 1, 8)).inside)).toEqual([8 * 180, 4 * 180]);
    expect(rates(flow(made, setOf(made, 'barge-8', 'parity2', 1, 8)).inside)).toEqual([6 * 180, 6 * 180]);
    expect(rates(flow(made, setOf(made, 'barge-8', 'single', 1, 8)).inside)).toEqual([180, 180]);
    // Read from one drive; written by reading and writing one and the parity: half its rate.
    expect(rates(flow(made, setOf(made, 'barge-8', 'dedicated1', 1, 8)).inside)).toEqual([180, 90]);
    // Two sets striped: twice the slower.
    const two = flow(made, setOf(made, 'barge-8', 'parity1', 1, 5), setOf(made, 'barge-8', 'parity1', 6, 8));
    expect(rates(two.inside)).toEqual([2 * 2 * 180, 2 * 2 * 180]);
  });

  test('written, a mirror of two sends everything twice through its card; a card that reckons parity is sent it once', () => {
    const narrow = rack(tweak('tern-8i', { throughputMBps: 600 }))
      .add('tern-8i')
      .add('zander-960', 8);
    const all = setOf(narrow, 'zander-960', 'parity2', 1, 8);
    const onCard = treeOf(narrow);
    expect([...onCard.drives.values()].every((path) => path.some(({ kind }) => kind === 'card'))).toBe(true);
    expect(flow(narrow, all).inside.writing.mbPerS).toBeCloseTo((600 * 6) / 8, 6);
    expect(flow(narrow, setOf(narrow, 'zander-960', 'mirror2', 1, 8)).inside.writing.mbPerS).toBeCloseTo(300, 6);
    const slot = tweak('tern-8i', { raid: 'fixed', lanes: 1, throughputMBps: 100_000 });
    const raid = rack(slot).add('tern-8i').add('zander-960', 8);
    expect(flow(raid, setOf(raid, 'zander-960', 'parity2', 1, 8)).inside.writing.mbPerS).toBeCloseTo(857, 0);
    const plain = rack(tweak('tern-8i', { lanes: 1, throughputMBps: 100_000 }))
      .add('tern-8i')
      .add('zander-960', 8);
    expect(flow(plain, setOf(plain, 'zander-960', 'parity2', 1, 8)).inside.writing.mbPerS).toBeCloseTo(
      (857 * 6) / 8,
      0,
    );
  });

  test('layouts side by side read no faster than the card they hang on, and rebuild no faster than its half', () => {
    const made = rack(tweak('tern-8i', { throughputMBps: 600 }))
      .add('tern-8i')
      .add('barge-8', 8);
    const context = createAssessor().context(made.build);
    const { ways } = poolTold(context);
    const through = waysThrough(context, wiringFor(made.build, made.assess()), ways);
    const of = (list: typeof ways, key: string) => list.find((way) => way.key === key)!.told;
    expect(of(ways, 'parity28').readMBps).toBe(6 * 180);
    expect(of(through, 'parity28').readMBps).toBeCloseTo(600, 6);
    expect(of(through, 'parity28').writeMBps).toBeCloseTo((600 * 6) / 8, 6);
    expect(of(through, 'parity28').rebuildH).toBeGreaterThan(of(ways, 'parity28').rebuildH);
    for (const [i, way] of through.entries())
      expect(way.told.readMBps).toBeLessThanOrEqual(ways[i]!.told.readMBps + 1e-6);
  });

  test('small writes: one drive’s a set where records are whole, a sixth of all behind a card that reckons two parities', () => {
    const small = (raid: 'none' | 'fixed') => {
      const made = rack(tweak('tern-8i', { raid })).add('tern-8i').add('barge-8', 8);
      const told = flowTold(createAssessor().context(made.build), wiringFor(made.build, made.assess()));
      expect(told.pools.map(({ sets }) => sets.length)).toEqual([1]);
      return told.pools[0]!.small;
    };
    const iops = small('none').writing;
    expect(small('none').reading).toBe(iops);
    expect(small('fixed')).toEqual({ reading: 8 * iops, writing: (8 * iops) / 6 });
  });

  test('one client gets one link of two, several get both; without a word of links the fastest port is plugged in', () => {
    const made = (links: { gbPerS: number; count: number }[]) => {
      const bare = cube().add('skein-10x2').add('zander-960', 8);
      return bare.set({ site: { ...bare.build.site, links } });
    };
    const two = made([{ gbPerS: 10, count: 2 }]);
    const told = flow(two, setOf(two, 'zander-960', 'stripe', 1, 8));
    expect(told.one.reading.mbPerS).toBeCloseTo(PORT_10, 0);
    expect(told.several.reading.mbPerS).toBeGreaterThan(1.5 * PORT_10);
    const unsaid = made([]);
    expect(flow(unsaid, setOf(unsaid, 'zander-960', 'stripe', 1, 8)).several.reading.mbPerS).toBeCloseTo(PORT_10, 0);
    // A port is no faster than what it is plugged into.
    const slow = made([{ gbPerS: 1, count: 1 }]);
    expect(flow(slow, setOf(slow, 'zander-960', 'stripe', 1, 8)).one.reading.mbPerS).toBeCloseTo(117.7 * FILE_SHARE, 1);
  });
});

// Five drives of a parity set behind 300 MB/s: half of it for the rebuild, 30 MB/s each; 0.8 · 8 TB at that are 59 h.
test('a rebuild behind a narrow card takes as long as the card makes it; behind a wide one as the drives do', () => {
  const made = (throughputMBps: number) => rack(tweak('tern-8i', { throughputMBps })).add('tern-8i').add('barge-8', 5);
  const rebuild = (of: Fixture, layout: SetLayout) => rebuildOver(treeOf(of), setOf(of, 'barge-8', layout, 1, 5));
  const narrow = rebuild(made(300), 'parity1');
  expect(narrow.by!.kind).toBe('card');
  expect(narrow.hours).toBeCloseTo((0.8 * 8e12) / (30 * 1e6) / 3600, 9);
  const wide = rebuild(made(6000), 'parity1');
  expect(wide.by).toBeNull();
  expect(wide.hours).toBeCloseTo((0.8 * 8e12) / (0.75 * 180 * 0.5 * 1e6) / 3600, 9);
  // Of a mirror only two drives are at work.
  expect(rebuild(made(300), 'mirror2').by).toBeNull();
});

test('drawn machines flow as a general linear program says, both ways, inside and over the network', async () => {
  const highs = await highsLoader();
  let machines = 0;
  const necks = new Set<string>();
  for (let seed = 1; seed <= 40; seed++) {
    const { tree, sets, links } = flowMachine(seed);
    if (sets.length === 0) continue;
    machines++;
    const told = flowOf(tree, sets, links);
    for (const way of ['reading', 'writing'] as const) {
      expect([seed, told.inside[way].mbPerS]).toEqual([
        seed,
        expect.closeTo(rateByProgram(highs, tree, sets, [], way), 2),
      ]);
      expect([seed, told.several[way].mbPerS]).toEqual([
        seed,
        expect.closeTo(rateByProgram(highs, tree, sets, told.ports, way), 2),
      ]);
      necks.add(told.inside[way].neck!.link.kind);
      necks.add(told.several[way].neck!.link.kind);
    }
  }
  expect(machines).toBeGreaterThan(30);
  // Not always the same holds it back.
  expect(necks.size).toBeGreaterThan(2);
});

test('a wider link never lowers the flow', () => {
  for (let seed = 50; seed < 70; seed++) {
    const { tree, sets, links } = flowMachine(seed);
    const before = flowOf(tree, sets, links);
    const all = new Set([...tree.drives.values()].flat());
    for (const link of all) {
      // Paths that share it go on sharing it.
      const shared = { ...link, carriesMBps: 2 * link.carriesMBps };
      const swap = (path: readonly (typeof link)[]) => path.map((one) => (one === link ? shared : one));
      const after = flowOf(
        {
          drives: new Map([...tree.drives].map(([id, path]) => [id, swap(path)])),
          ports: tree.ports.map((port) => ({ ...port, path: swap(port.path) })),
        },
        sets,
        links,
      );
      for (const way of ['reading', 'writing'] as const) {
        expect(after.inside[way].mbPerS).toBeGreaterThanOrEqual(before.inside[way].mbPerS - 1e-9);
        expect(after.several[way].mbPerS).toBeGreaterThanOrEqual(before.several[way].mbPerS - 1e-9);
      }
    }
  }
});
