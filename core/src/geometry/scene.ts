import { valueFor, memberAt } from '../lists';
import { refsOf, spotsOf, USB_OUTSIDE } from '../machine/spots';
import { printSpot, type Layout, type SpotRef } from '../build/layout';
import {
  DRIVE_BODY_MM,
  FULL_HEIGHT_CARD_MM,
  LOW_PROFILE_CARD_MM,
  M2_WIDTH_MM,
  SUPPLY_BODY_MM,
  type Point,
  type Size,
} from '../parts/geometry';
import type { Part, PartOf } from '../parts/resolve';
import type { Slot } from '../parts/boardValues';
import type { BayGroup } from '../parts/chassisValues';
import { sittersBySpot } from '../machine/sitters';
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
import { layOut, onBoard, supplyBox, type BoardFrame, type Box } from './chassisPlan';
import { plugsEnd } from './plugRoom';
import { hasPlaces, isCard, isKind, moduleLengthMm, ofKind, type PlannedUnit, type UnitOf } from '../machine/units';

/** One thing of the drawing, in millimetres: a shell, a place, or a unit in its place. */
export type Solid = {
  readonly id: string;
  readonly what:
    | 'shell'
    | 'tray'
    | 'board'
    | 'bay'
    | 'drive'
    | 'backplane'
    | 'supply'
    | 'fan'
    | 'card'
    | 'slot'
    | 'socket'
    | 'cooler'
    | 'memory'
    | 'm2'
    | 'opening'
    | 'io'
    | 'adapter'
    | 'other';
  readonly spot: SpotRef | null;
  readonly unit: PlannedUnit | null;
  readonly box: Box;
  readonly label: string;
  readonly n?: number;
  /** Of a drive with a cable of its own: the end its plugs are at. */
  readonly plugs?: 'rear' | 'front';
};

export type SceneBox = { readonly unit: PlannedUnit; readonly solids: readonly Solid[]; readonly size: Size };
export type Scene = { readonly boxes: readonly SceneBox[]; readonly table: readonly Solid[] };

/** Everything to draw: each box with its places and units, and the table with what has no place yet. */
export function sceneOf(units: readonly PlannedUnit[], layout: Layout): Scene {
  const sitting = sittersBySpot(units, layout);
  const boxes = ofKind(units, 'chassis')
    .filter((unit) => layout.at[unit.id])
    .map((unit) => ({ unit, solids: chassisSolids(unit, sitting), size: unit.part }));
  const beside = outsideSeats(units, sitting);
  return {
    boxes,
    table: tableSolids([
      ...units
        .filter((unit) => !unit.builtIn && hasPlaces(unit) && !layout.at[unit.id])
        .map((unit) => ({ unit, spot: null })),
      ...beside,
    ]),
  };
}

type Lying = { readonly unit: PlannedUnit; readonly spot: SpotRef | null };

/** Bricks: they have a place, and it is beside the machine. */
function outsideSeats(units: readonly PlannedUnit[], sitting: Sitting): Lying[] {
  return ofKind(units, 'chassis').flatMap((host) =>
    host.part.supplyBays
      .filter((bay) => bay.outside)
      .flatMap((bay) => {
        const spot = { host: host.id, key: bay.key };
        const unit = sitting.get(printSpot(spot));
        return unit ? [{ unit, spot }] : [];
      }),
  );
}

type Sitting = ReadonlyMap<string, PlannedUnit>;

function chassisSolids(host: UnitOf<'chassis'>, sitting: Sitting): Solid[] {
  const chassis = host.part;
  const plan = layOut(chassis);
  const solids: Solid[] = [
    { id: `${host.id}:shell`, what: 'shell', spot: null, unit: host, box: plan.shell, label: chassis.name },
  ];
  const place = (key: string, n: number, count: number): SpotRef =>
    count === 1 ? { host: host.id, key } : { host: host.id, key, n };
  for (const group of chassis.bayGroups) {
    const count = group.rows * group.columns;
    for (let n = 1; n <= count; n++)
      solids.push(
        ...baySolids(place(group.key, n, count), valueFor(plan.cells, `${group.key}.${n}`), sitting, group, n),
      );
    const behind = plan.features.get(`${group.key}-backplane`);
    if (behind)
      solids.push({
        id: `${host.id}/${group.key}-backplane`,
        what: 'backplane',
        spot: null,
        unit: host,
        box: behind,
        label: `${group.label} backplane`,
      });
  }
  for (const bay of chassis.supplyBays.filter((one) => !one.outside))
    for (let n = 1; n <= bay.count; n++) {
      const spot = place(bay.key, n, bay.count);
      const room = valueFor(plan.cells, `${bay.key}.${n}`);
      const unit = sitting.get(printSpot(spot)) ?? null;
      const box = unit && isKind(unit, 'supply') ? supplyBox(room, bay, unit.part) : room;
      solids.push({ id: printSpot(spot), what: 'supply', spot, unit, box, label: bay.label, n });
    }
  for (const mount of chassis.fanMounts)
    for (let n = 1; n <= mount.count; n++) {
      const spot = place(mount.key, n, mount.count);
      solids.push({
        id: printSpot(spot),
        what: 'fan',
        spot,
        unit: sitting.get(printSpot(spot)) ?? null,
        box: valueFor(plan.cells, `${mount.key}.${n}`),
        label: mount.label,
        n,
      });
    }
  const tray = plan.features.get('tray');
  if (tray) {
    const spot = { host: host.id, key: 'tray' };
    const board = sitting.get(printSpot(spot));
    if (board && isKind(board, 'board')) solids.push(...boardSolids(board, spot, plan.board, sitting));
    else solids.push({ id: printSpot(spot), what: 'tray', spot, unit: null, box: tray, label: 'Board tray' });
  }
  for (const group of spotsOf(host.id, chassis))
    if (group.type === 'aside')
      for (const [i, spot] of refsOf(group).entries()) {
        const unit = sitting.get(printSpot(spot));
        if (unit)
          solids.push({
            id: printSpot(spot),
            what: 'card',
            spot,
            unit,
            box: asideBox(chassis, unit, i),
            label: group.label,
            n: i + 1,
          });
      }
  const brackets = bracketsOf(sitting.get(`${host.id}/tray`), sitting);
  for (const [i, opening] of chassis.openings.entries())
    for (let n = 1; n <= opening.count; n++) {
      const before = chassis.openings.slice(0, i).reduce((sum, one) => sum + one.count, 0);
      // An opening takes no part of its own: what shows in it is the bracket of the card behind it.
      const card = before + n <= brackets.length ? memberAt(brackets, before + n - 1) : null;
      solids.push({
        id: printSpot(place(opening.key, n, opening.count)),
        what: 'opening',
        spot: null,
        unit: card,
        box: valueFor(plan.cells, `${opening.key}.${n}`),
        label: card ? 'Bracket' : opening.label,
        n,
      });
    }
  return solids;
}

const ASIDE_GAP_MM = 6;
/** A card fixed to the left wall, on its long edge behind the bays; where exactly is for the builder to choose. */
function asideBox(chassis: PartOf<'chassis'>, { part }: PlannedUnit, i: number): Box {
  const { widthMm: lengthMm, heightMm: thickMm, depthMm: heightMm } = bodyOf(part);
  return {
    xMm: ASIDE_GAP_MM + i * (thickMm + ASIDE_GAP_MM),
    yMm: ASIDE_GAP_MM,
    zMm: Math.max(0, chassis.depthMm - lengthMm - ASIDE_GAP_MM),
    widthMm: thickMm,
    heightMm: Math.min(heightMm, chassis.heightMm - 2 * ASIDE_GAP_MM),
    depthMm: Math.min(lengthMm, chassis.depthMm),
    assumed: true,
  };
}

/** The card whose bracket stands in each opening, by the position of its slot; a thick card stands in several. */
function bracketsOf(board: PlannedUnit | undefined, sitting: Sitting): readonly (PlannedUnit | null)[] {
  const found: (PlannedUnit | null)[] = [];
  if (!board || !isKind(board, 'board')) return found;
  for (const slot of board.part.slots) {
    const sitter = sitting.get(`${board.id}/${slot.key}`);
    const card = sitter && isKind(sitter, 'riser') ? sitting.get(`${sitter.id}/${sitter.part.slots[0].key}`) : sitter;
    if (!card || !isCard(card.part) || card.part.brackets.length === 0) continue;
    for (let i = 0; i < Math.ceil(card.part.thickSlots); i++) {
      while (found.length <= slot.position + i) found.push(null);
      found[slot.position + i] = card;
    }
  }
  return found;
}

/** The aperture of the sockets at the rear edge (ATX specification 2.2: 158.75 × 44.45 mm), and a socket. */
const IO_MM = { uMm: 158.75, wMm: 44.45 };
const IO_SOCKET_MM = { uMm: 15, wMm: 13 };

function baySolids(spot: SpotRef, cell: Box, sitting: Sitting, bay: BayGroup, n: number): Solid[] {
  const unit = sitting.get(printSpot(spot)) ?? null;
  const plugs = unit?.part.kind === 'drive' ? plugsEnd(bay) : null;
  const own: Solid = {
    id: printSpot(spot),
    what: unit?.part.kind === 'drive' ? 'drive' : unit ? 'adapter' : 'bay',
    spot,
    unit,
    box: cell,
    label: bay.label,
    n,
    ...(plugs ? { plugs } : {}),
  };
  if (!unit || !isKind(unit, 'adapter')) return [own];
  const { part } = unit;
  const wide = {
    ...cell,
    depthMm: Math.max(cell.depthMm, part.depthMm),
    ...(bay.lies === 'flat'
      ? { heightMm: cell.heightMm * part.span, yMm: cell.yMm - cell.heightMm * (part.span - 1) }
      : { widthMm: cell.widthMm * part.span }),
  };
  const inner = part.bayGroups.flatMap((group) =>
    Array.from({ length: group.rows * group.columns }, (_, i): Solid[] => {
      const row = Math.floor(i / group.columns);
      const column = i % group.columns;
      const w = wide.widthMm / group.columns;
      const h = wide.heightMm / group.rows;
      const count = group.rows * group.columns;
      return baySolids(
        count === 1 ? { host: unit.id, key: group.key } : { host: unit.id, key: group.key, n: i + 1 },
        { ...wide, xMm: wide.xMm + column * w, yMm: wide.yMm + wide.heightMm - (row + 1) * h, widthMm: w, heightMm: h },
        sitting,
        group,
        i + 1,
      );
    }).flat(),
  );
  return [{ ...own, box: wide }, ...inner];
}

function boardSolids(unit: UnitOf<'board'>, at: SpotRef, frame: BoardFrame, sitting: Sitting): Solid[] {
  const board = unit.part;
  const put = (u: number, v: number, w: number, du: number, dv: number, dw: number, assumed: boolean): Box => ({
    ...onBoard(frame, { uMm: u, vMm: v, wMm: w }, { uMm: du, vMm: dv, wMm: dw }),
    assumed,
  });
  const lay = ({ from, size, assumed }: BoardPlace): Box => ({ ...onBoard(frame, from, size), assumed });
  const solids: Solid[] = [
    {
      id: printSpot(at),
      what: 'board',
      spot: at,
      unit,
      box: put(0, 0, -2, board.edgeMm, board.depthMm, 2, frame.assumed),
      label: 'Board',
    },
  ];
  const solid = (key: string, what: Solid['what'], box: Box, label: string, n?: number) => {
    const spot: SpotRef = { host: unit.id, key, ...(n ? { n } : {}) };
    const sitter = sitting.get(printSpot(spot)) ?? null;
    solids.push({ id: printSpot(spot), what, spot, unit: sitter, box, label, ...(n ? { n } : {}) });
  };
  const socket = socketMiddle(board);
  const soldered = [...sitting.values()].find((one) => isKind(one, 'processor') && one.builtIn?.spot.host === unit.id);
  if (board.socket || soldered) {
    solid(
      'socket',
      'socket',
      put(socket.uMm - SOCKET_MM / 2, socket.vMm - SOCKET_MM / 2, 0, SOCKET_MM, SOCKET_MM, 6, !board.socketAt),
      'Processor',
    );
    const cooler = sitting.get(`${unit.id}/coolerMount`);
    const size = cooler && isKind(cooler, 'cooler') ? cooler.part : { widthMm: 80, depthMm: 80, heightMm: 20 };
    if (board.socket)
      solid(
        'coolerMount',
        'cooler',
        put(
          socket.uMm - size.widthMm / 2,
          socket.vMm - size.depthMm / 2,
          6,
          size.widthMm,
          size.depthMm,
          size.heightMm,
          !board.socketAt,
        ),
        'Cooler',
      );
  }
  const io = Math.min(IO_MM.uMm, board.edgeMm - 4);
  const rear = (u: number, w: number, du: number, dw: number) => ({ ...put(u, -2, w, du, 2, dw, true) });
  solids.push({
    id: `${unit.id}:io`,
    what: 'io',
    spot: null,
    unit,
    box: rear(2, -2, io, IO_MM.wMm),
    label: 'I/O shield',
  });
  const sockets = [
    ...board.networkPorts.flatMap(({ gbPerS, count }) => Array<string>(count).fill(`Network ${gbPerS} Gb/s`)),
    ...board.connectors
      .filter(({ side }) => side === 'outside')
      .flatMap(({ label, kind, count }) => Array<string>(count).fill(label ?? kind)),
    ...(board.displayOutput ? ['Display'] : []),
  ];
  const columns = Math.max(1, Math.floor(io / (IO_SOCKET_MM.uMm + 4)));
  sockets.slice(0, columns * 2).forEach((label, i) =>
    solids.push({
      id: `${unit.id}:io${i + 1}`,
      what: 'io',
      spot: null,
      unit,
      box: rear(
        5 + (i % columns) * (IO_SOCKET_MM.uMm + 4),
        3 + Math.floor(i / columns) * (IO_SOCKET_MM.wMm + 5),
        IO_SOCKET_MM.uMm,
        IO_SOCKET_MM.wMm,
      ),
      label,
    }),
  );
  for (let n = 1; n <= board.memorySlots; n++)
    solid('memory', 'memory', lay(memoryPlace(board, n)), `Memory ${n}`, board.memorySlots > 1 ? n : undefined);
  board.slots.forEach((slot) => {
    const sitter = sitting.get(`${unit.id}/${slot.key}`);
    const card = sitter && isCard(sitter.part) ? sitter.part : null;
    if (sitter && isKind(sitter, 'riser')) {
      solids.push(...riserSolids(unit, slot, sitter, lay, sitting));
      return;
    }
    solid(
      slot.key,
      sitter ? 'card' : 'slot',
      lay(card ? cardPlace(board, slot, card) : slotPlace(board, slot)),
      slot.label,
    );
  });
  board.m2Sockets.forEach((m2, i) => {
    const sitter = sitting.get(`${unit.id}/${m2.key}`);
    solid(m2.key, 'm2', lay(m2Place(board, i, sitter ? moduleLengthMm(sitter) : Math.max(...m2.lengthsMm))), m2.label);
  });
  board.usbInside.forEach((usb, i) => {
    for (let n = 1; n <= usb.count; n++)
      solid(
        usb.key,
        'other',
        put(Math.max(4, board.edgeMm - 24 - i * 16), board.depthMm - 16, 0, 12, 12, 10, true),
        usb.label,
        usb.count > 1 ? n : undefined,
      );
  });
  // Outside sockets are drawn where something sits in one.
  for (const group of spotsOf(unit.id, board))
    if (group.type === 'usb' && group.key === USB_OUTSIDE)
      for (const ref of refsOf(group))
        if (sitting.has(printSpot(ref)))
          solid(group.key, 'other', put(4 + ((ref.n ?? 1) - 1) * 16, 0, 0, 12, 12, 10, true), group.label, ref.n);
  return solids;
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

const moduleBody = (lengthMm: number): Size => ({ widthMm: lengthMm, heightMm: 4, depthMm: M2_WIDTH_MM });

/** Outer size of a part lying on a table. */
export function bodyOf(part: Part): Size {
  if (part.kind === 'drive') {
    if (part.size === 'm2') return moduleBody(part.lengthMm);
    if (part.size === 'slot' || part.size === 'usb') return { widthMm: part.lengthMm, heightMm: 12, depthMm: 60 };
    return { ...DRIVE_BODY_MM[part.size], heightMm: part.heightMm };
  }
  if (part.kind === 'chassis' || part.kind === 'adapter' || part.kind === 'cooler') return part;
  if (part.kind === 'board') return { widthMm: part.edgeMm, heightMm: 6, depthMm: part.depthMm };
  if (part.kind === 'supply') return { ...SUPPLY_BODY_MM[part.form], depthMm: part.lengthMm };
  if (part.kind === 'fan') return { widthMm: part.sizeMm, heightMm: part.thickMm, depthMm: part.sizeMm };
  if (part.kind === 'memory')
    return { widthMm: part.form === 'dimm' ? 133 : 69.6, heightMm: 6, depthMm: part.heightMm };
  if (isCard(part) && part.bus === 'm2') return moduleBody(part.lengthMm);
  if (isCard(part))
    return {
      widthMm: part.lengthMm,
      heightMm: 18 * part.thickSlots,
      depthMm: part.height === 'full' ? FULL_HEIGHT_CARD_MM : LOW_PROFILE_CARD_MM,
    };
  return { widthMm: 50, heightMm: 10, depthMm: 50 };
}

const TABLE_ROW_MM = 620;
const TABLE_GAP_MM = 16;

/** Parts without a place lie in rows on the table, seen from above, largest first as the kit lists them. */
function tableSolids(lying: readonly Lying[]): Solid[] {
  let x = 0;
  let z = 0;
  let rowDepth = 0;
  return lying.map(({ unit, spot }) => {
    const size = bodyOf(unit.part);
    if (x > 0 && x + size.widthMm > TABLE_ROW_MM) {
      x = 0;
      z += rowDepth + TABLE_GAP_MM;
      rowDepth = 0;
    }
    const at: Point = { xMm: x, yMm: 0, zMm: z };
    x += size.widthMm + TABLE_GAP_MM;
    rowDepth = Math.max(rowDepth, size.depthMm);
    return {
      id: spot ? printSpot(spot) : unit.id,
      what: 'other',
      spot,
      unit,
      box: { ...at, widthMm: size.widthMm, heightMm: size.heightMm, depthMm: size.depthMm, assumed: false },
      label: unit.part.name,
    };
  });
}
