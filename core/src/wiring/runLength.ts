import { memberAt } from '../lists';
import type { Layout, SpotRef, Wire } from '../build/layout';
import { memoPair } from '../memoLast';
import type { Box } from '../geometry/chassisPlan';
import { sceneOf } from '../geometry/scene';
import type { PlannedUnit } from '../machine/units';

/** A cable goes round what is in its way and bends at both ends. */
const ROUND = 1.25;
const BENDS_MM = 140;

const boxesOf = memoPair((units: readonly PlannedUnit[], layout: Layout) => sceneOf(units, layout).boxes);

/**
 * How long a cable has to be, about: from the card or board to the farthest of its ends; null where one of them is not
 * inside the same box.
 */
export function runMm(
  { units, layout }: { readonly units: readonly PlannedUnit[]; readonly layout: Layout },
  wire: Wire,
): number | null {
  const boxes = boxesOf(units, layout);
  const solidsOf = (ref: SpotRef) => {
    const bay = /^(.+)-[^-]+$/.exec(ref.key)?.[1];
    for (const [i, { solids }] of boxes.entries()) {
      const behind =
        bay === undefined ? [] : solids.filter((one) => one.spot?.host === ref.host && one.spot.key === bay);
      const these =
        behind.length > 0
          ? behind
          : solids.filter((one) => one.unit?.id === ref.host && one.what !== 'io' && one.what !== 'opening');
      if (these.length > 0) return { i, boxes: these.map(({ box }) => box) };
    }
    return null;
  };
  const far = wire.device.flatMap((device) =>
    wire.host.map((host) => {
      const [from, to] = [solidsOf(host), solidsOf(device)];
      return from && to && from.i === to.i ? apart(memberAt(from.boxes, 0), to.boxes) : null;
    }),
  );
  if (far.some((mm) => mm === null)) return null;
  return Math.round((BENDS_MM + ROUND * Math.max(...far.map((mm) => mm!))) / 10) * 10;
}

/** From the middle of some places to the nearest edge of a board or card: its ports stand along the edges. */
function apart(from: Box, to: readonly Box[]): number {
  const mean = (of: (box: Box) => number) => to.reduce((sum, box) => sum + of(box), 0) / to.length;
  const off = (at: number, start: number, size: number) => Math.max(0, start - at, at - start - size);
  return Math.hypot(
    off(
      mean((box) => box.xMm + box.widthMm / 2),
      from.xMm,
      from.widthMm,
    ),
    off(
      mean((box) => box.yMm + box.heightMm / 2),
      from.yMm,
      from.heightMm,
    ),
    off(
      mean((box) => box.zMm + box.depthMm / 2),
      from.zMm,
      from.depthMm,
    ),
  );
}
