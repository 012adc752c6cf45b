import { z } from 'zod';
import { someOf } from './someOf';
import { connectorSchema, powerInputSchema } from './connector';
import { keySchema } from './ids';
import { BOARD_FORMS, CONNECTOR_KINDS, STAGGERS } from './vocabulary';

const label = z.string().min(1).max(60);
const watts = z.number().min(0).max(1500);
const megatransfers = z.int().min(400).max(20_000);
const share = z.number().min(0).max(1);
const onBoard = z.strictObject({ uMm: z.number().min(0).max(600), vMm: z.number().min(0).max(600) });

const MEMORY_FORMS = ['dimm', 'so-dimm'] as const;
export const MEMORY_TYPES = ['ddr3', 'ddr4', 'ddr5'] as const;

export const m2SocketSchema = z.strictObject({
  key: keySchema,
  label,
  lengthsMm: z.array(z.int().min(30).max(110)).min(1),
  gen: z.int().min(1).max(6),
  lanes: z.int().min(0).max(4),
  carries: someOf(z.enum(['pcie', 'sata'])),
  owner: z.enum(['processor', 'chipset']),
  at: onBoard.optional(),
  /** The key of the socket (PCI-SIG M.2); M where none is named. */
  notch: z.enum(['B', 'M', 'E']).optional(),
});
export type M2Socket = z.infer<typeof m2SocketSchema>;

/** `position` counts slot pitches from the first opening; `lanes` is the physical width. */
export const slotSchema = z.strictObject({
  key: keySchema,
  label,
  position: z.int().min(0).max(15),
  bus: z.enum(['pcie', 'pci']),
  lanes: z.union([z.literal(1), z.literal(4), z.literal(8), z.literal(16)]),
  wiredLanes: z.int().min(1).max(16),
  gen: z.int().min(1).max(6),
  owner: z.enum(['processor', 'chipset']),
  openEnd: z.boolean(),
  bifurcates: z.array(z.string().regex(/^x\d+(x\d+)*$/)).optional(),
});
export type Slot = z.infer<typeof slotSchema>;

export const networkPortSchema = z.strictObject({
  key: keySchema,
  gbPerS: z.number().positive().max(400),
  count: z.int().min(1).max(8),
  /** What goes into it: a copper plug, or a module (SFP and kin); open where the sheet does not say. */
  medium: z.enum(['copper', 'cage']).optional(),
});

/** A board trade-off: while the socket in `when` is used (as that protocol), these are off or narrower. */
const boardRuleSchema = z.strictObject({
  when: z.strictObject({ key: keySchema, as: z.enum(['sata', 'pcie', 'any']) }),
  then: z
    .array(
      z.strictObject({ key: keySchema, ns: z.array(z.int().min(1).max(64)).optional(), lanes: z.int().min(0).max(16) }),
    )
    .min(1),
});

export const boardValues = z.strictObject({
  holes: z.enum(BOARD_FORMS),
  /** Along the rear edge with the sockets to the outside. */
  edgeMm: z.number().positive().max(500),
  depthMm: z.number().positive().max(500),
  socket: z.string().max(40).nullable(),
  socketAt: onBoard.nullable(),
  memoryForm: z.enum(MEMORY_FORMS),
  memoryType: z.enum(MEMORY_TYPES),
  memorySlots: z.int().min(0).max(32),
  /** The corner of its first slot; the others follow towards the front. */
  memoryAt: onBoard.optional(),
  memoryMaxModuleBytes: z.number().min(0),
  memoryMaxBytes: z.number().min(0),
  memoryMtPerS: megatransfers.optional(),
  memoryRegistered: z.enum(['never', 'may', 'must']),
  memoryEcc: z.boolean(),
  memoryFillOrder: z.array(z.int().min(1).max(32)),
  connectors: z.array(connectorSchema).max(24),
  /** Ports that are on a chip of their own beside the board's: they share what its link to the rest carries. */
  addedChips: z
    .array(
      z.strictObject({
        key: keySchema,
        ns: z.array(z.int().min(1).max(64)).min(1),
        lanes: z.int().min(1).max(4),
        gen: z.int().min(1).max(6),
      }),
    )
    .max(4)
    .optional(),
  m2Sockets: z.array(m2SocketSchema).max(12),
  slots: z.array(slotSchema).max(12),
  rules: z.array(boardRuleSchema).max(24),
  modes: z.array(z.strictObject({ key: keySchema, label, lanes: z.record(z.string(), z.int().min(0).max(16)) })).max(8),
  uplinkLanes: z.int().min(0).max(16),
  uplinkGen: z.int().min(1).max(6),
  networkPorts: z.array(networkPortSchema).max(8),
  remoteManagement: z.boolean(),
  fanHeaders: z.array(
    z.strictObject({
      key: keySchema,
      count: z.int().min(1).max(12),
      pwm: z.boolean(),
      /** Whether it also steers fans without a PWM wire, by their volts; many do, boards of servers do not. */
      byVolts: z.boolean().optional(),
      maxA: z.number().positive().max(5),
    }),
  ),
  largestDriveBytes: z.number().positive().optional(),
  usbInside: z.array(
    z.strictObject({ key: keySchema, label, kind: z.enum(CONNECTOR_KINDS), count: z.int().min(1).max(8) }),
  ),
  displayOutput: z.boolean(),
  /** Whether its own ports start drives in turn. */
  staggersStart: z.enum(STAGGERS).optional(),
  powerInputs: z.array(powerInputSchema),
  /** Plugs the board itself feeds, as small boards do for their one drive. */
  powerOutputs: z.array(powerInputSchema).optional(),
  dcMinV: z.number().positive().max(60).nullable(),
  dcMaxV: z.number().positive().max(60).nullable(),
  /** The jack of its direct current, such as `5.5 × 2.5`. */
  dcPlug: z.string().min(1).max(40).optional(),
  /** Generations of processor it takes, each with the firmware from which on; all of its socket where none is named. */
  processors: z
    .array(z.strictObject({ generation: z.string().min(1).max(40), firmware: z.string().min(1).max(40).optional() }))
    .min(1)
    .max(16)
    .optional(),
  /** What a processor on it may draw for minutes: what its converters are made for. */
  carriesW: watts.optional(),
  idleW: watts,
  busyW: watts,
  peakW: watts,
  share12: share,
  share5: share,
});

export const processorValues = z.strictObject({
  socket: z.string().min(1).max(40),
  /** What boards for its socket tell apart. */
  generation: z.string().min(1).max(40).optional(),
  cores: z.int().min(1).max(256),
  threads: z.int().min(1).max(512),
  lanes: z.int().min(0).max(256),
  gen: z.int().min(1).max(6),
  memoryTypes: someOf(z.enum(MEMORY_TYPES)),
  memoryEcc: z.boolean(),
  memoryRegistered: z.boolean(),
  memoryMtPerS: megatransfers.optional(),
  graphics: z.boolean(),
  idleW: watts,
  /** Held for minutes: what its cooler has to carry. */
  sustainedW: watts.optional(),
  busyW: watts,
  peakW: watts,
  spreaderMm: z.number().positive().max(120),
  /** Width of what gets hot under the spreader: the cold plate has to cover that. */
  hotZoneMm: z.number().positive().max(120).optional(),
  maxC: z.number().min(40).max(125),
});

export const coolerValues = z.strictObject({
  sockets: someOf(z.string().min(1).max(40)),
  heightMm: z.number().positive().max(250),
  widthMm: z.number().positive().max(250),
  depthMm: z.number().positive().max(250),
  carriesW: watts,
  baseMm: z.number().positive().max(120),
  kPerW: z.number().positive().max(10),
  passive: z.boolean(),
});

export const memoryValues = z.strictObject({
  form: z.enum(MEMORY_FORMS),
  type: z.enum(MEMORY_TYPES),
  ecc: z.boolean(),
  registered: z.boolean(),
  capacityBytes: z.number().positive(),
  /** What it is made for (JEDEC): with slower ones, or on less, it runs slower. */
  mtPerS: megatransfers.optional(),
  heightMm: z.number().positive().max(80),
  idleW: watts,
  busyW: watts,
  peakW: watts,
});
