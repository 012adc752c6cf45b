import { groupedBy } from '../../lists';
import type { PlannedUnit } from '../../machine/units';
import { kept } from '../kept';
import type { Box } from '../boxes';
import type { FigureContext } from '../context';
import { Ledger, type Quantity } from '../quantity';
import { narrowed } from '../readings/learned';
import { phases, type DrivePhase } from './currents';
import { draw, type DrawLine, type PowerState } from './draw';
import { classesOn } from './fedClasses';
import { feedName, feedsOf, type Feed } from './feeds';
import { spinsUp } from './spinsUp';
import { feedLossW, losesByRail, lossTolerance, mainsFactor } from './supplyLoss';

const STATE_WORDS: Record<PowerState, string> = {
  asleep: 'asleep',
  idle: 'idle',
  working: 'at work',
  busy: 'busy',
  peak: 'peak',
  start: 'while the drives start',
};

/**
 * W at the wall: per feed the sum of its parts and the loss of its supply. Parts on the table count with the first box;
 * without a supply its loss is left out and the working says so.
 */
export function wallW(context: FigureContext, state: PowerState, ledger: Ledger): Quantity | null {
  const watts =
    state === 'start'
      ? startWallW(context, ledger)
      : wallOf(context, groupByFeed(draw(context, state, ledger)), state, ledger);
  return watts && narrowed(context.learned, watts, ledger);
}

/** The same of one box, as readings leave it; at the start, of its own drives at their own worst moment. */
export function boxWall(context: FigureContext, box: Box, state: PowerState, ledger: Ledger): Quantity | null {
  const watts = plainBoxWall(context, box, state, ledger);
  return watts && narrowed(context.learned, watts, ledger);
}

/** From the sheets alone, for what is reckoned further from it. */
export function plainBoxWall(context: FigureContext, box: Box, state: PowerState, ledger: Ledger): Quantity | null {
  const own = feedsOf(context).filter((feed) => feed.box === box);
  if (state === 'start') return startWallW(context, ledger, own);
  const lines = groupByFeed(draw(context, state, ledger)).filter(({ feed }) => feed.box === box);
  return wallOf(context, lines, state, ledger);
}

/** W at the wall of one feed in a state, as readings leave it; at the start, at its own worst moment. */
export function feedWall(context: FigureContext, { key }: Feed, state: PowerState, ledger: Ledger): Quantity | null {
  const own = feedsOf(context).filter((feed) => feed.key === key);
  const lines = groupByFeed(draw(context, state, ledger)).filter(({ feed }) => feed.key === key);
  const watts = state === 'start' ? startWallW(context, ledger, own) : wallOf(context, lines, state, ledger);
  return watts && narrowed(context.learned, watts, ledger);
}

function wallOf(
  context: FigureContext,
  groups: readonly FedLines[],
  state: PowerState,
  ledger: Ledger,
): Quantity | null {
  const each = groups.map(({ feed, lines }) => feedWallW(context, feed, lines.map(inAll), state, ledger));
  return each.length < 2 ? (each[0] ?? null) : ledger.sum(`At the wall, ${STATE_WORDS[state]}`, 'W', each);
}

/** W at a feed's outputs in a state; null where nothing on it draws, or nothing of it starts. */
export function feedLoadW(context: FigureContext, feed: Feed, state: PowerState, ledger: Ledger): Quantity | null {
  return kept(context, ledger, `load ${state} ${feed.key}`, () => {
    const terms = termsOf(context, feed, state, ledger);
    return terms.length
      ? ledger.sum(
          'Parts together',
          'W',
          terms.map(({ watts }) => watts),
          'sum of the parts',
        )
      : null;
  });
}

/** The share of a feed's load in a state that is on 5 V and 3.3 V, where what it loses hangs on that, else 0. */
export function lowShareOf(context: FigureContext, feed: Feed, state: PowerState): number {
  return losesByRail(feed) ? lowShare(termsOf(context, feed, state, new Ledger(false))) : 0;
}

/** A part of a load: its W, and how much of them is on 5 V and 3.3 V, likely. */
type Term = { readonly watts: Quantity; readonly lowW: number };
const inAll = ({ watts, share12 }: DrawLine): Term => ({ watts, lowW: watts.value * (1 - share12) });
const lowShare = (terms: readonly Term[]): number => {
  const all = terms.reduce((sum, { watts }) => sum + watts.value, 0);
  return all > 0 ? terms.reduce((sum, { lowW }) => sum + lowW, 0) / all : 0;
};

function termsOf(context: FigureContext, feed: Feed, state: PowerState, ledger: Ledger): readonly Term[] {
  if (state === 'start') return startTerms(context, [feed], ledger)?.byFeed.get(feed.key) ?? [];
  const group = groupByFeed(draw(context, state, ledger)).find((one) => one.feed.key === feed.key);
  return (group?.lines ?? []).map(inAll);
}

/**
 * The most at the wall while drives start: boxes on one socket start together, so the worst moment is that of their sum
 * over time. The host is near busy in its self-test, fans are at full. Null where no drive spins up.
 */
function startWallW(context: FigureContext, ledger: Ledger, of: readonly Feed[] = feedsOf(context)): Quantity | null {
  const start = startTerms(context, of, ledger);
  if (!start) return null;
  const each = of.flatMap((feed) => {
    const terms = start.byFeed.get(feed.key) ?? [];
    return terms.length > 0 ? [feedWallW(context, feed, terms, 'start', ledger)] : [];
  });
  return ledger.sum(`At the wall, ${STATE_WORDS.start}`, 'W', each, `at ${start.atS.toFixed(1)} s`);
}

/** W of each of some feeds at the moment of a start at which all of them together take most. */
function startTerms(context: FigureContext, of: readonly Feed[], ledger: Ledger): StartTerms | null {
  return kept(context, ledger, `start ${of.map(({ key }) => key).join()}`, () => startAfresh(context, of, ledger));
}
type StartTerms = { readonly atS: number; readonly byFeed: ReadonlyMap<string, readonly Term[]> };

function startAfresh(context: FigureContext, of: readonly Feed[], ledger: Ledger): StartTerms | null {
  const feeds = of.map((feed) => ({ feed, ...phases(context, feed, () => true) }));
  const momentsS = [...new Set(feeds.flatMap((one) => one.momentsS))].sort((a, b) => a - b);
  if (momentsS.length === 0) return null;
  const roughly = (second: number) =>
    feeds.reduce((sum, { at }) => sum + at(second).reduce((all, phase) => all + phase.count * likelyW(phase), 0), 0);
  const atS = momentsS.reduce((best, second) => (roughly(second) > roughly(best) ? second : best));
  const rest = new Map(groupByFeed(draw(context, 'start', ledger)).map(({ feed, lines }) => [feed.key, lines]));
  const byFeed = feeds.map(({ feed, at }): [string, readonly Term[]] => [
    feed.key,
    [...(rest.get(feed.key) ?? []).map(inAll), ...drivesW(at(atS), ledger)],
  ]);
  return { atS, byFeed: new Map(byFeed) };
}

const stepW = ({ a12, a5, a33 }: { a12: number; a5: number; a33: number }) => 12 * a12 + 5 * a5 + 3.3 * a33;
/** Likely W of one drive in its start; one that does not spin up is with the rest. */
export const likelyW = ({ drive: { part }, step, waits }: DrivePhase): number =>
  !spinsUp(part) ? 0 : step ? stepW(step) : waits ? part.standbyW : part.idleW;

/** Likely W of one drive on 5 V and 3.3 V. */
const lowOf = ({ drive: { part }, step, waits }: DrivePhase): number =>
  step ? 5 * step.a5 + 3.3 * step.a33 : waits ? part.standbyW : 5 * part.idle5A;

/** W of the drives that spin up at one moment, like ones together. */
function drivesW(now: readonly DrivePhase[], ledger: Ledger): Term[] {
  const classes = new Map<string, { one: DrivePhase; count: number }>();
  for (const one of now) {
    if (!spinsUp(one.drive.part)) continue;
    const key = `${one.drive.part.id}|${one.step?.atS ?? ''}|${one.waits}`;
    classes.set(key, { one, count: (classes.get(key)?.count ?? 0) + one.count });
  }
  return [...classes.values()].map(({ one: { drive, step, waits }, count }) => {
    const { part } = drive;
    const each = step
      ? ledger.fact(part, 'spinUp', stepW(step), 'spinUpW')
      : ledger.fact(part, waits ? 'standbyW' : 'idleW');
    const how = step ? 'starting' : waits ? 'waiting' : 'turning';
    const watts = ledger.times(`${count} × ${part.name}, ${how}`, each, count);
    return { watts, lowW: count * lowOf({ drive, count, step, waits }) };
  });
}

/** Likely W at a feed's outputs while its drives start, of all but those that spin up. */
export const restAtStartW = (context: FigureContext, feed: Feed): number =>
  draw(context, 'start', new Ledger(false))
    .filter((line) => line.of.feed.key === feed.key)
    .reduce((sum, { watts }) => sum + watts.value, 0);

/** What draws on a feed in a state, likely W: parts of a class together, drives as at the worst moment of a start. */
type Drawing = { readonly label: string; readonly units: readonly PlannedUnit[]; readonly watts: number };
type FeedDrawing = {
  readonly parts: readonly Drawing[];
  readonly feed: Feed;
  readonly lossW: number;
};

/** What draws on each feed in a state, and what its supply turns to heat; together it is the figure at the wall. */
export function drawingAtWall(context: FigureContext, state: PowerState): readonly FeedDrawing[] {
  const ledger = new Ledger(false);
  const start = state === 'start' ? startTerms(context, feedsOf(context), ledger) : null;
  const groups = groupByFeed(draw(context, state, ledger));
  // A feed may have nothing but drives that start.
  return feedsOf(context).flatMap((feed): FeedDrawing[] => {
    const lines = groups.find((one) => one.feed.key === feed.key)?.lines ?? [];
    const parts = [
      ...lines.map(({ of, watts }) => ({
        label: of.units.length === 0 ? 'Processor kept awake by a card' : of.part.name,
        units: of.units,
        watts: watts.value,
      })),
      ...(start ? startingOn(context, feed, start.atS) : []),
    ];
    if (parts.length === 0) return [];
    const insideW = parts.reduce((sum, { watts }) => sum + watts, 0);
    const low = start ? lowShare(start.byFeed.get(feed.key) ?? []) : lowShare(lines.map(inAll));
    const lossW = mainsFactor(context.site.mainsV).likely * feedLossW(feed, insideW, low);
    return [{ parts, feed, lossW }];
  });
}

/** Drives of a feed that spin up, by sheet, at a second of a start. */
function startingOn(context: FigureContext, feed: Feed, second: number): readonly Drawing[] {
  // Drives on the table count with a box as those in it do: of one sheet they are one line.
  const own = classesOn(context, feed).flatMap(({ units }) => units);
  const bySheet = groupedBy(
    phases(context, feed, () => true)
      .at(second)
      .filter(({ drive }) => spinsUp(drive.part)),
    ({ drive }) => drive.part.id,
  );
  return [...bySheet].map(([sheet, these]): Drawing => ({
    label: these[0].drive.part.name,
    units: own.filter(({ part }) => part.id === sheet),
    watts: these.reduce((sum, phase) => sum + phase.count * likelyW(phase), 0),
  }));
}

/** The state in which socket and UPS have to stand most. */
export function peakState(context: FigureContext, quiet = new Ledger(false)): 'peak' | 'start' {
  const [peak, start] = [wallW(context, 'peak', quiet), wallW(context, 'start', quiet)];
  return start && peak && start.value > peak.value ? 'start' : 'peak';
}

/** What socket and UPS must stand: the larger of everything at its most and the start of the drives. */
export function peakWallW(context: FigureContext, ledger: Ledger): Quantity | null {
  const state = peakState(context, ledger.plain ? ledger : new Ledger(false));
  const worst = wallW(context, state, ledger);
  return worst && state === 'start' ? { ...worst, note: 'at the start' } : worst;
}

type FedLines = { readonly feed: Feed; readonly lines: readonly DrawLine[] };

function groupByFeed(lines: readonly DrawLine[]): FedLines[] {
  return [...groupedBy(lines, ({ of }) => of.feed.key).values()].map((own) => ({ feed: own[0].of.feed, lines: own }));
}

function feedWallW(
  context: FigureContext,
  feed: Feed,
  terms: readonly Term[],
  state: PowerState,
  ledger: Ledger,
): Quantity {
  const inside = ledger.sum(
    'Parts together',
    'W',
    terms.map(({ watts }) => watts),
    'sum of the parts',
  );
  const { supply, brick } = feed;
  if (!supply)
    return ledger.sum(
      `At the wall, ${STATE_WORDS[state]}, without a supply's loss`,
      'W',
      [inside],
      'no supply chosen: its loss is left out',
    );
  const mains = mainsFactor(context.site.mainsV);
  const half = Math.hypot(lossTolerance(feed), (mains.hi - mains.lo) / 2 / mains.likely);
  const low = losesByRail(feed) ? lowShare(terms) : 0;
  const withLoss = (factor: number) => (watts: number) => watts + factor * feedLossW(feed, watts, low);
  return ledger.systematic(
    `At the wall, ${STATE_WORDS[state]}, through ${feedName(feed)}${brick ? ` behind ${brick.part.name}` : ''}`,
    'W',
    inside,
    `P + loss(P): ${inside.value.toFixed(1)} + ${(mains.likely * feedLossW(feed, inside.value, low)).toFixed(1)} ` +
      `W (loss ± ${Math.round(half * 100)} %${mains.likely === 1 ? '' : `, × ${mains.likely} on 115 V`})`,
    {
      low: withLoss(mains.likely * (1 - half)),
      likely: withLoss(mains.likely),
      high: withLoss(mains.likely * (1 + half)),
    },
    { id: `${supply.part.id}.loss`, draw: (watts, at) => withLoss(mains.likely * (1 + at * half))(watts) },
  );
}
