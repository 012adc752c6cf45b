import { isKind, ofKind, type PlannedUnit } from '../machine/units';
import { goesBetween, type CableEnd, type CableKind } from './cableKinds';
import { throughConnectors } from './passOn';

/** Where cables may be led through a wall: into these boxes, and out of others. */
export type Brackets = { readonly into: ReadonlySet<string>; readonly outOf: boolean };

/**
 * Brackets are thought of where nothing plain reaches: into a box without a board of its own, and out of a box where
 * outside ports are fewer than shelves that hang on no other. Elsewhere they would never be better, and the search is
 * spared them.
 */
export function bracketsWanted(units: readonly PlannedUnit[], boxOf: (unit: PlannedUnit) => string | null): Brackets {
  const boarded = new Set(ofKind(units, 'board').map(boxOf));
  const boxes = ofKind(units, 'chassis');
  const ports = ofKind(units, 'controller')
    .flatMap(({ part }) => part.connectors)
    .filter(({ side, lanes, carries }) => side === 'outside' && lanes > 1 && carries.includes('sas'))
    .reduce((sum, { count }) => sum + count, 0);
  const shelves = boxes.filter(({ part }) =>
    part.bayGroups.some(({ backplane }) =>
      backplane?.connectors.some(({ side, lanes }) => side === 'outside' && lanes > 1),
    ),
  );
  const chained = shelves.filter((unit) => isKind(unit, 'chassis') && throughConnectors(unit.part).length > 0).length;
  const heads = shelves.length - chained + Math.min(1, chained);
  return {
    into: new Set<string>(boxes.filter(({ id }) => !boarded.has(id)).map(({ id }) => id)),
    outOf: heads > ports,
  };
}

/** Whether a cable goes from a port to an end, through a bracket only where one is thought of. */
export const leadsBetween = (cable: CableKind, port: CableEnd, end: CableEnd, { into, outOf }: Brackets): boolean =>
  goesBetween(cable, port, end) &&
  (cable.bracketAt === undefined || (cable.bracketAt === 'host' ? outOf : end.box !== null && into.has(end.box)));
