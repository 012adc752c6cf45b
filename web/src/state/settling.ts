import { ontoLater } from '../saving/threeWay';
import { makeStep, wantsSettling, type Build, type Edit, type Refusal, type Step } from '@inch-tower/core';

/** What the settler needs of the worker and the page; none of it throws. */
export type SettlingPorts = {
  /**
   * Has the worker settle edits of a build it knows as `rev`, and know the result as `next`; null where it died of them
   * or was silent, twice.
   */
  readonly settle: (from: Known, edits: readonly Edit[], next: number) => Promise<Step | Refusal | null>;
  readonly nextRev: () => number;
  /** A step was made: `shown` is the machine with it and with what still waits. */
  readonly made: (id: string, made: Made) => void;
  readonly refused: (id: string, words: string) => void;
  /** Shows edits as they were made, before they are settled. */
  readonly ahead: (id: string, build: Build) => void;
  readonly later: (ms: number, work: () => void) => () => void;
  /** Whether edits of a machine wait: while they do, what is shown as saved is not all that was done. */
  readonly waits: (id: string, isWaiting: boolean) => void;
};
export type Known = { readonly build: Build; readonly rev: number };
export type Made = {
  readonly step: Step;
  readonly shown: Build;
  readonly rev: number;
  /** Words for the step, where they are better than those of its edits. */ readonly words: string | undefined;
  /** `worker` knows it settled, `page` made it without, `unsolved`: it should have been settled and was not. */
  readonly by: 'worker' | 'page' | 'unsolved';
  /** Whether nothing waits behind it. */ readonly last: boolean;
};
type Waiting = {
  readonly edits: readonly Edit[];
  readonly words: string | undefined;
  readonly shown: (taken: boolean) => void;
};
type Line = {
  base: Known;
  waiting: Waiting[];
  /** With all that waits. */ tip: Build;
  isAhead: boolean;
  readonly idle: (() => void)[];
};

/** A small machine is drawn settled; one that takes longer than this, as it was made until it is. */
const AHEAD_AFTER_MS = 60;
/** Above so many drives settling may take long. */
const LARGE_DRIVES = 60;

/**
 * Edits on their way through the worker, one after another: nothing is solved on the page. What waits is never lost: it
 * is made without settling where the worker fails, and when the page goes away.
 */
export function createSettling(ports: SettlingPorts) {
  const lines = new Map<string, Line>();

  const showAhead = (id: string, line: Line): void => {
    if (lines.get(id) !== line || line.waiting.length === 0) return;
    line.isAhead = true;
    ports.ahead(id, line.tip);
    for (const { shown } of line.waiting) shown(true);
  };

  /** Takes the first of what waits out of the line, made as `step`. */
  const advance = (id: string, line: Line, step: Step, rev: number, by: Made['by']): void => {
    const { words, shown } = line.waiting.shift()!;
    line.base = { build: step.build, rev };
    line.tip = onTop(id, line);
    const last = line.waiting.length === 0;
    ports.made(id, { step, shown: line.isAhead ? line.tip : step.build, rev, words, by, last });
    shown(true);
  };

  /** What still waits, made on the base anew; what can no longer be made is said and dropped. */
  const onTop = (id: string, line: Line): Build => {
    let tip = line.base.build;
    line.waiting = line.waiting.filter(({ edits, shown }) => {
      const made = makeStep(tip, edits);
      if (made.ok) tip = made.build;
      else {
        ports.refused(id, made.words);
        shown(false);
      }
      return made.ok;
    });
    return tip;
  };

  const run = async (id: string, line: Line): Promise<void> => {
    while (lines.get(id) === line && line.waiting[0]) {
      const { edits, shown } = line.waiting[0];
      const rev = ports.nextRev();
      const step = await ports.settle(line.base, edits, rev);
      // Sent off unsolved meanwhile, because the page goes away.
      if (lines.get(id) !== line) return;
      if (step?.ok) advance(id, line, step, rev, 'worker');
      else if (step) {
        line.waiting.shift();
        ports.refused(id, step.words);
        line.tip = onTop(id, line);
        if (line.isAhead) ports.ahead(id, line.tip);
        shown(false);
      } else advanceUnsolved(id, line, rev);
    }
    if (lines.get(id) === line) close(id, line);
  };
  const advanceUnsolved = (id: string, line: Line, rev: number): void => {
    const step = makeStep(line.base.build, line.waiting[0]!.edits);
    if (step.ok) return advance(id, line, step, rev, 'unsolved');
    ports.refused(id, step.words);
    line.waiting.shift()!.shown(false);
    line.tip = onTop(id, line);
  };
  const close = (id: string, line: Line): void => {
    lines.delete(id);
    ports.waits(id, false);
    for (const done of line.idle) done();
  };

  return {
    /** Takes edits of the machine shown; resolves once they are on the page, false where they were refused. */
    take(id: string, shown: Known, asked: readonly Edit[], words?: string): Promise<boolean> {
      const line = lines.get(id);
      const edits = ontoLater(shown.build, line?.tip ?? shown.build, asked);
      const made = makeStep(line?.tip ?? shown.build, edits);
      if (!made.ok) {
        ports.refused(id, made.words);
        return Promise.resolve(false);
      }
      if (!line && !wantsSettling(edits)) {
        const rev = ports.nextRev();
        ports.made(id, { step: made, shown: made.build, rev, words, by: 'page', last: true });
        return Promise.resolve(true);
      }
      return new Promise((resolve) => {
        const waiting: Waiting = { edits, words, shown: resolve };
        if (line) {
          line.waiting.push(waiting);
          line.tip = made.build;
          if (line.isAhead) showAhead(id, line);
          return;
        }
        const fresh: Line = { base: shown, waiting: [waiting], tip: made.build, isAhead: false, idle: [] };
        lines.set(id, fresh);
        ports.waits(id, true);
        if (drivesIn(made.build) > LARGE_DRIVES) showAhead(id, fresh);
        else ports.later(AHEAD_AFTER_MS, () => showAhead(id, fresh));
        void run(id, fresh);
      });
    },

    /** Resolves once nothing of a machine waits any more. */
    idle(id: string): Promise<void> {
      const line = lines.get(id);
      return line ? new Promise((resolve) => line.idle.push(resolve)) : Promise.resolve();
    },
    isIdle: (id: string): boolean => !lines.has(id),

    /** Makes all that waits, unsolved: the page is about to go away. */
    flush(): void {
      for (const [id, line] of lines) {
        while (line.waiting.length > 0) advanceUnsolved(id, line, ports.nextRev());
        close(id, line);
      }
    },
  };
}

const drivesIn = ({ items, sheets }: Build): number =>
  items.reduce((sum, item) => sum + (sheets[item.sheet]?.kind === 'drive' ? item.units.length : 0), 0);
