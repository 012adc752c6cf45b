import type { Logger } from 'pino';
import type { Store } from '../database/store';
import type { Jobs } from './jobs';

export type Cards = {
  /** Tells that a build was saved. */ wanted(): void;
  /** Tells that somebody looks at a list with cards missing. */ looked(): void;
  stop(): void;
  readonly stamp: string;
};
const AT_ONCE = 8;
const FULL_MS = 1_000;
/**
 * A build that is being worked on is left alone until it rests so long: every save would ask for a card that the next
 * one makes old.
 */
const AT_REST_MS = 1_500;
const FAULT = 'Its figures could not be worked out: a fault of ours.';

/** Computes the cards of the first page after saves, one at a time, so that what a person waits for goes before. */
export function createCards(store: Store, jobs: Jobs, stamp: string, logger: Logger): Cards {
  let running = false;
  let more = false;
  let stopped = false;
  let timer: NodeJS.Timeout | undefined;

  const one = async (id: string): Promise<void> => {
    const stored = await store.findBuild(id);
    if (!stored) return;
    const done = await jobs.run({ what: 'card', doc: stored.doc, asOf: new Date().toISOString().slice(0, 10) });
    if (stopped) return;
    if (!done.ok && done.why === 'full') return new Promise((resolve) => setTimeout(resolve, FULL_MS).unref());
    if (!done.ok) logger.error({ build: id, why: done.why, words: done.words }, 'no card');
    await store.saveCard(
      id,
      stored.etag,
      stamp,
      done.ok ? done.text : JSON.stringify({ failed: done.why === 'tooLong' ? done.words : FAULT }),
    );
  };
  const run = async (restMs: number): Promise<void> => {
    const next = () => store.withoutCard(stamp, new Date(Date.now() - restMs), AT_ONCE);
    for (let ids = await next(); ids.length > 0 && !stopped; ids = await next()) {
      for (const id of ids) if (!stopped) await one(id);
    }
  };
  const start = (restMs: number): void => {
    clearTimeout(timer);
    timer = undefined;
    running = true;
    more = false;
    run(restMs)
      .catch((error: unknown) => {
        if (!stopped) logger.warn({ err: error }, 'cards wait');
      })
      .finally(() => {
        running = false;
        if (more && !stopped) later();
      });
  };
  const later = (): void => {
    timer ??= setTimeout(() => start(AT_REST_MS), AT_REST_MS + 100).unref();
  };
  return {
    stamp,
    wanted() {
      if (stopped) return;
      if (running) more = true;
      else later();
    },
    looked() {
      if (!stopped && !running) start(0);
    },
    stop() {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
