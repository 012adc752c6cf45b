import { useEffect, useState } from 'react';
import type { FigureId, Share } from '@inch-tower/core';
import { useAppSelector } from '../../../state/store';
import { benchWorker } from '../../../worker/client';

const SHARES_AFTER_MS = 150;

/** What a figure of the machine on the page is made of; the last answer stands until the next is there. */
export function useShares(id: FigureId): readonly Share[] {
  const view = useAppSelector((state) => state.bench.view);
  const [known, setKnown] = useState<{ readonly id: FigureId; readonly shares: readonly Share[] } | null>(null);
  useEffect(() => {
    if (!view) return;
    let isWanted = true;
    // Once nothing more is done for a moment: edits and their figures come first.
    const later = setTimeout(
      () =>
        benchWorker()
          .shares(id)
          .then(
            (shares) => {
              if (isWanted) setKnown({ id, shares });
            },
            () => undefined,
          ),
      SHARES_AFTER_MS,
    );
    return () => {
      isWanted = false;
      clearTimeout(later);
    };
  }, [id, view]);
  return known?.id === id ? known.shares : [];
}
