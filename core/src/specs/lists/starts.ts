import { quantitiesOf } from '../text/quantities';
import type { Piece } from '../text/pieces';

/** What a drive takes while it spins up, A on its rails at 12 V and 5 V. */
export type SaidStart = { readonly a12?: number; readonly a5?: number };

const STARTS = /spin-?\s?up|start(?:-?\s?up)?\b|\bsurge|inrush|anlauf|einschalt|hochlauf/i;
const RAIL = /(?<![\d.,])\+?(12|5)\s?v(?:dc|olts?)?(?![a-z])/gi;

/**
 * Amperes at the start of a drive, where the text says of which rail: `Spin-up current (12 V): 2.0 A`, `Startup: 12 V
 * 1.8 A, 5 V 0.7 A`, `Start current 5 V / 12 V: 0.7 / 1.9 A`. A number without its rail is left open.
 */
export function startIn({ label, value, text }: Piece, decimal: ',' | '.'): SaidStart | undefined {
  if (!STARTS.test(label === '' ? text : label) || !/\d/.test(value)) return undefined;
  const head = label === '' ? value : label;
  const inLabel = [...head.matchAll(RAIL)].map((found) => found[1]!);
  const amps = quantitiesOf(value, decimal).filter(({ dimension }) => dimension === 'A');
  // `1.9 A (12 V)`, `12 V 1.9 A, 5 V 0.7 A`: each number beside its rail.
  const beside = amps.flatMap(({ at, text: number, value: ampere }, i): [string, number][] => {
    const before = value.slice(i === 0 ? 0 : amps[i - 1]!.at + amps[i - 1]!.text.length, at);
    const after = value.slice(at + number.length, amps[i + 1]?.at ?? value.length);
    const rail = [...before.matchAll(RAIL)].at(-1)?.[1] ?? /^\s*m?a[^\d]{0,12}\+?(12|5)\s?v/i.exec(after)?.[1];
    return rail === undefined ? [] : [[rail, ampere]];
  });
  if (beside.length > 0 && beside.length === amps.length) return rails(beside);
  // As many rails before the colon as numbers behind it, one unit for all.
  const numbers = quantitiesOf(value, decimal).filter(({ dimension }) => dimension === 'A' || dimension === null);
  const isEach = label !== '' && inLabel.length > 0 && inLabel.length === numbers.length && amps.length > 0;
  return isEach ? rails(inLabel.map((rail, i) => [rail, numbers[i]!.value])) : undefined;
}

/** No rail said twice, and what disks take: up to 5 A. */
function rails(found: readonly (readonly [rail: string, ampere: number])[]): SaidStart | undefined {
  const isOnce = new Set(found.map(([rail]) => rail)).size === found.length;
  if (!isOnce || found.some(([, ampere]) => ampere <= 0 || ampere > 5)) return undefined;
  const of = new Map(found);
  const [a12, a5] = [of.get('12'), of.get('5')];
  return { ...(a12 === undefined ? {} : { a12 }), ...(a5 === undefined ? {} : { a5 }) };
}
