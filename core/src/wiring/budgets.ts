import type { Layout, SpotRef } from '../build/layout';
import { linkMBps, wishMBps } from '../place/rates';
import { groupAt } from '../place/spotAt';
import { isCard, isKind, ofKind, seatSpot, type PlannedUnit } from '../place/units';
import type { Budget, HostRow } from './rows';

export function budgetsOf(units: readonly PlannedUnit[], layout: Layout, byId: ReadonlyMap<string, PlannedUnit>, lanes: (spot: SpotRef) => number, hosts: readonly HostRow[]): Budget[] {
  const board = ofKind(units, 'board').find((unit) => seatSpot(layout, unit));
  const processor = ofKind(units, 'processor').find((unit) => seatSpot(layout, unit));
  if (!board) return [];
  const seated = units.flatMap((unit) => {
    const spot = seatSpot(layout, unit);
    const group = spot?.host === board.id ? groupAt(byId, spot) : undefined;
    const place = group?.type === 'slot' ? group.slot : group?.type === 'm2' ? group.socket : undefined;
    // An expander takes power from its slot, no lanes.
    return place && !isKind(unit, 'expander') ? [{ unit, owner: place.owner, gen: place.gen, lanes: Math.min(isCard(unit.part) ? unit.part.lanes : isKind(unit, 'drive') ? (unit.part.interface === 'nvme' ? unit.part.lanes : 0) : 16, lanes(spot!)) }] : [];
  });
  const taken = seated.filter(({ owner }) => owner === 'processor').reduce((sum, one) => sum + one.lanes, 0);
  const onBoard = hosts.find(({ unit }) => unit === board.id);
  const asked = (onBoard?.leads.reduce((sum, lead) => sum + lead.asksMBps, 0) ?? 0) + seated.filter(({ owner }) => owner === 'chipset').reduce((sum, { unit, lanes: many, gen }) => sum + (isKind(unit, 'drive') ? Math.min(wishMBps(unit.part), linkMBps(many, gen)) : hosts.find((host) => host.unit === unit.id)?.leads.reduce((all, lead) => all + lead.asksMBps, 0) || linkMBps(many, gen)), 0);
  return [
    ...(processor ? [{ source: 'processor' as const, words: processor.part.name, used: taken, has: processor.part.lanes, unit: 'lanes' as const }] : []),
    ...(board.part.uplinkLanes ? [{ source: 'chipset' as const, words: 'Chipset uplink', used: Math.round(asked), has: linkMBps(board.part.uplinkLanes, board.part.uplinkGen), unit: 'MB/s' as const }] : []),
  ];
}
