import type { SetSeen } from '@inch-tower/core';
import { Cross } from '../build/Cross';
import { tb } from './poolWords';

const TALL_PX = 132;
const TOP_PX = 18;
const FOOT_PX = 20;
const LEAST_PX = 12;
const MOST_PX = 34;

/**
 * The drives of a set as rods, all sets to one scale: ticked by the TB, filled where they hold data, hatched where they
 * hold what failures need, outlined where their size is of no use in this set.
 */
export function SetsPicture({
  set,
  mostTb,
  width,
  struck,
}: {
  readonly set: SetSeen;
  readonly mostTb: number;
  readonly width: number;
  /** Drives that are struck out. */ readonly struck: ReadonlySet<string> | null;
}) {
  const count = set.drives.length;
  const rod = Math.max(LEAST_PX, Math.min(MOST_PX, (width - 40) / Math.max(1, count) - 4));
  const scale = TALL_PX / Math.max(0.1, mostTb);
  const step = [0.5, 1, 2, 5, 10].find((one) => one * scale >= 7) ?? 20;
  const used = set.drives.reduce((sum, one) => sum + one.usedTb, 0);
  // Redundancy is spread over all drives of a set: the same share of each is hatched.
  const share = used > 0 ? Math.min(1, set.redundancyTb / used) : 0;
  // All sets to one scale: one of small drives alone is no taller than those are.
  const tall = Math.max(0, ...set.drives.map((one) => one.tb)) * scale;
  const height = TOP_PX + tall + FOOT_PX;
  const floor = TOP_PX + tall;
  return (
    <svg className="drawing" width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      {set.drives.map(({ unit, mark, tb: size, usedTb }, i) => {
        const x = 8 + i * (rod + 4);
        const top = floor - size * scale;
        const usedTop = floor - usedTb * scale;
        const dataTop = floor - usedTb * (1 - share) * scale;
        return (
          <g key={unit}>
            {size > usedTb && (
              <rect className="solid empty" x={x} y={top} width={rod} height={(size - usedTb) * scale} />
            )}
            <rect className="solid tray" x={x} y={dataTop} width={rod} height={Math.max(0, floor - dataTop)} />
            <rect
              x={x}
              y={usedTop}
              width={rod}
              height={Math.max(0, dataTop - usedTop)}
              fill="url(#pool-hatch)"
              stroke="var(--ink)"
              strokeWidth={0.8}
            />
            {Array.from({ length: Math.floor(size / step) }, (_, k) => (k + 1) * step)
              .filter((at) => at < size)
              .map((at) => (
                <path key={at} className="dimension" d={`M${x} ${floor - at * scale}h${rod / 3}`} />
              ))}
            {struck?.has(unit) && <Cross x={x} y={top} width={rod} height={size * scale} />}
            {(rod >= 18 || i % 2 === 0) && (
              <text className="faint" x={x + rod / 2} y={floor + 14} textAnchor="middle">
                {mark}
              </text>
            )}
            {(i === 0 || set.drives[i - 1]!.tb !== size) && (
              <text x={x} y={top - 5}>
                {tb(size)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** The hatch all sets draw with, once a page. */
export const Hatch = () => (
  <svg width="0" height="0" className="absolute" aria-hidden>
    <defs>
      <pattern id="pool-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--ink)" strokeWidth="1.4" />
      </pattern>
    </defs>
  </svg>
);
