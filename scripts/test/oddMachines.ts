import { createAssessor, type Build } from '@inch-tower/core';
import { oddMachine, taken } from '../../core/src/testing/odd';

export type Odd = {
  readonly machines: number;
  readonly commits: number;
  readonly slowestMs: number;
  readonly slowest: string;
  readonly faults: readonly string[];
};

const cpuMs = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

/**
 * Machines drawn from the whole catalogue, committed step by step and assessed: none throws, and the longest step is
 * told, in ms of processor time.
 */
export function commitOddMachines(
  from: number,
  count: number,
  longestMs: number,
  say: (line: string) => void = () => undefined,
): Odd {
  const faults: string[] = [];
  let commits = 0;
  let slowestMs = 0;
  let slowest = '';
  for (let seed = from; seed < from + count; seed++) {
    const timed = (what: string, work: () => Build): Build | null => {
      const before = cpuMs();
      try {
        return work();
      } catch (error) {
        faults.push(
          `seed ${seed}, ${what}: ` +
            (error instanceof Error
              ? (error.stack?.split('\n').slice(0, 4).join(' ') ?? error.message)
              : String(error)),
        );
        return null;
      } finally {
        const took = cpuMs() - before;
        if (took > slowestMs) {
          slowestMs = took;
          slowest = `seed ${seed}, ${what}`;
        }
        if (took > longestMs) faults.push(`seed ${seed}, ${what}: ${took.toFixed(0)} ms`);
      }
    };
    const build = oddMachine(seed, (before, step) => {
      commits++;
      return timed(step.words, () => taken(before, step)) ?? before;
    });
    timed('assess', () => {
      createAssessor().assess(build, { asOf: '2026-11-01' });
      return build;
    });
    if ((seed - from + 1) % 250 === 0)
      say(
        `  ${seed - from + 1} odd machines, ${commits} commits, slowest ${slowestMs.toFixed(0)} ` +
          `ms (${slowest}), ${faults.length} faults`,
      );
  }
  return { machines: count, commits, slowestMs, slowest, faults };
}
