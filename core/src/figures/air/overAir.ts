import type { FigureContext } from '../context';
import { Ledger } from '../quantity';
import { earDb } from '../sound/ear';
import { isInTheOpen } from './around';
import { lowestDuty } from './held';
import { withDuty } from './sameTemperature';
import { drivesAt, hotDrives, hottestOf } from './temperatures';

/** The noise at work that holding the hottest drive at `targetC` takes, by the air in the room. */
export type OverAir = {
  readonly targetC: number;
  readonly points: readonly {
    readonly roomC: number;
    /** null where no duty holds it. */ readonly duty: number | null;
    readonly earDb: number | null;
  }[];
};

const FROM_C = 10;
const TO_C = 40;
const POINTS = 40;
const FINE = 0.005;
/** Held so far within what the drives' maker allows, where no policy names a temperature. */
const WITHIN_K = 10;

/** What drives are held at: what the policy says, else 10 K within the least that one of them allows. */
export function targetOf(context: FigureContext): number | null {
  const { fans } = context.policy;
  if (fans.kind === 'hold') return fans.hottestDriveC;
  const limits = hotDrives(context, new Ledger(false)).flatMap(({ where, drives: [first] }) =>
    where !== 'board' && first ? [first.part.maxC] : [],
  );
  return limits.length > 0 ? Math.min(...limits) - WITHIN_K : null;
}

/** Winter to summer at work: how fast the fans must turn to hold the hottest drive, and how loud that is. */
export function soundOverAir(context: FigureContext, targetC: number): OverAir {
  const ledger = new Ledger(false);
  const isOpen = isInTheOpen(context.site);
  let least = 0;
  const points = Array.from({ length: POINTS + 1 }, (_, i) => {
    const roomC = FROM_C + ((TO_C - FROM_C) * i) / POINTS;
    const hottest = (duty: number): number | null => {
      // In the open a warmer room never wants less air: what did not do before does not do now.
      if (isOpen && duty < least) return targetC + 1;
      const moment = { label: 'Air in the room', state: 'working' as const, roomC, duty };
      return hottestOf(drivesAt(withDuty(context, duty), moment, ledger))?.value ?? null;
    };
    const found = isOpen && least > 1 ? undefined : lowestDuty(hottest, targetC, isOpen, FINE);
    if (!found?.holds) {
      if (found) least = 2;
      return { roomC, duty: null, earDb: null };
    }
    least = found.duty - FINE;
    return { roomC, duty: found.duty, earDb: earDb(withDuty(context, found.duty), ledger, 'working')?.value ?? null };
  });
  return { targetC, points };
}
