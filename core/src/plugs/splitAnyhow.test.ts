import { drawnPlugs } from '../testing/mip/plugs';
import { placePlugs, type Bin, type Splitter, type Want } from './place';
import { canSplitAnyhow } from './splitAnyhow';

const times = <T>(count: number, one: T): T[] => Array.from({ length: count }, () => one);
const want = (a12: number, plug: Want['plug'] = 'sata-power'): Want => ({
  plug,
  start: { a12, a5: 0.5 },
  run: { a12: a12 / 4, a5: 0.5 },
  disks: 1,
});
const cable = (plugs: Bin['plugs']): Bin => ({ plugs, startA: 8, runA: 8 });

test('the same question put to the placing of plugs, with a splitter of each sort on every plug', () => {
  const drawn = Array.from({ length: 600 }, (_, i) => drawnPlugs(i + 1)).flatMap(({ wants, chains }) => {
    const own = wants.filter(({ plug }) => plug === 'sata-power' || plug === 'peripheral').slice(0, 6);
    const few = chains.slice(0, 2).map(({ startA, runA, plugs }): Bin => {
      const most = (count = 0) => Math.min(2, count);
      return {
        startA,
        runA,
        plugs: { 'sata-power': most(plugs['sata-power']), peripheral: most(plugs.peripheral) },
      };
    });
    return own.length > 0
      ? [{ wants: own.map(({ plug, start, run, disks }) => ({ plug, start, run, disks })), few }]
      : [];
  });
  const answers = drawn.map(({ wants, few }, i) => {
    const on = (takes: 'sata-power' | 'peripheral', gives: 'sata-power' | 'peripheral'): Splitter[] =>
      times(
        few.reduce((sum, { plugs }) => sum + (plugs[takes] ?? 0), 0),
        { takes, gives: { [gives]: 4 }, ratedA: 99 },
      );
    const splitters = [
      ...on('sata-power', 'sata-power'),
      ...on('peripheral', 'sata-power'),
      ...on('peripheral', 'peripheral'),
    ];
    const { score, whole } = placePlugs(wants, few, splitters);
    const isWithin = score[0] === 0 && score[2] === 0 && score[3] === 0;
    const own = canSplitAnyhow(wants, few);
    if (whole) expect([i, own]).toEqual([i, isWithin]);
    return whole ? own : null;
  });
  const counts = [true, false].map((answer) => answers.filter((own) => own === answer).length);
  expect(Math.min(...counts)).toBeGreaterThan(60);
}, 60_000);

test('a plug takes so many as it carries, a cable so many as its wire does', () => {
  expect(canSplitAnyhow(times(4, want(2)), [cable({ 'sata-power': 2 })])).toBe(true);
  expect(canSplitAnyhow(times(5, want(2)), [cable({ 'sata-power': 4 })])).toBe(false);
  expect(canSplitAnyhow(times(3, want(2)), [cable({ 'sata-power': 1 })])).toBe(false);
  expect(canSplitAnyhow(times(4, want(2)), [cable({ peripheral: 1 })])).toBe(true);
  expect(canSplitAnyhow([want(1), want(1, 'peripheral')], [cable({ 'sata-power': 3 })])).toBe(false);
  expect(canSplitAnyhow([], [])).toBe(true);
});

test('many sorts on many cables are answered at once', () => {
  const sorts = Array.from({ length: 40 }, (_, i) => want(1 + (i % 13) / 20));
  expect(canSplitAnyhow(sorts, times(6, cable({ 'sata-power': 4 })))).toBe(false);
  expect(canSplitAnyhow(sorts, times(12, cable({ 'sata-power': 4 })))).toBe(true);
});
