import type { Edit } from '../build/edits';
import type { SpotRef } from '../build/layout';
import type { SnagCode } from './words';

export type Severity = 'blocker' | 'caution' | 'note';

/** A number against its limit: `gap` is signed, negative where the limit is passed, in `unit`. */
export type Gap = { readonly have: number; readonly limit: number; readonly gap: number; readonly unit: string; readonly lo?: number; readonly hi?: number };

/** Something wrong or worth knowing, as data; the words come from the catalogue by code. */
export type Snag = {
  /** Code and sorted places: stable while the trouble is the same. */
  readonly key: string;
  readonly code: SnagCode;
  readonly severity: Severity;
  /** Units and spots it is about: where its tag hangs. */
  readonly at: readonly Place[];
  readonly gap?: Gap;
  /** What the words need: names, counts, culprits. */
  readonly facts: Readonly<Record<string, string | number>>;
  /** What else caused it. */
  readonly because?: readonly Place[];
};
export type Place = { readonly unit: string } | { readonly spot: SpotRef };

export const placeName = (place: Place): string => ('unit' in place ? place.unit : `${place.spot.host}/${place.spot.key}${place.spot.n === undefined ? '' : `.${place.spot.n}`}`);

/** Cautions from this much room down; less than none blocks. */
export const CLOSE_MM = 2;

/** What a rule says: the registry adds the key. */
export type Finding = Omit<Snag, 'key' | 'code'>;
/** A guess at what could help; one made of others is weighed only where none of them cures by itself. */
export type Proposal = { readonly edits: readonly Edit[]; readonly words: string; readonly madeOf?: readonly string[] };
