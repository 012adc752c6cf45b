/**
 * Work that one question may still cost, over everything that is tried for it: seatings of cards and adapters, tables
 * laid, choices of the dealing. A count and never time, so that the same question has the same answer everywhere. Each
 * piece of work spends about what it takes in microseconds of an ordinary machine; when all is spent, what is best so
 * far is the answer, and is said to be undecided.
 */
export type Work = { left: number };

/** For one settling. */
export const MOST_WORK = 650_000;

export const spend = (work: Work, many: number): void => {
  work.left -= many;
};
export const isSpent = (work: Work): boolean => work.left <= 0;
