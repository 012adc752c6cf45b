import { mismatch } from './accepts';
import { spotsOf } from './spots';
import { isCard, isKind, isModule, ofKind, type PlannedUnit } from './units';

/**
 * Whether expanders with a plug may stand free: only where fewer slots take one than there are cards. Where slots
 * suffice they are what a builder uses, and the search is spared places that would never be better.
 */
export function wantsAside(units: readonly PlannedUnit[]): boolean {
  const slots = ofKind(units, 'board').flatMap((board) =>
    spotsOf(board.id, board.part).filter(({ type }) => type === 'slot'),
  );
  const cards = units.filter(
    (unit) => !unit.builtIn && (isKind(unit, 'riser') || (isCard(unit.part) && !isModule(unit))),
  );
  return cards.some(
    (unit) =>
      isKind(unit, 'expander') &&
      unit.part.poweredBy !== 'slot' &&
      slots.filter((slot) => !mismatch(unit.part, slot)).length < cards.length,
  );
}
