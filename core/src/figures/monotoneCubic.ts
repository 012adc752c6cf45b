import { plainAt, memberAt } from '../lists';
/**
 * A monotone cubic through points of rising x with the slopes of PCHIP: within, the harmonic mean of the neighbouring
 * slopes weighted by their lengths (Fritsch and Butland, SIAM J. Sci. Stat. Comput. 5, 1984); at an end the one-sided
 * three-point slope, held to its shape. It goes on with the end slopes outside its points.
 */
export function monotoneCubic(points: readonly (readonly [x: number, y: number])[]): (x: number) => number {
  const n = points.length;
  if (n === 1) return () => memberAt(points, 0)[1];
  const h = points.slice(1).map(([x], i) => x - memberAt(points, i)[0]);
  const slope = points.slice(1).map(([, y], i) => (y - memberAt(points, i)[1]) / plainAt(h, i));
  const tangent = points.map((_, i) => {
    if (i === 0) return endSlope(plainAt(h, 0), h[1], plainAt(slope, 0), slope[1]);
    if (i === n - 1) return endSlope(plainAt(h, n - 2), h[n - 3], plainAt(slope, n - 2), slope[n - 3]);
    return innerSlope(plainAt(h, i - 1), plainAt(h, i), plainAt(slope, i - 1), plainAt(slope, i));
  });
  return (x) => {
    if (x <= memberAt(points, 0)[0]) return memberAt(points, 0)[1] + (x - memberAt(points, 0)[0]) * plainAt(tangent, 0);
    if (x >= memberAt(points, n - 1)[0])
      return memberAt(points, n - 1)[1] + (x - memberAt(points, n - 1)[0]) * plainAt(tangent, n - 1);
    let i = 0;
    while (x > memberAt(points, i + 1)[0]) i++;
    const t = (x - memberAt(points, i)[0]) / plainAt(h, i);
    const t2 = t * t;
    const t3 = t2 * t;
    return (
      (2 * t3 - 3 * t2 + 1) * memberAt(points, i)[1] +
      (t3 - 2 * t2 + t) * plainAt(h, i) * plainAt(tangent, i) +
      (3 * t2 - 2 * t3) * memberAt(points, i + 1)[1] +
      (t3 - t2) * plainAt(h, i) * plainAt(tangent, i + 1)
    );
  };
}

function innerSlope(before: number, after: number, left: number, right: number): number {
  if (left * right <= 0) return 0;
  const [w1, w2] = [2 * after + before, after + 2 * before];
  return (w1 + w2) / (w1 / left + w2 / right);
}

/** Of the end's own interval and the one next to it; a single interval is straight. */
function endSlope(own: number, next: number | undefined, slope: number, nextSlope: number | undefined): number {
  if (next === undefined || nextSlope === undefined) return slope;
  const three = ((2 * own + next) * slope - own * nextSlope) / (own + next);
  if (three * slope <= 0) return 0;
  return slope * nextSlope <= 0 && Math.abs(three) > 3 * Math.abs(slope) ? 3 * slope : three;
}
