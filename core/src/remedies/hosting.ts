import type { Assessor, AssessOptions } from '../assess';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { addItemEdit, type Catalogue } from '../build/newItem';
import { commit } from '../place/settle';
import { ofKind } from '../place/units';
import type { SheetId } from '../parts/ids';
import { allRemedies, type Remedy } from './remedies';

/** Whether a machine takes drives of another: how many find a bay, how many of those a lead, and what would help the rest. */
export type Hosting = { readonly drives: number; readonly placed: number; readonly connected: number; readonly all: boolean; readonly newBlockers: number; readonly ways: readonly Remedy[] };

/** The drives of a build that hold its pool, by sheet: those that would have to move together. */
export function poolDrives(build: Pick<Build, 'items' | 'sheets'>): { readonly sheet: SheetId; readonly count: number }[] {
  return build.items.filter((item) => build.sheets[item.sheet]?.kind === 'drive').flatMap((item) => {
    const count = item.units.filter(({ role }) => role === undefined || role === 'data' || role === 'meta').length;
    return count > 0 ? [{ sheet: item.sheet, count }] : [];
  });
}

/** Hangs drives on a machine as it stands and sees what becomes of them; the sheets come with `from`. */
export function hostDrives(build: Build, drives: readonly { readonly sheet: SheetId; readonly count: number }[], from: Catalogue, catalogue: Catalogue, assessor: Assessor, options: AssessOptions): Hosting {
  let { counter } = build;
  const edits = drives.map(({ sheet, count }): Edit => {
    const edit = addItemEdit({ ...build, counter }, from, sheet, count);
    counter = { next: counter.next + 1 + count, letter: counter.letter + 1 };
    return edit;
  });
  const count = drives.reduce((sum, one) => sum + one.count, 0);
  const step = commit(build, edits);
  if (!step.ok) return { drives: count, placed: 0, connected: 0, all: false, newBlockers: 0, ways: [] };
  const added = new Set(edits.flatMap((edit) => (edit.type === 'item.add' ? edit.item.units.map(({ id }) => id as string) : [])));
  const assessment = assessor.assess(step.build, options);
  const units = ofKind(assessment.units, 'drive').filter(({ id }) => added.has(id));
  const placed = units.filter(({ id }) => assessment.layout.at[id]).length;
  const loose = assessment.unconnected.filter(({ id }) => added.has(id)).length;
  const before = new Set(assessor.assess(build, options).snags.filter(({ severity }) => severity === 'blocker').map(({ key }) => key));
  const fresh = assessment.snags.filter(({ severity, key }) => severity === 'blocker' && !before.has(key));
  const ways = fresh[0] ? allRemedies({ build: step.build, assessment }, fresh[0], catalogue, assessor, options) : [];
  return { drives: count, placed, connected: placed - loose, all: placed === count && loose === 0, newBlockers: fresh.length, ways };
}
