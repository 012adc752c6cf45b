import {
  agedParts,
  aloneForPool,
  bridges,
  pastRatedBays,
  shingledInParity,
  unprotectedCache,
  wornDrives,
} from './rules';
import type { RulesOf } from '../words';
import type { LastsFacts } from './words';

/** The rules of this family by the code of what they find. */
export const LASTS: RulesOf<LastsFacts> = {
  'lasts.shingled': shingledInParity,
  'lasts.ratedBays': pastRatedBays,
  'lasts.worn': wornDrives,
  'lasts.alone': aloneForPool,
  'lasts.writeBack': unprotectedCache,
  'lasts.bridge': bridges,
  'lasts.aged': agedParts,
};
