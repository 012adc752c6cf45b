import type { EditOf } from '../../build/edits';
import { printSpot, type SpotRef, type Wire } from '../../build/layout';
import { ofKind, type UnitOf } from '../../machine/units';
import type { UnitId } from '../../parts/ids';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../quantity';
import type { PowerState } from './draw';
import { classesOn } from './fedClasses';
import { feedsOf, type Feed } from './feeds';
import { feedWall, peakState, wallW } from './wall';

type Ups = UnitOf<'ups'>;
/** What hangs on a UPS: so many of the mains plugs of a feed. */
type Hanging = { readonly feed: Feed; readonly plugs: number; readonly of: number };
export type UpsShare = { readonly unit: Ups; readonly hanging: readonly Hanging[]; readonly otherW: number };
/** One mains plug of a feed, which has `of`, and the UPS it is on; null is the wall. */
export type MainsPlug = {
  readonly feed: Feed;
  /** Its place at the supply, module or brick; null where no supply is chosen. */ readonly spot: SpotRef | null;
  readonly of: number;
  readonly on: Ups | null;
  readonly how: Wire['how'];
};

/** Ways tried before the best so far stands. */
const MOST_STEPS = 20_000;
const PLAIN = new Ledger(false);
/** Names of the cable and of the places at its ends, as the layout keeps what was plugged in by hand. */
const [MAINS, OUTLET, WALL] = ['mains', 'outlet', 'wall'];

/**
 * The mains plugs of a machine and what each is on. What was put by hand stays there; the others go on its UPS, of
 * several so that the fullest is as little full as can be, by its watts at the most; without a UPS all are on the wall.
 */
export const mainsPlugs = (context: FigureContext): readonly MainsPlug[] =>
  kept(context, PLAIN, `mains ${context.site.upsOtherW ?? 0} ${context.site.mainsV}`, () => dealt(context));

/** What hangs on each UPS. What else hangs on one, as the brief says, is on the first. */
export const upsShares = (context: FigureContext): readonly UpsShare[] =>
  ofKind(context.units, 'ups').map((unit, i): UpsShare => {
    const own = mainsPlugs(context).filter(({ on }) => on === unit);
    const feeds = [...new Set(own.map(({ feed }) => feed))];
    const hanging = feeds.map((feed): Hanging => {
      const here = own.filter((one) => one.feed === feed);
      return { feed, plugs: here.length, of: here[0]?.of ?? 1 };
    });
    return { unit, hanging, otherW: i === 0 ? (context.site.upsOtherW ?? 0) : 0 };
  });

/** Whether a wire of the layout is a plug on the mains, not one on a cable of a supply. */
export const isMainsWire = ({ cable }: Pick<Wire, 'cable'>): boolean => cable === MAINS;

/** Parts that run on while a battery does: those of every feed that has a plug on a UPS. */
export const heldByUps = (context: FigureContext): ReadonlySet<UnitId> =>
  new Set(
    [...new Set(mainsPlugs(context).flatMap(({ on, feed }) => (on ? [feed] : [])))].flatMap((feed) =>
      classesOn(context, feed).flatMap(({ units }) => units.map(({ id }) => id)),
    ),
  );

/** Puts a mains plug on a UPS, or in the wall, by hand. */
export const putMains = (spot: SpotRef, ups: UnitId | null): EditOf<'plug.put'> => ({
  type: 'plug.put',
  plug: {
    cable: MAINS,
    device: [spot],
    host: [ups ? { host: ups, key: OUTLET } : { host: spot.host, key: WALL }],
    how: 'put',
  },
});

/** Where each feed's plugs are: at its brick, or at every module that shares. */
function spotsOf({ brick, sharing }: Feed): readonly (SpotRef | null)[] {
  const plugged = brick ? [brick] : sharing;
  if (plugged.length === 0) return [null];
  return plugged.flatMap(({ id, part }) =>
    Array.from({ length: Math.max(1, part.modules) }, (_, i): SpotRef => ({ host: id, key: MAINS, n: i + 1 })),
  );
}

function dealt(context: FigureContext): readonly MainsPlug[] {
  const all = ofKind(context.units, 'ups');
  const otherW = context.site.upsOtherW ?? 0;
  const state = peakState(context);
  const put = new Map(
    context.layout.plugs
      .filter(isMainsWire)
      .map(({ device, host, how }) => [printSpot(device[0]), { to: host[0], how }] as const),
  );
  const plugs = feedsOf(context)
    .flatMap((feed) => {
      const spots = spotsOf(feed);
      const watts = (feedAt(context, feed, state)?.value ?? 0) / spots.length;
      if (watts <= 0) return [];
      return spots.map((spot) => {
        const own = spot && put.get(printSpot(spot));
        const ups = all.findIndex(({ id }) => id === own?.to.host);
        const isPut = own !== null && own !== undefined && (own.to.key === WALL || ups >= 0);
        return { feed, spot, of: spots.length, watts, byHand: isPut ? { ups, how: own.how } : null };
      });
    })
    .sort((a, b) => b.watts - a.watts);
  const on = best(
    plugs,
    all.map(({ part }, i) => ({ carriesW: part.ratedW, outlets: part.outlets, hasW: i === 0 ? otherW : 0 })),
  );
  return plugs.map(({ feed, spot, of, byHand }, p): MainsPlug => ({
    feed,
    spot,
    of,
    on: all[on[p] ?? -1] ?? null,
    how: byHand?.how ?? 'solved',
  }));
}

type Dealt = { readonly watts: number; readonly byHand: { readonly ups: number } | null };
type Bin = { readonly carriesW: number; readonly outlets: number; readonly hasW: number };

/** Branch and bound: no more plugs than outlets where that can be, then the fullest as little full as can be. */
function best(plugs: readonly Dealt[], bins: readonly Bin[]): readonly number[] {
  let least = Infinity;
  let found: readonly number[] = plugs.map(() => 0);
  let steps = 0;
  const on: number[] = [];
  const has = bins.map(({ hasW }) => hasW);
  const used = bins.map(() => 0);
  const fullest = () =>
    Math.max(0, ...bins.map(({ carriesW, outlets }, i) => has[i]! / carriesW + OVER * Math.max(0, used[i]! - outlets)));
  const next = (p: number) => {
    if (steps++ > MOST_STEPS || fullest() >= least) return;
    const plug = plugs[p];
    if (!plug) {
      least = fullest();
      found = [...on];
      return;
    }
    const order = bins.map((_, i) => i).sort((a, b) => has[a]! / bins[a]!.carriesW - has[b]! / bins[b]!.carriesW);
    for (const i of plug.byHand ? [plug.byHand.ups] : order) {
      on.push(i);
      if (i < 0) next(p + 1);
      else {
        has[i]! += plug.watts;
        used[i]!++;
        next(p + 1);
        used[i]!--;
        has[i]! -= plug.watts;
      }
      on.pop();
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
  // With all plugs on it, it carries the whole machine, as readings narrow it.
  const isWhole = mainsPlugs(context).every(({ on }) => on === unit);
  if (isWhole) {
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
