import { classesOn } from '../../figures/power/fedClasses';
import { feedsOf, type Feed } from '../../figures/power/feeds';
import { plugPlans } from '../../figures/power/plugPlan';
import { mainsRatedW, most12A, railA } from '../../figures/power/rails';
import { hindrances } from '../../figures/power/stagger';
import { feedStart12A } from '../../figures/power/start';
import { modulesOf, supplyLossW } from '../../figures/power/supplyLoss';
import { feedLoadW, lowShareOf } from '../../figures/power/wall';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../../figures/quantity';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { factOf } from '../../parts/resolve';
import type { Situation } from '../situation';
import { GRAVITY, type Facts, type FindingOf, type Sized } from '../finding';
import type { Found } from '../words';

export type Supply = UnitOf<'supply'>;
type Fed = Feed & { readonly supply: Supply };

/** Feeds that have a supply. */
const suppliedFeeds = ({ context }: Situation): readonly Fed[] =>
  feedsOf(context).flatMap((feed) => (feed.supply ? [{ ...feed, supply: feed.supply }] : []));

const ranged = (load: Quantity | null): Ranged | null => load && rangedOf(load);

/** A limit of a supply: what its sheet says, and the kind end of it where that is typical. */
type Limit = { readonly value: number; readonly atBest: number };

/** A field of what gives a feed's rails as a limit; 12 V that a converter passes through are its brick's. */
function limitOf(
  { context: { site } }: Situation,
  { supply, sharing, brick }: Fed,
  field: 'ratedW' | 'rail12A',
  modules = modulesOf({ sharing }),
): Limit {
  const { value, hi } = factOf(supply.part, field);
  const most =
    field === 'rail12A'
      ? most12A(brick && supply.part.twelveThrough ? brick.part : supply.part, site)
      : atMains(supply, site);
  return { value: modules * Math.min(value, most), atBest: modules * Math.min(Math.max(value, hi), most) };
}

/** W past which no supply on these mains goes, where its sheet says so. */
const atMains = ({ part }: Supply, site: Situation['context']['site']): number =>
  site.mainsV === 115 && part.ratedW115 !== undefined ? mainsRatedW(part, site) : Infinity;

/** A supply that came with its box was chosen by the maker for all of its bays. */
const isItsMakers = (supply: Supply): boolean => supply.builtIn !== undefined;

/**
 * A load against a supply's limit: its low end past it blocks, its bad end past it cautions, unless it is the box's own
 * and the likely load is within it.
 */
function loadFinding<F extends Facts>(
  load: Ranged | null | undefined,
  { value: limit, atBest }: Limit,
  unit: 'A' | 'W',
  supply: Supply,
  others: readonly PlannedUnit[],
  facts: F,
): FindingOf<Sized<F & { supply: string }>>[] {
  if (!load) return [];
  const { lo, hi } = load;
  if (hi <= limit) return [];
  return [
    {
      severity: lo > atBest ? 'blocker' : load.value <= limit && isItsMakers(supply) ? 'note' : 'caution',
      at: [{ unit: supply.id }, ...others.map((one) => ({ unit: one.id }))],
      gap: { have: load.value, limit, gap: limit - load.value, unit, lo, hi },
      facts: { ...facts, supply: supply.part.name },
    },
  ];
}

export function start12V(situation: Situation): Found<'powered.start12V'>[] {
  const { context, figures } = situation;
  // The figure is that of the feed that gives most: with one feed it is the very number wanted.
  const alone = feedsOf(context).length === 1;
  return suppliedFeeds(situation).flatMap((feed) => {
    const drives = classesOn(context, feed)
      .flatMap(({ units }) => ofKind(units, 'drive'))
      .filter((unit) => unit.part.spinUp.some((step) => step.a12 > 0));
    return loadFinding(
      alone ? figures['power.start12A'] : ranged(feedStart12A(context, feed, new Ledger(false))),
      limitOf(situation, feed, 'rail12A'),
      'A',
      feed.supply,
      drives,
      { drives: drives.length },
    );
  });
}

/**
 * What a redundant supply is asked at its most, or at the start, against what is left with one module gone: past that
 * it is no longer redundant, and the first module that fails takes the machine down.
 */
export function oneModuleGone(situation: Situation): Found<'powered.oneGone'>[] {
  return suppliedFeeds(situation).flatMap((feed): Found<'powered.oneGone'>[] => {
    const modules = modulesOf(feed);
    if (modules < 2) return [];
    const quiet = new Ledger(false);
    const asked = [
      ['W', mostW(situation, feed).load, limitOf(situation, feed, 'ratedW', modules - 1)],
      ['A', ranged(feedStart12A(situation.context, feed, quiet)), limitOf(situation, feed, 'rail12A', modules - 1)],
    ] as const;
    return asked
      .flatMap(([unit, load, limit]): Found<'powered.oneGone'>[] =>
        load && load.value > limit.value
          ? [
              {
                severity: 'caution',
                at: feed.sharing.map(({ id }) => ({ unit: id })),
                gap: {
                  have: load.value,
                  limit: limit.value,
                  gap: limit.value - load.value,
                  unit,
                  lo: load.lo,
                  hi: load.hi,
                },
                facts: { supply: feed.supply.part.name, modules },
              },
            ]
          : [],
      )
      .slice(0, 1);
  });
}

/** What a feed is asked for at most: everything at its most together, or the start of its drives. */
function mostW(situation: Situation, feed: Feed): { readonly load: Ranged | null; readonly start: string } {
  const quiet = new Ledger(false);
  const [peak, start] = (['peak', 'start'] as const).map((state) =>
    ranged(feedLoadW(situation.context, feed, state, quiet)),
  );
  return start && peak && start.value > peak.value ? { load: start, start: 'yes' } : { load: peak ?? null, start: '' };
}

/**
 * What a feed is asked for at most against what its supply is rated for, also one of which only the watts are known; a
 * brick before a converter carries what that loses too.
 */
export function supplyTotal(situation: Situation): Found<'powered.total'>[] {
  return suppliedFeeds(situation).flatMap((feed) => {
    const { load, start } = mostW(situation, feed);
    const { supply, brick } = feed;
    const own = loadFinding(load, limitOf(situation, feed, 'ratedW'), 'W', supply, [], { start });
    if (!brick || !load) return own;
    const low = lowShareOf(situation.context, feed, start ? 'start' : 'peak');
    const before = (watts: number) => watts + supplyLossW(supply.part, supply.part.twelveThrough ? watts * low : watts);
    const onBrick = { value: before(load.value), lo: before(load.lo), hi: before(load.hi) };
    const [{ value: rated, hi: atBest }, most] = [factOf(brick.part, 'ratedW'), atMains(brick, situation.context.site)];
    const [value, hi] = [Math.min(rated, most), Math.min(atBest, most)];
    return [...own, ...loadFinding(onBrick, { value, atBest: Math.max(value, hi) }, 'W', brick, [], { start })];
  });
}

/**
 * A second supply in a box starts with the first only by a lead that joins their main plugs: where no board is on its
 * own, nothing switches it on.
 */
export function nothingStarts({ context }: Situation): Found<'powered.unstarted'>[] {
  return plugPlans(context).flatMap(({ supplies, chains }): Found<'powered.unstarted'>[] => {
    const mains = chains.filter(({ chain, plugs }) => chain.wire && plugs.some(({ plug }) => plug === '24-pin'));
    const started = new Set(
      mains.flatMap(({ chain, plugs }) =>
        plugs.some(({ plug, on }) => plug === '24-pin' && on.length > 0) ? [chain.of.id] : [],
      ),
    );
    const [first] = supplies.filter(({ id }) => started.has(id));
    const idle = new Set(mains.map(({ chain }) => chain.of).filter(({ id }) => !started.has(id)));
    return first
      ? [...idle].map((unit) => ({
          severity: 'caution' as const,
          at: [{ unit: unit.id }],
          because: [{ unit: first.id }],
          facts: { supply: unit.part.name, first: first.part.name },
        }))
      : [];
  });
}

/** 5 V, 3.3 V and both together, at work and at the start, against what the supply gives there. */
export function railLoad(situation: Situation): Found<'powered.rails'>[] {
  return suppliedFeeds(situation).flatMap((feed) => {
    const { supply } = feed;
    const { rail5A, rail33A, combined5And33W } = supply.part;
    const five = railA(situation.context, feed, '5 V');
    const three = railA(situation.context, feed, '3.3 V');
    const sums = five.flatMap(({ when, amps }, i): Found<'powered.rails'>[] => {
      const both = { value: 0, lo: 0, hi: 0 };
      for (const end of ['value', 'lo', 'hi'] as const) both[end] = 5 * amps[end] + 3.3 * (three[i]?.amps[end] ?? 0);
      return [
        ...overRail(supply, '5 V', amps, rail5A, 'A', when),
        ...overRail(supply, '3.3 V', three[i]?.amps ?? NOTHING, rail33A, 'A', when),
        ...overRail(supply, '5 V and 3.3 V together', both, combined5And33W, 'W', when),
      ];
    });
    // One is said: what blocks before what cautions, a rail before both together, and the moment furthest past it.
    return sums
      .sort(
        (one, other) =>
          GRAVITY[one.severity] - GRAVITY[other.severity] ||
          RAILS.indexOf(one.facts.rail) - RAILS.indexOf(other.facts.rail) ||
          one.gap.gap - other.gap.gap,
      )
      .slice(0, 1);
  });
}

const RAILS = ['5 V', '3.3 V', '5 V and 3.3 V together'];

const NOTHING: Ranged = { value: 0, lo: 0, hi: 0 };

/** A rail that is not stated (0, as on a brick of one voltage) is not judged. */
function overRail(
  supply: Supply,
  rail: string,
  load: Ranged,
  limit: number,
  unit: 'A' | 'W',
  when: string,
): Found<'powered.rails'>[] {
  if (limit <= 0 || load.hi <= limit) return [];
  return [
    {
      severity: load.lo > limit ? 'blocker' : 'caution',
      at: [{ unit: supply.id }],
      gap: { have: load.value, limit, gap: limit - load.value, unit, lo: load.lo, hi: load.hi },
      facts: { supply: supply.part.name, rail, when },
    },
  ];
}

/** Waves that are set, and drives that start at once all the same. */
export function startInTurn({ context, units }: Situation): Found<'powered.inTurn'>[] {
  if (context.policy.spinUp.kind !== 'waves') return [];
  const stuck = hindrances(context);
  const [first] = stuck;
  if (!first) return [];
  return [
    {
      severity: 'caution',
      at: stuck.map(({ drive }) => ({ unit: drive.id })),
      because: [{ unit: first.by.id }],
      facts: {
        count: stuck.length,
        of: ofKind(units, 'drive').length,
        part: first.by.part.name,
        says: first.says,
      },
    },
  ];
}
