import type { Part } from '../../parts/resolve';
import { CARD_KINDS } from '../../machine/units';
import { classesOf, type FigureContext, type PartClass } from '../context';
import { fanRpmShare } from '../fanCurve';
import type { Ledger, Quantity } from '../quantity';

export type PowerState = 'asleep' | 'idle' | 'busy' | 'peak';
export type DrawLine = {
  readonly of: PartClass;
  readonly watts: Quantity;
  readonly share12: number;
  readonly share5: number;
};

/** A controller card keeps the processor from its deepest idle. */
const KEPT_AWAKE_W = { value: 4, lo: 2, hi: 10 };
/** A fan's electronics draw this at any speed; the rest goes with the cube of its speed (fan affinity laws). */
const FAN_BASE_W = 0.2;
/** A processor's converters on the board lose this share of the 12 V they are fed. */
const PACKAGE_SHARE = { asleep: 0.75, idle: 0.75, busy: 0.88, peak: 0.88 } as const;

const FIELD: Record<PowerState, 'idleW' | 'busyW' | 'peakW'> = {
  asleep: 'idleW',
  idle: 'idleW',
  busy: 'busyW',
  peak: 'peakW',
};

/** W at the supply's outputs by class of part, in a state and at a fan duty between 0 and 1. */
export function draw(context: FigureContext, state: PowerState, fanDuty: number, ledger: Ledger): readonly DrawLine[] {
  if (!ledger.plain) return drawAfresh(context, state, fanDuty, ledger);
  let known = kept.get(context.running);
  if (!known || known.layout !== context.layout)
    kept.set(context.running, (known = { layout: context.layout, lines: new Map() }));
  const name = `${state}|${fanDuty}`;
  let lines = known.lines.get(name);
  if (!lines) known.lines.set(name, (lines = drawAfresh(context, state, fanDuty, ledger)));
  return lines;
}

/** Figures and rules ask for the same states again and again: kept for as long as the list of running units lives. */
const kept = new WeakMap<
  FigureContext['running'],
  { readonly layout: FigureContext['layout']; readonly lines: Map<string, readonly DrawLine[]> }
>();

function drawAfresh(context: FigureContext, state: PowerState, fanDuty: number, ledger: Ledger): DrawLine[] {
  const classes = classesOf(context.running, context.units, context.layout);
  const lines = classes.flatMap((one): DrawLine[] => {
    const each = unitWatts(one.part, state, fanDuty, ledger);
    if (!each) return [];
    const label = one.units.length === 1 ? one.part.name : `${one.units.length} × ${one.part.name}`;
    return [{ of: one, watts: ledger.times(label, each, one.units.length), ...railShares(one.part) }];
  });
  const awake =
    state === 'idle'
      ? classes.find((one) => one.part.kind === 'controller' || one.part.kind === 'expander')
      : undefined;
  if (!awake) return lines;
  return [
    ...lines,
    {
      of: { ...awake, units: [] },
      watts: ledger.given('Processor kept from deep idle by a card', KEPT_AWAKE_W.value, 'W', KEPT_AWAKE_W),
      share12: 1,
      share5: 0,
    },
  ];
}

function unitWatts(part: Part, state: PowerState, fanDuty: number, ledger: Ledger): Quantity | null {
  switch (part.kind) {
    case 'drive':
      return ledger.fact(part, state === 'asleep' ? 'standbyW' : FIELD[state]);
    case 'processor': {
      const share = PACKAGE_SHARE[state];
      return ledger.map(
        part.name,
        'W',
        [ledger.fact(part, FIELD[state])],
        `package W / ${share}`,
        (watts) => watts / share,
      );
    }
    case 'fan': {
      const share = fanRpmShare(part, fanDuty);
      if (share === 0) return null;
      return ledger.map(
        part.name,
        'W',
        [ledger.fact(part, 'maxW')],
        `(W − ${FAN_BASE_W}) × ${share.toFixed(2)}³ + ${FAN_BASE_W}`,
        (watts) => Math.max(0, watts - FAN_BASE_W) * share ** 3 + FAN_BASE_W,
      );
    }
    case 'adapter':
      return part.idleW > 0 ? ledger.fact(part, 'idleW') : null;
    case 'chassis': {
      const watts = part.bayGroups.reduce((sum, group) => sum + (group.backplane?.idleW ?? 0), 0);
      return watts > 0 ? ledger.fact(part, 'bayGroups', watts, 'backplaneW') : null;
    }
    case 'board':
    case 'memory':
    case 'riser':
    case 'enclosure':
    case 'powerAdapter':
    case 'sundry':
      return ledger.fact(part, FIELD[state]);
    default:
      return (CARD_KINDS as readonly string[]).includes(part.kind) ? ledger.fact(part, FIELD[state]) : null;
  }
}

/** How a part's W split over 12 V and 5 V; the rest is 3.3 V. */
function railShares(part: Part): { share12: number; share5: number } {
  switch (part.kind) {
    case 'drive': {
      // An M.2 module lives on 3.3 V, one in a U.2 bay on 12 V (PCI-SIG M.2, SFF-8639).
      if (part.size === 'm2') return { share12: 0, share5: 0 };
      const twelve = part.idle12A * 12;
      const total = twelve + part.idle5A * 5;
      return total > 0 ? { share12: twelve / total, share5: 1 - twelve / total } : { share12: 0, share5: 1 };
    }
    case 'board':
      return { share12: part.share12, share5: part.share5 };
    case 'memory':
      return { share12: 1, share5: 0 };
    case 'chassis':
    case 'adapter':
      return { share12: 0, share5: 1 };
    default:
      return { share12: 1, share5: 0 };
  }
}
