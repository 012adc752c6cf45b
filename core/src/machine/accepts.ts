import type { M2Socket } from '../parts/boardValues';
import type { SupplyBay } from '../parts/chassisValues';
import type { Part, PartOf } from '../parts/resolve';
import { isCard } from './units';
import type { SpotGroup } from './spots';

/** Why a part does not go on a spot at all, as data; `want` and `have` are what is compared. */
export type Mismatch = {
  readonly code:
    | 'otherKind'
    | 'holes'
    | 'size'
    | 'form'
    | 'socket'
    | 'memoryForm'
    | 'memoryType'
    | 'length'
    | 'protocol'
    | 'key'
    | 'bus'
    | 'width'
    | 'connector'
    | 'fixed';
  readonly want: string;
  readonly have: string;
};

const other = (part: Part, want: string): Mismatch => ({ code: 'otherKind', want, have: part.kind });
const differ = (code: Mismatch['code'], want: string, have: string): Mismatch | null =>
  want === have ? null : { code, want, have };
const among = (code: Mismatch['code'], wants: readonly (string | number)[], have: string | number): Mismatch | null =>
  wants.includes(have) ? null : { code, want: wants.join(', '), have: String(have) };

/**
 * Null when the part can be plugged or screwed in there, length and height aside; those are fits
 * and are measured. Sources: PCI-SIG CEM (slots), SATA 3.x, SFF-8201/8301, JEDEC module forms.
 */
export function mismatch(part: Part, spot: SpotGroup): Mismatch | null {
  switch (spot.type) {
    case 'table':
      return spot.kind === 'any' ? null : differ('otherKind', spot.kind, part.kind);
    case 'floor':
      return differ('otherKind', spot.kind, part.kind);
    case 'tray':
      return part.kind === 'board' ? among('holes', spot.chassis.boardHoles, part.holes) : other(part, 'board');
    case 'supplyBay':
      return part.kind === 'supply' ? formMismatch(part, spot.bay) : other(part, 'supply');
    case 'fanMount':
      return part.kind === 'fan' ? among('size', spot.mount.sizesMm, part.sizeMm) : other(part, 'fan');
    case 'bay':
      return bayMismatch(part, spot.group);
    case 'socket':
      return part.kind === 'processor'
        ? differ('socket', spot.board.socket ?? 'none', part.socket)
        : other(part, 'processor');
    case 'coolerMount':
      return part.kind === 'cooler'
        ? among('socket', part.sockets, spot.board.socket ?? 'none')
        : other(part, 'cooler');
    case 'memoryBank':
      if (part.kind !== 'memory') return other(part, 'memory');
      return (
        differ('memoryForm', spot.board.memoryForm, part.form) ?? differ('memoryType', spot.board.memoryType, part.type)
      );
    case 'm2':
      if (isCard(part) && part.bus === 'm2') return moduleMismatch(part.lengthMm, part.lanes, 'pcie', spot.socket);
      if (part.kind !== 'drive' || part.size !== 'm2') return other(part, 'M.2 module');
      return part.interface === 'nvme'
        ? moduleMismatch(part.lengthMm, part.lanes, 'pcie', spot.socket)
        : moduleMismatch(part.lengthMm, 0, part.interface, spot.socket);
    case 'slot':
      if (part.kind === 'riser')
        return spot.raised
          ? other(part, 'card')
          : (differ('bus', spot.slot.bus, part.slots[0].bus) ??
              (part.edgeLanes === undefined ? null : widthMismatch(part.edgeLanes, spot.slot)));
      if (!isCard(part)) return other(part, 'card');
      return differ('bus', spot.slot.bus, part.bus) ?? widthMismatch(part.lanes, spot.slot);
    case 'aside':
      return part.kind === 'expander' && part.poweredBy !== 'slot' ? null : other(part, 'expander with a plug');
    case 'usb':
      return part.kind === 'drive' && part.size === 'usb' ? null : other(part, 'USB stick');
    case 'connector':
      if (part.kind !== 'cable') return other(part, 'cable');
      return part.ends.some(
        (end) => end.kind === spot.connector.kind && end.role !== (spot.connector.role === 'host' ? 'device' : 'host'),
      )
        ? null
        : { code: 'connector', want: spot.connector.kind, have: part.ends.map((end) => end.kind).join(' to ') };
    case 'opening':
      return other(part, 'bracket');
  }
}

/** SFX supplies go into a bay for ATX supplies with a plate (SFX design guide). */
export const wantsPlate = (part: PartOf<'supply'>, bay: SupplyBay): boolean =>
  (part.form === 'sfx' || part.form === 'sfx-l') &&
  bay.forms.includes('atx') &&
  !bay.forms.includes('sfx') &&
  !bay.forms.includes(part.form);
/** SFX-L has the face of SFX and is only longer, which its bay measures. */
const formMismatch = (part: PartOf<'supply'>, bay: SupplyBay): Mismatch | null =>
  wantsPlate(part, bay) || (part.form === 'sfx-l' && bay.forms.includes('sfx'))
    ? null
    : among('form', bay.forms, part.form);

/** An edge of more lanes than a slot has goes in only where that is open at its end (PCI-SIG CEM). */
const widthMismatch = (lanes: number, slot: Extract<SpotGroup, { type: 'slot' }>['slot']): Mismatch | null =>
  lanes <= slot.lanes || slot.openEnd ? null : { code: 'width', want: `x${slot.lanes}`, have: `x${lanes}` };

/**
 * Modules of four lanes have the notch of key M, others fit B and M; key E is for radios (PCI-SIG M.2). `lanes` are
 * those of PCIe.
 */
function moduleMismatch(
  lengthMm: number,
  lanes: number,
  protocol: M2Socket['carries'][number] | 'sas' | 'usb',
  socket: M2Socket,
): Mismatch | null {
  const notch = socket.notch ?? 'M';
  const takes = { M: true, B: lanes <= 2, E: false }[notch];
  return takes
    ? (among('length', socket.lengthsMm, lengthMm) ?? among('protocol', socket.carries, protocol))
    : { code: 'key', want: notch, have: lanes > 2 ? 'M' : 'B+M' };
}

function bayMismatch(part: Part, group: Extract<SpotGroup, { type: 'bay' }>['group']): Mismatch | null {
  if (part.kind === 'adapter')
    return (
      among('size', group.takes, part.sitsIn) ??
      (part.span > group.rows * group.columns
        ? { code: 'size', want: `${group.rows * group.columns} bays`, have: `${part.span} bays` }
        : null)
    );
  if (part.kind !== 'drive') return other(part, 'drive');
  const size = among('size', group.takes, part.size);
  if (size) return size;
  // A bare bay takes any drive of its size: its cable goes to the drive's own connector.
  return group.backplane
    ? among('protocol', group.backplane.carries, part.interface === 'nvme' ? 'pcie' : part.interface)
    : null;
}
