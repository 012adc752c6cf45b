import { mismatch } from '../place/mates';
import { spotsOf } from '../place/spots';
import { ofKind, type PlannedUnit } from '../place/units';
import { boardsOf, spotOf, unplacedOf, type Situation } from './situation';
import type { Finding } from './snag';

const FORM = { dimm: 'DIMM', 'so-dimm': 'SO-DIMM' } as const;

export function memoryMates(situation: Situation): Finding[] {
  const board = boardsOf(situation)[0];
  if (!board) return [];
  const { part } = board;
  return byPart(unplacedOf(situation, 'memory')).flatMap((units): Finding[] => {
    const memory = units[0]!.part;
    const bank = spotsOf(board.id, part).find((spot) => spot.type === 'memoryBank');
    if (memory.kind !== 'memory' || (bank && !mismatch(memory, bank))) return [];
    return [{
      severity: 'blocker', at: units.map((unit) => ({ unit: unit.id })), because: [{ unit: board.id }],
      facts: { memory: memory.name, board: part.name, have: `${memory.type.toUpperCase()} ${FORM[memory.form]}`, want: bank ? `${part.memoryType.toUpperCase()} ${FORM[part.memoryForm]}` : 'no modules' },
    }];
  });
}

export function memorySlots(situation: Situation): Finding[] {
  const board = boardsOf(situation).find((unit) => situation.layout.at[unit.id]);
  const bank = board && spotsOf(board.id, board.part).find((spot) => spot.type === 'memoryBank');
  if (!board || !bank) return [];
  const loose = unplacedOf(situation, 'memory').filter((unit) => !mismatch(unit.part, bank));
  return loose.length ? [{ severity: 'blocker', at: loose.map((unit) => ({ unit: unit.id })), facts: { count: loose.length, board: board.part.name, slots: board.part.memorySlots } }] : [];
}

export function memoryRegistered(situation: Situation): Finding[] {
  return byPart(ofKind(situation.units, 'memory')).flatMap((units): Finding[] => {
    const memory = units[0]!.part;
    const host = spotOf(situation, units[0]!)?.host;
    const board = boardsOf(situation).find((unit) => unit.id === host);
    if (memory.kind !== 'memory' || !board) return [];
    const wrong = memory.registered ? board.part.memoryRegistered === 'never' : board.part.memoryRegistered === 'must';
    if (!wrong) return [];
    const words = (registered: boolean) => (registered ? 'registered' : 'unbuffered');
    return [{ severity: 'blocker', at: units.map((unit) => ({ unit: unit.id })), because: [{ unit: board.id }], facts: { memory: memory.name, board: board.part.name, have: words(memory.registered), want: words(!memory.registered) } }];
  });
}

function byPart<T extends PlannedUnit>(units: readonly T[]): T[][] {
  const groups = new Map<string, T[]>();
  for (const unit of units) groups.set(unit.part.id, [...(groups.get(unit.part.id) ?? []), unit]);
  return [...groups.values()];
}
