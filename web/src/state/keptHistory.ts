import equal from 'fast-deep-equal';
import type { Build } from '@inch-tower/core';
import type { HistoryStep } from './benchSlice';

/** What can be undone and done again, with the machine it belongs to. */
type History = { readonly past: readonly HistoryStep[]; readonly future: readonly HistoryStep[] };
type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

const keyOf = (id: string): string => `inch-tower.history.${id}`;
/** More than anybody takes back, and little enough for a browser to keep. */
const MOST_STEPS = 60;

/** Keeps the history of a machine while its page is away: for a reload, or a look at another view. */
export function keepHistory(build: Build, { past, future }: History, store: Store): void {
  try {
    if (past.length === 0 && future.length === 0) return store.removeItem(keyOf(build.id));
    const kept = { build, past: past.slice(-MOST_STEPS), future: future.slice(0, MOST_STEPS) };
    store.setItem(keyOf(build.id), JSON.stringify(kept));
  } catch {
    // A browser that keeps nothing, or has no room: what was done stays done, and undo ends with the page.
  }
}

/** The history kept for a machine; none where the machine is no longer as it was then. */
export function keptHistory(build: Build, store: Store): History {
  try {
    const kept = JSON.parse(store.getItem(keyOf(build.id)) ?? 'null') as (History & { readonly build: Build }) | null;
    // A section that is open is a key without a value here, and no key in what was kept.
    if (kept && equal(kept.build, JSON.parse(JSON.stringify(build)))) return { past: kept.past, future: kept.future };
  } catch {
    // Not readable, so not ours any more.
  }
  return { past: [], future: [] };
}

/** This tab's own store; one that keeps nothing where the browser denies it. */
export function tabStore(): Store {
  try {
    return sessionStorage;
  } catch {
    return { getItem: () => null, setItem: () => undefined, removeItem: () => undefined };
  }
}
