import {
  projectBox,
  VIEW_NAMES,
  viewSize,
  type Flat,
  type FlatShape,
  type SceneBox,
  type ViewName,
} from '@inch-tower/core';
import { largestFree, pack, scaleFor, type Flat2, type Packed, type Packing } from './arrangements';
import { CORNER, cornerOf } from './corner';
import { FOCUS_WORDS, type Focus } from './foci';

/** One view on the sheet, in px: its top left and its scale in px per mm. */
export type PlacedView = {
  readonly name: ViewName;
  /** Unit id of the box it shows. */ readonly box: string;
  /** What is written over it. */ readonly title: string;
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
  /** Left free for the table and what figures are made of. */ readonly free: Flat2;
};

export const RULER = 26;
const MARGIN = { left: 28, top: 24, right: 12, bottom: 24 };
const GAP = 42;
const KEY_WIDTH = 132;
const KEY_HEIGHT = 104;
const KEY_GAP = 22;
const MOST_SCALE = 2;

const areaOf = (width: number, height: number): Flat2 => ({
  x: RULER + MARGIN.left,
  y: RULER + MARGIN.top,
  width: width - RULER - MARGIN.left - MARGIN.right,
  height: height - RULER - MARGIN.top - MARGIN.bottom,
});

/** The machine's boxes in three views each at one scale, or one view of the first large with the others as keys. */
export function layoutSheet(boxes: readonly SceneBox[], focus: Focus, width: number, height: number): SheetLayout {
  const area = areaOf(width, height);
  const [first] = boxes;
  if (first && focus !== 'sheet') return oneLarge(first, focus, area);
  const { scale, views, free } = arrange(boxes, area);
  return {
    scale,
    views: views.map(({ leaf, x, y }) => placed(leaf.box, leaf.name, x, y, scale, true, boxes.length > 1)),
    free,
  };
}

/** More boxes than this at once are too small to work in. */
const MOST_BOXES = 3;
/** So much smaller than alone a box may become when the others are drawn beside it. */
const SMALLEST = 0.3;

/** The boxes three views show at once: all of them where each stays large enough, else the one asked for. */
export function drawnTogether(
  boxes: readonly SceneBox[],
  asked: SceneBox,
  width: number,
  height: number,
): readonly SceneBox[] {
  if (boxes.length < 2) return boxes;
  if (boxes.length > MOST_BOXES) return [asked];
  const area = areaOf(width, height);
  const alone = Math.max(...boxes.map((box) => arrange([box], area).scale));
  return arrange(boxes, area).scale >= SMALLEST * alone ? boxes : [asked];
}

type Leaf = { readonly box: SceneBox; readonly name: ViewName };
/** Ways to stand three views of a box; the first is the L in which edges lie under edges. */
const WAYS: readonly ((box: SceneBox) => Packing<Leaf>)[] = [
  (box) => ({ column: [leafOf(box, 'plan'), { row: [leafOf(box, 'front'), leafOf(box, 'side')] }] }),
  (box) => ({ row: [leafOf(box, 'plan'), { column: [leafOf(box, 'front'), leafOf(box, 'side')] }] }),
  (box) => ({ row: [leafOf(box, 'plan'), leafOf(box, 'front'), leafOf(box, 'side')] }),
  (box) => ({ column: [leafOf(box, 'plan'), leafOf(box, 'front'), leafOf(box, 'side')] }),
];
/** Another way than the L must draw the machine larger by this much to be worth it. */
const WORTH_OTHER = 1.05;
/** A way that leaves no corner for what figures are made of must draw it larger by this much. */
const WORTH_CORNER = 1.5;

type Arranged = { readonly scale: number; readonly views: readonly Packed<Leaf>[]; readonly free: Flat2 };

/** Three views of each box at one scale, arranged so that they are drawn largest; the rest of the sheet is free. */
function arrange(boxes: readonly SceneBox[], area: Flat2): Arranged {
  // The largest first: what is worth less even with a corner need not be looked at.
  const tried = packingsOf(boxes)
    .map(({ packing, isL }) => {
      const scale = scaleFor(packing, area, GAP, MOST_SCALE);
      return { packing, scale, most: isL ? scale : scale / WORTH_OTHER };
    })
    .sort((a, b) => b.most - a.most);
  let best: { readonly arranged: Arranged; readonly worth: number } | null = null;
  for (const { packing, scale, most } of tried) {
    if (best && most <= best.worth) break;
    const views = pack(packing, area.x, area.y, scale, GAP);
    const free = largestFree(area, views, GAP * 0.8, CORNER);
    const { rest } = cornerOf(free);
    const hasCorner = rest.width >= CORNER.width && rest.height >= CORNER.height;
    const worth = hasCorner ? most : most / WORTH_CORNER;
    if (!best || worth > best.worth) best = { arranged: { scale, views, free }, worth };
  }
  return best?.arranged ?? { scale: 1, views: [], free: area };
}

/** Every way to stand the boxes' views, the boxes in a row or in a column. */
function packingsOf(boxes: readonly SceneBox[]): { readonly packing: Packing<Leaf>; readonly isL: boolean }[] {
  let ways: { readonly parts: readonly Packing<Leaf>[]; readonly isL: boolean }[] = [{ parts: [], isL: true }];
  for (const box of boxes)
    ways = ways.flatMap(({ parts, isL }) =>
      WAYS.map((way, i) => ({ parts: [...parts, way(box)], isL: isL && i === 0 })),
    );
  return ways.flatMap(({ parts, isL }) =>
    parts.length === 1
      ? parts.map((packing) => ({ packing, isL }))
      : [
          { packing: { row: parts }, isL },
          { packing: { column: parts }, isL },
        ],
  );
}

function leafOf(box: SceneBox, name: ViewName): Packing<Leaf> {
  return { leaf: { box, name }, ...viewSize(name, box.size) };
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

function placed(
  box: SceneBox,
  name: ViewName,
  x: number,
  y: number,
  scale: number,
  large: boolean,
  isOneOfMore = false,
): PlacedView {
  const size = viewSize(name, box.size);
  return {
    name,
    box: box.unit.id,
    title: titleFor(box, name, size.widthMm * scale, isOneOfMore),
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

/** Px a letter of a title takes. */
const TITLE_CHARACTER = 8.4;

/** The view's name; of several boxes the plan says which one it shows, the others its mark, where there is room. */
function titleFor({ unit }: SceneBox, name: ViewName, width: number, isOneOfMore: boolean): string {
  const view = FOCUS_WORDS[name];
  if (!isOneOfMore) return view;
  const ways = [
    ...(name === 'plan' ? [`${unit.part.name} ${unit.mark}: ${view.toLowerCase()}`] : []),
    `${unit.mark}: ${view.toLowerCase()}`,
  ];
  return ways.find((title) => title.length * TITLE_CHARACTER <= width) ?? view;
}

/** Where the title of a view is written, over its corner. */
export const titleOf = ({ x, y, title }: PlacedView): Flat2 => ({
  x,
  y: y - 20,
  width: title.length * TITLE_CHARACTER,
  height: 18,
});
