type Point = readonly [x: number, y: number];
type Knot = { readonly x: number; readonly y: number; readonly slope: number };
type Span = { readonly long: number; readonly slope: number };

/**
 * A monotone cubic through points of rising x with the slopes of PCHIP: within, the harmonic mean of the neighbouring
 * slopes weighted by their lengths (Fritsch and Butland, SIAM J. Sci. Stat. Comput. 5, 1984); at an end the one-sided
 * three-point slope, held to its shape. It goes on with the end slopes outside its points.
 */
export function monotoneCubic(points: readonly Point[]): (x: number) => number {
  const knots = knotsOf(points);
  const [first] = knots;
  const last = knots.at(-1);
  if (!first || !last) throw new RangeError('a curve needs a point');
  return (x) => {
    if (x <= first.x) return first.y + (x - first.x) * first.slope;
    if (x >= last.x) return last.y + (x - last.x) * last.slope;
    let from = first;
    for (const to of knots) {
      if (x <= to.x) return between(from, to, x);
      from = to;
    }
    return last.y;
  };
}

function knotsOf(points: readonly Point[]): Knot[] {
  const spans = points.flatMap(([x, y], i): Span[] => {
    const before = points[i - 1];
    return before ? [{ long: x - before[0], slope: (y - before[1]) / (x - before[0]) }] : [];
  });
  return points.map(([x, y], i): Knot => {
    const [before, after] = [spans[i - 1], spans[i]];
    if (before && after) return { x, y, slope: innerSlope(before, after) };
    const [own, next] = after ? [after, spans[i + 1]] : [before, spans[i - 2]];
    return { x, y, slope: own ? endSlope(own, next) : 0 };
  });
}

/** Cubic Hermite interpolation. */
function between(from: Knot, to: Knot, x: number): number {
  const long = to.x - from.x;
  const t = (x - from.x) / long;
  const [t2, t3] = [t * t, t * t * t];
  return (
    (2 * t3 - 3 * t2 + 1) * from.y +
    (t3 - 2 * t2 + t) * long * from.slope +
    (3 * t2 - 2 * t3) * to.y +
    (t3 - t2) * long * to.slope
  );
}

function innerSlope(before: Span, after: Span): number {
  if (before.slope * after.slope <= 0) return 0;
  const [w1, w2] = [2 * after.long + before.long, after.long + 2 * before.long];
  return (w1 + w2) / (w1 / before.slope + w2 / after.slope);
}

/** Of the end's own interval and the one next to it; a single interval is straight. */
function endSlope(own: Span, next: Span | undefined): number {
  if (!next) return own.slope;
  const three = ((2 * own.long + next.long) * own.slope - own.long * next.slope) / (own.long + next.long);
  if (three * own.slope <= 0) return 0;
  return own.slope * next.slope <= 0 && Math.abs(three) > 3 * Math.abs(own.slope) ? 3 * own.slope : three;
}
