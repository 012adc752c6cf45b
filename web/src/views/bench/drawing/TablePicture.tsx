import type { OpenThing, PartKind, Solid } from '@inch-tower/core';
import { printSpot } from '@inch-tower/core';
import type { Flat2 } from '../../../drawing/arrangements';

export type TableStop = {
  readonly id: string;
  readonly rect: Flat2;
  readonly label: string;
  readonly mark: string;
  readonly missing: boolean;
};

/** Typical outer sizes in mm of what is not chosen yet, for its dashed outline. */
const OUTLINE_MM: Readonly<Partial<Record<PartKind, readonly [number, number]>>> = {
  chassis: [226, 260],
  board: [170, 170],
  processor: [40, 40],
  cooler: [95, 95],
  memory: [133, 31],
  supply: [125, 100],
  drive: [147, 102],
};
const LEAST = { width: 92, height: 30 };
const GAP = 12;

/**
 * Parts without a place, and dashed outlines of what is missing, in rows within an area; what has no room is left to
 * the kit.
 */
export function tableStops(
  loose: readonly Solid[],
  open: readonly OpenThing[],
  area: Flat2,
  scale: number,
  wholePage: boolean,
): TableStop[] {
  const fit = wholePage ? Math.min(1.15, area.width / 700) : Math.min(scale, 0.8);
  const lying = loose.map((solid) => ({
    id: solid.id,
    mm: [solid.box.widthMm, solid.box.depthMm] as const,
    label: solid.label,
    mark: solid.unit?.mark ?? '',
    missing: false,
  }));
  const missing = open.map((one) => ({
    id: printSpot(one.spot),
    mm: OUTLINE_MM[one.kind] ?? ([100, 60] as const),
    label: one.label,
    mark: '',
    missing: true,
  }));
  // Where nothing stands yet, what is to be chosen comes first.
  const things = wholePage ? [...missing, ...lying] : [...lying, ...missing];
  const stops: TableStop[] = [];
  let x = area.x;
  let y = area.y + 18;
  let row = 0;
  for (const thing of things) {
    const width = Math.min(Math.max(LEAST.width, thing.mm[0] * fit), area.width);
    const height = Math.max(LEAST.height, Math.min(thing.mm[1] * fit, wholePage ? 400 : 96));
    if (x > area.x && x + width > area.x + area.width) {
      x = area.x;
      y += row + GAP;
      row = 0;
    }
    if (y + height > area.y + area.height) continue;
    stops.push({
      id: thing.id,
      rect: { x, y, width, height },
      label: thing.label,
      mark: thing.mark,
      missing: thing.missing,
    });
    x += width + GAP;
    row = Math.max(row, height);
  }
  return stops;
}

type Props = {
  readonly area: Flat2;
  readonly stops: readonly TableStop[];
  readonly current: string | null;
  readonly selected: string | null;
  readonly empty: boolean;
  readonly onChoose: (id: string) => void;
};

export function TablePicture({ area, stops, current, selected, empty, onChoose }: Props) {
  if (stops.length === 0) return null;
  return (
    <g>
      <text className="title" x={area.x} y={area.y + 6}>
        {empty ? 'CHOOSE AN OUTLINE TO BEGIN' : 'TABLE'}
      </text>
      {stops.map(({ id, rect, label, mark, missing }) => (
        <g
          key={id}
          role="button"
          className={`stop ${selected === id ? 'chosen' : ''}`}
          data-stop={id}
          tabIndex={id === current ? 0 : -1}
          aria-pressed={selected === id}
          aria-label={missing ? `${label}: not chosen yet` : `${label} (${mark}), on the table`}
          onClick={() => onChoose(id)}
        >
          <rect
            className={`solid ${missing ? 'empty' : ''}`}
            x={rect.x}
            y={rect.y}
            width={rect.width}
            height={rect.height}
          />
          <text className={missing ? 'faint' : ''} x={rect.x + 6} y={rect.y + 17}>
            {cut(label, rect.width)}
          </text>
          {mark && rect.height >= 34 && (
            <text className="mark" x={rect.x + 6} y={rect.y + 31}>
              {mark}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

const cut = (text: string, width: number) => {
  const most = Math.floor((width - 12) / 6.75);
  return text.length > most ? `${text.slice(0, Math.max(1, most - 1))}…` : text;
};
