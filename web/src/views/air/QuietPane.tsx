import { useState } from 'react';
import type { Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { quietSearch, stopSearch } from '../../worker/client';
import type { QuietRow, QuietRows } from '../../worker/messages';
import { useSearch } from '../../worker/useSearch';
import { quietWords } from './airWords';

type Found = { readonly rev: number; readonly rows: QuietRows; readonly how: 'looking' | 'done' | 'late' | 'stopped' };

/** Changes and pairs of them that make it quieter with the hottest drive no warmer than now: looked for when asked. */
export function QuietPane({ build }: { readonly build: Build }) {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const dispatch = useAppDispatch();
  const search = useSearch();
  const [found, setFound] = useState<Found | null>(null);
  const known = found && found.rev === rev ? found : null;
  const look = async () => {
    if (rev === undefined) return;
    const none: QuietRows = { done: 0, of: 0, best: [] };
    setFound({ rev, rows: none, how: 'looking' });
    const keep = (rows: QuietRows) =>
      setFound((old) => (old?.rev === rev && old.how === 'looking' ? { ...old, rows } : old));
    const answer = await search((searcher) => quietSearch(searcher, keep));
    setFound((old) => {
      if (old?.rev !== rev || old.how !== 'looking') return old;
      if (answer === null) return { ...old, how: 'stopped' };
      return answer === 'late' ? { ...old, how: 'late' } : { rev, rows: answer, how: 'done' };
    });
  };
  const stop = () => {
    stopSearch();
    setFound((old) => old && { ...old, how: 'stopped' });
  };
  const take = (row: QuietRow) => void dispatch(edit(row.edits, row.title));
  return (
    <section aria-labelledby="quieter" className="no-print mt-3 border-t border-line pt-2 text-[13px]">
      <h2 id="quieter" className="text-[15px] font-semibold">
        What would make it quieter, and no warmer?
      </h2>
      {!known && (
        <>
          <p className="text-mid">
            Fans, supplies, drives, the chassis and its place, alone and two together, each with the fans as slow as
            keeps the hottest drive no warmer than now.
          </p>
          <button type="button" className="press mt-1" onClick={() => void look()}>
            Look for quieter ways
          </button>
        </>
      )}
      {known && (
        <>
          <p aria-live="polite" className="flex min-h-8 items-center gap-3 text-mid" data-testid="quiet-state">
            {stateWords(known)}
            {known.how === 'looking' && (
              <button type="button" className="press" onClick={stop}>
                Stop
              </button>
            )}
          </p>
          <ul className="flex flex-col gap-1">
            {known.rows.best.map((row) => (
              <li key={row.title}>
                <button
                  type="button"
                  data-quiet
                  className="press flex w-full items-baseline gap-2 py-1 text-left leading-tight font-normal"
                  onClick={() => take(row)}
                >
                  <span className="min-w-0 flex-1">
                    <span className="block font-medium">{row.title}</span>
                    <span className="mono block text-[12px] text-mid">{quietWords(row, build.currency)}</span>
                  </span>
                  <span className="mono text-[14px] font-semibold whitespace-nowrap">−{row.savesDb.toFixed(1)} dB</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function stateWords({ how, rows }: Found): string {
  const some = rows.best.length > 0;
  if (how === 'looking') return rows.of > 0 ? `Looked at ${rows.done} of ${rows.of} …` : 'Looking …';
  if (how === 'stopped') return `Stopped after ${rows.done} of ${rows.of}.`;
  if (how === 'late') return some ? 'Not all could be looked at in time.' : 'This could not be worked out in time.';
  return some
    ? `${rows.of} looked at. One press takes one; it can be undone.`
    : 'Nothing on sale or in the brief makes it quieter by half a dB without warming the drives.';
}
