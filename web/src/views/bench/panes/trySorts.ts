import type { Catalogue, Sheet } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';

export const SORTS = {
  trouble: 'fewest snags',
  money: 'price',
  idle: 'idle W',
  sound: 'quietest',
  perTb: 'price per TB',
} as const;
export type SortName = keyof typeof SORTS;

const BAD = { blocker: 100, caution: 10, note: 1 } as const;
const trouble = (row: GoingRow) =>
  row.causes.reduce((sum, effect) => sum + BAD[effect.severity], 0) +
  row.worsens.reduce((sum, effect) => sum + BAD[effect.severity] / 2, 0) -
  row.cures.reduce((sum, effect) => sum + BAD[effect.severity], 0);
const money = (row: GoingRow) => row.delta['cost.now'] ?? 0;

/** Rows in the order asked for; equal ones by money, then by name. */
export function sortRows(rows: readonly GoingRow[], sort: SortName, catalogue: Catalogue): GoingRow[] {
  const perTb = (row: GoingRow) => {
    const sheet = catalogue.sheets[row.sheet] as Sheet | undefined;
    const bytes = sheet?.kind === 'drive' ? sheet.capacityBytes : undefined;
    return bytes && sheet?.price ? sheet.price.minor / bytes : Infinity;
  };
  const by: Record<SortName, (row: GoingRow) => number> = {
    trouble,
    money,
    idle: (row) => row.delta['power.idleWallW'] ?? 0,
    sound: (row) => row.delta['sound.earIdleDb'] ?? 0,
    perTb,
  };
  const nameOf = (row: GoingRow) => catalogue.sheets[row.sheet]?.name ?? row.sheet;
  return [...rows].sort((a, b) => by[sort](a) - by[sort](b) || money(a) - money(b) || (nameOf(a) < nameOf(b) ? -1 : 1));
}
