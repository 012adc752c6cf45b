import { useEffect, useState } from 'react';
import type { Air, AirTry } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';

/** Temperatures and noise of the machine as it is assessed, with what is tried; what was there last stays meanwhile. */
export function useAir(tried: AirTry): Air | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [air, setAir] = useState<Air | null>(null);
  const { duty, hotDayC } = tried;
  useEffect(() => {
    if (rev === undefined) return;
    let isHere = true;
    benchWorker()
      .air({ ...(duty === undefined ? {} : { duty }), ...(hotDayC === undefined ? {} : { hotDayC }) })
      .then(
        (answer) => {
          if (isHere) setAir(answer);
        },
        // A worker that was ended is started again with the machine, and the next revision asks it.
        () => undefined,
      );
    return () => {
      isHere = false;
    };
  }, [rev, duty, hotDayC]);
  return air;
}
