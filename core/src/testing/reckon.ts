import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import { limitFor } from '../place/clearance';
import { boxAmong } from '../place/around';
import { demandsFor } from '../place/demands';
import { leadById } from '../place/leads';
import { mismatch } from '../place/mates';
import { hostPorts, protocolOf, type Demand } from '../place/ports';
import type { Problem } from '../place/problem';
import { laneMBps, PCIE_LANE_MBPS, wishMBps } from '../place/rates';
import { groupAt } from '../place/spotAt';
import { liveWires, wireServing } from '../place/unconnected';
import { hasPlaces, isCard, isKind, ofKind, seatSpot, unitsById, type PlannedUnit } from '../place/units';

/** The levels of docs/decisions/placement.md in their order, units without a place and drives without a lead by rank. */
export const RECKONED = ['dataOut', 'bootOut', 'cardsOut', 'restOut', 'dataLoose', 'bootLoose', 'restLoose', 'putsBroken', 'misfits', 'mbLost', 'bootOffBoard', 'hotPairs', 'leadsToBuy', 'moves', 'partlyUsed'] as const;

/**
 * How good a finished layout is, reckoned from the layout alone and unit by unit, as the page says
 * it: no classes, no counts, nothing of the solver. For machines without expanders and bridges.
 */
export function reckon(problem: Problem, hint: Layout, layout: Layout): number[] {
  const { units } = problem;
  const byId = unitsById(units);
  const sum = { dataOut: 0, bootOut: 0, cardsOut: 0, restOut: 0, dataLoose: 0, bootLoose: 0, restLoose: 0, putsBroken: 0, misfits: 0, mbLost: 0, bootOffBoard: 0, hotPairs: 0, leadsToBuy: 0, moves: 0, partlyUsed: 0 };
  const rank = ({ role }: PlannedUnit): 'data' | 'boot' | 'rest' => (role === undefined || role === 'data' || role === 'meta' ? 'data' : role === 'boot' ? 'boot' : 'rest');
  const live = liveWires(units, layout.wires);
  const ports = new Map(hostPorts(units, (unit) => seatSpot(layout, unit), layout.modes).map((port) => [port.name, port]));
  const served: { readonly demand: Demand; readonly wire: Wire }[] = [];

  for (const unit of units) {
    if (unit.builtIn || !hasPlaces(unit)) continue;
    if (!layout.at[unit.id]) sum[isCard(unit.part) ? 'cardsOut' as const : isKind(unit, 'drive') ? `${rank(unit)}Out` as const : 'restOut' as const]++;
  }
  for (const demand of demandsFor(units, layout)) {
    const wire = wireServing(demand, live);
    if (!wire) { sum[`${rank(demand.unit)}Loose`]++; continue; }
    served.push({ demand, wire });
    const at = demand.kind === 'backplane' && leadById(wire.lead)!.shape === 'reverse' ? wire.lanes!.indexOf(demand.lane) : 0;
    const port = ports.get(printSpot(wire.host[at]!))!;
    const group = groupAt(byId, layout.at[demand.unit.id]!.spot)!;
    const behind = group.type === 'bay' ? group.group.backplane?.gbPerLane ?? Infinity : Infinity;
    sum.mbLost += Math.max(0, Math.round(wishMBps(demand.drive) - laneMBps(protocolOf(demand.drive), Math.min(port.gbPerLane, behind))));
    if (demand.unit.role === 'boot' && !port.onBoard) sum.bootOffBoard++;
  }
  for (const unit of units) sum.misfits += Number(misfits(unit, layout, byId));
  for (const unit of units) sum.mbLost += linkLoss(unit, layout, byId);
  sum.hotPairs = hotPairs(units, layout, byId);

  for (const [unit, wish] of wishesIn(units, hint)) {
    const seat = layout.at[unit.id];
    if (seat && printSpot(seat.spot) === printSpot(wish.spot)) continue;
    sum.moves++;
    if (wish.how === 'put') sum.putsBroken++;
  }
  const used = new Map<string, number>();
  for (const wire of layout.wires) used.set(wire.lead, (used.get(wire.lead) ?? 0) + 1);
  for (const [lead, count] of used) sum.leadsToBuy += Math.max(0, count - (problem.owned?.get(lead) ?? 0)) * (leadById(lead)!.shape === 'straight' ? 1 : 2);

  const feeds = (spot: SpotRef) => { const host = byId.get(spot.host); return !!host && !isKind(host, 'drive'); };
  for (const was of hint.wires) {
    if (!ports.get(printSpot(was.host[0]!))?.lanes) continue;
    const shape = leadById(was.lead)!.shape;
    const now = live.get(printSpot(was.device[0]!));
    if (shape === 'reverse') sum.moves += Number(!!now && leadById(now.lead)!.shape !== 'reverse');
    else if (feeds(was.device[0]!)) sum.moves += Number(!!now && !(now.lead === was.lead && printSpot(now.host[0]!) === printSpot(was.host[0]!)));
    else sum.moves += Number(!layout.wires.some((wire) => wire.lead === was.lead && printSpot(wire.host[0]!) === printSpot(was.host[0]!)));
  }
  for (const wire of layout.wires) {
    const { shape } = leadById(wire.lead)!;
    if (shape === 'forward') { sum.partlyUsed += Number(wire.device.length < 4); continue; }
    const mine = served.filter((one) => one.wire === wire && one.demand.kind === 'backplane').length;
    const target = served.find((one) => one.wire === wire)?.demand;
    if (target?.kind === 'backplane' && target.target.lanes > 1) sum.partlyUsed += Number(mine < baysBehind(target, byId, layout));
  }
  return RECKONED.map((level) => sum[level]);
}

/** Negative when the first is the better. */
export function compareLevels(one: readonly number[], other: readonly number[]): number {
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) return one[i]! - other[i]!;
  return 0;
}

type Wish = { readonly spot: SpotRef; readonly how: 'held' | 'put' | 'solved' };

function wishesIn(units: readonly PlannedUnit[], hint: Layout): [PlannedUnit, Wish][] {
  const byId = unitsById(units);
  const firm = ['held', 'put', 'solved'];
  const claimed = new Set<string>();
  return units.filter((unit) => isKind(unit, 'drive') || isCard(unit.part) || isKind(unit, 'adapter')).flatMap((unit): [PlannedUnit, Wish][] => {
    const wish = hint.dormant[unit.id] ?? hint.at[unit.id];
    const group = wish && groupAt(byId, wish.spot);
    return wish && group && !mismatch(unit.part, group) ? [[unit, wish]] : [];
  }).sort(([, a], [, b]) => firm.indexOf(a.how) - firm.indexOf(b.how)).filter(([, { spot }]) => !claimed.has(printSpot(spot)) && claimed.add(printSpot(spot)));
}

function baysBehind(demand: Extract<Demand, { kind: 'backplane' }>, byId: ReadonlyMap<string, PlannedUnit>, layout: Layout): number {
  const host = byId.get(demand.target.ref.host)!.part;
  const group = host.kind === 'chassis' || host.kind === 'adapter' ? host.bayGroups.find((one) => demand.target.ref.key.startsWith(`${one.key}-`))! : null!;
  const { baysPerConnector, connectors } = group.backplane!;
  const nth = (demand.target.ref.n ?? 1) - 1;
  const last = connectors[0]!.count - 1;
  return Array.from({ length: group.rows * group.columns }, (_, i) => i).filter((i) => Math.min(Math.floor(i / baysPerConnector), last) === nth)
    .filter((i) => !Object.entries(layout.at).some(([id, { spot }]) => byId.get(id)?.part.kind === 'adapter' && spot.host === demand.target.ref.host && spot.key === group.key && (spot.n ?? 1) === i + 1)).length;
}

function misfits(unit: PlannedUnit, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): boolean {
  const spot = layout.at[unit.id]?.spot;
  const group = spot && groupAt(byId, spot);
  if (!group) return false;
  if (group.type === 'bay') return isKind(unit, 'drive') && unit.part.heightMm > group.group.maxDriveHeightMm;
  const box = boxAmong(spot.host, byId, (one) => seatSpot(layout, one));
  if (group.type !== 'slot' || !isCard(unit.part) || !box || !isKind(box, 'chassis')) return false;
  const limit = limitFor(box.part, 'card', { slot: group.slot.position, occupied: new Set() });
  const openings = box.part.openings.reduce((sum, one) => sum + one.count, 0);
  return (!!limit && unit.part.lengthMm > limit.maxMm) || (unit.part.brackets.length > 0 && group.slot.position + Math.ceil(unit.part.thickSlots) > openings);
}

function linkLoss(unit: PlannedUnit, layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): number {
  const spot = layout.at[unit.id]?.spot;
  const group = spot && groupAt(byId, spot);
  if (group?.type !== 'slot' || !isCard(unit.part) || unit.part.bus !== 'pcie') return 0;
  return Math.max(0, unit.part.lanes * PCIE_LANE_MBPS[unit.part.gen]! - Math.min(unit.part.lanes, group.slot.wiredLanes) * PCIE_LANE_MBPS[Math.min(unit.part.gen, group.slot.gen)]!);
}

function hotPairs(units: readonly PlannedUnit[], layout: Layout, byId: ReadonlyMap<string, PlannedUnit>): number {
  const hot = ofKind(units, 'controller').flatMap((unit) => { const spot = layout.at[unit.id]?.spot; const group = spot && groupAt(byId, spot); return group?.type === 'slot' && unit.part.needsAirMPerS !== null ? [{ from: group.slot.position, to: group.slot.position + Math.ceil(unit.part.thickSlots) }] : []; });
  return hot.reduce((sum, one) => sum + hot.filter((other) => one.to === other.from).length, 0);
}
