import { proxy, wrap, type Remote } from 'comlink';
import type { Build, Edit } from '@inch-tower/core';
import type { OwnedCatalogue } from '../state/api';
import type { AskFrom, BenchView, BenchWorker, TryBatch } from './messages';

/** How long the worker may be silent on what was done to a machine before it is ended and started again. */
const SILENT_MS = 5_000;

let running: { readonly worker: Worker; readonly remote: Remote<BenchWorker> } | null = null;
let catalogue: OwnedCatalogue | null = null;

function start(): NonNullable<typeof running> {
  const worker = new Worker(new URL('./benchWorker.ts', import.meta.url), { type: 'module', name: 'assess' });
  running = { worker, remote: wrap<BenchWorker>(worker) };
  if (catalogue) void running.remote.setCatalogue(catalogue, catalogue.own);
  return running;
}

/** The one worker of the page, started when first asked for. */
export const benchWorker = (): Remote<BenchWorker> => (running ?? start()).remote;

/** The catalogue the worker tries parts from; one that is started again gets it too. */
export function giveCatalogue(fresh: OwnedCatalogue): void {
  catalogue = fresh;
  void benchWorker().setCatalogue(fresh, fresh.own);
}

/** Ends the worker, whatever it is at: what was asked of it is never answered. */
function endWorker(): void {
  running?.worker.terminate();
  running = null;
}

/** What was asked, or why there is no answer: the worker died of it, or was silent too long. */
type Asked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly why: 'silent' | 'died'; readonly words: string };

function within<T>(answer: Promise<T>): Promise<Asked<T>> {
  const { worker } = running ?? start();
  return new Promise((resolve) => {
    const done = (what: Asked<T>): void => {
      clearTimeout(timer);
      worker.removeEventListener('error', onError);
      resolve(what);
    };
    const onError = (event: ErrorEvent): void => done({ ok: false, why: 'died', words: event.message });
    const timer = setTimeout(
      () => done({ ok: false, why: 'silent', words: `It took longer than ${SILENT_MS / 1000} s.` }),
      SILENT_MS,
    );
    worker.addEventListener('error', onError);
    answer.then(
      (value) => done({ ok: true, value }),
      (error: unknown) =>
        done({ ok: false, why: 'died', words: error instanceof Error ? error.message : String(error) }),
    );
  });
}

export type Viewed = { readonly ok: true; readonly view: BenchView } | { readonly ok: false; readonly words: string };

/** Only who asked last may end a worker: an earlier question is of a state nobody looks at any more. */
let asked = 0;

/**
 * The view of a build: by the edits that cable to it where the worker has the build before them, else from the whole. A
 * worker that dies of it or is silent is started again and given the whole once more; after that the machine is said
 * not to be worked out.
 */
export async function viewOf(build: Build, rev: number, edits: readonly Edit[] | null): Promise<Viewed> {
  const mine = ++asked;
  const first = await within(edits ? benchWorker().apply(edits, rev) : benchWorker().open(build, rev));
  if (first.ok && first.value) return { ok: true, view: first.value };
  if (mine !== asked) return { ok: false, words: 'Something newer was asked.' };
  if (!first.ok) endWorker();
  const second = await within(benchWorker().open(build, rev));
  if (second.ok) return { ok: true, view: second.value };
  if (mine === asked) endWorker();
  return { ok: false, words: second.words };
}

export const streamTry = (ask: AskFrom, onBatch: (batch: TryBatch) => void): Promise<void> =>
  benchWorker().tryAt(ask, proxy(onBatch));
