import type { FlatShape } from '@inch-tower/core';
import { onSheet, type PlacedView } from '../../../drawing/sheetLayout';
import { Cross } from '../../build/Cross';
import type { StruckView } from '../../build/useStruck';
import { isUnder } from './isUnder';

/** Crosses over everything that is struck out, in every view where nothing whole lies over it. */
export const StruckMarks = ({
  views,
  struck: { units },
}: {
  readonly views: readonly PlacedView[];
  readonly struck: StruckView;
}) => (
  <>
    {views.flatMap((view) =>
      view.shapes
        .filter(
          (shape, i) =>
            isStruck(shape, units) && !isUnder(shape, view.shapes.slice(i + 1), (one) => isStruck(one, units)),
        )
        .map((shape) => <Cross key={`${view.box}${view.name}${shape.solid.id}`} {...onSheet(view, shape)} />),
    )}
  </>
);

const isStruck = ({ solid }: FlatShape, units: ReadonlySet<string>): boolean =>
  solid.unit !== undefined && solid.unit !== null && solid.what !== 'shell' && units.has(solid.unit.id);
