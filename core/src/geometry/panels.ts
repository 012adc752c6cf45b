import type { PartOf } from '../parts/resolve';
import { layOut, onBoard, type Box } from './chassisPlan';

/** A hole in a panel, from the lower left of its outer face: a circle by its centre, a rectangle by its corner. */
export type CutOut =
  | {
      readonly kind: 'round';
      readonly label: string;
      readonly xMm: number;
      readonly yMm: number;
      readonly diameterMm: number;
    }
  | {
      readonly kind: 'rect';
      readonly label: string;
      readonly xMm: number;
      readonly yMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
    };
/** A piece of sheet, as it is seen from outside. */
export type Panel = {
  readonly name: PanelName;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cutOuts: readonly CutOut[];
};
type PanelName = 'Front' | 'Rear' | 'Left side' | 'Right side' | 'Top' | 'Bottom';

/** Distance of the screw holes of a fan by its size, mm; a size without a usual one gets none. */
const FAN_HOLES: Readonly<Record<number, number>> = { 40: 32, 60: 50, 80: 71.5, 92: 82.5, 120: 105, 140: 124.5 };
const FAN_SCREW_MM = 4.5;
/** What the frame of a fan covers around its opening. */
const FAN_FRAME_MM = 4;
/** A supply that ends so near to the rear looks through it; one in front has its mains brought to it inside. */
const NEAR_MM = 30;
/** The opening for the sockets of a board (ATX specification), from its first corner; it begins below the board. */
const SOCKETS = { widthMm: 158.75, heightMm: 44.45, belowMm: 2.5 };

/**
 * The six panels of a box of sheet, butted: top and bottom over all, front and rear between them, sides between those.
 * Cut-outs are for what the sheet has in its walls, where the drawing shows it.
 */
export function panelsOf(chassis: PartOf<'chassis'>, thicknessMm: number): readonly Panel[] {
  const { widthMm: w, heightMm: h, depthMm: d } = chassis;
  const t = thicknessMm;
  const { cells, board } = layOut(chassis);
  const cellsOf = (key: string): readonly Box[] =>
    [...cells].filter(([name]) => name.startsWith(`${key}.`)).map(([, box]) => box);
  /** A face by how a box in space lies on it: across and up, from the lower left of the panel. */
  const faces: Readonly<Record<PanelName, (box: Box) => readonly [x: number, y: number, w: number, h: number]>> = {
    Front: (b) => [b.xMm, b.yMm - t, b.widthMm, b.heightMm],
    Rear: (b) => [w - b.xMm - b.widthMm, b.yMm - t, b.widthMm, b.heightMm],
    'Left side': (b) => [d - b.zMm - b.depthMm - t, b.yMm - t, b.depthMm, b.heightMm],
    'Right side': (b) => [b.zMm - t, b.yMm - t, b.depthMm, b.heightMm],
    Top: (b) => [b.xMm, b.zMm, b.widthMm, b.depthMm],
    Bottom: (b) => [w - b.xMm - b.widthMm, b.zMm, b.widthMm, b.depthMm],
  };
  const on = new Map<PanelName, CutOut[]>();
  const cut = (name: PanelName, one: CutOut) => on.set(name, [...(on.get(name) ?? []), one]);
  const rect = (name: PanelName, label: string, box: Box) => {
    const [xMm, yMm, widthMm, heightMm] = faces[name](box);
    cut(name, { kind: 'rect', label, xMm, yMm, widthMm, heightMm });
  };
  for (const mount of chassis.fanMounts) {
    if (mount.wall === 'middle') continue;
    const size = Math.max(...mount.sizesMm);
    for (const box of cellsOf(mount.key)) {
      const name = WALL[mount.wall] ?? (box.xMm + box.widthMm / 2 < w / 2 ? 'Left side' : 'Right side');
      const [x, y, across, up] = faces[name](box);
      const [xMm, yMm] = [x + across / 2, y + up / 2];
      cut(name, { kind: 'round', label: mount.label, xMm, yMm, diameterMm: size - FAN_FRAME_MM });
      const half = (FAN_HOLES[size] ?? 0) / 2;
      if (half > 0)
        for (const [dx, dy] of CORNERS)
          cut(name, { kind: 'round', label: '', xMm: xMm + dx * half, yMm: yMm + dy * half, diameterMm: FAN_SCREW_MM });
    }
  }
  for (const opening of chassis.openings) for (const box of cellsOf(opening.key)) rect('Rear', opening.label, box);
  for (const bay of chassis.supplyBays)
    for (const box of bay.outside ? [] : cellsOf(bay.key)) {
      if (d - box.zMm - box.depthMm <= NEAR_MM) rect('Rear', bay.label, box);
    }
  for (const group of chassis.bayGroups) {
    const name = WALL[group.wall];
    const boxes = cellsOf(group.key);
    if ((name === 'Front' || name === 'Rear') && group.access !== 'fixed' && boxes.length > 0)
      rect(name, group.label, around(boxes));
  }
  if (chassis.boardHoles.length > 0 && chassis.boardAt !== null)
    rect('Rear', 'Sockets of the board', {
      ...onBoard(
        board,
        { uMm: 0, vMm: 0, wMm: -SOCKETS.belowMm },
        { uMm: SOCKETS.widthMm, vMm: 0, wMm: SOCKETS.heightMm },
      ),
      assumed: board.assumed,
    });
  const panel = (name: PanelName, widthMm: number, heightMm: number): Panel => ({
    name,
    widthMm,
    heightMm,
    cutOuts: (on.get(name) ?? []).map(rounded),
  });
  return [
    panel('Front', w, h - 2 * t),
    panel('Rear', w, h - 2 * t),
    panel('Left side', d - 2 * t, h - 2 * t),
    panel('Right side', d - 2 * t, h - 2 * t),
    panel('Top', w, d),
    panel('Bottom', w, d),
  ];
}

const WALL: Readonly<Record<string, PanelName | undefined>> = {
  front: 'Front',
  rear: 'Rear',
  top: 'Top',
  bottom: 'Bottom',
};
const CORNERS = [
  [-1, -1],
  [1, -1],
  [-1, 1],
  [1, 1],
] as const;

function around(boxes: readonly Box[]): Box {
  const low = (of: (box: Box) => number) => Math.min(...boxes.map(of));
  const high = (of: (box: Box) => number) => Math.max(...boxes.map(of));
  const [xMm, yMm, zMm] = [low((b) => b.xMm), low((b) => b.yMm), low((b) => b.zMm)];
  return {
    xMm,
    yMm,
    zMm,
    widthMm: high((b) => b.xMm + b.widthMm) - xMm,
    heightMm: high((b) => b.yMm + b.heightMm) - yMm,
    depthMm: high((b) => b.zMm + b.depthMm) - zMm,
    assumed: boxes.some(({ assumed }) => assumed),
  };
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
const rounded = (one: CutOut): CutOut =>
  one.kind === 'round'
    ? { ...one, xMm: tenth(one.xMm), yMm: tenth(one.yMm) }
    : { ...one, xMm: tenth(one.xMm), yMm: tenth(one.yMm), widthMm: tenth(one.widthMm), heightMm: tenth(one.heightMm) };

/** What a sheet of paper takes inside of margins that every printer leaves, mm. */
export const PAPERS = { a4: { widthMm: 190, heightMm: 265 }, letter: { widthMm: 195, heightMm: 247 } } as const;
export type Paper = keyof typeof PAPERS;

/** A part of a panel on one sheet of paper: from its upper left, row by row. */
export type Tile = {
  readonly row: number;
  readonly column: number;
  readonly xMm: number;
  /** From the upper edge of the panel. */ readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
};

/** The sheets of paper that carry a panel at full size, edge to edge. */
export function tilesOf({ widthMm, heightMm }: Panel, paper: Paper): readonly Tile[] {
  const { widthMm: across, heightMm: down } = PAPERS[paper];
  const [columns, rows] = [Math.ceil(widthMm / across), Math.ceil(heightMm / down)];
  return Array.from({ length: rows * columns }, (_, i): Tile => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    const [xMm, yMm] = [column * across, row * down];
    return {
      row,
      column,
      xMm,
      yMm,
      widthMm: Math.min(across, widthMm - xMm),
      heightMm: Math.min(down, heightMm - yMm),
    };
  });
}
