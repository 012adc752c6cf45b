import { valueFor } from '../../lists';
import { dataDrives, rolesOf } from '../../machine/roles';
import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { classesOf } from '../context';

const TERABYTE = 1e12;
const COUNTED = new Set(['data', 'spare']);

/** Raw capacity of the data drives in TB (IEC 80000-13: 10¹² bytes), spares with them. Null without any. */
export function rawTb(context: FigureContext, ledger: Ledger): Quantity | null {
  const roles = rolesOf(context.units);
  return sumTb(
    context,
    'Raw capacity of data drives',
    ofKind(context.units, 'drive').filter(({ id }) => COUNTED.has(valueFor(roles, id))),
    ledger,
  );
}

/**
 * The most TB that any layout of the data drives can use when it survives the failure of any `failuresSurvived` of
 * them: what is left has to hold all data whichever fail, so also when the largest do. Free space, padding and metadata
 * take from it. Null without data drives.
 */
export function mostTb(context: FigureContext, ledger: Ledger): Quantity | null {
  const { failuresSurvived } = context;
  const drives = [...dataDrives(context.units)].sort((a, b) => b.part.capacityBytes - a.part.capacityBytes);
  if (drives.length === 0) return null;
  const left = drives.slice(failuresSurvived);
  const most = sumTb(
    context,
    failuresSurvived > 0
      ? `Data drives without the ${failuresSurvived === 1 ? 'largest' : `${failuresSurvived} largest`}`
      : 'Data drives',
    left,
    ledger,
  );
  return {
    ...(most ?? ledger.given('Nothing is left', 0, 'TB')),
    ...(failuresSurvived > 0 ? { note: `any ${failuresSurvived} may fail` } : {}),
  };
}

function sumTb(
  context: FigureContext,
  label: string,
  drives: ReturnType<typeof dataDrives>,
  ledger: Ledger,
): Quantity | null {
  if (drives.length === 0) return null;
  const classes = classesOf(drives, context.units, context.layout);
  return ledger.sum(
    label,
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
