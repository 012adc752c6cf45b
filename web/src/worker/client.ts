import { proxy, wrap, type Remote } from 'comlink';
import type { AskFrom, BenchWorker, TryBatch } from './messages';

let remote: Remote<BenchWorker> | null = null;

/** The one worker of the page, started when first asked for. */
export function benchWorker(): Remote<BenchWorker> {
  remote ??= wrap<BenchWorker>(new Worker(new URL('./benchWorker.ts', import.meta.url), { type: 'module', name: 'assess' }));
  return remote;
}

export const streamTry = (ask: AskFrom, onBatch: (batch: TryBatch) => void): Promise<void> => benchWorker().tryAt(ask, proxy(onBatch));
