import { useMemo } from 'react';
import {
  bodyOf,
  EMPTY_LAYOUT,
  projectBox,
  sceneOf,
  viewSize,
  type FlatShape,
  type Part,
  type PartOf,
  type PlannedUnit,
  type ViewName,
} from '@inch-tower/core';
import { mmWords } from '../../words/format';

type Props = { readonly part: Part; readonly width: number; readonly height: number };
type Face = {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly shapes: readonly FlatShape[];
};

const GAP = 44;
const MARGIN = { left: 18, top: 26, right: 54, bottom: 26 };

/**
 * A part drawn to scale with its outer dimensions: a chassis and a board with their places, the rest by their bodies.
 */
export function PartDrawing({ part, width, height }: Props) {
  const faces = useMemo(() => facesOf(part), [part]);
  const across = faces.reduce((sum, face) => sum + face.widthMm, 0);
  const tallest = Math.max(...faces.map((face) => face.heightMm));
  const scale = Math.min(
    (width - MARGIN.left - MARGIN.right - GAP * (faces.length - 1)) / across,
    (height - MARGIN.top - MARGIN.bottom) / tallest,
    4,
  );
  const placed = faces.map((face, i) => ({
    face,
    x: MARGIN.left + faces.slice(0, i).reduce((sum, one) => sum + one.widthMm * scale + GAP, 0),
  }));
  const used = tallest * scale + MARGIN.top + MARGIN.bottom;
  return (
    <svg
      className="drawing"
      width={width}
      height={used}
      role="img"
      aria-label={
        `${part.name} to scale: ` +
        `${faces.map((face) => `${face.name} ${mmWords(face.widthMm)} by ${mmWords(face.heightMm)}`).join(', ')}`
      }
    >
      {placed.map(({ face, x }) => (
        <g key={face.name}>
          <text className="title" x={x} y={16}>
            {face.name.toUpperCase()}
          </text>
          <g transform={`translate(${x} ${MARGIN.top}) scale(${scale})`}>
            {face.shapes.length === 0 && <rect className="solid shell" width={face.widthMm} height={face.heightMm} />}
            {face.shapes.map((shape) => (
              <rect
                key={`${shape.solid.id}${shape.xMm}${shape.yMm}`}
                className={
                  `solid ${shape.solid.what} ` +
                  (shape.solid.unit && shape.solid.what !== 'shell'
                    ? ''
                    : shape.solid.what === 'shell'
                      ? ''
                      : 'empty') +
                  ' ' +
                  `${shape.solid.box.assumed ? 'assumed' : ''}`
                }
                x={shape.xMm}
                y={shape.yMm}
                width={shape.widthMm}
                height={shape.heightMm}
              />
            ))}
          </g>
          <text
            className="faint"
            x={x + (face.widthMm * scale) / 2}
            y={MARGIN.top + face.heightMm * scale + 15}
            textAnchor="middle"
          >
            {short(face.widthMm)}
          </text>
          <text className="faint" x={x + face.widthMm * scale + 5} y={MARGIN.top + (face.heightMm * scale) / 2 + 4}>
            {short(face.heightMm)}
          </text>
        </g>
      ))}
    </svg>
  );
}

const short = (mm: number) => String(Math.round(mm * 10) / 10);

function facesOf(part: Part): Face[] {
  if (part.kind === 'chassis') return views(unitOf(part), part, ['plan', 'front']);
  if (part.kind === 'board')
    return views(
      unitOf(frameFor(part)),
      { widthMm: part.edgeMm, heightMm: 40, depthMm: part.depthMm },
      ['plan'],
      unitOf(part, { host: 'p', key: 'tray' }),
    );
  const body = bodyOf(part);
  return [
    { name: 'from above', widthMm: body.widthMm, heightMm: body.depthMm, shapes: [] },
    { name: 'from the front', widthMm: body.widthMm, heightMm: body.heightMm, shapes: [] },
  ];
}

const unitOf = (
  part: Part,
  spot = { host: 'floor', key: 'chassis' },
): PlannedUnit & { readonly spot: typeof spot } => ({
  id: (spot.host === 'floor' ? 'p' : 'q') as never,
  mark: '',
  part,
  item: null,
  spot,
});

function views(
  host: ReturnType<typeof unitOf>,
  size: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number },
  names: readonly ViewName[],
  inside?: ReturnType<typeof unitOf>,
): Face[] {
  const units = inside ? [host, inside] : [host];
  const layout = {
    ...EMPTY_LAYOUT,
    at: Object.fromEntries(units.map((unit) => [unit.id, { spot: unit.spot, how: 'solved' as const }])),
  };
  const box = sceneOf(units, layout).boxes[0]!;
  return names.map((name) => ({
    name,
    ...viewSize(name, size),
    shapes: projectBox(name, box).filter((shape) => !inside || shape.solid.what !== 'shell'),
  }));
}

/** A bare frame of the board's own size, so that a board can be drawn by itself. */
const frameFor = (board: PartOf<'board'>): Part =>
  ({
    kind: 'chassis',
    id: 'frame',
    name: board.name,
    style: 'openFrame',
    rackUnits: null,
    widthMm: board.edgeMm,
    heightMm: 40,
    depthMm: board.depthMm,
    massG: 1,
    boardHoles: [board.holes],
    maxBoardEdgeMm: null,
    maxBoardDepthMm: null,
    boardPose: 'flat',
    boardAt: { xMm: board.edgeMm, yMm: 4, zMm: board.depthMm },
    bayGroups: [],
    supplyBays: [],
    openings: [],
    fanMounts: [],
    clearances: [],
    options: [],
    builtIn: [],
    inTheBox: [],
  }) as unknown as Part;
