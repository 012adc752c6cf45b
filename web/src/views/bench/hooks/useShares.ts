import { useEffect, useState } from 'react';
import type { FigureId, Share } from '@inch-tower/core';
import { useAppSelector } from '../../../state/store';
import { benchWorker } from '../../../worker/client';

/** What a figure of the machine on the page is made of; the last answer stands until the next is there. */
export function useShares(id: FigureId): readonly Share[] {
  const view = useAppSelector((state) => state.bench.view);
  const [known, setKnown] = useState<{ readonly id: FigureId; readonly shares: readonly Share[] } | null>(null);
  useEffect(() => {
    if (!view) return;
    let isWanted = true;
    // After the paint: the figures themselves come first.
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
      30,
    );
    return () => {
      isWanted = false;
      clearTimeout(later);
    };
  }, [id, view]);
  return known?.id === id ? known.shares : [];
}
