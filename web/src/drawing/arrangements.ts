/** Rectangles of one scale packed in rows and columns, with a fixed gap in px between neighbours. */

export type Flat2 = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** What is packed: a rectangle in mm, or a row or column of such; neighbours stand at the top and at the left. */
export type Packing<T> =
  | { readonly leaf: T; readonly widthMm: number; readonly heightMm: number }
  | { readonly row: readonly Packing<T>[] }
  | { readonly column: readonly Packing<T>[] };

type Extent = { readonly width: number; readonly height: number };

/** Px a packing takes at a scale in px per mm. */
function extentOf<T>(packing: Packing<T>, scale: number, gap: number): Extent {
  if ('leaf' in packing) return { width: packing.widthMm * scale, height: packing.heightMm * scale };
  const isRow = 'row' in packing;
  let [along, across] = [0, 0];
  for (const [i, child] of (isRow ? packing.row : packing.column).entries()) {
    const { width, height } = extentOf(child, scale, gap);
    along += (isRow ? width : height) + (i ? gap : 0);
    across = Math.max(across, isRow ? height : width);
  }
  return isRow ? { width: along, height: across } : { width: across, height: along };
}

const LEAST_SCALE = 0.05;
const HALVINGS = 24;

/** The largest scale up to `most` at which a packing fits; at least 1 : 20 of a px to the mm, whatever the room. */
export function scaleFor<T>(packing: Packing<T>, { width, height }: Extent, gap: number, most: number): number {
  const fits = (scale: number) => {
    const extent = extentOf(packing, scale, gap);
    return extent.width <= width && extent.height <= height;
  };
  if (fits(most)) return most;
  let [low, high] = [LEAST_SCALE, most];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}

export type Packed<T> = Flat2 & { readonly leaf: T };

/** Where each rectangle lies, in px from a corner. */
export function pack<T>(packing: Packing<T>, x: number, y: number, scale: number, gap: number): Packed<T>[] {
  if ('leaf' in packing) return [{ leaf: packing.leaf, x, y, ...extentOf(packing, scale, gap) }];
  const placed: Packed<T>[] = [];
  let [left, top] = [x, y];
  for (const child of 'row' in packing ? packing.row : packing.column) {
    placed.push(...pack(child, left, top, scale, gap));
    const { width, height } = extentOf(child, scale, gap);
    if ('row' in packing) left += width + gap;
    else top += height + gap;
  }
  return placed;
}

/**
 * The largest rectangle of an area that keeps `clear` px from all that lies in it: of those at least so wide and high,
 * else of all.
 */
export function largestFree(area: Flat2, lying: readonly Flat2[], clear: number, least: Extent): Flat2 {
  const around = lying.map(({ x, y, width, height }) => ({
    left: x - clear,
    right: x + width + clear,
    top: y - clear,
    bottom: y + height + clear,
  }));
  const [endX, endY] = [area.x + area.width, area.y + area.height];
  const lefts = [area.x, ...around.map(({ right }) => right)].filter((x) => x >= area.x && x < endX);
  const rights = [endX, ...around.map(({ left }) => left)].filter((x) => x > area.x && x <= endX);
  const tops = [area.y, ...around.map(({ bottom }) => bottom)].filter((y) => y >= area.y && y < endY);
  const bottoms = [endY, ...around.map(({ top }) => top)].filter((y) => y > area.y && y <= endY);
  let [best, bestWorth]: [Flat2, number] = [{ x: area.x, y: area.y, width: 0, height: 0 }, 0];
  for (const left of lefts)
    for (const right of rights)
      for (const top of tops)
        for (const bottom of bottoms) {
          const [width, height] = [right - left, bottom - top];
          if (width <= 0 || height <= 0) continue;
          const isEnough = width >= least.width && height >= least.height;
          const worth = width * height + (isEnough ? area.width * area.height : 0);
          if (worth <= bestWorth) continue;
          const isEmpty = around.every(
            (one) => one.right <= left || one.left >= right || one.bottom <= top || one.top >= bottom,
          );
          if (isEmpty) [best, bestWorth] = [{ x: left, y: top, width, height }, worth];
        }
  return best;
}
