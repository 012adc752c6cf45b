import type { Layout, SpotRef } from '../build/layout';
import { PCI_MBPS, laneMBps, linkMBps, wishMBps } from '../links/rates';
import { groupAt, placeAt } from '../machine/spotAt';
import { isCard, isKind, seatSpot, type PlannedUnit, type UnitOf } from '../machine/units';
import type { HostLink, ModuleRow } from './rows';

/** Lanes and generation that a slot or socket has as laid out. */
export type Links = { readonly lanes: (spot: SpotRef) => number; readonly gen: (spot: SpotRef) => number };

const USB_GB = 5;
/** A drive in a socket: NVMe over the socket's lanes, SATA over one link, a stick over USB. */
export function moduleRow(
  unit: UnitOf<'drive'>,
  spot: SpotRef,
  byId: ReadonlyMap<string, PlannedUnit>,
  links: Links,
): ModuleRow {
  const group = placeAt(byId, spot);
  return {
    unit: unit.id,
    mark: unit.mark,
    name: unit.part.name,
    socket: group.label,
    carriesMBps: socketLink(unit, spot, byId, links).mbPerS,
    asksMBps:
      unit.part.interface === 'nvme'
        ? Math.min(linkMBps(unit.part.lanes, unit.part.pcieGen ?? 3), wishMBps(unit.part))
        : wishMBps(unit.part),
  };
}

export function socketLink(
  unit: UnitOf<'drive'>,
  spot: SpotRef,
  byId: ReadonlyMap<string, PlannedUnit>,
  links: Links,
): HostLink {
  const group = placeAt(byId, spot);
  const { part } = unit;
  if (group.type !== 'm2')
    return {
      words: group.label,
      rate: 'USB',
      lanes: 1,
      gen: 0,
      mbPerS: laneMBps('usb', Math.min(part.gbPerLane, USB_GB)),
      owner: 'chipset',
      wiredLanes: 1,
      uplink: false,
    };
  if (part.interface !== 'nvme')
    return {
      words: group.label,
      rate: 'SATA',
      lanes: 1,
      gen: 0,
      mbPerS: laneMBps('sata', part.gbPerLane),
      owner: group.socket.owner,
      wiredLanes: 1,
      uplink: false,
    };
  const have = Math.min(part.lanes, links.lanes(spot));
  const gen = Math.min(part.pcieGen ?? 3, links.gen(spot));
  return {
    words: group.label,
    rate: rateWords(have, gen),
    lanes: have,
    gen,
    mbPerS: linkMBps(have, gen),
    owner: group.socket.owner,
    wiredLanes: links.lanes(spot),
    uplink: false,
  };
}
const rateWords = (lanes: number, gen: number): string => `${lanes ? `x${lanes}` : 'off'} gen ${gen}`;

/** How a board or card reaches the processor; null for what is part of it or takes no lanes. */
export function linkOf(
  unit: PlannedUnit,
  layout: Layout,
  byId: ReadonlyMap<string, PlannedUnit>,
  links: Links,
): HostLink | null {
  if (isKind(unit, 'board')) {
    const { uplinkLanes, uplinkGen } = unit.part;
    return uplinkLanes === 0
      ? null
      : {
          words: 'its uplink',
          rate: rateWords(uplinkLanes, uplinkGen),
          lanes: uplinkLanes,
          gen: uplinkGen,
          mbPerS: linkMBps(uplinkLanes, uplinkGen),
          owner: 'processor',
          wiredLanes: uplinkLanes,
          uplink: true,
        };
  }
  const spot = seatSpot(layout, unit);
  const group = spot && groupAt(byId, spot);
  if (!spot || (group?.type !== 'slot' && group?.type !== 'm2') || !isCard(unit.part) || isKind(unit, 'expander'))
    return null;
  const have = unit.part.bus === 'pci' ? 1 : Math.min(unit.part.lanes, links.lanes(spot));
  const gen = Math.min(unit.part.gen, links.gen(spot));
  const pci = unit.part.bus === 'pci';
  return {
    words: group.label,
    rate: pci ? 'PCI' : rateWords(have, gen),
    lanes: have,
    gen,
    mbPerS: pci ? PCI_MBPS : linkMBps(have, gen),
    owner: group.type === 'slot' ? group.slot.owner : group.socket.owner,
    wiredLanes: links.lanes(spot),
    uplink: false,
  };
}
