import { printSpot, type Place } from '@inch-tower/core';
import type { Label } from './labels';
import type { Flat2 } from './arrangements';
import { onSheet, overlaps, titleOf, type PlacedView } from './sheetLayout';

export type Balloon = {
  readonly n: number;
  readonly key: string;
  readonly severity: string;
  readonly x: number;
  readonly y: number;
  /** Where its leader ends, and the bend in it, where one leads it round what is written. */
  readonly tx: number;
  readonly ty: number;
  readonly bend: Point | null;
};
export type Point = readonly [x: number, y: number];
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
  const written = [
    ...labels,
    ...views.filter(({ large }) => large).flatMap((view) => [...dimensionWords(view), titleOf(view)]),
  ];
  const isFree = ([x, y]: Point): boolean =>
    inside(box(x, y), bounds) &&
    !blocked.some((other) => overlaps(box(x, y), other)) &&
    !balloons.some(
      (other) => overlaps(box(x, y), box(other.x, other.y)) || legs(other).some(([a, b]) => strikes(a, b, box(x, y))),
    );
  snags.forEach((snag, i) => {
    const targets = targetsOf(snag, views);
    const others = [...written, ...balloons.map(({ x, y }) => box(x, y))];
    let found: Led | null = null;
    let struck: Led | null = null;
    for (const { view, points } of targets) {
      const free = around(view).filter(isFree);
      found = leader(free, points, others);
      if (found) break;
      struck ??= nearest(free, points);
    }
    const led = found ?? struck;
    if (!led) return;
    const { from, to, bend } = led;
    balloons.push({
      n: i + 1,
      key: snag.key,
      severity: snag.severity,
      x: from[0],
      y: from[1],
      tx: to[0],
      ty: to[1],
      bend,
    });
  });
  return balloons;
}

type Led = { readonly from: Point; readonly to: Point; readonly bend: Point | null };

/** Where no leader is clear of what is written: the balloon nearest to what it is about. */
function nearest(places: readonly Point[], [to]: readonly Point[]): Led | null {
  if (!to) return null;
  const from = places.reduce<Point | null>(
    (best, one) => (best && apart(best, to) <= apart(one, to) ? best : one),
    null,
  );
  return from && { from, to, bend: null };
}

/** The straight pieces of a balloon's leader. */
export const legs = ({ x, y, tx, ty, bend }: Balloon): readonly (readonly [Point, Point])[] =>
  bend
    ? [
        [[x, y], bend],
        [bend, [tx, ty]],
      ]
    : [
        [
          [x, y],
          [tx, ty],
        ],
      ];

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
/** So many places for a balloon are looked at, the nearest first. */
const NEAR = 48;
/** A later point of a picture is worth so many px of way. */
const LATER_PX = 6;

/**
 * The shortest leader that strikes through nothing written and no other balloon; with one square bend where none goes
 * straight.
 */
function leader(places: readonly Point[], targets: readonly Point[], written: readonly Flat2[]): Led | null {
  const isClear = (a: Point, b: Point) => !written.some((box) => strikes(a, b, box));
  const [first] = targets;
  if (!first) return null;
  const near = [...places].sort((a, b) => apart(a, first) - apart(b, first)).slice(0, NEAR);
  const pairs = near
    .flatMap((from) => targets.map((to, i) => ({ from, to, far: apart(from, to) + i * LATER_PX })))
    .sort((a, b) => a.far - b.far);
  const straight = pairs.find(({ from, to }) => isClear(from, to));
  if (straight) return { from: straight.from, to: straight.to, bend: null };
  for (const { from, to } of pairs)
    for (const bend of [[from[0], to[1]] as const, [to[0], from[1]] as const])
      if (isClear(from, bend) && isClear(bend, to)) return { from, to, bend };
  return null;
}

/** Whether a line goes through a box (Liang and Barsky). */
export function strikes([ax, ay]: Point, [bx, by]: Point, { x, y, width, height }: Flat2): boolean {
  let [enters, leaves] = [0, 1];
  for (const [step, low, high] of [
    [bx - ax, x - ax, x + width - ax],
    [by - ay, y - ay, y + height - ay],
  ] as const) {
    if (step === 0) {
      if (low > 0 || high < 0) return false;
      continue;
    }
    const [first, last] = step > 0 ? [low / step, high / step] : [high / step, low / step];
    enters = Math.max(enters, first);
    leaves = Math.min(leaves, last);
    if (enters > leaves) return false;
  }
  return true;
}

/** Px that the words of an outer dimension take along their line, and across it. */
const WORDS_PX = [96, 16] as const;
/** Where the words of a view's outer dimensions are written: under it and left of it. */
export function dimensionWords({ x, y, width, height }: PlacedView): Flat2[] {
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

type Target = { readonly view: PlacedView; readonly points: readonly Point[]; readonly worth: number };

/** Points to lead to on what a snag is about, in each view that shows it; the largest and least hidden first. */
function targetsOf(snag: Tagged, views: readonly PlacedView[]): readonly Target[] {
  for (const place of snag.at) {
    const targets = views.filter(({ large }) => large).flatMap((view) => bestIn(view, place) ?? []);
    if (targets.length > 0) return targets.sort((a, b) => b.worth - a.worth);
  }
  return [];
}

const rectsOf = new WeakMap<PlacedView, readonly Flat2[]>();

function bestIn(view: PlacedView, place: Place): Target | null {
  const rects = rectsOf.get(view) ?? view.shapes.map((shape) => onSheet(view, shape));
  rectsOf.set(view, rects);
  let best: Target | null = null;
  for (const [i, shape] of view.shapes.entries()) {
    const { solid } = shape;
    const hit =
      'unit' in place
        ? solid.unit?.id === place.unit && solid.what !== 'shell'
        : solid.spot !== null && printSpot(solid.spot) === printSpot(place.spot);
    if (!hit) continue;
    const rect = rects[i]!;
    const area = rect.width * rect.height;
    const all = pointsOn(rect);
    // What lies under something nearer, or is seen from its edge, makes a poor target.
    const isHidden = ([x, y]: Point): boolean =>
      view.shapes.some((one, n) => n > i && one.solid.id !== solid.id && contains(rects[n]!, x, y));
    const seen = all.filter((point) => !isHidden(point));
    const worth = seen.length === 0 ? area / 1000 : area;
    if (!best || worth > best.worth) best = { view, points: seen.length ? seen : all, worth };
  }
  return best;
}

/** The corners of a picture, a little inside, then the middles of its edges. */
function pointsOn({ x, y, width, height }: Flat2): Point[] {
  const [dx, dy] = [Math.min(8, width / 2), Math.min(8, height / 2)];
  const [left, right, top, bottom] = [x + dx, x + width - dx, y + dy, y + height - dy];
  const [middle, centre] = [x + width / 2, y + height / 2];
  return [
    [right, top],
    [left, top],
    [right, bottom],
    [left, bottom],
    [right, centre],
    [left, centre],
    [middle, top],
    [middle, bottom],
  ];
}
