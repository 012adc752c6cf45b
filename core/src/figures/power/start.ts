import { memberAt } from '../../lists';
import { boxesOf, countsWith, type Box } from '../boxes';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, type Quantity } from '../quantity';
import { currents, together, type DriveCurrent } from './currents';
import { draw } from './draw';

/**
 * Peak current on the 12 V rail of the box that draws most while the drives start, in A. Null
 * without drives that start on 12 V.
 */
export function start12A(context: FigureContext, ledger: Ledger): Quantity | null {
  const boxes = boxesOf(context);
  if (boxes.length === 1) return boxStart12A(context, memberAt(boxes, 0), ledger);
  const quiet = new Ledger(false);
  const most = boxes
    .map((box) => ({ box, amps: boxStart12A(context, box, quiet)?.value ?? -1 }))
    .reduce((best, one) => (one.amps > best.amps ? one : best));
  return most.amps < 0 ? null : boxStart12A(context, most.box, ledger);
}

/**
 * The same for one box: its drives by the start policy, on top of the host in its self-test, near busy, fans at full.
 */
export const boxStart12A = (context: FigureContext, box: Box, ledger: Ledger): Quantity | null =>
  kept(context, ledger, `12 V ${box?.id}`, () => start12Afresh(context, box, ledger));

function start12Afresh(context: FigureContext, box: Box, ledger: Ledger): Quantity | null {
  const { momentsS, at: currentsAt } = currents(context, box, '12 V');
  if (momentsS.length === 0) return null;
  const worst = momentsS.reduce((best, second) =>
    together(currentsAt(second)) > together(currentsAt(best)) ? second : best,
  );
  const at = currentsAt(worst);
  const classes = new Map<string, { count: number; amps: number; starting: boolean; drive: DriveCurrent['drive'] }>();
  for (const one of at) {
    const key = `${one.drive.part.id}|${one.amps}|${one.isStarting}`;
    const had = classes.get(key);
    classes.set(key, {
      count: (had?.count ?? 0) + one.count,
      amps: one.amps,
      starting: one.isStarting,
      drive: one.drive,
    });
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

/** What all but the drives takes on 12 V while they start, A. */
export function restOf12A(context: FigureContext, box: Box, ledger: Ledger): Quantity {
  const lines = draw(context, 'start', ledger).filter(
    (line) => countsWith(context, line.of.box) === box && line.of.part.kind !== 'drive' && line.share12 > 0,
  );
  const watts = ledger.sum(
    'The rest on 12 V',
    'W',
    lines.map((line) => ledger.times(line.of.part.name, line.watts, line.share12)),
  );
  return ledger.map('The rest of the machine', 'A', [watts], 'W / 12 V', (value) => value / 12);
}
