import { z } from 'zod';
import { DRIVE_SIZES, SOUND_MEANINGS, STAGGERS } from './vocabulary';

const watts = z.number().min(0).max(60);
const amps = z.number().min(0).max(10);

/** One step of a start: from `atS`, for `forS` seconds, the current on each rail. */
const spinUpStepSchema = z.strictObject({
  atS: z.number().min(0).max(120),
  forS: z.number().positive().max(120),
  a12: amps,
  a5: amps,
  a33: amps,
});

export const driveValues = z.strictObject({
  medium: z.enum(['disk', 'flash']),
  size: z.enum(DRIVE_SIZES),
  heightMm: z.number().positive().max(45),
  lengthMm: z.number().positive().max(400),
  interface: z.enum(['sata', 'sas', 'nvme', 'usb']),
  gbPerLane: z.number().positive().max(64),
  lanes: z.int().min(1).max(16),
  pcieGen: z.int().min(1).max(6).nullable(),
  capacityBytes: z.number().positive().max(1e15),
  rpm: z.int().positive().max(15_000).nullable(),
  shingled: z.boolean(),
  sectors: z.enum(['512n', '512e', '4Kn', '520']),
  standbyW: watts,
  idleW: watts,
  busyW: watts,
  peakW: watts,
  idle12A: amps,
  idle5A: amps,
  busy12A: amps,
  busy5A: amps,
  spinUp: z.array(spinUpStepSchema).max(12),
  readyS: z.number().min(0).max(120),
  soundIdleDb: z.number().min(0).max(80).nullable(),
  soundSeekDb: z.number().min(0).max(80).nullable(),
  soundMeaning: z.enum(SOUND_MEANINGS),
  sequentialMBps: z.number().positive().max(20_000),
  randomIops: z.number().positive().max(5_000_000),
  ratedBays: z.int().positive().max(200).nullable(),
  annualFailurePct: z.number().positive().max(50),
  unreadablePerBit: z.number().positive().max(1e-9),
  maxC: z.number().min(30).max(110),
  enduranceTb: z.number().positive().nullable(),
  obeysPin3: z.boolean(),
  /** Whether it can wait to be started: by SATA pin 11, power-up in standby, or SAS start by command. */
  staggersStart: z.enum(STAGGERS).optional(),
  powerLossSafe: z.boolean(),
  actuators: z.int().min(1).max(2),
  holes: z.enum(['A', 'B']).nullable(),
});
