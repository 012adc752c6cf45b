import { z } from 'zod';
import { someOf } from '../parts/someOf';
import { itemIdSchema, keySchema, sheetIdSchema, unitIdSchema } from '../parts/ids';
import { archetypeSchema, moneySchema, sheetSchema } from '../parts/sheet';
import { HOUR_STATES, STATES } from './states';
import { FORMAT } from './upgrades/upgrade';
import { effectSchema } from '../parts/chassisValues';
import { layoutSchema } from './layoutSchema';
import { LIMITS } from '../parts/limits';

const text = z.string().max(LIMITS.nameCharacters);
const positive = z.number().positive().max(1e9);
const isoDate = z.iso.date();
const share = z.number().min(0).max(1);

const priceSchema = z.strictObject({
  ...moneySchema.shape,
  per: z.enum(['unit', 'item']),
  shippingMinor: z.int().min(0).optional(),
  taxIncluded: z.boolean(),
  taxPct: z.number().min(0).max(100).optional(),
  at: isoDate.optional(),
  from: text.optional(),
  /** Of whom it is bought, and what speaks for it. */ seller: z.enum(['shop', 'private']).optional(),
  tested: z.boolean().optional(),
  /** It may not be what it says it is. */ doubtful: z.boolean().optional(),
  deliveryDays: z.int().min(0).max(365).optional(),
  warrantyMonths: z.int().min(0).max(240).optional(),
});
export type Price = z.infer<typeof priceSchema>;

export const ROLES = ['data', 'boot', 'cache', 'log', 'meta', 'scratch', 'spare', 'leaving'] as const;
export const unitSchema = z.strictObject({
  id: unitIdSchema,
  mark: z.string().regex(/^[A-Z]{1,3}\d{1,4}$/),
  role: z.enum(ROLES).optional(),
});
export type Unit = z.infer<typeof unitSchema>;

/** What is bought or owned together; `count` is for things never placed (screws, paste). */
export const itemSchema = z.strictObject({
  id: itemIdSchema,
  sheet: sheetIdSchema,
  units: someOf(unitSchema, LIMITS.units),
  count: z.int().min(1).max(10_000).optional(),
  stage: z.int().min(0).max(50),
  deal: z.enum(['buy', 'owned']),
  price: priceSchema.optional(),
  /** What else it was offered for, beside the price that counts. */
  offers: z.array(priceSchema).max(LIMITS.offers).optional(),
  bundle: text.optional(),
  year: z.int().min(1980).max(2100).optional(),
  hours: z.number().min(0).max(1e6).optional(),
  condition: z.enum(['new', 'good', 'worn', 'doubtful']).optional(),
  stockId: text.optional(),
});
export type Item = z.infer<typeof itemSchema>;

export const changeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ id: text, kind: z.literal('option'), host: unitIdSchema, key: keySchema }),
  z.strictObject({
    id: text,
    kind: z.literal('mod'),
    host: unitIdSchema,
    title: text.min(1),
    effects: z.array(effectSchema).min(1).max(20),
  }),
]);
export type Change = z.infer<typeof changeSchema>;

const featureSchema = z.enum([
  'ecc',
  'hotSwap',
  'remoteManagement',
  'allFlash',
  'fanless',
  'shingled',
  'usbDrives',
  'wornParts',
]);
/** What is to run beside the files: GB it takes, cores it keeps busy on average, whether it may never stand still. */
const serviceSchema = z.strictObject({
  name: z.string().min(1).max(80),
  memoryGb: z.number().min(0).max(8192).optional(),
  cores: z.number().min(0).max(512).optional(),
  alwaysOn: z.boolean().optional(),
  level: z.enum(['must', 'nice']),
});
export type Service = z.infer<typeof serviceSchema>;
/** Wishes are goals to reach, limits are not to be passed. Every one is optional. */
export const briefSchema = z.strictObject({
  purpose: z.string().max(2000).optional(),
  usableTb: positive.optional(),
  usableLaterTb: positive.optional(),
  /** Data there is already, and what comes to it. */ storedTb: z.number().min(0).max(1e6).optional(),
  growthTbPerMonth: positive.optional(),
  drivesLater: z.int().min(1).max(LIMITS.drives).optional(),
  failuresSurvived: z.int().min(0).max(3).optional(),
  idleW: positive.optional(),
  peakW: positive.optional(),
  earDb: z.number().min(0).max(100).optional(),
  moneyMinor: z.int().min(0).max(1e12).optional(),
  costPerYearMinor: z.int().min(0).max(1e12).optional(),
  networkGbPerS: positive.optional(),
  rackUnits: z.int().min(1).max(60).optional(),
  maxWidthMm: positive.optional(),
  maxHeightMm: positive.optional(),
  maxDepthMm: positive.optional(),
  maxMassG: positive.optional(),
  /** Behind a machine in a rack, for plugs and the bend of cables. */ cableRoomMm: z
    .number()
    .min(0)
    .max(500)
    .optional(),
  mustHave: z.array(featureSchema).optional(),
  /** What would be welcome: machines are compared by it, and nothing is tagged. */
  niceToHave: z.array(featureSchema).optional(),
  notWanted: z.array(featureSchema).optional(),
  services: z.array(serviceSchema).max(LIMITS.services).optional(),
});
export type Brief = z.infer<typeof briefSchema>;

/** Where the machine stands and who hears it. Defaults are an ordinary room at two metres. */
export const siteSchema = z.strictObject({
  place: z.enum(['shelf', 'floor', 'rack', 'cupboard', 'outdoors']),
  ambientC: z.number().min(-20).max(60),
  hotDayC: z.number().min(-20).max(60),
  earMm: z.number().min(100).max(50_000),
  standing: z.enum(['open', 'wall', 'corner']),
  room: z.enum(['soft', 'ordinary', 'hard', 'outdoors']),
  listening: z.enum(['bedroom', 'living', 'office', 'none']),
  door: z.enum(['none', 'slatted', 'ordinary', 'sealed']),
  cupboard: z.enum(['none', 'closed', 'vented']),
  mainsV: z.union([z.literal(115), z.literal(230)]),
  mainsPlug: z.string().max(10),
  /** What else hangs on the UPS of the machine, W. */
  upsOtherW: z.number().min(0).max(20_000).optional(),
  noiseFloorDb: z.number().min(0).max(80).optional(),
  /** What it draws in is warmer than the room by so much, from machines below or beside it, K. */
  intakeWarmerK: z.number().min(0).max(30).optional(),
  links: z
    .array(
      z.strictObject({
        gbPerS: positive,
        count: z.int().min(1).max(16),
        /** How far it is to the other end. */ lengthM: z.number().min(0.1).max(1000).optional(),
      }),
    )
    .max(8),
  clients: z.int().min(0).max(1000),
});
export type Site = z.infer<typeof siteSchema>;

const day = z.array(z.enum(HOUR_STATES)).length(24);
const profileSchema = z.strictObject({
  weekday: day,
  weekend: day,
  drivesAwake: z.int().min(0).max(LIMITS.drives).optional(),
  scrubsPerYear: z.number().min(0).max(366),
  /** At work, how far of the way from idle to busy the host goes, 0 to 1; typical where it is not said. */
  workShare: z.number().min(0).max(1).optional(),
});
const tariffSchema = z.strictObject({
  currency: moneySchema.shape.currency,
  bands: z
    .array(z.strictObject({ fromHour: z.int().min(0).max(23), minorPerKwh: z.number().min(0).max(100_000) }))
    .min(1)
    .max(24),
  /** What a kWh of this contract gives off, g of CO₂, where it is known. */
  co2GramsPerKwh: z.number().min(0).max(3000).optional(),
});
const poolSchema = z.strictObject({
  /** What the software that runs it allows, as its owner types it. */
  software: z
    .strictObject({ mostDrives: z.int().min(1).max(10_000).optional(), supportedUntil: isoDate.optional() })
    .optional(),
  sets: z
    .array(
      z.strictObject({
        id: text,
        layout: z.enum([
          'single',
          'stripe',
          'mirror2',
          'mirror3',
          'parity1',
          'parity2',
          'parity3',
          'dedicated1',
          'dedicated2',
        ]),
        units: z.array(unitIdSchema).max(LIMITS.drives),
        recordBytes: positive.optional(),
        allocationBytes: positive.optional(),
      }),
    )
    .max(200),
});
const policySchema = z.strictObject({
  spinUp: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('together') }),
    z.strictObject({ kind: z.literal('waves'), drives: z.int().min(1).max(LIMITS.drives), everyS: positive }),
    z.strictObject({ kind: z.literal('paced') }),
  ]),
  fans: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('fixed'), duty: share }),
    z.strictObject({
      kind: z.literal('hold'),
      hottestDriveC: z.number().min(20).max(70),
      /** What the chips of cards are held at as well, °C; they are left out of it where it is open. */
      cardsC: z.number().min(40).max(110).optional(),
    }),
  ]),
  /** Walls of fans that are not steered with the others, each by its mount: what they turn at whatever those do. */
  apart: z
    .array(z.strictObject({ host: text, key: text, duty: share }))
    .max(64)
    .optional(),
});

/** What is read with; each errs in its own way. */
const INSTRUMENTS = ['wallMeter', 'upsDisplay', 'soundMeter', 'phone', 'sensor'] as const;
/** W at the wall, dB(A), or °C of the hottest drive of a machine that is there. */
const readingSchema = z.strictObject({
  id: text,
  at: isoDate,
  state: z.enum(STATES),
  what: z.enum(['wallW', 'earDb', 'driveC']),
  value: z.number(),
  /** What the machine was made of then (`kitPrint`). */ kit: text,
  instrument: z.enum(INSTRUMENTS).optional(),
  /** The fans' duty then, 0 to 1; what the policy says where it is not known. */ duty: share.optional(),
  /** The air in the room then, °C; a normal day's where it is not known. */ roomC: z
    .number()
    .min(-20)
    .max(60)
    .optional(),
  /** From where it was heard, in the same room; the place of the brief where it is not said. */
  distanceMm: z.number().min(100).max(50_000).optional(),
  /** What was read with the machine off, dB(A). */ offDb: z.number().min(0).max(120).optional(),
  /** What else hung on the meter, W. */ otherW: z.number().min(0).max(20_000).optional(),
  /** What was reckoned for it then: what differs is carried over to a machine that has changed since. */
  reckoned: z.number().optional(),
  note: text.optional(),
});
export type Reading = z.infer<typeof readingSchema>;

/** The newest format: one self-contained document with the sheets it uses, so that it opens anywhere. */
export const buildSchema = z.strictObject({
  format: z.literal(FORMAT),
  id: z.string().regex(/^[\w-]{1,64}$/),
  name: z.string().max(LIMITS.nameCharacters),
  notes: z.string().max(LIMITS.notesCharacters),
  currency: moneySchema.shape.currency,
  /** Next number for ids and next letter for marks: counters, so edits stay pure. */
  counter: z.strictObject({ next: z.int().min(1), letter: z.int().min(0) }),
  items: z.array(itemSchema),
  sheets: z.record(z.string(), sheetSchema),
  archetypes: z.record(z.string(), archetypeSchema),
  layout: layoutSchema,
  changes: z.array(changeSchema).max(100),
  brief: briefSchema,
  site: siteSchema,
  profile: profileSchema,
  tariff: tariffSchema,
  pool: poolSchema,
  policy: policySchema,
  stages: z
    .array(z.strictObject({ name: text, at: isoDate.optional() }))
    .min(1)
    .max(51),
  stage: z.int().min(0).max(50),
  bundles: z.array(z.strictObject({ id: text, name: text, price: priceSchema.optional() })).max(200),
  readings: z.array(readingSchema).max(5000),
  accepted: z.array(z.strictObject({ snag: z.string().max(2000), reason: z.string().max(2000) })).max(500),
  copies: z.int().min(1).max(1000),
  copiesElsewhere: z.int().min(0).max(100),
  /** What one of another currency is worth in that of the build, by code (ISO 4217). */
  rates: z.record(moneySchema.shape.currency, z.number().positive().max(1e9)).optional(),
});
export type Build = Readonly<z.infer<typeof buildSchema>>;
