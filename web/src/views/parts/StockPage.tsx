import { useState } from 'react';
import { useNavigate, useOutletContext, useSearchParams } from 'react-router';
import { buildOfStock, freeOf, newBuild, overclaims } from '@inch-tower/core';
import { freshId } from '../../freshId';
import { useAppDispatch } from '../../state/store';
import {
  api,
  problemOf,
  useCreateBuildMutation,
  useStockQuery,
  type OwnedCatalogue,
  type Stock,
  type Stocked,
} from '../../state/api';
import { OldMachine } from './OldMachine';
import { StockEntryForm } from './StockEntryForm';
import { StockTable } from './StockTable';

/** Parts owned: how many, how old, what they cost, and which machines use them. */
export default function StockPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const { data, error, refetch } = useStockQuery();
  const [params, setParams] = useSearchParams();
  const adding = params.get('add');
  const close = () =>
    setParams((now) => {
      const next = new URLSearchParams(now);
      next.delete('add');
      next.delete('entry');
      return next;
    });
  const stock = data?.stock ?? [];
  const edited = stock.find((one) => one.entry.id === params.get('entry'));
  const over = data
    ? overclaims(
        stock.map((one) => one.entry),
        data.claims,
      )
    : [];
  const { taken, take, toggle, begin, problem } = useNewMachine(catalogue, data);
  const sorted = [...stock].sort((a, b) => (name(catalogue, a) < name(catalogue, b) ? -1 : 1));
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-[19px] font-semibold">Stock</h1>
        <button type="button" className="press strong" onClick={() => setParams({ add: '?' })}>
          Add a part you own
        </button>
        <button
          type="button"
          className="press"
          aria-expanded={params.get('old') === '1'}
          onClick={() => setParams(params.get('old') === '1' ? {} : { old: '1' })}
        >
          Import an old machine
        </button>
        {taken.size > 0 && (
          <button type="button" className="press" onClick={() => void begin()}>
            New machine with {taken.size === 1 ? 'this part' : `these ${taken.size} parts`}
          </button>
        )}
      </div>
      <p className="mt-1 max-w-[680px] text-mid">
        What lies in the drawer or runs in an old machine. On the bench, “what I own” tries these first; they cost
        nothing there, and two machines that want the same unit are told. Ticked parts can begin a new machine.
      </p>
      {error && (
        <p role="alert" className="mt-3">
          {problemOf(error).detail}{' '}
          <button type="button" className="plain min-h-6 underline" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {problem && (
        <p role="alert" className="bad mt-3">
          {problem}
        </p>
      )}
      {over.map(({ entry, claimed, by }) => (
        <p key={entry.id} role="alert" className="mt-3 border-l-4 border-warn bg-sheet px-3 py-1.5 text-[13px]">
          <span className="warn font-medium">
            {catalogue.sheets[entry.sheet]?.name ?? entry.sheet}: {claimed} wanted, {entry.count} owned.
          </span>{' '}
          {by.map((claim) => `${claim.name || 'Unnamed'} uses ${claim.units}`).join(', ')}.
        </p>
      ))}
      {params.get('old') === '1' && (
        <OldMachine
          catalogue={catalogue}
          onDone={(ids) => {
            take(ids);
            setParams({});
          }}
        />
      )}
      {(adding ?? edited) && (
        <StockEntryForm
          key={adding ?? edited?.entry.id}
          catalogue={catalogue}
          sheet={edited?.entry.sheet ?? (adding && adding !== '?' ? adding : null)}
          edited={edited}
          onClose={close}
        />
      )}
      {data && stock.length === 0 && <p className="mt-5 text-mid">Nothing in stock yet.</p>}
      {stock.length > 0 && (
        <StockTable
          catalogue={catalogue}
          stock={sorted}
          claims={data?.claims ?? []}
          taken={taken}
          onTake={toggle}
          onChange={(entry) => setParams({ entry })}
        />
      )}
    </main>
  );
}

const name = (catalogue: OwnedCatalogue, one: Stocked) => catalogue.sheets[one.entry.sheet]?.name ?? one.entry.sheet;

/** Which entries a new machine is to be begun with, and beginning it: they lie on its table, owned. */
function useNewMachine(catalogue: OwnedCatalogue, data: Stock | undefined) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [createBuild] = useCreateBuildMutation();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const entries = (data?.stock ?? [])
    .map(({ entry }) => entry)
    .filter((entry) => chosen.includes(entry.id) && freeOf(entry, data?.claims ?? []) > 0);
  const begin = async () => {
    setProblem(null);
    // Sheets that were just imported may not have come with the catalogue yet.
    const isWhole = entries.every(({ sheet }) => sheet in catalogue.sheets);
    const fresh = isWhole
      ? undefined
      : (await dispatch(api.endpoints.catalogue.initiate(undefined, { forceRefetch: true, subscribe: false }))).data;
    const build = buildOfStock(newBuild(freshId(), ''), entries, data?.claims ?? [], fresh ?? catalogue);
    if (typeof build === 'string') return setProblem(`No machine was begun. ${build}`);
    const made = await createBuild(build);
    if (made.data) void navigate(`/b/${build.id}?name=edit`);
    else setProblem(`No machine was begun. ${problemOf(made.error).detail}`);
  };
  return {
    taken: new Set(entries.map(({ id }) => id)),
    take: (ids: readonly string[]) => setChosen(ids),
    toggle: (id: string) => setChosen((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id])),
    begin,
    problem,
  };
}
