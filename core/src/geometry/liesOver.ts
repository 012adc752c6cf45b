import type { Layout, Seat } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { boxOf, seatsOf } from '../machine/hosts';
import { cardPlace, m2Place, memoryPlace, type BoardPlace } from './boardPlan';
import { layOut, onBoard, supplyBox, type Box } from './chassisPlan';
import { isCard, isKind, isModule, moduleLengthMm, ofKind, type PlannedUnit, type UnitOf } from '../machine/units';

type Box3 = Omit<Box, 'assumed'>;
/** Modules of a board that cannot rise out of their sockets, and what lies over them. */
export type LyingOver = {
  readonly board: UnitOf<'board'>;
  readonly under: readonly PlannedUnit[];
  readonly over: readonly PlannedUnit[];
};

/**
 * An M.2 module goes into its socket at about 25 degrees (PCI-SIG M.2): its free end rises by so much of its length.
 */
const M2_RISE = Math.sin((25 * Math.PI) / 180);
/** Less than that is a matter of bending. */
const TOUCH_MM = 2;

/** Said only where sheets state the places: of assumed ones nobody knows what lies over what. */
export function lyingOver(units: readonly PlannedUnit[], layout: Layout): readonly LyingOver[] {
  const at = seatsOf(layout);
  return ofKind(units, 'board').flatMap((board): LyingOver[] => {
    const box = boxOf(board.id, at, units);
    if (!box || !isKind(box, 'chassis')) return [];
    const plan = layOut(box.part);
    if (plan.board.assumed) return [];
    const inBoard = ({ from, size }: BoardPlace): Box3 => onBoard(plan.board, from, size);
    const modules: readonly PlannedUnit[] = [...ofKind(units, 'memory'), ...units.filter(isModule)];
    const rising = modules.flatMap((unit) => {
      const spot = at.get(unit.id)?.spot;
      const rise = spot?.host === board.id ? riseOf(board.part, spot.key, spot.n ?? 1, unit) : null;
      return rise ? [{ unit, box: inBoard(rise) }] : [];
    });
    if (rising.length === 0) return [];
    const lying = bodies(units, at, board, box, inBoard);
    const pairs = rising.flatMap(({ unit, box: column }) =>
      lying.filter(({ box: body }) => meet(column, body)).map(({ unit: over }) => ({ unit, over })),
    );
    return pairs.length === 0
      ? []
      : [{ board, under: unique(pairs.map(({ unit }) => unit)), over: unique(pairs.map(({ over }) => over)) }];
  });
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)];

/** The room over a module that it needs to come out: its own height, or the way of its free end. */
function riseOf(board: PartOf<'board'>, key: string, n: number, unit: PlannedUnit): BoardPlace | null {
  const m2 = board.m2Sockets.findIndex((socket) => socket.key === key);
  const place = key === 'memory' ? memoryPlace(board, n) : m2 >= 0 ? m2Place(board, m2, moduleLengthMm(unit)) : null;
  if (!place || place.assumed) return null;
  const upMm = key === 'memory' ? place.size.wMm : place.size.uMm * M2_RISE;
  return {
    ...place,
    from: { ...place.from, wMm: place.from.wMm + place.size.wMm },
    size: { ...place.size, wMm: upMm },
  };
}

/** What could lie over a board: its cards, the supply, and what is in bays that are not hot swap. */
function bodies(
  units: readonly PlannedUnit[],
  at: ReadonlyMap<string, Seat>,
  board: UnitOf<'board'>,
  box: UnitOf<'chassis'>,
  inBoard: (place: BoardPlace) => Box3,
): { readonly unit: PlannedUnit; readonly box: Box3 }[] {
  const plan = layOut(box.part);
  const inBays = new Set(
    box.part.bayGroups.filter(({ access, at: place }) => access !== 'hotSwap' && place).map(({ key }) => key),
  );
  const supplyBays = new Map(
    box.part.supplyBays.filter(({ outside, at: place }) => !outside && place).map((bay) => [bay.key, bay]),
  );
  return units.flatMap((unit): { unit: PlannedUnit; box: Box3 }[] => {
    const { part } = unit;
    // Of the hundreds of units of a rack few could lie over its board.
    if (
      !isCard(part) &&
      part.kind !== 'supply' &&
      (inBays.size === 0 || (part.kind !== 'drive' && part.kind !== 'adapter'))
    )
      return [];
    const spot = at.get(unit.id)?.spot;
    if (isCard(part)) {
      const slot = spot?.host === board.id ? board.part.slots.find(({ key }) => key === spot.key) : undefined;
      return slot ? [{ unit, box: inBoard(cardPlace(board.part, slot, part)) }] : [];
    }
    const cell = spot?.host === box.id ? plan.cells.get(`${spot.key}.${spot.n ?? 1}`) : undefined;
    if (!spot || !cell || cell.assumed) return [];
    const bay = supplyBays.get(spot.key);
    if (part.kind === 'supply') return bay ? [{ unit, box: supplyBox(cell, bay, part) }] : [];
    return inBays.has(spot.key) ? [{ unit, box: cell }] : [];
  });
}

const meet = (a: Box3, b: Box3): boolean =>
  within(a.xMm, a.widthMm, b.xMm, b.widthMm) &&
  within(a.yMm, a.heightMm, b.yMm, b.heightMm) &&
  within(a.zMm, a.depthMm, b.zMm, b.depthMm);
const within = (a: number, sizeA: number, b: number, sizeB: number): boolean =>
  Math.min(a + sizeA, b + sizeB) - Math.max(a, b) > TOUCH_MM;
