import { printSpot, type Layout, type Seat } from '../build/layout';
import { memoPair } from '../memoLast';
import { leadBetween } from './leads';
import { demandOf, hostPorts, type Demand, type HostPort } from './ports';
import { dealtAlike, layoutsAlike } from './likeness';
import type { ConflictFact, Outcome, Problem } from './problem';
import { seatUnits, type Seating } from './seating';
import { groupAt } from './spotAt';
import { ofKind, seatSpot, unitsById, type PlannedUnit } from './units';
import { wire, type Wiring } from './wiring';

/**
 * Places and wires the units of a build, moving as little of `hint` as it must. Deterministic: the
 * same problem and hint give the same outcome. M.2 modules are first left where they were; where
 * that leaves a drive without a port, sockets that switch nothing off are tried.
 */
export function solve(problem: Problem, hint: Layout): Outcome {
  const known = lastSolved && lastSolved.outcome.layout !== lastSolved.hint && layoutsAlike(lastSolved.hint, hint) && dealtAlike(lastSolved.units, problem.units) ? lastSolved.outcome : null;
  if (known) return known;
  const outcome = solveAfresh(problem, hint);
  // An outcome that names units holds for those units only.
  if (outcome.status === 'solved' && outcome.moved.length === 0) lastSolved = { units: problem.units, hint, outcome };
  return outcome;
}

/** The last problem that came out whole: the parts tried for one spot are mostly dealt alike. */
let lastSolved: { readonly units: Problem['units']; readonly hint: Layout; readonly outcome: Outcome } | null = null;

function solveAfresh(problem: Problem, hint: Layout): Outcome {
  const first = attempt(problem, hint, false);
  const second = first.wiring.unconnected.length > 0 && ofKind(problem.units, 'drive').some((unit) => unit.part.size === 'm2') ? attempt(problem, hint, true) : null;
  const best = second && second.wiring.unconnected.length < first.wiring.unconnected.length && second.unplaced.length <= first.unplaced.length ? second : first;
  const unconnected = best.wiring.unconnected.map((demand) => demand.unit);
  const partial = best.unplaced.length > 0 || unconnected.length > 0;
  return {
    status: partial ? 'partial' : 'solved',
    layout: layoutFrom(best, hint),
    unplaced: best.unplaced,
    unconnected,
    moved: problem.units.filter((unit) => {
      const was = hint.at[unit.id];
      const is = best.seating.at.get(unit.id);
      return was?.how === 'put' && is && printSpot(is.spot) !== printSpot(was.spot);
    }),
    conflict: unconnected.length > 0 ? portShortage(problem.units, { at: Object.fromEntries(best.seating.at) }, best.demands) : null,
  };
}

type Attempt = { readonly seating: Seating; readonly wiring: Wiring; readonly demands: readonly Demand[]; readonly unplaced: readonly PlannedUnit[] };

function attempt(problem: Problem, hint: Layout, calmM2: boolean): Attempt {
  const seating = seatUnits(problem.units, hint, calmM2);
  const demands = demandsFor(problem.units, { at: Object.fromEntries(seating.at) });
  const wiring = wire(demands, hostPorts(problem.units, (unit) => seating.at.get(unit.id)?.spot ?? unit.builtIn?.spot), hint.wires);
  return { seating, wiring, demands, unplaced: problem.units.filter((unit) => !unit.builtIn && PLACED.has(unit.part.kind) && !seating.at.has(unit.id)) };
}

/** Kinds that have places so far; cables, sticks of paste and the like lie in the small parts. */
const PLACED = new Set(['chassis', 'adapter', 'board', 'supply', 'processor', 'cooler', 'memory', 'controller', 'expander', 'networkCard', 'accelerator', 'carrier', 'drive', 'fan']);
export const hasPlaces = (unit: PlannedUnit): boolean => PLACED.has(unit.part.kind);

/** What each seated drive needs to be reached, in the order of the kit. The same units and layout give the same list. */
export const demandsFor = memoPair((units: readonly PlannedUnit[], layout: Pick<Layout, 'at'>): readonly Demand[] => findDemands(units, layout));

function findDemands(units: readonly PlannedUnit[], layout: Pick<Layout, 'at'>): Demand[] {
  const byId = unitsById(units);
  return ofKind(units, 'drive').flatMap((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const group = spot && groupAt(byId, spot);
    const demand = group && demandOf(unit, spot, group);
    return demand ? [demand] : [];
  });
}

function layoutFrom({ seating, wiring }: Attempt, hint: Layout): Layout {
  const at = sameOr(hint.at, Object.fromEntries(seating.at), (a: Seat, b: Seat) => a === b || (a.how === b.how && printSpot(a.spot) === printSpot(b.spot)));
  const wires = wiring.wires.length === hint.wires.length && wiring.wires.every((one, i) => one === hint.wires[i]) ? hint.wires : [...wiring.wires];
  const dormant = JSON.stringify(seating.dormant) === JSON.stringify(hint.dormant) ? hint.dormant : seating.dormant;
  return at === hint.at && wires === hint.wires && dormant === hint.dormant ? hint : { ...hint, at, wires, dormant };
}

/** The old record when nothing in it changed, so that later stages see the same object. */
function sameOr<T>(old: Record<string, T>, fresh: Record<string, T>, same: (a: T, b: T) => boolean): Record<string, T> {
  const keys = Object.keys(fresh);
  return keys.length === Object.keys(old).length && keys.every((key) => old[key] !== undefined && same(old[key], fresh[key]!)) ? old : fresh;
}

/** Ports short: drives that want one, ports that can reach them, and who switched the others off. */
export function portShortage(units: readonly PlannedUnit[], layout: Pick<Layout, 'at'>, demands: readonly Demand[]): ConflictFact[] {
  const outside = new Set(demands.flatMap((demand) => (demand.kind === 'backplane' && !demand.target.inside ? [demand.target.kind] : [])));
  const useful = (port: HostPort) => (port.inside ? !port.carries.includes('usb') : [...outside].some((kind) => leadBetween('straight', port.kind, kind)));
  const ports = hostPorts(units, (unit) => seatSpot(layout, unit)).filter(useful);
  const lanes = ports.reduce((sum, port) => sum + Math.min(port.lanes, 4), 0);
  const facts: ConflictFact[] = [
    { kind: 'drives', count: demands.length, label: 'drives', units: demands.map((demand) => demand.unit.id) },
    { kind: 'ports', count: lanes, label: 'ports that reach a bay', units: [...new Set(ports.map((port) => port.unit.id))] },
  ];
  const by = new Map<PlannedUnit, number>();
  for (const port of ports) if (port.offBecause) by.set(port.offBecause, (by.get(port.offBecause) ?? 0) + port.fullLanes - port.lanes);
  for (const [unit, count] of by) facts.push({ kind: 'portsOff', count, label: unit.part.name, units: [unit.id] });
  return facts;
}
