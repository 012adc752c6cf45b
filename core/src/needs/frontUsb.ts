import type { Layout } from '../build/layout';
import { boxOf, seatsOf } from '../machine/hosts';
import { isKind, ofKind, type PlannedUnit, type UnitOf } from '../machine/units';

/** A USB socket in front of a chassis, and whether the board has a header for it: each header serves one. */
export type FrontUsb = {
  readonly chassis: UnitOf<'chassis'>;
  readonly board: UnitOf<'board'>;
  readonly kind: UnitOf<'chassis'>['part']['frontUsb'][number];
  readonly hasHeader: boolean;
};

/** Every front socket of the boxes that have a board. */
export function frontUsb(units: readonly PlannedUnit[], layout: Layout): FrontUsb[] {
  const seats = seatsOf(layout);
  return ofKind(units, 'board').flatMap((board) => {
    const box = boxOf(board.id, seats, units);
    if (!box || !isKind(box, 'chassis')) return [];
    const left = board.part.usbInside.flatMap((one) => Array<string>(one.count).fill(one.kind));
    return box.part.frontUsb.map((kind): FrontUsb => {
      const at = left.indexOf(kind);
      if (at >= 0) left.splice(at, 1);
      return { chassis: box, board, kind, hasHeader: at >= 0 };
    });
  });
}

/** Those without a header, of boards that were put in; a box that comes with its board is made for it. */
export const missingFrontUsb = (units: readonly PlannedUnit[], layout: Layout): FrontUsb[] =>
  frontUsb(units, layout).filter(({ board, hasHeader }) => !hasHeader && layout.at[board.id] !== undefined);
