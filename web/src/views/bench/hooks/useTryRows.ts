import { useEffect, useState } from 'react';
import { parseSpot, type Owned } from '@inch-tower/core';
import type { OwnedCatalogue } from '../../../state/api';
import { streamTry } from '../../../worker/client';
import type { GoingRow, RefusedRow, TrySource } from '../../../worker/messages';

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
export function useTryRows(
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
