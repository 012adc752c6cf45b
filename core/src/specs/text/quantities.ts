/** What is measured, in the unit sheets keep it in. */
export type Dimension =
  | 'mm'
  | 'g'
  | 'W'
  | 'A'
  | 'V'
  | 'rpm'
  | 'm3h'
  | 'Pa'
  | 'dB'
  | 'C'
  | 'B'
  | 'MBps'
  | 'Gbps'
  | 'Wh'
  | 'Ah'
  | 'VA'
  | '%'
  | 'IOPS'
  | 'mps'
  | 'MTps'
  | 's'
  | 'TBW'
  | 'TBYear'
  | 'h'
  | 'U'
  | 'bays';

/** A number with its unit as it stands in a text; of a range `hi` is the upper end. */
export type Quantity = {
  readonly dimension: Dimension | null;
  readonly value: number;
  readonly hi: number;
  readonly at: number;
  readonly text: string;
};

const GIB = 1024 ** 3;
type Unit = readonly [pattern: string, dimension: Dimension, factor: number];
/** Longer spellings first. Sources: SI, ISO 80000-13; CFM and mmH₂O as fan sheets use them; 1 bel = 10 dB. */
const UNITS: readonly Unit[] = [
  ['mm[\\s-]?h[2₂]o|mm\\s?aq|mmws', 'Pa', 9.80665],
  ['inh[2₂]o|in\\.?\\s?h[2₂]o|"\\s?h[2₂]o', 'Pa', 249.089],
  ['kpa', 'Pa', 1000],
  ['pa', 'Pa', 1],
  ['m³\\s?/\\s?h|m3\\s?/\\s?h|m\\^3/h|cmh', 'm3h', 1],
  ['l\\s?/\\s?s', 'm3h', 3.6],
  ['m³\\s?/\\s?min|m3\\s?/\\s?min', 'm3h', 60],
  ['cfm|ft³/min|ft3/min', 'm3h', 1.69901],
  ['lfm|lf/min|fpm', 'mps', 0.00508],
  ['m/s', 'mps', 1],
  ['mt/s', 'MTps', 1],
  ['tb\\s?/\\s?(?:year|yr|jahr|a)\\b', 'TBYear', 1],
  ['pbw', 'TBW', 1000],
  ['tbw', 'TBW', 1],
  ['gb/s|gbytes?/s', 'MBps', 1000],
  ['gib/s', 'MBps', 1073.741824],
  ['mib/s', 'MBps', 1.048576],
  ['mb/s|mbytes?/s', 'MBps', 1],
  ['gbit/s|gbps|gb/sec|gbits/s|gbe|gt/s|gigabit', 'Gbps', 1],
  ['mbit/s|mbps', 'Gbps', 0.001],
  ['tib', 'B', 1024 * GIB],
  ['gib', 'B', GIB],
  ['mib', 'B', 1024 ** 2],
  ['tb|tbyte', 'B', 1e12],
  ['pb|pbyte', 'B', 1e15],
  ['gb|gbyte', 'B', 1e9],
  ['mb|mbyte', 'B', 1e6],
  ['milliwatts?|mw', 'W', 0.001],
  ['kw', 'W', 1000],
  ['watts?|w', 'W', 1],
  ['btu/h|btu/hr', 'W', 0.293071],
  ['volt-?amperes?|va', 'VA', 1],
  ['wh', 'Wh', 1],
  ['ah', 'Ah', 1],
  ['milliamperes?|ma', 'A', 0.001],
  ['amps?|amperes?|a', 'A', 1],
  ['volts?|vdc|vac|v', 'V', 1],
  ['rpm|u/min|giri/min|tr/min|t/min|r/min|omw/min|1/min|min⁻¹|min-1|rev/min|upm', 'rpm', 1],
  ['bels?|b\\(a\\)', 'dB', 10],
  ['db\\s?\\(a\\)|dba|db', 'dB', 1],
  ['°\\s?c|℃|deg\\.?\\s?c|celsius|c', 'C', 1],
  ['k\\s?iops', 'IOPS', 1000],
  ['iops', 'IOPS', 1],
  ['%|percent|prozent', '%', 1],
  ['mm|millimet(?:er|re)s?', 'mm', 1],
  ['cm', 'mm', 10],
  ['inch(?:es)?|zoll|in\\b|"', 'mm', 25.4],
  ['kilograms?|kg', 'g', 1000],
  ['grams?|gramm|g', 'g', 1],
  ['pounds?|lbs?\\.?', 'g', 453.592],
  ['ounces?|oz\\.?', 'g', 28.3495],
  ['hours?|hrs?|stunden|h', 'h', 1],
  ['seconds?|secs?|sekunden|s', 's', 1],
];
const UNIT = new RegExp(
  `^\\s?(?:\\([wbhdlt]\\)\\s?)?(?:${UNITS.map(([pattern]) => `(${pattern})`).join('|')})(?![a-zµ])`,
  'i',
);
const NUMBER = /(?<![\d.,a-wyz_])[+-]?\d+(?:[ ’']\d{3})+(?:[.,]\d+)?(?!\d)|(?<![\d.,a-wyz_])[+-]?\d+(?:[.,]\d+)*/gi;

/** Words of languages that write decimals with a comma. */
const COMMA_WORDS = new RegExp(
  String.raw`[äöüß]|\b(?:leistung|gewicht|schnittstelle|formfaktor|abmessungen|drehzahl|garantie|jahre)\b` +
    String.raw`|\b(?:vitesse|poids|puissance|peso|potencia|potenza|alimentatore|altezza|hoogte|voeding|vermogen)\b`,
  'i',
);
/** Numbers of versions, which have a dot in every language. */
const VERSIONS = /\b(?:pcie?|pci express|gen|rev|version|usb|hdmi|nvme|sata|ipmi|v)\.?\s*\d\.\d\b/gi;

/** How a text writes its decimals: seen in numbers that leave no doubt, else by its language. */
export function decimalOf(text: string): ',' | '.' {
  const plain = text.replace(VERSIONS, ' ');
  const commas = plain.match(/(?<![\d.,])\d+,\d{1,2}(?![\d,])/g)?.length ?? 0;
  const dots = plain.match(/(?<![\d.,])\d+\.\d{1,2}(?![\d.])/g)?.length ?? 0;
  return commas > dots || (commas === dots && COMMA_WORDS.test(text)) ? ',' : '.';
}

/** A number as it is written: thousands by space, apostrophe, comma or dot, as the text writes its decimals. */
export function numberOf(text: string, decimal: ',' | '.'): number {
  const plain = text.replace(/[ ’']/g, '');
  const marks = plain.match(/[.,]/g) ?? [];
  const last = marks.at(-1);
  if (!last) return Number(plain);
  const isMixed = new Set(marks).size > 1;
  const tail = plain.slice(plain.lastIndexOf(last) + 1).length;
  const isThousands = !isMixed && (marks.length > 1 || (tail === 3 && last !== decimal));
  if (isThousands) return Number(plain.replace(/[.,]/g, ''));
  return Number(
    plain.slice(0, plain.lastIndexOf(last)).replace(/[.,]/g, '') + '.' + plain.slice(plain.lastIndexOf(last) + 1),
  );
}

/** What stands between the two ends of a range. */
const RANGE = /^\s*(?:–|-|~|to|bis|à|a|hasta|tot|…|\.{2,3})\s*$/i;
function unitAt(
  text: string,
): { readonly dimension: Dimension; readonly factor: number; readonly length: number } | null {
  const found = UNIT.exec(text);
  if (!found) return null;
  const index = UNITS.findIndex((_, i) => found[i + 1] !== undefined);
  const [, dimension, factor] = UNITS[index]!;
  // A small b is a bit, a large one a byte; where all is small nobody can tell of what the maker spoke.
  const isBits = dimension === 'MBps' && /[GM]b\/s/.test(found[0]);
  return isBits
    ? { dimension: 'Gbps', factor: factor / 1000, length: found[0].length }
    : { dimension, factor, length: found[0].length };
}

/**
 * All numbers of a text with their units. A range, and a list as of dimensions, has the unit of its last; what has no
 * unit is a number alone.
 */
export function quantitiesOf(text: string, decimal: ',' | '.'): Quantity[] {
  if (!/\d/.test(text)) return [];
  const found = [...text.matchAll(NUMBER)].map((match) => {
    const value = numberOf(match[0], decimal);
    const end = match.index + match[0].length;
    return { match, value, end, unit: unitAt(text.slice(end)) };
  });
  // Between `5`, `–` and `60 °C`, or `150 x 86 x 140 mm`, the unit stands at the end.
  for (let i = found.length - 2; i >= 0; i--) {
    const [one, next] = [found[i]!, found[i + 1]!];
    const between = text.slice(one.end + (one.unit?.length ?? 0), next.match.index);
    const isRange = RANGE.test(between);
    const isList = next.unit?.dimension === 'mm' && /^\s*(?:\([a-z]+\)\s*)?[x×*/]\s*$/i.test(between);
    if (!one.unit && next.unit && (isRange || isList)) one.unit = next.unit;
  }
  const all: Quantity[] = [];
  for (let i = 0; i < found.length; i++) {
    const { match, value, unit, end } = found[i]!;
    const factor = unit?.factor ?? 1;
    const next = found[i + 1];
    const between = next ? text.slice(end + (unit && unit !== next.unit ? unit.length : 0), next.match.index) : '';
    const isRange = next !== undefined && RANGE.test(between);
    const hi = isRange ? next.value * (next.unit?.factor ?? factor) : value * factor;
    all.push({ dimension: unit?.dimension ?? null, value: value * factor, hi, at: match.index, text: match[0] });
    if (isRange) i++;
  }
  return all;
}
