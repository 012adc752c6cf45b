import { useState } from 'react';
import { briefAt, minorPerMajor, type Build, type PoolSet, type PoolWay } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { BreaksPane } from './BreaksPane';
import { FlowPane } from './FlowPane';
import { fastAnswer } from './flowWords';
import { FullPane } from './FullPane';
import { fullAnswer } from './fullWords';
import { besides } from './poolEdits';
import { breaksAnswer, layoutAnswer, sizesAnswer, wayName } from './poolWords';
import { Question } from '../build/Question';
import { SizesPane } from './SizesPane';
import type { PoolView } from './usePool';
import { WaysTable } from './WaysTable';

export type PoolPaneProps = {
  readonly pool: PoolView;
  readonly build: Build;
  readonly onSets: (sets: PoolSet[], words: string) => void;
};

/** The way that is in place, as ways are named. */
const keyOf = ({ sets, rest }: PoolView): string => {
  const others = new Set(rest.map(({ id }) => id));
  return sets
    .filter(({ set }) => !others.has(set.id))
    .map(({ set, drives }) => `${set.layout}${drives.length}`)
    .join();
};

/** What is asked of a pool besides its room: one answer a line, one of them open. */
export function PoolQuestions({ pool, build, onSets }: PoolPaneProps) {
  const [open, setOpen] = useState<string | null>('ways');
  const figures = useAppSelector((state) => state.bench.view?.figures);
  const now = keyOf(pool);
  const breaks = breaksAnswer(pool.breaks);
  const [flow] = pool.flow.pools;
  const full = fullAnswer(pool.monthsUntilFull, build.brief, pool.all.leastTb, new Date());
  const asks = (id: string) => ({ id, open: open === id, onOpen: setOpen });
  return (
    <>
      {pool.ways.length > 0 && (
        <Question {...asks('ways')} title="Which layout for these drives?" answer={layoutAnswer(pool.ways, now)}>
          <WaysTable
            ways={pool.ways}
            now={now}
            money={{
              minor: (figures?.['cost.now']?.value ?? 0) * minorPerMajor(build.currency),
              currency: build.currency,
            }}
            idleW={figures?.['power.idleWallW']?.value ?? 0}
            onTake={(way: PoolWay) => onSets(besides(pool.rest, way.sets), wayName(way))}
          />
        </Question>
      )}
      {pool.breaks.singles.length > 0 && (
        <Question {...asks('breaks')} title="What may break?" answer={breaks.words} tone={breaks.tone}>
          <BreaksPane
            breaks={pool.breaks}
            dealt={pool.dealt}
            movedOut={pool.movedOut}
            inUse={!pool.isProposed}
            onSets={onSets}
          />
        </Question>
      )}
      {flow && (
        <Question {...asks('flow')} title="How fast is it?" answer={fastAnswer(flow)}>
          <FlowPane flow={pool.flow} memory={pool.memory} build={build} />
        </Question>
      )}
      {pool.sets.length > 0 && (
        <Question {...asks('full')} title="When is it full?" answer={full.words} tone={full.tone}>
          {open === 'full' && <FullPane pool={pool} build={build} />}
        </Question>
      )}
      <Question
        {...asks('sizes')}
        title="How many drives, of what size?"
        answer={sizesAnswer(briefAt(build), pool.all)}
      >
        {open === 'sizes' && <SizesPane build={build} />}
      </Question>
    </>
  );
}
