import { soundSources } from '../figures/sound/ear';
import { Ledger } from '../figures/quantity';
import type { Situation } from './situation';
import type { Finding } from './snag';

export function soundWithinBrief(situation: Situation): Finding[] {
  const wish = situation.brief.earDb;
  const sound = situation.figures['sound.earIdleDb'];
  if (wish === undefined || !sound || sound.hi <= wish) return [];
  // Where even the likely value keeps the wish, only the bad end passes it: that alone is not worth a tag below half a decibel.
  if (sound.value <= wish && sound.hi - wish < 0.5) return [];
  const loudest = soundSources(situation.context, new Ledger(false)).sort((a, b) => b.power.value - a.power.value)[0];
  return [{
    severity: sound.value > wish ? 'caution' : 'note', at: (loudest?.units ?? []).map((unit) => ({ unit: unit.id })),
    gap: { have: sound.value, limit: wish, gap: wish - sound.value, unit: 'dB(A)', lo: sound.lo, hi: sound.hi },
    facts: { loudest: loudest ? `${loudest.units.length > 1 ? `${loudest.units.length} × ` : ''}${loudest.label}` : 'the machine' },
  }];
}
