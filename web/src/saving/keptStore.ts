import { createStore, delMany, entries, set } from 'idb-keyval';
import type { Kept, KeptCopy } from './draft';
import { readKeptCopy } from './keptCopy';

/** This page among the tabs of the browser; new at every load, so that a tab that was doubled is another. */
const TAB = [...crypto.getRandomValues(new Uint8Array(8))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
const LOCK = 'inch-tower-tab-';
/** No id of a machine has a blank in it. Copies of the first format stand under the id alone. */
const BETWEEN = ' ';
const keyOf = (id: string): string => `${id}${BETWEEN}${TAB}`;

let opened: ReturnType<typeof createStore> | null = null;
const store = () => (opened ??= createStore('inch-tower', 'unsaved'));

/** Held as long as the page lives: by it other tabs know that this one looks after its copies. */
const alive = new Promise<void>((resolve) => {
  if (!navigator.locks) return resolve();
  navigator.locks
    .request(LOCK + TAB, () => {
      resolve();
      return new Promise<never>(() => undefined);
    })
    .catch(() => resolve());
});

/**
 * Tabs open now. Without locks (plain HTTP in a network) only this one: a copy may then be gone on with twice, and the
 * second is told.
 */
async function openTabs(): Promise<ReadonlySet<string>> {
  const held = await navigator.locks?.query().catch(() => null);
  return new Set([
    TAB,
    ...(held?.held ?? []).flatMap((lock) => (lock.name?.startsWith(LOCK) ? [lock.name.slice(LOCK.length)] : [])),
  ]);
}

/**
 * What closed tabs left, of one machine or of all. A storage that is blocked holds nothing; a copy that cannot be read
 * is left where it is.
 */
async function leftBehind(
  goes: (id: string) => boolean,
): Promise<readonly { readonly id: string; readonly kept: Kept }[]> {
  try {
    const [all, tabs] = await Promise.all([entries<string, KeptCopy>(store()), openTabs()]);
    return all.flatMap(([key, copy]) => {
      const [id = '', tab = ''] = String(key).split(BETWEEN);
      if (!goes(id) || (tab && tabs.has(tab))) return [];
      const kept = readKeptCopy(copy);
      return kept ? [{ id, kept: { ...kept, key } }] : [];
    });
  } catch {
    return [];
  }
}

export const keptOf = async (id: string): Promise<readonly Kept[]> =>
  (await leftBehind((one) => one === id)).map(({ kept }) => kept);
export const keptOfAll = (): ReturnType<typeof leftBehind> => leftBehind(() => true);

/** True when it is really kept. */
export async function keep(id: string, copy: KeptCopy): Promise<boolean> {
  try {
    await alive;
    await set(keyOf(id), copy, store());
    return true;
  } catch {
    return false;
  }
}

export const forget = (id: string): Promise<void> => forgetKeys([keyOf(id)]);

export async function forgetKeys(keys: readonly string[]): Promise<void> {
  if (keys.length === 0) return;
  try {
    // As keeping does, so that what is kept and then forgotten is done in that order.
    await alive;
    await delMany([...keys], store());
  } catch {
    // Nothing could be kept, so there is nothing to forget.
  }
}
