import { unitById, type Situation } from './situation';
import type { Finding } from './snag';

export function portsShort(situation: Situation): Finding[] {
  const { outcome } = situation;
  const seatedBoard = situation.units.some((unit) => unit.part.kind === 'board' && situation.layout.at[unit.id]);
  if (outcome.unconnected.length === 0 || !seatedBoard) return [];
  const fact = (kind: string) => outcome.conflict?.filter((one) => one.kind === kind) ?? [];
  const drives = fact('drives')[0]?.count ?? 0;
  const ports = fact('ports')[0]?.count ?? 0;
  const off = fact('portsOff');
  const culprits = off.flatMap((one) => one.units);
  const kinds = new Set(outcome.unconnected.map((unit) => (unit.part.kind === 'drive' ? unit.part.interface : '')));
  const kind = ports >= drives ? `${[...kinds].map((one) => (one === 'nvme' ? 'NVMe' : one.toUpperCase())).join(' and ')} drives find none of their kind left.` : '';
  return [{
    severity: 'blocker',
    at: outcome.unconnected.flatMap((unit) => { const spot = situation.layout.at[unit.id]?.spot; return spot ? [{ unit: unit.id }, { spot }] : [{ unit: unit.id }]; }),
    gap: { have: ports, limit: drives, gap: -outcome.unconnected.length, unit: 'ports' },
    facts: { drives, ports, without: outcome.unconnected.length, culprit: culprits.map((id) => unitById(situation, id)?.part.name ?? id).join(' and '), off: off.reduce((sum, one) => sum + one.count, 0), kind },
    because: culprits.map((unit) => ({ unit })),
  }];
}
