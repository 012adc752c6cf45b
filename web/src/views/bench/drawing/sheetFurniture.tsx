import { memo } from 'react';
import type { Brief, Build, SceneBox } from '@inch-tower/core';
import { BALLOON_R, type Balloon } from '../../../drawing/balloons';
import { RULER, type PlacedView } from '../../../drawing/sheetLayout';
import type { TaggedSnag } from '../../../worker/messages';
import { countWords, mmWords } from '../../../words/format';

const INCH_MM = 25.4;
/** CSS defines 96 px to the inch. */
const PX_PER_MM = 96 / INCH_MM;

export const Hatches = memo(() => (
  <defs>
    <pattern id="hatch-bad" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="6" height="6" fill="var(--white)" />
      <path d="M0 0v6" stroke="var(--bad)" strokeWidth="1.2" />
    </pattern>
    <pattern id="hatch-cut" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="5" height="5" fill="var(--white)" />
      <path d="M0 0v5" stroke="var(--ink)" strokeWidth="0.5" opacity="0.35" />
    </pattern>
  </defs>
));
Hatches.displayName = 'Hatches';

/** Marks of a ruler: `mm` apart, numbered in `unit`, every so many with a number; long ones are whole units. */
type Scale = { readonly unit: 'in' | 'cm'; readonly mm: number; readonly parts: number };
const INCHES: Scale = { unit: 'in', mm: INCH_MM, parts: 4 };
const CENTIMETRES: Scale = { unit: 'cm', mm: 10, parts: 2 };
/** Inches for who lives with them, centimetres for everybody else. */
const rulerFor = (language: string): Scale => (/^(en-(US|LR)|my)\b/i.test(language) ? INCHES : CENTIMETRES);
const NUMBERED = [1, 2, 5, 10, 20, 50, 100, 200];
const NUMBER_PX = 26;
const FINE_PX = 4;

/** Rulers along the top and the left in the reader's unit, zero at the first view's corner. */
export const Rulers = memo(function Rulers({
  width,
  height,
  originX,
  originY,
  scale,
}: {
  readonly width: number;
  readonly height: number;
  readonly originX: number;
  readonly originY: number;
  readonly scale: number;
}) {
  const { unit, mm, parts } = rulerFor(navigator.language);
  const px = mm * scale;
  const every = NUMBERED.find((one) => one * px >= NUMBER_PX) ?? NUMBERED.at(-1)!;
  const fine = px / parts >= FINE_PX;
  const step = fine ? 1 : px >= FINE_PX ? parts : parts * every;
  const marks = (origin: number, end: number) => {
    const list: number[] = [];
    for (let i = 0; origin + (i * px) / parts < end; i += step) list.push(i);
    return list;
  };
  const length = (i: number) => (i % (parts * every) === 0 ? 10 : i % parts === 0 ? 7 : 4);
  return (
    <g aria-hidden>
      <path className="ruler" d={`M${RULER} ${height}V22H${width}`} />
      <text className="ruler-number" x={3} y={15}>
        {unit}
      </text>
      {marks(originX, width - 2).map((i) => {
        const x = originX + (i * px) / parts;
        return (
          <g key={`x${i}`}>
            <path className="ruler-tick" d={`M${x} 22v-${length(i)}`} />
            {i % (parts * every) === 0 && x < width - 16 && (
              <text className="ruler-number" x={x + 2} y={11}>
                {i / parts}
              </text>
            )}
          </g>
        );
      })}
      {marks(originY, height - 2).map((i) => {
        const y = originY + (i * px) / parts;
        return (
          <g key={`y${i}`}>
            <path className="ruler-tick" d={`M${RULER} ${y}h-${length(i)}`} />
            {i % (parts * every) === 0 && y < height - 14 && (
              <text className="ruler-number" x={2} y={y + 11}>
                {i / parts}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** Outer dimensions; where the brief limits one, the room there is stands beside it, vermilion where it is passed. */
export function Dimensions({
  views,
  brief,
}: {
  readonly views: readonly PlacedView[];
  readonly brief: Brief | undefined;
}) {
  const large = views.filter((view) => view.large);
  const isAlone = large.length === 1;
  const lines = large.flatMap((view) => {
    const shell = view.shapes.find((shape) => shape.solid.what === 'shell');
    if (!shell) return [];
    const wide = view.name === 'plan' || view.name === 'rear';
    return [
      ...(wide || isAlone
        ? [
            {
              key: `${view.box} ${view.name}-w`,
              x1: view.x,
              y1: view.y + view.height + 13,
              x2: view.x + view.width,
              y2: view.y + view.height + 13,
              mm: shell.widthMm,
              room: brief?.maxWidthMm,
            },
          ]
        : []),
      ...(view.name === 'plan' || view.name === 'front' || isAlone
        ? [
            {
              key: `${view.box} ${view.name}-h`,
              x1: view.x - 13,
              y1: view.y,
              x2: view.x - 13,
              y2: view.y + view.height,
              mm: shell.heightMm,
              room: view.name === 'plan' ? brief?.maxDepthMm : brief?.maxHeightMm,
            },
          ]
        : []),
    ];
  });
  return (
    <g aria-hidden>
      {lines.map(({ key, ...line }) => (
        <Dimension key={key} {...line} />
      ))}
    </g>
  );
}

const Dimension = memo(function Dimension({
  x1,
  y1,
  x2,
  y2,
  mm,
  room,
}: {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly mm: number;
  readonly room: number | undefined;
}) {
  const flat = y1 === y2;
  const tick = (x: number, y: number) => `M${x - 3} ${y + 3}l6 -6`;
  const over = room !== undefined && mm > room;
  const text =
    room === undefined
      ? mmWords(mm)
      : over
        ? `${mmWords(mm)}, ${Math.round((mm - room) * 10) / 10} over`
        : `${mmWords(mm)} of ${mmWords(room)}`;
  const ink = over ? { fill: 'var(--bad)' } : {};
  const half = text.length * 3.4;
  return (
    <>
      <path
        className="dimension"
        style={over ? { stroke: 'var(--bad)' } : {}}
        d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`}
      />
      {flat ? (
        <>
          <rect x={(x1 + x2) / 2 - half - 3} y={y1 - 7} width={half * 2 + 6} height={14} fill="var(--sheet)" />
          <text x={(x1 + x2) / 2} y={y1 + 4} textAnchor="middle" style={ink}>
            {text}
          </text>
        </>
      ) : (
        <g transform={`translate(${x1} ${(y1 + y2) / 2}) rotate(-90)`}>
          <rect x={-half - 3} y={-7} width={half * 2 + 6} height={14} fill="var(--sheet)" />
          <text x={0} y={4} textAnchor="middle" style={ink}>
            {text}
          </text>
        </g>
      )}
    </>
  );
});

/** The title block (ISO 7200): name, size, scale, date of the sheet's data, snags. */
export function TitleBlock({
  x,
  y,
  width,
  build,
  boxes,
  scale,
  snags,
}: {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly build: Build;
  readonly boxes: readonly SceneBox[];
  readonly scale: number;
  readonly snags: readonly TaggedSnag[];
}) {
  const blockers = snags.filter((snag) => snag.severity === 'blocker').length;
  const room = Math.floor((width - 16) / 6.8);
  const cut = (text: string) => (text.length > room ? `${text.slice(0, Math.max(1, room - 1))}…` : text);
  const [one] = boxes;
  const size =
    one && boxes.length === 1
      ? `${one.size.widthMm} × ${one.size.heightMm} × ${one.size.depthMm} mm`
      : countWords(boxes.length, 'box', 'boxes');
  const drawn = `scale 1 : ${(PX_PER_MM / scale).toFixed(1)}`;
  const found = snags.length ? `${countWords(snags.length, 'snag')}, ${blockers} block` : 'no snags';
  const name = boxes.map(({ unit }) => unit.part.name).join(', ');
  // Two columns where all of it has room, else what a print cannot do without.
  const isWide = Math.max(size.length, name.length) + Math.max(drawn.length, found.length) + 4 <= room;
  const middle = x + Math.max(size.length, name.length) * 6.8 + 20;
  return (
    <g aria-hidden>
      <path
        className="block"
        d={
          `M${x} ${y}h${width}v78h-${width}zM${x} ${y + 26}h${width}M${x} ${y + 52}h${width}` +
          (isWide ? `M${middle} ${y + 26}v52` : '')
        }
      />
      <text x={x + 8} y={y + 17} style={{ fontWeight: 500 }}>
        {cut(build.name || 'Unnamed')}
      </text>
      <text x={x + 8} y={y + 43}>
        {cut(size)}
      </text>
      <text x={x + 8} y={y + 69}>
        {cut(isWide ? name : drawn)}
      </text>
      {isWide && (
        <>
          <text x={middle + 8} y={y + 43}>
            {drawn}
          </text>
          <text x={middle + 8} y={y + 69}>
            {found}
          </text>
        </>
      )}
    </g>
  );
}

/** Numbered balloons with leader lines, keyed to the side pane. */
export const Balloons = memo(function Balloons({
  balloons,
  onChoose,
}: {
  readonly balloons: readonly Balloon[];
  readonly onChoose: (key: string) => void;
}) {
  return (
    <>
      {balloons.map((balloon) => {
        const [nx, ny] = balloon.bend ?? [balloon.tx, balloon.ty];
        const reach = Math.hypot(nx - balloon.x, ny - balloon.y) || 1;
        const fx = balloon.x + ((nx - balloon.x) / reach) * BALLOON_R;
        const fy = balloon.y + ((ny - balloon.y) / reach) * BALLOON_R;
        const bend = balloon.bend ? `L${nx} ${ny}` : '';
        const tone = `tagged-${balloon.severity}`;
        return (
          <g
            key={balloon.key}
            role="button"
            tabIndex={-1}
            aria-label={`Snag ${balloon.n}, ${balloon.severity}`}
            className="cursor-pointer"
            onClick={() => onChoose(balloon.key)}
          >
            <path className={`leader ${tone}`} d={`M${fx} ${fy}${bend}L${balloon.tx} ${balloon.ty}`} fill="none" />
            <circle
              className={tone}
              cx={balloon.tx}
              cy={balloon.ty}
              r={2.4}
              fill="currentColor"
              style={{
                color:
                  balloon.severity === 'blocker'
                    ? 'var(--bad)'
                    : balloon.severity === 'caution'
                      ? 'var(--warn)'
                      : 'var(--mid)',
              }}
            />
            <circle className={`balloon ${tone}`} cx={balloon.x} cy={balloon.y} r={BALLOON_R} />
            <text className={tone} x={balloon.x} y={balloon.y + 4} textAnchor="middle" style={{ fontWeight: 500 }}>
              {balloon.n}
            </text>
          </g>
        );
      })}
    </>
  );
});
