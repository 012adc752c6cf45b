import { numbersWithin, plainNumber, wholeMoneyWords } from '../../words/format';
import { minorPerMajor, type Cell, type ComparedBy, type Comparison } from '@inch-tower/core';
import { hoursWords } from '../pool/poolWords';

const LABELS: Readonly<Record<ComparedBy, string>> = {
  verdict: 'How it stands',
  usableTb: 'Usable room',
  failures: 'Drives of a set that may fail',
  priceNow: 'Price now',
  perTb: 'Price of a usable TB',
  fiveYears: 'Price with five years of running',
  moneyYear: 'Electricity bill a year',
  kwhYear: 'Energy a year',
  idleW: 'Idle at the wall',
  workingW: 'At work at the wall',
  peakW: 'Peak at the wall',
  earDb: 'Noise at the ear when idle',
  hottestC: 'Hottest drive on the hottest day',
  readMBps: 'One client reads',
  writeMBps: 'One client writes',
  rebuildH: 'Rebuild of a drive',
  room: 'Free drive places',
  rackUnits: 'Rack units',
  volumeL: 'Size',
  massKg: 'Weight when filled',
};
export const labelOf = (by: ComparedBy): string => LABELS[by];

const UNITS: Readonly<Partial<Record<ComparedBy, string>>> = {
  usableTb: 'TB',
  kwhYear: 'kWh',
  idleW: 'W',
  workingW: 'W',
  peakW: 'W',
  earDb: 'dB(A)',
  hottestC: '°C',
  readMBps: 'MB/s',
  writeMBps: 'MB/s',
  rackUnits: 'U',
  volumeL: 'l',
  massKg: 'kg',
};
const MONEY: ReadonlySet<ComparedBy> = new Set(['priceNow', 'perTb', 'fiveYears', 'moneyYear']);

/** What machines are called on the page, in their order. */
export const LETTERS = ['A', 'B', 'C', 'D'] as const;

/** A number of a row in its unit. */
function valueWords(by: ComparedBy, value: number, currency: string, within?: { lo: number; hi: number }): string {
  if (MONEY.has(by)) return wholeMoneyWords(value * minorPerMajor(currency), currency);
  if (by === 'rebuildH') return hoursWords(value);
  if (by === 'failures') return value === 0 ? 'none' : `any ${value}`;
  if (by === 'readMBps' || by === 'writeMBps') return `${Math.round(value).toLocaleString('en')} MB/s`;
  const number = within && within.hi > within.lo ? numbersWithin(within.lo, within.hi)(value) : plainNumber(value);
  const unit = UNITS[by];
  return unit ? `${number} ${unit}` : number;
}

export const cellWords = (by: ComparedBy, cell: Cell, currency: string): string =>
  cell.words ?? valueWords(by, cell.value, currency, cell);

/** The range of a cell, where it has one that shows. */
export function rangeWords(by: ComparedBy, { lo, hi, words }: Cell, currency: string): string | null {
  if (words !== undefined || hi - lo < 1e-9) return null;
  const number = MONEY.has(by) ? (value: number) => valueWords(by, value, currency) : numbersWithin(lo, hi);
  return number(lo) === number(hi) ? null : `${number(lo)} to ${number(hi)}`;
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** Between a sign and what is no number no line ends (word joiner, UAX 14). */
const UNPARTED = '\u2060';
/** In sentences how one machine stands beside the first. */
export function besideWords(comparison: Comparison, at: number): readonly string[] {
  const { machines, rows } = comparison;
  const [first, own] = [machines[0], machines[at]];
  if (!first || !own) return [];
  const of = (against: Cell['against']) =>
    rows.flatMap(({ by, cells }) => {
      const cell = cells[at];
      return by !== 'verdict' && cell?.against === against ? [{ by, cell }] : [];
    });
  const told = (which: 'better' | 'worse') =>
    of(which).map(({ by, cell }) => {
      const more = cell.more?.value ?? 0;
      const size = Math.abs(more);
      const words = by === 'failures' ? String(size) : valueWords(by, size, own.currency, cell.more ?? undefined);
      // A difference of temperatures is in kelvin.
      const sign = `${more > 0 ? '+' : '−'}${/^\d/.test(words) ? '' : UNPARTED}`;
      return `${lower(labelOf(by))} ${sign}${words.replace('°C', 'K')}`;
    });
  const [better, worse] = [told('better'), told('worse')];
  const same = of('same').map(({ by }) => lower(labelOf(by)));
  const whom = nameOf(first);
  return [
    better.length > 0 ? `Better than ${whom}: ${better.join(', ')}.` : `In nothing surely better than ${whom}.`,
    ...(worse.length > 0 ? [`Worse: ${worse.join(', ')}.`] : []),
    ...(same.length > 0 ? [`Not to be told apart: ${listed(same)}.`] : []),
    ...paybackWords(comparison, at),
  ];
}

/** Past so many years nobody waits for a machine to pay for itself. */
const MOST_YEARS = 20;
const years = (value: number): string => (value < 10 ? value.toFixed(1).replace('.0', '') : String(Math.round(value)));

/** When the dearer of two has paid for itself by its electricity bill. */
function paybackWords({ machines, paybacks }: Comparison, at: number): readonly string[] {
  const told = paybacks[at];
  const dearer = machines[told?.isFirst ? 0 : at];
  if (!told || !dearer) return [];
  const money = (value: number) => wholeMoneyWords(value * minorPerMajor(dearer.currency), dearer.currency);
  const start = `${nameOf(dearer)} costs ${money(told.dearer)} more and saves ${money(told.savesAYear)} a year`;
  if (told.years > MOST_YEARS) return [`${start}: it does not pay for itself within twenty years.`];
  const latest =
    told.latest === null || told.latest > MOST_YEARS ? 'perhaps never' : `at the latest ${years(told.latest)}`;
  return [`${start}: paid for after ${years(told.years)} years, at the soonest ${years(told.soonest)}, ${latest}.`];
}
export const nameOf = ({ name }: { readonly name: string }): string => name || 'Unnamed';
