import { ofKind } from '../place/units';
import type { Situation } from './situation';
import type { Finding } from './snag';

export function start12V(situation: Situation): Finding[] {
  const start = situation.figures['power.start12A'];
  const supply = ofKind(situation.units, 'supply').find((unit) => situation.layout.at[unit.id] || unit.builtIn);
  if (!start || !supply) return [];
  const limit = supply.part.rail12A;
  if (start.hi <= limit) return [];
  const drives = ofKind(situation.units, 'drive').filter((unit) => unit.part.spinUp.some((step) => step.a12 > 0));
  return [{
    severity: start.value > limit ? 'blocker' : 'caution', at: [{ unit: supply.id }, ...drives.map((unit) => ({ unit: unit.id }))],
    gap: { have: start.value, limit, gap: limit - start.value, unit: 'A', lo: start.lo, hi: start.hi },
    facts: { drives: drives.length, supply: supply.part.name },
  }];
}
