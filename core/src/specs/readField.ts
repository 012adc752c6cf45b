/** A field that was read, with the line it was read from (from 1, as it stands there). */
export type ReadField = {
  readonly field: string;
  readonly value: unknown;
  readonly line: number;
  readonly text: string;
};
