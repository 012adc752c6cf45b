import type { Situation } from './situation';
import type { Finding, FindingOf } from './finding';
import { FITS_WORDS, type FitsFacts } from './fits/words';
import { REACHES_WORDS, type ReachesFacts } from './reaches/words';
import { MATES_WORDS, type MatesFacts } from './mates/words';
import { COMPLETE_WORDS, type CompleteFacts } from './complete/words';
import { POWERED_WORDS, type PoweredFacts } from './powered/words';
import { COOLED_WORDS, type CooledFacts } from './cooled/words';
import { LASTS_WORDS, type LastsFacts } from './lasts/words';
import { WITHIN_WORDS, type WithinFacts } from './within/words';
import type { Words } from './wording';

/** What the findings of each code say besides their gap. */
type FactsByCode = FitsFacts &
  ReachesFacts &
  MatesFacts &
  CompleteFacts &
  PoweredFacts &
  CooledFacts &
  LastsFacts &
  WithinFacts;
export type SnagCode = keyof FactsByCode;
/** A finding of one code, or of several: a fact that code does not have does not compile. */
export type Found<C extends SnagCode> = C extends SnagCode ? FindingOf<FactsByCode[C]> : never;

/** The rules of a family: each finds what its code says. */
export type RulesOf<F> = { readonly [C in keyof F & SnagCode]: (situation: Situation) => Found<C>[] };

/** One entry per code, with its family: the rule's title, its sentence with the numbers in it, and why it matters. */
export const WORDS: { readonly [C in SnagCode]: Words<FactsByCode[C]> } = {
  ...FITS_WORDS,
  ...REACHES_WORDS,
  ...MATES_WORDS,
  ...COMPLETE_WORDS,
  ...POWERED_WORDS,
  ...COOLED_WORDS,
  ...LASTS_WORDS,
  ...WITHIN_WORDS,
};

export const SNAG_CODES = Object.keys(WORDS) as SnagCode[];

/** The sentence of a snag and why it matters. */
export function wordsOf(snag: Finding & { readonly code: SnagCode }): {
  readonly title: string;
  readonly what: string;
  readonly why: string;
} {
  // Code and facts come from one finding: the words of a code are given the facts of that code.
  const words = WORDS[snag.code] as Words;
  return {
    title: words.title,
    what: words.what(snag.facts, snag),
    why: (snag.severity === 'note' && words.whyNote) || words.why,
  };
}
