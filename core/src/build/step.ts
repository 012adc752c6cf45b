import { applyEdit } from './applyEdit';
import type { Refusal } from './refusal';
import type { Build } from './build';
import type { Edit } from './edits';

/** One step of a builder's history: the edits as made, with their settling where there is one, and their inverse. */
export type Step = {
  readonly ok: true;
  readonly build: Build;
  readonly edits: readonly Edit[];
  readonly inverse: readonly Edit[];
  readonly words: string;
};

/** Edits in order, all of them or none; nothing is settled: what is new lies on the table, without a cable. */
export function makeStep(build: Build, edits: readonly Edit[]): Step | Refusal {
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
  return { ok: true, build: now, edits, inverse, words: words.join('; ') };
}

/** Whether edits change what the layout rests on and do not bring a layout of their own. */
export const wantsSettling = (edits: readonly Edit[]): boolean =>
  edits.some((edit) => !edit.type.startsWith('set.') || edit.type === 'set.stage' || edit.type === 'set.pool') &&
  !edits.some((edit) => edit.type === 'layout.set');

/** Recorded edits once more, without settling: undo, redo and the worker's copy of a build. */
export function replay(build: Build, edits: readonly Edit[]): Build | Refusal {
  const step = makeStep(build, edits);
  return step.ok ? step.build : step;
}
