import type { Refusal } from '../build/refusal';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { makeStep, wantsSettling, type Step } from '../build/step';
import { keepPartnersApart, partnersOf } from './partners';
import { problemOf } from './problem';
import { solve } from './solve';

/** The edit that settles a build after a change, or null when its layout stands as it is. */
export function settleEdit(build: Build): Edit | null {
  const problem = problemOf(build);
  const layout = keepPartnersApart(problem.units, solve(problem, build.layout).layout, partnersOf(build.pool));
  return layout === build.layout ? null : { type: 'layout.set', layout };
}

/** Applies edits in order, then settles: all of it or nothing. */
export function commit(build: Build, edits: readonly Edit[]): Step | Refusal {
  const made = makeStep(build, edits);
  if (!made.ok) return made;
  const settling = wantsSettling(edits) ? settleEdit(made.build) : null;
  if (!settling) return made;
  const settled = makeStep(made.build, [settling]);
  if (!settled.ok) return settled;
  return {
    ...made,
    build: settled.build,
    edits: [...edits, settling],
    inverse: [...settled.inverse, ...made.inverse],
  };
}
