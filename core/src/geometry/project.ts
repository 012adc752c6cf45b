import type { Size } from '../parts/geometry';
import type { Box } from './chassisPlan';
import type { SceneBox } from './scene';
import type { Solid } from './solid';

/**
 * The views of a three-view sheet in third-angle projection (ISO 128): plan above the front, the
 * right side beside it with its front edge nearest; the rear on call.
 */
export const VIEW_NAMES = ['plan', 'front', 'side', 'rear'] as const;
export type ViewName = (typeof VIEW_NAMES)[number];

/** A rectangle on paper in mm, y down from the view's top left. */
export type Flat = { readonly xMm: number; readonly yMm: number; readonly widthMm: number; readonly heightMm: number };
export type FlatShape = Flat & { readonly solid: Solid; readonly cut: boolean };

export function viewSize(view: ViewName, size: Size): { readonly widthMm: number; readonly heightMm: number } {
  if (view === 'plan') return { widthMm: size.widthMm, heightMm: size.depthMm };
  if (view === 'side') return { widthMm: size.depthMm, heightMm: size.heightMm };
  return { widthMm: size.widthMm, heightMm: size.heightMm };
}

function flatten(view: ViewName, box: Box, shell: Size): Flat {
  const top = shell.heightMm - box.yMm - box.heightMm;
  switch (view) {
    case 'plan':
      return { xMm: box.xMm, yMm: shell.depthMm - box.zMm - box.depthMm, widthMm: box.widthMm, heightMm: box.depthMm };
    case 'front':
      return { xMm: box.xMm, yMm: top, widthMm: box.widthMm, heightMm: box.heightMm };
    case 'side':
      return { xMm: box.zMm, yMm: top, widthMm: box.depthMm, heightMm: box.heightMm };
    case 'rear':
      return { xMm: shell.widthMm - box.xMm - box.widthMm, yMm: top, widthMm: box.widthMm, heightMm: box.heightMm };
  }
}

/** How near a solid is to the eye of a view: larger is nearer and drawn later. */
function nearness(view: ViewName, box: Box, standing: boolean): number {
  switch (view) {
    case 'plan':
      return box.yMm + box.heightMm;
    case 'front':
      return -box.zMm;
    // Before a standing board lie its cooler and cards: the section is seen from their side.
    case 'side':
      return standing ? -box.xMm : box.xMm + box.widthMm;
    case 'rear':
      return box.zMm + box.depthMm;
  }
}

/** How far behind a wall a thing still counts as being on it. */
const AT_WALL_MM = 40;

/** Whether a view shows a solid: a wall view only what is at that wall, plan and section the inside. */
function shows(view: ViewName, solid: Solid, shell: Size): boolean {
  const { box, what } = solid;
  if (what === 'shell') return true;
  if (what === 'io') return view === 'rear';
  if (view === 'front') return box.zMm < AT_WALL_MM && what !== 'backplane' && what !== 'tray' && what !== 'board';
  if (view === 'rear')
    return (
      box.zMm + box.depthMm > shell.depthMm - AT_WALL_MM &&
      what !== 'tray' &&
      what !== 'm2' &&
      what !== 'slot' &&
      what !== 'other' &&
      what !== 'memory'
    );
  return !(view === 'side' && (what === 'opening' || what === 'slot'));
}

/**
 * The solids of a box as rectangles of one view, farthest first. In the section, what the middle plane meets is cut.
 */
export function projectBox(view: ViewName, box: SceneBox): FlatShape[] {
  const middle = box.size.widthMm / 2;
  const standing = box.solids.some(({ what, box: one }) => what === 'board' && one.widthMm < one.heightMm);
  return box.solids
    .filter((solid) => shows(view, solid, box.size))
    .map((solid, i) => ({
      shape: {
        ...flatten(view, solid.box, box.size),
        solid,
        cut:
          view === 'side' &&
          solid.what !== 'shell' &&
          solid.box.xMm <= middle &&
          solid.box.xMm + solid.box.widthMm >= middle,
      },
      near: solid.what === 'shell' ? -Infinity : nearness(view, solid.box, standing),
      i,
    }))
    .sort((a, b) => a.near - b.near || a.i - b.i)
    .map(({ shape }) => shape);
}
