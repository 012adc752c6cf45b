import { boardSlot, seatsOf } from '../../machine/hosts';
import { isCard, seatSpot, unitsById, type CardPart, type PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';

type Card = PlannedUnit & { readonly part: CardPart };

/** Cards in the slots right beside one on the same board, which share the gap its heat sink looks into. */
export type Neighbours = ReadonlyMap<PlannedUnit, readonly Card[]>;

/** The neighbours of every card that is in a slot of a board; lists of those that have none are empty. */
export function neighboursOf({ running, units, layout }: FigureContext): Neighbours {
  const byId = unitsById(units);
  const seats = seatsOf(layout);
  const places = running.flatMap((unit) => {
    if (!isCard(unit.part)) return [];
    const found = boardSlot(seatSpot(layout, unit), byId, (other) => seats.get(other.id)?.spot);
    // On a riser cards lie in a row of their own, which no sheet gives the place of.
    if (!found || found.riser) return [];
    const from = found.slot.position;
    return [
      { card: unit as Card, board: found.board, from, to: from + Math.max(1, Math.ceil(unit.part.thickSlots)) - 1 },
    ];
  });
  return new Map(
    places.map((one) => [
      one.card,
      places.flatMap((other) =>
        other.board === one.board && (other.from === one.to + 1 || other.to === one.from - 1) ? [other.card] : [],
      ),
    ]),
  );
}

/** Between two cards in slots side by side: 20.3 mm (slot pitch of the bus's card standard) by the height of a card. */
const GAP_M2 = 0.0203 * 0.1;
/** Half of a card's heat goes into the gap on either side, and half of that reaches the other card's heat sink. */
const REACHES = 0.25;
/** What a card with fans of its own blows out through its bracket heats nobody. */
const MOST_W = 40;

/** K the air at a card is warmer by W of its neighbours, at m/s: their share carried by the air in the gap. */
export const neighbourK = (watts: readonly number[], mPerS: number): number =>
  (2.985 * REACHES * watts.reduce((sum, one) => sum + Math.min(one, MOST_W), 0)) /
  (Math.max(0.2, mPerS) * GAP_M2 * 3600);
