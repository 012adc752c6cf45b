import { applyEdit, type Refusal } from '../build/applyEdit';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { keepPartnersApart, partnersOf } from './partners';
import { problemOf } from './problem';
import { solve } from './solve';

/** One step of a builder's history: the edits as made with their settling, and what takes them back. */
export type Step = {
  readonly ok: true;
  readonly build: Build;
  readonly edits: readonly Edit[];
  readonly inverse: readonly Edit[];
  readonly words: string;
};

/** The edit that settles a build after a change, or null when its layout stands as it is. */
export function settleEdit(build: Build): Edit | null {
  const problem = problemOf(build);
  const layout = keepPartnersApart(problem.units, solve(problem, build.layout).layout, partnersOf(build.pool));
  return layout === build.layout ? null : { type: 'layout.set', layout };
}

/** Applies edits in order, then settles: all of it or nothing. */
export function commit(build: Build, edits: readonly Edit[]): Step | Refusal {
  let now = build;
  const inverse: Edit[] = [];
  const words: string[] = [];
  for (const edit of edits) {
    const applied = applyEdit(now, edit);
    if (!applied.ok) return applied;
    now = applied.build;
    inverse.unshift(applied.inverse);
    words.push(applied.words);
  }
  const touches = edits.some(
    (edit) => !edit.type.startsWith('set.') || edit.type === 'set.stage' || edit.type === 'set.pool',
  );
  const settling = touches && !edits.some((edit) => edit.type === 'layout.set') ? settleEdit(now) : null;
  if (!settling) return { ok: true, build: now, edits, inverse, words: words.join('; ') };
  const settled = applyEdit(now, settling);
  if (!settled.ok) return settled;
  return {
    ok: true,
    build: settled.build,
    edits: [...edits, settling],
    inverse: [settled.inverse, ...inverse],
    words: words.join('; '),
  };
}

/** Replays recorded edits without settling: undo, redo and the worker's copy of a build. */
export function replay(build: Build, edits: readonly Edit[]): Build | Refusal {
  let now = build;
  for (const edit of edits) {
    const applied = applyEdit(now, edit);
    if (!applied.ok) return applied;
    now = applied.build;
  }
  return now;
}
