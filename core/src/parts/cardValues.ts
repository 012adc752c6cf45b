import { z } from 'zod';
import { someOf } from './someOf';
import { m2SocketSchema, networkPortSchema } from './boardValues';
import { connectorSchema, powerInputSchema } from './connector';
import { STAGGERS } from './vocabulary';

const watts = z.number().min(0).max(1500);

/** The shape every card shares; thickness is in slot pitches (PCI-SIG CEM). */
const cardShape = {
  /** `m2`: a module with ports for an M.2 socket, of one, two or four lanes. */
  bus: z.enum(['pcie', 'pci', 'm2']),
  lanes: z.union([z.literal(1), z.literal(2), z.literal(4), z.literal(8), z.literal(16)]),
  gen: z.int().min(1).max(6),
  height: z.enum(['full', 'low']),
  brackets: z.array(z.enum(['full', 'low'])),
  lengthMm: z.number().positive().max(400),
  thickSlots: z.number().min(1).max(4),
  idleW: watts,
  busyW: watts,
  peakW: watts,
  needsAirMPerS: z.number().positive().max(10).nullable(),
  /** What a plug at its far end stands out by with the bend of its cable. */
  plugEndMm: z.number().min(0).max(100).optional(),
};
/** Plugs of their own, which most of these cards do not have. */
const ownPlugs = z.array(powerInputSchema).max(4).optional();

export const controllerValues = z.strictObject({
  ...cardShape,
  connectors: someOf(connectorSchema, 8),
  mostDevices: z.int().min(1).max(2048),
  /** Chips of the 3 Gb/s class often stop at 2.2 TB. */
  largestDriveBytes: z.number().positive().optional(),
  /** How its ports for NVMe share the slot: a retimer asks it to part, a switch and a tri-mode chip do not. */
  pcieBy: z.enum(['retimer', 'switch', 'triMode']).optional(),
  passThrough: z.boolean(),
  raid: z.enum(['none', 'switchable', 'fixed']),
  portMultiplier: z.boolean(),
  cacheProtected: z.boolean().nullable(),
  powerInputs: ownPlugs,
  /** Whether it starts its drives in turn. */
  staggersStart: z.enum(STAGGERS).optional(),
  throughputMBps: z.number().positive().max(100_000),
  maxC: z.number().min(40).max(125),
});

/** Lanes in and lanes out share the connectors: an expander has no host side of its own. */
export const expanderValues = z.strictObject({
  ...cardShape,
  connectors: someOf(connectorSchema, 12),
  poweredBy: z.enum(['slot', 'plug', 'either']),
  powerInputs: ownPlugs,
  staggersStart: z.enum(STAGGERS).optional(),
  /** Whether it gathers what slower drives send, so that its uplink runs at its own rate. */
  edgeBuffering: z.boolean().optional(),
  mostDevices: z.int().min(1).max(2048),
});

export const networkCardValues = z.strictObject({
  ...cardShape,
  networkPorts: z.array(networkPortSchema).min(1).max(4),
  powerInputs: ownPlugs,
});

export const acceleratorValues = z.strictObject({
  ...cardShape,
  powerInputs: z.array(powerInputSchema).max(4),
  displayOutput: z.boolean(),
});

/** A card that holds M.2 modules; more than one socket behind one slot needs a slot that bifurcates. */
export const carrierValues = z.strictObject({ ...cardShape, m2Sockets: someOf(m2SocketSchema, 4) });
