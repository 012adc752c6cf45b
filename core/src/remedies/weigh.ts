import { valueFor } from '../lists';
import type { Assessment, Assessor, AssessOptions } from '../assess';
import type { Refusal } from '../build/refusal';
import type { Build, Item } from '../build/build';
import type { Edit } from '../build/edits';
import { FIGURE_IDS, type FigureId, type Figures } from '../figures/figures';
import { commit } from '../solve/settle';
import type { Snag } from '../snags/snag';

/**
 * What edits would do to a build: snags by code cured, made milder, caused or made worse; figures after and their
 * change.
 */
export type Weighed = {
  readonly ok: true;
  readonly edits: readonly Edit[];
  readonly words: string;
  readonly cures: readonly Snag[];
  readonly eases: readonly Snag[];
  readonly causes: readonly Snag[];
  readonly worsens: readonly Snag[];
  readonly delta: Readonly<Partial<Record<FigureId, number>>>;
  readonly figures: Figures;
  readonly blockersAfter: number;
  readonly after: Build;
};
/** Where things are: enough to make edits with. */
export type Standing = { readonly build: Build; readonly assessment: Pick<Assessment, 'units' | 'layout'> };
export type Base = {
  readonly build: Build;
  readonly assessment: Assessment;
  /** Parts in stock that are free, by sheet: they are proposed before those to buy. */ readonly owned?: Readonly<
    Record<string, Owned>
  >;
};
/** Where an owned part comes from and how old it is. */
export type Owned = Pick<Item, 'stockId' | 'year' | 'hours' | 'condition'>;

/** Assess before and after: nothing is changed. */
export function weigh(
  base: Base,
  edits: readonly Edit[],
  assessor: Assessor,
  options: AssessOptions,
): Weighed | Refusal {
  const step = commit(base.build, edits);
  if (!step.ok) return step;
  const after = assessor.assess(step.build, options);
  return {
    ok: true,
    edits,
    words: step.words,
    ...compareSnags(base.assessment.snags, after.snags),
    delta: deltas(base.assessment.figures, after.figures),
    figures: after.figures,
    blockersAfter: after.snags.filter((snag) => snag.severity === 'blocker').length,
    after: step.build,
  };
}

const RANK = { note: 0, caution: 1, blocker: 2 } as const;
/** How bad trouble is: its severity first, then by how much the limit is passed. */
const badness = (snag: Snag) => RANK[snag.severity] * 1e6 - (snag.gap?.gap ?? 0);

/** Snags of one code are one trouble: more places or a larger gap make it worse, not another. */
function compareSnags(
  before: readonly Snag[],
  after: readonly Snag[],
): Pick<Weighed, 'cures' | 'eases' | 'causes' | 'worsens'> {
  const worst = (snags: readonly Snag[]) => {
    const byCode = new Map<string, { snag: Snag; badness: number }>();
    for (const snag of snags) {
      const had = byCode.get(snag.code);
      const sum = badness(snag) + (had?.badness ?? 0);
      byCode.set(snag.code, { snag: had && badness(had.snag) >= badness(snag) ? had.snag : snag, badness: sum });
    }
    return byCode;
  };
  const was = worst(before);
  const is = worst(after);
  return {
    cures: [...was].filter(([code]) => !is.has(code)).map(([, one]) => one.snag),
    eases: [...is]
      .filter(([code, one]) => was.has(code) && one.badness < valueFor(was, code).badness - 1e-9)
      .map(([, one]) => one.snag),
    causes: [...is].filter(([code]) => !was.has(code)).map(([, one]) => one.snag),
    worsens: [...is]
      .filter(([code, one]) => was.has(code) && one.badness > valueFor(was, code).badness + 1e-9)
      .map(([, one]) => one.snag),
  };
}

function deltas(before: Figures, after: Figures): Partial<Record<FigureId, number>> {
  return Object.fromEntries(
    FIGURE_IDS.flatMap((id) => {
      const change = (after[id]?.value ?? 0) - (before[id]?.value ?? 0);
      return after[id] || before[id] ? [[id, change]] : [];
    }),
  );
}
