import type { Build, Edit, Refusal, Step } from '@inch-tower/core';
import type { Steps } from './draft';
import { onto } from './threeWay';

/** Makes edits and settles them; null where nobody answered. */
export type Settle = (build: Build, edits: readonly Edit[]) => Promise<Step | Refusal | null>;
export type Joined = {
  readonly build: Build;
  readonly edits: Steps;
  /** Steps that cannot be made on it. */ readonly left: number;
};

/**
 * Makes steps on another version, settling each anew; where both changed a section, only what mine changed in it. What
 * only restores or places is of its own version and stays behind.
 */
export async function joinOnto(other: Build, steps: Steps, settle: Settle): Promise<Joined> {
  let build = other;
  const edits: (readonly Edit[])[] = [];
  let left = 0;
  for (const step of steps) {
    const ground = build;
    const own = step.filter((edit) => edit.type !== 'layout.set').map((edit) => onto(ground, edit));
    const made = own.length > 0 && own.every((edit) => edit.type !== 'restore') ? await settle(build, own) : null;
    if (!made?.ok) {
      left++;
      continue;
    }
    build = made.build;
    edits.push(made.edits);
  }
  return { build, edits, left };
}
