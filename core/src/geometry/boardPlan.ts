import { memberAt } from '../lists';
import { FULL_HEIGHT_CARD_MM, LOW_PROFILE_CARD_MM, M2_WIDTH_MM, SLOT_PITCH_MM } from '../parts/geometry';
import type { Slot } from '../parts/boardValues';
import type { PartOf } from '../parts/resolve';
import { slotU } from './chassisPlan';
import type { CardPart } from '../machine/units';

type Along = { readonly uMm: number; readonly vMm: number; readonly wMm: number };
/** A box in the frame of a board; `assumed` where its sheet gives no position. */
export type BoardPlace = { readonly from: Along; readonly size: Along; readonly assumed: boolean };
type Board = PartOf<'board'>;

export const SOCKET_MM = 45;
/** A module standing in its slot: its length and how far it stands off the board (JEDEC MO-268, MO-309). */
const MEMORY_MM = { dimm: { uMm: 133, wMm: 31 }, 'so-dimm': { uMm: 69.6, wMm: 30 } } as const;
const MEMORY_PITCH_MM = 9;

export const socketMiddle = (board: Board): { readonly uMm: number; readonly vMm: number } =>
  board.socketAt ?? { uMm: Math.min(80, board.edgeMm / 2), vMm: Math.min(95, board.depthMm / 2) };

export function memoryPlace(board: Board, n: number): BoardPlace {
  const stick = MEMORY_MM[board.memoryForm];
  const first = board.memoryAt ?? {
    uMm: Math.min(8, Math.max(0, board.edgeMm - stick.uMm)),
    vMm: socketMiddle(board).vMm + 48,
  };
  return {
    from: { uMm: first.uMm, vMm: Math.min(board.depthMm - 8, first.vMm + (n - 1) * MEMORY_PITCH_MM), wMm: 0 },
    size: { uMm: Math.min(stick.uMm, board.edgeMm), vMm: 6, wMm: stick.wMm },
    assumed: !board.memoryAt,
  };
}

/**
 * A socket of a module so long; a class's place for its sockets may lie past a smaller board's edge, and is then not
 * taken.
 */
export function m2Place(board: Board, i: number, lengthMm: number): BoardPlace {
  const { at } = memberAt(board.m2Sockets, i);
  const within = at && at.uMm + lengthMm <= board.edgeMm && at.vMm + M2_WIDTH_MM <= board.depthMm ? at : undefined;
  const along = within ?? {
    uMm: Math.min(board.edgeMm - lengthMm - 4, 60),
    vMm: Math.min(board.depthMm - M2_WIDTH_MM - 4, 12 + i * 28),
  };
  return { from: { ...along, wMm: 0 }, size: { uMm: lengthMm, vMm: M2_WIDTH_MM, wMm: 4 }, assumed: !within };
}

const middleU = (board: Board, slot: Slot): number => Math.min(slotU(slot.position), board.edgeMm - 8);
const SLOT_LENGTH_MM = { 1: 25, 4: 39, 8: 56, 16: 89 } as const;

export const slotPlace = (board: Board, slot: Slot): BoardPlace => ({
  from: { uMm: middleU(board, slot) - 4, vMm: 46, wMm: 0 },
  size: { uMm: 8, vMm: Math.min(SLOT_LENGTH_MM[slot.lanes], board.depthMm - 46), wMm: 11 },
  assumed: false,
});

/** A riser lifts a card so far over the board: past the sockets that stand there. */
const RISER_LIFT_MM = 14;
const CARD_THICK_MM = 14;

/**
 * A riser standing in a slot with so many slots one over the other, and what lies in its n-th: away from the outside
 * sockets, or over them.
 */
export const riserPlace = (board: Board, slot: Slot, slots: number): BoardPlace => ({
  from: { uMm: middleU(board, slot) - 4, vMm: 46, wMm: 0 },
  size: { uMm: 8, vMm: SLOT_LENGTH_MM[slot.lanes], wMm: RISER_LIFT_MM + slots * SLOT_PITCH_MM - 4 },
  assumed: true,
});
export function onRiserPlace(
  board: Board,
  slot: Slot,
  n: number,
  raised: Slot,
  card: CardPart | null,
  towardsSockets: boolean,
): BoardPlace {
  const size = card
    ? { uMm: heightOf(card), vMm: card.lengthMm, wMm: CARD_THICK_MM }
    : { uMm: 11, vMm: SLOT_LENGTH_MM[raised.lanes], wMm: 8 };
  const uMm = towardsSockets ? middleU(board, slot) - 4 - size.uMm : middleU(board, slot) + 4;
  return { from: { uMm, vMm: card ? 0 : 46, wMm: RISER_LIFT_MM + (n - 1) * SLOT_PITCH_MM }, size, assumed: true };
}
const heightOf = (card: CardPart): number => (card.height === 'full' ? FULL_HEIGHT_CARD_MM : LOW_PROFILE_CARD_MM);

/** A card standing in a slot. */
export const cardPlace = (board: Board, slot: Slot, card: CardPart): BoardPlace => ({
  from: { uMm: middleU(board, slot) - 7, vMm: 0, wMm: 4 },
  size: { uMm: CARD_THICK_MM + (card.thickSlots - 1) * SLOT_PITCH_MM, vMm: card.lengthMm, wMm: heightOf(card) },
  assumed: false,
});
