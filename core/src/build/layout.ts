import type { z } from 'zod';
import type { layoutSchema, seatSchema, spotRefSchema, wireSchema } from './layoutSchema';

export type SpotRef = z.infer<typeof spotRefSchema>;
export type Seat = z.infer<typeof seatSchema>;
export type Wire = z.infer<typeof wireSchema>;
export type Layout = z.infer<typeof layoutSchema>;

export const EMPTY_LAYOUT: Layout = { at: {}, wires: [], plugs: [], dormant: {} };

/** `u3/front.7`, as in links, files and snags. */
export const printSpot = (spot: SpotRef): string =>
  `${spot.host}/${spot.key}${spot.n === undefined ? '' : `.${spot.n}`}`;

/** Reads `u3/front.7`; null when the text is no spot. */
export function parseSpot(text: string): SpotRef | null {
  const found = /^([\w:+-]+)\/([a-zA-Z][\w-]*)(?:\.(\d{1,4}))?$/.exec(text);
  if (!found) return null;
  return { host: found[1]!, key: found[2]!, ...(found[3] ? { n: Number(found[3]) } : {}) };
}
