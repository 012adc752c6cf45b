import { createDesk, fetchJoining } from './desk';
import { forget, forgetKeys, keep, keptOf } from './keptStore';
import { tellKeyWanted } from '../state/keyWanted';
import { settleIn } from '../worker/client';
import { serverAt } from './server';

const listeners = new Set<(id: string) => void>();
/** Calls back with the id of each machine whose draft has moved on. Gives what ends that. */
export function onDraftChanged(listener: (id: string) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The one desk of this page. */
export const desk = createDesk({
  ...serverAt('', tellKeyWanted),
  keptOf,
  keep,
  forget,
  forgetKeys,
  settle: settleIn,
  now: () => Date.now(),
  later: (ms, work) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
  changed: (id) => {
    for (const listener of listeners) listener(id);
  },
});

const FETCHED_AFTER_MS = 2_000;
globalThis.addEventListener?.('load', () => setTimeout(fetchJoining, FETCHED_AFTER_MS));
