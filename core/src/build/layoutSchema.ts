import { z } from 'zod';
import { someOf } from '../parts/someOf';
import { LIMITS } from '../parts/limits';
import { keySchema, unitIdSchema } from '../parts/ids';

const hostSchema = z.string().min(1).max(LIMITS.idCharacters);

/** A place on a unit, or on the floor (`floor/chassis`); `n` counts from 1 where a key repeats. */
export const spotRefSchema = z.strictObject({
  host: hostSchema,
  key: keySchema,
  n: z.int().min(1).max(2000).optional(),
});

export const howSchema = z.enum(['solved', 'put', 'held']);

export const seatSchema = z.strictObject({
  spot: spotRefSchema,
  span: z.int().min(1).max(8).optional(),
  how: howSchema,
});

/**
 * One cable: its host ends towards the processor, its device ends towards the drives. `cable` names
 * the kind of cable wanted, `unit` the cable of the kit that is used.
 */
export const wireSchema = z.strictObject({
  cable: z.string().max(LIMITS.idCharacters),
  unit: unitIdSchema.optional(),
  host: someOf(spotRefSchema, 8),
  device: someOf(spotRefSchema, 8),
  /** For a breakout: the lane (from 1) of the many-lane end that each single end uses. */
  lanes: z.array(z.int().min(1).max(8)).max(8).optional(),
  how: howSchema,
});
export const layoutSchema = z.strictObject({
  at: z.record(z.string(), seatSchema),
  wires: z.array(wireSchema).max(2000),
  plugs: z.array(wireSchema).max(2000),
  /** The mode a board with several is set to; the first of its sheet where none is named. */
  modes: z.record(z.string(), keySchema).optional(),
  /**
   * Put and held places by unit, and cables by their device end (`u2/front-feed.2`), that cannot stand now, with the
   * reason; they wake when they can.
   */
  dormant: z.record(z.string(), z.strictObject({ spot: spotRefSchema, how: howSchema, reason: z.string().max(300) })),
});
