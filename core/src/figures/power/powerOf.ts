import type { Build } from '../../build/build';
import type { SpotRef, Wire } from '../../build/layout';
import type { UnitId } from '../../parts/ids';
import type { FigureContext } from '../context';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../quantity';
import { POWER_STATES, type PowerState } from './draw';
import type { Rail } from './currents';
import { railsIn } from './rails';
import { feedOffW, offWallW } from './off';
import { hindrances } from './stagger';
import { mildestStart, startCurve, worstShare, type Mildest, type StartCurve } from './startCurve';
import { feedName, feedsOf, type Feed } from './feeds';
import { feedAt, mainsPlugs } from './upsShares';
import { modulesOf } from './supplyLoss';
import { feedLoadW, feedWall, peakState, wallW } from './wall';
import { startsMore, type StartsMore } from './startsMore';
import { upsTimes, type UpsTime } from './upsTime';
import { yearOf, type Year } from './year';
import { yearAsleep, yearParts, type YearAsleep, type YearPart } from './yearParts';

/** A supply in a state: W at the wall, at its supply's outputs, and that as a share of what the supply gives. */
export type StateDraw = {
  readonly state: PowerState | 'off';
  readonly wall: Ranged;
  readonly loadShare: number | null;
  /** Likely A on each rail, of one supply in a state in which nothing starts. */
  readonly a?: Readonly<Record<Rail, number>>;
};
/** What runs from one supply, or from several that share: a box, or where it has several the part of it. */
export type BoxPower = {
  readonly key: string;
  readonly box: UnitId | null;
  readonly name: string;
  readonly supply: {
    readonly unit: UnitId;
    /** All that share the load. */ readonly units: readonly UnitId[];
    readonly name: string;
    readonly mark: string;
    readonly givesW: number;
    readonly modules: number;
    /** The brick before a converter. */ readonly brick: string | null;
    readonly isBrick: boolean;
  } | null;
  readonly states: readonly StateDraw[];
  readonly start: StartCurve;
  /** The highest share of a limit at the start. */ readonly startShare: number;
  /** How many more disks it could start. */ readonly startsMore: StartsMore | null;
};
/** One mains plug: of which supply or brick, and what it is plugged into; `on` null is the wall. */
export type MainsLine = {
  /** The box or part of one it feeds, by its `key`. */ readonly feed: string;
  readonly spot: SpotRef | null;
  readonly name: string;
  readonly mark: string | null;
  /** Which of how many plugs that share the load. */ readonly n: number;
  readonly of: number;
  readonly on: UnitId | null;
  readonly how: Wire['how'];
  /** Likely W in the state in which socket and UPS stand most. */ readonly peakW: number;
};
export type Power = {
  readonly boxes: readonly BoxPower[];
  /** All boxes on one socket, W at the wall by state. */ readonly together: readonly StateDraw[];
  readonly mildest: Mildest | null;
  /** Drives that cannot wait for their turn. */ readonly cannotWait: number;
  readonly year: Year | null;
  /** What a year is cheaper without each class of parts. */ readonly yearParts: readonly YearPart[];
  readonly yearAsleep: YearAsleep | null;
  readonly ups: readonly UpsTime[];
  /** What is plugged into the mains, and where. */ readonly mains: readonly MainsLine[];
};

/** All of a machine's power, for the view of that name. */
export function powerOf(
  context: FigureContext,
  { profile, tariff }: Pick<Build, 'profile' | 'tariff'>,
  asOf: string,
): Power {
  const ledger = new Ledger(false);
  const ranged = (quantity: ReturnType<typeof wallW>): Ranged | null => quantity && rangedOf(quantity);
  const feeds = feedsOf(context);
  const boxes = feeds.map((feed): BoxPower => {
    const { supply, brick } = feed;
    const start = startCurve(context, feed);
    const givesW = start.limits?.insideW ?? 0;
    return {
      key: feed.key,
      box: feed.box?.id ?? null,
      name: nameAmong(feed, feeds),
      supply: supply && {
        unit: supply.id,
        units: feed.sharing.map(({ id }) => id),
        name: supply.part.name,
        mark: supply.mark,
        givesW,
        modules: modulesOf(feed),
        brick: brick?.part.name ?? null,
        isBrick: supply.part.form === 'brick',
      },
      states: [
        ...offDraw(feedOffW(context, feed, ledger)),
        ...POWER_STATES.flatMap((state): StateDraw[] => {
          const wall = ranged(feedWall(context, feed, state, ledger));
          const load = feedLoadW(context, feed, state, ledger);
          if (!wall) return [];
          const loadShare = givesW > 0 && load ? load.value / givesW : null;
          return [{ state, wall, loadShare, ...(state === 'start' ? {} : { a: railsIn(context, feed, state) }) }];
        }),
      ],
      start,
      startShare: worstShare(start),
      startsMore: startsMore(context, feed, start),
    };
  });
  return {
    boxes,
    together: [
      ...offDraw(offWallW(context, ledger)),
      ...POWER_STATES.flatMap((state): StateDraw[] => {
        const wall = ranged(wallW(context, state, ledger));
        return wall ? [{ state, wall, loadShare: null }] : [];
      }),
    ],
    mildest: mildestStart(context),
    cannotWait: hindrances(context).length,
    year: yearOf(context, profile, tariff),
    yearParts: yearParts(context, profile, tariff),
    yearAsleep: yearAsleep(context, profile, tariff),
    ups: upsTimes(context, asOf),
    mains: mainsLines(context),
  };
}

function mainsLines(context: FigureContext): readonly MainsLine[] {
  const state = peakState(context);
  const all = mainsPlugs(context);
  return feedsOf(context).flatMap((feed) =>
    all
      .filter((one) => one.feed.key === feed.key)
      .map(({ spot, of, on, how }, i): MainsLine => {
        const { brick, sharing } = feed;
        const unit = (brick ? [brick] : sharing).find(({ id }) => id === spot?.host);
        return {
          feed: feed.key,
          spot,
          name: unit?.part.name ?? feedName(feed),
          mark: unit?.mark ?? null,
          n: i + 1,
          of,
          on: on?.id ?? null,
          how,
          peakW: (feedAt(context, feed, state)?.value ?? 0) / of,
        };
      }),
  );
}

const offDraw = (wall: Quantity | null): StateDraw[] =>
  wall ? [{ state: 'off', wall: rangedOf(wall), loadShare: null }] : [];

/** The box's name; of several supplies in one box each adds its own. */
function nameAmong({ box, supply, key }: Feed, all: readonly Feed[]): string {
  const name = box?.part.name ?? 'The table';
  const isOne = all.every((other) => other.box !== box || other.key === key);
  return isOne || !supply ? name : `${name}, ${supply.part.name} ${supply.mark}`;
}
