/** What filling a cable costs: the levels after the first, two or three to a number where they have room in it. */
export type Cost = { readonly broken: number; readonly over: number; readonly near: number; readonly rest: number };
const ROOM = 1e7;
const FEW = 1e4;

export const costFrom = (of: {
  readonly broken: number;
  readonly startOver: number;
  readonly runOver: number;
  readonly near: number;
  readonly splitters: number;
  readonly pastFour: number;
  readonly moves: number;
  readonly cables: number;
}): Cost => ({
  broken: of.broken,
  over: of.startOver * ROOM + of.runOver,
  near: of.near * FEW + of.splitters,
  rest: (of.pastFour * FEW + of.moves) * FEW + of.cables,
});

export const compare = (one: Cost, other: Cost): number =>
  one.broken - other.broken || one.over - other.over || one.near - other.near || one.rest - other.rest;

/** The levels in their order, less the first, which is of what has no plug. */
export const levelsOf = ({ broken, over, near, rest }: Cost): number[] => [
  broken,
  Math.floor(over / ROOM),
  over % ROOM,
  Math.floor(near / FEW),
  near % FEW,
  Math.floor(rest / FEW / FEW),
  Math.floor(rest / FEW) % FEW,
  rest % FEW,
];

export const milli = (value: number) => Math.round(value * 1000);
/** mA past a limit; what rounding leaves is none. */
export const past = (amps: number, limitA: number): number => Math.max(0, milli(amps) - milli(limitA));
export const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
