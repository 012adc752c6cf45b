import type { UnitId } from '../../parts/ids';
import { basisOf, factOf, type PartOf } from '../../parts/resolve';
import type { FigureContext } from '../context';
import type { Ranged } from '../quantity';
import type { PowerState } from './draw';
import { feedName } from './feeds';
import { upsShares, wattsOn, type UpsShare } from './upsShares';
import { vaOn } from './upsVa';
import { peakState } from './wall';

/** What hangs on a UPS in a state, W and VA, and minutes it holds that from its battery; null where it does not. */
type UpsState = {
  readonly state: PowerState;
  readonly watts: Ranged;
  readonly va: Ranged;
  readonly minutes: Ranged | null;
};
/** How long a UPS holds what hangs on it, by state. */
export type UpsTime = {
  readonly unit: UnitId;
  readonly mark: string;
  readonly name: string;
  readonly states: readonly UpsState[];
  readonly ratedW: number;
  readonly ratedVa: number;
  readonly waveform: PartOf<'ups'>['waveform'];
  /** Years since it was made, where that is known. */ readonly ageYears: number | null;
  /** What else hangs on it, W, as it was said. */ readonly otherW: number;
  /** Whose mains plugs are on it, so many of how many. */
  readonly hanging: readonly { readonly name: string; readonly plugs: number; readonly of: number }[];
};

/** What a UPS itself draws from its battery, W, where its sheet does not say. */
const OWN_W = { value: 10, lo: 8, hi: 12 };
/** Years after which a battery holds four fifths. */
const TIRED_YEARS = { leadAcid: 3, lithiumIron: 8 } as const;
const LEAST_LEFT = 0.4;

/**
 * Minutes a battery of so many Wh gives a load in W. Lead-acid loses capacity with current (Peukert, exponent 1.2, from
 * the 20-hour rating): 20 h · (Wh·η / (20·(W + own)))^1.2; lithium iron gives nine tenths: Wh · 0.9 · η / (W + own).
 */
export function batteryMinutes(
  { battery, batteryWh, efficiencyPct }: Pick<PartOf<'ups'>, 'battery' | 'batteryWh' | 'efficiencyPct'>,
  loadW: number,
  ownW: number,
  left = 1,
): number {
  const wh = batteryWh * left * (efficiencyPct / 100);
  const watts = Math.max(1, loadW + ownW);
  return 60 * (battery === 'leadAcid' ? 20 * (wh / (20 * watts)) ** 1.2 : (0.9 * wh) / watts);
}

/** What an aged battery still holds, as a share: a fifth is lost by the years of its kind, and as fast from then on. */
export const batteryLeft = (battery: PartOf<'ups'>['battery'], years: number): number =>
  Math.max(LEAST_LEFT, 1 - (0.2 * Math.max(0, years)) / TIRED_YEARS[battery]);

/** How long each UPS holds what hangs on it. */
export const upsTimes = (context: FigureContext, asOf: string): readonly UpsTime[] =>
  upsShares(context).map((share) => timeOf(context, share, asOf));

function timeOf(context: FigureContext, share: UpsShare, asOf: string): UpsTime {
  const { unit, hanging, otherW } = share;
  const { part } = unit;
  const year = unit.item?.year;
  const ageYears = year === undefined ? null : Math.max(0, Number(asOf.slice(0, 4)) - year);
  const left = ageYears === null ? 1 : batteryLeft(part.battery, ageYears);
  const own = basisOf(part, 'idleW') === 'typical' ? OWN_W : factOf(part, 'idleW');
  const states: readonly PowerState[] = ['idle', 'working', peakState(context)];
  return {
    unit: unit.id,
    mark: unit.mark,
    name: part.name,
    ageYears,
    otherW,
    hanging: hanging.map(({ feed, plugs, of }) => ({ name: feedName(feed), plugs, of })),
    ratedW: part.ratedW,
    ratedVa: part.ratedVa,
    waveform: part.waveform,
    states: states.flatMap((state): UpsState[] => {
      const [watts, va] = [wattsOn(context, share, state), vaOn(context, share, state)];
      if (!watts || !va) return [];
      if (watts.value > part.ratedW || va.value > part.ratedVa) return [{ state, watts, va, minutes: null }];
      return [
        {
          state,
          watts,
          va,
          minutes: {
            value: batteryMinutes(part, watts.value, own.value, left),
            lo: batteryMinutes(part, watts.hi, own.hi, left),
            hi: batteryMinutes(part, watts.lo, own.lo, left),
          },
        },
      ];
    }),
  };
}
