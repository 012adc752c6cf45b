import { ofKind, type PlannedUnit } from '../machine/units';
import type { FigureContext } from './context';

/** A chassis of the build, or null where there is none yet and everything lies on the table. */
export type Box = PlannedUnit | null;

/** Every box that parts run in: the chassis, or the table where there is none. */
export function boxesOf({ units }: Pick<FigureContext, 'units'>): readonly Box[] {
  const boxes = ofKind(units, 'chassis');
  return boxes.length > 0 ? boxes : [null];
}

/** The box a part counts with: its own; what lies on the table counts with the first. */
export const countsWith = (context: Pick<FigureContext, 'units'>, own: Box): Box => own ?? boxesOf(context)[0] ?? null;
