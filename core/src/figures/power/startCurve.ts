import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import { feedsOf, type Feed } from './feeds';
import { memoWeak } from '../../memoLast';
import type { PartOf } from '../../parts/resolve';
import { boxesOf } from '../boxes';
import { chainsHold } from './chainStart';
import { plugPlans } from './plugPlan';
import { Ledger } from '../quantity';
import { driveA, phaseAt, phases, startClasses, turnsOn, type Rail } from './currents';
import { mainsRatedW, most12A, restAtStartA } from './rails';
import { waiting } from './stagger';
import { restOf12A } from './start';
import { feedLossW, losesByRail, mainsFactor, modulesOf, supplyLossW } from './supplyLoss';
import { turnAt, turnOrder, type SpinUp } from './turns';
import { likelyW, restAtStartW } from './wall';

export type { SpinUp };
/** Likely load of a feed from a second of its start until the next: A on each rail, W at the outputs and the wall. */
type StartStep = {
  readonly atS: number;
  readonly a: Readonly<Record<Rail, number>>;
  readonly insideW: number;
  readonly wallW: number;
};
/** What a feed gives: A on each rail and W in all; null where its sheet does not say. */
type StartLimits = { readonly a: Readonly<Record<Rail, number | null>>; readonly insideW: number };
export type StartCurve = {
  readonly steps: readonly StartStep[];
  /** Seconds until the last drive has spun up; until it answers it may take as long again. */ readonly readyS: number;
  readonly limits: StartLimits | null;
};

const RAILS: readonly Rail[] = ['12 V', '5 V', '3.3 V'];

/**
 * Low rails of modules come from one board: their limits are those of one. A brick limits what its converter gives, by
 * its W less what the converter loses of them, and 12 V that are passed through by all of its W.
 */
function limitsOf({ site }: FigureContext, { supply, sharing, brick }: Feed): StartLimits | null {
  if (!supply) return null;
  const { rail12A, rail5A, rail33A, twelveThrough } = supply.part;
  // A brick of one voltage has none of the others.
  const said = (amps: number) => (amps > 0 ? amps : null);
  const modules = modulesOf({ sharing });
  const before = (watts: number) => watts - supplyLossW(supply.part, twelveThrough ? 0 : watts);
  const fromBrickW = brick ? before(mainsRatedW(brick.part, site)) : Infinity;
  const through = brick && twelveThrough ? most12A(brick.part, site) : most12A(supply.part, site);
  return {
    a: { '12 V': said(modules * Math.min(rail12A, through)), '5 V': said(rail5A), '3.3 V': said(rail33A) },
    insideW: Math.min(modules * mainsRatedW(supply.part, site), fromBrickW),
  };
}

/**
 * The start of a feed over time under a policy, exact from its drives' step profiles: the host in its self-test and
 * fans at full all the while. Its highest 12 V is the figure of the same name, its highest W that at the wall.
 */
export function startCurve(context: FigureContext, feed: Feed, spinUp: SpinUp = context.policy.spinUp): StartCurve {
  const { rest, restW, limits } = beside(context, feed);
  const byRail = losesByRail(feed);
  const loss = mainsFactor(context.site.mainsV).likely;
  const { momentsS, at } = phases(context, feed, () => true, spinUp);
  const moments = [...new Set([0, ...momentsS])].sort((one, other) => one - other);
  return {
    steps: moments.map((atS): StartStep => {
      const a = { ...rest };
      let insideW = restW;
      for (const phase of at(atS)) {
        insideW += phase.count * likelyW(phase);
        for (const rail of RAILS) a[rail] += phase.count * driveA(phase, rail);
      }
      const low = byRail ? Math.min(1, (5 * a['5 V'] + 3.3 * a['3.3 V']) / insideW) : 0;
      return { atS, a, insideW, wallW: insideW + loss * feedLossW(feed, insideW, low) };
    }),
    readyS: Math.max(0, ...momentsS),
    limits,
  };
}

/** What runs on a feed while its drives start, and what it may carry: all that does not hang on the policy. */
function beside(context: FigureContext, feed: Feed) {
  const rest: Record<Rail, number> = {
    '12 V': restOf12A(context, feed, new Ledger(false)).value,
    '5 V': restAtStartA(context, feed, '5 V'),
    '3.3 V': restAtStartA(context, feed, '3.3 V'),
  };
  return { rest, restW: restAtStartW(context, feed), limits: limitsOf(context, feed) };
}

/**
 * The highest share of any limit of a feed under one policy after another, as `worstShare` of their curves says it;
 * once it is past `most` the rest of a start is not looked at.
 */
function sharesOf(context: FigureContext, feed: Feed): (spinUp: SpinUp, most?: number) => number {
  const { rest, restW, limits } = beside(context, feed);
  if (!limits) return () => 0;
  const turns = turnsOn(context, feed);
  const shareOf = (amps: number, rail: Rail) => (limits.a[rail] ? amps / limits.a[rail] : 0);
  return (spinUp, most = Infinity) => {
    const all = startClasses(turns, spinUp);
    let share = 0;
    const look = (second: number) => {
      let [a12, a5, a33, watts] = [rest['12 V'], rest['5 V'], rest['3.3 V'], restW];
      for (const one of all) {
        const phase = phaseAt(one, second);
        a12 += one.count * driveA(phase, '12 V');
        a5 += one.count * driveA(phase, '5 V');
        a33 += one.count * driveA(phase, '3.3 V');
        watts += one.count * likelyW(phase);
      }
      const rails = Math.max(shareOf(a12, '12 V'), shareOf(a5, '5 V'), shareOf(a33, '3.3 V'));
      share = Math.max(share, watts / limits.insideW, rails);
    };
    look(0);
    for (const { drive, turnS } of all)
      for (const { atS, forS } of drive.part.spinUp) {
        if (share > most) return share;
        look(turnS + atS);
        look(turnS + atS + forS);
      }
    return share;
  };
}

/** Seconds until the last drive of a feed has spun up, under one policy after another. */
function readyOf(context: FigureContext, feed: Feed): (spinUp: SpinUp) => number {
  const takesS = memoWeak((part: PartOf<'drive'>) => Math.max(0, ...part.spinUp.map(({ atS, forS }) => atS + forS)));
  const turns = turnsOn(context, feed).flatMap(({ drive, place }) => {
    const tookS = takesS(drive.part);
    return tookS > 0 ? [{ place, tookS }] : [];
  });
  return (spinUp) => turns.reduce((last, { place, tookS }) => Math.max(last, turnAt(place, spinUp) + tookS), 0);
}

/** The highest share of any limit that a start reaches; 0 where no limit is known. */
export function worstShare({ steps, limits }: StartCurve): number {
  let most = 0;
  if (!limits) return most;
  for (const { a, insideW } of steps) {
    most = Math.max(most, insideW / limits.insideW);
    for (const rail of RAILS) most = Math.max(most, limits.a[rail] ? a[rail] / limits.a[rail] : 0);
  }
  return most;
}

/** Good practice: a start takes at most so much of every limit. */
export const START_SHARE = 0.8;
const AT_A_TIME = [1, 2, 3, 4, 6, 8, 12, 16, 24] as const;
const EVERY_S = [2, 5, 8, 10, 12, 15, 20] as const;

/** `cablesHold` says that every cable carries its plugs' start, too. */
export type Mildest = {
  readonly spinUp: SpinUp;
  readonly readyS: number;
  readonly share: number;
  readonly cablesHold: boolean;
};

/**
 * Whether every power cable carries what starts on it, by likely values, under one policy after another: plugs are
 * placed alike for all waves.
 */
function cablesHold(context: FigureContext): (spinUp: SpinUp) => boolean {
  const placed = new Map<SpinUp['kind'], ReturnType<typeof plugPlans>>();
  return (spinUp) => {
    let plans = placed.get(spinUp.kind);
    if (!plans) placed.set(spinUp.kind, (plans = plugPlans({ ...context, policy: { ...context.policy, spinUp } })));
    const turnOf = new Map(
      boxesOf(context).flatMap((box) =>
        turnOrder(context, box).map(({ drive, place }) => [drive.id, turnAt(place, spinUp)]),
      ),
    );
    return plans.every((plan) => chainsHold(plan, turnOf));
  };
}

/**
 * Whether waves of so many drives can spare the cables at all: at the longest pause no two waves overlap, and no
 * shorter one takes less. That is so where no drive takes less while it starts than idle; else nothing is ruled out.
 */
function hopeOf(
  context: FigureContext,
  holds: (spinUp: SpinUp) => boolean,
): (drives: (typeof AT_A_TIME)[number]) => boolean {
  const longestS = Math.max(...EVERY_S);
  const isPlain = ofKind(context.running, 'drive').every(({ part }) =>
    part.spinUp.every(({ atS, forS, a12, a5 }) => atS + forS <= longestS && a12 >= part.idle12A && a5 >= part.idle5A),
  );
  const known = new Map<number, boolean>();
  return (drives) => {
    let hope = known.get(drives);
    if (hope === undefined) known.set(drives, (hope = !isPlain || holds({ kind: 'waves', drives, everyS: longestS })));
    return hope;
  };
}

/**
 * The policy under which every supply keeps within 80 % of every limit, every power cable within its own, and all
 * drives are ready soonest, then with the fewest waves; where no policy spares the cables, the best for the supply.
 * Null where none does that, or there is no supply. Drives that cannot wait for a turn start at once in all.
 */
export function mildestStart(context: FigureContext): Mildest | null {
  const feeds = feedsOf(context).filter(({ supply }) => supply);
  if (feeds.length === 0) return null;
  const waits = waiting(context).length;
  const shares = feeds.map((feed) => sharesOf(context, feed));
  const ready = feeds.map((feed) => readyOf(context, feed));
  const holds = cablesHold(context);
  const hasHope = hopeOf(context, holds);
  const tried = (spinUp: SpinUp, most?: number): Omit<Mildest, 'cablesHold'> => ({
    spinUp,
    readyS: Math.max(...ready.map((readyS) => readyS(spinUp))),
    share: Math.max(...shares.map((share) => share(spinUp, most))),
  });
  const atOnce = tried({ kind: 'together' });
  if (atOnce.share <= START_SHARE && holds(atOnce.spinUp)) return { ...atOnce, cablesHold: true };
  const most = ofKind(context.running, 'drive').length;
  type Tried = ReturnType<typeof tried> & { readonly waves: number };
  const isSooner = (one: Pick<Tried, 'readyS' | 'waves'>, other: Tried | null) =>
    !other || one.readyS < other.readyS || (one.readyS === other.readyS && one.waves < other.waves);
  let [best, forSupply]: [Tried | null, Tried | null] = [null, null];
  const offered = AT_A_TIME.filter((drives) => drives < most).flatMap((drives) =>
    EVERY_S.map((everyS) => {
      const waves = Math.ceil(waits / drives);
      return { spinUp: { kind: 'waves', drives, everyS } as const, waves, lastTurnS: Math.max(0, waves - 1) * everyS };
    }),
  );
  for (const { spinUp, waves, lastTurnS } of offered.sort((a, b) => a.lastTurnS - b.lastTurnS)) {
    // The last drive is ready after its turn: from here on nothing is sooner.
    if (best && lastTurnS > (best as Tried).readyS) break;
    const when = { waves, readyS: Math.max(...ready.map((readyS) => readyS(spinUp))) };
    const forAll = isSooner(when, best) && hasHope(spinUp.drives);
    // What is later than what is known already need not be worked out.
    if (!forAll && !isSooner(when, forSupply)) continue;
    const one = { ...tried(spinUp, START_SHARE), waves };
    if (one.share > START_SHARE) continue;
    if (isSooner(one, forSupply)) forSupply = one;
    if (forAll && holds(spinUp)) best = one;
  }
  const mildest = best ?? (atOnce.share <= START_SHARE ? atOnce : forSupply);
  if (!mildest) return null;
  const { spinUp, readyS, share } = mildest;
  return { spinUp, readyS, share, cablesHold: best !== null };
}
