import { ofKind, type PlannedUnit } from '../../machine/units';
import { boxesOf, countsWith } from '../boxes';
import { classesOf, type FigureContext } from '../context';
import { Ledger, type Quantity } from '../quantity';
import { draw } from './draw';

/** Moments at which the current can change: the step edges of every drive, shifted by its wave. */
type Start = { readonly atS: number; readonly forS: number; readonly index: number };

/**
 * Peak current on the 12 V rail of the box that draws most while the drives start, in A. Null
 * without drives that start on 12 V.
 */
export function start12A(context: FigureContext, ledger: Ledger): Quantity | null {
  const boxes = boxesOf(context);
  if (boxes.length === 1) return boxStart12A(context, boxes[0]!, ledger);
  const quiet = new Ledger(false);
  const most = boxes
    .map((box) => ({ box, amps: boxStart12A(context, box, quiet)?.value ?? -1 }))
    .reduce((best, one) => (one.amps > best.amps ? one : best));
  return most.amps < 0 ? null : boxStart12A(context, most.box, ledger);
}

/**
 * The same for one box: each drive's step profile by the start policy, on top of the box at idle
 * with its fans at full.  A paced start is
 * counted as together until what it needs is checked.
 */
export function boxStart12A(context: FigureContext, box: PlannedUnit | null, ledger: Ledger): Quantity | null {
  const own = new Set(
    classesOf(context.running, context.units, context.layout)
      .filter((one) => countsWith(context, one.box) === box)
      .flatMap((one) => one.units),
  );
  const drives = ofKind(context.running, 'drive').filter((unit) => own.has(unit));
  const starts = drives.flatMap((drive, index): Start[] =>
    drive.part.spinUp
      .filter((step) => step.a12 > 0)
      .map((step) => ({ atS: step.atS + waveShiftS(context, index), forS: step.forS, index })),
  );
  if (starts.length === 0) return null;
  const currentAt = (second: number) =>
    drives.map((drive, index) => {
      const since = second - waveShiftS(context, index);
      const step = drive.part.spinUp.find((one) => since >= one.atS && since < one.atS + one.forS);
      return { drive, amps: step ? step.a12 : since > 0 ? drive.part.idle12A : 0, starting: !!step };
    });
  const worst = [...new Set(starts.map((one) => one.atS))].reduce((best, second) =>
    total(currentAt(second)) > total(currentAt(best)) ? second : best,
  );
  const at = currentAt(worst);
  const classes = new Map<string, { count: number; amps: number; starting: boolean; drive: (typeof drives)[number] }>();
  for (const one of at) {
    const key = `${one.drive.part.id}|${one.amps}|${one.starting}`;
    const had = classes.get(key);
    classes.set(key, { count: (had?.count ?? 0) + 1, amps: one.amps, starting: one.starting, drive: one.drive });
  }
  const lines = [...classes.values()]
    .filter((one) => one.amps > 0)
    .map(({ count, amps, starting, drive }) =>
      ledger.times(
        `${count} × ${drive.part.name}, ${starting ? 'starting' : 'turning'}`,
        starting ? ledger.fact(drive.part, 'spinUp', amps, 'spinUp.a12') : ledger.fact(drive.part, 'idle12A'),
        count,
      ),
    );
  return ledger.sum(
    '12 V at the start of all drives',
    'A',
    [...lines, restOf12A(context, box, ledger)],
    `at ${worst.toFixed(1)} s`,
  );
}

const total = (list: readonly { readonly amps: number }[]) => list.reduce((sum, one) => sum + one.amps, 0);

function waveShiftS(context: Pick<FigureContext, 'policy'>, index: number): number {
  const policy = context.policy.spinUp;
  return policy.kind === 'waves' ? Math.floor(index / policy.drives) * policy.everyS : 0;
}

function restOf12A(context: FigureContext, box: PlannedUnit | null, ledger: Ledger): Quantity {
  const lines = draw(context, 'idle', 1, ledger).filter(
    (line) => countsWith(context, line.of.box) === box && line.of.part.kind !== 'drive' && line.share12 > 0,
  );
  const watts = ledger.sum(
    'The rest on 12 V',
    'W',
    lines.map((line) => ledger.times(line.of.part.name, line.watts, line.share12)),
  );
  return ledger.map('The rest of the machine', 'A', [watts], 'W / 12 V', (value) => value / 12);
}
