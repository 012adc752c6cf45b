import type { Edit } from '../build/edits';
import type { Place } from './finding';
import type { Found, SnagCode } from './words';

/** A finding with the code of its rule; its key is code and sorted places, stable while the trouble is the same. */
export type Snag<C extends SnagCode = SnagCode> = C extends SnagCode
  ? Found<C> & { readonly key: string; readonly code: C }
  : never;

export const placeName = (place: Place): string =>
  'unit' in place
    ? place.unit
    : `${place.spot.host}/${place.spot.key}${place.spot.n === undefined ? '' : `.${place.spot.n}`}`;

/** A guess at what could help; one made of others is weighed only where none of them cures by itself. */
export type Proposal = { readonly edits: readonly Edit[]; readonly words: string; readonly madeOf?: readonly string[] };
