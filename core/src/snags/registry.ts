import { FITS } from './fits';
import { REACHES } from './reaches';
import { MATES } from './mates';
import { COMPLETE } from './complete';
import { POWERED } from './powered';
import { COOLED } from './cooled';
import { LASTS } from './lasts';
import { WITHIN } from './within';
import type { Situation } from './situation';
import { GRAVITY, type Finding } from './finding';
import { placeName, type Snag } from './snag';
import { SNAG_CODES, type Found, type SnagCode } from './words';

/** Every rule by the code of what it finds, in the order a builder would deal with them. */
export const RULES: { readonly [C in SnagCode]: (situation: Situation) => Found<C>[] } = {
  ...FITS,
  ...REACHES,
  ...MATES,
  ...COMPLETE,
  ...POWERED,
  ...COOLED,
  ...LASTS,
  ...WITHIN,
};

/** All snags of a situation: blockers first, then in the order of the rules. */
export function findSnags(situation: Situation): Snag[] {
  const seen = new Map<string, number>();
  const keyOf = (code: SnagCode, finding: Finding<unknown>): string => {
    const key = `${code}|${finding.at.map(placeName).sort().join(',')}`;
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    // Two troubles of one rule about the same part, such as too deep and too wide, are told apart.
    return times > 1 ? `${key}#${times}` : key;
  };
  // A rule finds what its code says: the table of rules holds the two together.
  return SNAG_CODES.flatMap((code) =>
    RULES[code](situation).map((finding) => ({ ...finding, code, key: keyOf(code, finding) }) as Snag),
  ).sort((a, b) => GRAVITY[a.severity] - GRAVITY[b.severity]);
}
