import { benchWorker } from '../../worker/client';
import type { BenchWorker } from '../../worker/messages';
import { useAsked } from '../../worker/useAsked';

export type PowerSeen = NonNullable<Awaited<ReturnType<BenchWorker['power']>>>;

/** The power of the machine as it is assessed. */
export const usePower = (): PowerSeen | null => useAsked(() => benchWorker().power());
