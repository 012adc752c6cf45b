import { proxy, wrap, type Remote } from 'comlink';
import type { Build, Edit, Refusal, Step } from '@inch-tower/core';
import type { OwnedCatalogue } from '../state/api';
import type { AskFrom, BenchView, BenchWorker, QuietRows, TryBatch } from './messages';

/**
 * How long the worker may be silent on what was done to a machine before it is ended: the first time, and started again
 * with the whole, where a slow computer is at its limit rather than the worker at fault.
 */
const SILENT_MS = [3_000, 12_000] as const;
/** How long its script may take to arrive and run. */
const START_MS = 20_000;

type Running = {
  readonly worker: Worker;
  readonly remote: Remote<BenchWorker>;
  /** Once it runs: before that it is not silent, it is being fetched. */ readonly isReady: Promise<unknown>;
};
let running: Running | null = null;
/** The second worker, for what may take long, and the machine it has. */
let searching: (Running & { has: Build | null }) | null = null;
let catalogue: OwnedCatalogue | null = null;

function started(name: string): Running {
  const worker = new Worker(new URL('./benchWorker.ts', import.meta.url), { type: 'module', name });
  const remote = wrap<BenchWorker>(worker);
  const isReady = Promise.resolve(remote.ready());
  if (catalogue) void remote.setCatalogue(catalogue, catalogue.own);
  return { worker, remote, isReady };
}
const start = (): Running => (running = started('assess'));

/** The worker that has the open machine, started when first asked for. */
export const benchWorker = (): Remote<BenchWorker> => (running ?? start()).remote;

/** The catalogue the workers try parts from; one that is started again gets it too. */
export function giveCatalogue(fresh: OwnedCatalogue): void {
  if (fresh === catalogue) return;
  catalogue = fresh;
  void benchWorker().setCatalogue(fresh, fresh.own);
  void searching?.remote.setCatalogue(fresh, fresh.own);
}

/** A worker of its own for files of parts, which may take seconds; it ends with the page that asked. */
export function startReader(fresh: OwnedCatalogue): {
  readonly reader: Remote<BenchWorker>;
  /** Rejects where its script cannot be had, or breaks. */ readonly failed: Promise<never>;
  readonly end: () => void;
} {
  const { worker, remote } = started('parts');
  void remote.setCatalogue(fresh, fresh.own);
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the reader of parts failed')));
  });
  return { reader: remote, failed, end: () => worker.terminate() };
}

/** Ends the worker, whatever it is at: what was asked of it is never answered. */
function endWorker(): void {
  running?.worker.terminate();
  running = null;
}

/** How long a search may take before the worker that is at it is ended. */
const SEARCH_MS = 60_000;
export type Searcher = Remote<BenchWorker>;
/** What a search found; null where something newer was asked, `late` where it took too long or failed. */
export type Searched<T> = T | null | 'late';

/** Asks the second worker about a machine, so that edits of it never wait for what may take long. */
export async function searchIn<T>(
  build: Build,
  rev: number,
  ask: (searcher: Searcher) => Promise<T | null>,
): Promise<Searched<T>> {
  const mine = (searching ??= { ...started('search'), has: null });
  void mine.remote.stop();
  if (mine.has !== build) {
    mine.has = build;
    void mine.remote.open(build, rev);
  }
  let settled = (): void => undefined;
  const late = new Promise<'late'>((resolve) => {
    const end = (): void => {
      mine.worker.terminate();
      if (searching === mine) searching = null;
      resolve('late');
    };
    const timer = setTimeout(end, SEARCH_MS);
    mine.worker.addEventListener('error', end);
    settled = () => {
      clearTimeout(timer);
      mine.worker.removeEventListener('error', end);
    };
  });
  try {
    return await Promise.race([ask(mine.remote), late]);
  } catch {
    return 'late';
  } finally {
    settled();
  }
}

/** Ends what the second worker is at; what it found so far stays with who asked. */
export const stopSearch = (): void => void searching?.remote.stop();

/** A search that tells how far it is. */
export const quietSearch = (searcher: Searcher, onProgress: (rows: QuietRows) => void): Promise<QuietRows | null> =>
  searcher.quieten(proxy(onProgress));

/** What was asked, or why there is no answer: the worker died of it, or was silent too long. */
type Asked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly why: 'silent' | 'died'; readonly words: string };

/** Waits for an answer so long from when the worker runs. */
function within<T>(answer: Promise<T>, silentMs: number = SILENT_MS[0]): Promise<Asked<T>> {
  const { worker, isReady } = running ?? start();
  return new Promise((resolve) => {
    const done = (what: Asked<T>): void => {
      clearTimeout(timer);
      worker.removeEventListener('error', onError);
      resolve(what);
    };
    const onError = (event: ErrorEvent): void => done({ ok: false, why: 'died', words: event.message });
    const silentAfter = (ms: number) =>
      setTimeout(() => done({ ok: false, why: 'silent', words: `It took longer than ${ms / 1000} s.` }), ms);
    let timer = silentAfter(START_MS);
    worker.addEventListener('error', onError);
    const failed = (error: unknown): void =>
      done({ ok: false, why: 'died', words: error instanceof Error ? error.message : String(error) });
    isReady.then(() => {
      clearTimeout(timer);
      timer = silentAfter(silentMs);
    }, failed);
    // What is answered at once is answered before the worker has said that it runs.
    answer.then((value) => isReady.then(() => done({ ok: true, value }), failed), failed);
  });
}

export type Viewed = { readonly ok: true; readonly view: BenchView } | { readonly ok: false; readonly words: string };

/** Only who asked last may end a worker: an earlier question is of a state nobody looks at any more. */
let asked = 0;

/** Edits that lead from a revision the worker may have to this one; `null` where they were committed there. */
export type Since = { readonly from: number; readonly edits: readonly Edit[] } | 'committed' | null;

/**
 * The view of a build: by the edits since what the worker has, else from the whole. A worker that dies of it or is
 * silent is started again and given the whole once more; after that the machine is said not to be worked out.
 */
export async function viewOf(build: Build, rev: number, since: Since): Promise<Viewed> {
  const mine = ++asked;
  const ask = (): Promise<BenchView | null> => {
    if (since === 'committed') return benchWorker().view(rev);
    return since ? benchWorker().apply(since.edits, since.from, rev) : benchWorker().open(build, rev);
  };
  const first = await within(ask());
  if (first.ok && first.value) return { ok: true, view: first.value };
  if (mine !== asked) return { ok: false, words: 'Something newer was asked.' };
  if (!first.ok) endWorker();
  const second = await within(benchWorker().open(build, rev), SILENT_MS[1]);
  if (second.ok) return { ok: true, view: second.value };
  if (mine === asked) endWorker();
  return { ok: false, words: second.words };
}

/** Settles edits in the worker and leaves their result open there; null where it failed or was silent, twice. */
export async function commitIn(
  from: { readonly build: Build; readonly rev: number },
  edits: readonly Edit[],
  rev: number,
): Promise<Step | Refusal | null> {
  asked++;
  const first = await within((async () => benchWorker().commit(edits, from.rev, rev))());
  if (first.ok && first.value) return first.value;
  if (!first.ok) endWorker();
  const second = await within((async () => benchWorker().commitOn(from.build, edits, rev))(), SILENT_MS[1]);
  if (second.ok) return second.value;
  endWorker();
  return null;
}

/** Settles edits of a machine that need not be the open one; null where that failed. */
export async function settleIn(build: Build, edits: readonly Edit[]): Promise<Step | Refusal | null> {
  const answer = await within((async () => benchWorker().settle(build, edits))());
  if (answer.ok) return answer.value;
  endWorker();
  return null;
}

export const streamTry = (ask: AskFrom, from: OwnedCatalogue, onBatch: (batch: TryBatch) => void): Promise<void> => {
  giveCatalogue(from);
  return benchWorker().tryAt(ask, proxy(onBatch));
};
