import { memo } from 'react';
import type { Figure, FigureId } from '@inch-tower/core';

type Props = {
  readonly id: FigureId;
  readonly figure: Figure | undefined;
  readonly ghost: Figure | undefined;
  readonly limit: number | undefined;
  /** The class of the limit's number, by verdict. */ readonly tone: string;
  readonly label: string;
  /** Other values told on the same tape, each with its words. */ readonly pencils?: readonly Pencil[];
};
export type Pencil = { readonly value: number; readonly words: string };

const ENDS = [1, 1.5, 2, 3, 4, 5, 6, 8, 10];
const STEPS = [1, 2, 5, 10];
const MOST_NUMBERS = 5;
/** Past the last value, so that a hook there is whole and has room for its limit's number. */
const BEYOND = 1.12;

const leastOf = (choices: readonly number[], least: number): number => {
  const ten = 10 ** Math.floor(Math.log10(least));
  return (choices.find((one) => one * ten >= least * (1 - 1e-9)) ?? 10) * ten;
};

/**
 * A tape from zero, which stays where it is, to a round end past all that is on it; numbers stand `major` apart, ticks
 * `minor`.
 */
export function tapeScale(
  values: readonly number[],
  isCount = false,
): {
  readonly to: number;
  readonly major: number;
  readonly minor: number;
} {
  const to = leastOf(ENDS, Math.max(isCount ? 4 : 1, ...values) * BEYOND);
  const major = leastOf(STEPS, to / MOST_NUMBERS);
  const isTwo = Math.round(major / 10 ** Math.floor(Math.log10(major))) === 2;
  return { to, major, minor: isCount ? Math.max(1, major / (isTwo ? 4 : 5)) : major / (isTwo ? 4 : 5) };
}

const ROUND = new Intl.NumberFormat('en', { maximumFractionDigits: 2, useGrouping: true });
/** A number on the tape: without zeros behind the point, thousands apart. */
const plain = (value: number): string => ROUND.format(value).replace(/,/g, '\u202f');

/** As narrow as a tape gets, and as wide as a digit, in px: a number that the limit's mark would strike is left out. */
const NARROW_PX = 146;
const DIGIT_PX = 6.8;
/** A tape of a page 900 px wide, the narrowest that has tapes. */
const LEAST_PX = 126;
const liesOver = (words: string, at: number, mark: number | undefined): boolean =>
  mark !== undefined && mark >= at - 0.01 && mark <= at + (words.length * DIGIT_PX + 4) / NARROW_PX;

const TOP = 2;
const HIGH = 18;
const shareOf = (value: number, to: number): number => Math.min(1, Math.max(0, value / to));
const percent = (share: number): string => `${(share * 100).toFixed(2)}%`;

/** A strip of measuring tape: the likely value a hook, low to high a band, the brief's limit a mark with its number. */
export function Tape({ id, figure, ghost, limit, tone, label, pencils = [] }: Props) {
  const values = [figure?.hi, limit, ghost?.value, ...pencils.map(({ value }) => value)].filter(
    (value): value is number => value !== undefined && Number.isFinite(value),
  );
  const { to, major, minor } = tapeScale(values, id === 'drives.room');
  const share = (value: number) => shareOf(value, to);
  const at = (value: number) => percent(share(value));
  return (
    <svg
      className="tape block h-[34px] w-full max-md:hidden"
      role="img"
      aria-label={
        (limit === undefined ? `${label} on its tape` : `${label} on its tape, mark at ${limit}`) +
        pencils.map(({ words }) => `, ${words}`).join('')
      }
    >
      <rect className="tape-body" x="0.5" y={TOP} width="100%" height={HIGH} style={{ width: 'calc(100% - 1px)' }} />
      {figure && figure.hi > figure.lo && (
        <rect className="tape-band" x={at(figure.lo)} y={TOP + HIGH - 5} width={at(figure.hi - figure.lo)} height={5} />
      )}
      <Ticks to={to} major={major} minor={minor} mark={limit} isNumbered={figure !== undefined} />
      {pencils.map(({ value, words }) => (
        <line key={words} className="tape-pencil" x1={at(value)} x2={at(value)} y1={TOP + HIGH - 7} y2={TOP + HIGH}>
          <title>{words}</title>
        </line>
      ))}
      {ghost && <Hook x={at(ghost.value)} className="tape-ghost" />}
      {figure && <Hook x={at(figure.value)} className="tape-hook" />}
      {limit !== undefined && (
        <>
          <line className="tape-limit" x1={at(limit)} x2={at(limit)} y1={0} y2={TOP + HIGH + 3} />
          <Limit limit={limit} share={share(limit)} hook={figure && share(figure.value)} tone={tone} x={at(limit)} />
        </>
      )}
    </svg>
  );
}

/** What stands still on a tape while its hook moves: ticks and numbers, less one that the limit's mark would strike. */
const Ticks = memo(function Ticks({
  to,
  major,
  minor,
  mark,
  isNumbered,
}: {
  readonly to: number;
  readonly major: number;
  readonly minor: number;
  readonly mark: number | undefined;
  readonly isNumbered: boolean;
}) {
  const at = (value: number) => percent(shareOf(value, to));
  const steps = (step: number) => Array.from({ length: Math.floor(to / step + 1e-9) }, (_, i) => (i + 1) * step);
  // Below 1024 px every other number goes where they would touch.
  const isDense = (plain(to).length * DIGIT_PX + 4) / LEAST_PX > shareOf(major, to);
  const struck = (value: number) =>
    liesOver(plain(value), shareOf(value, to), mark === undefined ? undefined : shareOf(mark, to));
  return (
    <>
      {steps(minor).map((value) => (
        <line key={value} className="tape-tick" x1={at(value)} x2={at(value)} y1={TOP} y2={TOP + 4} />
      ))}
      {steps(major).map((value, i) => (
        <g key={value}>
          <line className="tape-tick" x1={at(value)} x2={at(value)} y1={TOP} y2={TOP + 8} />
          {isNumbered && value < to && !struck(value) && (
            <text
              className={`tape-number ${i % 2 === 0 && isDense ? 'max-lg:hidden' : ''}`}
              x={at(value)}
              y={TOP + 11}
              dx={2}
            >
              {plain(value)}
            </text>
          )}
        </g>
      ))}
    </>
  );
});

/** Under the tape: what it reads. */
const Hook = ({ x, className }: { readonly x: string; readonly className: string }) => (
  <svg x={x} y={TOP + HIGH} className="overflow-visible" width="1" height="9">
    <path className={className} d="M-4.5 8.5l4.5 -8 4.5 8z" />
  </svg>
);

/** The limit's number beside its mark, on the side where the hook is not. */
function Limit({
  limit,
  share,
  hook,
  tone,
  x,
}: {
  readonly limit: number;
  readonly share: number;
  readonly hook: number | undefined;
  readonly tone: string;
  readonly x: string;
}) {
  // The cell has a little room beyond the tape.
  const hasRoom = share + (plain(limit).length * DIGIT_PX + 6) / NARROW_PX < 1.08;
  const isLeft = !hasRoom || (hook !== undefined && hook > share && share > 0.18);
  // A hook that hangs where the number would stand pushes it to its far side.
  const wide = (plain(limit).length * DIGIT_PX + 10) / NARROW_PX;
  const isPushed = isLeft && hook !== undefined && hook < share && hook > share - wide;
  return (
    <text
      className={`tape-limit-number ${tone}`}
      x={isPushed ? percent(hook) : x}
      y={TOP + HIGH + 12}
      dx={isPushed ? -8 : isLeft ? -4 : 4}
      textAnchor={isLeft ? 'end' : 'start'}
    >
      {plain(limit)}
    </text>
  );
}
