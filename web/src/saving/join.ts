import { commit, type Build, type Edit } from '@inch-tower/core';
import type { Steps } from './draft';

export type Joined = {
  readonly build: Build;
  readonly edits: Steps;
  /** Steps that cannot be made on it. */ readonly left: number;
};

/**
 * Makes steps on another version, settling each anew. What only restores or places is of its own version and stays
 * behind.
 */
export function joinOnto(onto: Build, steps: Steps): Joined {
  let build = onto;
  const edits: (readonly Edit[])[] = [];
  let left = 0;
  for (const step of steps) {
    const own = step.filter((edit) => edit.type !== 'layout.set');
    const made = own.length > 0 && own.every((edit) => edit.type !== 'restore') ? commit(build, own) : null;
    if (!made?.ok) {
      left++;
      continue;
    }
    build = made.build;
    edits.push(made.edits);
  }
  return { build, edits, left };
}
