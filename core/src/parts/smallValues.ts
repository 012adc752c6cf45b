import { z } from 'zod';
import { someOf } from './someOf';
import { slotSchema } from './boardValues';
import { HANDS, PLUG_KINDS } from './vocabulary';

const watts = z.number().min(0).max(1500);
/** A few small parts draw something: a boot card, a light, a converter. */
const draw = { idleW: watts, busyW: watts, peakW: watts };

/** Turns a slot so that a card lies flat in a low chassis, or lifts it. */
export const riserValues = z.strictObject({
  ...draw,
  lengthMm: z.number().positive().max(1000),
  /** Lanes of the edge it stands on; not judged where none are named. */
  edgeLanes: z.union([z.literal(1), z.literal(4), z.literal(8), z.literal(16)]).optional(),
  /** To which side its cards lie, seen from the front. */
  hand: z.enum(HANDS).optional(),
  slots: someOf(slotSchema, 4),
});

/** One plug into others; the rating is the whole adapter's, in A per rail. */
export const powerAdapterValues = z.strictObject({
  ...draw,
  takes: z.enum(PLUG_KINDS),
  gives: z.array(z.strictObject({ plug: z.enum(PLUG_KINDS), count: z.int().min(1).max(12) })).min(1),
  ratedA: z.number().positive().max(60),
});

/** The bridge of an external box: what it carries really, and whether the host sees each drive. */
export const enclosureValues = z.strictObject({
  ...draw,
  link: z.enum(['usb', 'sas', 'esata']),
  gbPerS: z.number().positive().max(200),
  realMBps: z.number().positive().max(25_000),
  seenAs: z.enum(['each', 'one']),
  largestDriveBytes: z.number().positive().nullable(),
  weakBridge: z.boolean(),
  /** Whether it comes back by itself after losing its power alone. */
  recovers: z.boolean().optional(),
});

export const upsValues = z.strictObject({
  ...draw,
  ratedVa: z.number().positive().max(20_000),
  ratedW: z.number().positive().max(20_000),
  batteryWh: z.number().positive().max(20_000),
  battery: z.enum(['leadAcid', 'lithiumIron']),
  efficiencyPct: z.number().min(50).max(100),
  outlets: z.int().min(1).max(40),
  /** What it gives from its battery: a sine, or steps, which supplies with active correction may not take. */
  waveform: z.enum(['sine', 'stepped']).optional(),
});

const SUNDRY_USES = [
  'coinCell',
  'paste',
  'ioShield',
  'screws',
  'damper',
  'slideRails',
  'rackKit',
  'brickTray',
  'supplyPlate',
  'caddy',
  'headerAdapter',
  'fanSplitter',
  'fanHub',
  'mainsLead',
  'networkCable',
  'transceiver',
  'usbAngle',
  'plugAngle',
  'bootCard',
  'bracket',
  'label',
  'other',
] as const;
export const sundryValues = z.strictObject({
  ...draw,
  use: z.enum(SUNDRY_USES),
  packOf: z.int().min(1).max(1000),
  /** Of a hub for fans: how many it takes, what it carries together, and the plug it is fed by. */
  fans: z.int().min(1).max(12).optional(),
  ratedA: z.number().positive().max(15).optional(),
  plug: z.enum(PLUG_KINDS).optional(),
});
