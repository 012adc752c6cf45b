import { valueFor } from '../../lists';
import { dataDrives, rolesOf } from '../../machine/roles';
import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { classesOf } from '../context';
import { LAYOUTS, TERABYTE } from '../../pool/layouts';
import { leastBytes, likelyBytes, poolOf } from '../../pool/setsOf';

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

/** What records and a file system take of a set where nobody said how large records are. */
const PADDING = 'What records and the file system take';

/**
 * TB that the sets hold for data: parity, mirrors and what mixed sizes waste taken off (IEC 80000-13). Padding of
 * records is known where a set says their size, else it is the low end; so is what the file system keeps. Sets are
 * those of the build; without any, those proposed for the failures wished or, where none are, the usual ones. Null
 * without data drives.
 */
export function usableTb(context: FigureContext, ledger: Ledger): Quantity | null {
  const { sets, isProposed, loose } = poolOf(context);
  if (sets.length === 0) return loose.length > 0 ? ledger.given('No set is made', 0, 'TB') : null;
  const each = sets.map((told): Quantity => {
    const { set, drives, bytes } = told;
    const tb = ledger.given(
      `${set.id}: ${drives.length} drives, ${LAYOUTS[set.layout].words}`,
      bytes.data / TERABYTE,
      'TB',
    );
    const [likely, least] = [likelyBytes(told) / bytes.data || 0, leastBytes(told) / bytes.data || 0];
    const kept = ledger.given(PADDING, likely, '', { lo: least, hi: likely });
    return ledger.map(
      set.id,
      'TB',
      [tb, kept],
      'data of its drives × what padding leaves',
      (room, share) => room * share,
    );
  });
  const all = each.length === 1 ? each[0]! : ledger.sum('All sets', 'TB', each);
  const tib = Math.round((all.value * TERABYTE) / 2 ** 40);
  return { ...all, note: isProposed ? 'as proposed' : `${tib} TiB` };
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
