import { wishGap, type Brief, type Catalogue } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import type { DeadEnd } from './deadEnds';
import { partOf } from './partOf';

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

/** Whether putting it brings a blocker that was not there. */
export const isBlocked = (row: GoingRow): boolean =>
  [...row.causes, ...row.worsens].some(({ severity }) => severity === 'blocker');

/**
 * Rows in the order asked for, those that bring a blocker after the others; by snags what misses the brief counts too.
 * Equal ones by money, then by name.
 */
export function sortRows(
  rows: readonly GoingRow[],
  sort: SortName,
  catalogue: Catalogue,
  brief: Brief = {},
  deadEnds: ReadonlyMap<string, DeadEnd> = new Map(),
): GoingRow[] {
  const misses = (row: GoingRow): number => {
    const sheet = catalogue.sheets[row.sheet];
    const gap = sheet && catalogue.archetypes[sheet.archetype] ? wishGap(partOf(catalogue, row.sheet), brief) : 0;
    return (gap > 0 ? BAD.caution + gap : 0) + BAD.caution * 2 * (deadEnds.get(row.sheet)?.share ?? 0);
  };
  const perTb = (row: GoingRow) => {
    const sheet = catalogue.sheets[row.sheet];
    const bytes = sheet?.kind === 'drive' ? sheet.capacityBytes : undefined;
    return bytes && sheet?.price ? sheet.price.minor / bytes : Infinity;
  };
  const by: Record<SortName, (row: GoingRow) => number> = {
    // Where a drive goes an adapter goes too, but it is the drive that is looked for.
    trouble: (row) =>
      trouble(row) + misses(row) + (catalogue.sheets[row.sheet]?.kind === 'adapter' ? 3 * BAD.caution : 0),
    money,
    idle: (row) => row.delta['power.idleWallW'] ?? 0,
    sound: (row) => row.delta['sound.earIdleDb'] ?? 0,
    perTb,
  };
  const worth = by[sort];
  return rows
    .map((row) => ({
      row,
      isLast: Number(isBlocked(row)),
      worth: worth(row),
      money: money(row),
      name: catalogue.sheets[row.sheet]?.name ?? row.sheet,
    }))
    .sort((a, b) => a.isLast - b.isLast || a.worth - b.worth || a.money - b.money || (a.name < b.name ? -1 : 1))
    .map(({ row }) => row);
}

/** Whether two sheets are of one kind: only such have facts to hold against one another. */
export const isOneKind = ({ sheets }: Catalogue, a: string, b: string): boolean => sheets[a]?.kind === sheets[b]?.kind;

/** A sheet set beside another, or taken away; of three the first goes. */
export const withBeside = (now: readonly string[], sheet: string): readonly string[] =>
  now.includes(sheet) ? now.filter((one) => one !== sheet) : [...now, sheet].slice(-2);
