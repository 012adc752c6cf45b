import { benchWorker } from '../../worker/client';
import type { BenchWorker } from '../../worker/messages';
import { useAsked } from '../../worker/useAsked';

export type PoolView = NonNullable<Awaited<ReturnType<BenchWorker['pool']>>>;

/** The pool of the machine as it is assessed. */
export const usePool = (): PoolView | null => useAsked(() => benchWorker().pool());
