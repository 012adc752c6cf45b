import { useEffect, useState } from 'react';
import type { Explanation, FigureId } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';

/** The working of a figure of the machine as it is assessed, while it is open; null until it is there. */
export function useExplained(id: FigureId, isOpen: boolean): Explanation | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [explained, setExplained] = useState<Explanation | null>(null);
  useEffect(() => {
    if (!isOpen) return undefined;
    let isStale = false;
    benchWorker()
      .explain(id)
      .then(
        (fresh) => {
          if (!isStale) setExplained(fresh);
        },
        // A worker that was ended is started again with the machine, and the next revision asks it.
        () => undefined,
      );
    return () => {
      isStale = true;
    };
  }, [id, isOpen, rev]);
  return isOpen ? explained : null;
}
