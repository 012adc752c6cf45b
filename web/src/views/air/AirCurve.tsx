import type { OverAir } from '@inch-tower/core';

const HEIGHT = 170;
const INSET = { left: 34, right: 96, top: 14, bottom: 30 };
type Curve = { readonly name: string; readonly over: OverAir; readonly isMine: boolean };
type Held = { readonly roomC: number; readonly earDb: number };

/** Noise at work by the air in the room, with the hottest drive held; a line ends where no speed holds it. */
export function AirCurve({ curves, width }: { readonly curves: readonly Curve[]; readonly width: number }) {
  const inner = { width: width - INSET.left - INSET.right, height: HEIGHT - INSET.top - INSET.bottom };
  if (inner.width < 120) return null;
  const all = curves.flatMap(({ over }) => over.points);
  const [from, to] = [Math.min(...all.map(({ roomC }) => roomC)), Math.max(...all.map(({ roomC }) => roomC))];
  const mostDb = Math.max(30, ...all.map(({ earDb }) => earDb ?? 0)) * 1.08;
  const x = (roomC: number) => INSET.left + (inner.width * (roomC - from)) / (to - from);
  const y = (db: number) => INSET.top + inner.height * (1 - Math.max(0, db) / mostDb);
  const heldOf = ({ over }: Curve): readonly Held[] =>
    over.points.flatMap(({ roomC, earDb }) => (earDb === null ? [] : [{ roomC, earDb }]));
  return (
    <svg className="drawing" width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden>
      <path className="dimension" d={`M${INSET.left} ${INSET.top}V${y(0)}H${x(to)}`} />
      {[0, 10, 20, 30, 40, 50, 60, 70, 80]
        .filter((db) => db <= mostDb)
        .map((db) => (
          <text key={db} className="faint" x={INSET.left - 6} y={y(db) + 4} textAnchor="end">
            {db}
          </text>
        ))}
      {[10, 15, 20, 25, 30, 35, 40].map((roomC) => (
        <g key={roomC}>
          <path className="dimension" d={`M${x(roomC)} ${y(0)}v4`} />
          <text className="faint" x={x(roomC)} y={y(0) + 16} textAnchor="middle">
            {roomC}
          </text>
        </g>
      ))}
      <text className="faint" x={x(to) + 8} y={y(0) + 16}>
        °C room
      </text>
      {curves.map((curve) => {
        const held = heldOf(curve);
        const last = held.at(-1);
        if (!last) return null;
        const isShort = last.roomC < to - 0.01;
        return (
          <g key={curve.name}>
            <path
              d={held.map(({ roomC, earDb }, i) => `${i === 0 ? 'M' : 'L'}${x(roomC)} ${y(earDb)}`).join('')}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={curve.isMine ? 2.2 : 1.4}
              strokeDasharray={curve.isMine ? undefined : '5 4'}
            />
            {isShort && <path className="dimension" d={`M${x(last.roomC)} ${y(last.earDb) - 6}v12`} />}
          </g>
        );
      })}
      {labelsOf(curves, heldOf, y).map(({ name, atY, from: fromY, roomC, isMine }) => (
        <g key={name}>
          <path className="dimension" d={`M${x(roomC) + 4} ${fromY}L${x(to) + 4} ${atY - 4}`} />
          <text x={x(to) + 8} y={atY} className={isMine ? '' : 'faint'}>
            {name.length > 12 ? `${name.slice(0, 11)}…` : name}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Names at the right, each at the end of its line, moved apart where two would meet. */
function labelsOf(
  curves: readonly Curve[],
  heldOf: (curve: Curve) => readonly Held[],
  y: (db: number) => number,
): { name: string; atY: number; from: number; roomC: number; isMine: boolean }[] {
  const labels = curves.flatMap((curve) => {
    const last = heldOf(curve).at(-1);
    return last
      ? [{ name: curve.name, atY: y(last.earDb) + 4, from: y(last.earDb), roomC: last.roomC, isMine: curve.isMine }]
      : [];
  });
  labels.sort((a, b) => a.atY - b.atY);
  return labels.map((one, i) => (i > 0 ? { ...one, atY: Math.max(one.atY, labels[i - 1]!.atY + 15) } : one));
}
