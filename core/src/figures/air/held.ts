import type { FigureContext, HeldDuty } from '../context';
import { Ledger } from '../quantity';
import { isInTheOpen } from './around';
import type { Day } from './moment';
import { drivesOn, warmestCardC } from './temperatures';

const LEAST = 0.2;
const STEP = 0.1;
const FINE = 0.025;

/**
 * The lowest duty of all fans at which the hottest drive, and the chips of cards where they have a target, are likely
 * no hotter than the policy wants, on a normal day at work and on the hottest with all busy; where none holds it, the
 * one that misses least. Undefined where the duty is fixed, or nothing to hold is reckoned. In the open more duty is
 * never hotter and halving finds it; in a cupboard every step is looked at.
 */
export function heldDuty(context: FigureContext): HeldDuty | undefined {
  const { fans } = context.policy;
  if (fans.kind !== 'hold') return undefined;
  const { hottestDriveC, cardsC } = fans;
  const on = (day: Day) => {
    const over = (duty: number) => {
      const at = { ...context, policy: { ...context.policy, fans: { kind: 'fixed', duty } as const } };
      const drives = drivesOn(at, day, new Ledger(false)).filter(({ where }) => where !== 'board');
      const card = cardsC === undefined ? null : warmestCardC(at, day);
      return {
        drives: drives.length > 0 ? Math.max(...drives.map(({ tempC }) => tempC.value)) - hottestDriveC : null,
        cards: card === null || cardsC === undefined ? null : card - cardsC,
      };
    };
    const most = (duty: number): number | null => {
      const { drives, cards } = over(duty);
      return drives === null ? cards : Math.max(drives, cards ?? -Infinity);
    };
    const found = lowestDuty(most, 0, isInTheOpen(context.site));
    if (!found) return undefined;
    const { drives, cards } = over(found.duty);
    return { ...found, forCards: (cards ?? -Infinity) > (drives ?? -Infinity) };
  };
  const [normal, hot] = [on('normal'), on('hot')];
  return (
    normal &&
    hot && {
      normal: normal.duty,
      hot: hot.duty,
      holds: { normal: normal.holds, hot: hot.holds },
      forCards: { normal: normal.forCards, hot: hot.forCards },
    }
  );
}

type Found = { readonly duty: number; readonly holds: boolean };

/**
 * The lowest duty at which `hottest` is no more than a target, or the one at which it is least; undefined where it is
 * null. `isFalling` where more duty is never hotter. `fine`: how near, as a share of full.
 */
export function lowestDuty(
  hottest: (duty: number) => number | null,
  targetC: number,
  isFalling: boolean,
  fine = FINE,
): Found | undefined {
  const atLeast = hottest(LEAST);
  if (atLeast === null) return undefined;
  if (atLeast <= targetC) return { duty: LEAST, holds: true };
  const steps = isFalling
    ? [1]
    : Array.from(
        { length: Math.round((1 - LEAST) / STEP) },
        (_, i) => Math.round((LEAST + (i + 1) * STEP) * 100) / 100,
      );
  const temps = steps.map((duty) => hottest(duty) ?? Infinity);
  const first = temps.findIndex((celsius) => celsius <= targetC);
  if (first < 0) {
    const coolest = Math.min(atLeast, ...temps);
    return { duty: coolest === atLeast ? LEAST : steps[temps.indexOf(coolest)]!, holds: false };
  }
  let [low, high] = [first === 0 ? LEAST : steps[first - 1]!, steps[first]!];
  while (high - low > fine) {
    const middle = (low + high) / 2;
    if ((hottest(middle) ?? Infinity) <= targetC) high = middle;
    else low = middle;
  }
  return { duty: high, holds: true };
}
