import type { Assessor, AssessOptions, Base, Catalogue, QuietProgress, SupplyPoint } from '@inch-tower/core';
import type * as Seldom from './seldom';
import type { BenchWorker, QuietRows } from './messages';
import { breathe, effects, row } from './rows';

type Searches = Pick<BenchWorker, 'quieten' | 'growth' | 'sizes' | 'supplies'>;
type Open = {
  readonly base: () => Base | null;
  /** Parts that can be bought. */ readonly listed: () => Catalogue;
  readonly weighing: Assessor;
  readonly options: () => AssessOptions;
  /** Begins a question; what it gives says whether something newer was asked since. */
  readonly ask: () => () => boolean;
};

/** A progress is told no more often than that. */
const TELL_MS = 150;

const supplyRow = (one: SupplyPoint) => ({
  ...row({ ...one, title: `Take ${one.name} instead` }),
  cure: true,
  name: one.name,
  givesW: one.givesW,
  lossKwh: one.lossKwh,
  lossMinor: one.lossMinor,
  earDb: one.earDb,
  costs: effects([...one.causes, ...one.worsens]),
});

/** Questions that weigh many machines: each is left when something newer is asked. */
export function searches({ base, listed, weighing, options, ask }: Open): Searches {
  /** What a search comes to; null when it was left, or nothing is open. */
  async function found<P, T>(
    begin: (from: Base, seldom: typeof Seldom) => Generator<P, T>,
    onProgress?: (so: P) => void,
  ): Promise<T | null> {
    const isLate = ask();
    const from = base();
    if (!from) return null;
    const run = begin(from, await import('./seldom'));
    let told = performance.now();
    for (let next = run.next(); ; next = run.next()) {
      if (next.done) return next.value;
      if (onProgress && performance.now() - told > TELL_MS) {
        onProgress(next.value);
        told = performance.now();
      }
      await breathe();
      if (isLate()) return null;
    }
  }

  return {
    async quieten(onProgress) {
      const rows = (so: QuietProgress): QuietRows => ({
        ...so,
        best: so.best.map((one) => ({
          ...row(one),
          cure: true,
          savesDb: one.savesDb,
          duty: one.duty,
          hottestC: one.hottestC,
        })),
      });
      const all = await found(
        (from, { quieten }) => quieten(from, listed(), weighing, options()),
        (so) => onProgress(rows(so)),
      );
      return all && rows(all);
    },

    async growth() {
      const told = await found((from, { growthOf }) => growthOf(from, listed(), weighing, options()));
      const next = told?.steps[0];
      if (!told || !next) return null;
      const { steps, limit } = told;
      const last = limit ? steps[limit.at - 1] : steps.at(-1);
      return {
        next: {
          ...row({ ...next, title: `${next.count} × ${next.name}` }),
          cure: true,
          name: next.name,
          count: next.count,
          usableTb: next.usableTb,
          months: next.months,
          costs: effects([...next.causes, ...next.worsens]),
        },
        most: last ? { usableTb: last.usableTb, drives: last.drives, fullAt: last.months } : null,
        limit: effects(limit?.snags ?? []),
        met: told.met.flatMap(({ at, snag }) =>
          effects([snag]).map((effect) => ({ ...effect, boughtAt: steps[at]!.boughtAt, drives: steps[at]!.drives })),
        ),
      };
    },

    async sizes() {
      const told = await found((from, { sizesFor }) => sizesFor(from, listed(), weighing, options()));
      return (
        told && {
          ...told,
          rows: told.rows.map((one) => ({
            ...row({ ...one, title: `${one.count} × ${one.name}` }),
            cure: true,
            name: one.name,
            tb: one.tb,
            count: one.count,
            layout: one.layout,
            widths: one.widths,
            rebuildH: one.rebuildH,
            fiveYears: one.fiveYears,
            isNow: one.isNow,
            costs: effects([...one.causes, ...one.worsens]),
          })),
        }
      );
    },

    async supplies(supply) {
      const choice = await found((from, { supplyOffers }) => supplyOffers(from, supply, listed(), weighing, options()));
      return (
        choice && {
          offers: choice.offers.map((offer) => ({
            ...supplyRow(offer),
            savesKwh: offer.savesKwh,
            savesMinor: offer.savesMinor,
          })),
          now: choice.now,
          all: choice.all.map((one) => ({ ...supplyRow(one), isTooSmall: one.isTooSmall })),
        }
      );
    },
  };
}
