import type { Build } from '../build/build';
import type { Layout } from '../build/layout';
import { memoLast } from '../memoLast';
import { resolve, type PartOf } from '../parts/resolve';
import { isOfKind, CABLE_KINDS } from '../links/cableKinds';
import type { ConflictFact } from '../links/unconnected';
import { ofKind, plannedUnits, type PlannedUnit, type UnitSections } from '../machine/units';

/**
 * What the solver is asked: the units of the stage, and the cables in the kit and in the boxes of its parts. Where the
 * units were is the hint.
 */
export type Problem = { readonly units: readonly PlannedUnit[]; readonly owned?: ReadonlyMap<string, number> };

export type Outcome = {
  readonly status: 'solved' | 'partial' | 'undecided';
  readonly layout: Layout;
  /** Units without a place, in the order of the kit. */
  readonly unplaced: readonly PlannedUnit[];
  /** Seated drives no cable reaches. */
  readonly unconnected: readonly PlannedUnit[];
  /** Put units that had to give way: said to the builder. */
  readonly moved: readonly PlannedUnit[];
  readonly conflict: readonly ConflictFact[] | null;
};

export const problemOf = (build: UnitSections): Problem => {
  const units = plannedUnits(build);
  return { units, owned: ownedCables(units, build.sheets, build.archetypes) };
};

/** A cable that lies in the box of a part, by that part's name. */
export type BoxedCable = { readonly part: PartOf<'cable'>; readonly of: string };

/** Cables that lie in the boxes of a kit's parts. */
export function boxedCables(
  units: readonly PlannedUnit[],
  sheets: Build['sheets'],
  archetypes: Build['archetypes'],
): BoxedCable[] {
  return units.flatMap((unit) =>
    unit.part.inTheBox.flatMap((inner) => {
      const sheet = sheets[inner.sheet];
      const archetype = sheet && archetypes[sheet.archetype];
      const part = sheet && archetype && resolve(sheet, archetype);
      return part?.kind === 'cable' ? Array<BoxedCable>(inner.count).fill({ part, of: unit.part.name }) : [];
    }),
  );
}

/** How many cables of each kind are there already; a cable that makes two kinds counts as either. */
const ownedCables = memoLast(
  (
    units: readonly PlannedUnit[],
    sheets: Build['sheets'],
    archetypes: Build['archetypes'],
  ): ReadonlyMap<string, number> => {
    const owned = new Map<string, number>();
    for (const cable of [
      ...ofKind(units, 'cable').map((unit) => unit.part),
      ...boxedCables(units, sheets, archetypes).map(({ part }) => part),
    ]) {
      for (const kind of CABLE_KINDS) if (isOfKind(cable, kind)) owned.set(kind.id, (owned.get(kind.id) ?? 0) + 1);
    }
    return owned;
  },
);
