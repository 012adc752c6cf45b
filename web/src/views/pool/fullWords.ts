import { FULL_SHARE, type Brief, type MemoryTold, type Worn } from '@inch-tower/core';
import { changeWords, countWords } from '../../words/format';
import type { GrowthTold, NextTold } from '../../worker/messages';
import { tb } from './poolWords';

/** Months as a builder says them: under two years in months, then in years. */
export function monthsWords(months: number): string {
  if (months < 1) return 'less than a month';
  if (months < 24) return countWords(Math.round(months), 'month');
  const years = months / 12;
  return `${years < 10 ? Number(years.toFixed(1)) : Math.round(years)} years`;
}

/** The month it will be then. */
function monthThen(months: number, from: Date): string {
  const then = new Date(from.getFullYear(), from.getMonth() + Math.round(months), 1);
  return then.toLocaleDateString('en-GB', { month: 'long', year: 'numeric' });
}

/** Past so many years nobody foretells what comes in. */
const FORETOLD_MONTHS = 240;

export function fullAnswer(
  months: number | null,
  { storedTb = 0, growthTbPerMonth }: Brief,
  leastTb: number,
  now: Date,
): { readonly words: string; readonly tone: string } {
  const room = tb(FULL_SHARE * leastTb);
  if (months === null) return { words: `Fill it to about ${room}; the brief does not say how much comes.`, tone: '' };
  const comes = `${storedTb > 0 ? `${tb(storedTb)} now and ` : ''}${tb(growthTbPerMonth ?? 0)} a month`;
  if (months === 0) return { words: `It is full from the start: ${comes}, room for ${room}.`, tone: 'warn' };
  if (months > FORETOLD_MONTHS) return { words: `Not within twenty years: ${comes}, room for ${room}.`, tone: 'good' };
  return {
    words: `In about ${monthsWords(months)}, ${monthThen(months, now)}: ${comes}, room for ${room}.`,
    tone: months < 12 ? 'warn' : '',
  };
}

/** What the next drives bring, and what stands in their way. */
export function nextDrivesWords(
  { title, count, usableTb, months, delta, costs }: NextTold,
  currency: string,
): { readonly words: string; readonly troubles: string | null } {
  const price = changeWords('cost.now', delta['cost.now'] ?? 0);
  const verb = count === 1 ? 'makes' : 'make';
  const full = months === null || months > FORETOLD_MONTHS ? '' : `, full in ${monthsWords(months)}`;
  const troubles = costs.filter(({ severity }) => severity === 'blocker').map(({ what }) => what);
  return {
    words: `${title} ${verb} it ${tb(usableTb)}${full}${price ? `; price ${price} ${currency}` : ''}.`,
    troubles: troubles.length > 0 ? troubles.join(' ') : null,
  };
}

/** How far buying on goes, and what ends it. */
export function growthWords({ most, limit }: GrowthTold): string | null {
  const [ends] = limit;
  if (!most) return null;
  const full = most.fullAt === null || most.fullAt > FORETOLD_MONTHS ? '' : `, full in ${monthsWords(most.fullAt)}`;
  const far = `Bought on like that it grows to ${tb(most.usableTb)} on ${countWords(most.drives, 'drive')}${full}`;
  return ends ? `${far}; then: ${ends.what}` : `${far}, and further.`;
}

/** What buying on passes before it blocks: which wish or limit, when, and with how many drives. */
export const metWords = ({ met }: Pick<GrowthTold, 'met'>, from: Date): readonly string[] =>
  met.map(({ what, boughtAt, drives }) => {
    const when =
      boughtAt === null || boughtAt > FORETOLD_MONTHS
        ? ''
        : boughtAt < 1
          ? ', now already'
          : `, in ${monthsWords(boughtAt)} (${monthThen(boughtAt, from)})`;
    return `With ${countWords(drives, 'drive')}${when}: ${what}`;
  });

export const wornWords = ({ marks, name, tbPerYear, enduranceTb, years }: Worn): string =>
  `${marks.length > 1 ? `${marks.length} × ${name}` : name}: ${tb(tbPerYear)} written a year each, ` +
  `of ${tb(enduranceTb)} that its sheet allows: ${years > 20 ? 'more than twenty years' : monthsWords(years * 12)}.`;

const FOR: Readonly<Record<MemoryTold['wants'][number]['what'], string>> = {
  system: 'the system',
  reads: 'what is read again',
  cache: 'keeping track of the read cache',
  services: 'the services of the brief',
};
const whole = (gb: number): number => Math.max(1, Math.round(gb));
/** Memory as advice: what is there against what is usual, and for what. */
export function memoryWords({ hasGb, wants, wantGb }: MemoryTold): string {
  const why = wants.map(({ what, gb }) => `${whole(gb)} for ${FOR[what]}`).join(', ');
  if (hasGb === 0) return `No memory yet; about ${whole(wantGb)} GB would do: ${why}.`;
  return hasGb >= wantGb
    ? `${whole(hasGb)} GB of memory are enough for the files: ${why}.` +
        (wants.some(({ what }) => what === 'services') ? '' : ' Services come on top.')
    : `${whole(hasGb)} GB of memory, about ${whole(wantGb)} would help: ${why}. ` +
        'It works with less, and reads the drives more.';
}
