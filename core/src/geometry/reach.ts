import type { Layout } from '../build/layout';
import { boardSlot, boxAmong, coveredBy } from '../machine/hosts';
import { limitFor } from './clearance';
import { cardReachMm, isCard, isKind, seatSpot, unitsById, type PlannedUnit } from '../machine/units';

/**
 * How far a seated card or cooler reaches against the least of what limits it, mm; negative `gapMm` is missing room.
 */
export type Reach = {
  readonly unit: string;
  readonly what: 'card' | 'cooler';
  readonly haveMm: number;
  readonly limitMm: number;
  readonly gapMm: number;
  readonly because: string;
  readonly label: string;
};

/** Every card in a slot of a board or on a riser and every cooler, with the room it has and what ends it. */
export function reaches(units: readonly PlannedUnit[], layout: Layout): Reach[] {
  const byId = unitsById(units);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  return units.flatMap((unit): Reach[] => {
    const spot = seatOf(unit);
    const what = isKind(unit, 'cooler') ? 'cooler' : isCard(unit.part) ? 'card' : null;
    const box = spot && what ? boxAmong(spot.host, byId, seatOf) : null;
    const found = what === 'card' ? boardSlot(spot, byId, seatOf) : null;
    if (!box || !what || !isKind(box, 'chassis') || (what === 'card' && !found)) return [];
    const occupied = new Set(
      Object.values(layout.at)
        .filter((seat) => seat.spot.host === box.id)
        .map((seat) => seat.spot.key),
    );
    const limit = limitFor(box.part, what, { occupied, ...(found ? { slot: found.slot.position } : {}) });
    const haveMm = isKind(unit, 'cooler') ? unit.part.heightMm : isCard(unit.part) ? cardReachMm(unit.part) : 0;
    return limit
      ? [
          {
            unit: unit.id,
            what,
            haveMm,
            limitMm: limit.maxMm,
            gapMm: Math.round((limit.maxMm - haveMm) * 10) / 10,
            because: limit.because,
            label: limit.label,
          },
        ]
      : [];
  });
}

/** Slots that a thick card lies over: nothing else goes in. */
export const coveredSlots = (units: readonly PlannedUnit[], layout: Layout): ReadonlySet<string> =>
  new Set(
    units.flatMap((unit) => {
      const spot = layout.at[unit.id]?.spot;
      return spot ? coveredBy(unit, spot, units) : [];
    }),
  );
