import {
  cacheMisunderstood,
  inNoSet,
  logUnprotected,
  metadataAlone,
  pastSoftware,
  setShort,
  setsTooWeak,
  shingledInParity,
  spareTooSmall,
  systemAlone,
  wornByWrites,
} from './pool';
import { agedParts, bridges, notSold, pastRatedBays, unprotectedCache, wornDrives } from './rules';
import type { RulesOf } from '../words';
import type { LastsFacts } from './words';

/** The rules of this family by the code of what they find. */
export const LASTS: RulesOf<LastsFacts> = {
  'lasts.shingled': shingledInParity,
  'lasts.ratedBays': pastRatedBays,
  'lasts.worn': wornDrives,
  'lasts.alone': metadataAlone,
  'lasts.system': systemAlone,
  'lasts.log': logUnprotected,
  'lasts.cache': cacheMisunderstood,
  'lasts.spare': spareTooSmall,
  'lasts.set': setShort,
  'lasts.weakest': setsTooWeak,
  'lasts.loose': inNoSet,
  'lasts.endurance': wornByWrites,
  'lasts.software': pastSoftware,
  'lasts.writeBack': unprotectedCache,
  'lasts.bridge': bridges,
  'lasts.aged': agedParts,
  'lasts.notSold': notSold,
};
