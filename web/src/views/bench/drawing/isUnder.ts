import type { FlatShape } from '@inch-tower/core';

/** Drawn later is nearer: what lies over the middle of a shape hides it; `spares` says of which that is not so. */
export function isUnder(shape: FlatShape, nearer: readonly FlatShape[], spares: (one: FlatShape) => boolean): boolean {
  const [x, y] = [shape.xMm + shape.widthMm / 2, shape.yMm + shape.heightMm / 2];
  return nearer.some(
    (one) =>
      one.solid.what === shape.solid.what &&
      !spares(one) &&
      x > one.xMm &&
      x < one.xMm + one.widthMm &&
      y > one.yMm &&
      y < one.yMm + one.heightMm,
  );
}
