import { valueFor } from '../lists';
import { bayCell, bayGroupSize } from '../parts/checkSheet';
import { SLOT_PITCH_MM, SUPPLY_BODY_MM, type Point, type Size } from '../parts/geometry';
import type { FanMount, SupplyBay } from '../parts/chassisValues';
import type { PartOf } from '../parts/resolve';

/** A box in space; `assumed` where the sheet gives no position and one was filled in. */
export type Box = Point & Size & { readonly assumed: boolean };

/** Where a chassis' features lie: each feature by key, each repeated place by `key.n`. */
export type ChassisPlan = {
  readonly shell: Box;
  readonly features: ReadonlyMap<string, Box>;
  readonly cells: ReadonlyMap<string, Box>;
  readonly board: BoardFrame;
};

/** Where a board's local frame lies: u along the rear edge from the outside sockets, v forward, w off the board. */
export type BoardFrame = { readonly pose: 'flat' | 'standing'; readonly at: Point; readonly assumed: boolean };

const WALL_MM = 4;
const FAN_THICK_MM = 25;
const BACKPLANE_MM = 12;
const FIRST_SLOT_U_MM = 160;

const plans = new WeakMap<PartOf<'chassis'>, ChassisPlan>();

/** Places every feature of a chassis, as its sheet says or by fixed rules where it is silent. */
export function layOut(chassis: PartOf<'chassis'>): ChassisPlan {
  const known = plans.get(chassis);
  if (known) return known;
  const features = new Map<string, Box>();
  const cells = new Map<string, Box>();
  const shell: Box = {
    xMm: 0,
    yMm: 0,
    zMm: 0,
    widthMm: chassis.widthMm,
    heightMm: chassis.heightMm,
    depthMm: chassis.depthMm,
    assumed: false,
  };
  layBays(chassis, features, cells);
  chassis.supplyBays.forEach((bay) => laySupply(chassis, bay, features, cells));
  const baysEnd = Math.max(
    0,
    ...chassis.bayGroups.map((group) => {
      const box = valueFor(features, group.key);
      return box.zMm + box.depthMm;
    }),
  );
  chassis.fanMounts.forEach((mount) => layFans(chassis, mount, baysEnd, features, cells));
  const board = boardFrame(chassis);
  chassis.openings.forEach((opening) => {
    for (let i = 0; i < opening.count; i++)
      cells.set(
        `${opening.key}.${i + 1}`,
        clamp(
          chassis,
          onBoard(
            board,
            { uMm: slotU(i) - SLOT_PITCH_MM / 2, vMm: -3, wMm: 0 },
            { uMm: SLOT_PITCH_MM - 4, vMm: 3, wMm: opening.height === 'full' ? 111 : 69 },
          ),
          true,
        ),
      );
  });
  if (chassis.boardHoles.length) {
    const edge = chassis.maxBoardEdgeMm ?? 170;
    const depth = chassis.maxBoardDepthMm ?? 170;
    features.set(
      'tray',
      clamp(chassis, onBoard(board, { uMm: 0, vMm: 0, wMm: -2 }, { uMm: edge, vMm: depth, wMm: 2 }), board.assumed),
    );
  }
  const plan = { shell, features, cells, board };
  plans.set(chassis, plan);
  return plan;
}

/** Middle of a slot along the board's rear edge (ATX: slots follow the outside sockets at one pitch). */
export const slotU = (position: number): number => FIRST_SLOT_U_MM + SLOT_PITCH_MM * position;

/** A box of the board's frame in space. */
export function onBoard(
  frame: BoardFrame,
  from: { uMm: number; vMm: number; wMm: number },
  size: { uMm: number; vMm: number; wMm: number },
): Point & Size {
  const zMm = frame.at.zMm - from.vMm - size.vMm;
  return frame.pose === 'flat'
    ? {
        xMm: frame.at.xMm - from.uMm - size.uMm,
        yMm: frame.at.yMm + from.wMm,
        zMm,
        widthMm: size.uMm,
        heightMm: size.wMm,
        depthMm: size.vMm,
      }
    : {
        xMm: frame.at.xMm - from.wMm - size.wMm,
        yMm: frame.at.yMm - from.uMm - size.uMm,
        zMm,
        widthMm: size.wMm,
        heightMm: size.uMm,
        depthMm: size.vMm,
      };
}

/** Between two groups of bays. */
const GAP_MM = 2;

function boardFrame(chassis: PartOf<'chassis'>): BoardFrame {
  const flat = chassis.boardPose === 'flat';
  const at =
    chassis.boardAt ??
    (flat
      ? { xMm: chassis.widthMm - 12, yMm: 10, zMm: chassis.depthMm - WALL_MM }
      : { xMm: chassis.widthMm - 14, yMm: chassis.heightMm - 20, zMm: chassis.depthMm - WALL_MM });
  return { pose: chassis.boardPose, at, assumed: !chassis.boardAt };
}

/**
 * Where a group of bays without a position stands: on the floor behind its wall, from the left, then on one another,
 * else behind those there are, clear of all others; null where there is no such place.
 */
function freePlace(chassis: PartOf<'chassis'>, size: Size, wall: string, taken: readonly Box[]): Point | null {
  const ascending = (...mm: number[]) => [...new Set(mm)].sort((a, b) => a - b);
  const xs = ascending(WALL_MM, ...taken.map((box) => box.xMm + box.widthMm + GAP_MM));
  const ys = ascending(WALL_MM, ...taken.map((box) => box.yMm + box.heightMm + GAP_MM));
  const atWall = wall === 'rear' ? chassis.depthMm - size.depthMm - WALL_MM : WALL_MM;
  const zs = [atWall, ...ascending(...taken.map((box) => box.zMm + box.depthMm + GAP_MM))];
  const isFree = ({ xMm, yMm, zMm }: Point) =>
    zMm >= 0 &&
    xMm + size.widthMm <= chassis.widthMm &&
    yMm + size.heightMm <= chassis.heightMm &&
    zMm + size.depthMm <= chassis.depthMm &&
    taken.every(
      (box) =>
        xMm + size.widthMm <= box.xMm ||
        box.xMm + box.widthMm <= xMm ||
        yMm + size.heightMm <= box.yMm ||
        box.yMm + box.heightMm <= yMm ||
        zMm + size.depthMm <= box.zMm ||
        box.zMm + box.depthMm <= zMm,
    );
  for (const zMm of zs)
    for (const yMm of ys) for (const xMm of xs) if (isFree({ xMm, yMm, zMm })) return { xMm, yMm, zMm };
  return null;
}

function layBays(chassis: PartOf<'chassis'>, features: Map<string, Box>, cells: Map<string, Box>): void {
  const taken: Box[] = chassis.bayGroups.flatMap((group) =>
    group.at ? [{ ...group.at, ...bayGroupSize(group), assumed: false }] : [],
  );
  for (const group of chassis.bayGroups) {
    const size = bayGroupSize(group);
    const at = group.at ?? freePlace(chassis, size, group.wall, taken) ?? { xMm: WALL_MM, yMm: WALL_MM, zMm: WALL_MM };
    const box = clamp(chassis, { ...at, ...size }, !group.at);
    if (!group.at) taken.push(box);
    features.set(group.key, box);
    const cell = bayCell(group);
    for (let n = 1; n <= group.rows * group.columns; n++) {
      const row = Math.floor((n - 1) / group.columns);
      const column = (n - 1) % group.columns;
      cells.set(`${group.key}.${n}`, {
        xMm: box.xMm + column * cell.widthMm,
        yMm: box.yMm + box.heightMm - (row + 1) * cell.heightMm,
        zMm: box.zMm,
        widthMm: cell.widthMm,
        heightMm: cell.heightMm,
        depthMm: cell.depthMm,
        assumed: !group.at,
      });
    }
    if (group.backplane)
      features.set(`${group.key}-backplane`, {
        ...box,
        zMm: box.zMm + cell.depthMm,
        depthMm: Math.min(BACKPLANE_MM, box.depthMm - cell.depthMm),
        assumed: box.assumed,
      });
  }
}

function laySupply(
  chassis: PartOf<'chassis'>,
  bay: SupplyBay,
  features: Map<string, Box>,
  cells: Map<string, Box>,
): void {
  const body = SUPPLY_BODY_MM[bay.forms[0]];
  const [widthMm, heightMm] = bay.stands ? [body.heightMm, body.widthMm] : [body.widthMm, body.heightMm];
  const depthMm = Math.min(bay.maxLengthMm, chassis.depthMm);
  const at = bay.at ?? { xMm: WALL_MM, yMm: WALL_MM, zMm: chassis.depthMm - depthMm - WALL_MM };
  for (let i = 0; i < bay.count; i++)
    cells.set(
      `${bay.key}.${i + 1}`,
      clamp(chassis, { ...at, yMm: at.yMm + i * (heightMm + 2), widthMm, heightMm, depthMm }, !bay.at),
    );
  features.set(bay.key, union(Array.from({ length: bay.count }, (_, i) => valueFor(cells, `${bay.key}.${i + 1}`))));
}

/** A supply in its bay, its sockets at the rear end. */
export function supplyBox(room: Box, bay: SupplyBay, supply: PartOf<'supply'>): Box {
  const body = SUPPLY_BODY_MM[supply.form];
  return {
    ...room,
    ...(bay.stands
      ? { widthMm: body.heightMm, heightMm: body.widthMm }
      : { widthMm: body.widthMm, heightMm: body.heightMm }),
    depthMm: supply.lengthMm,
    zMm: room.zMm + room.depthMm - supply.lengthMm,
  };
}

function layFans(
  chassis: PartOf<'chassis'>,
  mount: FanMount,
  baysEnd: number,
  features: Map<string, Box>,
  cells: Map<string, Box>,
): void {
  const size = Math.max(...mount.sizesMm);
  const along = mount.wall === 'side' ? chassis.depthMm : chassis.widthMm;
  const pitch = mount.count > 1 ? Math.min(size + 2, (along - 2 * WALL_MM - size) / (mount.count - 1)) : 0;
  const start = Math.max(WALL_MM, (along - (pitch * (mount.count - 1) + size)) / 2);
  for (let i = 0; i < mount.count; i++) {
    const shift = i * pitch;
    const box = ((): Point & Size => {
      const across = mount.at ? (mount.wall === 'side' ? mount.at.zMm : mount.at.xMm) + shift : start + shift;
      switch (mount.wall) {
        case 'top':
        case 'bottom':
          return {
            xMm: across,
            yMm: mount.at?.yMm ?? (mount.wall === 'top' ? chassis.heightMm - FAN_THICK_MM - 2 : 2),
            zMm: mount.at?.zMm ?? chassis.depthMm / 2 - size / 2,
            widthMm: size,
            heightMm: FAN_THICK_MM,
            depthMm: size,
          };
        case 'side':
          return {
            xMm: mount.at?.xMm ?? 2,
            yMm: mount.at?.yMm ?? (chassis.heightMm - size) / 2,
            zMm: across,
            widthMm: FAN_THICK_MM,
            heightMm: size,
            depthMm: size,
          };
        default: {
          const z =
            mount.wall === 'front'
              ? 2
              : mount.wall === 'rear'
                ? chassis.depthMm - FAN_THICK_MM - 2
                : Math.max(baysEnd + 4, chassis.depthMm * 0.35);
          return {
            xMm: across,
            yMm: mount.at?.yMm ?? (chassis.heightMm - size) / 2,
            zMm: mount.at?.zMm ?? z,
            widthMm: size,
            heightMm: size,
            depthMm: FAN_THICK_MM,
          };
        }
      }
    })();
    cells.set(`${mount.key}.${i + 1}`, clamp(chassis, box, !mount.at));
  }
  features.set(
    mount.key,
    union(Array.from({ length: mount.count }, (_, i) => valueFor(cells, `${mount.key}.${i + 1}`))),
  );
}

/** Moves a box inside the shell; one larger than the shell is cut to it. */
function clamp(shell: Pick<Size, 'widthMm' | 'heightMm' | 'depthMm'>, box: Point & Size, assumed: boolean): Box {
  const axis = (at: number, size: number, room: number) => {
    const kept = Math.min(size, room);
    return { at: Math.min(Math.max(0, at), room - kept), size: kept };
  };
  const x = axis(box.xMm, box.widthMm, shell.widthMm);
  const y = axis(box.yMm, box.heightMm, shell.heightMm);
  const z = axis(box.zMm, box.depthMm, shell.depthMm);
  return { xMm: x.at, yMm: y.at, zMm: z.at, widthMm: x.size, heightMm: y.size, depthMm: z.size, assumed };
}

function union(boxes: readonly Box[]): Box {
  const from = {
    xMm: Math.min(...boxes.map((one) => one.xMm)),
    yMm: Math.min(...boxes.map((one) => one.yMm)),
    zMm: Math.min(...boxes.map((one) => one.zMm)),
  };
  return {
    ...from,
    assumed: boxes.some((one) => one.assumed),
    widthMm: Math.max(...boxes.map((one) => one.xMm + one.widthMm)) - from.xMm,
    heightMm: Math.max(...boxes.map((one) => one.yMm + one.heightMm)) - from.yMm,
    depthMm: Math.max(...boxes.map((one) => one.zMm + one.depthMm)) - from.zMm,
  };
}
