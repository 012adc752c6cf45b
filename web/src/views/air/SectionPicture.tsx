import type { AirInBox } from '@inch-tower/core';
import { degrees } from './airWords';

const WIDE = { left: 118, right: 118, top: 26, bottom: 30, reach: 40 };
const NARROW = { ...WIDE, left: 88, right: 82, reach: 20 };
const NARROW_PX = 480;
/** Widths of the paths of air, px, by their share of all that goes through. */
const WIDEST_PX = 34;
const HEAD_PX = 8;
/** What is too little to be drawn, and how far two paths keep apart. */
const LEAST_M3H = 0.5;
const APART_PX = 44;
const LINE_PX = 16;

/** A box from its side, front to the left: drives, walls of fans, paths as wide as their air, warmth where it is. */
export function SectionPicture({ box, width }: { readonly box: AirInBox; readonly width: number }) {
  const { section, air, rows } = box;
  const { flow, insideC, aroundC, isStill } = air.hot;
  const margin = width < NARROW_PX ? NARROW : WIDE;
  const inner = width - margin.left - margin.right;
  if (inner < 100) return null;
  const scale = Math.min(inner / section.depthMm, 230 / section.heightMm);
  const [w, h] = [section.depthMm * scale, section.heightMm * scale];
  const left = margin.left + (inner - w) / 2;
  const x = (mm: number) => left + mm * scale;
  const y = (mm: number) => margin.top + h - mm * scale;
  const height = margin.top + h + margin.bottom + (isStill ? LINE_PX : 0);
  const floorY = margin.top + h + 20;
  const all = Math.max(1, flow.throughM3h);
  const thick = (m3h: number) => Math.max(1.5, (WIDEST_PX * Math.abs(m3h)) / all);
  // The warmest of every row in depth is told where that row stands.
  const inStream = rows.filter(({ where }) => where === 'stream');
  const streams = inStream
    .filter((row, i) => inStream.findIndex(({ behind }) => behind === row.behind) === i)
    .sort((a, b) => a.behind - b.behind);
  const ways = section.bays.filter(({ isInStream }) => isInStream);
  const filled = ways.filter(({ drives }) => drives > 0);
  const front = filled.length > 0 ? filled : ways;
  const depths = [...new Set(front.map(({ fromMm }) => fromMm))].sort((a, b) => a - b);
  const middle =
    front.length === 0
      ? section.heightMm / 2
      : (Math.min(...front.map(({ lowMm }) => lowMm)) + Math.max(...front.map(({ highMm }) => highMm))) / 2;
  const streamY = y(Math.min(section.heightMm - 10, Math.max(10, middle)));
  // The way past the drives is drawn where the other is not.
  const above = y(section.heightMm * 0.93);
  const pastY = streamY - above >= APART_PX ? above : y(section.heightMm * 0.07);
  const before = x(0) - margin.reach - 6;
  const goesPast = Math.abs(flow.pastM3h) > LEAST_M3H;
  return (
    <svg className="drawing" width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      <rect className="solid shell" x={x(0)} y={margin.top} width={w} height={h} />
      {section.bays.map((bay) => (
        <g key={bay.label}>
          <rect
            className={bay.drives > 0 ? 'solid tray' : 'solid empty'}
            x={x(bay.fromMm)}
            y={y(bay.highMm)}
            width={(bay.toMm - bay.fromMm) * scale}
            height={Math.max(4, (bay.highMm - bay.lowMm) * scale)}
          />
        </g>
      ))}
      <Path
        fromX={x(0) - margin.reach}
        toX={x(0) + w * 0.62}
        at={streamY}
        thickness={thick(flow.drivesM3h)}
        back={flow.drivesM3h < 0}
      />
      {goesPast && (
        <Path
          fromX={x(0) - margin.reach}
          toX={x(0) + w * 0.62}
          at={pastY}
          thickness={thick(flow.pastM3h)}
          back={flow.pastM3h < 0}
        />
      )}
      <Path
        fromX={x(0) + w * 0.8}
        toX={x(section.depthMm) + margin.reach + 6}
        at={y(section.heightMm * 0.45)}
        thickness={thick(flow.throughM3h)}
      />
      {section.fans.map((fan) => (
        <g key={fan.label}>
          <path
            className="dimension"
            style={fan.turning > 0 ? { strokeWidth: 5 } : { strokeWidth: 1.5, strokeDasharray: '3 3' }}
            d={
              fan.wall === 'top'
                ? `M${x(fan.atMm)} ${margin.top}h${(fan.highMm - fan.lowMm) * scale}`
                : `M${x(Math.min(section.depthMm, fan.atMm))} ${y(fan.highMm)}V${y(fan.lowMm)}`
            }
          />
          <title>{`${fan.label}: ${fan.turning} of ${fan.of} turn`}</title>
        </g>
      ))}
      <text x={before} y={streamY - 2} textAnchor="end">
        {degrees(aroundC)}
      </text>
      <text className="faint" x={before} y={streamY + 14} textAnchor="end">
        {Math.round(flow.drivesM3h)} m³/h
      </text>
      {goesPast && (
        <text className="faint" x={before} y={pastY + 4} textAnchor="end">
          {Math.round(Math.abs(flow.pastM3h))} {flow.pastM3h < 0 ? 'out' : 'past'}
        </text>
      )}
      {streams.map((row, tier) => (
        <text key={row.key} x={x(depths[Math.min(tier, depths.length - 1)] ?? 0) + 6} y={streamY + 5} fontWeight={600}>
          {degrees(row.on.hot.tempC.value)}
        </text>
      ))}
      <text x={x(section.depthMm)} y={margin.top - 8} textAnchor="end">
        {degrees(insideC)} inside
      </text>
      <text className="faint" x={x(section.depthMm) + margin.reach + 12} y={y(section.heightMm * 0.45) + 4}>
        {Math.round(flow.throughM3h)} m³/h
      </text>
      <text className="faint" x={x(0)} y={floorY}>
        front
      </text>
      <text className="faint" x={x(section.depthMm)} y={floorY} textAnchor="end">
        rear
      </text>
      {isStill && (
        <text className="faint" x={width / 2} y={floorY + LINE_PX} textAnchor="middle">
          no fan moves it: warmth alone does
        </text>
      )}
    </svg>
  );
}

/** A path of air as wide as it is: light, with a head where it goes. */
function Path({
  fromX,
  toX,
  at,
  thickness,
  back = false,
}: {
  readonly fromX: number;
  readonly toX: number;
  readonly at: number;
  readonly thickness: number;
  readonly back?: boolean;
}) {
  const half = thickness / 2;
  const [tail, tip] = back ? [toX, fromX] : [fromX, toX];
  const neck = tip + (back ? HEAD_PX : -HEAD_PX);
  return (
    <path
      d={`M${tail} ${at - half}H${neck}L${tip} ${at}L${neck} ${at + half}H${tail}Z`}
      fill="var(--tape)"
      fillOpacity={0.28}
      stroke="var(--ink)"
      strokeWidth={0.8}
    />
  );
}
