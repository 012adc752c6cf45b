import type { Catalogue } from '../parts/catalogue';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import { FITS } from './families/fits';
import { REACHES } from './families/reaches';
import { MATES } from './families/mates';
import { POWERED } from './families/powered';
import { COOLED } from './families/cooled';
import { COMPLETE } from './families/complete';
import { LASTS } from './families/lasts';
import { WITHIN } from './families/within';
import type { Propose } from './families/shared';
import type { Base } from './weigh';

/** Every code has its guesses with its family. */
const PROPOSE: { readonly [C in SnagCode]: Propose<C> } = {
  ...FITS,
  ...REACHES,
  ...MATES,
  ...POWERED,
  ...COOLED,
  ...COMPLETE,
  ...LASTS,
  ...WITHIN,
};

/** Cheap guesses at what could help; the weighing decides. */
export function proposalsFor(base: Base, snag: Snag, catalogue: Catalogue): Proposal[] {
  // Code and facts come from one snag: the guesses of a code are given the facts of that code.
  return (PROPOSE[snag.code] as Propose)(base, snag, catalogue);
}
