import { ofKind, type UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../quantity';
import type { PowerState } from './draw';
import { feedsOf, type Feed } from './feeds';
import { modulesOf } from './supplyLoss';
import { feedWall, peakState, wallW } from './wall';

type Ups = UnitOf<'ups'>;
/** What hangs on a UPS: so many of the mains plugs of a feed. */
type Hanging = { readonly feed: Feed; readonly plugs: number; readonly of: number };
export type UpsShare = { readonly unit: Ups; readonly hanging: readonly Hanging[]; readonly otherW: number };

/** Ways tried before the best so far stands. */
const MOST_STEPS = 20_000;

/**
 * The mains plugs of a machine on its UPS: with several, dealt so that the fullest is as little full as can be, by its
 * watts at the most. What else hangs on a UPS, as the brief says, is on the first.
 */
export const upsShares = (context: FigureContext): readonly UpsShare[] =>
  kept(context, PLAIN, `ups ${context.site.upsOtherW ?? 0} ${context.site.mainsV}`, () => dealt(context));

const PLAIN = new Ledger(false);

function dealt(context: FigureContext): readonly UpsShare[] {
  const all = ofKind(context.units, 'ups');
  if (all.length === 0) return [];
  const otherW = context.site.upsOtherW ?? 0;
  const state = peakState(context);
  const plugs = feedsOf(context)
    .flatMap((feed) => {
      const of = Math.max(1, modulesOf(feed));
      const watts = (feedAt(context, feed, state)?.value ?? 0) / of;
      return watts > 0 ? Array.from({ length: of }, () => ({ feed, of, watts })) : [];
    })
    .sort((a, b) => b.watts - a.watts);
  const on = best(
    plugs.map(({ watts }) => watts),
    all.map(({ part }, i) => ({ carriesW: part.ratedW, outlets: part.outlets, hasW: i === 0 ? otherW : 0 })),
  );
  return all.map((unit, i): UpsShare => {
    const own = plugs.filter((_, p) => on[p] === i);
    const feeds = [...new Set(own.map(({ feed }) => feed))];
    const hanging = feeds.map((feed): Hanging => {
      const here = own.filter((one) => one.feed === feed);
      return { feed, plugs: here.length, of: here[0]?.of ?? 1 };
    });
    return { unit, hanging, otherW: i === 0 ? otherW : 0 };
  });
}

type Bin = { readonly carriesW: number; readonly outlets: number; readonly hasW: number };

/** Branch and bound: no more plugs than outlets where that can be, then the fullest as little full as can be. */
function best(watts: readonly number[], bins: readonly Bin[]): readonly number[] {
  if (bins.length < 2) return watts.map(() => 0);
  let least = Infinity;
  let found: readonly number[] = watts.map(() => 0);
  let steps = 0;
  const on: number[] = [];
  const has = bins.map(({ hasW }) => hasW);
  const used = bins.map(() => 0);
  const fullest = () =>
    Math.max(...bins.map(({ carriesW, outlets }, i) => has[i]! / carriesW + OVER * Math.max(0, used[i]! - outlets)));
  const next = (p: number) => {
    if (steps++ > MOST_STEPS || fullest() >= least) return;
    if (p === watts.length) {
      least = fullest();
      found = [...on];
      return;
    }
    const order = bins.map((_, i) => i).sort((a, b) => has[a]! / bins[a]!.carriesW - has[b]! / bins[b]!.carriesW);
    for (const i of order) {
      has[i]! += watts[p]!;
      used[i]!++;
      on.push(i);
      next(p + 1);
      on.pop();
      used[i]!--;
      has[i]! -= watts[p]!;
    }
  };
  next(0);
  return found;
}
/** A plug without an outlet outweighs any load. */
const OVER = 100;

/** W at the wall of one feed; at the start one without drives that spin up is as busy as the host is then. */
export const feedAt = (context: FigureContext, feed: Feed, state: PowerState): Quantity | null =>
  feedWall(context, feed, state, PLAIN) ?? (state === 'start' ? feedWall(context, feed, 'busy', PLAIN) : null);

/** W on a UPS in a state, with what else hangs on it; null where nothing of the machine draws anything. */
export function wattsOn(context: FigureContext, { unit, hanging, otherW }: UpsShare, state: PowerState): Ranged | null {
  const ledger = new Ledger(false);
  // Alone it carries the whole machine, as readings narrow it.
  if (ofKind(context.units, 'ups').every((one) => one === unit)) {
    const wall = wallW(context, state, ledger);
    const { value, lo, hi } = wall ? rangedOf(wall) : { value: 0, lo: 0, hi: 0 };
    return wall && { value: value + otherW, lo: lo + otherW, hi: hi + otherW };
  }
  const parts = hanging.flatMap(({ feed, plugs, of }) => {
    const wall = feedAt(context, feed, state);
    return wall ? [{ share: plugs / of, ...rangedOf(wall) }] : [];
  });
  const sum = (end: 'value' | 'lo' | 'hi') => parts.reduce((all, one) => all + one.share * one[end], otherW);
  return { value: sum('value'), lo: sum('lo'), hi: sum('hi') };
}
