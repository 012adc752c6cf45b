import type { SpotRef } from '../build/layout';

export type Severity = 'blocker' | 'caution' | 'note';

/** A number against its limit: `gap` is signed, negative where the limit is passed, in `unit`. */
export type Gap = {
  readonly have: number;
  readonly limit: number;
  readonly gap: number;
  readonly unit: string;
  readonly lo?: number;
  readonly hi?: number;
};
export type Place = { readonly unit: string } | { readonly spot: SpotRef };

/** Names, counts and ids by name; which of them a code has is said with its words. */
export type Facts = Readonly<Record<string, string | number | undefined>>;

/**
 * What a rule says, as data: something wrong or worth knowing. The registry adds code and key, the catalogue of words
 * its sentence.
 */
export type Finding<F = Facts> = {
  readonly severity: Severity;
  /** Units and spots it is about: where its tag hangs. */
  readonly at: readonly Place[];
  readonly gap?: Gap;
  /** What the words need: names, counts, culprits. */
  readonly facts: F;
  /** What else caused it. */
  readonly because?: readonly Place[];
};

/** What a code says of which every finding has a number against a limit. */
export type Sized<F> = { readonly facts: F; readonly gap: Gap };
/** A finding of what a code says: with its gap where that is always there. */
export type FindingOf<T> = T extends Sized<infer F> ? Finding<F> & { readonly gap: Gap } : Finding<T>;

/** Cautions from this much room down; less than none blocks. */
export const CLOSE_MM = 2;

/** What blocks comes before what cautions, and that before notes. */
export const GRAVITY = { blocker: 0, caution: 1, note: 2 } as const satisfies Readonly<Record<Severity, number>>;
