import { printSpot, type SpotRef } from '../build/layout';
import type { BayGroup, FanMount, SupplyBay } from '../parts/chassisValues';
import type { M2Socket, Slot } from '../parts/boardValues';
import type { Connector } from '../parts/connector';
import type { Part, PartOf } from '../parts/resolve';
import type { PartKind } from '../parts/vocabulary';

type Shape =
  | { readonly type: 'floor'; readonly kind: PartKind }
  /** On the table lies one kind of part, or any. */
  | { readonly type: 'table'; readonly kind: PartKind | 'any' }
  | { readonly type: 'tray'; readonly chassis: PartOf<'chassis'> }
  | { readonly type: 'bay'; readonly group: BayGroup }
  | { readonly type: 'supplyBay'; readonly bay: SupplyBay }
  | { readonly type: 'opening' }
  | { readonly type: 'fanMount'; readonly mount: FanMount }
  | { readonly type: 'socket' | 'coolerMount' | 'memoryBank'; readonly board: PartOf<'board'> }
  | { readonly type: 'm2'; readonly socket: M2Socket }
  | {
      readonly type: 'slot';
      readonly slot: Slot;
      /** On a riser, where no other riser goes. */ readonly raised: boolean;
    }
  | { readonly type: 'usb' }
  /** Where a card is fixed that needs no slot: an expander fed by a plug. */
  | { readonly type: 'aside' }
  | { readonly type: 'connector'; readonly connector: Connector };

/** A place on a host, repeated `count` times under one key. */
export type SpotGroup = Shape & {
  readonly host: string;
  readonly key: string;
  readonly label: string;
  readonly count: number;
};
export type SpotType = SpotGroup['type'];

const grouped = new WeakMap<Part, Map<string, readonly SpotGroup[]>>();

/** All spots a unit's sheet declares, in machine order. */
export function spotsOf(host: string, part: Part): readonly SpotGroup[] {
  const known = grouped.get(part)?.get(host);
  if (known) return known;
  const spots = shapesOf(part).map((spot) => ({ ...spot, host }));
  grouped.set(part, (grouped.get(part) ?? new Map<string, readonly SpotGroup[]>()).set(host, spots));
  return spots;
}

/** Expanders that stand free in a chassis. */
export const ASIDE = 'aside';

type Loose = Shape & { readonly key: string; readonly label: string; readonly count: number };

function shapesOf(part: Part): Loose[] {
  if (part.kind === 'chassis')
    return [
      ...(part.boardHoles.length
        ? [{ type: 'tray', key: 'tray', label: 'Board tray', count: 1, chassis: part } as const]
        : []),
      ...part.supplyBays.map(
        (bay) => ({ type: 'supplyBay', key: bay.key, label: bay.label, count: bay.count, bay }) as const,
      ),
      ...baysOf(part.bayGroups),
      ...part.fanMounts.map(
        (mount) => ({ type: 'fanMount', key: mount.key, label: mount.label, count: mount.count, mount }) as const,
      ),
      ...part.openings.map(
        (opening) => ({ type: 'opening', key: opening.key, label: opening.label, count: opening.count }) as const,
      ),
      ...(part.bayGroups.length > 0
        ? [{ type: 'aside', key: ASIDE, label: 'Fixed to the wall, without a slot', count: 2 } as const]
        : []),
    ];
  if (part.kind === 'adapter') return baysOf(part.bayGroups);
  if (part.kind === 'board')
    return [
      ...(part.socket
        ? [
            { type: 'socket', key: 'socket', label: 'Processor socket', count: 1, board: part } as const,
            { type: 'coolerMount', key: 'coolerMount', label: 'Cooler mount', count: 1, board: part } as const,
          ]
        : []),
      ...(part.memorySlots
        ? [{ type: 'memoryBank', key: 'memory', label: 'Memory slot', count: part.memorySlots, board: part } as const]
        : []),
      ...part.m2Sockets.map(
        (socket) => ({ type: 'm2', key: socket.key, label: socket.label, count: 1, socket }) as const,
      ),
      ...slotsOf(part.slots),
      // Headers take the cables of the front panel, not a stick.
      ...part.usbInside
        .filter((usb) => usb.kind === 'usb-a')
        .map((usb) => ({ type: 'usb', key: usb.key, label: usb.label, count: usb.count }) as const),
      ...outsideUsb(part),
      ...connectorsOf(part.connectors),
    ];
  if (part.kind === 'riser') return slotsOf(part.slots, true);
  if (part.kind === 'carrier')
    return part.m2Sockets.map(
      (socket) => ({ type: 'm2', key: socket.key, label: socket.label, count: 1, socket }) as const,
    );
  return part.kind === 'controller' || part.kind === 'expander' ? connectorsOf(part.connectors) : [];
}

/** Where sticks go that find none inside: sockets outside; one of several is left for a box, unless USB-C is there. */
export const USB_OUTSIDE = 'usbOutside';
function outsideUsb({ connectors }: PartOf<'board'>): Loose[] {
  const outside = (wanted: 'usb-a' | 'usb-c') =>
    connectors
      .filter(({ kind, side }) => kind === wanted && side === 'outside')
      .reduce((sum, { count }) => sum + count, 0);
  const sockets = outside('usb-a');
  const count = outside('usb-c') > 0 ? sockets : Math.max(1, sockets - 1);
  return sockets > 0 ? [{ type: 'usb', key: USB_OUTSIDE, label: 'USB sockets outside', count }] : [];
}

const baysOf = (groups: readonly BayGroup[]): Loose[] =>
  groups.map((group) => ({
    type: 'bay',
    key: group.key,
    label: group.label,
    count: group.rows * group.columns,
    group,
  }));
const slotsOf = (slots: readonly Slot[], raised = false): Loose[] =>
  slots.map((slot) => ({ type: 'slot', key: slot.key, label: slot.label, count: 1, slot, raised }));
const connectorsOf = (connectors: readonly Connector[]): Loose[] =>
  connectors.map((connector) => ({
    type: 'connector',
    key: connector.key,
    label: connector.label ?? connector.kind,
    count: connector.count,
    connector,
  }));

/** Every n of a group as a reference; groups of one carry no n. */
export function refsOf(group: SpotGroup): SpotRef[] {
  return group.count === 1
    ? [{ host: group.host, key: group.key }]
    : Array.from({ length: group.count }, (_, i) => ({ host: group.host, key: group.key, n: i + 1 }));
}

/** The one spelling of a spot: a group of one has no number. */
export const spotName = (group: SpotGroup, n = 1): string =>
  printSpot(group.count === 1 ? { host: group.host, key: group.key } : { host: group.host, key: group.key, n });
