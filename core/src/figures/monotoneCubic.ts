/**
 * A monotone cubic through points of rising x (Fritsch and Carlson, SIAM J. Numer. Anal. 17, 1980),
 * going on with the end slopes outside them.
 */
export function monotoneCubic(points: readonly (readonly [x: number, y: number])[]): (x: number) => number {
  const n = points.length;
  if (n === 1) return () => points[0]![1];
  const h = points.slice(1).map(([x], i) => x - points[i]![0]);
  const slope = points.slice(1).map(([, y], i) => (y - points[i]![1]) / h[i]!);
  const tangent = points.map((_, i) =>
    i === 0
      ? slope[0]!
      : i === n - 1
        ? slope[n - 2]!
        : slope[i - 1]! * slope[i]! <= 0
          ? 0
          : (slope[i - 1]! + slope[i]!) / 2,
  );
  for (let i = 0; i < n - 1; i++) {
    if (slope[i] === 0) {
      tangent[i] = tangent[i + 1] = 0;
      continue;
    }
    const a = tangent[i]! / slope[i]!;
    const b = tangent[i + 1]! / slope[i]!;
    const length = a * a + b * b;
    if (length > 9) {
      tangent[i] = (3 / Math.sqrt(length)) * a * slope[i]!;
      tangent[i + 1] = (3 / Math.sqrt(length)) * b * slope[i]!;
    }
  }
  return (x) => {
    if (x <= points[0]![0]) return points[0]![1] + (x - points[0]![0]) * tangent[0]!;
    if (x >= points[n - 1]![0]) return points[n - 1]![1] + (x - points[n - 1]![0]) * tangent[n - 1]!;
    let i = 0;
    while (x > points[i + 1]![0]) i++;
    const t = (x - points[i]![0]) / h[i]!;
    const t2 = t * t;
    const t3 = t2 * t;
    return (
      (2 * t3 - 3 * t2 + 1) * points[i]![1] +
      (t3 - 2 * t2 + t) * h[i]! * tangent[i]! +
      (3 * t2 - 2 * t3) * points[i + 1]![1] +
      (t3 - t2) * h[i]! * tangent[i + 1]!
    );
  };
}
