import { useEffect, useState } from 'react';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';
import type { BenchWorker } from '../../worker/messages';

export type Wired = NonNullable<Awaited<ReturnType<BenchWorker['wiring']>>>;

/** The wiring of the machine as it is assessed; what was there last stays until the next is. */
export function useWiring(): Wired | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const [wired, setWired] = useState<Wired | null>(null);
  useEffect(() => {
    if (rev === undefined) return;
    let here = true;
    void benchWorker()
      .wiring()
      .then((answer) => {
        if (here) setWired(answer);
      });
    return () => {
      here = false;
    };
  }, [rev]);
  return wired;
}
