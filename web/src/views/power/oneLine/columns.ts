/** The bar of the mains and the UPS on it, px from the left. */
export const BUS_X = 12;
export const UPS_X = 62;
export const UPS_W = 30;
/** Of several UPS each has a riser of its own, so far apart. */
export const RISER_PX = 7;
/** A letter of the drawing's type. */
export const LETTER = 6.7;
const NARROW_PX = 560;

/** Columns from the mains to the plugs, px. */
export type Columns = {
  readonly riserX: number;
  readonly supplyX: number;
  readonly barX: number;
  readonly endX: number;
  /** Too little room for all words. */ readonly isNarrow: boolean;
};

/** Without a UPS what follows moves to the left; the longest name of one is clear of its riser. */
export function columnsOf(width: number, upsNames: readonly string[]): Columns {
  const isNarrow = width < NARROW_PX;
  const longest = Math.max(0, ...upsNames.map((name) => name.length));
  const riserX = Math.max(UPS_X + UPS_W + 12, BUS_X + 14 + longest * LETTER);
  const supplyX = upsNames.length > 0 ? riserX + RISER_PX * upsNames.length + 22 : BUS_X + 50;
  return { riserX, supplyX, barX: supplyX + (isNarrow ? 64 : 150), endX: width - 4, isNarrow };
}
