import { useMemo } from 'react';
import { coveredSlots, parseSpot, printSpot, reaches, sittersBySpot, type Reach } from '@inch-tower/core';
import { selectUnits } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useBench } from './benchContext';

const NOTHING: ReadonlySet<string> = new Set();

/** The room cards and coolers have, the slots that lie under others, and the unit that is selected. */
export function useReaches(): {
  readonly room: readonly Reach[];
  readonly covered: ReadonlySet<string>;
  readonly chosen: string | null;
} {
  const { selected } = useBench();
  const units = useAppSelector(selectUnits);
  const layout = useAppSelector((state) => state.bench.build?.layout);
  const room = useMemo(() => (layout ? reaches(units, layout) : []), [units, layout]);
  const covered = useMemo(() => (layout ? coveredSlots(units, layout) : NOTHING), [units, layout]);
  const spot = parseSpot(selected ?? '');
  return {
    room,
    covered,
    chosen: layout && spot ? (sittersBySpot(units, layout).get(printSpot(spot))?.id ?? null) : selected,
  };
}
