import type { Build } from '../../build/build';
import type { UnitId } from '../../parts/ids';
import { boxesOf } from '../boxes';
import type { FigureContext } from '../context';
import { Ledger, rangedOf, type Ranged } from '../quantity';
import { POWER_STATES, type PowerState } from './draw';
import { hindrances } from './stagger';
import { mildestStart, startCurve, worstShare, type Mildest, type StartCurve } from './startCurve';
import { boxLoadW, boxWall, supplyOf, wallW } from './wall';
import { startsMore, type StartsMore } from './startsMore';
import { upsTime, type UpsTime } from './upsTime';
import { yearOf, type Year } from './year';
import { yearAsleep, yearParts, type YearAsleep, type YearPart } from './yearParts';

/** A box in a state: W at the wall, at its supply's outputs, and that as a share of what the supply gives. */
export type StateDraw = {
  readonly state: PowerState;
  readonly wall: Ranged;
  readonly loadShare: number | null;
};
export type BoxPower = {
  readonly box: UnitId | null;
  readonly name: string;
  readonly supply: {
    readonly unit: UnitId;
    readonly name: string;
    readonly givesW: number;
    readonly modules: number;
  } | null;
  readonly states: readonly StateDraw[];
  readonly start: StartCurve;
  /** The highest share of a limit at the start. */ readonly startShare: number;
  /** How many more disks it could start. */ readonly startsMore: StartsMore | null;
};
export type Power = {
  readonly boxes: readonly BoxPower[];
  /** All boxes on one socket, W at the wall by state. */ readonly together: readonly StateDraw[];
  readonly mildest: Mildest | null;
  /** Drives that cannot wait for their turn. */ readonly cannotWait: number;
  readonly year: Year | null;
  /** What a year is cheaper without each class of parts. */ readonly yearParts: readonly YearPart[];
  readonly yearAsleep: YearAsleep | null;
  readonly ups: UpsTime | null;
};

/** All of a machine's power, for the view of that name. */
export function powerOf(
  context: FigureContext,
  { profile, tariff }: Pick<Build, 'profile' | 'tariff'>,
  asOf: string,
): Power {
  const ledger = new Ledger(false);
  const ranged = (quantity: ReturnType<typeof wallW>): Ranged | null => quantity && rangedOf(quantity);
  const boxes = boxesOf(context).map((box): BoxPower => {
    const supply = supplyOf(context, box);
    const givesW = supply ? supply.part.ratedW * supply.part.modules : 0;
    const start = startCurve(context, box);
    return {
      box: box?.id ?? null,
      name: box?.part.name ?? 'The table',
      supply: supply && { unit: supply.id, name: supply.part.name, givesW, modules: supply.part.modules },
      states: POWER_STATES.flatMap((state): StateDraw[] => {
        const wall = ranged(boxWall(context, box, state, ledger));
        const load = boxLoadW(context, box, state, ledger);
        return wall ? [{ state, wall, loadShare: givesW > 0 && load ? load.value / givesW : null }] : [];
      }),
      start,
      startShare: worstShare(start),
      startsMore: startsMore(context, box, start),
    };
  });
  return {
    boxes,
    together: POWER_STATES.flatMap((state): StateDraw[] => {
      const wall = ranged(wallW(context, state, ledger));
      return wall ? [{ state, wall, loadShare: null }] : [];
    }),
    mildest: mildestStart(context),
    cannotWait: hindrances(context).length,
    year: yearOf(context, profile, tariff),
    yearParts: yearParts(context, profile, tariff),
    yearAsleep: yearAsleep(context, profile, tariff),
    ups: upsTime(context, asOf),
  };
}
