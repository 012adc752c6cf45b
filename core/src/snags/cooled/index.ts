import { cardsInStillAir, cardsSideBySide, chipsTooHot, coolerCarries, drivesTooHot, passiveCooler } from './rules';
import type { RulesOf } from '../words';
import type { CooledFacts } from './words';

/** The rules of this family by the code of what they find. */
export const COOLED: RulesOf<CooledFacts> = {
  'cooled.cooler': coolerCarries,
  'cooled.passive': passiveCooler,
  'cooled.drives': drivesTooHot,
  'cooled.card': cardsInStillAir,
  'cooled.beside': cardsSideBySide,
  'cooled.chip': chipsTooHot,
};
