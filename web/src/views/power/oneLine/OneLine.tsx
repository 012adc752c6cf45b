import { Fragment } from 'react';
import type { Build } from '@inch-tower/core';
import { ConverterSymbol, SYMBOL } from './ConverterSymbol';
import { CableStrokeDrawn } from './CableStroke';
import { BUS_X, columnsOf, LETTER, RISER_PX, UPS_W, UPS_X, type Columns } from './columns';
import { oneLine, type FeedDrawn, type OneLineDrawn } from './layout';
import type { PowerSeen } from '../usePower';

/**
 * From the mains to the plugs on one line each (symbols in the manner of IEC 60617): what hangs on which UPS, through
 * which supply, on which bar, by which cables. Lines are as thick as the current in them.
 */
export function OneLine({
  power,
  build,
  width,
}: {
  readonly power: PowerSeen;
  readonly build: Build;
  readonly width: number;
}) {
  const drawn = oneLine({ ...power, mainsV: build.site.mainsV });
  if (width < 200) return null;
  const at = columnsOf(
    width,
    drawn.ups.map(({ name }) => name),
  );
  return (
    <svg
      className="drawing"
      width={width}
      height={drawn.height}
      viewBox={`0 0 ${width} ${drawn.height}`}
      role="img"
      aria-label="From the mains to the plugs; the same stands in the lists below."
      data-one-line
    >
      <Mains drawn={drawn} at={at} mainsV={build.site.mainsV} />
      {drawn.feeds.map((feed) => (
        <Feed key={feed.key} feed={feed} at={at} pxPerA={drawn.pxPerA} />
      ))}
    </svg>
  );
}

/** The bar of the mains, the UPS on it, and the lines from both to the plugs. */
function Mains({ drawn, at, mainsV }: { readonly drawn: OneLineDrawn; readonly at: Columns; readonly mainsV: number }) {
  const { ups, wallYs, pxPerA } = drawn;
  const ys = [...wallYs, ...ups.map(({ y }) => y)];
  if (ys.length === 0) return null;
  const low = Math.max(...ys);
  const thin = Math.max(1.4, pxPerA);
  return (
    <g>
      <text className="faint" x={BUS_X - 10} y={12}>
        ~ {mainsV} V
      </text>
      <path className="current" strokeWidth={2.6} d={`M${BUS_X} 20V${low + 12}`} />
      {wallYs.map((y) => (
        <path key={y} className="current" strokeWidth={thin} d={`M${BUS_X} ${y}H${at.supplyX}`} />
      ))}
      {ups.map(({ unit, name, full, isOver, y, plugYs }, i) => {
        const riser = at.riserX + RISER_PX * i;
        return (
          <g key={unit} data-ups={unit}>
            <path className="current" strokeWidth={thin} d={`M${BUS_X} ${y}H${UPS_X}`} />
            <rect className="solid" x={UPS_X} y={y - 12} width={UPS_W} height={24} />
            <path
              className="symbol"
              d={`M${UPS_X + 8} ${y}h5M${UPS_X + 13} ${y - 7}v14M${UPS_X + 17} ${y - 3.5}v7M${UPS_X + 17} ${y}h5`}
            />
            <text x={BUS_X + 8} y={y - 16}>
              {name}
            </text>
            <text className={isOver ? 'over' : 'faint'} x={UPS_X - 4} y={y + 24}>
              {full}
            </text>
            {plugYs.length > 0 && (
              <path
                className="current"
                strokeWidth={thin}
                d={
                  `M${UPS_X + UPS_W} ${y}H${riser}M${riser} ${Math.min(y, ...plugYs)}V${Math.max(y, ...plugYs)}` +
                  plugYs.map((plugY) => `M${riser} ${plugY}H${at.supplyX}`).join('')
                }
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

/** One supply with all that leaves it. */
function Feed({ feed, at, pxPerA }: { readonly feed: FeedDrawn; readonly at: Columns; readonly pxPerA: number }) {
  const { supplyX, barX, isNarrow } = at;
  const { plugs, kind, barFrom, barTo, amps12, rails, strokes, title, titleY } = feed;
  const middle = (barFrom + barTo) / 2;
  const thick = (amps: number) => Math.max(1.2, amps * pxPerA);
  return (
    <g data-feed={feed.key}>
      <text className="mark" x={supplyX} y={titleY}>
        {title}
      </text>
      {plugs.map(({ line, y, amps }, i) => (
        <g key={i}>
          {kind !== 'none' && <ConverterSymbol x={supplyX} y={y} isBrick={kind !== 'supply'} />}
          <path
            className="current"
            strokeWidth={thick(amps12 / plugs.length)}
            d={`M${supplyX + (kind === 'none' ? 0 : SYMBOL)} ${y}H${barX - 8}${y === middle ? '' : `V${middle}`}`}
          />
          {!isNarrow && (
            <text className="faint" x={supplyX + SYMBOL + 6} y={y - Math.max(5, thick(amps12 / plugs.length) / 2 + 3)}>
              {Math.round(line.peakW)} W · {amps.toFixed(1)} A
            </text>
          )}
        </g>
      ))}
      <path className="current" strokeWidth={thick(amps12)} d={`M${barX - 8} ${middle}H${barX}`} />
      {kind === 'converter' && <ConverterSymbol x={barX - 44} y={middle} isDirect />}
      <path className="current" strokeWidth={4} d={`M${barX} ${barFrom}V${barTo}`} />
      {rails.length > 0 && (
        <text className="faint" x={Math.max(barX - 4, supplyX + title.length * LETTER + 14)} y={titleY}>
          {rails.slice(0, isNarrow ? 0 : 3).map(({ words, isOver }, i) => (
            <Fragment key={words}>
              {i > 0 && ' · '}
              <tspan className={isOver ? 'over' : ''}>{words}</tspan>
            </Fragment>
          ))}
        </text>
      )}
      {strokes.map((stroke) => (
        <CableStrokeDrawn key={stroke.key} stroke={stroke} at={at} thick={thick(stroke.amps)} />
      ))}
    </g>
  );
}
