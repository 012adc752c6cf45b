import { RECKONED } from '../reckon';
import type { Sum, Term } from './program';

export type Level = (typeof RECKONED)[number];

/** What each level counts, as sums that grow while a problem is written down. */
export class Levels {
  private readonly terms = new Map<Level, Term[]>(RECKONED.map((level) => [level, []]));
  private readonly constants = new Map<Level, number>();

  add(level: Level, ...terms: readonly Term[]): void {
    this.terms.get(level)!.push(...terms);
  }
  constant(level: Level, count: number): void {
    this.constants.set(level, (this.constants.get(level) ?? 0) + count);
  }
  inTurn(): Sum[] {
    return RECKONED.map((level) => ({ terms: this.terms.get(level)!, constant: this.constants.get(level) ?? 0 }));
  }
}

export const ones = (variables: readonly number[], factor = 1): Term[] => variables.map((one): Term => [one, factor]);
