import {
  growthWithinBrief,
  idleWithinBrief,
  liftedByTwo,
  moneyWithinBrief,
  networkWithinBrief,
  otherCurrency,
  peakWithinBrief,
  rackUnitsWithinBrief,
  sizeWithinBrief,
  soundWithinBrief,
  usableLaterWithinBrief,
  usableWithinBrief,
} from './rules';
import { mustHaves, notWanted } from './features';
import { servicesFit } from './services';
import type { RulesOf } from '../words';
import type { WithinFacts } from './words';

/** The rules of this family by the code of what they find. */
export const WITHIN: RulesOf<WithinFacts> = {
  'within.money': moneyWithinBrief,
  'within.idle': idleWithinBrief,
  'within.peak': peakWithinBrief,
  'within.size': sizeWithinBrief,
  'within.lift': liftedByTwo,
  'within.rackUnits': rackUnitsWithinBrief,
  'within.growth': growthWithinBrief,
  'within.usable': usableWithinBrief,
  'within.usableLater': usableLaterWithinBrief,
  'within.network': networkWithinBrief,
  'within.mustHave': mustHaves,
  'within.notWanted': notWanted,
  'within.services': servicesFit,
  'within.currency': otherCurrency,
  'within.sound': soundWithinBrief,
};
