import { createAssessor, wordsOf, type Assessor, type Base } from '@inch-tower/core';
import type { BenchWorker } from './messages';
import type * as Seldom from './seldom';

type Views = Pick<
  BenchWorker,
  | 'power'
  | 'pool'
  | 'air'
  | 'readings'
  | 'reckoned'
  | 'movers'
  | 'winterToSummer'
  | 'bill'
  | 'readBill'
  | 'billView'
  | 'stagesWork'
  | 'compare'
  | 'drawing'
  | 'wiring'
>;
type Open = { readonly base: () => Base | null; readonly assessor: Assessor; readonly asOf: () => string };

/** What the pages beside the bench ask of the machine that is open; what works it out loads on call. */
export function viewAnswers({ base, assessor, asOf }: Open): Views {
  /** With what is open, worked out; null while nothing is. */
  const withOpen = async <T>(answer: (now: Base, seldom: typeof Seldom) => T): Promise<T | null> => {
    const now = base();
    return now && answer(now, await import('./seldom'));
  };
  return {
    power: () =>
      withOpen(({ build, assessment }, { goneOf, powerBoxes, powerOf }) => {
        const context = assessor.context(build);
        const cables = powerBoxes(assessor.plugs(build), assessment.units);
        return { ...powerOf(context, build, asOf()), cables, gone: goneOf(context, cables) };
      }),

    pool: () =>
      withOpen(({ build, assessment }, seldom) => {
        const { breaksOf, dealtOut, dealtPlaces, enduranceOf, flowTold, goneOf, memoryTold } = seldom;
        const { monthsUntilFull, poolOf, poolTold, powerBoxes, stillWalls, waysThrough, wiringFor } = seldom;
        const context = assessor.context(build);
        const gone = goneOf(context, powerBoxes(assessor.plugs(build), assessment.units));
        const wiring = wiringFor(build, assessment);
        const { sets } = poolOf(context);
        const breaks = breaksOf(assessment, wiring, gone, sets, stillWalls(context));
        const told = poolTold(context);
        const dealt = dealtOut(assessment, wiring, gone, sets, breaks.singles);
        const isKept = build.pool.sets.length > 0;
        return {
          ...told,
          ways: waysThrough(context, wiring, told.ways),
          breaks,
          dealt,
          movedOut: dealt && isKept ? dealtPlaces(build, createAssessor(), { asOf: asOf() }) : null,
          flow: flowTold(context, wiring),
          memory: memoryTold(context, build.brief.services),
          worn: enduranceOf(context, build.brief),
          monthsUntilFull: monthsUntilFull(told.all.leastTb, build.brief),
        };
      }),

    air: (tried) => withOpen(({ build }, { airOf }) => airOf(assessor.context(build), tried)),

    readings: (about) =>
      withOpen(({ build }, { kitPrint, readingsTold }) =>
        readingsTold(assessor.context(build), kitPrint(build), build.readings, about),
      ),

    movers: (id) =>
      withOpen((from, { movers }) => {
        const unit = from.assessment.units.find((one) => one.id === id);
        return unit ? movers(from.build, unit, createAssessor(), { asOf: asOf() }) : [];
      }),

    reckoned: (reading) => withOpen(({ build }, { reckonedNow }) => reckonedNow(assessor.context(build), reading)),

    winterToSummer: (other) =>
      withOpen(({ build }, { sameTemperature, soundOverAir, targetOf }) => {
        const mine = assessor.context(build);
        const targetC = targetOf(mine);
        if (targetC === null) return null;
        const beside = other && createAssessor().context(other);
        return {
          mine: soundOverAir(mine, targetC),
          other: beside && targetOf(beside) !== null ? soundOverAir(beside, targetC) : null,
          same: beside && sameTemperature(mine, beside),
        };
      }),

    bill: () => withOpen(({ build, assessment }, { billCsv, billOf }) => billCsv(billOf(build, assessment))),

    readBill: (text) => withOpen(({ build }, { readBill }) => readBill(text, build)),

    billView: () =>
      withOpen(({ build, assessment }, { billOf, reuseOf, runningOf }) => {
        const context = assessor.context(build);
        return {
          bill: billOf(build, assessment),
          running: runningOf(context, build),
          owned: reuseOf(build, assessment, context).map(({ snags, ...line }) => ({
            ...line,
            found: [...new Set(snags.map((snag) => wordsOf(snag).title.toLowerCase()))],
          })),
        };
      }),

    stagesWork: () => withOpen(({ build }, { stagesWork }) => stagesWork(build, { asOf: asOf() })),

    compare: async (builds) => (await import('./seldom')).compareBuilds(builds, { asOf: asOf() }),

    drawing: () =>
      withOpen(({ build, assessment }, { drawingSvg, sceneOf }) =>
        drawingSvg(build, sceneOf(assessment.units, assessment.layout).boxes),
      ),

    wiring: () =>
      withOpen(({ build, assessment }, { flowTold, headerLines, powerBoxes, powerSchedule, scheduleOf, wiringFor }) => {
        const wiring = wiringFor(build, assessment);
        const power = powerBoxes(assessor.plugs(build), assessment.units);
        return {
          wiring,
          schedule: scheduleOf(wiring, assessment.units),
          power,
          plugs: powerSchedule(power),
          headers: headerLines(assessment.units, assessment.layout),
          flow: flowTold(assessor.context(build), wiring),
        };
      }),
  };
}
