import {
  type StageWork,
  type ordersOf,
  minorPerMajor,
  type BillReading,
  type Figure,
  type Bill,
  type BillGroup,
  type BillLine,
  type Running,
} from '@inch-tower/core';
import type { OwnedLine } from '../../worker/messages';
import { countWords, moneyWords, wholeMoneyWords } from '../../words/format';

export const GROUP_WORDS: Readonly<Record<BillGroup, string>> = {
  drives: 'Drives',
  chassis: 'Chassis and cages',
  board: 'Board, processor, memory',
  cards: 'Cards',
  power: 'Power and fans',
  small: 'Cables and small parts',
};

/** Major units as money to the cent, and without what is less than one. */
export const exactly = (value: number, currency: string): string =>
  moneyWords(Math.round(value * minorPerMajor(currency)), currency);
export const roughly = (value: number, currency: string): string =>
  wholeMoneyWords(value * minorPerMajor(currency), currency);

/** What is spent now, with its range, as its tape has it, and by what is usable. */
export function priceAnswer(
  { currency, unpriced }: Bill,
  { value, lo, hi }: Pick<Figure, 'value' | 'lo' | 'hi'>,
  { usableTb, places }: { readonly usableTb: number; readonly places: number },
): string {
  const range = Math.round(hi) > Math.round(lo) ? ` (${roughly(lo, currency)} to ${roughly(hi, currency)})` : '';
  const perTb = usableTb > 0 && value > 0 ? `, ${roughly(value / usableTb, currency)} a usable TB` : '';
  const perBay = places > 0 && value > 0 ? `, ${roughly(value / places, currency)} a bay` : '';
  const has = unpriced === 1 ? 'has' : 'have';
  const less = unpriced > 0 ? ` Without ${countWords(unpriced, 'line')} that ${has} no price.` : '';
  return `${roughly(value, currency)} to buy now${range}${perTb}${perBay}.${less}`;
}

/** A price older than this may have moved. */
const OLD_MONTHS = 6;
export function monthsOld(at: string, today: string): number {
  const [year, month] = [at, today].map((day) => Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7))) as [
    number,
    number,
  ];
  return month - year;
}

/** Where a price is from, in a few words: seen somewhere on a day, of a lot, typical, or without a date. */
export function basisWords(
  { deal, basis, from, at, lot, note, offers }: BillLine,
  today: string,
  currency = '',
): string {
  if (deal === 'owned') return '';
  const months = at ? monthsOld(at, today) : 0;
  const old = months >= OLD_MONTHS ? `${countWords(months, 'month')} old` : '';
  const seen = [from, at].filter((one) => one !== null).join(', ');
  const where =
    lot !== null ? `of ${lot}` : basis === 'typical' ? 'typical' : basis === 'listed' ? seen || 'no date' : '';
  return [where, old, note, offeredWords(offers, currency)].filter((one) => one !== '').join('; ');
}

/** Whether something cheaper is offered, or how many offers this is the best of. */
function offeredWords(offers: BillLine['offers'], currency: string): string {
  const [best] = offers;
  if (!best || offers.length < 2) return '';
  if (best.at === null) return `the cheapest of ${offers.length} offers`;
  return best.total === null ? '' : `offered for ${exactly(best.total, currency)} in all`;
}

/** When it is all here, what to order first, and what nobody answers for. */
export function ordersWords({ said, days, unsaid, risky, doubtful }: ReturnType<typeof ordersOf>): readonly string[] {
  const name = ({ what, price }: BillLine) => `${what} (${countWords(price?.deliveryDays ?? 0, 'day')})`;
  const rest = unsaid > 0 ? `; of ${countWords(unsaid, 'line')} nobody says` : '';
  const slow = said.filter((line) => (line.price?.deliveryDays ?? 0) > 0).map(name);
  return [
    ...(said.length > 0
      ? [
          `All of it is here ${countWords(days, 'day')} after it is ordered${rest}.` +
            (slow.length > 0 ? ` First to order: ${someOf(slow)}.` : ''),
        ]
      : []),
    ...(risky.length > 0
      ? [`At your own risk, not tested: ${someOf(risky.map(({ what }) => what))}. Look before you pay.`]
      : []),
    ...(doubtful.length > 0
      ? [
          `May be counterfeit: ${someOf(doubtful.map(({ what }) => what))}. ` +
            'Ask for its serial number, and the maker about that.',
        ]
      : []),
  ];
}

const SHOWN = 5;
const someOf = (all: readonly string[]): string =>
  all.length > SHOWN ? `${all.slice(0, SHOWN).join(', ')} and ${all.length - SHOWN} more` : all.join(', ');

/** What a table changed, what of it is of nothing here, and what was not read. */
export function readBackWords({
  changed,
  unknown,
  problems,
}: Pick<Extract<BillReading, { ok: true }>, 'changed' | 'unknown' | 'problems'>): readonly string[] {
  return [
    changed.length === 0
      ? 'The table says what is here already.'
      : `${countWords(changed.length, 'line')} taken over: ${someOf(changed)}.`,
    ...(unknown.length > 0 ? [`Of nothing here: ${someOf(unknown)}.`] : []),
    ...problems.slice(0, SHOWN),
    ...(problems.length > SHOWN ? [`${problems.length - SHOWN} more lines were not read.`] : []),
  ];
}

/** What it costs over so many years, line by line, with their sum. */
export function overYears(
  { total, currency }: Bill,
  { energy, kwh, drives, batteries }: Running,
  years: number,
): { readonly rows: readonly (readonly [what: string, money: string, why: string])[]; readonly sum: string } {
  const parts: [string, number, string][] = [['to buy', total, '']];
  if (energy && kwh)
    parts.push([
      'electricity',
      energy.value * years,
      `${Math.round(kwh.lo * years).toLocaleString('en')} to ${Math.round(kwh.hi * years).toLocaleString('en')} kWh`,
    ]);
  const failing = drives.aYear * years;
  if (failing > 0)
    parts.push(['drives that fail', drives.money * years, `${Number(failing.toPrecision(2))} on the average`]);
  if (batteries.count > 0) parts.push(['batteries of the UPS', batteries.money * years, 'typical of their kind']);
  return {
    rows: parts.map(([what, money, why]) => [what, roughly(money, currency), why] as const),
    sum: roughly(
      parts.reduce((all, [, money]) => all + money, 0),
      currency,
    ),
  };
}

/** What speaks for and against a part that is owned: what a year of it costs, its noise, what was found. */
export function keptWords({ isDoubted, yearMinor, quieterDb, found }: OwnedLine, currency: string): string {
  const words = [
    ...(isDoubted ? ['marked doubtful'] : []),
    ...found,
    ...(quieterDb >= 1 ? [`${quieterDb.toFixed(0)} dB(A) quieter without it`] : []),
    ...(yearMinor ? [`${wholeMoneyWords(yearMinor.value, currency)} of electricity a year`] : []),
  ];
  return words.length > 0 ? `; ${words.join(', ')}` : '';
}

/** Whether a stage works; of one that does not, whether what comes later would make it. */
export function stageWords({ works, verdict, forward }: StageWork, isLast: boolean): string {
  if (works) return `works. ${verdict}.`;
  if (forward) return `does not work by itself. ${verdict}.`;
  return isLast ? `does not work. ${verdict}.` : `does not work, and nothing of later stages cures it. ${verdict}.`;
}
