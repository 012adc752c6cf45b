import { memo } from 'react';
import { dataDrives, type Figure, type FigureId, type Share } from '@inch-tower/core';
import { selectUnits } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { figureNumber, unitWords } from '../../../words/format';
import { markWords } from '../../build/markWords';
import { TAPES } from '../../build/tapesOf';
import { useBench } from '../hooks/benchContext';
import { useShares } from '../hooks/useShares';

const OF = ['power.idleWallW', 'power.peakWallW', 'sound.earIdleDb', 'cost.now'] as const satisfies readonly FigureId[];
type Parted = (typeof OF)[number];
const isParted = (id: FigureId): id is Parted => (OF as readonly FigureId[]).includes(id);

const ROW = 27;
const HEAD = 42;
const MOST = 5;
/** Narrower than this the figures stand under the heading. */
const NARROW = 280;
const CHAR = 6.8;
/** Below this the corner says nothing. */
const LEAST = { width: 200, height: HEAD + 2 * ROW };

type Area = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** The figure that is asked for, else the first past its limit, else the watts at rest. */
function useChosen(): Parted {
  const { figure } = useBench();
  const build = useAppSelector((state) => state.bench.build);
  const figures = useAppSelector((state) => state.bench.view?.figures);
  const units = useAppSelector(selectUnits);
  if (figure && isParted(figure)) return figure;
  const isPast = (id: Parted): boolean => {
    const own = figures?.[id];
    const limit = build && TAPES.find((tape) => tape.id === id)?.limit(build, dataDrives(units).length);
    const mark = own && typeof limit === 'number' ? markWords(own, limit, false) : null;
    return mark?.tone === 'bad';
  };
  return OF.find(isPast) ?? OF[0];
}

/** The free corner of the sheet: what a figure is made of, the five parts that give most, each leading to its part. */
export function MadeOf({ x, y, width: room, height }: Area) {
  const chosen = useChosen();
  const ui = useBench();
  const figures = useAppSelector((state) => state.bench.view?.figures);
  const shares = useShares(chosen);
  const width = Math.min(room, 330);
  if (width < LEAST.width || height < LEAST.height || !OF.some((id) => figures?.[id])) return null;
  const isNarrow = width < NARROW;
  const head = isNarrow ? HEAD + 16 : HEAD;
  const lines = Math.min(MOST, Math.floor((height - head) / ROW));
  const rows = shares.slice(0, shares.length > lines ? lines - 1 : lines);
  const rest = shares.slice(rows.length);
  const figure = figures?.[chosen];
  return (
    <g data-made-of={chosen}>
      <text className="title" x={x} y={y + 8}>
        MADE OF
      </text>
      <Choices x={isNarrow ? x : x + 76} y={isNarrow ? y + 28 : y + 8} chosen={chosen} onChoose={ui.setFigure} />
      {chosen === 'sound.earIdleDb' && (
        <text className="faint" x={x + width} y={isNarrow ? y + 8 : y + 24} textAnchor="end">
          without it
        </text>
      )}
      {figure &&
        rows.map((share, i) => (
          <Row
            key={`${share.label} ${share.units[0]}`}
            share={share}
            figure={figure}
            id={chosen}
            x={x}
            y={y + head + i * ROW}
            width={width}
          />
        ))}
      {shares.length === 0 && (
        <text className="faint" x={x} y={y + head}>
          nothing here adds to it
        </text>
      )}
      {figure && rest.length > 0 && (
        <text className="faint" x={x} y={y + head + rows.length * ROW}>
          {rest.length} more
          {chosen === 'sound.earIdleDb'
            ? ''
            : `: ${figureNumber(
                chosen,
                rest.reduce((sum, { value }) => sum + value, 0),
              )} ${unitWords(figure)}`}
        </text>
      )}
    </g>
  );
}

/** The figures that have parts to name, as words in a line. */
const Choices = memo(function Choices({
  x,
  y,
  chosen,
  onChoose,
}: {
  readonly x: number;
  readonly y: number;
  readonly chosen: Parted;
  readonly onChoose: (id: FigureId) => void;
}) {
  const words = OF.map((id) => TAPES.find((tape) => tape.id === id)!.short.toLowerCase());
  return OF.map((id, i) => {
    const word = words[i]!;
    const at = x + words.slice(0, i).reduce((sum, one) => sum + one.length * CHAR + 16, 0);
    return (
      <g
        key={id}
        role="button"
        tabIndex={0}
        aria-label={`Made of: ${word}`}
        aria-pressed={id === chosen}
        className="cursor-pointer"
        onClick={() => onChoose(id)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          // The drawing's own keys would act on the place that is chosen.
          event.preventDefault();
          event.stopPropagation();
          onChoose(id);
        }}
      >
        <rect x={at - 5} y={y - 16} width={word.length * CHAR + 10} height={24} fill="transparent" />
        <text className={id === chosen ? '' : 'faint'} x={at} y={y}>
          {word}
        </text>
        {id === chosen && <path className="chosen-line" d={`M${at} ${y + 5}h${word.length * CHAR}`} />}
      </g>
    );
  });
});

const Row = memo(function Row({
  share,
  figure,
  id,
  x,
  y,
  width,
}: {
  readonly share: Share;
  readonly figure: Figure;
  readonly id: Parted;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}) {
  const ui = useBench();
  const number = `${id === 'sound.earIdleDb' ? '−' : ''}${figureNumber(id, share.value)} ${unitWords(figure)}`;
  const room = Math.floor(width / CHAR) - number.length - 2;
  const label = share.label.length > room ? `${share.label.slice(0, room - 1)}…` : share.label;
  const [unit] = share.units;
  const isChosen = unit !== undefined && ui.selected === unit;
  const words = `${share.label}: ${number}${id === 'sound.earIdleDb' ? ' without it' : ''}`;
  const act = unit
    ? { role: 'button', tabIndex: -1, className: 'cursor-pointer', onClick: () => ui.select(unit, { pane: 'sheet' }) }
    : {};
  return (
    <g {...act} aria-label={words} data-share={share.label}>
      <rect x={x - 4} y={y - 15} width={width + 8} height={ROW - 2} fill={isChosen ? 'var(--wash)' : 'transparent'}>
        <title>{words}</title>
      </rect>
      <text x={x} y={y}>
        {label}
      </text>
      <text x={x + width} y={y} textAnchor="end">
        {number}
      </text>
      <path className="share-whole" d={`M${x} ${y + 6}h${width}`} />
      <path className="share-part" d={`M${x} ${y + 6}h${Math.max(1, width * share.of)}`} />
    </g>
  );
});
