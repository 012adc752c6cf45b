import { genAt, lanesAt } from '../solve/checkLayout';
import { linkMBps, networkMBps, wishMBps } from '../links/rates';
import { rolesOf } from '../machine/roles';
import { groupAt } from '../machine/spotAt';
import { isCard, isKind, ofKind, unitsById, type CardPart, type PlannedUnit, type UnitOf } from '../machine/units';
import { drivesOn, type Laid } from './drivesOn';

export type CardUnit = PlannedUnit & { readonly part: CardPart };

/** MB/s of the machine's network, all of its ports together. */
const networkOf = (units: readonly PlannedUnit[]): number =>
  units.reduce(
    (sum, { part }) =>
      sum + (part.kind === 'board' || part.kind === 'networkCard' ? networkMBps(part.networkPorts) : 0),
    0,
  );

/**
 * What a drive asks of the links before it, MB/s, by its role: data, metadata and scratch what its sheet gives; the
 * system and spares next to nothing while the pool works; caches and logs what comes in over the network at most.
 */
export function asksMBps(units: readonly PlannedUnit[]): (unit: UnitOf<'drive'>) => number {
  const roles = rolesOf(units);
  const network = networkOf(units) || Infinity;
  return (unit) => {
    const role = roles.get(unit.id);
    if (role === 'boot' || role === 'spare') return 0;
    const own = wishMBps(unit.part);
    return role === 'cache' || role === 'log' ? Math.min(own, network) : own;
  };
}

/** What is asked of the drives on a board or card, MB/s. */
export const wishesOn = (laid: Laid, host: string): number => sumOf(drivesOn(laid, host), asksMBps(laid.units));

const sumOf = <T>(all: readonly T[], of: (one: T) => number): number => all.reduce((sum, one) => sum + of(one), 0);

/**
 * What a card has to carry, MB/s: all that its drives, the modules on it or its network ports give; null where that
 * cannot be told.
 */
export function needOf(laid: Laid, { id, part }: CardUnit): number | null {
  if (part.kind === 'carrier')
    return sumOf(
      ofKind(laid.units, 'drive').filter((unit) => laid.layout.at[unit.id]?.spot.host === id),
      asksMBps(laid.units),
    );
  if (part.kind === 'networkCard') return networkMBps(part.networkPorts);
  return part.kind === 'controller' ? Math.min(part.throughputMBps, wishesOn(laid, id)) : null;
}

export type UsedLanes = { readonly unit: PlannedUnit; readonly lanes: number; readonly gen: number };
/**
 * Cards and modules in the slots and sockets that belong to the processor, or to the chipset, with the lanes they take;
 * a card on a riser by the slot under it.
 */
export function usedLanes({ units, layout }: Laid, board: PlannedUnit, owner: 'processor' | 'chipset'): UsedLanes[] {
  const byId = unitsById(units);
  const [lanes, gen] = [lanesAt(units, layout), genAt(units, layout)];
  return units.flatMap((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const host = spot && byId.get(spot.host);
    const under = host && isKind(host, 'riser') ? layout.at[host.id]?.spot : spot;
    const group = under?.host === board.id ? groupAt(byId, under) : undefined;
    const place = group?.type === 'slot' ? group.slot : group?.type === 'm2' ? group.socket : undefined;
    // An expander takes power from its slot, no lanes; a riser hands them on.
    if (
      !under ||
      !place ||
      isKind(unit, 'expander') ||
      isKind(unit, 'riser') ||
      place.owner !== owner ||
      ('bus' in place && place.bus !== 'pcie')
    )
      return [];
    const own = isCard(unit.part)
      ? unit.part.lanes
      : isKind(unit, 'drive')
        ? unit.part.interface === 'nvme'
          ? unit.part.lanes
          : 0
        : lanes(spot!);
    const carrier = isKind(unit, 'carrier') ? unit.part.m2Sockets.length * 4 : own;
    return [{ unit, lanes: Math.min(carrier, lanes(spot!)), gen: gen(spot!) }];
  });
}

/**
 * What hangs on the chipset asks of its uplink, MB/s: drives on the board's ports, and each card and module as much as
 * its own link carries.
 */
export function chipsetAsked(
  laid: Laid,
  board: PlannedUnit,
  on: readonly UsedLanes[] = usedLanes(laid, board, 'chipset'),
): number {
  const asks = asksMBps(laid.units);
  const each = on.map(({ unit, lanes, gen }) => {
    if (isKind(unit, 'drive'))
      return unit.part.interface === 'nvme' ? Math.min(linkMBps(lanes, gen), asks(unit)) : asks(unit);
    return isCard(unit.part) ? Math.min(linkMBps(lanes, gen), needOf(laid, unit as CardUnit) ?? 0) : 0;
  });
  return Math.round(each.reduce((sum, one) => sum + one, 0) + wishesOn(laid, board.id));
}
