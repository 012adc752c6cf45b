import type { Layout } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { PLUG_KINDS, type PlugKind } from '../parts/vocabulary';
import { boxOf } from '../place/around';
import { groupAt } from '../place/spotAt';
import { isKind, ofKind, seatSpot, unitsById, type PlannedUnit } from '../place/units';

/** Plugs of one kind in a box: wanted, there, and whether one that is there can be split into more. */
export type PlugLine = { readonly plug: PlugKind; readonly need: number; readonly have: number; readonly short: number; readonly splittable: boolean; readonly wantedBy: readonly PlannedUnit[] };

/** Splitters are made for these alone; a board's or a card's own input wants a plug of its own. */
const SPLITTABLE: readonly PlugKind[] = ['sata-power', 'peripheral'];

/**
 * Plugs wanted in a box against those on its supply's cables and the power adapters of the kit.
 * An 8-pin processor plug parts in two and also serves a 4-pin input (ATX12V).
 */
export function plugBalance(units: readonly PlannedUnit[], layout: Layout, box: PlannedUnit | null, supply: PlannedUnit & { readonly part: PartOf<'supply'> }): PlugLine[] {
  const seats = new Map(Object.entries(layout.at));
  const within = (unit: PlannedUnit) => boxOf(unit.id, seats, units) === box;
  const wanted = wantedPlugs(units, layout, within);
  const have = new Map<PlugKind, number>();
  const add = (plug: PlugKind, count: number) => have.set(plug, (have.get(plug) ?? 0) + count);
  for (const cable of supply.part.cables) for (const { plug, count } of cable.plugs) add(plug, count * cable.count);
  for (const board of ofKind(units, 'board')) if (within(board)) for (const { plug, count } of board.part.powerOutputs ?? []) add(plug, count);
  const spare = (plug: PlugKind) => (have.get(plug) ?? 0) - (wanted.get(plug)?.count ?? 0);
  const four = wanted.get('4-pin-cpu')?.count ?? 0;
  if (spare('4-pin-cpu') < 0 && spare('8-pin-cpu') > 0) add('4-pin-cpu', Math.min(four, spare('8-pin-cpu') * 2));
  for (const { part } of ofKind(units, 'powerAdapter')) {
    const helps = part.gives.some(({ plug }) => spare(plug) < 0);
    const splits = part.gives.some(({ plug }) => plug === part.takes);
    if (!helps || (splits ? (have.get(part.takes) ?? 0) < 1 : spare(part.takes) < 1)) continue;
    add(part.takes, -1);
    for (const { plug, count } of part.gives) add(plug, count);
  }
  return PLUG_KINDS.flatMap((plug): PlugLine[] => {
    const want = wanted.get(plug);
    if (!want) return [];
    const there = have.get(plug) ?? 0;
    const splittable = SPLITTABLE.includes(plug) && SPLITTABLE.some((one) => (have.get(one) ?? 0) > 0);
    return [{ plug, need: want.count, have: there, short: Math.max(0, want.count - there), splittable, wantedBy: want.by }];
  });
}

type Wanted = { readonly count: number; readonly by: readonly PlannedUnit[] };

function wantedPlugs(units: readonly PlannedUnit[], layout: Layout, within: (unit: PlannedUnit) => boolean): ReadonlyMap<PlugKind, Wanted> {
  const wanted = new Map<PlugKind, Wanted>();
  const want = (plug: PlugKind, count: number, by: PlannedUnit) => { const had = wanted.get(plug); wanted.set(plug, { count: (had?.count ?? 0) + count, by: [...(had?.by ?? []), by] }); };
  const byId = unitsById(units);
  const fed = new Set<string>();
  for (const unit of units) {
    if (!isKind(unit, 'board') && !isKind(unit, 'accelerator') && !isKind(unit, 'drive')) continue;
    if (!within(unit)) continue;
    if (!isKind(unit, 'drive')) for (const { plug, count } of unit.part.powerInputs) want(plug, count, unit);
    const spot = isKind(unit, 'drive') ? seatSpot(layout, unit) : undefined;
    const group = spot && groupAt(byId, spot);
    if (!spot || group?.type !== 'bay') continue;
    // A backplane is fed once for all of its bays; a bare drive takes a plug of its own.
    const { backplane } = group.group;
    if (!backplane) { want('sata-power', 1, unit); continue; }
    const name = `${spot.host}/${group.key}`;
    const host = byId.get(spot.host);
    if (fed.has(name) || !host) continue;
    fed.add(name);
    for (const { plug, count } of backplane.powerInputs) want(plug, count, host);
  }
  return wanted;
}
