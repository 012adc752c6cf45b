import { memberAt } from '../../lists';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, rangedOf, type Quantity, type Ranged } from '../quantity';
import type { PartOf } from '../../parts/resolve';
import { currents, together, type Rail } from './currents';
import { draw, type DrawLine, type PowerState } from './draw';
import type { Feed } from './feeds';

/** What a feed gives on a low rail in one state or at the start, A with its range. */
export type RailLoad = { readonly when: string; readonly amps: Ranged };

const STATES: readonly (readonly [PowerState, string, 'idle5A' | 'busy5A'])[] = [
  ['idle', 'Idle', 'idle5A'],
  ['busy', 'At work', 'busy5A'],
];
const VOLTS = { '5 V': 5, '3.3 V': 3.3 } as const;
type LowRail = keyof typeof VOLTS;

type Rated = Pick<PartOf<'supply'>, 'ratedW' | 'ratedW115'>;
/** W that a supply gives on the mains there are; many large ones give less on 115 V. */
export const mainsRatedW = ({ ratedW, ratedW115 }: Rated, { mainsV }: Pick<FigureContext['site'], 'mainsV'>): number =>
  mainsV === 115 ? Math.min(ratedW, ratedW115 ?? ratedW) : ratedW;

/** A rail never gives more than the whole supply does at its volts, A. */
export const most12A = (part: Rated, site: Pick<FigureContext['site'], 'mainsV'>): number =>
  mainsRatedW(part, site) / 12;

/** The part of a line's W that is on a low rail. */
const shareOn = (rail: LowRail, { share12, share5 }: DrawLine): number =>
  rail === '5 V' ? share5 : Math.max(0, 1 - share12 - share5);
/** All but the drives that start on it: an M.2 module has no start, it is on 3.3 V all the while. */
const isHostOn = (rail: LowRail, { of: { part } }: DrawLine): boolean =>
  part.kind !== 'drive' || (rail === '3.3 V' && part.size === 'm2');

/**
 * A on 5 V or 3.3 V of a feed idle, at work and at the worst moment of its drives' start, from its parts' W by their
 * shares of rails. Peaks of parts do not fall together on these rails and are not added.
 */
export function railA(context: FigureContext, feed: Feed, rail: LowRail): readonly RailLoad[] {
  const ledger = new Ledger(false);
  return kept(context, ledger, `${rail} ${feed.key}`, () => railAfresh(context, feed, rail, ledger));
}

function railAfresh(context: FigureContext, feed: Feed, rail: LowRail, ledger: Ledger): readonly RailLoad[] {
  const share = (line: DrawLine): number => shareOn(rail, line);
  const linesOf = (state: PowerState) => draw(context, state, ledger).filter((line) => line.of.feed.key === feed.key);
  const ampsOf = (lines: readonly DrawLine[]): Quantity =>
    ledger.map(
      'A on the rail',
      'A',
      [
        ledger.sum(
          'W on the rail',
          'W',
          lines
            .filter((line) => share(line) > 0)
            .map((line) => ledger.times(line.of.part.name, line.watts, share(line))),
        ),
      ],
      `W / ${VOLTS[rail]} V`,
      (watts) => watts / VOLTS[rail],
    );
  const loads = STATES.map(([state, when, drive5A]): RailLoad => {
    const lines = linesOf(state);
    // A drive's own amps where its sheet tells them: its share of watts is that of idling.
    const drives = rail === '5 V' ? lines.filter(({ of }) => of.part.kind === 'drive' && of.part.size !== 'm2') : [];
    const own = drives.map(({ of }) => ledger.times(of.part.name, ledger.fact(of.part, drive5A), of.units.length));
    const others = ampsOf(lines.filter((line) => !drives.includes(line)));
    return { when, amps: rangedOf(ledger.sum(when, 'A', [...own, others])) };
  });
  const { momentsS, at } = currents(context, feed, rail);
  const host = linesOf('start');
  // Nothing starts on this rail: what idles there draws during the start of the others too.
  if (momentsS.length === 0) return [...loads, { when: 'At the start', amps: memberAt(loads, 0).amps }];
  const most = Math.max(...momentsS.map((second) => together(at(second))));
  const worst = at(momentsS.find((second) => together(at(second)) === most)!);
  const starting = ledger.sum(
    'Drives at their start',
    'A',
    worst
      .filter(({ amps }) => amps > 0)
      .map(({ drive, count, amps, isStarting }) =>
        ledger.times(
          drive.part.name,
          isStarting
            ? ledger.fact(drive.part, 'spinUp', amps, rail === '5 V' ? 'spinUp.a5' : 'spinUp.a33')
            : ledger.fact(drive.part, 'idle5A'),
          count,
        ),
      ),
  );
  const rest = ampsOf(host.filter((line) => isHostOn(rail, line)));
  return [...loads, { when: 'At the start', amps: rangedOf(ledger.sum('At the start', 'A', [starting, rest])) }];
}

/** A drive's own amps in a state, where its sheet tells them; its share of watts is that of idling. */
const OWN_A: Partial<
  Record<PowerState, { readonly '12 V': 'idle12A' | 'busy12A'; readonly '5 V': 'idle5A' | 'busy5A' }>
> = {
  idle: { '12 V': 'idle12A', '5 V': 'idle5A' },
  busy: { '12 V': 'busy12A', '5 V': 'busy5A' },
};

/** Likely A on each rail of a feed in a state in which no drive starts. */
export function railsIn(context: FigureContext, feed: Feed, state: PowerState): Readonly<Record<Rail, number>> {
  const all = { '12 V': 0, '5 V': 0, '3.3 V': 0 };
  const own = OWN_A[state];
  for (const { of, watts, share12, share5 } of draw(context, state, new Ledger(false))) {
    if (of.feed.key !== feed.key) continue;
    const { part, units } = of;
    if (own && part.kind === 'drive' && part.size !== 'm2') {
      all['12 V'] += units.length * part[own['12 V']];
      all['5 V'] += units.length * part[own['5 V']];
      continue;
    }
    all['12 V'] += (watts.value * share12) / 12;
    all['5 V'] += (watts.value * share5) / VOLTS['5 V'];
    all['3.3 V'] += (watts.value * Math.max(0, 1 - share12 - share5)) / VOLTS['3.3 V'];
  }
  return all;
}

/** Likely A that all but the drives that start takes on a low rail meanwhile. */
export function restAtStartA(context: FigureContext, feed: Feed, rail: LowRail): number {
  const watts = draw(context, 'start', new Ledger(false))
    .filter((line) => line.of.feed.key === feed.key && isHostOn(rail, line))
    .reduce((sum, line) => sum + line.watts.value * shareOn(rail, line), 0);
  return watts / VOLTS[rail];
}
