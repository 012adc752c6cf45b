import { isCard, type PlannedUnit } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { Part } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import { swaps } from '../guesses';
import type { Base } from '../weigh';
import { doesAsMuch } from './fits';
import { movesAsMuch } from './otherFans';

/** Whether one part may stand in for another of its kind, before everything else is weighed. */
function isEqual(other: Part, now: Part): boolean {
  if (other.kind === 'drive' && now.kind === 'drive')
    return (
      other.size === now.size &&
      other.interface === now.interface &&
      other.medium === now.medium &&
      other.capacityBytes >= now.capacityBytes
    );
  if (other.kind === 'memory' && now.kind === 'memory')
    return (
      other.form === now.form &&
      other.type === now.type &&
      other.registered === now.registered &&
      (other.ecc || !now.ecc) &&
      other.capacityBytes === now.capacityBytes
    );
  if (other.kind === 'processor' && now.kind === 'processor')
    return other.socket === now.socket && other.cores >= now.cores && (other.graphics || !now.graphics);
  if (other.kind === 'board' && now.kind === 'board')
    return other.socket === now.socket && other.memoryType === now.memoryType && other.holes === now.holes;
  if (other.kind === 'supply' && now.kind === 'supply')
    return other.form === now.form && other.ratedW >= now.ratedW && other.modules >= now.modules;
  if (other.kind === 'cooler' && now.kind === 'cooler') return other.carriesW >= now.carriesW;
  if (other.kind === 'fan' && now.kind === 'fan') return other.sizeMm === now.sizeMm && movesAsMuch(other, now);
  return isCard(other) && other.kind === now.kind && doesAsMuch(other, now);
}

/** Parts that are sold still and can do what one does that is not; what they change in the machine is weighed. */
export const equals = (base: Base, unit: PlannedUnit | undefined, catalogue: Catalogue): Proposal[] =>
  unit
    ? swaps(
        base,
        catalogue,
        unit,
        unit.part.kind,
        (part) => part.sheet.soldUntilYear === undefined && isEqual(part, unit.part),
      )
    : [];
