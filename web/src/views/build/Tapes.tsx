import { memo, useContext, useEffect, useMemo, useState, type ComponentType, type ReactNode } from 'react';
import { Link } from 'react-router';
import { dataDrives, type Figure, type FigureId, type HeardTicks } from '@inch-tower/core';
import { selectUnits } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { countWords, figureNumber, rangeWords, unitWords } from '../../words/format';
import { BenchContext } from '../bench/hooks/benchContext';
import { fetchedSoon } from './fetchedSoon';
import { markWords } from './markWords';
import { Tape, type Pencil } from './Tape';
import type { WorkingProps } from './TapeWorking';
import { TAPES, WANTS_MORE, type TapeOf } from './tapesOf';

export function Tapes() {
  const build = useAppSelector((state) => state.bench.build);
  const figures = useAppSelector((state) => state.bench.view?.figures);
  const heard = useAppSelector((state) => state.bench.view?.heard);
  const isOld = useAppSelector((state) => state.bench.view !== null && state.bench.view.rev !== state.bench.rev);
  const ghost = useContext(BenchContext)?.ghost;
  const units = useAppSelector(selectUnits);
  const pencils = useMemo(() => pencilsOf(heard), [heard]);
  useEffect(() => working.soon(), []);
  if (!build) return null;
  const drives = dataDrives(units).length;
  return (
    <section
      aria-label="Tapes"
      id="tapes"
      tabIndex={-1}
      className={
        'grid shrink-0 grid-cols-2 border-b border-line sm:grid-cols-3 md:grid-cols-6 ' + `${isOld ? 'of-earlier' : ''}`
      }
    >
      {TAPES.map((tape) => (
        <TapeCell
          key={tape.id}
          build={build.id}
          tape={tape}
          label={tape.label(build)}
          figure={figures?.[tape.id]}
          ghost={ghost?.figures?.[tape.id]}
          pencils={tape.id === 'sound.earIdleDb' ? pencils : NO_PENCILS}
          limit={tape.limit(build, drives)}
          aside={tape.id === 'drives.room' ? aside(figures?.['bays.free'], figures?.['ports.free']) : undefined}
        />
      ))}
    </section>
  );
}

const aside = (bays: Figure | undefined, ports: Figure | undefined) =>
  bays && ports ? `${countWords(bays.value, 'bay')}, ${countWords(ports.value, 'port')}` : undefined;

const NO_PENCILS: readonly Pencil[] = [];
/** Noise at work and on the hottest day. */
const pencilsOf = (heard: HeardTicks | null | undefined): readonly Pencil[] =>
  heard
    ? [
        { value: heard.workingDb, words: `at work ${heard.workingDb.toFixed(0)} dB(A)` },
        { value: heard.hotDb, words: `at work on the hottest day ${heard.hotDb.toFixed(0)} dB(A)` },
      ]
    : NO_PENCILS;

const SET = 'inline-flex min-h-6 items-center whitespace-nowrap underline decoration-dotted max-[1100px]:hidden';

type Working = ComponentType<WorkingProps>;
const working = fetchedSoon(async (): Promise<Working> => (await import('./TapeWorking')).default);
const NUMBER = 'plain flex min-h-6 w-full items-baseline gap-1.5 overflow-hidden whitespace-nowrap hover:underline';

type NumberProps = {
  readonly id: FigureId;
  readonly label: string;
  /** What a screen reader says of it. */ readonly told: string;
  readonly isOff: boolean;
  readonly children: ReactNode;
};
/** A number that opens into its working. */
function NumberButton({ id, label, told, isOff, children }: NumberProps) {
  const [Opened, setOpened] = useState<Working | null>(null);
  if (Opened && !isOff)
    return (
      <Opened id={id} label={label} told={told} className={NUMBER}>
        {children}
      </Opened>
    );
  return (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-expanded={false}
      aria-label={told}
      className={NUMBER}
      disabled={isOff}
      onClick={() => {
        working.get().then(
          (loaded) => setOpened(() => loaded),
          // It cannot be had now: the number stays, and the next press asks again.
          () => undefined,
        );
      }}
    >
      {children}
    </button>
  );
}

type CellProps = {
  /** The id of the machine. */ readonly build: string;
  readonly tape: TapeOf;
  readonly label: string;
  readonly figure: Figure | undefined;
  readonly ghost: Figure | undefined;
  readonly limit: number | undefined;
  readonly aside: string | undefined;
  readonly pencils: readonly Pencil[];
};

const TapeCell = memo(function TapeCell({
  build,
  tape,
  label,
  figure,
  ghost,
  limit,
  aside: extra,
  pencils,
}: CellProps) {
  const more = WANTS_MORE.has(tape.id);
  const mark = figure && limit !== undefined ? markWords(figure, limit, more) : null;
  const number = figure
    ? tape.id === 'drives.room'
      ? `${figure.value} more`
      : figureNumber(tape.id, figure.value)
    : '–';
  const told = `${label}: ${number} ${figure && tape.id !== 'drives.room' ? unitWords(figure) : ''}. Open the working`;
  return (
    <div className="min-w-0 border-r border-line px-3 pt-0.5 pb-1 last:border-r-0" data-figure={tape.id}>
      <div className="flex min-h-6 items-center justify-between gap-2 text-[12.5px] text-mid">
        <span className="truncate max-[1100px]:hidden">{label}</span>
        <span aria-hidden className="truncate min-[1101px]:hidden">
          {tape.short}
        </span>
        {mark ? (
          <span className={`whitespace-nowrap ${mark.tone}`}>{mark.words}</span>
        ) : limit !== undefined && !figure?.note ? (
          // Where there is no room for a tape its limit is told.
          <span className="whitespace-nowrap md:hidden">
            {more ? 'wished' : 'limit'} {figureNumber(tape.id, limit)}
          </span>
        ) : figure?.note ? (
          <span className="whitespace-nowrap">{figure.note}</span>
        ) : limit === undefined ? (
          <Link className={SET} to={`/b/${build}/brief?ask=${tape.asks}`}>
            set a {more ? 'wish' : 'limit'}
          </Link>
        ) : null}
      </div>
      <NumberButton id={tape.id} label={label} told={told} isOff={!figure}>
        <span className="mono text-[16px] leading-6 font-medium xl:text-[18px]" data-value={figure?.value}>
          {number}
        </span>
        {figure && tape.id !== 'drives.room' && (
          <span className="mono text-[11px] text-mid xl:text-[11.5px]">
            {unitWords(figure)} {rangeWords(tape.id, figure)}
          </span>
        )}
        {extra && (
          <span className="truncate text-[12px] text-mid" title="free bays and free ports">
            {extra}
          </span>
        )}
      </NumberButton>
      <Tape
        id={tape.id}
        figure={figure}
        ghost={ghost}
        limit={limit}
        tone={mark?.tone ?? 'text-mid'}
        label={label}
        pencils={pencils}
      />
    </div>
  );
});
