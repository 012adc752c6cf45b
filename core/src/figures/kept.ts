import type { FigureContext } from './context';
import type { Ledger } from './quantity';

type Kept = {
  readonly layout: FigureContext['layout'];
  readonly policy: FigureContext['policy'];
  readonly workShare: FigureContext['workShare'];
  readonly busyCores: FigureContext['busyCores'];
  readonly heldDuty: FigureContext['heldDuty'];
  readonly learned: FigureContext['learned'];
  readonly answers: Map<string, unknown>;
};

/** By the list of running units, for as long as that lives: machines held side by side do not evict each other. */
const memories = new WeakMap<FigureContext['running'], Kept>();

/**
 * Gives an answer about a machine again that figures and rules both ask for. `name` says what is asked, with all it
 * hangs on besides units, layout, policy, services and share of work. A ledger that writes workings or samples always
 * computes.
 */
export function kept<T>(
  context: Pick<FigureContext, 'running' | 'layout' | 'policy' | 'workShare' | 'busyCores' | 'heldDuty' | 'learned'>,
  ledger: Ledger,
  name: string,
  compute: () => T,
): T {
  if (!ledger.plain) return compute();
  let known = memories.get(context.running);
  const { layout, policy, workShare, busyCores, heldDuty, learned } = context;
  if (
    known?.layout !== layout ||
    known.policy !== policy ||
    known.workShare !== workShare ||
    known.busyCores !== busyCores ||
    known.heldDuty !== heldDuty ||
    known.learned !== learned
  )
    memories.set(
      context.running,
      (known = { layout, policy, workShare, busyCores, heldDuty, learned, answers: new Map() }),
    );
  if (!known.answers.has(name)) known.answers.set(name, compute());
  return known.answers.get(name) as T;
}
