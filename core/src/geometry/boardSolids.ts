import { printSpot, type SpotRef } from '../build/layout';
import { refsOf, spotsOf, USB_OUTSIDE } from '../machine/spots';
import { isCard, isKind, moduleLengthMm, type UnitOf } from '../machine/units';
import type { Slot } from '../parts/boardValues';
import {
  cardPlace,
  m2Place,
  memoryPlace,
  onRiserPlace,
  riserPlace,
  slotPlace,
  socketMiddle,
  SOCKET_MM,
  type BoardPlace,
} from './boardPlan';
import { onBoard, type BoardFrame, type Box } from './chassisPlan';
import type { Sitting, Solid } from './solid';

/** A board on its tray with its sockets and what sits in them. */
export function boardSolids(unit: UnitOf<'board'>, at: SpotRef, frame: BoardFrame, sitting: Sitting): Solid[] {
  const { edgeMm, depthMm } = unit.part;
  const drawn = new BoardDrawing(unit, frame, sitting);
  return [
    {
      id: printSpot(at),
      what: 'board',
      spot: at,
      unit,
      box: drawn.put([0, 0, -2], [edgeMm, depthMm, 2], frame.assumed),
      label: 'Board',
    },
    ...drawn.processor(),
    ...drawn.rearSockets(),
    ...drawn.memory(),
    ...drawn.slots(),
    ...drawn.modules(),
    ...drawn.usb(),
  ];
}

/** The aperture of the sockets at the rear edge (ATX specification 2.2: 158.75 × 44.45 mm), and a socket. */
const IO_MM = { uMm: 158.75, wMm: 44.45 };
const IO_SOCKET_MM = { uMm: 15, wMm: 13 };
type Uvw = readonly [u: number, v: number, w: number];

class BoardDrawing {
  constructor(
    private readonly unit: UnitOf<'board'>,
    private readonly frame: BoardFrame,
    private readonly sitting: Sitting,
  ) {}

  put([uMm, vMm, wMm]: Uvw, [du, dv, dw]: Uvw, assumed: boolean): Box {
    return { ...onBoard(this.frame, { uMm, vMm, wMm }, { uMm: du, vMm: dv, wMm: dw }), assumed };
  }

  private readonly lay = ({ from, size, assumed }: BoardPlace): Box => ({
    ...onBoard(this.frame, from, size),
    assumed,
  });

  private spot(key: string, what: Solid['what'], box: Box, label: string, n?: number): Solid {
    const spot: SpotRef = { host: this.unit.id, key, ...(n ? { n } : {}) };
    const unit = this.sitting.get(printSpot(spot)) ?? null;
    return { id: printSpot(spot), what, spot, unit, box, label, ...(n ? { n } : {}) };
  }

  processor(): Solid[] {
    const { part, id } = this.unit;
    const soldered = [...this.sitting.values()].some(
      (one) => isKind(one, 'processor') && one.builtIn?.spot.host === id,
    );
    if (!part.socket && !soldered) return [];
    const { uMm, vMm } = socketMiddle(part);
    const middle = (du: number, dv: number, w: number, dw: number) =>
      this.put([uMm - du / 2, vMm - dv / 2, w], [du, dv, dw], !part.socketAt);
    const socket = this.spot('socket', 'socket', middle(SOCKET_MM, SOCKET_MM, 0, 6), 'Processor');
    if (!part.socket) return [socket];
    const cooler = this.sitting.get(`${id}/coolerMount`);
    const size = cooler && isKind(cooler, 'cooler') ? cooler.part : { widthMm: 80, depthMm: 80, heightMm: 20 };
    const box = middle(size.widthMm, size.depthMm, 6, size.heightMm);
    return [socket, this.spot('coolerMount', 'cooler', box, 'Cooler')];
  }

  rearSockets(): Solid[] {
    const { part, id } = this.unit;
    const io = Math.min(IO_MM.uMm, part.edgeMm - 4);
    const at = (
      name: string,
      label: string,
      [u, w]: readonly [number, number],
      [du, dw]: readonly [number, number],
    ) => ({
      id: `${id}:${name}`,
      what: 'io' as const,
      spot: null,
      unit: this.unit,
      box: this.put([u, -2, w], [du, 2, dw], true),
      label,
    });
    const sockets = [
      ...part.networkPorts.flatMap(({ gbPerS, count }) => Array<string>(count).fill(`Network ${gbPerS} Gb/s`)),
      ...part.connectors
        .filter(({ side }) => side === 'outside')
        .flatMap(({ label, kind, count }) => Array<string>(count).fill(label ?? kind)),
      ...(part.displayOutput ? ['Display'] : []),
    ];
    const columns = Math.max(1, Math.floor(io / (IO_SOCKET_MM.uMm + 4)));
    return [
      at('io', 'I/O shield', [2, -2], [io, IO_MM.wMm]),
      ...sockets.slice(0, columns * 2).map((label, i) => {
        const [column, row] = [i % columns, Math.floor(i / columns)];
        return at(
          `io${i + 1}`,
          label,
          [5 + column * (IO_SOCKET_MM.uMm + 4), 3 + row * (IO_SOCKET_MM.wMm + 5)],
          [IO_SOCKET_MM.uMm, IO_SOCKET_MM.wMm],
        );
      }),
    ];
  }

  memory(): Solid[] {
    const { part } = this.unit;
    return Array.from({ length: part.memorySlots }, (_, i) => {
      const n = i + 1;
      const box = this.lay(memoryPlace(part, n));
      return this.spot('memory', 'memory', box, `Memory ${n}`, part.memorySlots > 1 ? n : undefined);
    });
  }

  slots(): Solid[] {
    const { part, id } = this.unit;
    return part.slots.flatMap((slot) => {
      const sitter = this.sitting.get(`${id}/${slot.key}`);
      if (sitter && isKind(sitter, 'riser')) return riserSolids(this.unit, slot, sitter, this.lay, this.sitting);
      const card = sitter && isCard(sitter.part) ? sitter.part : null;
      const box = this.lay(card ? cardPlace(part, slot, card) : slotPlace(part, slot));
      return [this.spot(slot.key, sitter ? 'card' : 'slot', box, slot.label)];
    });
  }

  modules(): Solid[] {
    const { part, id } = this.unit;
    return part.m2Sockets.map((m2, i) => {
      const sitter = this.sitting.get(`${id}/${m2.key}`);
      const lengthMm = sitter ? moduleLengthMm(sitter) : Math.max(...m2.lengthsMm);
      return this.spot(m2.key, 'm2', this.lay(m2Place(part, i, lengthMm)), m2.label);
    });
  }

  /** Sticks inside; outside sockets are drawn where something sits in one. */
  usb(): Solid[] {
    const { part, id } = this.unit;
    const inside = part.usbInside.flatMap((usb, i) =>
      Array.from({ length: usb.count }, (_, nth) => {
        const box = this.put([Math.max(4, part.edgeMm - 24 - i * 16), part.depthMm - 16, 0], [12, 12, 10], true);
        return this.spot(usb.key, 'other', box, usb.label, usb.count > 1 ? nth + 1 : undefined);
      }),
    );
    const outside = spotsOf(id, part)
      .filter((group) => group.type === 'usb' && group.key === USB_OUTSIDE)
      .flatMap((group) =>
        refsOf(group)
          .filter((ref) => this.sitting.has(printSpot(ref)))
          .map((ref) => {
            const box = this.put([4 + ((ref.n ?? 1) - 1) * 16, 0, 0], [12, 12, 10], true);
            return this.spot(group.key, 'other', box, group.label, ref.n);
          }),
      );
    return [...inside, ...outside];
  }
}

/** A low-profile card on its side reaches over so many slots. */
const LIES_OVER_SLOTS = 3;
/** A riser in its slot, and its own slots with what lies in them. */
function riserSolids(
  board: UnitOf<'board'>,
  slot: Slot,
  riser: UnitOf<'riser'>,
  lay: (place: BoardPlace) => Box,
  sitting: Sitting,
): Solid[] {
  const own: SpotRef = { host: board.id, key: slot.key };
  // Where another card or riser stands in the way, what is on this one lies to the other side.
  const blocked = board.part.slots.some(
    (other) =>
      other.position > slot.position &&
      other.position <= slot.position + LIES_OVER_SLOTS &&
      sitting.get(printSpot({ host: board.id, key: other.key })),
  );
  const raised = riser.part.slots.map((one, i): Solid => {
    const spot: SpotRef = { host: riser.id, key: one.key };
    const unit = sitting.get(printSpot(spot)) ?? null;
    return {
      id: printSpot(spot),
      what: unit ? 'card' : 'slot',
      spot,
      unit,
      box: lay(onRiserPlace(board.part, slot, i + 1, one, unit && isCard(unit.part) ? unit.part : null, blocked)),
      label: one.label,
    };
  });
  return [
    {
      id: printSpot(own),
      what: 'card',
      spot: own,
      unit: riser,
      box: lay(riserPlace(board.part, slot, raised.length)),
      label: slot.label,
    },
    ...raised,
  ];
}
