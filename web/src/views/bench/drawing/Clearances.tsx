import type { Reach } from '@inch-tower/core';
import { dimensionWords } from '../../../drawing/balloons';
import { placeNote, type Note } from '../../../drawing/notes';
import type { Flat2 } from '../../../drawing/arrangements';
import { RULER, titleOf, type PlacedView } from '../../../drawing/sheetLayout';

/**
 * The room of cards (in plan, from the rear edge to what ends it) and coolers (in section, upwards):
 * of what is chosen always, of what is tight or too long unasked, with the missing millimetres and
 * the culprit.
 */
export function Clearances({
  views,
  reaches: all,
  selected,
  labels,
  width,
  height,
}: {
  readonly views: readonly PlacedView[];
  readonly reaches: readonly Reach[];
  readonly selected: string | null;
  /** What is written already: notes keep clear of it. */ readonly labels: readonly Flat2[];
  readonly width: number;
  readonly height: number;
}) {
  const wanted = all.filter((one) => one.gapMm <= TIGHT_MM || one.unit === selected);
  const ruler: Flat2 = { x: 0, y: 0, width, height: RULER };
  const dimensions = views.filter(({ large }) => large).flatMap(dimensionWords);
  const written = [...labels, ...views.map(titleOf), ...dimensions, ruler];
  return (
    <g aria-hidden>
      {wanted.flatMap((one) =>
        views
          .filter(({ large, name }) => large && name === (one.what === 'card' ? 'plan' : 'side'))
          .map((view) => {
            const drawn = placeNote(view, one, written, { width, height }, views);
            if (!drawn) return null;
            written.push(drawn.words);
            return <Clearance key={`${view.box}${view.name}${one.unit}`} drawn={drawn} reach={one} />;
          }),
      )}
    </g>
  );
}
const TIGHT_MM = 2;

function Clearance({ drawn, reach }: { readonly drawn: Note; readonly reach: Reach }) {
  const { rect, x, from, limit, end, text, words } = drawn;
  const over = reach.gapMm < 0;
  const tick = (y: number) => `M${x - 3} ${y + 3}l6 -6`;
  return (
    <g data-clearance={reach.unit}>
      <path className="dimension" d={`M${x} ${from}V${limit}${tick(from)}${tick(limit)}`} />
      <path
        d={`M${x - 6} ${limit}H${reach.what === 'card' ? rect.x - 4 : rect.x + rect.width + 4}`}
        className="dimension"
        strokeDasharray="4 3"
        style={over ? { stroke: 'var(--bad)' } : {}}
      />
      {over && (
        <rect
          x={rect.x}
          y={Math.min(limit, end)}
          width={rect.width}
          height={Math.abs(end - limit)}
          fill="url(#hatch-bad)"
          fillOpacity={0.55}
          stroke="var(--bad)"
        />
      )}
      <path d={`M${x} ${limit}V${end}`} stroke={over ? 'var(--bad)' : 'var(--ink)'} strokeWidth={over ? 2.4 : 1.2} />
      <rect x={words.x} y={words.y} width={words.width} height={words.height} fill="var(--sheet)" />
      <text x={words.x + 4} y={words.y + 12} style={over ? { fill: 'var(--bad)' } : {}}>
        {text}
      </text>
    </g>
  );
}
