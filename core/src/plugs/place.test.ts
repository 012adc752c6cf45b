import highsLoader from 'highs';
import { drawnPlugs, plugFaults, reckonPlugs, type PlugProblem } from '../testing/mip/plugs';
import { placePlugs, type Placed, type Want } from './place';

const disk: Want = { plug: 'sata-power', start: { a12: 1.8, a5: 0.7 }, run: { a12: 0.5, a5: 0.6 }, disks: 1 };
const chain = (count: number) => ({ plugs: { 'sata-power': count }, startA: 8, runA: 8 });
const times = <T>(count: number, one: T): T[] => Array.from({ length: count }, () => one);

test('drawn supplies are dealt as a general solver deals them, level by level', async () => {
  const highs = await highsLoader();
  for (let seed = 1; seed <= 60; seed++) expect([seed, plugFaults(highs, drawnPlugs(seed))]).toEqual([seed, []]);
}, 120_000);

/** Every way of putting every input anywhere, with no splitters. */
function* everyWay(wants: number, chains: number): Generator<Placed['on']> {
  if (wants === 0) return yield [];
  for (const rest of everyWay(wants - 1, chains))
    for (let chain = -1; chain < chains; chain++) yield [...rest, chain < 0 ? null : { chain, splitter: null }];
}

test('small machines are dealt as well as the best of all ways there are', () => {
  for (let seed = 1; seed <= 150; seed++) {
    const drawn = drawnPlugs(seed);
    const problem: PlugProblem = { ...drawn, wants: drawn.wants.slice(0, 5), splitters: [] };
    let least: readonly number[] | null = null;
    for (const on of everyWay(problem.wants.length, problem.chains.length)) {
      const score = reckonPlugs(problem, { on, splitters: [], score: [], whole: true });
      if (!score) continue;
      const first = score.findIndex((value, i) => value !== least?.[i]);
      if (!least || (first >= 0 && score[first]! < least[first]!)) least = score;
    }
    const { score } = placePlugs(problem.wants, problem.chains, problem.splitters);
    expect([seed, score]).toEqual([seed, least]);
  }
});

test('neighbours share a cable; cables that are not wanted stay out', () => {
  const { on, score } = placePlugs(times(8, disk), times(3, chain(4)), []);
  expect(on.map((one) => one!.chain)).toEqual([0, 0, 0, 0, 1, 1, 1, 1]);
  expect(score).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 2]);
});

test('five starting disks of 1.8 A are past 8 A on one cable: one goes on another', () => {
  const { on } = placePlugs(times(5, disk), times(2, chain(6)), []);
  expect(on.filter((one) => one!.chain === 0)).toHaveLength(4);
  // On the only cable there is, the 9 A are told as 1 A past the limit.
  expect(placePlugs(times(5, disk), [chain(6)], []).score).toEqual([0, 0, 1000, 0, 0, 0, 1000, 0, 1]);
});

test('two plugs of a card that takes more than four fifths of a cable go on cables of their own', () => {
  const card = (a12: number): Want => ({
    plug: '8-pin-card',
    start: { a12, a5: 0 },
    run: { a12, a5: 0 },
    disks: 0,
  });
  const two = { plugs: { '8-pin-card': 2 }, startA: 24, runA: 24 };
  const cables = (a12: number) => placePlugs(times(2, card(a12)), times(2, two), []).on.map((one) => one!.chain);
  expect(cables(10)).toEqual([0, 1]);
  expect(cables(9)).toEqual([0, 0]);
});

test('what is put by hand stays while every input gets its plug, and gives way before one goes without', () => {
  const put = { ...disk, wish: { chain: 1, how: 'put' as const } };
  expect(placePlugs([put, disk], times(2, chain(4)), []).on.map((one) => one!.chain)).toEqual([1, 1]);
  const cpu: Want = { ...disk, plug: '4-pin-cpu', wish: { chain: 0, how: 'held' } };
  const eight: Want = { ...disk, plug: '8-pin-cpu' };
  const parts = { plugs: { '8-pin-cpu': 1 }, startA: 13, runA: 13 };
  const four = { plugs: { '4-pin-cpu': 1 }, startA: 13, runA: 13 };
  const { on, score } = placePlugs([cpu, eight], [parts, four], []);
  expect(on.map((one) => one!.chain)).toEqual([1, 0]);
  expect(score.slice(0, 2)).toEqual([0, 100]);
});

test('a splitter is used only where plugs are short, on the cable that carries it', () => {
  const splitter = { takes: 'peripheral', gives: { 'sata-power': 2 }, ratedA: 4.5 } as const;
  const cables = [chain(4), { plugs: { peripheral: 3 }, startA: 8, runA: 8 }];
  expect(placePlugs(times(4, disk), cables, [splitter]).splitters).toEqual([null]);
  const { on, splitters, score } = placePlugs(times(6, disk), cables, [splitter]);
  expect(splitters).toEqual([1]);
  expect(on.filter((one) => one!.splitter === 0)).toHaveLength(2);
  expect(score[0]).toBe(0);
});

test('without a cable nothing has a plug, without inputs nothing is wanted', () => {
  expect(placePlugs([disk], [], []).score[0]).toBe(1);
  expect(placePlugs([], [chain(4)], []).score).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 0]);
});

test('where too many sorts of inputs stand on too many cables, sorts next to each other count as the larger, and it is said', () => {
  const sorts = Array.from({ length: 40 }, (_, i): Want => ({ ...disk, start: { a12: 1 + (i % 13) / 20, a5: 0.5 } }));
  const { on, whole, score } = placePlugs(sorts, times(12, chain(4)), []);
  expect(whole).toBe(false);
  expect(on.every((one) => one !== null)).toBe(true);
  expect(score[0]).toBe(0);
});
