import { marginOf, type FlatShape, type WarmRow } from '@inch-tower/core';
import { onSheet, type PlacedView } from '../../../drawing/sheetLayout';
import { useAir } from '../../air/useAir';
import { isUnder } from './isUnder';

type Rect = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
/** A letter of the drawing, and how high a line is, px. */
const [LETTER, LINE] = [6.7, 14];

/**
 * °C on the hottest day, with all busy, on every part that is reckoned, in every view where nothing lies over it and a
 * number has room beside what is written there; what is past its limit is hatched, too.
 */
export default function WarmMarks({
  views,
  taken,
}: {
  readonly views: readonly PlacedView[];
  readonly taken: readonly Rect[];
}) {
  const air = useAir({});
  if (!air) return null;
  const rows = new Map(air.boxes.flatMap(({ rows: all }) => all.flatMap((row) => row.units.map((id) => [id, row]))));
  const rowOf = ({ solid }: FlatShape): WarmRow | undefined =>
    solid.unit && solid.what !== 'shell' ? rows.get(solid.unit.id) : undefined;
  return (
    <g data-warm-marks>
      {views.flatMap((view) =>
        view.shapes.flatMap((shape, i) => {
          const row = rowOf(shape);
          if (!row || isUnder(shape, view.shapes.slice(i + 1), (one) => one.solid.id === shape.solid.id)) return [];
          return [
            <Mark
              key={`${view.box}${view.name}${shape.solid.id}`}
              row={row}
              rect={onSheet(view, shape)}
              taken={taken}
            />,
          ];
        }),
      )}
    </g>
  );
}

function Mark({ row, rect, taken }: { readonly row: WarmRow; readonly rect: Rect; readonly taken: readonly Rect[] }) {
  const words = `${Math.round(row.on.hot.tempC.value)}°`;
  const isPast = marginOf(row) < 0;
  const place = placeFor(words.length * LETTER + 4, rect, taken);
  return (
    <g className={isPast ? 'warm past' : 'warm'}>
      {isPast && <rect className="hatch" {...rect} />}
      {place && (
        <>
          <rect className="plate" {...place} />
          <text textAnchor="middle" transform={turned(place)}>
            {words}
          </text>
        </>
      )}
    </g>
  );
}

/** Where a number goes on its part, clear of what is written there: at the right, at the left, along a narrow one. */
function placeFor(length: number, { x, y, width, height }: Rect, taken: readonly Rect[]): Rect | null {
  const lying = [x + width - length - 2, x + 2].flatMap((left) =>
    [y + (height - LINE) / 2, y + height - LINE - 1, y + 1].map((top) => ({
      x: left,
      y: top,
      width: length,
      height: LINE,
    })),
  );
  const standing = [y + height - length - 2, y + (height - length) / 2].map((top) => ({
    x: x + (width - LINE) / 2,
    y: top,
    width: LINE,
    height: length,
  }));
  const fits = (one: Rect) =>
    one.width <= width && one.height <= height + 2 && !taken.some((other) => isOver(one, other));
  return [...lying, ...standing].find(fits) ?? null;
}

const isOver = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

function turned({ x, y, width, height }: Rect): string {
  const [middle, centre] = [x + width / 2, y + height / 2];
  return height > width ? `translate(${middle + 4} ${centre}) rotate(-90)` : `translate(${middle} ${centre + 4})`;
}
