import same from 'fast-deep-equal';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import {
  briefAt,
  freeAlike,
  parseSpot,
  printSpot,
  putEdits,
  replaceEdit,
  sittersBySpot,
  spotGroup,
  type Edit,
  type SheetId,
  type Standing,
} from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { benchWorker } from '../../../worker/client';
import type { GoingRow, TrySource } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';
import { useFocusKept } from '../hooks/useFocusKept';
import { useFocusStart } from '../hooks/useFocusStart';
import { useHeldOrder } from '../hooks/useHeldOrder';
import { useTryEffects } from '../hooks/useTryEffects';
import { useTryRows } from '../hooks/useTryRows';
import { Refused } from './Refused';
import { TryControls } from './TryControls';
import { deadEndsOf } from './deadEnds';
import { partOf } from './partOf';
import { isBlocked, isOneKind, sortRows, withBeside, type SortName } from './trySorts';
import { TryHead, TryRowView, type TryActs } from './TryRowView';
import { useOwned } from '../hooks/useOwned';

const Beside = lazy(() => import('./Beside'));
const GHOST_AFTER_MS = 90;
const NOTHING: Readonly<Record<TrySource, string>> = {
  all: 'Nothing in the catalogue fits here.',
  own: 'None of your own sheets fits here.',
  stock: 'Nothing you own, and no other machine uses, fits here.',
  classes: 'No class of part fits here.',
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
  const known = useMemo(() => rows.filter((row) => row.sheet in ui.catalogue.sheets), [rows, ui.catalogue]);
  const { usableTb: tb, failuresSurvived: failures = 0 } = briefAt(build);
  const allFlash = build.brief.mustHave?.includes('allFlash') ?? false;
  const inRack = build.site.place === 'rack';
  const places = group?.type === 'bay' ? alike : 0;
  const deadEnds = useMemo(
    () => deadEndsOf(known, ui.catalogue, units, { places, tb, failures, allFlash, isReplacing: ui.replacing, inRack }),
    [known, ui.catalogue, units, places, tb, failures, allFlash, ui.replacing, inRack],
  );
  const sorted = useMemo(
    () => sortRows(known, sort, ui.catalogue, build.brief, deadEnds),
    [known, sort, ui.catalogue, build.brief, deadEnds],
  );
  const order = useHeldOrder(sorted, [ui.selected, sort, search, ui.source, asked, rev].join('|'));
  const { effects, shared } = useTryEffects(sorted, deadEnds, ui.catalogue);
  /** Sheets set beside one another, two at most. */
  const [beside, setBeside] = useState<readonly string[]>([]);
  const free = sorted.filter((row) => !isBlocked(row)).length;
  const list = useRef<HTMLUListElement>(null);
  const kept = useFocusKept(list, 'data-try');
  /** What is ghosted: put, it is not settled twice. */
  const looked = useRef<readonly Edit[] | null>(null);
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** A row is put once, however often it is clicked meanwhile. */
  const putting = useRef(false);
  useEffect(() => () => clearTimeout(wait.current), []);
  const editsFor = (sheet: string): Edit[] => {
    if (!spot) return [];
    const sitter = ui.replacing ? sittersBySpot(units, build.layout).get(printSpot(spot)) : undefined;
    const replaced = sitter?.item
      ? replaceEdit(build, ui.catalogue, sitter.id, sheet as SheetId, owned?.[sheet])
      : null;
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
    const seated = !spot || !group || group.type === 'floor' || group.type === 'table' ? null : printSpot(spot);
    ui.select(seated, { pane: seated ? 'sheet' : 'snags' });
    ui.toDrawing(seated ?? undefined);
  };
  const actsRef = useRef<TryActs | null>(null);
  const acts = useMemo(
    (): TryActs => ({
      show: (row) => actsRef.current?.show(row),
      put: (row) => actsRef.current?.put(row),
      beside: (row) => actsRef.current?.beside(row),
    }),
    [],
  );
  useEffect(() => {
    actsRef.current = {
      show,
      put: (row) => void put(row),
      beside: ({ sheet }) =>
        setBeside((now) =>
          withBeside(
            now.filter((one) => isOneKind(ui.catalogue, one, sheet)),
            sheet,
          ),
        ),
    };
  });

  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    const buttons = [...(list.current?.querySelectorAll<HTMLButtonElement>('[data-try]') ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    const next = event.key === 'ArrowDown' ? at + 1 : at - 1;
    event.preventDefault();
    if (next < 0) document.querySelector<HTMLElement>('[data-pane-start]')?.focus();
    else buttons[Math.min(next, buttons.length - 1)]?.focus();
  };
  if (!spot || !group) return <p className="p-4 text-mid">This place is not there any more.</p>;
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
          {order.isHeld && done && (
            <button
              type="button"
              className="plain float-right inline-flex min-h-6 items-center underline"
              onClick={order.release}
            >
              Sort again
            </button>
          )}
        </p>
        <TryControls
          group={group}
          search={search}
          onSearch={setSearch}
          sort={sort}
          onSort={setSort}
          count={asked}
          most={ui.replacing ? 1 : most}
          onCount={setCount}
        />
      </div>
      {beside.length > 0 && (
        <Suspense fallback={null}>
          <Beside sheets={beside} rows={sorted} onAway={setBeside} />
        </Suspense>
      )}
      <div
        className="min-h-0 flex-1 overflow-auto"
        tabIndex={-1}
        {...order.hands}
        onMouseLeave={() => {
          clearTimeout(wait.current);
          order.hands.onMouseLeave();
        }}
      >
        {shared.size > 0 && (
          <p className="border-b border-line px-3 py-1.5 text-[12.5px]" data-testid="try-shared">
            <span className="text-mid">With each of these · </span>
            {[...shared].join(' · ')}
          </p>
        )}
        {sorted.length > 0 && <TryHead currency={build.currency} />}
        <ul ref={list} aria-label="Parts to try" {...kept}>
          {order.rows.map((row, i) => (
            <TryRowView
              key={row.sheet}
              isFirstBlocked={!order.isHeld && i === free}
              row={row}
              part={partOf(ui.catalogue, row.sheet)}
              effects={effects.get(row.sheet) ?? []}
              shared={shared}
              isBeside={beside.includes(row.sheet)}
              count={asked}
              acts={acts}
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
