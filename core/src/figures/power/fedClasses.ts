import { memberAt } from '../../lists';
import { seatsOf } from '../../machine/hosts';
import { unitsById, type PlannedUnit } from '../../machine/units';
import { countsWith, type Box } from '../boxes';
import { classesOf, type FigureContext, type PartClass } from '../context';
import { kept } from '../kept';
import { Ledger } from '../quantity';
import { feedsOf, type Feed } from './feeds';
import { plugPlans, type PlacedInput } from './plugPlan';

/** Like parts that run from one feed. */
export type FedClass = PartClass & { readonly feed: Feed };

/** The same for every running part, those of a box with one feed without asking for plugs. */
export const fedClasses = (context: FigureContext): readonly FedClass[] =>
  kept(context, PLAIN, 'fed classes', () => classify(context));

const PLAIN = new Ledger(false);

function classify(context: FigureContext): readonly FedClass[] {
  const feeds = feedsOf(context);
  const dealt = new Map<Box, (unit: PlannedUnit) => Feed>();
  return classesOf(context.running, context.units, context.layout).flatMap((one): FedClass[] => {
    const box = countsWith(context, one.box);
    const own = feeds.filter((feed) => feed.box === box);
    if (own.length === 1) return [{ ...one, feed: memberAt(own, 0) }];
    const feedOf = dealt.get(box) ?? byPlugs(context, box, own);
    dealt.set(box, feedOf);
    return own.flatMap((feed): FedClass[] => {
      const units = one.units.filter((unit) => feedOf(unit) === feed);
      return units.length > 0 ? [{ ...one, units, feed }] : [];
    });
  });
}

/**
 * Which of several feeds of a box a part runs from: that on whose plug it is, a drive behind a backplane that of its
 * share of the inputs; all else goes with the board, by its main plug, as slots, sockets and headers do.
 */
function byPlugs(context: FigureContext, box: Box, feeds: readonly Feed[]): (unit: PlannedUnit) => Feed {
  const plan = plugPlans(context).find((one) => one.box === box);
  const of = new Map<string, Feed>();
  const onBackplane = new Map<readonly PlannedUnit[], Feed[]>();
  let main = memberAt(feeds, 0);
  for (const { chain, plugs } of plan?.chains ?? []) {
    const feed = feeds.find(({ sharing }) => sharing.some(({ id }) => id === chain.of.id));
    if (!feed) continue;
    const all = plugs.flatMap(({ on, splitter }): readonly PlacedInput[] => [...on, ...(splitter?.on ?? [])]);
    for (const { input } of all) {
      const { by, plug, drives, feeds: fed } = input.input;
      if (by.part.kind === 'board' && (plug === '24-pin' || plug === 'dc-jack')) main = feed;
      for (const unit of fed) of.set(unit.id, of.get(unit.id) ?? feed);
      if (drives.length > 0) onBackplane.set(drives, [...(onBackplane.get(drives) ?? []), feed]);
    }
  }
  for (const [drives, inputs] of onBackplane)
    drives.forEach((drive, i) => of.set(drive.id, memberAt(inputs, Math.floor((i * inputs.length) / drives.length))));
  const byId = unitsById(context.units);
  const seats = seatsOf(context.layout);
  return (unit) => {
    const own = of.get(unit.id);
    if (own) return own;
    const host = byId.get(seats.get(unit.id)?.spot.host ?? '');
    return (host && of.get(host.id)) ?? main;
  };
}

/** The classes of one feed. */
export const classesOn = (context: FigureContext, { key }: Feed): readonly FedClass[] =>
  fedClasses(context).filter(({ feed }) => feed.key === key);
