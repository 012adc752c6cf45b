import type { BoxPower, Mildest, SpinUp, StartCurve } from '@inch-tower/core';
import type { TaggedSnag } from '../../worker/messages';
import { plainNumber } from '../../words/format';

/** Snags that say that a start or a load is past what a supply, its cables or plugs give. */
const STARTS: ReadonlySet<string> = new Set([
  'powered.start12V',
  'powered.rails',
  'powered.total',
  'powered.oneGone',
  'powered.wires',
  'powered.plugLoad',
  'powered.splitters',
]);
export const isOfPower = ({ code }: TaggedSnag): boolean => code.startsWith('powered.');

const seconds = (value: number): string => `${plainNumber(Math.round(value * 10) / 10)} s`;
const share = (value: number): string => `${Math.round(value * 100)} %`;

/** The highest share of what modules give together: 12 V and W. What low rails give hangs on no module. */
const goneShare = ({ steps, limits }: StartCurve): number =>
  limits
    ? Math.max(
        0,
        ...steps.map(({ a, insideW }) =>
          Math.max(insideW / limits.insideW, a['12 V'] / (limits.a['12 V'] ?? Infinity)),
        ),
      )
    : 0;

/** Whether a box starts, in one sentence that never says other than the snags do. */
export function startAnswer(
  { supply, start, startShare }: BoxPower,
  snags: readonly TaggedSnag[],
): { readonly words: string; readonly tone: string } {
  if (!supply) return { words: 'Not known yet: no supply is chosen.', tone: 'text-mid' };
  const own = snags.filter(
    ({ code, at }) => STARTS.has(code) && at.some((one) => 'unit' in one && one.unit === supply.unit),
  );
  const atMost = `about ${share(startShare)} of what ${supply.name} gives at the worst moment`;
  const gone =
    supply.modules > 1
      ? `, ${share((goneShare(start) * supply.modules) / (supply.modules - 1))} of 12 V and W with a module gone`
      : '';
  const ready = start.readyS > 0 ? `; the last drive has spun up after ${seconds(start.readyS)}` : '';
  if (own.some(({ severity }) => severity === 'blocker')) return { words: `No: ${atMost}.`, tone: 'bad' };
  if (startShare > 1) return { words: `Maybe not: ${atMost}${ready}.`, tone: 'bad' };
  if (own.length > 0) return { words: `Yes, but see what was found: ${atMost}${ready}.`, tone: 'warn' };
  if (startShare > 0.8) return { words: `Yes, with less than a fifth to spare: ${atMost}${ready}.`, tone: 'warn' };
  return { words: `Yes: ${atMost}${gone}${ready}.`, tone: 'good' };
}

/** A start has to be so many times what is taken at work before it is told apart. */
const MUCH_MORE = 1.4;
/** What is near the worst moment counts with it. */
const NEAR_WORST = 0.8;

/** Why a supply that has plenty at work may not start its drives: both in W, and for how long. */
export function whyStart({ supply, states, start: { steps, readyS } }: BoxPower): string | null {
  const share = states.find(({ state }) => state === 'working')?.loadShare;
  if (!supply || !share || readyS <= 0) return null;
  const workW = share * supply.givesW;
  const worstW = Math.max(0, ...steps.map(({ insideW }) => insideW));
  if (worstW < MUCH_MORE * workW) return null;
  const last = steps.findLastIndex(({ insideW }) => insideW >= NEAR_WORST * worstW);
  const untilS = steps[last + 1]?.atS ?? readyS;
  return (
    `At work its parts take about ${Math.round(workW)} W of the ${Math.round(supply.givesW)} W it gives; ` +
    `while drives spin up, in the first ${seconds(untilS)}, about ${Math.round(worstW)} W.`
  );
}

/** Whether a box's supply holds when everything is at its most together, and with a module gone. */
export function holdAnswer(
  { supply, states }: BoxPower,
  snags: readonly TaggedSnag[],
): { readonly words: string; readonly tone: string } {
  const peak = states.find(({ state }) => state === 'peak')?.loadShare;
  if (!supply || peak === null || peak === undefined) return { words: '', tone: 'text-mid' };
  const { modules } = supply;
  const gone = modules > 1 ? `, ${share((peak * modules) / (modules - 1))} with a module gone` : '';
  const words = `With everything at its most ${share(peak)} of its watts${gone}.`;
  const isPast = snags.some(
    ({ code, at, severity }) =>
      code === 'powered.total' && severity === 'blocker' && at.some((one) => 'unit' in one && one.unit === supply.unit),
  );
  if (isPast) return { words: `It does not hold. ${words}`, tone: 'bad' };
  if (peak > 1) return { words: `It may not hold. ${words}`, tone: 'bad' };
  return { words, tone: peak > 0.8 ? 'warn' : 'text-mid' };
}

/** How many more disks the supply could start as they are started now, and what ends then. */
export function moreWords({ more, drive, ends }: NonNullable<BoxPower['startsMore']>): string {
  if (ends === null) return `It would start ${more} more ${drive} and further.`;
  const then = ends === 'W' ? 'its watts are used up' : `${ends} is used up`;
  return more === 0
    ? `Not one more ${drive} would start: ${then}.`
    : `It would start ${more} more ${drive}; then ${then}.`;
}

export function policyWords(spinUp: SpinUp): string {
  switch (spinUp.kind) {
    case 'together':
      return 'all at once';
    case 'waves':
      return `${spinUp.drives} at a time, every ${seconds(spinUp.everyS)}`;
    case 'paced':
      return 'as the controller paces them, counted as all at once';
  }
}

/** What the mildest start is beside the one that is set; null where there is nothing to say. */
export function mildestWords(
  mildest: Mildest | null,
  set: SpinUp,
  hasSupply: boolean,
): { readonly words: string; readonly offers: boolean } | null {
  if (!hasSupply) return null;
  if (!mildest) return { words: 'No start in turn keeps every limit at 80 %.', offers: false };
  const yet = mildest.cablesHold ? '' : '; no start in turn brings its cables within what they carry';
  const isSet = policyWords(mildest.spinUp) === policyWords(set);
  if (isSet) return { words: `The mildest start that keeps every limit at 80 %: as it is set${yet}.`, offers: false };
  return {
    words:
      `Soonest within 80 % of every limit: ${policyWords(mildest.spinUp)}; ` +
      `about ${share(mildest.share)} at the worst moment, the last has spun up after ${seconds(mildest.readyS)}${yet}.`,
    offers: true,
  };
}
