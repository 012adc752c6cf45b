import type { Build, Edit } from '@inch-tower/core';

/** An edit that sets a whole section. */
type Whole = Extract<Edit, { type: `set.${string}` }>;
export const isWhole = (edit: Edit): edit is Whole => edit.type.startsWith('set.');
export const sectionOf = ({ type }: Whole) => type.slice('set.'.length) as keyof Build;

/**
 * Edits that set a section, each with what it was before: on another version only what was changed is changed there,
 * and not the whole section.
 */
export function withWas(build: Build, edits: readonly Edit[]): readonly Edit[] {
  if (!edits.some(isWhole)) return edits;
  const now: Record<string, unknown> = {};
  return edits.map((edit) => {
    if (!isWhole(edit) || 'was' in edit) return edit;
    const section = sectionOf(edit);
    // A section that was not there, as rates between currencies, was one with nothing in it.
    const before = section in now ? now[section] : build[section];
    const was = before ?? (section === 'rates' ? {} : undefined);
    now[section] = edit.value;
    return was === undefined ? edit : ({ ...edit, was } as unknown as Edit);
  });
}
