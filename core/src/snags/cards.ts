import { boardSlot } from '../machine/hosts';
import { openingAt } from '../geometry/clearance';
import { isCard, unitsById } from '../machine/units';
import { type Part, type PartOf } from '../parts/resolve';
import { type CardUnit } from '../wiring/asked';
import { boxAround, spotOf, type Situation } from './situation';

export const seatedCards = (situation: Situation): CardUnit[] =>
  situation.units.filter((unit): unit is CardUnit => isCard(unit.part) && !!spotOf(situation, unit));

/**
 * Where a card meets the rear wall, also through a riser: its position and the opening there, null where the wall is
 * closed.
 */
export function openingOf(
  situation: Situation,
  unit: CardUnit,
): {
  readonly position: number;
  readonly openings: number;
  readonly height: 'full' | 'low' | null;
  readonly raised: boolean;
  readonly box: PartOf<'chassis'>;
} | null {
  const found = boardSlot(spotOf(situation, unit), unitsById(situation.units), (one) => spotOf(situation, one));
  const box = boxAround(situation, unit);
  if (!found || !box) return null;
  const { position } = found.slot;
  return {
    position,
    openings: box.part.openings.reduce((sum, one) => sum + one.count, 0),
    height: openingAt(box.part, position)?.height ?? null,
    raised: !!found.riser,
    box: box.part,
  };
}

/** Outside ports a card brings: what a wall without an opening takes away. */
export function outsidePorts({ part }: CardUnit): number {
  if (part.kind === 'networkCard') return part.networkPorts.reduce((sum, one) => sum + one.count, 0);
  if (part.kind === 'accelerator') return part.displayOutput ? 1 : 0;
  return part.kind === 'controller' || part.kind === 'expander'
    ? part.connectors.reduce((sum, one) => sum + (one.side === 'outside' ? one.count : 0), 0)
    : 0;
}

/** A card whose outside sockets are what it is for: behind a closed wall it does nothing. */
export const isForOutside = (part: Part): boolean =>
  part.kind === 'networkCard' ||
  ((part.kind === 'controller' || part.kind === 'expander') &&
    part.connectors.length > 0 &&
    part.connectors.every((one) => one.side === 'outside'));
