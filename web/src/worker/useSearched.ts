import { useEffect, useState } from 'react';
import { useAppSelector } from '../state/store';
import { useSearch } from './useSearch';
import type { Searched, Searcher } from './client';

type Known<T> = { readonly rev: number; readonly what: string; readonly answer: Exclude<Searched<T>, null> };

/**
 * What the second worker finds about the machine as it stands, asked again with every revision and when `what` changes;
 * null while it is looked for, and where there is nothing. `ask` need not be the same function; null asks nothing.
 */
export function useSearched<T>(ask: ((searcher: Searcher) => Promise<T | null>) | null, what = ''): T | 'late' | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const search = useSearch();
  const [known, setKnown] = useState<Known<T> | null>(null);
  useEffect(() => {
    if (rev === undefined || !ask) return;
    let isHere = true;
    void search(ask).then((answer) => {
      if (isHere && answer !== null) setKnown({ rev, what, answer: answer as Known<T>['answer'] });
    });
    return () => {
      isHere = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `what` stands for what is asked
  }, [rev, what, search]);
  return known && known.rev === rev && known.what === what ? known.answer : null;
}
