import type { CableStroke } from './layout';
import { LETTER, type Columns } from './columns';

/** Cables alike as one line, their number beside a short stroke across it. */
export function CableStrokeDrawn({
  stroke,
  at: { barX, endX, isNarrow },
  thick,
}: {
  readonly stroke: CableStroke;
  readonly at: Columns;
  readonly thick: number;
}) {
  const { y, labels, count, name, carries, isOver, to } = stroke;
  const from = barX + (isNarrow ? 8 : 64);
  const until = from + (isNarrow ? 26 : 44);
  return (
    <g data-stroke={labels} className={isOver ? 'over' : ''}>
      <title>{`${labels}, ${name}${carries ? `: ${carries}` : ''}`}</title>
      <path className="current" strokeWidth={thick} d={`M${barX} ${y}H${until}`} />
      {!isNarrow && labels && (
        <>
          <rect className="plate" x={barX + 8} y={y - 8} width={labels.length * LETTER + 6} height={16} />
          <text className="mark" x={barX + 11} y={y + 4}>
            {labels}
          </text>
        </>
      )}
      {count > 1 && (
        <>
          <path className="symbol" d={`M${from + 16} ${y + 7}l9 -14`} />
          <text className="faint" x={from + 27} y={y - thick / 2 - 2}>
            {count}
          </text>
        </>
      )}
      <circle className="solid" cx={until + 4} cy={y} r={3.5} />
      <text x={until + 13} y={y + 4}>
        {to}
        {!isNarrow && <tspan className="faint"> {name}</tspan>}
      </text>
      <text className={isOver ? 'over' : 'faint'} x={endX} y={y + 4} textAnchor="end">
        {isNarrow ? carries.replace(/ on .*$/, '') : carries}
      </text>
    </g>
  );
}
