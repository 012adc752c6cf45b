import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Build, Comparison } from '@inch-tower/core';
import { problemOf, useBuildsQuery, useLazyWholeBuildQuery } from '../../state/api';
import { benchWorker } from '../../worker/client';
import { Masthead } from '../Masthead';
import { asColumn, columnOf, partsOf } from './columns';
import { besideWords, LETTERS, nameOf } from './compareWords';
import { CompareDrawings } from './CompareDrawings';
import { CompareTable } from './CompareTable';
import { WishTable } from './WishTable';

const MOST = 4;
const LISTED = 200;

/** Two to four machines side by side: what differs first, what cannot be told apart said so. */
export default function ComparePage() {
  const [params, setParams] = useSearchParams();
  const ids = [...new Set((params.get('b') ?? '').split(',').filter((id) => id !== ''))].slice(0, MOST);
  const { data } = useBuildsQuery({ search: '', limit: LISTED });
  const found = useComparison(ids);
  const others = data?.builds.filter(({ id }) => !ids.includes(id)) ?? [];
  const nameOfColumn = (column: string): string =>
    partsOf(column)
      .map((part) => nameOf(data?.builds.find((one) => one.id === columnOf(part).id) ?? { name: part }))
      .join(' and ');
  const set = (next: readonly string[]) => setParams(next.length > 0 ? { b: next.join(',') } : {}, { replace: true });
  useEffect(() => {
    document.title = 'Compare · Inch Tower';
  }, []);
  const comparison = found && 'comparison' in found ? found.comparison : null;
  return (
    <div className="print-page flex h-full min-h-[560px] flex-col">
      <Masthead>
        <Link to="/" className="text-[14px] text-mid hover:underline">
          Machines
        </Link>
      </Masthead>
      <main className="print-page min-h-0 flex-1 overflow-auto bg-sheet px-5 py-3" tabIndex={-1}>
        <h1 className="text-[19px] font-semibold">Compare</h1>
        <div className="no-print my-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13.5px]">
          {ids.map((id, i) => (
            <span key={id} className="flex min-h-8 items-center gap-1.5">
              <span className="mono font-medium">{LETTERS[i]}</span>
              {comparison?.machines.find((one) => one.id === id)?.name || nameOfColumn(id)}
              {others.length > 0 && (
                <select
                  className="plain min-h-6 max-w-28 text-mid underline"
                  aria-label={`Together with ${LETTERS[i]}`}
                  value=""
                  onChange={(event) => set(ids.map((one) => (one === id ? `${id}+${event.target.value}` : one)))}
                >
                  <option value="">together with …</option>
                  {others
                    .filter((one) => !partsOf(id).includes(one.id))
                    .map((one) => (
                      <option key={one.id} value={one.id}>
                        {nameOf(one)}
                      </option>
                    ))}
                </select>
              )}
              <button
                type="button"
                className="plain min-h-6 text-mid underline"
                aria-label={`Leave out ${LETTERS[i]}`}
                onClick={() => set(ids.filter((one) => one !== id))}
              >
                leave out
              </button>
            </span>
          ))}
          {ids.length < MOST && others.length > 0 && (
            <select
              className="field max-w-64"
              aria-label="Add a machine"
              value=""
              onChange={(event) => set([...ids, event.target.value])}
            >
              <option value="">{ids.length === 0 ? 'choose a machine …' : 'and another …'}</option>
              {others.map((one) => (
                <option key={one.id} value={one.id}>
                  {nameOf(one)}
                </option>
              ))}
            </select>
          )}
        </div>
        {found && 'problem' in found && (
          <p role="alert" className="bad">
            {found.problem}
          </p>
        )}
        {ids.length < 2 && (
          <p className="text-mid">Choose two to four of your machines; the others are held against the first.</p>
        )}
        {comparison && ids.length > 1 && (
          <>
            {comparison.machines.slice(1).map((machine, i) => (
              <p key={machine.id} className="mb-1 max-w-[960px] text-[14px]" data-beside={machine.id}>
                <span className="mono font-semibold">{LETTERS[i + 1]}</span>{' '}
                <span className="font-semibold">{nameOf(machine)}.</span> {besideWords(comparison, i + 1).join(' ')}
              </p>
            ))}
            {!comparison.isOneCurrency && (
              <p className="warn text-[13px]">They are reckoned in different currencies: money is not compared.</p>
            )}
            <CompareDrawings comparison={comparison} />
            <WishTable comparison={comparison} />
            <CompareTable comparison={comparison} />
          </>
        )}
        {ids.length > 1 && !found && <p className="text-mid">Reckoning …</p>}
      </main>
    </div>
  );
}

type Found = { readonly comparison: Comparison } | { readonly problem: string };

/** Reads the machines and has them compared; the last answer stays until the next. */
function useComparison(ids: readonly string[]): Found | null {
  const [readBuild] = useLazyWholeBuildQuery();
  const [found, setFound] = useState<Found | null>(null);
  const asked = ids.join(',');
  useEffect(() => {
    let isHere = true;
    const find = async (): Promise<Found | null> => {
      const columns: Build[][] = [];
      for (const column of asked.split(',').filter((one) => one !== '')) {
        const own: Build[] = [];
        for (const part of partsOf(column)) {
          const { data, error } = await readBuild(columnOf(part).id);
          if (!data) return { problem: problemOf(error).detail };
          own.push(asColumn(data, part));
        }
        columns.push(own);
      }
      return columns.length > 1 ? { comparison: await benchWorker().compare(columns) } : null;
    };
    find().then(
      (answer) => {
        if (isHere) setFound(answer);
      },
      () => {
        if (isHere) setFound({ problem: 'This could not be worked out.' });
      },
    );
    return () => {
      isHere = false;
    };
  }, [asked, readBuild]);
  return found;
}
