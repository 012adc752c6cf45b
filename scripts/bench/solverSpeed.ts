import highsLoader from 'highs';
import { solve } from '../../core/src/solve/solve';
import { encode } from '../../core/src/testing/mip/encode';
import { leastInTurn } from '../../core/src/testing/mip/program';
import { rack } from '../../core/src/testing/racks';

type Run = { readonly ms: number; readonly undecided: boolean };
/** No two are alike, so nothing is remembered from one to the next. */
function runs(drives: readonly number[], from: number): Run[] {
  return drives.map((count, i) => {
    const { problem, hint } = rack(from + i, count);
    const start = performance.now();
    const { status } = solve(problem, hint);
    return { ms: performance.now() - start, undecided: status === 'undecided' };
  });
}

const times = (count: number, drives: number): number[] => Array<number>(count).fill(drives);
const middle = (list: readonly Run[]) => [...list].sort((a, b) => a.ms - b.ms)[list.length >> 1]!.ms;

/**
 * The solver's own budget: drawn racks, the same ones given to a general mixed-integer solver, which is stopped after
 * so many seconds.
 */
export async function solverSpeed(
  say: (what: string, value: string, budget: string) => void,
  seconds = 5,
): Promise<void> {
  runs(times(200, 24), 10_000);
  const small = middle(runs(times(300, 24), 1));
  say('wiring solved, 24 drives and four controllers', `${small.toFixed(2)} ms`, '5 ms');
  const highs = await highsLoader();
  const general = [1, 2, 3]
    .map((seed) => {
      const { problem, hint } = rack(seed, 24);
      const { program, levels } = encode(problem, hint, solve(problem, hint).layout.at);
      const start = performance.now();
      const done = leastInTurn(highs, program, levels, seconds) !== null;
      return { ms: performance.now() - start, done };
    })
    .sort((a, b) => a.ms - b.ms);
  say(
    'the same by a general solver, so many times slower',
    `${general[1]!.done ? '' : '> '}${Math.round(general[1]!.ms / small)}`,
    '≥ 50',
  );
  runs(times(20, 120), 20_000);
  const large = middle(runs(times(100, 120), 1));
  say('wiring solved, 120 drives over shelves', `${large.toFixed(2)} ms`, '40 ms');
  say('wiring t(120 drives) / t(24 drives)', (large / small).toFixed(1), '≤ 6.5');
  const upTo = (most: number, from: number) =>
    runs(
      Array.from({ length: 300 }, (_, i) => from + 1 + (i % (most - from))),
      1000,
    );
  const share = (list: readonly Run[]) =>
    `${((100 * list.filter(({ undecided }) => undecided).length) / list.length).toFixed(1)} %`;
  say('undecided, up to 60 drives', share(upTo(60, 0)), '0 %');
  say('undecided, up to 120 drives', share(upTo(120, 60)), '1 %');
}
