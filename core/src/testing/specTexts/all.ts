import { EIGHTEENTH } from './eighteenth';
import { EIGHTH } from './eighth';
import { ELEVENTH } from './eleventh';
import { FIFTEENTH } from './fifteenth';
import { FIFTH } from './fifth';
import { FIRST } from './first';
import { FORTIETH } from './fortieth';
import { FORTY_FIRST } from './fortyFirst';
import { FOURTEENTH } from './fourteenth';
import { FOURTH } from './fourth';
import { NINETEENTH } from './nineteenth';
import { NINTH } from './ninth';
import { SECOND } from './second';
import { SEVENTH } from './seventh';
import { SEVENTEENTH } from './seventeenth';
import { SIXTEENTH } from './sixteenth';
import { SIXTH } from './sixth';
import { TENTH } from './tenth';
import { THIRD } from './third';
import { THIRTIETH } from './thirtieth';
import { THIRTY_EIGHTH } from './thirtyEighth';
import { THIRTY_FIFTH } from './thirtyFifth';
import { THIRTY_FIRST } from './thirtyFirst';
import { THIRTY_FOURTH } from './thirtyFourth';
import { THIRTY_NINTH } from './thirtyNinth';
import { THIRTY_SECOND } from './thirtySecond';
import { THIRTY_SEVENTH } from './thirtySeventh';
import { THIRTY_SIXTH } from './thirtySixth';
import { THIRTY_THIRD } from './thirtyThird';
import { THIRTEENTH } from './thirteenth';
import { TWENTY_FIRST } from './twentyFirst';
import { TWENTY_EIGHTH } from './twentyEighth';
import { TWENTY_FIFTH } from './twentyFifth';
import { TWENTY_FOURTH } from './twentyFourth';
import { TWENTY_NINTH } from './twentyNinth';
import { TWENTY_SECOND } from './twentySecond';
import { TWENTY_SEVENTH } from './twentySeventh';
import { TWENTY_SIXTH } from './twentySixth';
import { TWENTY_THIRD } from './twentyThird';
import { TWENTIETH } from './twentieth';
import { TWELFTH } from './twelfth';

/** The sets of texts in their order; all but the first and the thirty-second were committed before their first run. */
export const SETS = [
  ['first', FIRST],
  ['second', SECOND],
  ['third', THIRD],
  ['fourth', FOURTH],
  ['fifth', FIFTH],
  ['sixth', SIXTH],
  ['seventh', SEVENTH],
  ['eighth', EIGHTH],
  ['ninth', NINTH],
  ['tenth', TENTH],
  ['eleventh', ELEVENTH],
  ['twelfth', TWELFTH],
  ['thirteenth', THIRTEENTH],
  ['fourteenth', FOURTEENTH],
  ['fifteenth', FIFTEENTH],
  ['sixteenth', SIXTEENTH],
  ['seventeenth', SEVENTEENTH],
  ['eighteenth', EIGHTEENTH],
  ['nineteenth', NINETEENTH],
  ['twentieth', TWENTIETH],
  ['twenty-first', TWENTY_FIRST],
  ['twenty-second', TWENTY_SECOND],
  ['twenty-third', TWENTY_THIRD],
  ['twenty-fourth', TWENTY_FOURTH],
  ['twenty-fifth', TWENTY_FIFTH],
  ['twenty-sixth', TWENTY_SIXTH],
  ['twenty-seventh', TWENTY_SEVENTH],
  ['twenty-eighth', TWENTY_EIGHTH],
  ['twenty-ninth', TWENTY_NINTH],
  ['thirtieth', THIRTIETH],
  ['thirty-first', THIRTY_FIRST],
  ['thirty-second', THIRTY_SECOND],
  ['thirty-third', THIRTY_THIRD],
  ['thirty-fourth', THIRTY_FOURTH],
  ['thirty-fifth', THIRTY_FIFTH],
  ['thirty-sixth', THIRTY_SIXTH],
  ['thirty-seventh', THIRTY_SEVENTH],
  ['thirty-eighth', THIRTY_EIGHTH],
  ['thirty-ninth', THIRTY_NINTH],
  ['fortieth', FORTIETH],
  ['forty-first', FORTY_FIRST],
] as const;

/** Every text with what a person reads from it. */
export const SAMPLES = SETS.flatMap(([, samples]) => samples);
