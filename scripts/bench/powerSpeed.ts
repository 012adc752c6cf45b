import { createAssessor, powerOf, type Build } from '@inch-tower/core';

const asOf = '2026-11-01';

/** All that the power view shows of a machine that is assessed already; medians. */
export function powerSpeed(
  machines: readonly { readonly build: Build; readonly drives: number; readonly budget: string }[],
  say: (what: string, value: string, budget: string) => void,
): void {
  for (const { build, drives, budget } of machines) {
    const rounds = drives > 60 ? 40 : 300;
    const times = Array.from({ length: rounds }, () => {
      // Anew each time: what is kept is kept by the assessor.
      const assessor = createAssessor();
      assessor.assess(build, { asOf });
      const context = assessor.context(build);
      const from = performance.now();
      powerOf(context, build, asOf);
      return performance.now() - from;
    }).sort((a, b) => a - b);
    say(`+ power, ${drives} drives`, `${times[Math.floor(rounds / 2)]!.toFixed(2)} ms`, budget);
  }
}
