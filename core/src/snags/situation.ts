import { groupedBy, type NonEmpty } from '../lists';
import type { Build } from '../build/build';
import type { Layout, SpotRef } from '../build/layout';
import type { FigureContext } from '../figures/context';
import type { PoolFlows } from '../flow/flows';
import type { Figures } from '../figures/figures';
import type { CableNeeds } from '../needs/cables';
import type { SmallNeed } from '../needs/small';
import type { Place } from './finding';
import type { Outcome } from '../solve/problem';
import { boxOf, seatsOf } from '../machine/hosts';
import { ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';

/** What rules read: the arranged units, where they sit, the figures and the brief. */
export type Situation = {
  readonly units: readonly PlannedUnit[];
  readonly layout: Layout;
  readonly outcome: Outcome;
  readonly context: FigureContext;
  readonly figures: Figures;
  readonly flows: PoolFlows;
  readonly brief: Build['brief'];
  readonly pool: Build['pool'];
  readonly cables: CableNeeds;
  readonly small: readonly SmallNeed[];
  readonly profile: Build['profile'];
  readonly changes: Build['changes'];
  /** ISO date that ages are read at. */
  readonly asOf: string;
};

export const spotOf = (situation: Situation, unit: PlannedUnit): SpotRef | undefined =>
  seatSpot(situation.layout, unit);
/** Whether a unit has a place: its own, or built into a host. */
export const isSeated = (situation: Situation, unit: PlannedUnit): boolean =>
  !!situation.layout.at[unit.id] || !!unit.builtIn;
export const unitById = (situation: Situation, id: string) => unitsById(situation.units).get(id);

/** The chassis a seated unit is inside, with its unit. */
export function boxAround(situation: Situation, unit: PlannedUnit): UnitOf<'chassis'> | null {
  const spot = spotOf(situation, unit);
  const box = spot && boxOf(spot.host, seatsOf(situation.layout), situation.units);
  return box && box.part.kind === 'chassis' ? (box as UnitOf<'chassis'>) : null;
}

/** Keys of the chassis' features in use: bay groups with a drive or cage in them. */
export function occupiedFeatures(situation: Situation, box: PlannedUnit): Set<string> {
  return new Set(
    Object.values(situation.layout.at)
      .filter((seat) => seat.spot.host === box.id)
      .map((seat) => seat.spot.key),
  );
}

export const unplacedOf = (situation: Situation, kind: PlannedUnit['part']['kind']) =>
  situation.outcome.unplaced.filter((unit) => unit.part.kind === kind);
export const chassisOf = (situation: Situation) =>
  ofKind(situation.units, 'chassis').filter((unit) => situation.layout.at[unit.id]);
export const boardsOf = (situation: Situation) => ofKind(situation.units, 'board');
export const seatedBoard = (situation: Situation) => boardsOf(situation).find((unit) => isSeated(situation, unit));

/** Where the tags of some units hang. */
export const placesOf = (units: readonly PlannedUnit[]): Place[] => units.map(({ id }) => ({ unit: id }));

/** Units of one sheet together, in the order they are met. */
export function byPart<T extends PlannedUnit>(units: readonly T[]): NonEmpty<T>[] {
  return [...groupedBy(units, ({ part }) => part.id).values()];
}
