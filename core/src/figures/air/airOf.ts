import { groupedBy } from '../../lists';
import { heldDuty } from './held';
import type { PlannedUnit } from '../../machine/units';
import type { UnitId } from '../../parts/ids';
import type { FigureContext, HeldDuty } from '../context';
import { Ledger, rangedOf, type Ranged } from '../quantity';
import { earDb, roomFloorDb, soundSources, type HeardState } from '../sound/ear';
import { sumLevels } from '../sound/levels';
import { suppliesIn } from '../power/feeds';
import { mountedFans } from './mountedFans';
import { sectionOf, type Section } from './section';
import { dutyOn, type Day } from './moment';
import { hotDrives, marginOfWarm, warmthOf, type BoxWarmth, type Warm } from './temperatures';

/** A part on one day: the air that reaches it and itself, °C, and what it gives off, W. */
type OnDay = { readonly airC: number; readonly tempC: Ranged; readonly watts: number };
export type WarmRow = {
  readonly key: string;
  readonly name: string;
  readonly units: readonly UnitId[];
  readonly marks: readonly string[];
  readonly where: Warm['where'];
  readonly limitC: number;
  /** Names of what stands right beside it and heats it. */ readonly beside: readonly string[];
  /** Drives of the rows before it, whose air it gets. */ readonly behind: number;
  /** It slows itself down before it takes harm, as flash and processors do. */ readonly slowsDown: boolean;
  readonly on: Readonly<Record<Day, OnDay>>;
};
/** A supply draws the air of the box it is in. */
type SupplyAir = {
  readonly unit: UnitId;
  readonly name: string;
  readonly mark: string;
  readonly airC: Readonly<Record<Day, number>>;
};
export type AirInBox = {
  readonly box: UnitId | null;
  readonly name: string;
  /** Flows in m³/h, the air inside and around it in °C, by day. */
  readonly air: BoxWarmth['air'];
  readonly rows: readonly WarmRow[];
  /** Supplies inside with the air they draw in, °C by day. */ readonly supplies: readonly SupplyAir[];
  readonly section: Section;
};
/** What is heard in a state, dB(A) of the machine alone, and each source by the dB that go without it. */
export type Heard = {
  readonly state: HeardState;
  readonly ear: Ranged;
  readonly sources: readonly {
    readonly label: string;
    readonly units: readonly UnitId[];
    readonly count: number;
    readonly savesDb: number;
  }[];
};
export type Air = {
  readonly boxes: readonly AirInBox[];
  readonly heard: readonly Heard[];
  /** What is heard with the machine off, dB(A); 0 where none is counted. */ readonly roomDb: number;
  /** The slowest that fans may turn; null where no drive is reckoned, or no duty keeps them so cool. */
  readonly slowest: Slowest | null;
  /** The duty on the hottest day, 0 to 1, and what holds a temperature where the policy does. */ readonly duty: number;
  readonly held: HeldDuty | null;
  /** Each kind of fan by its place, with one of them standing still, the worst first. */
  readonly without: readonly FanGone[];
};
/** The lowest duty, 0 to 1, at which every drive and card is likely so far within its limit on the hottest day. */
type Slowest = { readonly duty: number; readonly marginK: number; readonly earDb: number | null };
/** A fan that stands still: how near its limit the nearest drive then is on the hottest day. */
type FanGone = {
  readonly unit: UnitId;
  readonly name: string;
  readonly count: number;
  readonly label: string;
  readonly hottestC: number;
  readonly limitC: number;
};

/** What is tried on the page before it is set: the fans' duty, that of single walls, and the hottest day. */
export type AirTry = {
  readonly duty?: number;
  readonly hotDayC?: number;
  readonly apart?: NonNullable<FigureContext['policy']['apart']>;
};

/** A machine's temperatures and noise, for the view of that name; `tried` stands in for what is set. */
export function airOf(context: FigureContext, tried: AirTry = {}): Air {
  const under = withTried(context, tried);
  const ledger = new Ledger(false);
  return {
    boxes: warmthOf(under).map(({ box, air, warm }): AirInBox => ({
      box: box?.id ?? null,
      name: box?.part.name ?? '',
      air,
      rows: warm.map(rowOf).sort((a, b) => marginOf(a) - marginOf(b)),
      supplies: suppliesIn(under, box)
        .filter(({ part }) => part.form !== 'brick' && part.form !== 'dc-converter')
        .map(({ id, part, mark }) => ({
          unit: id,
          name: part.name,
          mark,
          airC: { normal: air.normal.insideC, hot: air.hot.insideC },
        })),
      section: sectionOf(under, box!),
    })),
    heard: (['idle', 'working', 'peak'] as const).flatMap((state): Heard[] => {
      const ear = earDb(under, ledger, state);
      return ear ? [{ state, ear: rangedOf(ear), sources: sourcesOf(under, ledger, state) }] : [];
    }),
    roomDb: roomFloorDb(context.site),
    duty: dutyOn(under, 'hot'),
    held: (under.policy.fans.kind === 'hold' && under.heldDuty) || null,
    slowest: slowestOf(under),
    without: withoutFans(under),
  };
}

/** Drives and cards are to stay so far within their limit: what the laws may be off. */
const MARGIN_K = 5;
const STEP = 0.05;
const LEAST_DUTY = 0.2;

/** The drive that is nearest to its limit on the hottest day; flash that slows itself down counts as well. */
function nearest(context: FigureContext): { readonly tempC: number; readonly limitC: number } | null {
  const all = hotDrives(context, new Ledger(false)).filter(({ where }) => where !== 'board');
  const told = all.flatMap(({ drives: [first], tempC }) =>
    first ? [{ tempC: tempC.value, limitC: first.part.maxC }] : [],
  );
  return told.reduce<(typeof told)[number] | null>(
    (least, one) => (!least || one.limitC - one.tempC < least.limitC - least.tempC ? one : least),
    null,
  );
}

/** Modules and processors slow down by themselves; these are to be kept cool. */
const HELD: ReadonlySet<Warm['where']> = new Set<Warm['where']>(['stream', 'cage', 'inside', 'card']);

/** Whether anything that is within its limit at one duty is past it at another. */
export function heatsPast(context: FigureContext, duty: number): boolean {
  const now = warmthOf(context).flatMap(({ warm }) => warm);
  const then = warmthOf(withTried(context, { duty })).flatMap(({ warm }) => warm);
  return now.some((one, i) => marginOfWarm(one) >= 0 && marginOfWarm(then[i] ?? one) < 0);
}

/** Every duty is looked at: more of it may heat a closed cupboard. */
export function slowestOf(context: FigureContext): Slowest | null {
  for (let step = 0; LEAST_DUTY + step * STEP <= 1 + 1e-9; step++) {
    const duty = Math.min(1, Math.round((LEAST_DUTY + step * STEP) * 100) / 100);
    const at = withTried(context, { duty });
    const warm = warmthOf(at).flatMap((box) => box.warm.filter(({ where }) => HELD.has(where)));
    if (warm.length === 0) return null;
    const marginK = Math.min(...warm.map(marginOfWarm));
    if (marginK >= MARGIN_K) return { duty, marginK, earDb: earDb(at, new Ledger(false), 'idle')?.value ?? null };
  }
  return null;
}

/** One fan of each kind in each row of mounts taken as standing still. */
function withoutFans(context: FigureContext): FanGone[] {
  const rows = groupedBy(mountedFans(context), ({ fan, mount, host }) => `${host}|${mount.key}|${fan.part.id}`);
  return [...rows.values()]
    .flatMap((own): FanGone[] => {
      const { fan, mount } = own[0];
      const near = nearest({ ...context, running: context.running.filter((unit) => unit !== fan) });
      return near
        ? [
            {
              unit: fan.id,
              name: fan.part.name,
              count: own.length,
              label: mount.label,
              hottestC: near.tempC,
              limitC: near.limitC,
            },
          ]
        : [];
    })
    .sort((a, b) => a.limitC - a.hottestC - (b.limitC - b.hottestC));
}

function withTried(context: FigureContext, { duty, hotDayC, apart }: AirTry): FigureContext {
  const policy: FigureContext['policy'] = {
    ...context.policy,
    ...(duty === undefined ? {} : { fans: { kind: 'fixed', duty } }),
    ...(apart === undefined ? {} : { apart }),
  };
  const under = {
    ...context,
    ...(policy.fans === context.policy.fans && apart === undefined ? {} : { policy }),
    ...(hotDayC === undefined ? {} : { site: { ...context.site, hotDayC } }),
  };
  // Other walls at another speed: what holds the temperature is another duty for the rest.
  const held = apart === undefined ? undefined : heldDuty(under);
  return held ? { ...under, heldDuty: held } : under;
}

const rowOf = ({ key, units, where, on, limitC, beside = [], behind = 0 }: Warm): WarmRow => {
  const told = ({ airC, tempC, watts }: Warm['on'][Day]): OnDay => ({
    airC,
    tempC: rangedOf(tempC),
    watts: watts.value,
  });
  return {
    key,
    name: units[0]?.part.name ?? '',
    units: units.map(({ id }) => id),
    marks: units.map(({ mark }) => mark),
    where,
    limitC,
    beside: beside.map(({ part }) => part.name),
    behind,
    slowsDown: slowsDown(units[0]),
    on: { normal: told(on.normal), hot: told(on.hot) },
  };
};

const slowsDown = (unit: PlannedUnit | undefined): boolean =>
  unit?.part.kind === 'processor' || (unit?.part.kind === 'drive' && unit.part.medium === 'flash');

/** K to what its maker allows on the hottest day. */
export const marginOf = ({ limitC, on }: Pick<WarmRow, 'limitC' | 'on'>): number => limitC - on.hot.tempC.value;

function sourcesOf(context: FigureContext, ledger: Ledger, state: HeardState): Heard['sources'] {
  const sources = soundSources(context, ledger, state);
  const all = sumLevels(sources.map(({ power }) => power.value));
  return sources
    .map(({ label, units, power }) => {
      const share = 10 ** ((power.value - all) / 10);
      return {
        label,
        units: units.map(({ id }) => id),
        count: units.length,
        savesDb: share < 1 ? -10 * Math.log10(1 - share) : all,
      };
    })
    .sort((a, b) => b.savesDb - a.savesDb);
}
