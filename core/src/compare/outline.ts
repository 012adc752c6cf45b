import type { Assessment } from '../assess';
import { projectBox, viewSize, type Flat, type ViewName } from '../geometry/project';
import { sceneOf } from '../geometry/scene';
import type { Solid } from '../geometry/solid';

/** A rectangle of a view, mm from its top left. */
type OutlineShape = Flat & { readonly what: Solid['what']; readonly isEmpty: boolean };
/** A box as it is seen from the front and cut from the side, to be drawn beside others at one scale. */
export type Outline = {
  readonly name: string;
  readonly views: readonly {
    readonly view: 'front' | 'side';
    readonly widthMm: number;
    readonly heightMm: number;
    readonly shapes: readonly OutlineShape[];
  }[];
};

const VIEWS = ['front', 'side'] as const satisfies readonly ViewName[];

/** The boxes of a machine; none while it has no chassis. */
export function outlinesOf({ units, layout }: Pick<Assessment, 'units' | 'layout'>): Outline[] {
  return sceneOf(units, layout).boxes.map((box) => ({
    name: box.unit.part.name,
    views: VIEWS.map((view) => ({
      view,
      ...viewSize(view, box.size),
      shapes: projectBox(view, box).map(({ xMm, yMm, widthMm, heightMm, solid }) => ({
        xMm,
        yMm,
        widthMm,
        heightMm,
        what: solid.what,
        isEmpty: !solid.unit && solid.what !== 'backplane' && solid.what !== 'shell',
      })),
    })),
  }));
}
