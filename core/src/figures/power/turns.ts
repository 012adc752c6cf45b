import { ofKind, type UnitOf } from '../../machine/units';
import { countsWith, type Box } from '../boxes';
import { classesOf, type FigureContext } from '../context';
import { waiting } from './stagger';

type Drive = UnitOf<'drive'>;

export type SpinUp = FigureContext['policy']['spinUp'];

/** The drives of a box, each with the seconds it waits for its turn under a policy, else that of the machine. */
export function turnsOf(
  context: FigureContext,
  box: Box,
  spinUp: SpinUp = context.policy.spinUp,
): readonly { readonly drive: Drive; readonly turnS: number }[] {
  const own = new Set(
    classesOf(context.running, context.units, context.layout)
      .filter((one) => countsWith(context, one.box) === box)
      .flatMap((one) => one.units),
  );
  const drives = ofKind(context.running, 'drive').filter((unit) => own.has(unit));
  const shifts = waveShifts(context, drives, spinUp);
  return drives.map((drive, i) => ({ drive, turnS: shifts[i] ?? 0 }));
}

/** Seconds each drive waits for its turn; one that cannot wait starts with the first. */
function waveShifts(context: FigureContext, drives: readonly Drive[], policy: SpinUp): readonly number[] {
  if (policy.kind !== 'waves') return [];
  const able = new Set(waiting(context));
  let turn = 0;
  return drives.map(({ id }) => (able.has(id) ? Math.floor(turn++ / policy.drives) * policy.everyS : 0));
}
