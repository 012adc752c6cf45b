import { memberAt } from '../lists';
import { factOf, type PartOf } from '../parts/resolve';
import type { PlugKind } from '../parts/vocabulary';
import type { PlugInput } from './plugInputs';
import { isSplittable, loadsOf, plugsOn, PLUG_A, type Cabled, type End, type PlugLoad } from './splitters';

/** A rail by its volts; the two that drives draw from. */
type DriveRail = '12 V' | '5 V';
/** The end of a typical rating that goes with an end of what is drawn. */
const KINDER = { lo: 'hi', value: 'value', hi: 'lo' } as const;
const RAILS = [
  ['a12', '12 V'],
  ['a5', '5 V'],
] as const;

/** More than a plug, the splitters or the cables carry, A on a rail: `has` by what is likely or certain, `carries`. */
export type Overload = {
  readonly rail: DriveRail;
  readonly hasA: number;
  readonly carriesA: number;
  readonly inputs: readonly PlugInput[];
  /** Loads counted. */ readonly count: number;
};
export type ChainLimits = {
  /** Inputs that put more on one plug than it carries. */ readonly plugs: readonly (Overload & {
    readonly plug: PlugKind;
  })[];
  /** What has to hang on splitters at best, against what those carry together. */ readonly splitters: Overload | null;
};

/**
 * What no way of plugging avoids: each limit is that of the best case (heaviest loads on plugs of their own, splitters
 * those that carry most), so that what is found here is past it however it is put together. `end` says which end of
 * what drives take is counted.
 */
export function chainLimits(
  inputs: readonly PlugInput[],
  supply: Cabled,
  adapters: readonly PartOf<'powerAdapter'>[],
  boardPlugs: number,
  end: End,
  atOnce: number,
): ChainLimits {
  const own = inputs.filter(({ plug }) => isSplittable(plug));
  const byInput = new Map<PlugInput, readonly PlugLoad[]>();
  for (const input of own) byInput.set(input, loadsOf([input], end, atOnce, own));
  const loads = [...byInput.values()].flat();
  return {
    plugs: own.flatMap((input) => {
      const load = byInput.get(input)?.[0];
      return load
        ? RAILS.flatMap(([rail, name]) => {
            const carriesA = PLUG_A[load.plug] ?? Infinity;
            return load[rail] > carriesA
              ? [{ plug: load.plug, rail: name, hasA: load[rail], carriesA, inputs: [input], count: 1 }]
              : [];
          }).slice(0, 1)
        : [];
    }),
    splitters: onSplitters(loads, own, supply, adapters, boardPlugs, end),
  };
}

/** Of drives' plugs: so many of the heaviest go on the supply's own, for every number of those that splitters take. */
function onSplitters(
  loads: readonly PlugLoad[],
  inputs: readonly PlugInput[],
  supply: Cabled,
  adapters: readonly PartOf<'powerAdapter'>[],
  boardPlugs: number,
  end: End,
): Overload | null {
  const wanting = loads.filter(({ plug }) => plug === 'sata-power');
  const own = plugsOn(supply, 'sata-power') + boardPlugs;
  if (wanting.length <= own) return null;
  const capsOf = (takes: PlugKind) =>
    adapters
      .filter((one) => one.takes === takes && one.gives.some(({ plug }) => plug === 'sata-power'))
      .map((one) => Math.min(factOf(one, 'ratedA')[KINDER[end]], PLUG_A[takes]!))
      .sort((a, b) => b - a);
  const others = capsOf('peripheral').slice(0, plugsOn(supply, 'peripheral'));
  const onOwn = capsOf('sata-power');
  if (others.length + onOwn.length === 0) return null;
  let least: Overload | null = null;
  for (let used = 0; used <= Math.min(onOwn.length, own); used++) {
    const caps = [...others, ...onOwn.slice(0, used)];
    const over = RAILS.flatMap(([rail, name]): Overload[] => {
      const amps = wanting.map((load) => load[rail]).sort((a, b) => b - a);
      const left = amps.slice(own - used);
      const hasA = left.reduce((sum, one) => sum + one, 0);
      const carriesA = caps.reduce((sum, one) => sum + one, 0);
      const lightest = left.at(-1) ?? 0;
      const places = lightest > 0 ? caps.reduce((sum, one) => sum + Math.floor(one / lightest), 0) : Infinity;
      return hasA > carriesA || left.length > places
        ? [{ rail: name, hasA, carriesA, inputs, count: left.length }]
        : [];
    });
    if (over.length === 0) return null;
    if (!least || memberAt(over, 0).hasA - memberAt(over, 0).carriesA < least.hasA - least.carriesA)
      least = memberAt(over, 0);
  }
  return least;
}
