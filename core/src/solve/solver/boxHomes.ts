import { memberAt } from '../../lists';
import { passesOn } from '../../links/passOn';
import { boxAmong } from '../../machine/hosts';
import { unitsById, type PlannedUnit } from '../../machine/units';
import type { Cell, DriveClass } from './table';
import type { Wishes } from './wishes';

/**
 * Where drives of a class were before: a box of their own each, drive shelves that can be chained together one. `there`
 * counts them by class and box, `fresh` those that were in none. Null where nothing can leave its box.
 */
export type BoxHomes = {
  /** The box of each cell, -1 for one that no drive came from. */
  readonly boxOf: readonly number[];
  /** By class of drives the box of each, where it was in one. */
  readonly of: readonly ReadonlyMap<string, number>[];
  readonly there: readonly (readonly number[])[];
  readonly fresh: readonly number[];
};

/** The box by which leaving is told; shelves that hand on are one, since their bays may be. */
function homeBoxOf(
  host: string,
  byId: ReadonlyMap<string, PlannedUnit>,
  seatOf: Parameters<typeof boxAmong>[2],
): string | null {
  const box = boxAmong(host, byId, seatOf);
  return box && (passesOn(box) ? 'shelves' : box.id);
}

export function boxHomes(
  units: readonly PlannedUnit[],
  drives: readonly DriveClass[],
  cells: readonly Cell[],
  wishes: Wishes,
): BoxHomes | null {
  const byId = unitsById(units);
  const wasAt = (unit: PlannedUnit) => unit.builtIn?.spot ?? wishes.get(unit.id)?.seat.spot;
  const homes = drives.map(
    (one) =>
      new Map(
        one.units.flatMap(({ id }) => {
          const wish = wishes.get(id);
          const box = wish ? homeBoxOf(wish.seat.spot.host, byId, wasAt) : null;
          return box === null ? [] : [[id as string, box] as const];
        }),
      ),
  );
  const boxes = [...new Set(homes.flatMap((mine) => [...mine.values()]))];
  const boxOf = cells.map(({ box }) => (box === null ? -1 : boxes.indexOf(homeBoxOf(box, byId, wasAt) ?? '')));
  if (boxes.length === 0 || (boxes.length === 1 && boxOf.every((box) => box === 0))) return null;
  return {
    boxOf,
    of: homes.map((mine) => new Map([...mine].map(([id, box]) => [id, boxes.indexOf(box)] as const))),
    there: homes.map((mine) => boxes.map((box) => [...mine.values()].filter((one) => one === box).length)),
    fresh: homes.map((mine, i) => memberAt(drives, i).units.length - mine.size),
  };
}
