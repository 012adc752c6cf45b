import { memberAt } from '../lists';
import type { PartOf } from '../parts/resolve';

/** Share of full rpm at a duty: straight between the sheet's points, 0 below the duty it starts at. */
export function fanRpmShare(fan: Pick<PartOf<'fan'>, 'curve' | 'startDuty'>, duty: number): number {
  if (duty < fan.startDuty) return 0;
  return straightThrough(
    fan.curve.map((point) => [point.duty, point.rpmShare] as const),
    duty,
  );
}

/** Linear between points of rising x, level outside them. */
export function straightThrough(points: readonly (readonly [x: number, y: number])[], x: number): number {
  if (points.length === 0) return 0;
  if (x <= memberAt(points, 0)[0]) return memberAt(points, 0)[1];
  for (let i = 1; i < points.length; i++) {
    const [x1, y1] = memberAt(points, i);
    const [x0, y0] = memberAt(points, i - 1);
    if (x <= x1) return x1 === x0 ? y1 : y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return memberAt(points, points.length - 1)[1];
}
