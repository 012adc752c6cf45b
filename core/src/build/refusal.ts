import type { Build, Item } from './build';

/** Why an edit cannot be made; the build is untouched. */
export type Refusal = { readonly ok: false; readonly words: string };
/** The sections an edit sets, and what happened in words. */
export type SectionsSet = { readonly sections: Partial<Build>; readonly words: string };

export const refuse = (words: string): Refusal => ({ ok: false, words });
export const noUnit = (id: string): Refusal => refuse(`The unit ${id} is no longer in the build.`);
export const itemOf = (build: Build, unit: string): Item | undefined =>
  build.items.find((item) => item.units.some((one) => one.id === unit));
