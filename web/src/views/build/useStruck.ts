import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Breaks, StruckAlone } from '@inch-tower/core';
import { benchWorker } from '../../worker/client';
import { useAsked } from '../../worker/useAsked';

/** Where in the address stands what is struck out. */
export const GONE = 'gone';

/** What is struck out is in the address, so that every view strikes it out and a reload keeps it. */
export function useStruckKey() {
  const [params, setParams] = useSearchParams();
  const strike = useCallback(
    (key: string | null) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (key === null) next.delete(GONE);
          else next.set(GONE, key);
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return { key: params.get(GONE), strike };
}

/** What a view draws struck out: the part itself and the drives that go with it. */
export type StruckView = {
  readonly one: StruckAlone;
  readonly units: ReadonlySet<string>;
  readonly strike: (key: string | null) => void;
};

/**
 * What is struck out in this view; null where nothing is, or is there no more. The worker works out what may break,
 * unless the view has it already.
 */
export function useStruck(known: Breaks | null = null): StruckView | null {
  const { key, strike } = useStruckKey();
  const asks = key !== null && known === null;
  const pool = useAsked(async () => (asks ? benchWorker().pool() : null), asks ? key : '');
  const breaks = known ?? pool?.breaks;
  return useMemo(() => {
    const one = key === null ? undefined : breaks?.singles.find(({ things }) => things[0]?.key === key);
    return one ? { one, units: struckUnits(one), strike } : null;
  }, [key, breaks, strike]);
}

/** Parts that are gone: drives, and the card or supply itself; of cables, backplanes and boxes what hangs on them. */
function struckUnits({ things, lost }: StruckAlone): ReadonlySet<string> {
  const own = things.filter(({ kind }) => kind === 'card' || kind === 'supply' || kind === 'drive');
  return new Set<string>([...lost, ...own.map(({ unit }) => unit)]);
}
