import type { Build } from '../../build/build';
import type { PartOf } from '../../parts/resolve';
import { isKind } from '../../machine/units';
import { dataDrives } from '../../machine/roles';
import { LAYOUTS, type PoolSet } from '../../pool/layouts';
import { joinings } from '../../pool/joining';
import { asSets, proposeSets } from '../../pool/propose';
import { toldOf } from '../../pool/setsOf';
import type { Proposal } from '../../snags/snag';
import { about, swaps } from '../guesses';
import { equals } from './equals';
import { none, type Propose, type Proposes } from './shared';

/** Another drive of the same size, interface and at least the capacity, that has what this one lacks. */
const otherDrives =
  (goes: (part: PartOf<'drive'>) => boolean): Propose =>
  (base, snag, catalogue) =>
    about(base, snag)
      .slice(0, 1)
      .flatMap((unit) =>
        isKind(unit, 'drive')
          ? swaps(
              base,
              catalogue,
              unit,
              'drive',
              (part) =>
                part.size === unit.part.size &&
                part.interface === unit.part.interface &&
                part.medium === unit.part.medium &&
                part.capacityBytes >= unit.part.capacityBytes &&
                goes(part),
            )
          : [],
      );

/** Sets anew from all data drives, by the failures wished or the most that the sets of now survive. */
const setsAnew: Propose = ({ build, assessment: { units } }) => {
  const made = build.pool.sets.map((set) => toldOf(set, units).any);
  const failures = build.brief.failuresSurvived ?? (made.length > 0 ? Math.max(...made) : undefined);
  return setsOf(build.pool, asSets(proposeSets(dataDrives(units), failures)), ANEW);
};
const ANEW = 'Lay all data drives out anew; a pool in use is copied off first';

/** Drives that are in no set put into one that is kept, or into sets of their own. */
const looseInSets: Propose = ({ build, assessment: { units } }) => {
  const inSome = new Set<string>(build.pool.sets.flatMap((set) => set.units));
  const loose = new Set(dataDrives(units).flatMap(({ id }) => (inSome.has(id) ? [] : [id as string])));
  return joinings(units, build.pool.sets, loose, build.brief.failuresSurvived)
    .filter(({ isWide }) => !isWide)
    .flatMap(({ into, sets }) =>
      setsOf(build.pool, sets, into ? joinWords(into, loose.size) : 'Make a set of the drives that are in none'),
    );
};

const joinWords = ({ id, layout, units }: PoolSet, more: number): string => {
  const then = units.length + more;
  return LAYOUTS[layout].kind === 'parity'
    ? `Widen ${id} to ${then} drives; not every software can with data on it`
    : `Put them in ${id}: ${then} drives then`;
};

const setsOf = (pool: Build['pool'], sets: readonly PoolSet[], words: string): Proposal[] =>
  sets.length === 0 ? [] : [{ words, edits: [{ type: 'set.pool', value: { ...pool, sets: [...sets] } }] }];

/** The same drive with more writes allowed than it lacks. */
const moreEndurance: Propose<'lasts.endurance'> = (base, snag, catalogue) =>
  otherDrives((part) => part.enduranceTb !== null && part.enduranceTb >= snag.facts.tbPerYear * (snag.gap?.limit ?? 0))(
    base,
    snag,
    catalogue,
  );

/** Guesses for the snags of this family. */
export const LASTS = {
  'lasts.shingled': otherDrives((part) => !part.shingled),
  'lasts.ratedBays': (base, snag, catalogue) =>
    otherDrives((part) => part.ratedBays === null || part.ratedBays >= (snag.gap?.have ?? 0))(base, snag, catalogue),
  'lasts.worn': none,
  'lasts.alone': none,
  'lasts.system': none,
  'lasts.log': otherDrives((part) => part.powerLossSafe),
  'lasts.cache': none,
  'lasts.spare': none,
  'lasts.set': setsAnew,
  'lasts.weakest': setsAnew,
  'lasts.loose': looseInSets,
  'lasts.endurance': moreEndurance,
  'lasts.software': none,
  'lasts.writeBack': none,
  'lasts.bridge': none,
  'lasts.aged': none,
  'lasts.notSold': (base, snag, catalogue) => equals(base, about(base, snag)[0], catalogue),
} as const satisfies Proposes;
