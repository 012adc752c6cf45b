import type { StartCurve } from '@inch-tower/core';

/** A load over the start as shares of what the supply gives, with its highest point. */
export type StartLine = {
  readonly key: string;
  readonly name: string;
  /** From a second on, the share of the limit. */ readonly points: readonly (readonly [
    second: number,
    share: number,
  ])[];
  readonly peak: { readonly share: number; readonly value: number; readonly atS: number };
  readonly limit: number;
  readonly unit: 'A' | 'W';
};

/** Lines of a start, one for every limit that is known and loaded, the fullest first. */
export function startLines({ steps, limits }: StartCurve): StartLine[] {
  if (!limits) return [];
  const lineOf = (
    key: string,
    name: string,
    unit: 'A' | 'W',
    limit: number | null,
    of: (step: StartCurve['steps'][number]) => number,
  ): StartLine[] => {
    if (!limit) return [];
    const points = steps.map((step) => [step.atS, of(step) / limit] as const);
    const highest = points.reduce((best, point) => (point[1] > best[1] ? point : best), [0, 0] as const);
    if (highest[1] === 0) return [];
    const [atS, share] = highest;
    return [{ key, name, points, peak: { share, value: share * limit, atS }, limit, unit }];
  };
  return [
    ...lineOf('12', '12 V', 'A', limits.a['12 V'], ({ a }) => a['12 V']),
    ...lineOf('5', '5 V', 'A', limits.a['5 V'], ({ a }) => a['5 V']),
    ...lineOf('33', '3.3 V', 'A', limits.a['3.3 V'], ({ a }) => a['3.3 V']),
    ...lineOf('w', 'Together', 'W', limits.insideW, ({ insideW }) => insideW),
  ].sort((a, b) => b.peak.share - a.peak.share);
}

/** Heights for labels so that none lies on another: pushed down in order, then up from the foot. */
export function apart(wanted: readonly number[], gap: number, foot: number): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  let last = -Infinity;
  for (const one of order) {
    one.y = Math.max(one.y, last + gap);
    last = one.y;
  }
  let next = foot + gap;
  for (const one of order.reverse()) {
    one.y = Math.min(one.y, next - gap);
    next = one.y;
  }
  const placed: number[] = [];
  for (const { y, i } of order) placed[i] = y;
  return placed;
}
