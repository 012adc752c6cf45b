import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { StruckAlone } from '@inch-tower/core';
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

/** What is struck out in this view, worked out by the worker; null where nothing is, or is there no more. */
export function useStruck(): StruckView | null {
  const { key, strike } = useStruckKey();
  const pool = useAsked(async () => (key === null ? null : benchWorker().pool()), key ?? '');
  return useMemo(() => {
    const one = key === null ? undefined : pool?.breaks.singles.find(({ things }) => things[0]?.key === key);
    return one ? { one, units: struckUnits(one), strike } : null;
  }, [key, pool, strike]);
}

/** Parts that are gone: drives, and the card, cage, box or supply itself; of a cable only what hangs on it. */
function struckUnits({ things, lost }: StruckAlone): ReadonlySet<string> {
  const own = things.filter(({ kind }) => kind === 'card' || kind === 'supply' || kind === 'drive');
  return new Set<string>([...lost, ...own.map(({ unit }) => unit)]);
}
