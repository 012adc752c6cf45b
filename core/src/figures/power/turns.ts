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
  const drives = drivesByBox(context).get(box) ?? [];
  const shifts = waveShifts(context, drives, spinUp);
  return drives.map((drive, i) => ({ drive, turnS: shifts[i] ?? 0 }));
}

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

/** Seconds each drive waits for its turn; one that cannot wait starts with the first. */
function waveShifts(context: FigureContext, drives: readonly Drive[], policy: SpinUp): readonly number[] {
  if (policy.kind !== 'waves') return [];
  const able = new Set(waiting(context));
  let turn = 0;
  return drives.map(({ id }) => (able.has(id) ? Math.floor(turn++ / policy.drives) * policy.everyS : 0));
}
