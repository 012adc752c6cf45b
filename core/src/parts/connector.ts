import { z } from 'zod';
import { someOf } from './someOf';
import { keySchema } from './ids';
import { CONNECTOR_KINDS, PLUG_KINDS, PROTOCOLS } from './vocabulary';

/**
 * One kind of data connector for board ports, controller ports, backplane connectors, expander
 * uplinks and drives. `count` identical ones share a key; `via` names the key it hangs behind.
 */
export const connectorSchema = z.strictObject({
  key: keySchema,
  label: z.string().max(60).optional(),
  count: z.int().min(1).max(64),
  kind: z.enum(CONNECTOR_KINDS),
  lanes: z.int().min(1).max(16),
  carries: someOf(z.enum(PROTOCOLS)),
  gbPerLane: z.number().positive().max(64),
  role: z.enum(['host', 'device', 'either']),
  side: z.enum(['inside', 'outside']),
  via: keySchema.optional(),
});
export type Connector = z.infer<typeof connectorSchema>;

/** One end of a cable: forward and reverse breakouts differ only in the roles of their ends. */
export const cableEndSchema = z.strictObject({
  kind: z.enum(CONNECTOR_KINDS),
  tails: z.int().min(1).max(8),
  lanesPerTail: z.int().min(1).max(8),
  role: z.enum(['host', 'device', 'either']),
});

/** Power inputs of a board, backplane or card, by plug and count. */
export const powerInputSchema = z.strictObject({ plug: z.enum(PLUG_KINDS), count: z.int().min(1).max(16) });

/** One supply cable: a chain of plugs on one wire gauge (American wire gauge number). */
export const supplyCableSchema = z.strictObject({
  key: keySchema,
  count: z.int().min(1).max(24),
  plugs: z.array(z.strictObject({ plug: z.enum(PLUG_KINDS), count: z.int().min(1).max(12) })).min(1),
  lengthMm: z.number().positive().max(2000),
  gaugeAwg: z.int().min(14).max(24),
});
