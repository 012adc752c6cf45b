import { memberAt } from '../../lists';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, type Quantity } from '../quantity';
import { currents, together, type DriveCurrent } from './currents';
import { draw } from './draw';
import { feedsOf, type Feed } from './feeds';

/**
 * Peak current on the 12 V rail of the supply that gives most while the drives start, in A. Null
 * without drives that start on 12 V.
 */
export function start12A(context: FigureContext, ledger: Ledger): Quantity | null {
  const feeds = feedsOf(context);
  if (feeds.length === 1) return feedStart12A(context, memberAt(feeds, 0), ledger);
  const quiet = new Ledger(false);
  const most = feeds
    .map((feed) => ({ feed, amps: feedStart12A(context, feed, quiet)?.value ?? -1 }))
    .reduce((best, one) => (one.amps > best.amps ? one : best));
  return most.amps < 0 ? null : feedStart12A(context, most.feed, ledger);
}

/**
 * The same for one feed: its drives by the start policy, on top of the host in its self-test, near busy, fans at full.
 */
export const feedStart12A = (context: FigureContext, feed: Feed, ledger: Ledger): Quantity | null =>
  kept(context, ledger, `12 V ${feed.key}`, () => start12Afresh(context, feed, ledger));

function start12Afresh(context: FigureContext, feed: Feed, ledger: Ledger): Quantity | null {
  const { momentsS, at: currentsAt } = currents(context, feed, '12 V');
  if (momentsS.length === 0) return null;
  const worst = momentsS.reduce((best, second) =>
    together(currentsAt(second)) > together(currentsAt(best)) ? second : best,
  );
  const at = currentsAt(worst);
  const classes = new Map<string, { count: number; amps: number; starting: boolean; drive: DriveCurrent['drive'] }>();
  for (const one of at) {
    const key = `${one.drive.part.id}|${one.amps}|${one.isStarting}`;
    const had = classes.get(key);
    classes.set(key, {
      count: (had?.count ?? 0) + one.count,
      amps: one.amps,
      starting: one.isStarting,
      drive: one.drive,
    });
  }
  const lines = [...classes.values()]
    .filter((one) => one.amps > 0)
    .map(({ count, amps, starting, drive }) =>
      ledger.times(
        `${count} × ${drive.part.name}, ${starting ? 'starting' : 'turning'}`,
        starting ? ledger.fact(drive.part, 'spinUp', amps, 'spinUp.a12') : ledger.fact(drive.part, 'idle12A'),
        count,
      ),
    );
  return ledger.sum(
    '12 V at the start of all drives',
    'A',
    [...lines, restOf12A(context, feed, ledger)],
    `at ${worst.toFixed(1)} s`,
  );
}

/** What all but the drives takes on 12 V while they start, A. */
export function restOf12A(context: FigureContext, feed: Feed, ledger: Ledger): Quantity {
  const lines = draw(context, 'start', ledger).filter(
    (line) => line.of.feed.key === feed.key && line.of.part.kind !== 'drive' && line.share12 > 0,
  );
  const watts = ledger.sum(
    'The rest on 12 V',
    'W',
    lines.map((line) => ledger.times(line.of.part.name, line.watts, line.share12)),
  );
  return ledger.map('The rest of the machine', 'A', [watts], 'W / 12 V', (value) => value / 12);
}
