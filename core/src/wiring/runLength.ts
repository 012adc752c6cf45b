import type { Layout, SpotRef, Wire } from '../build/layout';
import { memoPair } from '../memoLast';
import type { Box } from '../place/layOut';
import { sceneOf } from '../place/scene';
import type { PlannedUnit } from '../place/units';

/** A lead goes round what is in its way and bends at both ends. */
const ROUND = 1.25;
const BENDS_MM = 80;

const boxesOf = memoPair((units: readonly PlannedUnit[], layout: Layout) => sceneOf(units, layout).boxes);

/** How long a lead has to be, about: from the card or board to the farthest of its ends; null where one of them is not inside the same box. */
export function runMm({ units, layout }: { readonly units: readonly PlannedUnit[]; readonly layout: Layout }, wire: Wire): number | null {
  const boxes = boxesOf(units, layout);
  const middle = (ref: SpotRef) => {
    const bay = /^(.+)-[^-]+$/.exec(ref.key)?.[1];
    for (const [i, { solids }] of boxes.entries()) {
      const behind = bay === undefined ? [] : solids.filter((one) => one.spot?.host === ref.host && one.spot.key === bay);
      const these = behind.length > 0 ? behind : solids.filter((one) => one.unit?.id === ref.host);
      if (these.length === 0) continue;
      const mean = (of: (box: Box) => number) => these.reduce((sum, { box }) => sum + of(box), 0) / these.length;
      return { i, x: mean((box) => box.xMm + box.widthMm / 2), y: mean((box) => box.yMm + box.heightMm / 2), z: mean((box) => box.zMm + box.depthMm / 2) };
    }
    return null;
  };
  const ends = wire.device.flatMap((ref) => wire.host.map((host) => [middle(host), middle(ref)] as const));
  if (ends.some(([a, b]) => !a || !b || a.i !== b.i)) return null;
  return Math.round((BENDS_MM + ROUND * Math.max(...ends.map(([a, b]) => Math.hypot(a!.x - b!.x, a!.y - b!.y, a!.z - b!.z)))) / 10) * 10;
}
