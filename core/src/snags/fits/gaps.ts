import { type Limit } from '../../geometry/clearance';
import { type PlannedUnit } from '../../machine/units';
import { CLOSE_MM, type Facts, type Gap, type FindingOf, type Sized } from '../finding';
import type { Culprit } from './words';

export const gapMm = (have: number, limit: number): Gap => ({ have, limit, gap: limit - have, unit: 'mm' });

/** A length against its limit: less than none blocks, up to 2 mm cautions. */
export function lengthFinding<F extends Facts>(
  have: number,
  limit: Limit,
  unit: PlannedUnit,
  facts: F,
  host: PlannedUnit,
): FindingOf<Sized<F & Culprit>>[] {
  const gap = gapMm(have, limit.maxMm);
  if (gap.gap > CLOSE_MM) return [];
  return [
    {
      severity: gap.gap < 0 ? 'blocker' : 'caution',
      at: [{ unit: unit.id }],
      gap,
      facts: { ...facts, because: limit.label, culprit: limit.because, host: host.id },
      because: [{ spot: { host: host.id, key: limit.because } }],
    },
  ];
}
