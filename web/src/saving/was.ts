import type { Build, Edit } from '@inch-tower/core';

/** An edit that sets a whole section. */
type Whole = Extract<Edit, { type: `set.${string}` }>;
export type ItemPatch = Extract<Edit, { type: 'item.patch' }>;
export const isWhole = (edit: Edit): edit is Whole => edit.type.startsWith('set.');
export const sectionOf = ({ type }: Whole) => type.slice('set.'.length) as keyof Build;

/**
 * Edits that set a section, or a part's price and the like, each with what it was before: on another version only what
 * was changed is changed there, and not the whole section or the whole price.
 */
export function withWas(build: Build, edits: readonly Edit[]): readonly Edit[] {
  if (!edits.some((edit) => isWhole(edit) || edit.type === 'item.patch')) return edits;
  const sections: Record<string, unknown> = {};
  return edits.map((edit) => {
    if (edit.type === 'item.patch') {
      // Answers of one step are each made from what was shown: none of them takes back what another says.
      const before = build.items.find(({ id }) => id === edit.item);
      if (!before || edit.was) return edit;
      const now = before as Readonly<Record<string, unknown>>;
      // What was not there is left out: a document keeps no empty answers.
      const was = Object.keys(edit.patch).flatMap((key) => (now[key] === undefined ? [] : [[key, now[key]] as const]));
      return { ...edit, was: Object.fromEntries(was) as ItemPatch['patch'] };
    }
    if (!isWhole(edit) || 'was' in edit) return edit;
    const section = sectionOf(edit);
    // A section that was not there, as rates between currencies, was one with nothing in it.
    const before = section in sections ? sections[section] : build[section];
    const was = before ?? (section === 'rates' ? {} : undefined);
    sections[section] = edit.value;
    return was === undefined ? edit : ({ ...edit, was } as unknown as Edit);
  });
}
