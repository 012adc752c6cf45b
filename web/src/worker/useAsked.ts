import { useEffect, useState } from 'react';
import { useAppSelector } from '../state/store';

/**
 * What the worker answers about the machine as it is assessed, asked again with every revision and when `what` (a text)
 * changes; the last answer stays until the next is there. `ask` need not be the same function.
 */
export function useAsked<T>(ask: () => Promise<T | null>, what = ''): T | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [answer, setAnswer] = useState<T | null>(null);
  useEffect(() => {
    if (rev === undefined) return;
    let isHere = true;
    ask().then(
      (fresh) => {
        if (isHere) setAnswer(fresh);
      },
      // A worker that was ended is started again with the machine, and the next revision asks it.
      () => undefined,
    );
    return () => {
      isHere = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `what` stands for what is asked
  }, [rev, what]);
  return answer;
}
