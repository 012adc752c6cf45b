import { boardInChassis, cardLength, cardSlot, coolerHeight, driveInBay, supplyForm, supplyLength } from './fitsRules';
import { memoryMates, memoryRegistered, memorySlots } from './matesRules';
import { start12V } from './poweredRules';
import { portsShort } from './reachesRules';
import type { Situation } from './situation';
import { placeName, type Finding, type Snag } from './snag';
import { SNAG_CODES, type SnagCode } from './words';
import { soundWithinBrief } from './withinRules';

/** Every rule by the code of what it finds, in the order a builder would deal with them. */
export const RULES: Readonly<Record<SnagCode, (situation: Situation) => Finding[]>> = {
  'fits.boardInChassis': boardInChassis,
  'fits.supplyForm': supplyForm,
  'fits.supplyLength': supplyLength,
  'fits.coolerHeight': coolerHeight,
  'fits.cardLength': cardLength,
  'fits.cardSlot': cardSlot,
  'fits.driveInBay': driveInBay,
  'reaches.portsShort': portsShort,
  'mates.memory': memoryMates,
  'mates.memorySlots': memorySlots,
  'mates.memoryRegistered': memoryRegistered,
  'powered.start12V': start12V,
  'within.sound': soundWithinBrief,
};

const RANK = { blocker: 0, caution: 1, note: 2 } as const;

/** All snags of a situation: blockers first, then in the order of the rules. */
export function findSnags(situation: Situation): Snag[] {
  return SNAG_CODES
    .flatMap((code) => RULES[code](situation).map((finding): Snag => ({ ...finding, code, key: `${code}|${finding.at.map(placeName).sort().join(',')}` })))
    .sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
