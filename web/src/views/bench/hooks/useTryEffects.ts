import { useMemo, useState } from 'react';
import type { Catalogue } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import { type DeadEnd } from '../panes/deadEnds';
import { isBlocked } from '../panes/trySorts';
import { effectsOf, sharedWords, type TryEffect } from '../panes/tryEffects';

/**
 * What each row would do to snags, and the words that all rows of the first one's kind share. A row that came before
 * keeps its list, and words that are the same keep their set, so that no row is drawn again for nothing.
 */
export function useTryEffects(
  sorted: readonly GoingRow[],
  deadEnds: ReadonlyMap<string, DeadEnd>,
  catalogue: Catalogue,
): { readonly effects: ReadonlyMap<string, readonly TryEffect[]>; readonly shared: ReadonlySet<string> } {
  const [known] = useState(
    () => new WeakMap<GoingRow, { deadEnd: string | undefined; effects: readonly TryEffect[] }>(),
  );
  const effects = useMemo(
    () =>
      new Map(
        sorted.map((row) => {
          const deadEnd = deadEnds.get(row.sheet)?.words;
          const had = known.get(row);
          if (had && had.deadEnd === deadEnd) return [row.sheet, had.effects] as const;
          const fresh = effectsOf(row, deadEnd);
          known.set(row, { deadEnd, effects: fresh });
          return [row.sheet, fresh] as const;
        }),
      ),
    [sorted, deadEnds, known],
  );
  const words = useMemo(() => {
    const kindOf = (row: GoingRow) => catalogue.sheets[row.sheet]?.kind;
    const [first] = sorted;
    const alike = first ? sorted.filter((row) => !isBlocked(row) && kindOf(row) === kindOf(first)) : [];
    return [...sharedWords(alike.map(({ sheet }) => effects.get(sheet) ?? []))].join('\n');
  }, [effects, sorted, catalogue]);
  const shared = useMemo(() => new Set(words ? words.split('\n') : []), [words]);
  return { effects, shared };
}
