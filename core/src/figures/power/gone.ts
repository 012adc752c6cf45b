import type { UnitId } from '../../parts/ids';
import type { PlugKind } from '../../parts/vocabulary';
import { dataDrives } from '../../machine/roles';
import { ofKind, type PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';
import { Ledger } from '../quantity';
import { classesOn } from './fedClasses';
import { feedsOf, type Feed } from './feeds';
import type { PlugUse, PowerBox, PowerCable } from './plugRows';
import { mainsRatedW, most12A } from './rails';
import { feedStart12A } from './start';
import { modulesOf } from './supplyLoss';
import { feedAt, upsShares, wattsOn, type UpsShare } from './upsShares';
import { feedLoadW, peakState } from './wall';

/** A part that is fed by fewer inputs than before: whether all of it then runs its sheet does not say. */
type Fewer = { readonly mark: string; readonly name: string; readonly left: number; readonly of: number };
/** What stops without a cable, or its plug at the supply. */
export type CableGone = {
  /** Whether a board stops, and all with it. */ readonly host: boolean;
  /** Drives on plugs of their own, and parts that have no other input, each with the drives behind it. */
  readonly stops: readonly { readonly mark: string; readonly name: string; readonly drives: readonly UnitId[] }[];
  readonly fewer: readonly Fewer[];
};

/** Boards do not run without these. */
const HOST: ReadonlySet<PlugKind> = new Set<PlugKind>(['24-pin', '8-pin-cpu', '4-pin-cpu', 'dc-jack']);
const groupOf = ({ unit, spot }: PlugUse): string => `${unit}/${spot.key}`;
const usesOn = ({ plugs }: PowerCable): PlugUse[] => plugs.flatMap(({ uses }) => uses);

export function cableGone(box: PowerBox, cable: PowerCable): CableGone {
  const own = usesOn(cable);
  const all = box.cables.flatMap(usesOn);
  const stops: CableGone['stops'][number][] = [];
  const fewer: Fewer[] = [];
  for (const group of new Set(own.map(groupOf))) {
    const here = own.filter((use) => groupOf(use) === group);
    const [first] = here;
    if (!first) continue;
    const of = all.filter((use) => groupOf(use) === group).length;
    const { mark, name, drives } = first;
    if (here.length < of) fewer.push({ mark, name, left: of - here.length, of });
    else stops.push({ mark, name, drives });
  }
  return { host: own.some(({ plug }) => HOST.has(plug)), stops, fewer };
}

/** One thing that fails, and what stays up without it. */
export type Gone = {
  readonly kind: 'module' | 'supply' | 'brick' | 'cable' | 'ups';
  readonly unit: UnitId;
  readonly mark: string;
  readonly name: string;
  /** Its label in the wiring, of a cable. */ readonly label: string | null;
  readonly host: boolean;
  readonly drives: readonly UnitId[];
  /** Of those, drives that hold the pool's data, and whether they are more than the pool is to survive. */
  readonly data: number;
  readonly isPastPool: boolean;
  readonly fewer: readonly Fewer[];
  /** Of what the other modules give, the highest share that is asked, at work or while drives start. */
  readonly left: { readonly share: number; readonly when: 'peak' | 'start' } | null;
};

/**
 * Every supply, module, brick, cable in use and UPS of a machine taken out in turn, the worst first. A board that stops
 * takes its whole machine with it, a shelf's supply only what is in the shelf. Pairs are not tried, nor is whether a
 * part runs on fewer inputs.
 */
export function goneOf(context: FigureContext, boxes: readonly PowerBox[]): Gone[] {
  const data = new Set<UnitId>(dataDrives(context.running).map(({ id }) => id));
  const told = (one: Omit<Gone, 'data' | 'isPastPool'>): Gone => {
    const lost = one.drives.filter((id) => data.has(id)).length;
    return { ...one, data: lost, isPastPool: lost > context.failuresSurvived };
  };
  const all = [
    ...feedsOf(context).flatMap((feed) => ofFeed(context, feed)),
    ...boxes.flatMap((box) =>
      box.cables.flatMap((cable): Parameters<typeof told>[0][] => {
        if (cable.label === null) return [];
        const { host, stops, fewer } = cableGone(box, cable);
        return [
          {
            kind: 'cable',
            unit: cable.host.host as UnitId,
            mark: box.supply.mark,
            name: cable.name,
            label: cable.label,
            host,
            drives: stops.flatMap(({ drives }) => drives),
            fewer,
            left: null,
          },
        ];
      }),
    ),
    ...upsShares(context).map((share) => ofUps(context, share)),
  ].map(told);
  const rank = (one: Gone): number =>
    one.host
      ? 4
      : one.data > 0 && one.isPastPool
        ? 3
        : one.drives.length > 0
          ? 2
          : one.left || one.fewer.length
            ? 1
            : 0;
  return all.sort((a, b) => rank(b) - rank(a) || b.data - a.data);
}

const named = (kind: Gone['kind'], { id, mark, part }: PlannedUnit) => ({
  kind,
  unit: id,
  mark,
  name: part.name,
  label: null,
  fewer: [],
  left: null,
});

/** What has all of its mains plugs on one UPS stops with it; what has some elsewhere asks more there. */
function ofUps(context: FigureContext, share: UpsShare): Omit<Gone, 'data' | 'isPastPool'> {
  const alone = share.hanging.filter(({ plugs, of }) => plugs === of).map(({ feed }) => feed);
  const moved = share.hanging.filter(({ plugs, of }) => plugs < of).map(({ feed }) => feed);
  const own = alone.flatMap((feed) => classesOn(context, feed).flatMap(({ units }) => units));
  const state = peakState(context);
  const others = upsShares(context).filter((one) => one !== share);
  const shares = others.flatMap((other) => {
    const has = other.hanging.filter(({ feed }) => moved.includes(feed));
    if (has.length === 0) return [];
    const more = has.reduce((sum, { feed, plugs, of }) => {
      const gone = share.hanging.find((one) => one.feed === feed)?.plugs ?? 0;
      const wall = feedAt(context, feed, state)?.value ?? 0;
      return sum + (wall * gone * plugs) / (of * (of - gone));
    }, 0);
    return [((wattsOn(context, other, state)?.value ?? 0) + more) / other.unit.part.ratedW];
  });
  return {
    ...named('ups', share.unit),
    host: own.some(({ part }) => part.kind === 'board'),
    drives: ofKind(own, 'drive').map(({ id }) => id),
    left: shares.length > 0 ? { share: Math.max(...shares), when: state } : null,
  };
}

function ofFeed(context: FigureContext, feed: Feed): Omit<Gone, 'data' | 'isPastPool'>[] {
  const { supply, brick } = feed;
  if (!supply) return [];
  if (modulesOf(feed) > 1)
    return [{ ...named('module', supply), host: false, drives: [], left: withOneLess(context, feed) }];
  const own = classesOn(context, feed).flatMap(({ units }) => units);
  const lost = {
    host: own.some(({ part }) => part.kind === 'board'),
    drives: ofKind(own, 'drive').map(({ id }) => id),
  };
  return [{ ...named('supply', supply), ...lost }, ...(brick ? [{ ...named('brick', brick), ...lost }] : [])];
}

/** What is asked at most of the modules that are left, as a share of what they give. */
function withOneLess(context: FigureContext, feed: Feed): Gone['left'] {
  const { supply } = feed;
  if (!supply) return null;
  const quiet = new Ledger(false);
  const modules = modulesOf(feed) - 1;
  const { rail12A } = supply.part;
  const ratedW = mainsRatedW(supply.part, context.site);
  const of = (state: 'peak' | 'start') => (feedLoadW(context, feed, state, quiet)?.value ?? 0) / (modules * ratedW);
  const amps = feedStart12A(context, feed, quiet)?.value ?? 0;
  const start = Math.max(of('start'), amps / (modules * Math.min(rail12A, most12A(supply.part, context.site))));
  return start > of('peak') ? { share: start, when: 'start' } : { share: of('peak'), when: 'peak' };
}
