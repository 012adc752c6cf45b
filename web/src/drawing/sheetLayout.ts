import {
  projectBox,
  VIEW_NAMES,
  viewSize,
  type Flat,
  type FlatShape,
  type SceneBox,
  type ViewName,
} from '@inch-tower/core';

/** One view on the sheet, in px: its top left and its scale in px per mm. */
export type PlacedView = {
  readonly name: ViewName;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly large: boolean;
  readonly shapes: readonly FlatShape[];
};
export type SheetLayout = {
  readonly scale: number;
  readonly views: readonly PlacedView[];
  /** Left free for the table and the title block. */ readonly free: Flat2;
};
export type Flat2 = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
export type Focus = 'sheet' | ViewName;

export const RULER = 26;
const MARGIN = { left: 34, top: 30, right: 26, bottom: 26 };
const GAP = 46;
const KEY_WIDTH = 132;
const KEY_HEIGHT = 104;
const KEY_GAP = 22;

/** Three views in third-angle projection at one scale, or one view large with the others as keys beside it. */
export function layoutSheet(box: SceneBox, focus: Focus, width: number, height: number): SheetLayout {
  const area = {
    x: RULER + MARGIN.left,
    y: RULER + MARGIN.top,
    width: width - RULER - MARGIN.left - MARGIN.right,
    height: height - RULER - MARGIN.top - MARGIN.bottom,
  };
  return focus === 'sheet' ? threeViews(box, area) : oneLarge(box, focus, area);
}

/** How three views stand: in an L as they are projected, in a row, or in a column. */
type Arrangement = 'corner' | 'row' | 'column';
/** An L keeps edges under edges; another way must draw the machine larger by this much to be worth that. */
const WORTH = 1.05;

/** Three views at one scale, arranged so that the machine is drawn largest; the rest of the sheet is free. */
function threeViews(box: SceneBox, area: Flat2): SheetLayout {
  const { widthMm, heightMm, depthMm } = box.size;
  const scales: Record<Arrangement, number> = {
    corner: Math.min((area.width - GAP) / (widthMm + depthMm), (area.height - GAP) / (depthMm + heightMm)),
    row: Math.min((area.width - 2 * GAP) / (2 * widthMm + depthMm), area.height / Math.max(depthMm, heightMm)) / WORTH,
    column:
      Math.min(area.width / Math.max(widthMm, depthMm), (area.height - 2 * GAP) / (depthMm + 2 * heightMm)) / WORTH,
  };
  const best = (Object.keys(scales) as Arrangement[]).reduce((a, b) => (scales[b] > scales[a] ? b : a));
  const scale = Math.max(0.05, Math.min(scales[best] * (best === 'corner' ? 1 : WORTH), 2));
  const place = (name: ViewName, x: number, y: number): PlacedView => placed(box, name, x, y, scale, true);
  const plan = place('plan', area.x, area.y);
  if (best === 'row') {
    const front = place('front', plan.x + plan.width + GAP, area.y);
    const side = place('side', front.x + front.width + GAP, area.y);
    const y = area.y + Math.max(plan.height, front.height) + GAP;
    const under = { x: front.x, y: area.y + front.height + GAP, width: side.x + side.width - front.x };
    // Beside a deep plan there is room under the other two as well.
    const beside = Math.max(0, area.y + area.height - under.y);
    const below = Math.max(0, area.y + area.height - y);
    const free =
      beside * under.width > below * area.width
        ? { ...under, width: area.x + area.width - under.x, height: beside }
        : { x: area.x, y, width: area.width, height: below };
    return { scale, views: [plan, front, side], free };
  }
  const front = place('front', area.x, area.y + plan.height + GAP);
  if (best === 'column') {
    const side = place('side', area.x, front.y + front.height + GAP);
    const x = area.x + Math.max(plan.width, side.width) + GAP;
    const free = { x, y: area.y, width: Math.max(0, area.x + area.width - x), height: area.height };
    return { scale, views: [plan, front, side], free };
  }
  const side = place('side', area.x + plan.width + GAP, front.y);
  return {
    scale,
    views: [plan, front, side],
    free: { x: side.x, y: area.y, width: area.x + area.width - side.x, height: plan.height },
  };
}

/** The keys stand beside the large view or below it, whichever leaves that view larger. */
function oneLarge(box: SceneBox, focus: ViewName, area: Flat2): SheetLayout {
  const size = viewSize(focus, box.size);
  // What stands out above its outline, such as a card too high, is drawn clear of the ruler.
  const overMm = Math.max(0, ...projectBox(focus, box).map(({ yMm }) => -yMm));
  const scaleIn = (width: number, height: number) =>
    Math.max(0.05, Math.min(width / size.widthMm, height / (size.heightMm + overMm), 4));
  const beside = scaleIn(area.width - KEY_WIDTH - GAP, area.height - 60);
  const below = scaleIn(area.width, area.height - KEY_HEIGHT - 60);
  const scale = Math.max(beside, below);
  const large = placed(box, focus, area.x, area.y + overMm * scale, scale, true);
  let x = below > beside ? area.x : area.x + area.width - KEY_WIDTH;
  let y = below > beside ? large.y + large.height + 52 : area.y;
  const top = y;
  const keyWidth = below > beside ? Math.min(KEY_WIDTH, (area.width - 2 * KEY_GAP) / 3) : KEY_WIDTH;
  const keys = VIEW_NAMES.filter((name) => name !== focus).map((name) => {
    const own = viewSize(name, box.size);
    const key = placed(box, name, x, y, Math.min(keyWidth / own.widthMm, KEY_HEIGHT / own.heightMm), false);
    if (below > beside) x += key.width + KEY_GAP;
    else y += key.height + 30;
    return key;
  });
  const underKeys = top + KEY_HEIGHT + 34;
  const free =
    below > beside
      ? { x: area.x, y: underKeys, width: area.width, height: Math.max(0, area.y + area.height - underKeys) }
      : {
          x: area.x,
          y: large.y + large.height + 40,
          width: area.width - KEY_WIDTH - GAP,
          height: Math.max(0, area.y + area.height - large.y - large.height - 40),
        };
  return { scale: large.scale, views: [large, ...keys], free };
}

function placed(box: SceneBox, name: ViewName, x: number, y: number, scale: number, large: boolean): PlacedView {
  const size = viewSize(name, box.size);
  return {
    name,
    x,
    y,
    width: size.widthMm * scale,
    height: size.heightMm * scale,
    scale,
    large,
    shapes: projectBox(name, box),
  };
}

/** A rectangle of a view in px on the sheet. */
export const onSheet = (view: PlacedView, flat: Flat): Flat2 => ({
  x: view.x + flat.xMm * view.scale,
  y: view.y + flat.yMm * view.scale,
  width: flat.widthMm * view.scale,
  height: flat.heightMm * view.scale,
});

export const overlaps = (a: Flat2, b: Flat2, by = 0): boolean =>
  a.x < b.x + b.width + by && b.x < a.x + a.width + by && a.y < b.y + b.height + by && b.y < a.y + a.height + by;
