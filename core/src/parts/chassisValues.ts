import { z } from 'zod';
import { someOf } from './someOf';
import { connectorSchema, powerInputSchema } from './connector';
import { keySchema } from './ids';
import { BAY_SIZES, BOARD_FORMS, HANDS, PROTOCOLS, SOUND_PATHS, STAGGERS, SUPPLY_FORMS } from './vocabulary';

const label = z.string().min(1).max(60);
const lengthMm = z.number().positive().max(2500);
const mm = z.number().min(-2000).max(4000);
/** From the chassis' front-left-bottom outside corner. */
const pointSchema = z.strictObject({ xMm: mm, yMm: mm, zMm: mm });
const WALLS = ['front', 'middle', 'rear', 'top', 'side', 'bottom'] as const;

/**
 * What stands between a bay and its port. The connectors of an expander are its uplinks; a bridge
 * speaks another protocol (USB) on its uplink than to its drives.
 */
const backplaneSchema = z.strictObject({
  type: z.enum(['direct', 'expander', 'bridge']),
  carries: someOf(z.enum(PROTOCOLS)),
  gbPerLane: z.number().positive().max(64),
  connectors: someOf(connectorSchema),
  baysPerConnector: z.int().min(1).max(64),
  powerInputs: z.array(powerInputSchema),
  cutsPin3: z.boolean(),
  idleW: z.number().min(0).max(40),
  /** Whether it lets its drives be started in turn: SATA pin 11 open, or SAS start by command. */
  staggersStart: z.enum(STAGGERS).optional(),
  /** Of an expander: whether it gathers what slower drives send, so that its uplink runs at its own rate. */
  edgeBuffering: z.boolean().optional(),
});
export type Backplane = z.infer<typeof backplaneSchema>;

/** Rows × columns of like bays. `takes` lists drive sizes a bay holds without an adapter. */
const bayGroupSchema = z.strictObject({
  key: keySchema,
  label,
  rows: z.int().min(1).max(32),
  columns: z.int().min(1).max(32),
  takes: someOf(z.enum(BAY_SIZES)),
  maxDriveHeightMm: lengthMm,
  lies: z.enum(['flat', 'upright']),
  access: z.enum(['hotSwap', 'tray', 'fixed']),
  mounting: z.enum(['hard', 'tray', 'soft']),
  wall: z.enum(WALLS),
  /** Screw holes of its sides or tray: sets A and B of 3.5-inch drives, and those of 2.5-inch drives. */
  holes: z.array(z.enum(['A', 'B', '2.5'])).optional(),
  /** What is free before the plugs of a drive, where cables go to each; and when it goes in turned end for end. */
  plugRoomMm: z.number().min(0).max(600).optional(),
  turnedPlugRoomMm: z.number().min(0).max(600).optional(),
  pitchXMm: lengthMm.optional(),
  pitchYMm: lengthMm.optional(),
  at: pointSchema.optional(),
  backplane: backplaneSchema.nullable(),
});
export type BayGroup = z.infer<typeof bayGroupSchema>;

/** A limit with its culprit: the least that applies counts, and its `because` is what a snag names. */
const clearanceSchema = z.strictObject({
  /** A stick is a USB drive in a socket of the board. */
  for: z.enum(['card', 'cooler', 'supply', 'board', 'stick']),
  slots: z.array(z.int().min(0).max(15)).optional(),
  maxMm: lengthMm,
  because: keySchema,
  label,
  while: z.enum(['present', 'occupied']),
});
export type Clearance = z.infer<typeof clearanceSchema>;

const fanMountSchema = z.strictObject({
  key: keySchema,
  label,
  wall: z.enum(WALLS),
  sizesMm: someOf(z.int().min(20).max(240)),
  count: z.int().min(1).max(12),
  path: z.enum(SOUND_PATHS),
  at: pointSchema.optional(),
});
export type FanMount = z.infer<typeof fanMountSchema>;

const supplyBaySchema = z.strictObject({
  key: keySchema,
  label,
  forms: someOf(z.enum(SUPPLY_FORMS)),
  count: z.int().min(1).max(4),
  maxLengthMm: lengthMm,
  screws: z.boolean(),
  stands: z.boolean().optional(),
  /** A brick lies beside the machine: its place takes no room inside. */
  outside: z.boolean().optional(),
  at: pointSchema.optional(),
});
export type SupplyBay = z.infer<typeof supplyBaySchema>;

const openingsSchema = z.strictObject({
  key: keySchema,
  label,
  count: z.int().min(1).max(16),
  height: z.enum(['full', 'low']),
  at: pointSchema.optional(),
  /** Cards meet it lying on a riser; one that stands in the board's own slot is too high. */
  forRiser: z.boolean().optional(),
  /** To which side of the slot that card lies, seen from the front. */
  hand: z.enum(HANDS).optional(),
});

/** The one vocabulary in which options of a sheet and mods of a builder change a chassis. */
export const effectSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('remove'), key: keySchema }),
  z.strictObject({ do: z.literal('addBayGroup'), feature: bayGroupSchema }),
  z.strictObject({ do: z.literal('addFanMount'), feature: fanMountSchema }),
  z.strictObject({ do: z.literal('clearance'), clearance: clearanceSchema }),
  z.strictObject({ do: z.literal('leak'), shareChange: z.number().min(-1).max(1) }),
  /** Free area that joins the inside and the room at the rear: slots without covers, no I/O shield. */
  z.strictObject({ do: z.literal('opening'), cm2: z.number().min(-2000).max(2000) }),
  z.strictObject({ do: z.literal('attenuation'), changeDb: z.number().min(-20).max(20) }),
  z.strictObject({ do: z.literal('resistance'), timesFactor: z.number().positive().max(20) }),
  /** Of a card: its bracket is left off, so that it goes behind a closed wall. */
  z.strictObject({ do: z.literal('bracketOff') }),
]);
export type Effect = z.infer<typeof effectSchema>;

const optionSchema = z.strictObject({ key: keySchema, label, effects: z.array(effectSchema).min(1) });

export const chassisValues = z.strictObject({
  style: z.enum(['tower', 'cube', 'rack', 'openFrame', 'external']),
  rackUnits: z.int().min(1).max(12).nullable(),
  widthMm: lengthMm,
  heightMm: lengthMm,
  depthMm: lengthMm,
  /** How far handles stand out in front of its depth. */
  handlesMm: z.number().min(0).max(150).optional(),
  massG: z.number().positive().max(100_000),
  boardHoles: z.array(z.enum(BOARD_FORMS)),
  maxBoardEdgeMm: lengthMm.nullable(),
  maxBoardDepthMm: lengthMm.nullable(),
  boardPose: z.enum(['flat', 'standing']),
  /** The board's underside at its rear edge, at the end with the outside sockets; null leaves it to the layout. */
  boardAt: pointSchema.nullable(),
  bayGroups: z.array(bayGroupSchema).max(24),
  supplyBays: z.array(supplyBaySchema).max(4),
  openings: z.array(openingsSchema).max(4),
  fanMounts: z.array(fanMountSchema).max(16),
  /** Whether its fans hang on the board's headers, or on a board of the chassis that is fed by the supply. */
  fansFed: z.enum(['headers', 'own']).optional(),
  clearances: z.array(clearanceSchema).max(40),
  frontUsb: z.array(z.enum(['usb2-header', 'usb3-header'])),
  slideRails: z.enum(['included', 'apart', 'none']),
  /** Ears and a tray for a body narrower than the opening of a rack. */
  rackKit: z.enum(['included', 'apart']).optional(),
  resistancePaPerM3h2: z.number().positive().max(1),
  /** Free area at the rear beside the fans, where pieces are left out. */
  rearOpenCm2: z.number().min(0).max(2000).optional(),
  bypassShare: z.number().min(0).max(1),
  drivePath: z.enum(SOUND_PATHS),
  panelDb: z.number().min(0).max(20),
  options: z.array(optionSchema).max(16),
});

/** Turns bays into other bays: three 5.25 into five 3.5, one 3.5 into two 2.5. */
export const adapterValues = z.strictObject({
  sitsIn: z.enum(BAY_SIZES),
  span: z.int().min(1).max(6),
  widthMm: lengthMm,
  heightMm: lengthMm,
  depthMm: lengthMm,
  bayGroups: z.array(bayGroupSchema).min(1).max(4),
  idleW: z.number().min(0).max(40),
});
