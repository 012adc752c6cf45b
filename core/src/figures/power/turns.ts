import { ofKind, type UnitOf } from '../../machine/units';
import { countsWith, type Box } from '../boxes';
import { classesOf, type FigureContext } from '../context';
import { memoWeak } from '../../memoLast';
import { waiting } from './stagger';

type Drive = UnitOf<'drive'>;

export type SpinUp = FigureContext['policy']['spinUp'];

/** The drives of a box, each with the seconds it waits for its turn under a policy, else that of the machine. */
export function turnsOf(
  context: FigureContext,
  box: Box,
  spinUp: SpinUp = context.policy.spinUp,
): readonly { readonly drive: Drive; readonly turnS: number }[] {
  return turnOrder(context, box).map(({ drive, place }) => ({ drive, turnS: turnAt(place, spinUp) }));
}

/** Seconds that one of the drives that wait, by its place among them, waits for its turn; the others start at once. */
export const turnAt = (place: number | null, spinUp: SpinUp): number =>
  place === null || spinUp.kind !== 'waves' ? 0 : Math.floor(place / spinUp.drives) * spinUp.everyS;

/** A drive of a box with its place among those that can wait; null where it cannot. */
export type Turn = { readonly drive: Drive; readonly place: number | null };

/** The drives of a box in the order of their turns. */
export const turnOrder = (context: FigureContext, box: Box): readonly Turn[] => orders(context).get(box) ?? [];

const orders = memoWeak((context: FigureContext): ReadonlyMap<Box, readonly Turn[]> => {
  const able = new Set(waiting(context));
  return new Map(
    [...drivesByBox(context)].map(([box, drives]) => {
      let next = 0;
      return [box, drives.map((drive): Turn => ({ drive, place: able.has(drive.id) ? next++ : null }))] as const;
    }),
  );
});

const drivesByBox = memoWeak((context: FigureContext): ReadonlyMap<Box, readonly Drive[]> => {
  const boxes = new Map(
    classesOf(context.running, context.units, context.layout).flatMap((one) => {
      const box = countsWith(context, one.box);
      return one.units.map((unit) => [unit, box] as const);
    }),
  );
  const found = new Map<Box, Drive[]>();
  for (const drive of ofKind(context.running, 'drive')) {
    if (!boxes.has(drive)) continue;
    const box = boxes.get(drive)!;
    const own = found.get(box);
    if (own) own.push(drive);
    else found.set(box, [drive]);
  }
  return found;
});
