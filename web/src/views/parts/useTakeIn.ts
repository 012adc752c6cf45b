import { useRef, useState } from 'react';
import { batchesOf, type Archetype, type Sheet, type StockEntry } from '@inch-tower/core';
import { problemOf, useAddStockMutation, useImportSheetsMutation } from '../../state/api';

export type TakingIn = { readonly done: number; readonly of: number };
/** How taking in ended: all of it, stopped by who began it, or not, with why. */
type Ended = { readonly ok: true } | { readonly ok: false; readonly words: string };

/** Takes parts and stock in, parcel by parcel, with how far it is; stopped, what was taken stays. */
export function useTakeIn() {
  const [importSheets] = useImportSheetsMutation();
  const [addStock] = useAddStockMutation();
  const [taking, setTaking] = useState<TakingIn | null>(null);
  const isStopped = useRef(false);
  const parts = async (sheets: readonly Sheet[], archetypes: readonly Archetype[]): Promise<Ended> => {
    let done = 0;
    for (const batch of batchesOf(sheets)) {
      if (isStopped.current) return { ok: false, words: `Stopped: ${done} of ${sheets.length} parts were imported.` };
      const answer = await importSheets({ sheets: batch, archetypes: done === 0 ? archetypes : [] });
      if (!answer.data) {
        const before = done > 0 ? `${done} parts were imported before. ` : '';
        return { ok: false, words: `${before}${problemOf(answer.error).detail} The rows are still here.` };
      }
      done += batch.length;
      setTaking({ done, of: sheets.length });
    }
    return { ok: true };
  };
  const take = async (
    sheets: readonly Sheet[],
    archetypes: readonly Archetype[],
    entries: readonly StockEntry[],
  ): Promise<Ended> => {
    isStopped.current = false;
    setTaking({ done: 0, of: sheets.length });
    try {
      const imported = await parts(sheets, archetypes);
      if (!imported.ok || entries.length === 0) return imported;
      const added = await addStock({ sheets: [], entries });
      if (added.data) return { ok: true };
      const before = sheets.length > 0 ? 'The parts were imported, the stock was not. ' : '';
      return { ok: false, words: `${before}${problemOf(added.error).detail} The rows are still here.` };
    } finally {
      setTaking(null);
    }
  };
  const stop = () => {
    isStopped.current = true;
  };
  return { take, taking, stop };
}
