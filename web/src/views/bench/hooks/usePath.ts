import { useMemo } from 'react';
import { parseSpot, printSpot, sittersBySpot, tracePath } from '@inch-tower/core';
import { selectUnits } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useBench } from './benchContext';

const NOWHERE: ReadonlySet<string> = new Set();

/** Places on the data path of what is selected: they light up with it. */
export function usePath(): ReadonlySet<string> {
  const { selected } = useBench();
  const units = useAppSelector(selectUnits);
  const layout = useAppSelector((state) => state.bench.build?.layout);
  return useMemo(() => {
    if (!layout || !selected) return NOWHERE;
    const spot = parseSpot(selected);
    const unit = spot ? sittersBySpot(units, layout).get(printSpot(spot))?.id : selected;
    return unit ? tracePath(units, layout, unit) : NOWHERE;
  }, [units, layout, selected]);
}
