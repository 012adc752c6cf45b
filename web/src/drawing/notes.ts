import type { Reach } from '@inch-tower/core';
import type { Flat2 } from './arrangements';
import { onSheet, overlaps, RULER, type PlacedView } from './sheetLayout';

/**
 * A clearance drawn in a view, in px: the part, the line from where it begins to its limit and its end, and where its
 * words stand.
 */
export type Note = {
  readonly rect: Flat2;
  readonly x: number;
  readonly from: number;
  readonly limit: number;
  readonly end: number;
  readonly text: string;
  readonly words: Flat2;
};
const NOTE_PX = 16;
const CHARACTER_PX = 6.65;

/**
 * Where the line and its words go: the words beside the end of the line, at the first height where nothing else is
 * written.
 */
export function placeNote(
  view: PlacedView,
  reach: Reach,
  written: readonly Flat2[],
  { width, height }: { readonly width: number; readonly height: number },
  views: readonly PlacedView[],
): Note | null {
  const shape = view.shapes.find(
    ({ solid }) => solid.unit?.id === reach.unit && (solid.what === 'card' || solid.what === 'cooler'),
  );
  if (!shape) return null;
  const rect = onSheet(view, shape);
  const card = reach.what === 'card';
  // A card begins at the rear edge, which is up in plan; a cooler at its foot, which is down in section.
  const from = card ? rect.y : rect.y + rect.height;
  const limit = card ? from + reach.limitMm * view.scale : from - reach.limitMm * view.scale;
  const end = card ? rect.y + rect.height : rect.y;
  const x = card ? rect.x + rect.width + 9 : rect.x - 9;
  const text = reach.gapMm < 0 ? `${-reach.gapMm} mm over: ${reach.label}` : `${reach.gapMm} mm to ${reach.label}`;
  const wide = text.length * CHARACTER_PX + 8;
  const sides = (
    card
      ? [x + 10, rect.x - 12 - wide, view.x + view.width + 12]
      : [x - wide - 6, x - wide - 40, rect.x + rect.width + 12]
  ).filter((left) => left > 30 && left + wide < width);
  const beside = [0, 18, -18, 36, -36, 54, -54].flatMap((dy) =>
    sides.map((left): Flat2 => ({ x: left, y: (limit + end) / 2 + dy - NOTE_PX / 2, width: wide, height: NOTE_PX })),
  );
  // Where the drawing is too low or narrow for words they stand above or under it: over the part, else at an end.
  const most = width - wide - 4;
  const middle = Math.max(view.x, Math.min(rect.x + rect.width / 2 - wide / 2, most));
  const ends = [view.x + view.width - wide, view.x, most].filter((left) => left > RULER && left <= most);
  const [above, below] = [view.y - NOTE_PX - 4, view.y + view.height + 5];
  const apart = [above, below, ...[1, 2, 3].map((line) => below + line * (NOTE_PX + 3))].flatMap((y) =>
    [middle, ...ends].map((left): Flat2 => ({ x: left, y, width: wide, height: NOTE_PX })),
  );
  const isFree = (spot: Flat2) => spot.y + NOTE_PX < height && written.every((label) => !overlaps(spot, label, 1));
  const spots = [...beside.filter((spot) => !views.some((one) => crosses(spot, one))), ...apart];
  return { rect, x, from, limit, end, text, words: spots.find(isFree) ?? beside.find(isFree) ?? spots[0]! };
}

/** A view lower than so many lines of words has no room for any. */
const LOWEST_LINES = 4;
/**
 * Whether words would lie over the outline of a view: partly in it and partly out, or in one that is no higher than
 * they are.
 */
export function crosses(spot: Flat2, view: PlacedView): boolean {
  const inX = spot.x < view.x + view.width && spot.x + spot.width > view.x;
  const inY = spot.y < view.y + view.height && spot.y + spot.height > view.y;
  const within =
    spot.x >= view.x + 2 &&
    spot.x + spot.width <= view.x + view.width - 2 &&
    spot.y >= view.y + 2 &&
    spot.y + spot.height <= view.y + view.height - 2;
  return inX && inY && (!within || view.height < LOWEST_LINES * NOTE_PX);
}
