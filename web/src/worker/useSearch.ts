import { useCallback } from 'react';
import { useAppStore } from '../state/store';
import { searchIn, type Searched, type Searcher } from './client';

/** Asks the second worker for something long about the machine as it stands. */
export function useSearch(): <T>(ask: (searcher: Searcher) => Promise<T | null>) => Promise<Searched<T>> {
  const store = useAppStore();
  return useCallback(
    (ask) => {
      const { build, rev } = store.getState().bench;
      return build ? searchIn(build, rev, ask) : Promise.resolve(null);
    },
    [store],
  );
}
