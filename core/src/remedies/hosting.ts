import type { Assessor, AssessOptions } from '../assess';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { ofKind } from '../machine/units';
import type { SheetId } from '../parts/ids';
import type { Snag } from '../snags/snag';
import { allRemedies } from './remedies';
import { weigh, type Base, type Weighed } from './weigh';

/**
 * Whether a machine takes drives of another: how many find a bay, how many of those a cable, how many more would still
 * have room, what troubles come with them, and what would let all of them in. Every way brings the drives with it,
 * as owned parts; `alone` brings nothing but them, null where not one finds a bay.
 */
export type Hosting = {
  readonly drives: number;
  readonly placed: number;
  readonly connected: number;
  readonly all: boolean;
  readonly roomAfter: number;
  readonly newBlockers: number;
  readonly troubles: readonly Snag[];
  readonly alone: Weighed | null;
  readonly ways: readonly (Weighed & { readonly title: string })[];
};

/** The drives of a build that hold its pool, by sheet: those that would have to move together. */
export function poolDrives(
  build: Pick<Build, 'items' | 'sheets'>,
): { readonly sheet: SheetId; readonly count: number }[] {
  return build.items
    .filter((item) => build.sheets[item.sheet]?.kind === 'drive')
    .flatMap((item) => {
      const count = item.units.filter(({ role }) => role === undefined || role === 'data' || role === 'meta').length;
      return count > 0 ? [{ sheet: item.sheet, count }] : [];
    });
}

/** Hangs drives on a machine as it stands and sees what becomes of them; the sheets come with `from`. */
export function hostDrives(
  build: Build,
  drives: readonly { readonly sheet: SheetId; readonly count: number }[],
  from: Catalogue,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Hosting {
  let { counter } = build;
  const edits = drives.map(({ sheet, count }): Edit => {
    const edit = addItemEdit({ ...build, counter }, from, sheet, count, { deal: 'owned' });
    counter = { next: counter.next + 1 + count, letter: counter.letter + 1 };
    return edit;
  });
  const count = drives.reduce((sum, one) => sum + one.count, 0);
  const before = assessor.assess(build, options);
  const base: Base = { build, assessment: before };
  const alone = weigh(base, edits, assessor, options);
  if (!alone.ok)
    return {
      drives: count,
      placed: 0,
      connected: 0,
      all: false,
      roomAfter: 0,
      newBlockers: 0,
      troubles: [],
      alone: null,
      ways: [],
    };
  const added = new Set(
    edits.flatMap((edit) => (edit.type === 'item.add' ? edit.item.units.map(({ id }) => id as string) : [])),
  );
  const assessment = assessor.assess(alone.after, options);
  const units = ofKind(assessment.units, 'drive').filter(({ id }) => added.has(id));
  const placed = units.filter(({ id }) => assessment.layout.at[id]).length;
  const loose = assessment.unconnected.filter(({ id }) => added.has(id)).length;
  const known = new Set(before.snags.map(({ key }) => key));
  const fresh = assessment.snags.filter(({ key }) => !known.has(key));
  const blockers = fresh.filter(({ severity }) => severity === 'blocker');
  const remedies = blockers[0]
    ? allRemedies({ build: alone.after, assessment }, blockers[0], catalogue, assessor, options)
    : [];
  // To leave them out is no way to take them in.
  const goesOut = (edit: Edit) => edit.type === 'units.remove' && edit.units.some((id) => added.has(id));
  const ways = remedies
    .filter((one) => !one.edits.some(goesOut))
    .flatMap(({ title, edits: more }) => {
      const weighed = weigh(base, [...edits, ...more], assessor, options);
      return weighed.ok ? [{ ...weighed, title }] : [];
    });
  // Drives without a place or a port are counted already.
  const troubles = fresh.filter(
    ({ code, severity }) => severity !== 'note' && code !== 'fits.driveInBay' && code !== 'reaches.portsShort',
  );
  return {
    drives: count,
    placed,
    connected: placed - loose,
    all: placed === count && loose === 0,
    roomAfter: assessment.figures['drives.room']?.value ?? 0,
    newBlockers: blockers.length,
    troubles,
    alone: placed > 0 ? alone : null,
    ways,
  };
}
