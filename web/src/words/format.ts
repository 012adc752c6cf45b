import { minorPerMajor, type Figure, type FigureId } from '@inch-tower/core';

const space = (text: string) => text.replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f');
const fixed = (value: number, digits: number) => {
  const [whole, rest] = Math.abs(value).toFixed(digits).split('.');
  const negative = value < 0 && Number(value.toFixed(digits)) !== 0;
  return `${negative ? '−' : ''}${space(whole!)}${rest ? `.${rest}` : ''}`;
};

const DIGITS: Readonly<Partial<Record<FigureId, number>>> = {
  'capacity.rawTb': 1,
  'capacity.mostTb': 1,
  'capacity.usableTb': 1,
  'sound.earIdleDb': 1,
  'power.start12A': 1,
};

/** A figure's number with a digit after the point only where it means something. */
export const figureNumber = (id: FigureId, value: number): string =>
  fixed(value, id.startsWith('capacity.') && value >= 100 ? 0 : (DIGITS[id] ?? 0));

export const unitWords = (figure: Pick<Figure, 'unit'>): string =>
  /^[A-Z]{3}$/.test(figure.unit) ? currencySign(figure.unit) : figure.unit;

const MOST_DIGITS = 3;
/** A number with as many digits as its size asks for. */
export function plainNumber(value: number): string {
  const size = Math.abs(value);
  const digits = size !== 0 && size < 1 ? MOST_DIGITS : size < 10 ? 2 : size < 1000 ? 1 : 0;
  const text = size.toFixed(digits);
  const short = digits > 0 ? text.replace(/0+$/, '').replace(/\.$/, '') : text;
  return value < 0 && Number(short) !== 0 ? `−${short}` : short;
}

/** Numbers of one range with the digits it leaves a meaning: 0.43 within 0.41 and 0.45, 31 within 24 and 40. */
export function numbersWithin(lo: number, hi: number): (value: number) => string {
  const width = Math.abs(hi - lo);
  if (width === 0) return plainNumber;
  const digits = Math.max(0, Math.min(MOST_DIGITS, -Math.floor(Math.log10(width))));
  return (value) => {
    const text = Math.abs(value).toFixed(digits);
    return value < 0 && Number(text) !== 0 ? `−${text}` : text;
  };
}

/** A range only where it is wider than the digits shown. */
export function rangeWords(id: FigureId, figure: Figure): string {
  const lo = figureNumber(id, figure.lo);
  const hi = figureNumber(id, figure.hi);
  return lo === hi ? '' : `${lo}–${hi}`;
}

/** A change with its sign; nothing for one too small to show. */
export function changeWords(id: FigureId, change: number): string {
  const text = figureNumber(id, Math.abs(change));
  return Number(text.replace(/\u202f/g, '')) === 0 ? '' : `${change > 0 ? '+' : '−'}${text}`;
}

export function moneyWords(minor: number, currency: string): string {
  const per = minorPerMajor(currency);
  const whole = minor % per === 0;
  return `${currencySign(currency)}\u202f${fixed(minor / per, whole ? 0 : Math.round(Math.log10(per)))}`;
}

/** The same without what is less than one of the currency. */
export function wholeMoneyWords(minor: number, currency: string): string {
  const per = minorPerMajor(currency);
  return moneyWords(Math.round(minor / per) * per, currency);
}

const signs = new Map<string, string>();

/** The narrow sign of a currency; kept, since a number format is slow to make. */
export function currencySign(currency: string): string {
  const known = signs.get(currency);
  if (known) return known;
  const parts = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
  }).formatToParts(0);
  const sign = parts.find((part) => part.type === 'currency')?.value ?? currency;
  signs.set(currency, sign);
  return sign;
}

/** Decimal units, as drives are sold (IEC 80000-13). */
export function capacityWords(bytes: number): string {
  const tera = bytes / 1e12;
  if (tera >= 1) return `${Number(tera.toFixed(2))} TB`;
  return `${Math.round(bytes / 1e9)} GB`;
}

export const countWords = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
export const mmWords = (mm: number): string => `${Number.isInteger(mm) ? mm : mm.toFixed(1)} mm`;
