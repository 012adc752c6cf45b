import type { STATES } from '../../build/states';
import type { Part } from '../../parts/resolve';
import { CARD_KINDS, isCard, isKind, ofKind, type PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';
import { kept } from '../kept';
import { dutyOf, speedShare, turningAlike } from '../operating';
import { Ledger, type Quantity } from '../quantity';
import { fedClasses, type FedClass } from './fedClasses';
import { busyShare } from '../services';
import { spinsUp } from './spinsUp';

/** States in which power is reckoned: all but off. */
export type PowerState = Exclude<(typeof STATES)[number], 'off'>;
/** The same as a list, least first, as they are told and drawn. */
export const POWER_STATES: readonly PowerState[] = ['asleep', 'idle', 'working', 'busy', 'peak', 'start'];
export type DrawLine = {
  readonly of: FedClass;
  readonly watts: Quantity;
  readonly share12: number;
  readonly share5: number;
};

/** A controller card keeps the processor from its deepest idle. */
const KEPT_AWAKE_W = { value: 4, lo: 2, hi: 10 };
/** A fan's electronics draw this at any speed; the rest goes with the cube of its speed (fan affinity laws). */
const FAN_BASE_W = 0.2;
/** A processor's converters on the board lose this share of the 12 V they are fed. */
const PACKAGE_SHARE = { asleep: 0.75, idle: 0.75, working: 0.8, busy: 0.88, peak: 0.88, start: 0.88 } as const;
/** How far of the way from idle to busy an ordinary hour of use goes. */
const WORKING_SHARE = { value: 0.3, lo: 0.1, hi: 0.55 };

const FIELD: Record<PowerState, 'idleW' | 'busyW' | 'peakW'> = {
  asleep: 'idleW',
  idle: 'idleW',
  working: 'busyW',
  busy: 'busyW',
  peak: 'peakW',
  start: 'busyW',
};

/** W at the supply's outputs by class of part, in a state. Drives that spin up are left out of the start. */
export function draw(context: FigureContext, state: PowerState, ledger: Ledger): readonly DrawLine[] {
  return kept(context, ledger, `draw ${state}`, () => drawAfresh(context, state, ledger));
}

function drawAfresh(context: FigureContext, state: PowerState, ledger: Ledger): DrawLine[] {
  const classes = fedClasses(context).flatMap((one) => alike(context, one, state));
  const lines = classes.flatMap((one): DrawLine[] => {
    const [first] = one.units;
    const each = first && unitWatts(context, first, state, ledger);
    if (!each) return [];
    const label = one.units.length === 1 ? one.part.name : `${one.units.length} × ${one.part.name}`;
    return [{ of: one, watts: ledger.times(label, each, one.units.length), ...railShares(one.part) }];
  });
  const awake = AT_REST.has(state) ? classes.find(({ part }) => keepsAwake(part)) : undefined;
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

/** Like parts that draw alike: fans of walls that turn at another speed apart. */
function alike(context: FigureContext, one: FedClass, state: PowerState): readonly FedClass[] {
  if (one.part.kind !== 'fan' || (!context.policy.apart && !context.unsteered)) return [one];
  const { value } = dutyOf(context, state, new Ledger(false));
  return turningAlike(context, ofKind(one.units, 'fan'), value).map((units) => ({ ...one, units }));
}

/** States in which the processor would rest deeply if it were let. */
const AT_REST: ReadonlySet<PowerState> = new Set(['asleep', 'idle', 'working']);
const FAST_GB_PER_S = 10;
const keepsAwake = (part: Part): boolean =>
  part.kind === 'controller' ||
  part.kind === 'expander' ||
  (part.kind === 'networkCard' && part.networkPorts.some(({ gbPerS }) => gbPerS >= FAST_GB_PER_S));

/** What a part draws in a state; working lies between idle and busy by one share for all of the machine. */
export function inState({ workShare }: FigureContext, part: Part, state: PowerState, ledger: Ledger): Quantity {
  if (state !== 'working') return ledger.fact(part, FIELD[state]);
  return ledger.map(
    part.name,
    'W',
    [
      ledger.fact(part, 'idleW'),
      ledger.fact(part, 'busyW'),
      workShare === undefined
        ? ledger.given('At work, the share of the way from idle to busy', WORKING_SHARE.value, '', WORKING_SHARE)
        : ledger.given('At work, the share of the way from idle to busy, as said', workShare, ''),
    ],
    'idle + share × (busy − idle)',
    (idle, busy, share) => idle + share * (busy - idle),
  );
}

/** While the host rests, services that are always on keep some of its cores busy. */
function withServices(
  context: FigureContext,
  part: Part,
  resting: Quantity,
  state: PowerState,
  ledger: Ledger,
): Quantity {
  const share = AT_REST.has(state) ? busyShare(context) : 0;
  if (share === 0) return resting;
  return ledger.map(
    `${part.name} with its services`,
    'W',
    [
      resting,
      ledger.fact(part, 'idleW'),
      ledger.fact(part, 'busyW'),
      ledger.given('Cores busy with services', share, ''),
    ],
    'at least idle + busy cores ÷ cores × (busy − idle)',
    (rest, idle, busy, of) => Math.max(rest, idle + of * (busy - idle)),
  );
}

function unitWatts(context: FigureContext, unit: PlannedUnit, state: PowerState, ledger: Ledger): Quantity | null {
  const { part } = unit;
  switch (part.kind) {
    case 'drive':
      if (state === 'asleep') return ledger.fact(part, 'standbyW');
      if (state === 'start') return spinsUp(part) ? null : ledger.fact(part, 'idleW');
      return inState(context, part, state, ledger);
    case 'processor': {
      const share = PACKAGE_SHARE[state];
      return ledger.map(
        part.name,
        'W',
        [withServices(context, part, inState(context, part, state, ledger), state, ledger)],
        `package W / ${share}`,
        (watts) => watts / share,
      );
    }
    case 'fan': {
      const share = isKind(unit, 'fan') ? speedShare(context, unit, state, ledger) : null;
      if (!share) return null;
      return ledger.map(
        part.name,
        'W',
        [ledger.fact(part, 'maxW'), share],
        `(W − ${FAN_BASE_W}) × ${share.value.toFixed(2)}³ + ${FAN_BASE_W}`,
        (watts, at) => Math.max(0, watts - FAN_BASE_W) * at ** 3 + FAN_BASE_W,
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
      return inState(context, part, state, ledger);
    default:
      return (CARD_KINDS as readonly string[]).includes(part.kind) ? inState(context, part, state, ledger) : null;
  }
}

/** How a part's W split over 12 V and 5 V; the rest is 3.3 V. */
function railShares(part: Part): { share12: number; share5: number } {
  // A socket for modules has 3.3 V and nothing else (PCI-SIG M.2).
  if (isCard(part) && part.bus === 'm2') return { share12: 0, share5: 0 };
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
