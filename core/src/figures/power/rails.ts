import { memberAt } from '../../lists';
import { countsWith, type Box } from '../boxes';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { Ledger, rangeOfQuantity, type Quantity } from '../quantity';
import { currents, together } from './currents';
import { draw, type DrawLine, type PowerState } from './draw';

type Amps = { readonly value: number; readonly lo: number; readonly hi: number };
/** What a box takes on a low rail in one state or at the start, A with its range. */
export type RailLoad = { readonly when: string; readonly amps: Amps };

const STATES: readonly (readonly [PowerState, string, 'idle5A' | 'busy5A'])[] = [
  ['idle', 'Idle', 'idle5A'],
  ['busy', 'At work', 'busy5A'],
];
const VOLTS = { '5 V': 5, '3.3 V': 3.3 } as const;

/**
 * A on 5 V or 3.3 V of a box idle, at work and at the worst moment of its drives' start, from its parts' W by their
 * shares of rails. Peaks of parts do not fall together on these rails and are not added.
 */
export function railA(context: FigureContext, box: Box, rail: '5 V' | '3.3 V'): readonly RailLoad[] {
  const ledger = new Ledger(false);
  return kept(context, ledger, `${rail} ${box?.id}`, () => railAfresh(context, box, rail, ledger));
}

function railAfresh(context: FigureContext, box: Box, rail: '5 V' | '3.3 V', ledger: Ledger): readonly RailLoad[] {
  const share = ({ share12, share5 }: DrawLine): number =>
    rail === '5 V' ? share5 : Math.max(0, 1 - share12 - share5);
  const linesOf = (state: PowerState) =>
    draw(context, state, ledger).filter((line) => countsWith(context, line.of.box) === box);
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
  const { momentsS, at } = currents(context, box, rail);
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
  // An M.2 module has no start: it is on 3.3 V all the while.
  const rest = ampsOf(host.filter(({ of }) => of.part.kind !== 'drive' || (rail === '3.3 V' && of.part.size === 'm2')));
  return [...loads, { when: 'At the start', amps: rangedOf(ledger.sum('At the start', 'A', [starting, rest])) }];
}

/** Likely A that all but the drives that start takes on a low rail meanwhile. */
export function restAtStartA(context: FigureContext, box: Box, rail: '5 V' | '3.3 V'): number {
  const lines = draw(context, 'start', new Ledger(false)).filter(
    ({ of }) =>
      countsWith(context, of.box) === box &&
      // An M.2 module has no start: it is on 3.3 V all the while.
      (of.part.kind !== 'drive' || (rail === '3.3 V' && of.part.size === 'm2')),
  );
  const watts = lines.reduce(
    (sum, { watts: { value }, share12, share5 }) =>
      sum + value * (rail === '5 V' ? share5 : Math.max(0, 1 - share12 - share5)),
    0,
  );
  return watts / VOLTS[rail];
}

const rangedOf = (quantity: Quantity): Amps => ({ value: quantity.value, ...rangeOfQuantity(quantity) });
