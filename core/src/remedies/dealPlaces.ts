import type { Assessor, AssessOptions } from '../assess';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { goneOf } from '../figures/power/gone';
import { powerBoxes } from '../figures/power/plugRows';
import type { UnitId } from '../parts/ids';
import { singlesOf, type Struck } from '../pool/breaks';
import { dealSets, losing } from '../pool/deal';
import { groupsOf, LAYOUTS } from '../pool/layouts';
import { poolOf, type Drive, type SetTold } from '../pool/setsOf';
import { commit } from '../solve/settle';
import { partsAlike } from '../solve/likeness';
import { exchanged } from '../solve/partners';
import { wiringFor } from '../wiring/wiring';

/** Drives moved to other bays, their sets as they are, and the things that then take no set with them any more. */
export type MovedOut = {
  readonly edits: readonly Edit[];
  /** Marks of the drives that move, each with that of the drive whose place it takes. */
  readonly moves: readonly { readonly mark: string; readonly to: string }[];
  readonly saved: readonly Struck[];
  readonly left: number;
};

/**
 * Where a single card, cable, cage or feed takes a set with it: drives alike change places, so that it does not, each
 * group to the places it has most of; nothing that is on them is written anew. Weighed on the machine after the move.
 * Null where no such move leaves fewer, or where it would need a drive that is held or of another sheet.
 */
export function dealtPlaces(build: Build, assessor: Assessor, options: AssessOptions): MovedOut | null {
  const before = standing(build, assessor, options);
  if (before.sets.length === 0 || before.lose.length === 0) return null;
  const dealt = dealSets(before.assessment, before.wiring, before.gone, before.sets);
  const standIn = movesTo(before.sets, dealt);
  const drives = new Map(before.sets.flatMap(({ drives: own }) => own.map((drive) => [drive.id as string, drive])));
  const { layout } = before.assessment;
  const isFree = ([unit, place]: readonly [string, string]): boolean => {
    const [one, other] = [drives.get(unit), drives.get(place)];
    return !!one && !!other && partsAlike(one.part, other.part) && layout.at[unit]?.how !== 'held';
  };
  if (standIn.size === 0 || ![...standIn].every(isFree)) return null;
  const edits: Edit[] = [{ type: 'layout.set', layout: exchanged(layout, standIn, 'put') }];
  const step = commit(build, edits);
  if (!step.ok) return null;
  const after = standing(step.build, assessor, options);
  const stillLose = new Set(after.lose.map(nameOf));
  if (after.lose.length >= before.lose.length) return null;
  return {
    edits,
    moves: [...standIn].map(([unit, place]) => ({ mark: drives.get(unit)!.mark, to: drives.get(place)!.mark })),
    saved: before.lose.filter((one) => !stillLose.has(nameOf(one))),
    left: after.lose.length,
  };
}

const nameOf = ({ things: [thing] }: Struck): string => thing?.key ?? '';

function standing(build: Build, assessor: Assessor, options: AssessOptions) {
  const assessment = assessor.assess(build, options);
  const { sets } = poolOf(assessor.context(build));
  const wiring = wiringFor(build, assessment);
  const gone = goneOf(assessor.context(build), powerBoxes(assessor.plugs(build), assessment.units));
  return { assessment, sets, wiring, gone, lose: losing(singlesOf(assessment, wiring, gone, sets)) };
}

/** Drives that fail together: all of a set, of mirrors each group and what has no partner. `like` are exchangeable. */
type Cell = { readonly like: string; readonly drives: readonly Drive[] };

const cellsOf = (sets: readonly SetTold[]): Cell[] =>
  sets.flatMap(({ set, drives }) => {
    const { kind, spare } = LAYOUTS[set.layout];
    const groups = kind === 'mirror' ? groupsOf(drives, spare + 1) : [drives];
    const over = drives.slice(groups.reduce((sum, group) => sum + group.length, 0));
    return [...groups, ...(over.length > 0 ? [over] : [])].map((own): Cell => {
      const sheets = [...new Set(own.map(({ part }) => part.id))].sort();
      return { like: `${set.layout} ${own.length} ${sheets.join()}`, drives: own };
    });
  });

/**
 * Who takes whose place so that every group has the places of one that was dealt. Each takes those of which it has the
 * most already, and who sits on one of them stays.
 */
function movesTo(sets: readonly SetTold[], dealt: readonly SetTold[]): Map<string, UnitId> {
  const [own, free] = [cellsOf(sets), cellsOf(dealt)];
  const pairs = own
    .flatMap((mine) => free.filter(({ like }) => like === mine.like).map((places) => ({ mine, places })))
    .map((pair) => ({ ...pair, alike: pair.places.drives.filter((drive) => pair.mine.drives.includes(drive)).length }))
    .sort((a, b) => b.alike - a.alike);
  const [seated, taken] = [new Set<Cell>(), new Set<Cell>()];
  const standIn = new Map<string, UnitId>();
  for (const { mine, places } of pairs) {
    if (seated.has(mine) || taken.has(places)) continue;
    seated.add(mine);
    taken.add(places);
    const open = places.drives.filter((drive) => !mine.drives.includes(drive));
    for (const [i, drive] of mine.drives.filter((one) => !places.drives.includes(one)).entries())
      if (open[i]) standIn.set(drive.id, open[i].id);
  }
  // A group of drives that nothing dealt is like would leave others without a place.
  return seated.size === own.length ? standIn : new Map();
}
