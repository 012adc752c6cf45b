import type { Highs } from 'highs';
import { checkLayout } from '../../solve/checkLayout';
import { scoreOf, solve } from '../../solve/solve';
import { levelsOf } from '../../solve/solver/score';
import { reckon } from '../reckon';
import { encode } from './encode';
import type { Machine } from './machines';
import { leastInTurn } from './program';

/**
 * What is wrong with the solver's answer to one machine, by the general solver and the checker: nothing where all
 * levels are equal.
 */
export function faultsOf(
  highs: Highs,
  { problem, hint }: Machine,
): { readonly faults: string[]; readonly whole: boolean } {
  const { layout, status } = solve(problem, hint);
  const score = scoreOf(problem, hint);
  const levels = levelsOf(score);
  const { program, levels: sums } = encode(problem, hint, layout.at);
  const least = leastInTurn(highs, program, sums)!;
  const faults = checkLayout(problem, layout).map(({ code, about }) => `${code} ${about}`);
  if (status === 'undecided') faults.push('undecided');
  const reckoned = reckon(problem, hint, layout);
  if (reckoned.join() !== levels.join()) faults.push(`reckoned ${reckoned.join(' ')}, said ${levels.join(' ')}`);
  if (least.join() !== levels.join()) faults.push(`${levels.join(' ')} is not the least ${least.join(' ')}`);
  return { faults, whole: least.slice(0, 7).every((count) => count === 0) };
}
