import { plainAt } from '../../lists';
import { cableKindById } from '../../links/cableKinds';

/**
 * How good a layout is, smallest first, packed into three whole numbers that are compared in turn.
 * `a` counts units without a place (data drives, boot drives, cards, others), then drives without a
 * cable (data, boot, others). `b` holds puts broken, units that mate but do not fit, MB/s lost and boot
 * drives off the board; `c` hot neighbours, drives taken to another box, cables to buy, moves and cables
 * partly used. Scores of independent choices add up.
 */
export type Score = { readonly a: number; readonly b: number; readonly c: number };

export const DATA_OUT = 2 ** 44;
export const BOOT_OUT = 2 ** 40;
export const CARD_OUT = 2 ** 35;
export const REST_OUT = 2 ** 27;
export const DATA_LOOSE = 2 ** 18;
export const BOOT_LOOSE = 2 ** 14;
export const REST_LOOSE = 2 ** 6;

export const PUT_BROKEN = 2 ** 45;
export const MISFIT = 2 ** 39;
export const MB_LOST = 2 ** 9;
export const BOOT_OFF_BOARD = 1;

export const HOT_PAIR = 2 ** 44;
export const OTHER_BOX = 2 ** 34;
export const CABLE_TO_BUY = 2 ** 23;
export const MOVE = 2 ** 11;
export const PARTLY_USED = 1;

export const ZERO: Score = { a: 0, b: 0, c: 0 };
export const plus = (one: Score, other: Score): Score => ({
  a: one.a + other.a,
  b: one.b + other.b,
  c: one.c + other.c,
});
/** Negative when `one` is the better. */
export const compare = (one: Score, other: Score): number => one.a - other.a || one.b - other.b || one.c - other.c;

/** The levels a score is packed from, in the order they are compared: what another solver is held against. */
export const LEVELS = [
  'dataOut',
  'bootOut',
  'cardsOut',
  'restOut',
  'dataLoose',
  'bootLoose',
  'restLoose',
  'putsBroken',
  'misfits',
  'mbLost',
  'bootOffBoard',
  'hotPairs',
  'otherBox',
  'cablesToBuy',
  'moves',
  'partlyUsed',
] as const;
export function levelsOf({ a, b, c }: Score): number[] {
  const digits = (value: number, ...units: readonly number[]) =>
    units.map((unit, i) => Math.floor((i === 0 ? value : value % plainAt(units, i - 1)) / unit));
  return [
    ...digits(a, DATA_OUT, BOOT_OUT, CARD_OUT, REST_OUT, DATA_LOOSE, BOOT_LOOSE, REST_LOOSE),
    ...digits(b, PUT_BROKEN, MISFIT, MB_LOST, BOOT_OFF_BOARD),
    ...digits(c, HOT_PAIR, OTHER_BOX, CABLE_TO_BUY, MOVE, PARTLY_USED),
  ];
}

/**
 * What a cable to buy counts: a breakout as two, since it is dearer and its tails want routing, and so does one through
 * a bracket. So a backplane is fed straight where it can be.
 */
export const burdenOf = (cable: string): number =>
  cable.startsWith('straight') && !cableKindById(cable)?.bracketAt ? 1 : 2;
