import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Piscina } from 'piscina';

export type Job = {
  readonly what: 'assessment' | 'bill' | 'drawing' | 'card';
  /** A build as JSON. */ readonly doc: string;
  /** ISO date that ages and prices are read at. */ readonly asOf: string;
};
/** A job's answer, or why there is none: too many wait already, or it took longer than a job may. */
type Done =
  | { readonly ok: true; readonly text: string }
  | { readonly ok: false; readonly why: 'full' | 'tooLong' | 'fault'; readonly words: string };
export type Jobs = { run(job: Job): Promise<Done>; stop(): Promise<void> };

const WORKER = resolve('server/src/work/worker.ts');
const MOST_WAITING = 32;
const LONGEST_MS = 20_000;
const MOST_MB = 768;
const IDLE_MS = 60_000;

/** Worker threads for what may take long: the thread that answers requests is never held by a build. */
export function createJobs(): Jobs {
  let pool: Piscina<Job, string> | null = null;
  const start = (): Piscina<Job, string> =>
    new Piscina<Job, string>({
      filename: WORKER,
      execArgv: ['--import', 'tsx'],
      minThreads: 0,
      maxThreads: Math.max(1, Math.min(4, availableParallelism())),
      idleTimeout: IDLE_MS,
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
  return {
    async run(job) {
      pool ??= start();
      const late = AbortSignal.timeout(LONGEST_MS);
      try {
        return { ok: true, text: await pool.run(job, { signal: late }) };
      } catch (error) {
        const words = error instanceof Error ? error.message : String(error);
        if (late.aborted) return { ok: false, why: 'tooLong', words: `It took longer than ${LONGEST_MS / 1000} s.` };
        return { ok: false, why: /queue/i.test(words) ? 'full' : 'fault', words };
      }
    },
    async stop() {
      await pool?.destroy();
      pool = null;
    },
  };
}
