import { EIGHTEENTH } from './eighteenth';
import { EIGHTH } from './eighth';
import { ELEVENTH } from './eleventh';
import { FIFTEENTH } from './fifteenth';
import { FIFTH } from './fifth';
import { FIRST } from './first';
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
import { THIRTEENTH } from './thirteenth';
import { TWENTY_FIRST } from './twentyFirst';
import { TWENTY_FIFTH } from './twentyFifth';
import { TWENTY_FOURTH } from './twentyFourth';
import { TWENTY_SECOND } from './twentySecond';
import { TWENTY_THIRD } from './twentyThird';
import { TWENTIETH } from './twentieth';
import { TWELFTH } from './twelfth';

/** Every text with what a person reads from it. */
export const SAMPLES = [
  ...FIRST,
  ...SECOND,
  ...THIRD,
  ...FOURTH,
  ...FIFTH,
  ...SIXTH,
  ...SEVENTH,
  ...EIGHTH,
  ...NINTH,
  ...TENTH,
  ...ELEVENTH,
  ...TWELFTH,
  ...THIRTEENTH,
  ...FOURTEENTH,
  ...FIFTEENTH,
  ...SIXTEENTH,
  ...SEVENTEENTH,
  ...EIGHTEENTH,
  ...NINETEENTH,
  ...TWENTIETH,
  ...TWENTY_FIRST,
  ...TWENTY_SECOND,
  ...TWENTY_THIRD,
  ...TWENTY_FOURTH,
  ...TWENTY_FIFTH,
];
