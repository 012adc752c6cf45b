import { useEffect, useState } from 'react';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';
import type { BenchWorker } from '../../worker/messages';

export type PowerSeen = NonNullable<Awaited<ReturnType<BenchWorker['power']>>>;

/** The power of the machine as it is assessed; what was there last stays until the next is. */
export function usePower(): PowerSeen | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [power, setPower] = useState<PowerSeen | null>(null);
  useEffect(() => {
    if (rev === undefined) return;
    let isHere = true;
    benchWorker()
      .power()
      .then(
        (answer) => {
          if (isHere) setPower(answer);
        },
        // A worker that was ended is started again with the machine, and the next revision asks it.
        () => undefined,
      );
    return () => {
      isHere = false;
    };
  }, [rev]);
  return power;
}
