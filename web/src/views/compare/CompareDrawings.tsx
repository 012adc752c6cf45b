import type { Comparison, Outline } from '@inch-tower/core';
import { useWidth } from '../useWidth';
import { LETTERS, nameOf } from './compareWords';

const TALL_PX = 240;
const GAP_PX = 22;
const APART_PX = 44;
const HEAD_PX = 20;
const FOOT_PX = 20;
/** No machine is drawn larger than this, however small the largest of them is. */
const MOST_PX_PER_MM = 0.8;

const CHARACTER_PX = 6.7;
const sizeWords = ({ view, widthMm, heightMm }: Outline['views'][number]): string =>
  view === 'front' ? `${Math.round(widthMm)} × ${Math.round(heightMm)} mm` : `${Math.round(widthMm)} mm deep`;

type Placed = { readonly view: Outline['views'][number]; readonly xPx: number };

type Row = { readonly startPx: number; readonly own: readonly Placed[] };

/** Views one after the other, those of one machine nearer to each other. */
function place(
  machines: readonly Outline['views'][],
  scale: number,
): { readonly placed: Row[]; readonly endPx: number } {
  let x = 8;
  const placed = machines.map((views): Row => {
    const startPx = x;
    const own = views.map((view): Placed => {
      const xPx = x;
      x += Math.max(view.widthMm * scale, sizeWords(view).length * CHARACTER_PX) + GAP_PX;
      return { view, xPx };
    });
    x += APART_PX - GAP_PX;
    return { startPx, own };
  });
  return { placed, endPx: x };
}

/** The boxes of all machines on one ground, from the front and cut from the side, at one scale. */
export function CompareDrawings({ comparison: { machines, drawn } }: { readonly comparison: Comparison }) {
  const { width, ref } = useWidth();
  const views = drawn.map((boxes) => boxes.flatMap((box) => box.views));
  const all = views.flat();
  const wideMm = all.reduce((sum, { widthMm }) => sum + widthMm, 0);
  const tallMm = Math.max(0, ...all.map(({ heightMm }) => heightMm));
  const gapsPx = all.length * GAP_PX + machines.length * APART_PX;
  const scale =
    tallMm > 0 ? Math.min(MOST_PX_PER_MM, TALL_PX / tallMm, Math.max(80, width - gapsPx) / Math.max(1, wideMm)) : 0;
  const groundPx = HEAD_PX + tallMm * scale;
  const { placed, endPx: x } = place(views, scale);
  return (
    <div ref={ref} className="mt-2 overflow-x-auto border-t border-line pt-2">
      {scale > 0 && (
        <svg
          className="drawing"
          width={Math.max(width, x)}
          height={groundPx + FOOT_PX}
          role="img"
          aria-label={`Front and side of ${machines.map(nameOf).join(', ')}, at one scale`}
        >
          {placed.map(({ startPx, own }, i) => (
            <g key={machines[i]!.id}>
              <text className="mark" x={startPx} y={12}>
                {LETTERS[i]} {own.length === 0 ? 'no chassis yet' : ''}
              </text>
              {own.map(({ view, xPx }) => (
                <View key={`${xPx}${view.view}`} view={view} xPx={xPx} groundPx={groundPx} scale={scale} />
              ))}
            </g>
          ))}
          <path className="dimension" d={`M0 ${groundPx + 1}H${Math.max(width, x)}`} />
        </svg>
      )}
    </div>
  );
}

function View({ view, xPx, groundPx, scale }: Placed & { readonly groundPx: number; readonly scale: number }) {
  const topPx = groundPx - view.heightMm * scale;
  return (
    <g>
      {view.shapes.map((shape, i) => (
        <rect
          key={i}
          className={`solid ${shape.what} ${shape.isEmpty ? 'empty' : ''}`}
          x={xPx + shape.xMm * scale}
          y={topPx + shape.yMm * scale}
          width={Math.max(0.5, shape.widthMm * scale)}
          height={Math.max(0.5, shape.heightMm * scale)}
        />
      ))}
      <text className="faint" x={xPx} y={groundPx + 15}>
        {sizeWords(view)}
      </text>
    </g>
  );
}
