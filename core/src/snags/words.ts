import type { Finding } from './finding';
import { FITS_WORDS } from './words/fits';
import { REACHES_WORDS } from './words/reaches';
import { MATES_WORDS } from './words/mates';
import { COMPLETE_WORDS } from './words/complete';
import { POWERED_WORDS } from './words/powered';
import { COOLED_WORDS } from './words/cooled';
import { WITHIN_WORDS } from './words/within';
import type { Words } from './words/wording';

/** One entry per code, with its family: the rule's title, its sentence with the numbers in it, and why it matters. */
export const WORDS = {
  ...FITS_WORDS,
  ...REACHES_WORDS,
  ...MATES_WORDS,
  ...COMPLETE_WORDS,
  ...POWERED_WORDS,
  ...COOLED_WORDS,
  ...WITHIN_WORDS,
} as const satisfies Record<string, Words>;

export type SnagCode = keyof typeof WORDS;

export const SNAG_CODES = Object.keys(WORDS) as SnagCode[];

/** The sentence of a snag and why it matters. */
export function wordsOf(snag: Finding & { readonly code: SnagCode }): {
  readonly title: string;
  readonly what: string;
  readonly why: string;
} {
  const words: Words = WORDS[snag.code];
  return { title: words.title, what: words.what(snag.facts, snag), why: words.why };
}
