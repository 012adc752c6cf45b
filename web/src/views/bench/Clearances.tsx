import type { Reach } from '@inch-tower/core';
import { onSheet, type PlacedView } from '../../drawing/sheetLayout';

/**
 * The room of cards (in plan, from the rear edge to what ends it) and coolers (in section, upwards):
 * of what is chosen always, of what is tight or too long unasked, with the missing millimetres and
 * the culprit.
 */
export function Clearances({ views, reaches: all, selected }: { readonly views: readonly PlacedView[]; readonly reaches: readonly Reach[]; readonly selected: string | null }) {
  const wanted = all.filter((one) => one.gapMm <= TIGHT_MM || one.unit === selected);
  return <g aria-hidden>{wanted.flatMap((one) => views.filter(({ large, name }) => large && name === (one.what === 'card' ? 'plan' : 'side')).map((view) => <Clearance key={`${view.name}${one.unit}`} view={view} reach={one} />))}</g>;
}
const TIGHT_MM = 2;

function Clearance({ view, reach }: { readonly view: PlacedView; readonly reach: Reach }) {
  const shape = view.shapes.find(({ solid }) => solid.unit?.id === reach.unit && (solid.what === 'card' || solid.what === 'cooler'));
  if (!shape) return null;
  const rect = onSheet(view, shape);
  const card = reach.what === 'card';
  // A card begins at the rear edge, which is up in plan; a cooler at its foot, which is down in section.
  const from = card ? rect.y : rect.y + rect.height;
  const limit = card ? from + reach.limitMm * view.scale : from - reach.limitMm * view.scale;
  const end = card ? rect.y + rect.height : rect.y;
  const x = card ? rect.x + rect.width + 9 : rect.x - 9;
  const over = reach.gapMm < 0;
  const text = over ? `${-reach.gapMm} mm over: ${reach.label}` : `${reach.gapMm} mm to ${reach.label}`;
  const tick = (y: number) => `M${x - 3} ${y + 3}l6 -6`;
  const half = (text.length * 6.65) / 2 + 4;
  const middle = (limit + end) / 2;
  return (
    <g data-clearance={reach.unit}>
      <path className="dimension" d={`M${x} ${from}V${limit}${tick(from)}${tick(limit)}`} />
      <path d={`M${x - 6} ${limit}H${card ? rect.x - 4 : rect.x + rect.width + 4}`} className="dimension" strokeDasharray="4 3" style={over ? { stroke: 'var(--bad)' } : {}} />
      {over && <rect x={rect.x} y={Math.min(limit, end)} width={rect.width} height={Math.abs(end - limit)} fill="url(#hatch-bad)" stroke="var(--bad)" />}
      <path d={`M${x} ${limit}V${end}`} stroke={over ? 'var(--bad)' : 'var(--ink)'} strokeWidth={over ? 2.4 : 1.2} />
      <g transform={`translate(${x + (card ? 10 : -half * 2 - 6)} ${middle})`}><rect x={0} y={-8} width={half * 2} height={16} fill="var(--sheet)" /><text x={4} y={4} style={over ? { fill: 'var(--bad)' } : {}}>{text}</text></g>
    </g>
  );
}
