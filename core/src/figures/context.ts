import type { Build } from '../build/build';
import type { Layout } from '../build/layout';
import type { Need } from '../needs/cables';
import type { SmallNeed } from '../needs/small';
import { boxOf } from '../machine/hosts';
import { runningUnits } from '../machine/running';
import type { PlannedUnit } from '../machine/units';
import { busyCoresOf } from './services';
import type { Learned } from './readings/learned';

/** Under a policy that holds a temperature: the duty on a normal and the hottest day, and whether it is held there. */
export type HeldDuty = {
  readonly normal: number;
  readonly hot: number;
  readonly holds: { readonly normal: boolean; readonly hot: boolean };
  /** Whether the chips of cards, and not the drives, want that duty. */
  readonly forCards: { readonly normal: boolean; readonly hot: boolean };
};

/** What figures are computed from. Every part of it keeps its identity while it does not change. */
export type FigureContext = {
  readonly units: readonly PlannedUnit[];
  readonly layout: Layout;
  /** Units that run: the kit, and built-in ones nothing has displaced. */
  readonly running: readonly PlannedUnit[];
  readonly site: Build['site'];
  readonly policy: Build['policy'];
  readonly pool: Build['pool'];
  readonly heldDuty?: HeldDuty;
  /** Fans without a PWM wire on a board that steers by nothing else: they are always at full. */
  readonly unsteered?: ReadonlySet<string>;
  /** What readings of the machine say of the facts it is reckoned from. */ readonly learned?: Learned;
  /** How far from idle to busy an hour of work goes, where the profile says it. */ readonly workShare?: number;
  /** Cores that services keep busy at all hours. */ readonly busyCores?: number;
  readonly currency: string;
  /** What one of another currency is worth in that of the build. */ readonly rates: Readonly<Record<string, number>>;
  /** Machines alike that are bought together. */ readonly copies: number;
  /** Parts bought together at one price. */ readonly bundles?: Build['bundles'];
  /** Data drives that may fail at once, as wished; none where the brief does not say. */
  readonly failuresSurvived: number;
  readonly failuresWished?: number;
  readonly needs: readonly Need[];
  readonly small: readonly SmallNeed[];
};

type Settled = Pick<FigureContext, 'units' | 'layout' | 'needs' | 'small'>;

/** What figures of a build are computed from, once its units are placed and its needs are known. */
export function figureContext(build: Omit<Build, 'layout'>, settled: Settled): FigureContext {
  const { site, policy, pool, profile, currency, rates, copies, bundles, brief } = build;
  return {
    ...settled,
    running: runningUnits(settled.units, settled.layout),
    site,
    policy,
    pool,
    ...(profile.workShare === undefined ? {} : { workShare: profile.workShare }),
    currency,
    rates: rates ?? {},
    copies,
    bundles,
    ...failuresOf(brief.failuresSurvived),
    ...busyWith(brief.services),
  };
}

export function busyWith(services: Build['brief']['services']): Pick<FigureContext, 'busyCores'> {
  const busyCores = busyCoresOf(services);
  return busyCores === undefined ? {} : { busyCores };
}

export const failuresOf = (wished: number | undefined): Pick<FigureContext, 'failuresSurvived' | 'failuresWished'> =>
  wished === undefined ? { failuresSurvived: 0 } : { failuresSurvived: wished, failuresWished: wished };

/** Like parts of one box: they are computed once and multiplied. */
export type PartClass = {
  readonly part: PlannedUnit['part'];
  readonly units: readonly PlannedUnit[];
  readonly box: PlannedUnit | null;
};

const known = new WeakMap<readonly PlannedUnit[], { layout: Layout; classes: readonly PartClass[] }>();

/** Like parts of a list by box, in the order of the kit; the same list and layout give the same classes. */
export function classesOf(
  units: readonly PlannedUnit[],
  all: readonly PlannedUnit[],
  layout: Layout,
): readonly PartClass[] {
  const kept = known.get(units);
  if (kept?.layout === layout) return kept.classes;
  const classes = classify(units, all, layout);
  known.set(units, { layout, classes });
  return classes;
}

function classify(units: readonly PlannedUnit[], all: readonly PlannedUnit[], layout: Layout): PartClass[] {
  const seats = new Map(Object.entries(layout.at));
  const classes = new Map<string, { part: PlannedUnit['part']; units: PlannedUnit[]; box: PlannedUnit | null }>();
  const boxes = new Map<string, PlannedUnit | null>();
  for (const unit of units) {
    const host = unit.builtIn?.spot.host ?? seats.get(unit.id)?.spot.host ?? '';
    const known = unit.part.kind === 'chassis' ? unit : boxes.get(host);
    const box = known !== undefined ? known : boxOf(unit.id, seats, all);
    boxes.set(host, unit.part.kind === 'chassis' ? (boxes.get(host) ?? null) : box);
    const key = `${unit.part.id}|${box?.id ?? ''}`;
    const one = classes.get(key) ?? { part: unit.part, units: [], box };
    one.units.push(unit);
    classes.set(key, one);
  }
  return [...classes.values()];
}
