import { z } from 'zod';
import { someOf } from './someOf';
import { cableEndSchema, supplyCableSchema } from './connector';
import { EFFICIENCY_CLASSES, PROTOCOLS, SOUND_MEANINGS, SUPPLY_FORMS } from './vocabulary';

const amps = z.number().min(0).max(200);
const duty = z.number().min(0).max(1);

export const supplyValues = z.strictObject({
  form: z.enum(SUPPLY_FORMS),
  lengthMm: z.number().positive().max(400),
  ratedW: z.number().positive().max(4000),
  /** What it gives on mains of 100 to 127 V, where that is less. */
  ratedW115: z.number().positive().max(4000).optional(),
  rail12A: amps,
  rail5A: amps,
  rail33A: amps,
  combined5And33W: z.number().min(0).max(500),
  efficiencyClass: z.enum(EFFICIENCY_CLASSES),
  /** Load as a share of rated W, efficiency in percent. */
  efficiency: z
    .array(z.strictObject({ load: z.number().positive().max(1.2), pct: z.number().min(30).max(99.5) }))
    .min(1)
    .max(12),
  noLoadLossW: z.number().min(0).max(100).nullable(),
  modules: z.int().min(1).max(4),
  /** Of its modules, those that rest, powered, until another fails. */
  restingModules: z.int().min(0).max(3).optional(),
  cables: z.array(supplyCableSchema).max(24),
  modular: z.boolean(),
  /** Sound against load; between points the level runs straight. */
  sound: z.array(z.strictObject({ load: z.number().min(0).max(1.2), db: z.number().min(0).max(80) })).max(12),
  soundMeaning: z.enum(SOUND_MEANINGS),
  fanStopsBelowLoad: duty.nullable(),
  powerFactorFull: z.number().min(0.3).max(1),
  powerFactorLow: z.number().min(0.3).max(1),
  /** What a brick gives at its plug, V; the plug it has, or that a converter takes, such as `5.5 × 2.5`. */
  outV: z.number().positive().max(60).optional(),
  dcPlug: z.string().min(1).max(40).optional(),
  /** Volts a converter takes from its brick, and whether it hands 12 V through as they come. */
  dcMinV: z.number().positive().max(60).nullable().optional(),
  dcMaxV: z.number().positive().max(60).nullable().optional(),
  twelveThrough: z.boolean().optional(),
});

export const fanValues = z.strictObject({
  sizeMm: z.int().min(20).max(240),
  thickMm: z.number().positive().max(60),
  minRpm: z.number().min(0).max(30_000),
  maxRpm: z.number().positive().max(30_000),
  /** Share of full rpm at a duty; duty is not rpm share. */
  curve: z
    .array(z.strictObject({ duty, rpmShare: duty }))
    .min(2)
    .max(12),
  startDuty: duty,
  flowM3h: z.number().positive().max(2000),
  pressurePa: z.number().positive().max(2000),
  soundDb: z.number().min(0).max(90),
  soundFloorDb: z.number().min(0).max(40),
  soundMeaning: z.enum(SOUND_MEANINGS),
  pwm: z.boolean(),
  maxW: z.number().positive().max(80),
});

export const cableValues = z.strictObject({
  ends: z.tuple([cableEndSchema, cableEndSchema]),
  lengthMm: z.number().positive().max(12_000),
  carries: someOf(z.enum(PROTOCOLS)),
  maxTotalMm: z.number().positive().max(20_000).nullable(),
});
