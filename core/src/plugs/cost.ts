/** What a way of filling a cable costs: levels two or three to a number, with room for ten thousand A and cables. */
export type Cost = { readonly broken: number; readonly over: number; readonly rest: number };
const ROOM = 1e7;
const CABLES = 1e4;

export const costFrom = (of: {
  readonly broken: number;
  readonly startOver: number;
  readonly runOver: number;
  readonly splitters: number;
  readonly pastFour: number;
  readonly cables: number;
}): Cost => ({
  broken: of.broken,
  over: of.startOver * ROOM + of.runOver,
  rest: (of.splitters * ROOM + of.pastFour) * CABLES + of.cables,
});

export const compare = (one: Cost, other: Cost): number =>
  one.broken - other.broken || one.over - other.over || one.rest - other.rest;

/** The levels in their order, less the first, which is of what has no plug. */
export const levelsOf = ({ broken, over, rest }: Cost): number[] => [
  broken,
  Math.floor(over / ROOM),
  over % ROOM,
  Math.floor(rest / CABLES / ROOM),
  Math.floor(rest / CABLES) % ROOM,
  rest % CABLES,
];

export const milli = (value: number) => Math.round(value * 1000);
/** mA past a limit; what rounding leaves is none. */
export const past = (amps: number, limitA: number): number => Math.max(0, milli(amps) - milli(limitA));
export const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
