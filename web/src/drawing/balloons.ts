import { printSpot, type Place } from '@inch-tower/core';
import type { Label } from './labels';
import { onSheet, overlaps, type Flat2, type PlacedView } from './sheetLayout';

export type Balloon = {
  readonly n: number;
  readonly key: string;
  readonly severity: string;
  readonly x: number;
  readonly y: number;
  readonly tx: number;
  readonly ty: number;
};
export type Tagged = { readonly key: string; readonly severity: string; readonly at: readonly Place[] };

export const BALLOON_R = 11;

/** Numbered balloons just outside a view, each on the nearest free place to what it is about. */
export function placeBalloons(
  snags: readonly Tagged[],
  views: readonly PlacedView[],
  labels: readonly Label[],
  bounds: Flat2,
): Balloon[] {
  const balloons: Balloon[] = [];
  const box = (x: number, y: number): Flat2 => ({
    x: x - BALLOON_R - 2,
    y: y - BALLOON_R - 2,
    width: 2 * BALLOON_R + 4,
    height: 2 * BALLOON_R + 4,
  });
  const blocked = [
    ...labels,
    ...views.map((view): Flat2 => ({ x: view.x, y: view.y - 16, width: view.width, height: view.height + 16 })),
    ...views.filter(({ large }) => large).flatMap(dimensionWords),
  ];
  snags.forEach((snag, i) => {
    const target = targetOf(snag, views);
    if (!target) return;
    const { view, x: tx, y: ty } = target;
    const found = around(view)
      .map(([x, y]) => ({ x, y, far: Math.hypot(x - tx, y - ty) }))
      .sort((a, b) => a.far - b.far)
      .find(
        ({ x, y }) =>
          inside(box(x, y), bounds) &&
          !blocked.some((other) => overlaps(box(x, y), other)) &&
          !balloons.some((other) => overlaps(box(x, y), box(other.x, other.y))),
      );
    if (found) balloons.push({ n: i + 1, key: snag.key, severity: snag.severity, x: found.x, y: found.y, tx, ty });
  });
  return balloons;
}

/** Px that the words of an outer dimension take along their line, and across it. */
const WORDS_PX = [96, 16] as const;
/** Where the words of a view's outer dimensions are written: under it and left of it. */
function dimensionWords({ x, y, width, height }: PlacedView): Flat2[] {
  const [along, across] = WORDS_PX;
  return [
    { x: x + (width - along) / 2, y: y + height + 5, width: along, height: across },
    { x: x - 21, y: y + (height - along) / 2, width: across, height: along },
  ];
}

/** Points on a loop outside a view. */
function around(view: PlacedView): [number, number][] {
  const out = BALLOON_R + 6;
  const points: [number, number][] = [];
  for (let y = view.y + 4; y <= view.y + view.height; y += 12)
    points.push([view.x + view.width + out, y], [view.x - out - 2, y]);
  for (let x = view.x; x <= view.x + view.width; x += 12)
    points.push([x, view.y + view.height + out], [x, view.y - out - 16]);
  return points;
}

const contains = (rect: Flat2, x: number, y: number) =>
  x >= rect.x && x <= rect.x + rect.width && y >= rect.y && y <= rect.y + rect.height;
const inside = (a: Flat2, b: Flat2) =>
  a.x >= b.x && a.y >= b.y && a.x + a.width <= b.x + b.width && a.y + a.height <= b.y + b.height;

/** The middle of the first thing of a snag that a view shows, the largest of its pictures. */
function targetOf(snag: Tagged, views: readonly PlacedView[]): { view: PlacedView; x: number; y: number } | null {
  for (const place of snag.at) {
    let best: { view: PlacedView; x: number; y: number; worth: number } | null = null;
    for (const view of views) {
      if (!view.large) continue;
      for (const [i, shape] of view.shapes.entries()) {
        const { solid } = shape;
        const hit =
          'unit' in place
            ? solid.unit?.id === place.unit && solid.what !== 'shell'
            : solid.spot !== null && printSpot(solid.spot) === printSpot(place.spot);
        if (!hit) continue;
        const rect = onSheet(view, shape);
        const area = rect.width * rect.height;
        const x = rect.x + rect.width - Math.min(8, rect.width / 2);
        const y = rect.y + Math.min(8, rect.height / 2);
        // What lies under something nearer, or is seen from its edge, makes a poor target.
        const hidden = view.shapes
          .slice(i + 1)
          .some((nearer) => nearer.solid.id !== solid.id && contains(onSheet(view, nearer), x, y));
        const worth = hidden ? area / 1000 : area;
        if (!best || worth > best.worth) best = { view, x, y, worth };
      }
    }
    if (best) return best;
  }
  return null;
}
