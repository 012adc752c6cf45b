import type { Catalogue } from '../parts/catalogue';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import { FITS } from './families/fits';
import { REACHES } from './families/reaches';
import { MATES } from './families/mates';
import { POWERED } from './families/powered';
import { COOLED } from './families/cooled';
import { COMPLETE } from './families/complete';
import { WITHIN } from './families/within';
import type { Propose } from './families/shared';
import type { Base } from './weigh';

/** Every code has its guesses with its family. */
const PROPOSE: Readonly<Record<SnagCode, Propose>> = {
  ...FITS,
  ...REACHES,
  ...MATES,
  ...POWERED,
  ...COOLED,
  ...COMPLETE,
  ...WITHIN,
};

/** Cheap guesses at what could help; the weighing decides. */
export function proposalsFor(base: Base, snag: Snag, catalogue: Catalogue): Proposal[] {
  return PROPOSE[snag.code](base, snag, catalogue);
}
