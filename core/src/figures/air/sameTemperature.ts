import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import { fanSpeedAt, turningAlike } from '../operating';
import { wallW } from '../power/wall';
import { Ledger } from '../quantity';
import { earDb } from '../sound/ear';
import { isInTheOpen } from './around';
import { lowestDuty } from './held';
import { dutyOn, type Day } from './moment';
import { drivesOn, hottestOf } from './temperatures';

/** A machine with its fans at a duty on a day: how warm, how loud at work, how fast, how many W at the wall. */
export type AtDuty = {
  readonly duty: number;
  readonly hottestC: number;
  readonly earDb: number | null;
  readonly wallW: number | null;
  /** Kinds of fans, the fastest first, those that stand still left out. */
  readonly rpm: readonly { readonly name: string; readonly rpm: number }[];
};
/** One as it is set, and another held at its hottest drive; `missesK` where no duty of the other holds that. */
export type Compared = { readonly mine: AtDuty; readonly other: AtDuty; readonly missesK: number };
export type SameTemperature = Readonly<Record<Day, Compared>>;

const FINE = 0.002;
const STATE = { normal: 'working', hot: 'busy' } as const;

/** A machine with all its fans at one duty. */
export const withDuty = (context: FigureContext, duty: number): FigureContext => ({
  ...context,
  policy: { ...context.policy, fans: { kind: 'fixed', duty } },
});

/** The hottest drive on a day, likely °C, modules on the board apart; null where none is reckoned. */
export const hottestOn = (context: FigureContext, day: Day): number | null =>
  hottestOf(drivesOn(context, day, new Ledger(false)))?.value ?? null;

function atDuty(context: FigureContext, day: Day, duty: number): AtDuty | null {
  const at = withDuty(context, duty);
  const hottestC = hottestOn(at, day);
  if (hottestC === null) return null;
  const ledger = new Ledger(false);
  const kinds = turningAlike(at, ofKind(at.running, 'fan'), duty).map(([fan]) => fan);
  return {
    duty,
    hottestC,
    earDb: earDb(at, ledger, 'working')?.value ?? null,
    wallW: wallW(at, STATE[day], ledger)?.value ?? null,
    rpm: kinds
      .map((fan) => ({ name: fan.part.name, rpm: Math.round(fan.part.maxRpm * fanSpeedAt(at, fan, duty)) }))
      .filter(({ rpm }) => rpm > 0)
      .sort((a, b) => b.rpm - a.rpm),
  };
}

/**
 * Two machines at the same temperature, on a normal day at work and on the hottest with all busy: the other's fans turn
 * as fast as its hottest drive is no hotter than the first one's. Null where one of them has no drive that is reckoned.
 */
export function sameTemperature(mine: FigureContext, other: FigureContext): SameTemperature | null {
  const on = (day: Day): Compared | null => {
    const own = atDuty(mine, day, dutyOn(mine, day));
    if (!own) return null;
    const found = lowestDuty(
      (duty) => hottestOn(withDuty(other, duty), day),
      own.hottestC,
      isInTheOpen(other.site),
      FINE,
    );
    const then = found && atDuty(other, day, found.duty);
    return then
      ? { mine: own, other: then, missesK: Math.max(0, found.holds ? 0 : then.hottestC - own.hottestC) }
      : null;
  };
  const [normal, hot] = [on('normal'), on('hot')];
  return normal && hot && { normal, hot };
}
