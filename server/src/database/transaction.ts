import { DatabaseError, type Sequelize, type Transaction } from 'sequelize';

const TRIES = 12;
const FIRST_PAUSE_MS = 5;
const LONGEST_PAUSE_MS = 200;
/** Deadlock, lock wait timeout, record changed since last read (MariaDB error numbers). */
const IN_EACH_OTHERS_WAY = new Set([1213, 1205, 1020]);

/** Two pieces of work stood in each other's way too often; nothing of this one was done. */
export class BusyError extends Error {}

const isInTheWay = (error: unknown): boolean =>
  error instanceof DatabaseError &&
  IN_EACH_OTHERS_WAY.has((error.original as { errno?: number } | undefined)?.errno ?? 0);

/**
 * Tries work again, after a growing, uneven pause, where the database ended it because another stood in the way. The
 * work is all or nothing.
 */
export async function untilOutOfTheWay<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await work();
    } catch (error) {
      if (!isInTheWay(error)) throw error;
      if (tries === TRIES) throw new BusyError('in each other’s way');
      const pauseMs = Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** tries) * (0.5 + Math.random());
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
}

/** Runs work in a transaction, all or nothing, again where others stood in the way. */
export const inTransaction = <T>(database: Sequelize, work: (transaction: Transaction) => Promise<T>): Promise<T> =>
  untilOutOfTheWay(() => database.transaction(work));

/** One after another in this process, so that what waits for a row holds no connection of the pool. */
export function createQueue(): <T>(work: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const mine = last.then(work, work);
    last = mine.catch(() => undefined);
    return mine;
  };
}
