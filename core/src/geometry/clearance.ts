import type { Clearance } from '../parts/chassisValues';
import type { PartOf } from '../parts/resolve';

/** A measured limit: the culprit's key and words, and how far it lets a part reach. */
export type Limit = { readonly maxMm: number; readonly because: string; readonly label: string };

/** The opening at a position of the rear wall, counted from 0; undefined where the wall is closed. */
export function openingAt(
  chassis: PartOf<'chassis'>,
  position: number,
): PartOf<'chassis'>['openings'][number] | undefined {
  let passed = 0;
  return chassis.openings.find((one) => (passed += one.count) > position);
}

/**
 * Whether a card that stands in the board's own slot at that position is too high, and only one on a riser has room;
 * behind a closed wall as at the last opening.
 */
export const needsRiser = (chassis: PartOf<'chassis'>, position: number): boolean =>
  (openingAt(chassis, position) ?? chassis.openings.at(-1))?.forRiser ?? false;

/**
 * The least clearance that applies, or null when the sheet names none. `occupied` holds the keys of
 * features in use; a clearance that holds only while its culprit is occupied is skipped otherwise.
 */
export function limitFor(
  chassis: PartOf<'chassis'>,
  what: Clearance['for'],
  context: { readonly slot?: number; readonly occupied: ReadonlySet<string> },
): Limit | null {
  let least: Clearance | null = null;
  for (const one of chassis.clearances) {
    if (one.for !== what) continue;
    if (one.slots && context.slot !== undefined && !one.slots.includes(context.slot)) continue;
    if (one.while === 'occupied' && !context.occupied.has(one.because)) continue;
    if (!least || one.maxMm < least.maxMm) least = one;
  }
  return least && { maxMm: least.maxMm, because: least.because, label: least.label };
}
