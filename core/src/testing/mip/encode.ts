import type { Layout } from '../../build/layout';
import type { Problem } from '../../solve/problem';
import { encodeCables } from './cables';
import { Levels } from './levels';
import { Program, type Sum } from './program';
import { encodeSeats } from './seats';

/**
 * A placement problem as a mixed-integer program, written down unit by unit from
 * docs/decisions/placement.md and from nothing of the solver; `base` says where chassis, boards and
 * what has its own kind of place sit. The sums are the levels in their order.
 */
export function encode(
  { units, owned }: Problem,
  hint: Layout,
  base: Layout['at'],
): { readonly program: Program; readonly levels: readonly Sum[] } {
  const program = new Program();
  const levels = new Levels();
  const seats = encodeSeats(program, levels, units, hint, base);
  encodeCables(program, levels, units, owned ?? new Map(), hint, seats);
  return { program, levels: levels.inTurn() };
}
