import { minorPerMajor, readNumber, type SheetId, type StockEntry } from '@inch-tower/core';

/** What is typed about owned parts, field by field. */
export type Typed = {
  readonly count: string;
  readonly year: string;
  readonly hours: string;
  readonly condition: string;
  readonly paid: string;
  readonly note: string;
};

/** The entry as typed, or a sentence saying what cannot be. */
export function entryOf(id: string, sheet: string, typed: Typed, currency: string): StockEntry | string {
  const asked = [
    ['How many', typed.count, ''],
    ['Year', typed.year, ''],
    ['Hours run', typed.hours, ''],
    ['Paid', typed.paid, currency],
  ] as const;
  const read = asked.map(([, text, unit]) => (text.trim() === '' ? null : readNumber(text, { unit })));
  const wrong = read.findIndex((one) => one?.ok === false);
  if (wrong >= 0) return `${asked[wrong]![0]}: ${(read[wrong] as { words: string }).words}.`;
  const [count, year, hours, paid] = read.map((one) => (one?.ok ? one.value : undefined));
  if (count === undefined || !Number.isInteger(count) || count < 1 || count > 1000)
    return 'How many: a whole number from 1 to 1000.';
  if (year !== undefined && !(Number.isInteger(year) && year >= 1980 && year <= 2100))
    return 'Year: four digits, such as 2019.';
  if (hours !== undefined && !(hours >= 0 && hours <= 1e6)) return 'Hours run: a number from 0 to 1,000,000.';
  if (paid !== undefined && !(paid >= 0)) return 'Paid: an amount, such as 49.90.';
  return {
    id,
    sheet: sheet as SheetId,
    count,
    ...(year === undefined ? {} : { year }),
    ...(hours === undefined ? {} : { hours }),
    ...(typed.condition ? { condition: typed.condition as NonNullable<StockEntry['condition']> } : {}),
    ...(paid === undefined ? {} : { paid: { minor: Math.round(paid * minorPerMajor(currency)), currency } }),
    ...(typed.note.trim() ? { note: typed.note.trim() } : {}),
  };
}
