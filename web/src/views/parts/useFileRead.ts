import { useEffect, useState } from 'react';
import type { ReadFile, StockEntry, StockRead } from '@inch-tower/core';
import type { OwnedCatalogue } from '../../state/api';
import { startReader } from '../../worker/client';

type FileRead = { readonly read: ReadFile; readonly stock: StockRead };
type Looked = {
  /** What stands in the text; null without any, or while it is looked at. */ readonly found: FileRead | null;
  readonly isLooking: boolean;
  /** Why it could not be looked at. */ readonly problem: string | null;
};
/** Typing goes on while the worker would start for every key. */
const AFTER_MS = 150;

/**
 * A file of parts as it is read off the page's thread, against the catalogue and the stock that are here; looked at
 * anew when any of them changes.
 */
export function useFileRead(text: string, catalogue: OwnedCatalogue, here: readonly StockEntry[] | undefined): Looked {
  const [answer, setAnswer] = useState<{ readonly of: string; readonly found: FileRead | null } | null>(null);
  const isEmpty = text.trim() === '';
  useEffect(() => {
    if (isEmpty) return undefined;
    let end = (): void => undefined;
    const timer = setTimeout(() => {
      const started = startReader(catalogue);
      end = started.end;
      Promise.race([started.reader.readParts(text, here ?? null), started.failed])
        .then(
          (found) => setAnswer({ of: text, found }),
          () => setAnswer({ of: text, found: null }),
        )
        .finally(end);
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      end();
    };
  }, [text, isEmpty, catalogue, here]);
  // An answer about another text says nothing of this one.
  const now = isEmpty || answer?.of !== text ? null : answer;
  return {
    found: now?.found ?? null,
    isLooking: !isEmpty && now === null,
    problem: now && !now.found ? 'The text could not be looked at. It is still here: choose the file again.' : null,
  };
}
