import type { Flat2 } from './arrangements';

/** What stands in the free part of the sheet: the title block, and the rest for table and parts of figures. */
export type Corner = { readonly title: Flat2; readonly rest: Flat2 };

const TITLE = { width: 330, height: 84 };
const TITLE_LEAST = 150;
const GAP = 12;
/** What the parts of a figure take, which is left beside or over the title block. */
export const CORNER = { width: 236, height: 112 };

/** The title block at the foot of the free part, or at its end where it is wide and low; none where it has no room. */
export function cornerOf(free: Flat2): Corner {
  const none = { x: free.x, y: free.y + free.height, width: 0, height: 0 };
  if (free.height < TITLE.height || free.width < TITLE_LEAST) return { title: none, rest: free };
  const besideWidth = free.width - CORNER.width - GAP;
  if (free.height < TITLE.height + GAP + CORNER.height && besideWidth >= TITLE_LEAST) {
    const width = Math.min(TITLE.width, besideWidth);
    return {
      title: { x: free.x + free.width - width, y: free.y + free.height - TITLE.height, width, height: TITLE.height },
      rest: { ...free, width: free.width - width - GAP },
    };
  }
  return {
    title: {
      x: free.x,
      y: free.y + free.height - TITLE.height,
      width: Math.min(TITLE.width, free.width),
      height: TITLE.height,
    },
    rest: { ...free, height: free.height - TITLE.height - GAP },
  };
}
