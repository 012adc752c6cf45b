import {
  breaksOf,
  createAssessor,
  dealtOut,
  flowTold,
  goneOf,
  poolOf,
  poolTold,
  powerBoxes,
  stillWalls,
  wiringFor,
  type Build,
} from '@inch-tower/core';

/** Pool, flow and the loss matrix of a machine that is assessed and wired already. */
export function poolSpeed(
  machines: readonly { readonly build: Build; readonly drives: number; readonly budgetMs: number }[],
  time: (times: number, work: () => void) => number,
  say: (what: string, value: string, budget: string) => void,
): void {
  for (const { build, drives, budgetMs } of machines) {
    const assessor = createAssessor();
    const assessment = assessor.assess(build, { asOf: '2026-11-01' });
    const context = assessor.context(build);
    const wiring = wiringFor(build, assessment);
    const gone = goneOf(context, powerBoxes(assessor.plugs(build), assessment.units));
    const fresh = () => ({ ...context, units: [...context.units] });
    const many = drives > 60 ? 20 : 100;
    const both = time(many, () => {
      const mine = fresh();
      poolTold(mine);
      flowTold(mine, wiring);
    });
    say(`+ pool and flow, ${drives} drives`, `${both.toFixed(2)} ms`, `${budgetMs} ms`);
    const { sets } = poolOf(context);
    const matrix = time(Math.max(5, many / 5), () => {
      breaksOf(assessment, wiring, gone, sets, stillWalls({ ...context, units: [...context.units] }));
      dealtOut(assessment, wiring, gone, sets);
    });
    say(`loss matrix with pairs, ${drives} drives`, `${matrix.toFixed(1)} ms`, drives > 60 ? 'none' : '100 ms');
  }
}
