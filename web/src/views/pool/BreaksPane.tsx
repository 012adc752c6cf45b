import { useState } from 'react';
import type { Breaks, Dealt, MovedOut, PoolSet } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { countWords } from '../../words/format';
import { thingName } from '../../words/struck';
import { useStruckKey } from '../build/useStruck';
import { breakRows, dealtWords, movedWords, pairRows, type BreakRow } from './poolWords';

const SHOWN = 6;
const MOST_STRUCK = 24;

/** Everything a drive hangs on struck out in turn, and two things together: which sets live. */
export function BreaksPane({
  breaks,
  dealt,
  movedOut,
  inUse,
  onSets,
}: {
  readonly breaks: Breaks;
  readonly dealt: Dealt | null;
  readonly movedOut: MovedOut | null;
  /** The sets are made, and may hold data. */ readonly inUse: boolean;
  readonly onSets: (sets: PoolSet[], words: string) => void;
}) {
  const [isWhole, setWhole] = useState(false);
  const rows = breakRows(breaks.singles);
  if (rows.length === 0) return null;
  const pairs = pairRows(breaks);
  const shown = isWhole ? pairs : pairs.slice(0, SHOWN);
  return (
    <div className="text-[13px]">
      <table className="mt-1 w-full border-collapse">
        <caption className="sr-only">What is left of the sets with one thing gone</caption>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.what}${row.says}`} className="border-t border-dotted border-line align-top">
              <th className="py-1 pr-3 text-left font-normal">
                {row.what}
                <StrikeOut {...row} />
              </th>
              <td className={`py-1 text-right ${row.tone}`}>{row.says}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {movedOut && <MoveOut {...movedOut} />}
      {dealt && (
        <p className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          <button
            type="button"
            className="press no-print"
            onClick={() => onSets([...dealt.sets], 'Drives dealt over what they hang on')}
          >
            Deal the drives out
          </button>
          <span>{dealtWords(dealt, inUse)}</span>
        </p>
      )}
      <h3 className="mt-2 font-semibold">Two at once</h3>
      {pairs.length === 0 ? (
        <p className="text-mid">No two of them lose a set that neither loses alone.</p>
      ) : (
        <ul>
          {shown.map((words) => (
            <li key={words} className="border-t border-dotted border-line py-0.5">
              {words}
            </li>
          ))}
        </ul>
      )}
      {pairs.length > SHOWN && (
        <button type="button" className="plain no-print min-h-6 underline" onClick={() => setWhole(!isWhole)}>
          {isWhole ? 'Fewer' : `${pairs.length - SHOWN} more`}
        </button>
      )}
    </div>
  );
}

/** Drives moved to other bays, so that sets are as they are and hang on more. */
function MoveOut(out: MovedOut) {
  const dispatch = useAppDispatch();
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <button
        type="button"
        className="press no-print"
        onClick={() => void dispatch(edit([...out.edits], `${countWords(out.moves.length, 'drive')} moved apart`))}
      >
        Move {countWords(out.moves.length, 'drive')}
      </button>
      <span>{movedWords(out)}</span>
      <details className="w-full">
        <summary className="min-h-6 cursor-pointer text-mid">Which goes where</summary>
        <p className="mono">{out.moves.map(({ mark, to }) => `${mark} → ${to}`).join(', ')}</p>
      </details>
    </div>
  );
}

/** One of the things of a row is struck out where it is: in the sets beside, in the drawing and in the wiring. */
function StrikeOut({ things }: Pick<BreakRow, 'things'>) {
  const { key, strike } = useStruckKey();
  if (things.length > MOST_STRUCK || things[0]?.kind === 'fans') return null;
  return (
    <span className="no-print flex flex-wrap items-center gap-x-2 text-[12.5px] text-mid">
      Strike out
      {things.map((thing) => (
        <button
          key={thing.key}
          type="button"
          className={`plain mono min-h-6 px-1 underline ${key === thing.key ? 'font-semibold text-ink' : ''}`}
          aria-pressed={key === thing.key}
          aria-label={`Strike out ${thingName(thing)}`}
          onClick={() => strike(key === thing.key ? null : thing.key)}
        >
          {thing.mark}
        </button>
      ))}
    </span>
  );
}
