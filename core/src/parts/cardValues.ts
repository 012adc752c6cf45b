import { z } from 'zod';
import { connectorSchema } from './connector';

const watts = z.number().min(0).max(1500);

/** The shape every card shares; thickness is in slot pitches (PCI-SIG CEM). */
export const cardShape = {
  bus: z.enum(['pcie', 'pci']),
  lanes: z.union([z.literal(1), z.literal(4), z.literal(8), z.literal(16)]),
  gen: z.int().min(1).max(6),
  height: z.enum(['full', 'low']),
  brackets: z.array(z.enum(['full', 'low'])),
  lengthMm: z.number().positive().max(400),
  thickSlots: z.number().min(1).max(4),
  idleW: watts,
  busyW: watts,
  peakW: watts,
  needsAirMPerS: z.number().positive().max(10).nullable(),
};

export const controllerValues = z.strictObject({
  ...cardShape,
  connectors: z.array(connectorSchema).min(1).max(8),
  mostDevices: z.int().min(1).max(2048),
  passThrough: z.boolean(),
  raid: z.enum(['none', 'switchable', 'fixed']),
  portMultiplier: z.boolean(),
  cacheProtected: z.boolean().nullable(),
  throughputMBps: z.number().positive().max(100_000),
  maxC: z.number().min(40).max(125),
});

/** Cards whose own views come later: they sit in a slot, draw power and cost money. */
export const plainCardValues = z.strictObject(cardShape);

/** Parts that so far have an identity, a price, a draw and a box. */
export const plainValues = z.strictObject({ idleW: watts, busyW: watts, peakW: watts });
