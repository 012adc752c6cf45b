import { memberAt, plainAt } from '../lists';
import { printSpot, type Layout, type Seat, type SpotRef } from '../build/layout';
import { fewLast } from '../memoLast';
import { dealtAlike, dealtSeatsAlike, dealtUnits, layoutsAlike } from './likeness';
import { mismatch } from '../machine/accepts';
import { pairHalves } from '../links/halfPlugs';
import { expanderPorts, hostPorts, protocolOf, type SeatOf } from '../links/ports';
import type { Outcome, Problem } from './problem';
import { adapterBays, eachBayPlan, seatedBays, type BayGroupHere, type BayPlan } from './solver/bayPlans';
import { cardPlans, type CardPlan } from './solver/cardPlans';
import { least } from './solver/least';
import { deal, dealSomehow } from './solver/search';
import { expand } from './solver/expand';
import { sleepingCables, withWoken } from './solver/boundCables';
import { layTable } from './solver/buildTable';
import { layersOf, type Pick as Picked } from './solver/layers';
import { fixedPlaces, seatRest } from './solver/seatFirst';
import { looseOf, outOf, rankOf } from './solver/roles';
import { burdenOf, compare, levelsOf, LEVELS, plus, ZERO, type Score } from './solver/score';
import type { Table } from './solver/table';
import { sleepers, wishesOf, type Wishes } from './solver/wishes';
import { isSpent, MOST_WORK, spend, type Work } from './solver/work';
import { unconnectedDrives } from '../links/unconnected';
import { hasPlaces, ofKind, type PlannedUnit } from '../machine/units';

/**
 * Places and wires the units of a build: the best layout by the order of levels, moving as little of
 * `hint` as that allows. Exact; the same problem and hint give the same outcome. How, and why it is
 * complete: docs/decisions/placement.md.
 */
export function solve(problem: Problem, hint: Layout): Outcome {
  const asked = { problem, hint };
  const known = solved.find(asked);
  // A layout that stands is given back as the object it came as.
  if (known) return known.result.layout === known.key.hint ? { ...known.result, layout: hint } : known.result;
  const outcome = solveAfresh(problem, hint);
  // An outcome that names units holds for those units only.
  if (outcome.status === 'solved' && outcome.moved.length === 0) solved.keep(asked, outcome);
  return outcome;
}

type Asked = { readonly problem: Problem; readonly hint: Layout };
/** Problems that came out whole: the parts tried for one spot are mostly dealt alike. */
const solved = fewLast<Asked, Outcome>(
  (one, other) =>
    layoutsAlike(one.hint, other.hint) &&
    dealtAlike(one.problem.units, other.problem.units) &&
    ownedAlike(one.problem.owned, other.problem.owned),
);

const ownedAlike = (one: Problem['owned'], other: Problem['owned']): boolean =>
  one === other ||
  (one?.size === other?.size && [...(one ?? [])].every(([cable, count]) => other?.get(cable) === count));

function solveAfresh(problem: Problem, before: Layout): Outcome {
  const { units } = problem;
  const awake = Object.keys(before.dormant).length > 0 ? withWoken(units, before) : before.wires;
  const hint = awake === before.wires ? before : { ...before, wires: [...awake] };
  const wishes = wishesOf(units, hint);
  const found = dealtOnce(problem, before, () => bestBound(problem, hint, wishes), wishes);
  const { seats, wires: dealt } = expand(found.table, found.picks, wishes, hint.wires);
  const at = seatsOf(found, seats, hint);
  const wires = pairHalves(dealt, () => liveHosts(units, at, found.plan.modes));
  const layout = keepSame(before, {
    ...hint,
    at,
    wires: [...wires],
    dormant: { ...sleepers(units, hint, at), ...sleepingCables(units, before, at, wires) },
    ...(found.plan.modes ? { modes: found.plan.modes } : {}),
  });
  const unplaced = units.filter((unit) => !unit.builtIn && hasPlaces(unit) && !at[unit.id]);
  const { unconnected, conflict } = unconnectedDrives(units, layout);
  return {
    status: !found.whole ? 'undecided' : unplaced.length > 0 || unconnected.length > 0 ? 'partial' : 'solved',
    layout,
    unplaced,
    unconnected,
    conflict,
    moved: units.filter((unit) => gaveWay(unit, hint, at)),
  };
}

/** Host sides of a machine whose parts are seated so. */
function liveHosts(units: readonly PlannedUnit[], at: Layout['at'], modes: Layout['modes']): SpotRef[] {
  const seatOf: SeatOf = (unit) => unit.builtIn?.spot ?? at[unit.id]?.spot;
  return [...hostPorts(units, seatOf, modes), ...expanderPorts(units, seatOf)]
    .filter(({ lanes }) => lanes > 0)
    .map(({ ref }) => ref);
}

type Dealing = { readonly units: readonly PlannedUnit[]; readonly before: Layout; readonly owned: Problem['owned'] };
const dealings = fewLast<Dealing, Found>(
  (one, other) =>
    one.units.length === other.units.length &&
    one.units.every((unit, i) => {
      const like = memberAt(other.units, i);
      return unit.id === like.id && unit.role === like.role && unit.part === like.part;
    }) &&
    dealtSeatsAlike(one.units, one.before, other.before) &&
    ownedAlike(one.owned, other.owned),
);

/** A fan, a cooler or a supply changes nothing for drives and cards: what was dealt holds, it alone is seated. */
function dealtOnce(problem: Problem, before: Layout, deal: () => Found, wishes: Wishes): Found {
  const asked = { units: dealtUnits(problem.units), before, owned: problem.owned };
  const known = dealings.find(asked);
  if (known) return { ...known.result, rest: seatRest(problem.units, wishes) };
  const found = deal();
  if (found.whole) dealings.keep(asked, found);
  return found;
}

/** Cables held by hand bind; those put bind as long as no drive goes without one for them. */
function bestBound(problem: Problem, hint: Layout, wishes: Wishes): Found {
  const work: Work = { left: MOST_WORK };
  const found = bestOf(problem, hint, wishes, work);
  if (found.score.a === 0 || isSpent(work) || !hint.wires.some(({ how }) => how === 'put')) return found;
  const free = bestOf(
    problem,
    { ...hint, wires: hint.wires.map((wire) => (wire.how === 'put' ? { ...wire, how: 'solved' as const } : wire)) },
    wishes,
    work,
  );
  return free.score.a < found.score.a ? free : found;
}

const gaveWay = (unit: PlannedUnit, hint: Layout, at: Layout['at']): boolean => {
  const was = hint.at[unit.id];
  const is = at[unit.id];
  return was?.how === 'put' && !!is && printSpot(is.spot) !== printSpot(was.spot);
};

type Found = {
  readonly rest: ReadonlyMap<string, Seat>;
  readonly plan: CardPlan;
  readonly bays: BayPlan;
  readonly table: Table;
  readonly picks: readonly Picked[];
  readonly score: Score;
  readonly whole: boolean;
};

/**
 * Cards and adapters are seated in every way that matters, drives and cables dealt for each. What the
 * two cost adds up, so a way of seating is passed by as soon as its own cost and the least the
 * dealing can cost are no better than the best found.
 */
function bestOf({ units, owned }: Problem, hint: Layout, wishes: Wishes, work: Work, onlyOut = false): Found {
  const rest = seatRest(units, wishes);
  const taken = fixedPlaces(units);
  const cards = cardPlans(units, rest, wishes, taken, hint.wires, work);
  const bayGroups = [...seatedBays(units, rest), ...adapterBays(units)];
  const floors: { readonly plan: CardPlan; readonly least: Score }[] = [];
  for (const plan of cards.plans) {
    if (isSpent(work) && floors.length > 0) break;
    spend(work, FLOOR_COST * units.length);
    floors.push({
      plan,
      least: plus(
        plan.score,
        leastFor(
          units,
          bayGroups,
          (unit) => unit.builtIn?.spot ?? (rest.get(unit.id) ?? plan.seats.get(unit.id))?.spot,
          plan.modes,
          owned,
        ),
      ),
    });
  }
  let best: Omit<Found, 'rest' | 'whole'> | null = null;
  let whole = cards.whole && floors.length === cards.plans.length;
  const worth = (score: Score) => !best || compare(score, best.score) < 0;
  const bayWhole = eachBayPlan(
    units,
    rest,
    wishes,
    taken,
    hint.wires,
    work,
    (score) => floors.some(({ least }) => worth(plus(score, least))),
    (bays) => {
      for (const { plan, least } of floors) {
        if (!worth(plus(bays.score, least))) continue;
        // With no work left one layout is still wanted, and no second.
        const hurried = isSpent(work);
        if (hurried) whole = false;
        if (hurried && best) return;
        const seatOf = (unit: PlannedUnit) =>
          unit.builtIn?.spot ?? (rest.get(unit.id) ?? plan.seats.get(unit.id) ?? bays.seats.get(unit.id))?.spot;
        spend(work, TABLE_COST * bays.groups.reduce((sum, group) => sum + group.count, units.length));
        const laid = layTable({
          units,
          groups: bays.groups,
          covered: bays.covered,
          seatOf,
          modes: plan.modes,
          wishes,
          wires: hint.wires,
          owned: owned ?? new Map(),
        });
        const fixed = plus(plus(bays.score, plan.score), laid.score);
        const dealt = hurried
          ? null
          : deal(layersOf(laid.table, work), best && minus(best.score, fixed), work, onlyOut);
        whole &&= dealt?.whole ?? false;
        const found = dealt?.found ?? (best ? null : dealSomehow(layersOf(laid.table, work, true)).found);
        if (!found) continue;
        const score = plus(fixed, found.score);
        if (worth(score)) best = { bays, plan, table: laid.table, picks: found.picks as readonly Picked[], score };
      }
    },
  );
  whole &&= bayWhole;
  if (!best) throw new Error('no way of seating was told: the search has to tell one, however little work is left');
  return { ...(best as Omit<Found, 'rest' | 'whole'>), rest, whole };
}
/** What reckoning the least of one way of seating cards, and laying one table, is reckoned at, a unit or bay. */
const FLOOR_COST = 3;
const TABLE_COST = 12;

/**
 * What dealing costs at least, wherever cards and adapters sit: by the drives that want a cable, the ports there are
 * and
 * every bay there could be.
 */
function leastFor(
  units: readonly PlannedUnit[],
  groups: readonly BayGroupHere[],
  seatOf: SeatOf,
  modes: Layout['modes'],
  owned: Problem['owned'],
): Score {
  const ports = [...hostPorts(units, seatOf, modes), ...expanderPorts(units, seatOf)].filter((port) => port.lanes > 0);
  const [seeking, waiting] = [[0, 0, 0] as [number, number, number], [0, 0, 0] as [number, number, number]];
  let [lost, nowhere, bays, direct, inHand] = [0, 0, 0, 0, 0];
  const bridged = groups.some(({ group }) => group.backplane?.type === 'bridge');
  for (const unit of ofKind(units, 'drive')) {
    if (unit.builtIn || unit.part.size === 'm2' || unit.part.size === 'usb') continue;
    if (groups.every((group) => mismatch(unit.part, group))) {
      nowhere += outOf(unit);
      continue;
    }
    seeking[rankOf(unit)]++;
    if (ports.some((port) => port.carries.includes(protocolOf(unit.part)) || (bridged && port.carries.includes('usb'))))
      waiting[rankOf(unit)]++;
    else lost += looseOf(unit);
  }
  const shared: number[] = [];
  for (const { group, count } of groups) {
    bays += count;
    if (!group.backplane) continue;
    if (group.backplane.type !== 'direct') shared.push(count);
    else if (group.backplane.connectors[0].lanes > 1) direct += Math.ceil(count / group.backplane.baysPerConnector);
  }
  for (const [cable, count] of owned ?? []) inHand += count * burdenOf(cable);
  const wide = ports.filter((port) => port.lanes >= 4).length;
  const ones = ports.length - wide;
  const straight = Math.min(direct, wide);
  return least(ZERO, {
    nowhere,
    homes: [{ seeking, bays }],
    waiting: [{ ranked: waiting, reach: shared.reduce((sum, one) => sum + one, 0) + wide * 4 + ones }],
    narrow: null,
    carry: null,
    board: null,
    whole: { wishMBps: [], counts: [], apart: 0, mbPerS: 0 },
    lost,
    shared: shared.sort((a, b) => b - a),
    straight,
    breakouts: wide - straight + Math.min(direct, ones),
    owned: inHand,
    away: 0,
  });
}

/** What the layout for a problem counts on each level: what it is compared by. */
export const scoreOf = (problem: Problem, hint: Layout): Score =>
  bestOf(problem, hint, wishesOf(problem.units, hint), { left: MOST_WORK }).score;

/** Whether every card, module, adapter and drive gets a place and a cable, whatever moves for it but what is held. */
export function goesWhole(units: readonly PlannedUnit[], hint: Layout): boolean {
  const held = new Map([...wishesOf(units, hint)].filter(([, wish]) => wish.seat.how === 'held'));
  return bestOf({ units }, { ...hint, wires: [] }, held, { left: MOST_WORK / 2 }, true).score.a === 0;
}

/**
 * How many drives (and other units of the least rank) a machine leaves without a place or cable at best, whatever
 * moves:
 * only what is held is where it is.
 */
export function drivesLeft(units: readonly PlannedUnit[], hint: Layout): number {
  const held = new Map([...wishesOf(units, hint)].filter(([, wish]) => wish.seat.how === 'held'));
  const levels = levelsOf(bestOf({ units }, { ...hint, wires: [] }, held, { left: MOST_WORK / 2 }, true).score);
  return LEFT.reduce((sum, level) => sum + plainAt(levels, LEVELS.indexOf(level)), 0);
}
const LEFT = ['dataOut', 'bootOut', 'restOut', 'dataLoose', 'bootLoose', 'restLoose'] as const;

const minus = (one: Score, other: Score): Score => ({ a: one.a - other.a, b: one.b - other.b, c: one.c - other.c });

function seatsOf({ rest, plan, bays }: Found, drives: ReadonlyMap<string, Seat>, hint: Layout): Layout['at'] {
  const at = Object.fromEntries([...rest, ...bays.seats, ...plan.seats, ...drives]);
  const same = (a: Seat, b: Seat) => a === b || (a.how === b.how && printSpot(a.spot) === printSpot(b.spot));
  const keys = Object.keys(at);
  return keys.length === Object.keys(hint.at).length &&
    keys.every((key) => hint.at[key] !== undefined && same(hint.at[key], at[key]!))
    ? hint.at
    : at;
}

/** The hint itself where nothing in it changed, so that later stages see the same objects. */
function keepSame(hint: Layout, fresh: Layout): Layout {
  const wires =
    fresh.wires.length === hint.wires.length && fresh.wires.every((one, i) => one === hint.wires[i])
      ? hint.wires
      : fresh.wires;
  const dormant = JSON.stringify(fresh.dormant) === JSON.stringify(hint.dormant) ? hint.dormant : fresh.dormant;
  const modes = JSON.stringify(fresh.modes) === JSON.stringify(hint.modes);
  return fresh.at === hint.at && wires === hint.wires && dormant === hint.dormant && modes
    ? hint
    : { ...fresh, wires, dormant };
}
