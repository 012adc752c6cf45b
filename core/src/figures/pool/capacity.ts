import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { classesOf } from '../context';

const TERABYTE = 1e12;
const COUNTED = new Set(['data', 'spare']);

/** Raw capacity of the data drives in TB (IEC 80000-13: 10¹² bytes). Null without any. */
export function rawTb(context: FigureContext, ledger: Ledger): Quantity | null {
  const drives = ofKind(context.units, 'drive').filter((unit) => COUNTED.has(unit.role ?? 'data'));
  if (drives.length === 0) return null;
  const classes = classesOf(drives, context.units, context.layout);
  return ledger.sum(
    'Raw capacity of data drives',
    'TB',
    classes.map(({ part, units }) =>
      ledger.times(
        `${units.length} × ${part.name}`,
        ledger.map(part.name, 'TB', [ledger.fact(part, 'capacityBytes')], 'bytes / 10¹²', (bytes) => bytes / TERABYTE),
        units.length,
      ),
    ),
  );
}
