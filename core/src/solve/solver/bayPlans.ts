import { memberAt, valueFor } from '../../lists';
import { printSpot, type Seat, type Wire } from '../../build/layout';
import type { BaySize } from '../../parts/vocabulary';
import { mismatch } from '../../machine/accepts';
import { targetOf } from '../../links/ports';
import { refsOf, spotsOf, type SpotGroup } from '../../machine/spots';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { compare, MOVE, plus, PUT_BROKEN, REST_OUT, ZERO, type Score } from './score';
import type { Wishes } from './wishes';
import { isSpent, spend, type Work } from './work';

export type BayGroupHere = Extract<SpotGroup, { type: 'bay' }>;
type Adapter = UnitOf<'adapter'>;

/** Adapters in their bays: the bay groups there are then, the bays they cover, and what it costs. */
export type BayPlan = {
  readonly seats: ReadonlyMap<string, Seat>;
  readonly groups: readonly BayGroupHere[];
  readonly covered: ReadonlySet<string>;
  readonly score: Score;
};

/** Larger bays are filled first: what goes in them may offer the smaller ones. */
const SIZES: readonly BaySize[] = ['5.25', '3.5', '2.5', 'u.2'];

/** Whole ways told at most: each is dealt. */
const MOST_TOLD = 200;
/** What looking at one way is reckoned at, for each bay there is. */
const BAY_COST = 0.8;
/** Seating adapters takes no more than this part of the work there is. */
const SHARE = 0.4;

const baysOf = (unit: PlannedUnit) =>
  spotsOf(unit.id, unit.part).filter((group): group is BayGroupHere => group.type === 'bay');
export const seatedBays = (units: readonly PlannedUnit[], seated: ReadonlyMap<string, Seat>): BayGroupHere[] =>
  units.filter((unit) => seated.has(unit.id) || unit.builtIn).flatMap(baysOf);
export const adapterBays = (units: readonly PlannedUnit[]): BayGroupHere[] =>
  ofKind(units, 'adapter')
    .filter((unit) => !unit.builtIn)
    .flatMap(baysOf);

/**
 * Every way of seating the adapters that differs for drives: which groups they are in, how many bays
 * behind each connector they cover and whose places those were. Cheap ways come first; `tell` hears
 * each, and `worth` says whether ways that cost so much at least are still looked for. False when
 * the search was cut short.
 */
export function eachBayPlan(
  units: readonly PlannedUnit[],
  seated: ReadonlyMap<string, Seat>,
  wishes: Wishes,
  taken: ReadonlySet<string>,
  wires: readonly Wire[],
  work: Work,
  worth: (least: Score) => boolean,
  tell: (plan: BayPlan) => void,
): boolean {
  const fed = new Map(
    wires.flatMap((wire) =>
      wire.device.map(
        (device) => [printSpot(device), `${wire.cable}<${wire.host.map((host) => host.host).join()}`] as const,
      ),
    ),
  );
  const wanted = new Map([...wishes].map(([unit, wish]) => [wish.name, unit]));
  const drives = new Map(ofKind(units, 'drive').map((unit) => [unit.id as string, unit]));
  const parts = new Map(ofKind(units, 'adapter').map((unit) => [unit.id as string, unit.part.id as string]));
  const adapters = ofKind(units, 'adapter')
    .filter((unit) => !unit.builtIn)
    .sort(
      (a, b) =>
        SIZES.indexOf(a.part.sitsIn) - SIZES.indexOf(b.part.sitsIn) ||
        Number(wishes.get(b.id)?.seat.how === 'held') - Number(wishes.get(a.id)?.seat.how === 'held') ||
        Number(wishes.has(b.id)) - Number(wishes.has(a.id)),
    );
  const wide = adapters.filter(({ part }) => part.span > 1);
  const whose = (name: string) => whoseOf(wanted.get(name), wishes, drives, parts);
  const names = new Map(
    adapters.map((adapter) => [
      adapter,
      `${adapter.part.id}${baysOf(adapter)
        .map((group) => contentsOf(group, whose, fed))
        .join()}`,
    ]),
  );
  const holders = new Set(
    adapters.filter((adapter) =>
      baysOf(adapter).some((group) =>
        refsOf(group).some((ref) => {
          const unit = wanted.get(printSpot(ref));
          return unit !== undefined && wishes.get(unit)!.seat.how === 'held';
        }),
      ),
    ),
  );
  let seen = adapters.map(() => new Map<string, Score>());
  let [told, strict] = [0, true];
  const share = { left: work.left * SHARE };
  const spendBoth = (many: number) => {
    spend(share, many);
    spend(work, many);
  };
  const go = (i: number, name: string, plan: BayPlan) => {
    // Once the work is spent the first way on is gone, until one is found.
    const hurried = isSpent(share);
    if (told > MOST_TOLD || (hurried && told > 0) || !worth(plan.score)) return;
    if (i === adapters.length) {
      told++;
      tell(plan);
      return;
    }
    const adapter = memberAt(adapters, i);
    spendBoth(BAY_COST * plan.groups.reduce((sum, group) => sum + 1 + group.count, 0));
    for (const { seat, covers, mark, score } of seatsFor(adapter, plan, wide, wishes, wanted, drives, fed, parts)) {
      const total = plus(plan.score, score);
      if (strict && !seat && holders.has(adapter)) continue;
      const key = `${name};${valueFor(names, adapter)}@${mark}`.split(';').sort().join(';');
      const known = memberAt(seen, i).get(key);
      if (known && !hurried && compare(known, total) <= 0) continue;
      memberAt(seen, i).set(key, total);
      go(
        i + 1,
        key,
        seat
          ? {
              seats: new Map([...plan.seats, [adapter.id, seat]]),
              groups: [...plan.groups, ...baysOf(adapter)],
              covered: new Set([...plan.covered, ...covers]),
              score: total,
            }
          : { ...plan, score: total },
      );
    }
  };
  const start: BayPlan = { seats: new Map(), groups: seatedBays(units, seated), covered: new Set(taken), score: ZERO };
  go(0, '', start);
  if (told === 0 && holders.size > 0) {
    // What holds a held drive has no bay itself in any way there is.
    strict = false;
    seen = adapters.map(() => new Map<string, Score>());
    go(0, '', start);
  }
  return told <= MOST_TOLD && !isSpent(share);
}

/** Who wants a place, as far as it matters which one gives way. */
function whoseOf(
  unit: string | undefined,
  wishes: Wishes,
  drives: ReadonlyMap<string, PlannedUnit>,
  adapters: ReadonlyMap<string, string>,
): string {
  const drive = unit && drives.get(unit);
  return !unit
    ? ''
    : `${drive ? `${drive.part.id}${drive.role ?? ''}` : (adapters.get(unit) ?? unit)}${wishes.get(unit)!.seat.how}`;
}

/**
 * Connectors of one backplane with the same bays free, wanted by the same and fed alike are one choice: each is marked
 * by that.
 */
function connectorStates(
  group: BayGroupHere,
  plan: BayPlan,
  whose: (name: string) => string,
  fed: ReadonlyMap<string, string>,
): Map<string, string> {
  const { backplane } = group.group;
  const free = new Map<string, string[]>();
  if (!backplane) return new Map();
  for (const ref of refsOf(group)) {
    const { target } = targetOf(ref, group.group, backplane);
    const list = free.get(target.name) ?? [];
    free.set(target.name, list);
    if (!plan.covered.has(printSpot(ref))) list.push(whose(printSpot(ref)));
  }
  return new Map(
    [...free].map(([name, list]) => [name, `${group.key}#${list.length}/${list.sort().join()}<${fed.get(name) ?? ''}`]),
  );
}

/**
 * What an adapter brings with it: who wants its bays, and what fed them. Two of one sheet with the same are one choice.
 */
const contentsOf = (group: BayGroupHere, whose: (name: string) => string, fed: ReadonlyMap<string, string>): string => {
  const { backplane } = group.group;
  const cables = backplane
    ? refsOf(group).map((ref) => fed.get(targetOf(ref, group.group, backplane).target.name) ?? '')
    : [];
  return `${refsOf(group)
    .map((ref) => whose(printSpot(ref)))
    .join()}<${cables.join()}`;
};

type Choice = {
  readonly seat: Seat | null;
  readonly covers: readonly string[];
  readonly mark: string;
  readonly score: Score;
};

function seatsFor(
  adapter: Adapter,
  plan: BayPlan,
  wide: readonly Adapter[],
  wishes: Wishes,
  wanted: ReadonlyMap<string, string>,
  drives: ReadonlyMap<string, PlannedUnit>,
  fed: ReadonlyMap<string, string>,
  parts: ReadonlyMap<string, string>,
): Choice[] {
  const wish = wishes.get(adapter.id);
  const left = { a: 0, b: wish?.seat.how === 'put' ? PUT_BROKEN : 0, c: wish ? MOVE : 0 };
  const choices: Choice[] = [];
  for (const group of plan.groups) {
    if (mismatch(adapter.part, group)) continue;
    const refs = refsOf(group);
    // Where one goes over several bays it matters which are free side by side.
    const apart = wide.some(({ part }) => !mismatch(part, group));
    const state = connectorStates(group, plan, (name) => whoseOf(wanted.get(name), wishes, drives, parts), fed);
    for (let from = 0; from + adapter.part.span <= refs.length; from++) {
      const over = refs.slice(from, from + adapter.part.span);
      const covers = over.map(printSpot);
      if (covers.some((name) => plan.covered.has(name))) continue;
      const owners = covers.map((name) => wanted.get(name)).filter((unit) => unit !== undefined && unit !== adapter.id);
      if (owners.some((unit) => wishes.get(unit!)!.seat.how === 'held')) continue;
      const own = wish?.name === covers[0];
      const { backplane } = group.group;
      const behind = over.map((ref) =>
        backplane ? valueFor(state, targetOf(ref, group.group, backplane).target.name) : group.key,
      );
      const whose = owners.map((unit) => whoseOf(unit, wishes, drives, parts));
      choices.push({
        seat: own ? wish!.seat : { spot: memberAt(over, 0), how: 'solved' },
        covers,
        mark: `${group.host}/${group.key}${apart ? `@${from}` : ''}:${behind.join()}:${whose.sort().join()}`,
        score: own ? ZERO : left,
      });
    }
  }
  const held = wish?.seat.how === 'held' ? choices.find((one) => one.seat === wish.seat) : undefined;
  return held
    ? [held]
    : [
        ...choices.sort((one, other) => compare(one.score, other.score)),
        { seat: null, covers: [], mark: 'none', score: { ...left, a: REST_OUT } },
      ];
}
