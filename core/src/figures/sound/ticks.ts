import { dutyOn } from '../air/moment';
import type { FigureContext } from '../context';
import { Ledger } from '../quantity';
import { earDb } from './ear';

/** What is heard besides idle, dB(A) of the machine alone: with its drives seeking, and so on the hottest day. */
export type HeardTicks = { readonly workingDb: number; readonly hotDb: number };

/** Marks beside the figure of noise; null where nothing sounds. */
export function heardTicks(context: FigureContext): HeardTicks | null {
  const ledger = new Ledger(false);
  const working = earDb(context, ledger, 'working');
  if (!working) return null;
  // At one duty all year the hottest day sounds as any other.
  if (context.policy.fans.kind === 'fixed') return { workingDb: working.value, hotDb: working.value };
  const hot = {
    ...context,
    policy: { ...context.policy, fans: { kind: 'fixed', duty: dutyOn(context, 'hot') } as const },
  };
  return { workingDb: working.value, hotDb: earDb(hot, ledger, 'working')?.value ?? working.value };
}
