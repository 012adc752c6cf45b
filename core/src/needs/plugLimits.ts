import type { PlugKind } from '../parts/vocabulary';
import type { PlugInput } from './plugInputs';
import { isSplittable, loadsOf, PLUG_A, type End } from './plugLoads';

const RAILS = [
  ['a12', '12 V'],
  ['a5', '5 V'],
] as const;

/** More on the plug of an input than that carries, A on a rail. */
export type PlugOver = {
  readonly input: PlugInput;
  readonly plug: PlugKind;
  readonly rail: '12 V' | '5 V';
  readonly hasA: number;
  readonly carriesA: number;
};

/** Inputs that put more on one plug than it carries; `end` says which end of what drives take is counted. */
export function plugLimits(inputs: readonly PlugInput[], end: End, atOnce: number): readonly PlugOver[] {
  const own = inputs.filter(({ plug }) => isSplittable(plug));
  return own.flatMap((input) => {
    const load = loadsOf([input], end, atOnce, own)[0];
    if (!load) return [];
    const carriesA = PLUG_A[load.plug] ?? Infinity;
    return RAILS.flatMap(([rail, name]) =>
      load[rail] > carriesA ? [{ input, plug: load.plug, rail: name, hasA: load[rail], carriesA }] : [],
    ).slice(0, 1);
  });
}
