import { useMemo } from 'react';
import { sceneOf, type Build, type PlannedUnit } from '@inch-tower/core';
import { mmWords } from '../../words/format';

type Props = { readonly build: Build; readonly units: readonly PlannedUnit[] };
type Side = { readonly have: number; readonly limit: number | undefined };

const WIDTH = 330;
const MARGIN = { left: 46, top: 30, right: 62, bottom: 34 };

/**
 * The machine's outline in the room it has: plan above, front below, the limits of the brief dashed with their
 * millimetres.
 */
export function RoomPicture({ build, units }: Props) {
  const box = useMemo(() => sceneOf(units, build.layout).boxes[0], [units, build.layout]);
  const { brief, site } = build;
  const size = box?.size;
  const wide: Side = { have: size?.widthMm ?? 0, limit: brief.maxWidthMm };
  const deep: Side = { have: size?.depthMm ?? 0, limit: brief.maxDepthMm };
  const high: Side = {
    have: size?.heightMm ?? 0,
    limit: brief.maxHeightMm ?? (brief.rackUnits === undefined ? undefined : brief.rackUnits * 44.45),
  };
  const across = Math.max(wide.have, wide.limit ?? 0, 200);
  const scale = Math.min(
    (WIDTH - MARGIN.left - MARGIN.right) / across,
    190 / Math.max(deep.have, deep.limit ?? 0, 200),
    160 / Math.max(high.have, high.limit ?? 0, 150),
  );
  const plan = Math.max(deep.have, deep.limit ?? 0, 80) * scale;
  const front = Math.max(high.have, high.limit ?? 0, 60) * scale;
  const frontY = MARGIN.top + plan + 70;
  const height = frontY + front + MARGIN.bottom;
  const words = [
    size
      ? `${build.name || 'The machine'} is ${mmWords(size.widthMm)} wide, ` +
        `${mmWords(size.heightMm)} high and ${mmWords(size.depthMm)} deep.`
      : 'No chassis is chosen yet.',
    ...(
      [
        ['Width', wide],
        ['Depth', deep],
        ['Height', high],
      ] as const
    ).flatMap(([name, side]) => (side.limit === undefined ? [] : [`${name}: room for ${mmWords(side.limit)}.`])),
  ].join(' ');
  return (
    <svg className="drawing" width={WIDTH} height={height} role="img" aria-label={words}>
      <text className="title" x={MARGIN.left} y={18}>
        PLAN
      </text>
      <Place x={MARGIN.left} y={MARGIN.top} across={wide} along={deep} scale={scale} grow={plan} fromTop />
      <text className="title" x={MARGIN.left} y={frontY - 24}>
        FRONT{site.place === 'cupboard' ? ', IN ITS CUPBOARD' : site.place === 'rack' ? ', IN THE RACK' : ''}
      </text>
      <Place x={MARGIN.left} y={frontY} across={wide} along={high} scale={scale} grow={front} />
    </svg>
  );
}

/** One view: the shell standing on the base line (front) or against the rear (plan), and the room around it. */
function Place({
  x,
  y,
  across,
  along,
  scale,
  grow,
  fromTop,
}: {
  readonly x: number;
  readonly y: number;
  readonly across: Side;
  readonly along: Side;
  readonly scale: number;
  readonly grow: number;
  readonly fromTop?: boolean;
}) {
  const roomW = (across.limit ?? Math.max(across.have, 200)) * scale;
  const roomH = along.limit === undefined ? grow : along.limit * scale;
  const w = across.have * scale;
  const h = along.have * scale;
  const overW = across.limit !== undefined && across.have > across.limit;
  const overH = along.limit !== undefined && along.have > along.limit;
  const top = (size: number) => (fromTop ? y : y + grow - size);
  return (
    <g>
      {w > 0 ? (
        <rect className={`solid ${overW || overH ? 'loose' : ''}`} x={x} y={top(h)} width={w} height={h} />
      ) : (
        <rect className="solid empty" x={x} y={top(Math.min(grow, 60))} width={roomW} height={Math.min(grow, 60)} />
      )}
      {across.limit !== undefined && (
        <Limit
          x1={x + roomW}
          y1={y - 6}
          x2={x + roomW}
          y2={y + grow + 6}
          words={mmWords(across.limit)}
          over={overW}
          at={{ x: x + roomW + 5, y: y + grow / 2 + 4 }}
        />
      )}
      {along.limit !== undefined && (
        <Limit
          x1={x - 6}
          y1={fromTop ? y + roomH : y + grow - roomH}
          x2={x + Math.max(w, roomW) + 6}
          y2={fromTop ? y + roomH : y + grow - roomH}
          words={mmWords(along.limit)}
          over={overH}
          at={{ x: x + 2, y: fromTop ? y + roomH + 14 : y + grow - roomH - 5 }}
        />
      )}
      {w > 0 && (
        <text className="faint" x={x + w / 2} y={top(h) + h / 2 + 4} textAnchor="middle">
          {Math.round(across.have)} × {Math.round(along.have)}
        </text>
      )}
      {!fromTop && <path d={`M${x - 20} ${y + grow}h${Math.max(w, roomW) + 40}`} stroke="var(--ink)" strokeWidth={2} />}
    </g>
  );
}

function Limit({
  x1,
  y1,
  x2,
  y2,
  words,
  over,
  at,
}: {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly words: string;
  readonly over: boolean;
  readonly at: { readonly x: number; readonly y: number };
}) {
  const ink = over ? 'var(--bad)' : 'var(--ink)';
  return (
    <g>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke={ink} strokeWidth={1.4} strokeDasharray="7 3 1.5 3" />
      <text x={at.x} y={at.y} style={{ fill: ink }}>
        {words}
      </text>
    </g>
  );
}
