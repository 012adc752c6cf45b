import { createStore, del, get, set } from 'idb-keyval';
import type { Build, Edit } from '@inch-tower/core';

/** Edits the server has not answered yet, with the version they were made on: they outlive the page. */
export type Unsaved = { readonly build: Build; readonly etag: string; readonly edits: readonly (readonly Edit[])[] };

const store = () => createStore('inch-tower', 'unsaved');
let opened: ReturnType<typeof store> | null = null;
const own = () => (opened ??= store());

/** Null when nothing is kept, or this browser keeps nothing (a private window). */
export async function readUnsaved(id: string): Promise<Unsaved | null> {
  try {
    return (await get<Unsaved>(id, own())) ?? null;
  } catch {
    return null;
  }
}

/** True when it is really kept. */
export async function keepUnsaved(id: string, unsaved: Unsaved): Promise<boolean> {
  try {
    await set(id, unsaved, own());
    return true;
  } catch {
    return false;
  }
}

export async function forgetUnsaved(id: string): Promise<void> {
  try {
    await del(id, own());
  } catch {
    // Nothing was kept, so there is nothing to forget.
  }
}
