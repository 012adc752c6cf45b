import { briefAt } from './build/stageBrief';
import type { Build } from './build/build';
import type { Layout } from './build/layout';
import { busyWith, failuresOf, type FigureContext } from './figures/context';
import { runningUnits } from './machine/running';
import {
  createFigureStage,
  explainFigure,
  keyedFigures,
  type KeyedFigure,
  roomStage,
  type Explanation,
  type FigureId,
  type Figures,
} from './figures/figures';
import { printFor, withOperatingPoint } from './figures/operatingPoint';
import { feedWith } from './figures/power/feeds';
import { yearLossOf, type YearLoss } from './figures/power/year';
import { sharesOf, type Share } from './figures/shares';
import { poolFlows, type PoolFlows } from './flow/flows';
import type { UnitId } from './parts/ids';
import { memoLast } from './memoLast';
import { plugPlans, type PlugPlan } from './figures/power/plugPlan';
import { cableNeeds, type CableNeeds } from './needs/cables';
import { smallNeeds, type SmallNeed } from './needs/small';
import { openThings, type OpenThing, type Status } from './open';
import { checkLayout } from './solve/checkLayout';
import { memoAlike } from './solve/likeness';
import { boxedCables, problemOf, type Outcome, type Problem } from './solve/problem';
import { solve } from './solve/solve';
import { unconnectedDrives } from './links/unconnected';
import { hasPlaces, type PlannedUnit } from './machine/units';
import { findSnags } from './snags/registry';
import type { Snag } from './snags/snag';

export type Assessment = {
  readonly status: Status;
  readonly units: readonly PlannedUnit[];
  /** The stored layout, or a solved one where the stored can no longer stand. */
  readonly layout: Layout;
  readonly stored: boolean;
  readonly unplaced: readonly PlannedUnit[];
  readonly unconnected: readonly PlannedUnit[];
  readonly needs: CableNeeds;
  readonly small: readonly SmallNeed[];
  readonly figures: Figures;
  readonly snags: readonly Snag[];
  readonly open: readonly OpenThing[];
};
export type AssessOptions = { /** ISO date that ages and prices are read at. */ readonly asOf: string };
export type Assessor = {
  assess(build: Build, options: AssessOptions): Assessment;
  explain(build: Build, id: FigureId): Explanation | null;
  /** What a figure is made of, the most first. */
  shares(build: Build, id: FigureId): readonly Share[];
  /** What figures of a build are computed from, for views that reckon more than the tapes show. */
  context(build: Build): FigureContext;
  /** Which plug of which cable feeds what, for each box with a supply. */
  plugs(build: Build): readonly PlugPlan[];
  /** What a supply turns to heat in a year; null where it feeds no box. */
  yearLoss(build: Build, supply: UnitId): YearLoss | null;
  /** Figures of each state and box, which no candidate is weighed by. */
  keyed(build: Build): readonly KeyedFigure[];
};

/** The same object every time, so that stages know it again. */
const NO_RATES: NonNullable<Build['rates']> = {};
const NO_READINGS: Build['readings'] = [];

type Placed = { readonly layout: Layout; readonly stored: boolean; readonly outcome: Outcome };

const problemFrom = (
  items: Build['items'],
  sheets: Build['sheets'],
  archetypes: Build['archetypes'],
  changes: Build['changes'],
  stage: number,
): Problem => problemOf({ items, sheets, archetypes, changes, stage });

/** The stored layout where it stands, else a solved one. */
function placeFrom(problem: Problem, layout: Layout, stands: boolean): Placed {
  const { units } = problem;
  if (!stands) {
    const outcome = solve(problem, layout);
    return { layout: outcome.layout, stored: false, outcome };
  }
  const unplaced = units.filter((unit) => !unit.builtIn && hasPlaces(unit) && !layout.at[unit.id]);
  const { unconnected, conflict } = unconnectedDrives(units, layout);
  const status = unplaced.length || unconnected.length ? 'partial' : 'solved';
  return { layout, stored: true, outcome: { status, layout, unplaced, unconnected, moved: [], conflict } };
}

const needsFrom = (
  units: readonly PlannedUnit[],
  wires: Layout['wires'],
  sheets: Build['sheets'],
  archetypes: Build['archetypes'],
): CableNeeds =>
  cableNeeds(
    units,
    wires,
    boxedCables(units, sheets, archetypes).map(({ part }) => part),
  );

/** What figures read of a build, each by itself: an edit of anything else leaves the context what it was. */
const contextFrom = (
  units: readonly PlannedUnit[],
  layout: Layout,
  running: readonly PlannedUnit[],
  site: Build['site'],
  policy: Build['policy'],
  pool: Build['pool'],
  workShare: number | undefined,
  currency: string,
  rates: NonNullable<Build['rates']>,
  copies: number,
  bundles: Build['bundles'],
  failuresWished: number | undefined,
  services: Build['brief']['services'],
  { needs }: CableNeeds,
  small: readonly SmallNeed[],
  kit: string,
  readings: Build['readings'],
): FigureContext =>
  withOperatingPoint(
    {
      ...{ units, layout, running, site, policy, pool, currency, rates, copies, bundles, needs, small },
      ...(workShare === undefined ? {} : { workShare }),
      ...failuresOf(failuresWished),
      ...busyWith(services),
    },
    kit,
    readings,
  );

const snagsFrom = (
  context: FigureContext,
  outcome: Outcome,
  figures: Figures,
  brief: Build['brief'],
  pool: Build['pool'],
  cables: CableNeeds,
  changes: Build['changes'],
  flows: PoolFlows,
  profile: Build['profile'],
  asOf: string,
): readonly Snag[] => {
  const { units, layout, small } = context;
  return findSnags({
    units,
    layout,
    outcome,
    context,
    figures,
    flows,
    profile,
    brief,
    pool,
    cables,
    small,
    changes,
    asOf,
  });
};

type Prepared = {
  readonly units: readonly PlannedUnit[];
  readonly placed: Placed;
  readonly needs: CableNeeds;
  readonly small: readonly SmallNeed[];
  readonly context: FigureContext;
  readonly full: FigureContext & { readonly room: ReturnType<typeof roomStage>; readonly flows: PoolFlows };
};

/** All before figures, each stage with its last answer. */
function createPreparing(): (build: Build) => Prepared {
  const problemStage = memoLast(problemFrom);
  const standing = memoAlike((units, layout) => checkLayout({ units }, layout).length === 0);
  const placeStage = memoLast((problem: Problem, layout: Layout) =>
    placeFrom(problem, layout, standing(problem.units, layout)),
  );
  const runningStage = memoLast(runningUnits);
  const room = memoLast(roomStage);
  const flowStage = memoLast(poolFlows);
  const needsStage = memoLast(needsFrom);
  const smallStage = memoLast(smallNeeds);
  const contextStage = memoLast(contextFrom);
  return (build) => {
    const problem = problemStage(build.items, build.sheets, build.archetypes, build.changes, build.stage);
    const { units } = problem;
    const placed = placeStage(problem, build.layout);
    const needs = needsStage(units, placed.layout.wires, build.sheets, build.archetypes);
    const small = smallStage(units, placed.layout, build.site, build.sheets, build.archetypes);
    const context = contextStage(
      units,
      placed.layout,
      runningStage(units, placed.layout),
      build.site,
      build.policy,
      build.pool,
      build.profile.workShare,
      build.currency,
      build.rates ?? NO_RATES,
      build.copies,
      build.bundles,
      build.brief.failuresSurvived,
      build.brief.services,
      needs,
      small,
      printFor(build),
      build.readings.length > 0 ? build.readings : NO_READINGS,
    );
    const flows = flowStage(units, placed.layout, build.pool, build.brief.failuresSurvived, build.site.links);
    return { units, placed, needs, small, context, full: { ...context, room: room(units, placed.layout), flows } };
  };
}

/**
 * The pipeline: resolve → layout → needs → figures → rules → open. Each stage keeps its last
 * answer and runs again only when its narrow inputs change. Cold and warm answers are equal.
 */
export function createAssessor(): Assessor {
  const prepare = createPreparing();
  const figureStage = createFigureStage();
  const ruleStage = memoLast(snagsFrom);
  const openStage = memoLast(openThings);
  return {
    assess(build, { asOf }) {
      const { units, placed, needs, small, context, full } = prepare(build);
      const { layout, stored, outcome } = placed;
      const figures = figureStage(full);
      const snags = ruleStage(
        context,
        outcome,
        figures,
        briefAt(build),
        build.pool,
        needs,
        build.changes,
        full.flows,
        build.profile,
        asOf,
      );
      const open = openStage(units, layout);
      const { unplaced, unconnected } = outcome;
      const status = statusOf(units, snags, open);
      return { status, units, layout, stored, unplaced, unconnected, needs, small, figures, snags, open };
    },
    explain: (build, id) => explainFigure(id, prepare(build).full),
    shares: (build, id) => sharesOf(id, prepare(build).context),
    context: (build) => prepare(build).context,
    plugs: (build) => plugPlans(prepare(build).context),
    yearLoss(build, supply) {
      const { context } = prepare(build);
      const feed = feedWith(context, supply);
      return feed ? yearLossOf(context, feed, build.profile, build.tariff) : null;
    },
    keyed: (build) => keyedFigures(prepare(build).full),
  };
}

/** A build's assessment from nothing kept. Total: any build that passes the schema gets one. */
export const assess = (build: Build, options: AssessOptions): Assessment => createAssessor().assess(build, options);

function statusOf(units: readonly PlannedUnit[], snags: readonly Snag[], open: readonly OpenThing[]): Status {
  if (units.length === 0) return 'empty';
  if (snags.some((snag) => snag.severity === 'blocker')) return 'blocked';
  return open.length > 0 ? 'partsMissing' : 'clear';
}
