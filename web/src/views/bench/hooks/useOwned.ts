import { useMemo } from 'react';
import { freeOf, ownedOf, type Owned } from '@inch-tower/core';
import { useStockQuery } from '../../../state/api';

/** Parts in stock that no other machine uses, by sheet; undefined while they are not asked for or not here yet. */
export function useOwned(
  buildId: string,
  wanted: boolean,
): {
  readonly owned: Readonly<Record<string, Owned>> | undefined;
  readonly away: boolean;
  /** Whether it is known what is in stock, or that the server cannot be asked. */ readonly settled: boolean;
} {
  const { data, isError } = useStockQuery(undefined, { skip: !wanted, refetchOnMountOrArgChange: true });
  const owned = useMemo(() => {
    if (!wanted || !data) return undefined;
    return Object.fromEntries(
      data.stock
        .filter(({ entry }) => freeOf(entry, data.claims, buildId) > 0)
        .map(({ entry }): [string, Owned] => [entry.sheet, ownedOf(entry)]),
    );
  }, [wanted, data, buildId]);
  return { owned, away: wanted && !data && isError, settled: !!data || isError };
}
