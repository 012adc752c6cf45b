import { useEffect, useState } from 'react';
import type { Explanation, FigureId } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';

/** The working of a figure of the machine as it is assessed, while it is open; null until it is there. */
export function useExplained(id: FigureId, isOpen: boolean): Explanation | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [told, setTold] = useState<{ readonly of: FigureId; readonly explained: Explanation | null } | null>(null);
  useEffect(() => {
    if (!isOpen) return undefined;
    let isStale = false;
    benchWorker()
      .explain(id)
      .then(
        (fresh) => {
          if (!isStale) setTold({ of: id, explained: fresh });
        },
        // A worker that was ended is started again with the machine, and the next revision asks it.
        () => undefined,
      );
    return () => {
      isStale = true;
    };
  }, [id, isOpen, rev]);
  // Of another figure it says nothing of this one.
  return isOpen && told?.of === id ? told.explained : null;
}
