import {
  drivesReached,
  fewestDrives,
  hasNoSupply,
  isClassSheet,
  mostTbIn,
  mostTbWith,
  type Catalogue,
  type Part,
  type PartOf,
  type PlannedUnit,
} from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import { partOf } from './partOf';

/** Why a part leads nowhere here, and how far: 1 where it cannot serve, less where it does in part. */
export type DeadEnd = { readonly words: string; readonly share: number };

/** On a shelf in a rack a box stands, too. */
const NOT_FOR_RACK = 0.5;
const NO_SUPPLY = 'No supply on sale that goes into this chassis starts it';
const NO_BOARD = 'Takes no board: it stands beside a machine';

/** Free places of the kind that is asked for, the room wished and the failures to survive. */
export type RoomWish = {
  readonly places: number;
  readonly tb: number | undefined;
  readonly failures: number;
  /** Whether disks are out of the question. */ readonly allFlash?: boolean;
  /** Whether it is to stand in the place of what is there. */ readonly isReplacing?: boolean;
  /** Whether the machine stands in a rack. */ readonly inRack?: boolean;
};

/**
 * Rows whose part leads nowhere in this machine, and why: boards that no supply for its chassis starts, shelves where
 * there is no machine yet to hang them on, drives that are too small for the room wished even in every free place.
 */
export function deadEndsOf(
  rows: readonly GoingRow[],
  catalogue: Catalogue,
  units: readonly PlannedUnit[],
  wish: RoomWish = { places: 0, tb: undefined, failures: 0 },
): ReadonlyMap<string, DeadEnd> {
  const ofKind = (kind: string) => rows.filter(({ sheet }) => catalogue.sheets[sheet]?.kind === kind);
  const [boards, chassis] = [ofKind('board'), ofKind('chassis')];
  const found = new Map<string, DeadEnd>();
  if (chassis.length > 0 && !units.some(({ part }) => takesBoard(part)))
    for (const { sheet } of chassis)
      if (!takesBoard(partOf(catalogue, sheet))) found.set(sheet, { words: NO_BOARD, share: 1 });
  if (boards.length > 0) {
    const supplies = Object.values(catalogue.sheets)
      .filter(({ kind }) => kind === 'supply')
      .map(({ id }) => partOf(catalogue, id) as PartOf<'supply'>);
    for (const { sheet } of boards)
      if (hasNoSupply(partOf(catalogue, sheet), units, supplies)) found.set(sheet, { words: NO_SUPPLY, share: 1 });
  }
  for (const [sheet, end] of roomEnds(chassis, boards, catalogue, units, wish))
    if (!found.has(sheet)) found.set(sheet, end);
  // A snag says so already: here it only stands behind.
  if (wish.inRack)
    for (const { sheet } of chassis) {
      const part = partOf(catalogue, sheet);
      const { words, share } = found.get(sheet) ?? { words: '', share: 0 };
      if (part.kind === 'chassis' && part.rackUnits === null) found.set(sheet, { words, share: share + NOT_FOR_RACK });
    }
  const { places, tb, failures } = wish;
  if (tb !== undefined && places > 0)
    for (const { sheet } of ofKind('drive')) {
      const part = partOf(catalogue, sheet);
      const most = part.kind === 'drive' ? mostTbWith(part, places, units, failures) : Infinity;
      if (most >= tb) continue;
      found.set(sheet, {
        words: `With ${places} more at most ${Number(most.toFixed(1))} of ${tb} TB wished`,
        share: 1 - most / tb,
      });
    }
  return found;
}

/** Cages bring the room, and cost money and bays: such a chassis stands behind one that has it. */
const SHORT_OF_CAGES = 0.5;

/** Chassis whose bays, and boards whose ports, cannot come to the room wished with any drives on sale. */
function roomEnds(
  chassis: readonly GoingRow[],
  boards: readonly GoingRow[],
  catalogue: Catalogue,
  units: readonly PlannedUnit[],
  { tb, failures, allFlash = false, isReplacing = false }: RoomWish,
): readonly (readonly [string, DeadEnd])[] {
  if (tb === undefined || chassis.length + boards.length === 0) return [];
  const drives = Object.values(catalogue.sheets).flatMap(({ id, kind }) => {
    const part = kind === 'drive' && !isClassSheet(id) ? partOf(catalogue, id) : null;
    return part?.kind === 'drive' && !(allFlash && part.medium === 'disk') ? [part] : [];
  });
  if (drives.length === 0) return [];
  // A second box adds its room to that of the first.
  const isFirst = isReplacing || !units.some(({ part }) => part.kind === 'chassis');
  const ofChassis = (isFirst ? chassis : []).flatMap(({ sheet }): [string, DeadEnd][] => {
    const part = partOf(catalogue, sheet);
    if (part.kind !== 'chassis') return [];
    const { plain, caged } = mostTbIn(part, drives, failures);
    if (plain >= tb) return [];
    const hold = `Its bays hold at most ${Number(plain.toFixed(1))} of ${tb} TB wished`;
    return caged >= tb
      ? [[sheet, { words: `${hold}, more with cages`, share: SHORT_OF_CAGES }]]
      : [[sheet, { words: hold, share: 1 + (1 - caged / tb) }]];
  });
  const own = units.find(({ part }) => part.kind === 'chassis')?.part;
  const least = own?.kind === 'chassis' ? fewestDrives(own, drives, tb, failures) : null;
  const ofBoards = boards.flatMap(({ sheet }): [string, DeadEnd][] => {
    const part = partOf(catalogue, sheet);
    const reached = part.kind === 'board' && least !== null ? drivesReached(part) : Infinity;
    if (least === null || part.kind !== 'board' || reached >= least) return [];
    const over = part.slots.length > 0 ? ', others over conventional PCI' : '';
    return [[sheet, { words: `Reaches ${reached} drives${over}; ${tb} TB take ${least} at the least`, share: 1 }]];
  });
  return [...ofChassis, ...ofBoards];
}
const takesBoard = (part: Part): boolean => part.kind === 'chassis' && part.boardHoles.length > 0;
