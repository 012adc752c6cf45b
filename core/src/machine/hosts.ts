import type { Layout, Seat, SpotRef } from '../build/layout';
import { printSpot } from '../build/layout';
import type { Slot } from '../parts/boardValues';
import type { PartOf } from '../parts/resolve';
import { isCard, isKind, unitsById, type PlannedUnit } from './units';

const seats = new WeakMap<Layout, ReadonlyMap<string, Seat>>();
/** The seats of a layout by unit; the same layout gives the same map. */
export function seatsOf(layout: Layout): ReadonlyMap<string, Seat> {
  let known = seats.get(layout);
  if (!known) seats.set(layout, (known = new Map(Object.entries(layout.at))));
  return known;
}

/** A host sits in a host at most so deep: drive, adapter, adapter, chassis, floor. */
const DEEPEST = 6;

/** The chassis a unit sits in, through boards and adapters; null while it lies on the table. */
export function chassisAround(
  unitId: string,
  at: ReadonlyMap<string, Seat>,
  units: readonly PlannedUnit[],
): PartOf<'chassis'> | null {
  const unit = boxOf(unitId, at, units);
  return unit && isKind(unit, 'chassis') ? unit.part : null;
}

export const boxOf = (
  unitId: string,
  at: ReadonlyMap<string, Seat>,
  units: readonly PlannedUnit[],
): PlannedUnit | null => boxAmong(unitId, unitsById(units), (unit) => unit.builtIn?.spot ?? at.get(unit.id)?.spot);

export function boxAmong(
  unitId: string,
  byId: ReadonlyMap<string, PlannedUnit>,
  seatOf: (unit: PlannedUnit) => SpotRef | undefined,
): PlannedUnit | null {
  for (let id = unitId, depth = 0; depth < DEEPEST; depth++) {
    const unit = byId.get(id);
    if (!unit) return null;
    if (isKind(unit, 'chassis')) return unit;
    const spot = seatOf(unit);
    if (!spot) return null;
    id = spot.host;
  }
  return null;
}

/** The slot of a board that a card is in, also through a riser; null for what is in none. */
export function boardSlot(
  spot: SpotRef | undefined,
  byId: ReadonlyMap<string, PlannedUnit>,
  seatOf: (unit: PlannedUnit) => SpotRef | undefined,
): {
  readonly board: PlannedUnit & { readonly part: PartOf<'board'> };
  readonly slot: Slot;
  readonly riser: PlannedUnit | null;
} | null {
  const host = spot && byId.get(spot.host);
  const riser = host && isKind(host, 'riser') ? host : null;
  // One riser and no more: what a file says of risers in risers, or in themselves, cables nowhere.
  const under = riser ? seatOf(riser) : spot;
  const board = under && byId.get(under.host);
  if (!board || !isKind(board, 'board')) return null;
  const slot = board.part.slots.find(({ key }) => key === under.key);
  return slot ? { board, slot, riser } : null;
}

/** Slots a thick card lies over besides its own. */
export function coveredBy(card: PlannedUnit, spot: SpotRef, units: readonly PlannedUnit[]): string[] {
  if (!isCard(card.part) || card.part.thickSlots <= 1) return [];
  const board = unitsById(units).get(spot.host);
  if (!board || !isKind(board, 'board')) return [];
  const own = board.part.slots.find((slot) => slot.key === spot.key);
  if (!own) return [];
  const reach = own.position + Math.ceil(card.part.thickSlots) - 1;
  return board.part.slots
    .filter((slot) => slot.position > own.position && slot.position <= reach)
    .map((slot) => printSpot({ host: spot.host, key: slot.key }));
}
