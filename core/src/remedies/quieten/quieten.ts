import type { AssessOptions, Assessor } from '../../assess';
import type { Edit } from '../../build/edits';
import { replay } from '../../build/step';
import { marginOfWarm, warmthOf, type Warm } from '../../figures/air/temperatures';
import { isInTheOpen } from '../../figures/air/around';
import { lowestDuty } from '../../figures/air/held';
import { hottestOn, withDuty } from '../../figures/air/sameTemperature';
import type { FigureContext } from '../../figures/context';
import { Ledger } from '../../figures/quantity';
import { earDb, soundSources } from '../../figures/sound/ear';
import { sumLevels } from '../../figures/sound/levels';
import type { Catalogue } from '../../parts/catalogue';
import { weigh, type Base, type Weighed } from '../weigh';
import { quietWays, type QuietWay } from './ways';

/** A change, or two together, weighed with the fans as slow as keeps the hottest drive no warmer than now. */
export type Quieter = Weighed & {
  readonly title: string;
  /** What it changes; of ways that change the same the best few are shown. */ readonly subject: string;
  /** dB(A) less at the ear, idle. */ readonly savesDb: number;
  /** The duty it takes, and the hottest drive then, on the hottest day; null where a policy holds it by itself. */
  readonly duty: number | null;
  readonly hottestC: number | null;
};
export type QuietProgress = {
  readonly done: number;
  readonly of: number;
  /** The best so far, the quietest first. */ readonly best: readonly Quieter[];
};

const MOST = 10;
/** Of ways of one subject, so many are tried in pairs. */
const PAIRED = 3;
/** Of ways that change the same, so many are shown. */
const MOST_ALIKE = 3;
const LEAST_SAVED_DB = 0.5;
const LEAST_DUTY = 0.2;
const FINE = 0.01;

/** What holds a machine as it is: its hottest drive, and every other part within its limit that is so now. */
type Bounds = { readonly hottestC: number; readonly within: ReadonlySet<string> };
type Tried = { readonly way: QuietWay; readonly quieter: Quieter };

/**
 * Single changes, then pairs of them, by the dB(A) they save at the ear while the hottest drive is no warmer than now
 * on the hottest day, and nothing passes a limit that is within it now. Pairs only where the sources that neither
 * touches, at their quietest, leave room among the best. Yields what is best so far, so that a caller can stop.
 */
export function* quieten(
  base: Base,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<QuietProgress, QuietProgress> {
  const now = assessor.context(base.build);
  const wasDb = base.assessment.figures['sound.earIdleDb']?.value;
  const bounds = boundsOf(now);
  if (wasDb === undefined || !bounds) return { done: 0, of: 0, best: [] };
  const ways = quietWays(base, catalogue);
  const run = { base, assessor, options, now, wasDb, bounds };
  const singles: Tried[] = [];
  let best: readonly Quieter[] = [];
  const ranked = (more: Quieter | null) => {
    if (!more || more.savesDb < LEAST_SAVED_DB) return;
    const sorted = [...best, more].sort((a, b) => b.savesDb - a.savesDb);
    const isLater = (one: Quieter, i: number) =>
      sorted.slice(0, i).filter(({ subject }) => subject === one.subject).length >= MOST_ALIKE;
    best = sorted.filter((one, i) => !isLater(one, i)).slice(0, MOST);
  };
  const slower = tried(run, [], 'Slow the fans as far as the drives stay as cool as now', 'duty');
  ranked(slower);
  for (const [done, way] of ways.entries()) {
    const quieter = tried(run, way.edits(base.build), way.words, way.subject);
    ranked(quieter);
    if (quieter) singles.push({ way, quieter });
    yield { done: done + 1, of: ways.length, best };
  }
  const pairs = pairsOf(singles);
  const of = ways.length + pairs.length;
  for (const [i, [one, other]] of pairs.entries()) {
    const least = best.length < MOST ? LEAST_SAVED_DB : best.at(-1)!.savesDb;
    if (wasDb - quietestWith(run, one.way, other.way) > least) {
      const words = `${one.way.words}; ${lower(other.way.words)}`;
      const both = tried(run, together(base, one.way, other.way), words, `${one.way.subject} ${other.way.subject}`);
      // Two that save hardly more than the better of them are that one.
      const alone = Math.max(one.quieter.savesDb, other.quieter.savesDb);
      if (both && both.savesDb >= alone + LEAST_SAVED_DB) ranked(both);
    }
    yield { done: ways.length + i + 1, of, best };
  }
  return { done: of, of, best };
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** The best few of each subject with those of others. */
function pairsOf(singles: readonly Tried[]): readonly (readonly [Tried, Tried])[] {
  const kept = [...new Set(singles.map(({ way }) => way.subject))].flatMap((subject) =>
    singles
      .filter(({ way }) => way.subject === subject)
      .sort((a, b) => b.quieter.savesDb - a.quieter.savesDb)
      .slice(0, PAIRED),
  );
  return kept
    .flatMap((one, i) =>
      kept
        .slice(i + 1)
        .flatMap((other): (readonly [Tried, Tried])[] => (other.way.subject === one.way.subject ? [] : [[one, other]])),
    )
    .sort((a, b) => sum(b) - sum(a));
}
const sum = ([one, other]: readonly [Tried, Tried]): number => one.quieter.savesDb + other.quieter.savesDb;

/** Two ways, the second made on what the first leaves, so that what it adds has names of its own. */
function together({ build }: Base, one: QuietWay, other: QuietWay): readonly Edit[] {
  const first = one.edits(build);
  const then = replay(build, first);
  return [...first, ...other.edits('ok' in then ? build : then)];
}

type Run = {
  readonly base: Base;
  readonly assessor: Assessor;
  readonly options: AssessOptions;
  readonly now: FigureContext;
  readonly wasDb: number;
  readonly bounds: Bounds;
};

const keyOf = ({ where, units }: Warm): string => `${where} ${units[0]?.part.id ?? ''}`;
const warmIn = (context: FigureContext): readonly Warm[] => warmthOf(context).flatMap(({ warm }) => warm);

function boundsOf(context: FigureContext): Bounds | null {
  const hottestC = hottestOn(context, 'hot');
  if (hottestC === null) return null;
  return {
    hottestC,
    within: new Set(
      warmIn(context)
        .filter((one) => marginOfWarm(one) >= 0)
        .map(keyOf),
    ),
  };
}

/** What edits leave with the fans as slow as they may turn; null where they cannot be made or something is past. */
function tried(
  { base, assessor, options, wasDb, bounds }: Run,
  edits: readonly Edit[],
  title: string,
  subject: string,
): Quieter | null {
  const { fans } = base.build.policy;
  const first = edits.length > 0 ? weigh(base, edits, assessor, options) : null;
  if (first && (!first.ok || isTrouble(first))) return null;
  const built = first ? first.after : base.build;
  const context = assessor.context(built);
  if (fans.kind === 'hold') {
    if (!first || context.heldDuty?.holds.hot === false || !keepsWithin(context, bounds)) return null;
    return {
      ...first,
      title,
      subject,
      savesDb: wasDb - (first.figures['sound.earIdleDb']?.value ?? 0),
      duty: null,
      hottestC: null,
    };
  }
  const duty = slowest(context, bounds);
  if (duty === null) return null;
  const policy: Edit = { type: 'set.policy', value: { ...built.policy, fans: { kind: 'fixed', duty } } };
  const at = withDuty(context, duty);
  const heard = earDb(at, new Ledger(false), 'idle')?.value ?? 0;
  // One that hardly helps alone may do so beside another; it is not weighed again for itself.
  if (wasDb - heard < LEAST_SAVED_DB)
    return first && { ...first, title, subject, savesDb: wasDb - heard, duty, hottestC: hottestOn(at, 'hot') };
  const weighed = weigh(base, [...edits, policy], assessor, options);
  if (!weighed.ok || isTrouble(weighed)) return null;
  const savesDb = wasDb - (weighed.figures['sound.earIdleDb']?.value ?? 0);
  return { ...weighed, title, subject, savesDb, duty, hottestC: hottestOn(at, 'hot') };
}

/** The lowest duty, in whole per cent, at which the drives are no warmer and all that is within its limit stays so. */
function slowest(context: FigureContext, bounds: Bounds): number | null {
  const over = (duty: number): number | null => {
    const at = withDuty(context, duty);
    const hottest = hottestOn(at, 'hot');
    if (hottest === null) return null;
    return keepsWithin(at, bounds) ? hottest : Math.max(hottest, bounds.hottestC + 1);
  };
  const found = lowestDuty(over, bounds.hottestC + 0.05, isInTheOpen(context.site), FINE);
  if (!found?.holds) return null;
  return Math.min(1, Math.ceil(found.duty * 100) / 100);
}

const keepsWithin = (context: FigureContext, { within }: Bounds): boolean =>
  warmIn(context).every((one) => marginOfWarm(one) >= 0 || !within.has(keyOf(one)));

/** Anything that would have to be mended, or that is new to worry about: no way to quiet. */
const isTrouble = ({ causes, worsens }: Weighed): boolean =>
  causes.some(({ severity }) => severity !== 'note') || worsens.some(({ severity }) => severity === 'blocker');

/**
 * The least that can be heard with two ways taken: the sources neither touches, at the slowest the fans may turn.
 * Supplies are left out: with less to feed they get quieter.
 */
function quietestWith({ now, wasDb }: Run, one: QuietWay, other: QuietWay): number {
  if (one.touches === null || other.touches === null) return -Infinity;
  const touched = new Set([...one.touches, ...other.touches]);
  const left = soundSources(withDuty(now, LEAST_DUTY), new Ledger(false), 'idle').filter(({ units }) =>
    units.every(({ id, part }) => part.kind !== 'supply' && !touched.has(id)),
  );
  if (left.length === 0) return -Infinity;
  // At the ear all sources lose the same: what all of them have there now, by their power.
  const all = sumLevels(soundSources(now, new Ledger(false), 'idle').map(({ power }) => power.value));
  return sumLevels(left.map(({ power }) => power.value)) - all + wasDb;
}
