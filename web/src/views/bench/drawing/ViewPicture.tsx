import { memo } from 'react';
import { printSpot, projectBox, viewSize, type FlatShape, type SceneBox, type Solid } from '@inch-tower/core';
import type { Label } from '../../../drawing/labels';
import type { Focus } from '../../../drawing/foci';
import { onSheet, type PlacedView } from '../../../drawing/sheetLayout';
import { capacityWords } from '../../../words/format';
import { placeName } from '../../../words/placeName';

type ViewProps = {
  readonly view: PlacedView;
  readonly labels: readonly Label[];
  readonly current: string | null;
  readonly selected: string | null;
  readonly lit: { has(id: string): boolean } | null;
  readonly unconnected: readonly string[];
  /** Slots under a thick card. */ readonly covered: ReadonlySet<string>;
  readonly ghosts: SceneBox | undefined;
  readonly faded: boolean;
  readonly onChoose: (id: string) => void;
  readonly onEnlarge: (focus: Focus) => void;
};

/** One view: drawn again only when something in it, the selection or the ghost changes. */
export const ViewPicture = memo(function ViewPicture({
  view,
  labels,
  current,
  selected,
  lit,
  unconnected,
  covered,
  ghosts,
  faded,
  onChoose,
  onEnlarge,
}: ViewProps) {
  const loose = new Set(unconnected);
  return (
    <g data-view={view.name} data-box={view.box} opacity={faded ? 0.6 : 1}>
      <text className="title" x={view.x} y={view.y - 7}>
        {view.title.toUpperCase()}
      </text>
      {view.shapes.map((shape) => (
        <Shape
          key={shape.solid.id}
          shape={shape}
          view={view}
          current={current}
          chosen={isChosen(shape, selected)}
          lit={!!lit && shape.solid.spot !== null && lit.has(printSpot(shape.solid.spot))}
          loose={!!shape.solid.unit && loose.has(shape.solid.unit.id)}
          covered={shape.solid.what === 'slot' && covered.has(shape.solid.id)}
          onChoose={onChoose}
        />
      ))}
      {ghosts && <GhostShapes view={view} ghosts={ghosts} />}
      {labels.map((label) =>
        label.vertical ? (
          <text
            key={`${label.key}${label.text}`}
            className={label.weight}
            transform={`translate(${label.x + 11} ${label.y + label.height}) rotate(-90)`}
          >
            {label.text}
          </text>
        ) : (
          <text key={`${label.key}${label.text}`} className={label.weight} x={label.x} y={label.y + 11}>
            {label.text}
          </text>
        ),
      )}
      {!view.large && (
        <rect
          role="button"
          tabIndex={0}
          aria-label={`Enlarge the ${view.title.toLowerCase()} view`}
          x={view.x - 4}
          y={view.y - 18}
          width={view.width + 8}
          height={view.height + 22}
          fill="transparent"
          className="stop"
          onClick={() => onEnlarge(view.name)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') onEnlarge(view.name);
          }}
        />
      )}
    </g>
  );
});

const isChosen = (shape: FlatShape, selected: string | null) =>
  selected !== null &&
  ((shape.solid.spot !== null && printSpot(shape.solid.spot) === selected) ||
    (shape.solid.unit?.id === selected && shape.solid.what !== 'shell'));

type ShapeProps = {
  readonly shape: FlatShape;
  readonly view: PlacedView;
  readonly current: string | null;
  readonly chosen: boolean;
  readonly lit: boolean;
  readonly loose: boolean;
  readonly covered: boolean;
  readonly onChoose: (id: string) => void;
};

const Shape = memo(function Shape({ shape, view, current, chosen, lit, loose, covered, onChoose }: ShapeProps) {
  const { solid } = shape;
  const rect = onSheet(view, shape);
  const empty = !solid.unit && solid.what !== 'backplane';
  const classes = [
    'solid',
    solid.what,
    covered ? 'covered' : '',
    empty ? 'empty' : '',
    shape.cut ? 'cut' : '',
    solid.box.assumed && solid.unit ? 'assumed' : '',
    loose ? 'loose' : '',
  ].join(' ');
  const picture = (
    <>
      <rect
        className={classes}
        x={rect.x}
        y={rect.y}
        width={Math.max(1, rect.width)}
        height={Math.max(1, rect.height)}
        style={solid.what === 'cooler' && solid.unit && !chosen ? { fill: 'url(#hatch-cut)' } : undefined}
      />
      {solid.what === 'fan' &&
        view.large &&
        Math.min(rect.width, rect.height) > 24 &&
        Math.abs(rect.width - rect.height) < 3 && (
          <FanBlades x={rect.x + rect.width / 2} y={rect.y + rect.height / 2} r={rect.width / 2 - 3} faint={empty} />
        )}
      {solid.plugs && view.name === 'plan' && <PlugOn rect={rect} end={solid.plugs} scale={view.scale} />}
    </>
  );
  if (!solid.spot || !view.large) return picture;
  const id = printSpot(solid.spot);
  return (
    <g
      role="button"
      className={`stop ${chosen ? 'chosen' : ''} ${lit ? 'lit' : ''}`}
      data-stop={id}
      tabIndex={id === current ? 0 : -1}
      aria-pressed={chosen}
      aria-label={describe(shape)}
      onClick={() => onChoose(id)}
    >
      <title>{describe(shape)}</title>
      {picture}
    </g>
  );
}, samePicture);

/** The plug on a drive (SFF-8482: 33 mm with the power), seen from above, front below. */
const PLUG_MM = { width: 33, depth: 9 };
function PlugOn({
  rect,
  end,
  scale,
}: {
  readonly rect: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly end: 'rear' | 'front';
  readonly scale: number;
}) {
  const width = Math.min(PLUG_MM.width * scale, rect.width * 0.7);
  const depth = PLUG_MM.depth * scale;
  if (rect.width < 12) return null;
  return (
    <rect
      className="plug"
      x={rect.x + (rect.width - width) / 2}
      y={end === 'rear' ? rect.y - depth : rect.y + rect.height}
      width={width}
      height={depth}
      aria-hidden
    />
  );
}

/** Two shapes that look alike need not be drawn again: an edit touches few of the hundreds there are. */
function samePicture(a: ShapeProps, b: ShapeProps): boolean {
  const id = a.shape.solid.id;
  return (
    a.chosen === b.chosen &&
    a.lit === b.lit &&
    a.loose === b.loose &&
    a.covered === b.covered &&
    a.onChoose === b.onChoose &&
    (a.current === id) === (b.current === id) &&
    a.view.x === b.view.x &&
    a.view.y === b.view.y &&
    a.view.scale === b.view.scale &&
    a.view.large === b.view.large &&
    a.shape.xMm === b.shape.xMm &&
    a.shape.yMm === b.shape.yMm &&
    a.shape.widthMm === b.shape.widthMm &&
    a.shape.heightMm === b.shape.heightMm &&
    a.shape.cut === b.shape.cut &&
    a.shape.solid.what === b.shape.solid.what &&
    a.shape.solid.unit?.id === b.shape.solid.unit?.id &&
    a.shape.solid.plugs === b.shape.solid.plugs &&
    a.shape.solid.unit?.part === b.shape.solid.unit?.part &&
    a.shape.solid.box.assumed === b.shape.solid.box.assumed
  );
}

/** What a place is and what is in it, for a reader and for a tooltip. */
function describe({ solid }: FlatShape): string {
  const place = placeName(solid);
  if (!solid.unit) return `${place}, empty`;
  const { part, mark, builtIn } = solid.unit;
  return (
    `${place}: ` +
    `${part.name}${builtIn ? '' : ` (${mark})`}` +
    `${part.kind === 'drive' ? `, ${capacityWords(part.capacityBytes)}` : ''}` +
    `${solid.plugs === 'front' ? ', turned round' : ''}`
  );
}

function FanBlades({
  x,
  y,
  r,
  faint,
}: {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly faint: boolean;
}) {
  const at = (angle: number, radius: number) =>
    `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
  return (
    <g className="dimension" opacity={faint ? 0.4 : 0.75} aria-hidden>
      <circle cx={x} cy={y} r={r} />
      <circle cx={x} cy={y} r={r * 0.3} />
      {Array.from({ length: 7 }, (_, i) => (
        <path key={i} d={`M${at((i * 2 * Math.PI) / 7, r * 0.3)}L${at((i * 2 * Math.PI) / 7 + 0.5, r)}`} />
      ))}
    </g>
  );
}

/** Units of the ghost scene that are not in the drawing yet, dashed on tape. */
function GhostShapes({ view, ghosts }: { readonly view: PlacedView; readonly ghosts: SceneBox }) {
  const here = new Map(view.shapes.map((shape) => [shape.solid.id, shape.solid.unit?.part.id]));
  const size = viewSize(view.name, ghosts.size);
  if (Math.abs(size.widthMm * view.scale - view.width) > 1) return null;
  const fresh = projectBox(view.name, ghosts).filter(
    (shape) =>
      shape.solid.unit && shape.solid.what !== 'shell' && here.get(shape.solid.id) !== shape.solid.unit.part.id,
  );
  // Eight drives one behind the other are one rectangle to the eye.
  const seen = new Set<string>();
  const apart = fresh.filter((shape) => {
    const place = [shape.xMm, shape.yMm, shape.widthMm, shape.heightMm].join();
    return !seen.has(place) && !!seen.add(place);
  });
  const there = new Map(ghosts.solids.map((solid) => [solid.id, solid]));
  const gone = view.shapes.filter(({ solid }) => isGone(solid, there.get(solid.id)));
  return (
    <g aria-hidden>
      {gone.map((shape) => {
        const rect = onSheet(view, shape);
        return (
          <rect
            key={shape.solid.id}
            className="gone"
            x={rect.x}
            y={rect.y}
            width={Math.max(2, rect.width)}
            height={Math.max(2, rect.height)}
          />
        );
      })}
      {apart.map((shape) => {
        const rect = onSheet(view, shape);
        return (
          <rect
            key={shape.solid.id}
            className="ghost"
            x={rect.x}
            y={rect.y}
            width={Math.max(2, rect.width)}
            height={Math.max(2, rect.height)}
          />
        );
      })}
    </g>
  );
}

/**
 * What would be gone: a cage or wall with what was in it, a part from its place, one of another size in the place of
 * what comes.
 */
function isGone(now: Solid, then: Solid | undefined): boolean {
  if (!then) return true;
  if (!now.spot || !now.unit) return false;
  if (!then.unit) return true;
  const other = (['widthMm', 'heightMm', 'depthMm'] as const).some(
    (side) => Math.abs(now.box[side] - then.box[side]) > 0.5,
  );
  return now.unit.part.id !== then.unit.part.id && other;
}
