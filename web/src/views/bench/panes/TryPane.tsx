import same from 'fast-deep-equal';
import { useDeferredValue, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import {
  freeAlike,
  parseSpot,
  printSpot,
  putEdits,
  replaceEdit,
  resolve,
  sittersBySpot,
  spotGroup,
  type Edit,
  type Owned,
  type PartKind,
  type SheetId,
  type SpotType,
  type Standing,
} from '@inch-tower/core';
import { Link } from 'react-router';
import type { OwnedCatalogue } from '../../../state/api';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { benchWorker, streamTry } from '../../../worker/client';
import type { GoingRow, RefusedRow, TrySource } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';
import { useFocusKept } from '../hooks/useFocusKept';
import { useFocusStart } from '../hooks/useFocusStart';
import { isBlocked, SORTS, sortRows, type SortName } from './trySorts';
import { TryHead, TryRowView } from './TryRowView';
import { WhyNot } from './WhyNot';
import { useOwned } from '../hooks/useOwned';

const GHOST_AFTER_MS = 90;
const SOURCES: readonly (readonly [TrySource, string])[] = [
  ['all', 'every listed part'],
  ['own', 'my own sheets'],
  ['stock', 'what I own'],
  ['classes', 'classes, typical'],
];
const NOTHING: Readonly<Record<TrySource, string>> = {
  all: 'Nothing in the catalogue fits here.',
  own: 'None of your own sheets fits here.',
  stock: 'Nothing you own, and no other machine uses, fits here.',
  classes: 'No class of part fits here.',
};
/** The kind of part a place is for, where the place itself says it. */
const KIND_OF: Readonly<Partial<Record<SpotType, PartKind>>> = {
  tray: 'board',
  bay: 'drive',
  supplyBay: 'supply',
  fanMount: 'fan',
  socket: 'processor',
  coolerMount: 'cooler',
  memoryBank: 'memory',
  m2: 'drive',
  slot: 'controller',
  usb: 'drive',
  connector: 'cable',
};

/** Every part for one place, each with what it would do to this build. */
export function TryPane() {
  useFocusStart('try');
  const ui = useBench();
  const dispatch = useAppDispatch();
  const build = useAppSelector((state) => state.bench.build)!;
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const units = useAppSelector(selectUnits);
  const standing = useMemo((): Standing => ({ build, assessment: { units, layout: build.layout } }), [build, units]);
  const spot = useMemo(() => parseSpot(ui.selected ?? ''), [ui.selected]);
  const group = spot && spotGroup(units, spot);
  const alike = useMemo(() => (spot ? freeAlike(standing, spot).length : 0), [standing, spot]);
  const most = group?.type === 'table' ? 24 : Math.max(1, alike);
  const [count, setCount] = useState(1);
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<SortName>('trouble');
  const asked = Math.min(count, most);
  const { owned, away } = useOwned(build.id, ui.source === 'stock');
  const { rows, refused, done, failed } = useTryRows(
    {
      selected: ui.selected,
      count: asked,
      search: useDeferredValue(search),
      replace: ui.replacing,
      source: ui.source,
      owned,
    },
    ui.catalogue,
    rev,
  );
  const sorted = useMemo(
    () =>
      sortRows(
        rows.filter((row) => row.sheet in ui.catalogue.sheets),
        sort,
        ui.catalogue,
        build.brief,
      ),
    [rows, sort, ui.catalogue, build.brief],
  );
  const free = sorted.filter((row) => !isBlocked(row)).length;
  const list = useRef<HTMLUListElement>(null);
  const kept = useFocusKept(list, 'data-try');
  /** What is ghosted: put, it is not settled twice. */
  const looked = useRef<readonly Edit[] | null>(null);
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** A row is put once, however often it is clicked meanwhile. */
  const putting = useRef(false);
  useEffect(() => () => clearTimeout(wait.current), []);
  if (!spot || !group) return <p className="p-4 text-mid">This place is not there any more.</p>;

  const editsFor = (sheet: string): Edit[] => {
    const sitter = ui.replacing ? sittersBySpot(units, build.layout).get(printSpot(spot)) : undefined;
    const replaced = sitter?.item ? replaceEdit(build, ui.catalogue, sitter.id, sheet as SheetId) : null;
    return replaced ? [replaced] : putEdits(standing, ui.catalogue, sheet as SheetId, spot, asked, owned?.[sheet]);
  };
  const show = (row: GoingRow) => {
    clearTimeout(wait.current);
    wait.current = setTimeout(() => {
      const edits = editsFor(row.sheet);
      looked.current = edits;
      ui.setGhost({ edits, figures: row.figures });
    }, GHOST_AFTER_MS);
  };
  const put = async (row: GoingRow) => {
    if (putting.current) return;
    putting.current = true;
    try {
      await putRow(row);
    } finally {
      putting.current = false;
    }
  };
  const putRow = async (row: GoingRow) => {
    clearTimeout(wait.current);
    ui.setGhost(null);
    // Looked at for another count or place they are other edits, and are settled anew.
    const edits = editsFor(row.sheet);
    const isSeen = looked.current !== null && same(looked.current, edits);
    if (!(await dispatch(edit(isSeen ? ui.settledAs(looked.current!) : edits)))) return;
    const seated = group.type === 'floor' || group.type === 'table' ? null : printSpot(spot);
    ui.select(seated, { pane: seated ? 'sheet' : 'snags' });
    ui.toDrawing(seated ?? undefined);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    const buttons = [...(list.current?.querySelectorAll<HTMLButtonElement>('[data-try]') ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    const next = event.key === 'ArrowDown' ? at + 1 : at - 1;
    event.preventDefault();
    if (next < 0) document.querySelector<HTMLElement>('[data-pane-start]')?.focus();
    else buttons[Math.min(next, buttons.length - 1)]?.focus();
  };
  const name = group.count > 1 && spot.n ? `${group.label} ${spot.n}` : group.label;

  return (
    <div className="flex min-h-0 flex-1 flex-col" onKeyDown={onKeyDown}>
      <div className="shrink-0 border-b border-line px-3 py-2 text-[13px]">
        <p>
          <span className="text-mid">{ui.replacing ? 'In place of what is in' : 'For'} </span>
          <span className="font-semibold">{name}</span>
          <span className="text-mid" data-testid="try-count">
            {' '}
            ·{' '}
            {done
              ? [
                  `${free} fit${free === 1 ? 's' : ''}`,
                  ...(free < sorted.length ? [`${sorted.length - free} with a blocker`] : []),
                  `${refused.length} ${refused.length === 1 ? 'does' : 'do'} not`,
                ].join(', ')
              : away
                ? ''
                : 'trying …'}
          </span>
        </p>
        <div className="mt-1.5 flex gap-1.5">
          <input
            data-pane-start
            className="field min-w-0 flex-1"
            aria-label="Search parts"
            placeholder="Search"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <select
            className="field w-[112px]"
            aria-label="Sort by"
            value={sort}
            onChange={(event) => setSort(event.target.value as SortName)}
          >
            {Object.entries(SORTS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </div>
        <div className="mt-1.5 flex items-center gap-1.5">
          <label className="flex min-w-0 flex-1 items-center gap-1.5">
            <span className="text-mid">From</span>
            <select
              className="field min-w-0 flex-1"
              value={ui.source}
              onChange={(event) => ui.setSource(event.target.value as TrySource)}
            >
              {SOURCES.map(([one, words]) => (
                <option key={one} value={one}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <Link
            className="inline-flex min-h-6 items-center whitespace-nowrap text-mid underline"
            to={
              '/parts/own?' +
              (group.type === 'table' && group.kind === 'any'
                ? ''
                : `kind=${KIND_OF[group.type] ?? ('kind' in group ? group.kind : 'drive')}&`) +
              `back=${encodeURIComponent(`${location.pathname}${location.search}`)}`
            }
          >
            Not in any list
          </Link>
        </div>
        {!ui.replacing && most > 1 && (
          <div className="mt-1.5 flex items-center gap-1.5">
            <span className="text-mid">How many</span>
            <button
              type="button"
              className="press px-2"
              aria-label="One fewer"
              disabled={asked <= 1}
              onClick={() => setCount(asked - 1)}
            >
              −
            </button>
            <input
              className="field mono w-12 text-center"
              aria-label="How many"
              inputMode="numeric"
              value={asked}
              onChange={(event) =>
                setCount(Math.max(1, Math.min(most, Number(event.target.value.replace(/\D/g, '')) || 1)))
              }
            />
            <button
              type="button"
              className="press px-2"
              aria-label="One more"
              disabled={asked >= most}
              onClick={() => setCount(asked + 1)}
            >
              +
            </button>
            {group.type !== 'table' && (
              <button type="button" className="press" disabled={asked === most} onClick={() => setCount(most)}>
                All {most} free
              </button>
            )}
          </div>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={-1} onMouseLeave={() => clearTimeout(wait.current)}>
        {sorted.length > 0 && <TryHead currency={build.currency} />}
        <ul ref={list} {...kept}>
          {sorted.map((row, i) => (
            <TryRowView
              key={row.sheet}
              isFirstBlocked={i === free}
              row={row}
              part={resolve(
                ui.catalogue.sheets[row.sheet]!,
                ui.catalogue.archetypes[ui.catalogue.sheets[row.sheet]!.archetype]!,
              )}
              count={asked}
              onShow={() => show(row)}
              onPut={() => put(row)}
            />
          ))}
        </ul>
        {failed && (
          <p role="alert" className="bad p-3">
            Trying went wrong, which is a fault of ours. The machine is as it was; another place or source may still
            work.
          </p>
        )}
        {done && !failed && rows.length === 0 && (
          <p className="p-3 text-mid">{search ? 'No part of that name fits here.' : NOTHING[ui.source]}</p>
        )}
        {refused.length > 0 && <Refused rows={refused} />}
        {away && (
          <p role="alert" className="p-3">
            The server does not answer, so what you own cannot be looked up. The other sources still work.
          </p>
        )}
        {!done && !away && (
          <p className="p-3 text-[13px] text-mid">
            Trying …{' '}
            <button type="button" className="plain min-h-6 underline" onClick={() => void benchWorker().stop()}>
              Stop
            </button>
          </p>
        )}
      </div>
    </div>
  );
}

function Refused({ rows }: { readonly rows: readonly RefusedRow[] }) {
  return (
    <details className="border-b border-line px-3 py-2 text-[13px]">
      <summary className="min-h-6 cursor-pointer text-mid">
        {rows.length} {rows.length === 1 ? 'does' : 'do'} not fit here
      </summary>
      <ul>
        {rows.map((row) => (
          <li key={row.sheet} className="border-t border-dotted border-line py-1">
            <span className="font-medium">{row.name}</span>
            <span className="block text-mid">{row.why}</span>
            <WhyNot row={row} />
          </li>
        ))}
      </ul>
    </details>
  );
}

type Rows = {
  readonly ask: string;
  readonly from: OwnedCatalogue | null;
  readonly spot: string | null;
  readonly fresh: readonly GoingRow[];
  readonly rows: readonly GoingRow[];
  readonly refused: readonly RefusedRow[];
  readonly done: boolean;
  readonly failed: boolean;
};
const NONE: readonly never[] = [];

type TryWish = {
  readonly selected: string | null;
  readonly count: number;
  readonly search: string;
  readonly replace: boolean;
  readonly source: TrySource;
  readonly owned: Readonly<Record<string, Owned>> | undefined;
};

/**
 * Rows as they stream in, for the build as it is at `rev` and the parts there are now. What could not be tried at all
 * is said, not left spinning.
 */
function useTryRows(
  wish: TryWish,
  catalogue: OwnedCatalogue,
  rev: number | undefined,
): Omit<Rows, 'ask' | 'from' | 'spot' | 'fresh'> {
  const { selected, count, search, replace, source, owned } = wish;
  const ask = `${selected}|${count}|${search}|${replace}|${rev}|${source}|${owned ? Object.keys(owned).join() : ''}`;
  const [state, setState] = useState<Rows>({
    ask: '',
    from: null,
    spot: null,
    fresh: [],
    rows: [],
    refused: [],
    done: false,
    failed: false,
  });
  useEffect(() => {
    const spot = parseSpot(selected ?? '');
    if (!spot || rev === undefined || (source === 'stock' && !owned)) return;
    let here = true;
    streamTry({ spot, count, search, replace, source, ...(owned ? { owned } : {}) }, catalogue, (batch) => {
      if (!here) return;
      setState((before) => {
        const same = before.ask === ask && before.from === catalogue;
        const fresh = [...(same ? before.fresh : NONE), ...batch.going];
        const refusedNow = [...(same ? before.refused : NONE), ...batch.refused];
        const told = new Set([...fresh, ...refusedNow].map((row) => row.sheet));
        // Rows of the ask before stay until this one has spoken of them, so that none goes from under a hand and comes
        // back.
        const older = batch.done || before.spot !== selected ? NONE : before.rows.filter((row) => !told.has(row.sheet));
        return {
          ask,
          from: catalogue,
          spot: selected,
          fresh,
          rows: [...fresh, ...older],
          refused: refusedNow,
          done: batch.done,
          failed: false,
        };
      });
    }).catch((error: unknown) => {
      console.error(error);
      if (here)
        setState({ ask, from: catalogue, spot: selected, fresh: [], rows: [], refused: [], done: true, failed: true });
    });
    return () => {
      here = false;
    };
  }, [ask, catalogue, selected, count, search, replace, rev, source, owned]);
  return state.ask === ask && state.from === catalogue
    ? state
    : { rows: state.spot === selected ? state.rows : NONE, refused: NONE, done: false, failed: false };
}
