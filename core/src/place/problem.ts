import type { Layout } from '../build/layout';
import { plannedUnits, type PlannedUnit, type UnitSections } from './units';

/** What the solver is asked: the units of the stage. Where they were is the hint. */
export type Problem = { readonly units: readonly PlannedUnit[] };

/** One reason in a conflict, in classes: "9 SATA drives", "8 ports". `units` are those it is about. */
export type ConflictFact = { readonly kind: 'drives' | 'ports' | 'portsOff' | 'bays' | 'cards' | 'slots' | 'held'; readonly count: number; readonly label: string; readonly units: readonly string[] };

export type Outcome = {
  readonly status: 'solved' | 'partial' | 'undecided';
  readonly layout: Layout;
  /** Units without a place, in the order of the kit. */
  readonly unplaced: readonly PlannedUnit[];
  /** Seated drives no lead reaches. */
  readonly unconnected: readonly PlannedUnit[];
  /** Put units that had to give way: said to the builder. */
  readonly moved: readonly PlannedUnit[];
  readonly conflict: readonly ConflictFact[] | null;
};

export const problemOf = (build: UnitSections): Problem => ({ units: plannedUnits(build) });
