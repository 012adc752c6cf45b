import { useId } from 'react';
import type { Figure } from '@inch-tower/core';

type Props = {
  readonly figure: Figure | undefined;
  readonly ghost: Figure | undefined;
  readonly limit: number | undefined;
  readonly off: boolean;
  readonly soft: boolean;
  readonly label: string;
};

const STEPS = [1, 2, 5];

/** Tick distance that gives about sixteen ticks over a span. */
export function tickStep(span: number): number {
  const raw = span / 16;
  const ten = 10 ** Math.floor(Math.log10(raw));
  return (STEPS.find((step) => step * ten >= raw) ?? 10) * ten;
}

/** The piece of tape in sight: it slides so that hook, range, mark and ghost are all on it. */
export function tapeWindow(values: readonly number[]): { from: number; to: number; step: number } {
  const lo = Math.min(...values);
  const hi = Math.max(...values);
  const span = Math.max(hi - lo, Math.abs(hi) * 0.5, 1);
  const middle = (lo + hi) / 2;
  // A little before zero, so that a hook at zero is whole.
  const from = Math.max(-0.06 * span, middle - span * 0.75);
  const to = Math.max(from + span * 1.5, hi * 1.02);
  return { from, to, step: tickStep(to - from) };
}

/** A strip of measuring tape: the likely value a hook, low to high a band, the brief's limit a pencil mark. */
export function Tape({ figure, ghost, limit, off, soft, label }: Props) {
  const clip = useId();
  const values = [figure?.lo, figure?.hi, limit, ghost?.value].filter(
    (value): value is number => value !== undefined && Number.isFinite(value),
  );
  const { from, to, step } = tapeWindow(values.length ? values : [0, 10]);
  const x = (value: number) => 2 + ((value - from) / (to - from)) * 196;
  const ticks: number[] = [];
  for (let i = Math.max(0, Math.ceil(from / step)); i * step <= to; i++) ticks.push(i);
  const mark = limit !== undefined ? x(limit) : null;
  return (
    <svg
      viewBox="0 0 200 36"
      className="block h-9 w-full max-sm:hidden"
      preserveAspectRatio="none"
      role="img"
      aria-label={limit === undefined ? `${label} on its tape` : `${label} on its tape, mark at ${limit}`}
    >
      <clipPath id={clip}>
        <rect x="1" y="0" width="198" height="36" />
      </clipPath>
      <rect
        x="1"
        y="3"
        width="198"
        height="16"
        fill="var(--tape)"
        stroke="var(--ink)"
        strokeWidth="0.8"
        vectorEffect="non-scaling-stroke"
      />
      <g clipPath={`url(#${clip})`}>
        {figure && figure.hi > figure.lo && (
          <rect
            x={x(figure.lo)}
            y="11"
            width={Math.max(1.5, x(figure.hi) - x(figure.lo))}
            height="8"
            fill="#22262a"
            opacity="0.3"
          />
        )}
        {ticks.map((i) => (
          <path
            key={i}
            d={`M${x(i * step)} 3v${i % 5 ? 4.5 : 9}`}
            stroke="var(--tape-ink)"
            strokeWidth={i % 5 ? 0.7 : 1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {ghost && (
          <path
            d={`M${x(ghost.value) - 4} 27l4 -8 4 8z`}
            fill="none"
            stroke="var(--ink)"
            strokeDasharray="2 1.5"
            vectorEffect="non-scaling-stroke"
          />
        )}
        {figure && <path d={`M${x(figure.value) - 4} 27l4 -8 4 8z`} fill="var(--ink)" />}
        {mark !== null && (
          <path
            d={`M${mark} 0v23`}
            stroke={off ? (soft ? 'var(--warn)' : 'var(--bad)') : 'var(--ink)'}
            strokeWidth="2"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </g>
    </svg>
  );
}
