import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { replay, VIEW_NAMES, type Edit, type FigureId } from '@inch-tower/core';
import type { Focus } from '../../../drawing/foci';
import { useAppSelector } from '../../../state/store';
import type { OwnedCatalogue } from '../../../state/api';
import type { TrySource } from '../../../worker/messages';
import { benchWorker } from '../../../worker/client';
import type { BenchUi, Ghost, Pane } from './benchContext';

const PANES: readonly Pane[] = ['snags', 'try', 'sheet'];
const SOURCES: readonly TrySource[] = ['all', 'own', 'stock', 'classes'];
const FOCI: readonly Focus[] = ['sheet', ...VIEW_NAMES];

type Settled = { readonly of: readonly Edit[]; readonly rev: number; readonly edits: readonly Edit[] };

/** Edits that are looked at, settled by the worker: nothing is solved while pointing. Keeps the last until the next. */
function useSettled(edits: readonly Edit[] | null, rev: number): Settled | null {
  const [settled, setSettled] = useState<Settled | null>(null);
  useEffect(() => {
    if (!edits) return;
    let isWanted = true;
    benchWorker()
      .settled(edits, rev)
      .then(
        (whole) => {
          if (isWanted && whole) setSettled({ of: edits, rev, edits: whole });
        },
        // A worker that died is started again by whoever waits for figures; a ghost is not worth it.
        () => undefined,
      );
    return () => {
      isWanted = false;
    };
  }, [edits, rev]);
  return settled;
}

/** Looking does not fill the history. */
const SAME_PLACE = { replace: true };

function withOrNot(now: URLSearchParams, key: string, value: string | null): URLSearchParams {
  const next = new URLSearchParams(now);
  if (value === null) next.delete(key);
  else next.set(key, value);
  return next;
}

/** Selection, pane and view live in the address, so that back, forward and links work. */
export function useBenchUi(catalogue: OwnedCatalogue): BenchUi {
  const [params, setParams] = useSearchParams();
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const focusNextRef = useRef<BenchUi['focusNextRef']['current']>(null);
  const build = useAppSelector((state) => state.bench.build);
  const rev = useAppSelector((state) => state.bench.rev);
  const settled = useSettled(ghost?.edits ?? null, rev);
  const after = useMemo(() => {
    if (!build || !ghost || settled?.of !== ghost.edits || settled.rev !== rev) return null;
    const next = replay(build, settled.edits);
    return 'ok' in next ? null : next;
  }, [ghost, build, settled, rev]);
  const settledAs = useCallback(
    (edits: readonly Edit[]) => (settled?.of === edits && settled.rev === rev ? settled.edits : edits),
    [settled, rev],
  );
  const [asked, setAsked] = useState(0);
  const [figure, setFigure] = useState<FigureId | null>(null);
  const [moving, setMoving] = useState<string | null>(null);
  const selected = params.get('sel');
  const pane = PANES.find((one) => one === params.get('pane')) ?? 'snags';
  const focus = FOCI.find((one) => one === params.get('view')) ?? 'sheet';
  const replacing = params.get('swap') === '1';
  const isWarm = params.get('warm') === '1';
  const source = SOURCES.find((one) => one === params.get('from')) ?? 'all';

  const select = useCallback<BenchUi['select']>(
    (id, more = {}) => {
      setGhost(null);
      focusNextRef.current = more.focusPane ? { kind: 'pane', sel: id } : null;
      setParams((now) => {
        const next = new URLSearchParams(now);
        next.delete('name');
        if (id) next.set('sel', id);
        else next.delete('sel');
        if (more.pane) next.set('pane', more.pane);
        if (more.replace) next.set('swap', '1');
        else next.delete('swap');
        return next;
      });
    },
    [setParams],
  );
  const set = useCallback(
    (key: string, value: string) => {
      setGhost(null);
      setParams((now) => {
        const next = new URLSearchParams(now);
        next.set(key, value);
        next.delete('swap');
        return next;
      });
    },
    [setParams],
  );
  const toDrawing = useCallback((spot?: string) => {
    focusNextRef.current = { kind: 'drawing', stop: spot ?? null };
    setAsked((n) => n + 1);
  }, []);

  return useMemo(
    () => ({
      catalogue,
      selected,
      pane,
      focus,
      replacing,
      isWarm,
      source,
      moving,
      figure,
      setFigure,
      ghost,
      after,
      focusNextRef,
      asked,
      select,
      setGhost,
      settledAs,
      setMoving,
      toDrawing,
      show: (next: Pane) => set('pane', next),
      setFocus: (next: Focus) => set('view', next),
      setSource: (next: TrySource) =>
        setParams((now) => withOrNot(now, 'from', next === 'all' ? null : next), SAME_PLACE),
      setWarm: (next: boolean) => setParams((now) => withOrNot(now, 'warm', next ? '1' : null), SAME_PLACE),
    }),
    [
      catalogue,
      selected,
      pane,
      focus,
      replacing,
      isWarm,
      source,
      moving,
      figure,
      ghost,
      after,
      asked,
      select,
      settledAs,
      toDrawing,
      set,
      setParams,
    ],
  );
}
