import { useMemo } from 'react';
import { mismatch, printSpot, sittersBySpot, spotsOf, type SpotRef } from '@inch-tower/core';
import { selectUnits } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { useBench } from './benchContext';

/** Free places that would take the unit being moved. */
export function useMoveTargets(): ReadonlyMap<string, SpotRef> {
  const { moving } = useBench();
  const units = useAppSelector(selectUnits);
  const layout = useAppSelector((state) => state.bench.build?.layout);
  return useMemo(() => {
    const unit = units.find((one) => one.id === moving);
    if (!unit || !layout) return new Map();
    const sitting = sittersBySpot(units, layout);
    return new Map(
      units
        .filter((one) => layout.at[one.id])
        .flatMap((one) => spotsOf(one.id, one.part))
        .filter((group) => group.type !== 'connector' && !mismatch(unit.part, group))
        .flatMap((group) =>
          Array.from({ length: group.count }, (_, i): SpotRef => ({
            host: group.host,
            key: group.key,
            ...(group.count > 1 ? { n: i + 1 } : {}),
          })),
        )
        .filter((spot) => !sitting.get(printSpot(spot))?.item)
        .map((spot) => [printSpot(spot), spot]),
    );
  }, [moving, units, layout]);
}
