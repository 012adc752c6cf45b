/** A number as it was read, or a sentence why it could not be. */
export type ReadNumber = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly words: string };

/** What one of a unit that people write is in the unit asked for. */
const IN_UNIT: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, '"': 25.4 },
  m: { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048 },
  kg: { kg: 1, g: 0.001, lb: 0.45359237 },
  g: { g: 1, kg: 1000 },
  tb: { tb: 1, gb: 0.001, pb: 1000 },
  gb: { gb: 1, tb: 1000 },
  w: { w: 1, kw: 1000, watt: 1, watts: 1 },
  'gb/s': { 'gb/s': 1, 'gbit/s': 1, gbps: 1, 'mb/s': 0.001, 'mbit/s': 0.001, mbps: 0.001 },
  'db(a)': { 'db(a)': 1, db: 1, dba: 1 },
  eur: { eur: 1, '€': 1, euro: 1 },
  usd: { usd: 1, $: 1 },
  gbp: { gbp: 1, '£': 1 },
};
const MOST_SHOWN = 60;
const quoted = (text: string): string => `“${text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)}…` : text}”`;

/**
 * Reads a number as people write it: `1 200`, `1,234,567`, `1.234,5`, `70 cm` where millimetres are asked. What could
 * be thousands or decimals (`2,500`) is refused, never guessed; with `dotIsDecimal` a lone dot is one.
 */
export function readNumber(
  text: string,
  { unit = '', dotIsDecimal = false }: { readonly unit?: string; readonly dotIsDecimal?: boolean } = {},
): ReadNumber {
  const plain = text.trim();
  const refused = (words: string): ReadNumber => ({ ok: false, words: `${quoted(plain)} ${words}` });
  const asked = unit.trim().toLowerCase();
  const of = unit ? ` of ${unit}` : '';
  if (plain.length > MOST_SHOWN) return refused(`is not a number${of}`);
  const match = /^([€$£]?)\s*([+-]?[\d.,'\s\u00a0\u202f’]*\d[.,]?(?:e[+-]?\d+)?)\s*(.*)$/iu.exec(plain);
  if (!match) return refused(`is not a number${of}`);
  const [, before = '', digits = '', after = ''] = match;
  const written = (after || before).trim().toLowerCase();
  const times = written === '' || written === asked ? 1 : IN_UNIT[asked]?.[written];
  if (times === undefined) return refused(`is not a number${of}`);
  const packed = digits.replace(/[\s\u00a0\u202f'’]/g, '');
  const lone = /^[+-]?(\d{1,3})([.,])(\d{3})$/.exec(packed);
  if (lone && lone[1] !== '0' && !(dotIsDecimal && lone[2] === '.'))
    return refused(`can be ${lone[1]}${lone[3]} or ${Number(`${lone[1]}.${lone[3]}`)}: write one of these`);
  const value = Number(withDot(packed));
  return Number.isFinite(value) ? { ok: true, value: value * times } : refused(`is not a number${of}`);
}

/** Digits with a dot for decimals and nothing between thousands; not a number where the marks make no sense. */
function withDot(packed: string): string {
  const last = Math.max(packed.lastIndexOf('.'), packed.lastIndexOf(','));
  if (last < 0) return packed;
  const mark = packed[last]!;
  const other = mark === '.' ? ',' : '.';
  const [whole, decimals] = [packed.slice(0, last), packed.slice(last + 1)];
  // One mark more than once parts thousands; of two kinds the last is for decimals.
  if (whole.includes(mark)) return whole.includes(other) ? 'x' : grouped(packed, mark);
  return whole.includes(other) ? `${grouped(whole, other)}.${decimals}` : `${whole}.${decimals}`;
}
const grouped = (text: string, mark: string): string =>
  /^[+-]?\d{1,3}(?:[.,]\d{3})+$/.test(text) ? text.replaceAll(mark, '') : 'x';
