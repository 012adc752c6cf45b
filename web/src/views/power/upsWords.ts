import type { MainsLine, UpsTime } from '@inch-tower/core';

const STATE = { idle: 'idle', working: 'at work', peak: 'at its most', start: 'while drives start' } as const;
const minutes = (value: number) => (value < 10 ? value.toFixed(1) : String(Math.round(value)));

/** One state of what hangs on a UPS, in words. */
export type UpsRow = {
  readonly state: string;
  readonly watts: string;
  readonly va: string;
  readonly isHeld: boolean;
  readonly minutes: string;
  readonly range: string;
};

export const upsRows = ({ states }: UpsTime): UpsRow[] =>
  states.map(({ state, watts, va, minutes: held }) => ({
    state: STATE[state as keyof typeof STATE] ?? state,
    watts: String(Math.round(watts.value)),
    va: String(Math.round(va.value)),
    isHeld: held !== null,
    minutes: held ? `${minutes(held.value)} min` : 'not at all: more than it gives',
    range: held ? `${minutes(held.lo)}–${minutes(held.hi)}` : '',
  }));

/** Good practice: a fifth of a UPS is left free. */
const MOST = 0.8;

/** How full it is at the most, by W and by VA, whichever is nearer to its limit. */
export function headroomWords({ states, ratedW, ratedVa, name, waveform }: UpsTime): {
  readonly words: string;
  readonly tone: string;
} {
  const sides = states.flatMap(({ watts, va }) => [
    { share: watts.value / ratedW, of: `${Math.round(watts.value)} of ${ratedW} W` },
    { share: va.value / ratedVa, of: `${Math.round(va.value)} of ${ratedVa} VA` },
  ]);
  const wave = waveform === 'sine' ? 'a sine' : 'steps';
  if (sides.length === 0)
    return { words: `Nothing hangs on it. From its battery ${name} gives ${wave}.`, tone: 'text-mid' };
  const most = sides.reduce((one, other) => (other.share > one.share ? other : one));
  const share = `${Math.round(100 * most.share)} % full at the most: ${most.of}`;
  const left =
    most.share > 1 ? 'it drops out' : most.share > MOST ? 'less than a fifth is left' : 'a fifth and more is left';
  return {
    words: `${share}; ${left}. From its battery it gives ${wave}.`,
    tone: most.share > 1 ? 'bad' : most.share > MOST ? 'warn' : '',
  };
}

/** Of several of one name each with its mark in the kit. */
export const upsName = ({ mark, name }: UpsTime, all: readonly UpsTime[]): string =>
  all.filter((other) => other.name === name).length < 2 ? name : `${mark} ${name}`;

/** What a plug is in, by name. */
export function hangsOn({ on }: Pick<MainsLine, 'on'>, all: readonly UpsTime[]): string {
  const ups = all.find(({ unit }) => unit === on);
  return ups ? upsName(ups, all) : 'the wall';
}
