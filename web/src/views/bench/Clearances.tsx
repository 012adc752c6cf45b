import type { Reach } from '@inch-tower/core';
import { onSheet, overlaps, type Flat2, type PlacedView } from '../../drawing/sheetLayout';

/**
 * The room of cards (in plan, from the rear edge to what ends it) and coolers (in section, upwards):
 * of what is chosen always, of what is tight or too long unasked, with the missing millimetres and
 * the culprit.
 */
export function Clearances({ views, reaches: all, selected, labels, width }: { readonly views: readonly PlacedView[]; readonly reaches: readonly Reach[]; readonly selected: string | null; /** What is written already: notes keep clear of it. */ readonly labels: readonly Flat2[]; readonly width: number }) {
  const wanted = all.filter((one) => one.gapMm <= TIGHT_MM || one.unit === selected);
  const written = [...labels, ...views.map(({ x, y }): Flat2 => ({ x, y: y - NOTE_PX - 4, width: TITLE_PX, height: NOTE_PX + 2 }))];
  return (
    <g aria-hidden>
      {wanted.flatMap((one) => views.filter(({ large, name }) => large && name === (one.what === 'card' ? 'plan' : 'side')).map((view) => {
        const drawn = drawnOf(view, one, written, width);
        if (!drawn) return null;
        written.push(drawn.note);
        return <Clearance key={`${view.name}${one.unit}`} drawn={drawn} reach={one} />;
      }))}
    </g>
  );
}
const TIGHT_MM = 2;

type Drawn = { readonly rect: Flat2; readonly x: number; readonly from: number; readonly limit: number; readonly end: number; readonly text: string; readonly note: Flat2 };
const NOTE_PX = 16;
/** Px that the name of a view takes above it. */
const TITLE_PX = 84;
const CHARACTER_PX = 6.65;

/** Where the line and its words go: the words beside the end of the line, at the first height where nothing else is written. */
function drawnOf(view: PlacedView, reach: Reach, written: readonly Flat2[], width: number): Drawn | null {
  const shape = view.shapes.find(({ solid }) => solid.unit?.id === reach.unit && (solid.what === 'card' || solid.what === 'cooler'));
  if (!shape) return null;
  const rect = onSheet(view, shape);
  const card = reach.what === 'card';
  // A card begins at the rear edge, which is up in plan; a cooler at its foot, which is down in section.
  const from = card ? rect.y : rect.y + rect.height;
  const limit = card ? from + reach.limitMm * view.scale : from - reach.limitMm * view.scale;
  const end = card ? rect.y + rect.height : rect.y;
  const x = card ? rect.x + rect.width + 9 : rect.x - 9;
  const text = reach.gapMm < 0 ? `${-reach.gapMm} mm over: ${reach.label}` : `${reach.gapMm} mm to ${reach.label}`;
  const wide = text.length * CHARACTER_PX + 8;
  const sides = (card ? [x + 10, rect.x - 12 - wide, view.x + view.width + 12] : [x - wide - 6, x - wide - 40, rect.x + rect.width + 12]).filter((left) => left > 30 && left + wide < width);
  const beside = [0, 18, -18, 36, -36, 54, -54].flatMap((dy) => sides.map((left): Flat2 => ({ x: left, y: (limit + end) / 2 + dy - NOTE_PX / 2, width: wide, height: NOTE_PX })));
  // Where the drawing is too low or narrow for words they stand above or under it.
  const middle = Math.max(view.x, Math.min(rect.x + rect.width / 2 - wide / 2, width - wide - 4));
  const apart = [view.y - NOTE_PX - 4, view.y + view.height + 5].map((y): Flat2 => ({ x: middle, y, width: wide, height: NOTE_PX }));
  const isFree = (spot: Flat2) => written.every((label) => !overlaps(spot, label, 1));
  const spots = [...beside.filter((spot) => !crosses(spot, view)), ...apart];
  return { rect, x, from, limit, end, text, note: spots.find(isFree) ?? beside.find(isFree) ?? spots[0]! };
}

/** A view lower than so many lines of words has no room for any. */
const LOWEST_LINES = 4;
/** Whether words would lie over the outline of a view: partly in it and partly out, or in one that is no higher than they are. */
function crosses(spot: Flat2, view: PlacedView): boolean {
  const inX = spot.x < view.x + view.width && spot.x + spot.width > view.x;
  const inY = spot.y < view.y + view.height && spot.y + spot.height > view.y;
  const within = spot.x >= view.x + 2 && spot.x + spot.width <= view.x + view.width - 2 && spot.y >= view.y + 2 && spot.y + spot.height <= view.y + view.height - 2;
  return inX && inY && (!within || view.height < LOWEST_LINES * NOTE_PX);
}

function Clearance({ drawn, reach }: { readonly drawn: Drawn; readonly reach: Reach }) {
  const { rect, x, from, limit, end, text, note } = drawn;
  const over = reach.gapMm < 0;
  const tick = (y: number) => `M${x - 3} ${y + 3}l6 -6`;
  return (
    <g data-clearance={reach.unit}>
      <path className="dimension" d={`M${x} ${from}V${limit}${tick(from)}${tick(limit)}`} />
      <path d={`M${x - 6} ${limit}H${reach.what === 'card' ? rect.x - 4 : rect.x + rect.width + 4}`} className="dimension" strokeDasharray="4 3" style={over ? { stroke: 'var(--bad)' } : {}} />
      {over && <rect x={rect.x} y={Math.min(limit, end)} width={rect.width} height={Math.abs(end - limit)} fill="url(#hatch-bad)" fillOpacity={0.55} stroke="var(--bad)" />}
      <path d={`M${x} ${limit}V${end}`} stroke={over ? 'var(--bad)' : 'var(--ink)'} strokeWidth={over ? 2.4 : 1.2} />
      <rect x={note.x} y={note.y} width={note.width} height={note.height} fill="var(--sheet)" />
      <text x={note.x + 4} y={note.y + 12} style={over ? { fill: 'var(--bad)' } : {}}>{text}</text>
    </g>
  );
}
