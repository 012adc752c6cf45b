import { linkName, type Rate } from '@inch-tower/core';
import { rateWords } from './flowWords';

const ROW_PX = 30;
const BAR_PX = 9;
/** Links that would carry so many times what comes through are drawn torn: they are wide enough. */
const TORN_AT = 4;

/**
 * From the drives to the network: how many MB/s of files each link would let through, to one scale, with a mark at what
 * the narrowest of them lets through.
 */
export function FlowPicture({ rate, width }: { readonly rate: Rate; readonly width: number }) {
  const { links, mbPerS, neck } = rate;
  const most = mbPerS * TORN_AT;
  const [left, right] = [2, 92];
  const span = Math.max(40, width - left - right);
  const at = (value: number) => left + (Math.min(value, most) / most) * span;
  const height = links.length * ROW_PX + 6;
  return (
    <svg
      className="drawing"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={links.map((one) => `${linkName(one)}: ${rateWords(one.allowsMBps)}`).join('; ')}
    >
      {links.map((one, i) => {
        const y = i * ROW_PX + 17;
        const isNeck = one === neck;
        const end = at(one.allowsMBps);
        const isTorn = one.allowsMBps > most;
        return (
          <g key={one.link.key}>
            <text x={left} y={y - 4} className={isNeck ? 'mark' : 'faint'}>
              {linkName(one)}
            </text>
            <rect
              className={isNeck ? 'solid' : 'solid tray'}
              {...(isNeck ? { style: { fill: 'var(--tape)' } } : {})}
              x={left}
              y={y}
              width={end - left}
              height={BAR_PX}
            />
            {isTorn && (
              <path
                d={`M${end - 14} ${y - 2}l4 ${BAR_PX / 2 + 2}l-4 ${BAR_PX / 2 + 2}`}
                stroke="var(--paper)"
                strokeWidth={4}
                fill="none"
              />
            )}
            {!isNeck && <path d={`M${at(mbPerS)} ${y - 3}V${y + BAR_PX + 3}`} stroke="var(--ink)" strokeWidth={1.6} />}
            <text className={isNeck ? 'mark' : ''} x={end + 6} y={y + BAR_PX - 0.5}>
              {Math.round(one.allowsMBps).toLocaleString('en')}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
