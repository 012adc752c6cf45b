import { factOf, type Fact, type PartOf } from './resolve';
import { rangeOf } from './tolerances';

/**
 * What a processor draws for minutes on end, W: its own figure, or where its sheet has none its busy one, then as a
 * typical value.
 */
export function sustainedW(part: PartOf<'processor'>): Fact {
  if (part.sustainedW !== undefined) return factOf(part, 'sustainedW');
  const { lo, hi } = rangeOf('busyW', part.busyW, 'typical', true);
  return { ...factOf(part, 'busyW'), basis: 'typical', lo, hi };
}
