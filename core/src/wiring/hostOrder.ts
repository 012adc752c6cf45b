import { valueFor } from '../lists';
import type { Layout, SpotRef } from '../build/layout';
import { groupAt, placeAt } from '../machine/spotAt';
import { spotsOf } from '../machine/spots';
import { isCard, isKind, seatSpot, type PlannedUnit } from '../machine/units';

/**
 * The board, what else is on its chipset, what is on the processor, each by place; expander cards, and shelves with
 * another behind them, after what feeds them. So what goes to one source stands together.
 */
export function hostOrder(
  units: readonly PlannedUnit[],
  layout: Layout,
  byId: ReadonlyMap<string, PlannedUnit>,
  feeders: ReadonlyMap<string, string>,
): PlannedUnit[] {
  const boards = units.filter((unit) => isKind(unit, 'board') && seatSpot(layout, unit));
  const rankOf = (spot: SpotRef) => {
    const group = placeAt(byId, spot);
    const owner = group.type === 'slot' ? group.slot.owner : group.type === 'm2' ? group.socket.owner : 'chipset';
    const host = valueFor(byId, spot.host);
    return Number(owner === 'processor') * 1000 + spotsOf(host.id, host.part).indexOf(group);
  };
  const others = units
    .filter((unit) => (isCard(unit.part) || isKind(unit, 'drive')) && !unit.builtIn && !feeders.has(unit.id))
    .flatMap((unit) => {
      const spot = seatSpot(layout, unit);
      const group = spot && groupAt(byId, spot);
      const onBoard = spot && byId.get(spot.host)?.part.kind === 'board';
      return group && (isCard(unit.part) || (onBoard && (group.type === 'm2' || group.type === 'usb')))
        ? [{ unit, rank: rankOf(spot) }]
        : [];
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ unit }) => unit);
  // Of shelves those that hand on stand in the list; the last of a chain is only an end.
  const handing = new Set(layout.wires.flatMap((wire) => wire.host.map(({ host }) => host)));
  const fed = units.filter(
    (unit) => feeders.has(unit.id) && (isKind(unit, 'chassis') ? handing.has(unit.id) : seatSpot(layout, unit)),
  );
  const listed = new Set<PlannedUnit>();
  const withFed = (unit: PlannedUnit): PlannedUnit[] => {
    if (listed.has(unit)) return [];
    listed.add(unit);
    return [unit, ...fed.filter(({ id }) => feeders.get(id) === unit.id).flatMap(withFed)];
  };
  return [...boards, ...others].flatMap(withFed);
}
