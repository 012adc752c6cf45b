import type { Basis } from '../parts/sheet';
import { fileRate } from '../flow/rateQuantity';
import type { PoolFlows } from '../flow/flows';
import { hottestDriveC } from './air/temperatures';
import type { FigureContext } from './context';
import { costNow } from './cost/money';
import { mostTb, rawTb, usableTb } from './pool/capacity';
import { start12A } from './power/start';
import { boxesOf } from './boxes';
import { POWER_STATES, type PowerState } from './power/draw';
import { boxWall, peakWallW, wallW } from './power/wall';
import { Ledger, rangeOfQuantity, type Quantity, type Working } from './quantity';
import { roomForDrives, type Room } from './room';
import { earIdleDb } from './sound/ear';

/** A number with its unit and range. `value` is null while nothing in the build bears on it. */
export type Figure = {
  readonly id: FigureId;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly unit: string;
  readonly basis: Basis;
  /** A few words beside the number. */
  readonly note?: string;
};

type Context = FigureContext & { readonly room: Room; readonly flows: PoolFlows };
type Definition = {
  readonly label: string;
  readonly uses: readonly (keyof Context)[];
  readonly compute: (context: Context, ledger: Ledger) => Quantity | null;
};

const RUNS = ['running', 'units', 'layout', 'policy', 'heldDuty', 'learned', 'busyCores'] as const;
/** What is asked at the wall rests on its volts too. */
const AT_WALL = [...RUNS, 'site'] as const;

/** Every figure by id, with the narrow inputs it is computed from. */
export const FIGURES = {
  'drives.room': {
    label: 'Free drive places',
    uses: ['room'],
    compute: ({ room }, ledger) =>
      ledger.map(
        'Free drive places',
        'drives',
        [
          ledger.given('Free bays that take it', room.baysFree, 'bays'),
          ledger.given('Ports free', room.portsFree, 'ports'),
        ],
        `as many of ${room.drive} as the wiring reaches; then the ${room.ends} end`,
        () => room.more,
      ),
  },
  'bays.free': {
    label: 'Free bays',
    uses: ['room'],
    compute: ({ room }, ledger) => ledger.given('Free bays', room.baysFree, 'bays'),
  },
  'ports.free': {
    label: 'Free ports',
    uses: ['room'],
    compute: ({ room }, ledger) => ledger.given('Free ports', room.portsFree, 'ports'),
  },
  'capacity.rawTb': { label: 'Raw capacity', uses: ['units', 'layout'], compute: rawTb },
  'capacity.usableTb': {
    label: 'Usable',
    uses: ['units', 'layout', 'failuresWished', 'pool'],
    compute: usableTb,
  },
  'capacity.mostTb': {
    label: 'Usable at most',
    uses: ['units', 'layout', 'failuresSurvived'],
    compute: mostTb,
  },
  'power.idleWallW': {
    label: 'Idle at the wall',
    uses: AT_WALL,
    compute: (context, ledger) => wallW(context, 'idle', ledger),
  },
  'power.peakWallW': {
    label: 'Peak at the wall',
    uses: AT_WALL,
    compute: peakWallW,
  },
  'power.start12A': { label: '12 V at the start', uses: RUNS, compute: start12A },
  'air.hottestDriveC': {
    label: 'Hottest drive',
    uses: [...RUNS, 'site', 'workShare'],
    compute: hottestDriveC,
  },
  'sound.earIdleDb': { label: 'Noise at the ear', uses: [...RUNS, 'site'], compute: earIdleDb },
  'flow.readMBps': {
    label: 'Files read',
    uses: ['units', 'flows'],
    compute: (context, ledger) => fileRate('reading', context, ledger),
  },
  'flow.writeMBps': {
    label: 'Files written',
    uses: ['units', 'flows'],
    compute: (context, ledger) => fileRate('writing', context, ledger),
  },
  'cost.now': {
    label: 'Price',
    uses: ['units', 'needs', 'small', 'currency', 'rates', 'copies', 'bundles'],
    compute: costNow,
  },
} as const satisfies Record<string, Definition>;

export type FigureId = keyof typeof FIGURES;
export type Figures = Readonly<Partial<Record<FigureId, Figure>>>;
export const FIGURE_IDS = Object.keys(FIGURES) as FigureId[];

/** Computes figures, each again only when something it is computed from has changed. */
export function createFigureStage(): (context: Context) => Figures {
  const last = new Map<FigureId, { inputs: readonly unknown[]; figure: Figure | null }>();
  const quiet = new Ledger(false);
  let kept: Figures = {};
  return (context) => {
    const figures: Partial<Record<FigureId, Figure>> = {};
    let same = true;
    for (const id of FIGURE_IDS) {
      const definition: Definition = FIGURES[id];
      const inputs = definition.uses.map((key) => context[key]);
      let known = last.get(id);
      if (!known || known.inputs.some((input, i) => input !== inputs[i]))
        last.set(id, (known = { inputs, figure: flat(id, definition.compute(context, quiet)) }));
      if (known.figure) figures[id] = known.figure;
      same &&= figures[id] === kept[id];
    }
    return same ? kept : (kept = figures);
  };
}

/** A quantity as a figure. A number that is none is a fault of ours and must not look like one: it throws. */
export const flat = (id: FigureId, quantity: Quantity | null): Figure | null =>
  quantity && { id, ...toldOf(id, quantity) };

function toldOf(name: string, { value, unit, basis, spread, note }: Quantity): Omit<Figure, 'id'> {
  const { lo, hi } = rangeOfQuantity({ value, spread });
  if (![value, lo, hi].every(Number.isFinite)) throw new Error(`the figure ${name} is no finite number`);
  return { value, lo, hi, unit, basis, ...(note === undefined ? {} : { note }) };
}

export type Explanation = { readonly figure: Figure; readonly working: Working };

/** The working of one figure, from the same computation with recording on. */
export function explainFigure(id: FigureId, context: Context): Explanation | null {
  const ledger = new Ledger(true);
  const definition: Definition = FIGURES[id];
  const quantity = definition.compute(context, ledger);
  const figure = flat(id, quantity);
  if (!figure || !quantity?.working) return null;
  const working =
    'field' in quantity.working
      ? { label: definition.label, ...figure, op: 'given' as const, of: [quantity.working] }
      : quantity.working;
  return { figure, working };
}

/** What a figure is of, besides its id; the tapes show those that say nothing here. */
type FigureKey = { readonly id: string; readonly state: PowerState; readonly box?: string };
export type KeyedFigure = Omit<Figure, 'id'> & { readonly key: FigureKey };

/** W at the wall in each state, all boxes together and, where there are several, each: reckoned when asked for. */
export function keyedFigures(context: Context): readonly KeyedFigure[] {
  const ledger = new Ledger(false);
  const boxes = boxesOf(context);
  return POWER_STATES.flatMap((state): KeyedFigure[] => {
    const of = (quantity: Quantity | null, box?: string): KeyedFigure[] => {
      const key = { id: 'power.wallW', state, ...(box === undefined ? {} : { box }) };
      return quantity ? [{ key, ...toldOf(`power.wallW, ${state}`, quantity) }] : [];
    };
    const each =
      boxes.length < 2 ? [] : boxes.flatMap((box) => (box ? of(boxWall(context, box, state, ledger), box.id) : []));
    return [...of(wallW(context, state, ledger)), ...each];
  });
}

export const roomStage = (units: FigureContext['units'], layout: FigureContext['layout']): Room =>
  roomForDrives(units, layout);
