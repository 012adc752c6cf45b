/** A line of a text, or one of several facts that stand in one, with the number of its line (from 1). */
export type TextLine = { readonly text: string; readonly line: number };

/**
 * The lines of a text with signs that look alike made alike; facts with labels of their own that stand in one line,
 * parted by points, semicolons or commas, each for itself.
 */
export const linesOf = (text: string): readonly TextLine[] =>
  text
    .split(/\r\n|\r|\n/)
    .flatMap((line, i) => factsOf(plainRow(tidy(line))).map((fact) => ({ text: asPair(fact), line: i + 1 })));

/** Sentences that begin with what they are about. */
const SENTENCES = /(?<=[a-z\d)])\.\s+(?=(?:The|Its) )/;
const SAID = /^(?:the|its) ([a-z][^:;.]{2,50}?) (?:is|are|measures) (?:about )?([^:;]{1,120}?)\.?$/i;
const UNIT_WORDS = 'k?W|mm|cm|k?g|[MG]B\\/s|rpm|RPM|dB\\(A\\)|dBA?|V|m?A|[TG]B|VA|Wh|°C|IOPS|m3\\/h|CFM|mmH2O|TBW';
const UNIT_BEHIND = new RegExp(`^([^:\\t|,]{2,50}),\\s*(${UNIT_WORDS})(?=\\s*[:\\t|])`);
/** `The idle power is 5 W.` as label and value, `Idle power, W: 5` with its unit in brackets. */
const asPair = (fact: string): string => fact.replace(SAID, '$1: $2').replace(UNIT_BEHIND, '$1 ($2)');

const KEYED = /^[^:;,]{2,50}:\s?\S/;
const keyed = (facts: readonly string[]): number => facts.filter((fact) => KEYED.test(fact)).length;
function factsOf(line: string): readonly string[] {
  const points = line.split(/\s+•\s+/);
  if (points.length > 2) return points.flatMap((point) => factsOf(point));
  const clauses = line.split(/;\s+/);
  if (keyed(clauses) > 1) return clauses;
  const sentences = line.split(SENTENCES);
  if (sentences.length > 1) return sentences;
  const listed = line.split(/,\s+(?=[A-Z][^:,;]{1,40}:\s)/);
  return keyed(listed) > 1 ? listed : [line];
}

/** `"Capacity","8 TB"` of a table in a file as cells, and words without the marks of a page's source. */
function plainRow(line: string): string {
  const isQuoted = /^"(?:[^"]|"")*"(?:[,;]"(?:[^"]|"")*")+$/.test(line);
  const cells = isQuoted
    ? [...line.matchAll(/"((?:[^"]|"")*)"(?=[,;]|$)/g)].map(([, cell]) => cell!.replace(/""/g, '"'))
    : [];
  return isQuoted
    ? cells.join('\t')
    : line.replace(/\*\*|__|`/g, '').replace(/^(?:#{1,6}|\d{1,2}[.)])\s+(?=\p{Lu})/u, '');
}

/** `"power_idle": "5.0 W",` of a data file and `power_idle=5.0 W` of settings, as a label with its value. */
export const withoutMarks = (line: string): string =>
  SYNONYMS.reduce((said, [other, plain]) => said.replace(other, plain), settings(line));

/** Labels in other words of the same meaning, as the rules have them. */
const SYNONYMS: readonly (readonly [RegExp, string])[] = [
  [/^(?:overall|product|physical|item|total) (?=(?:height|width|depth|length|size|dimensions?|weight)\b)/i, ''],
  [/^(height|width|depth|length) \((?:max|approx|typ)\.?\)/i, '$1'],
  [/^measurements\b/i, 'Dimensions'],
  [/^(?:physical )?form-?factor(?: type)?\b/i, 'Form factor'],
  [/^(?:cpu )?(core|thread) count\b/i, '$1s'],
  [/^air (?:volume|delivery)\b/i, 'Air flow'],
  [/^power (?:draw|usage)\b/i, 'Power consumption'],
  [/^loudness\b/i, 'Noise level'],
];
const settings = (line: string): string => {
  const set = /^([a-z\d]\w{1,40})\s?=\s?(\S.*)$/i.exec(line) ?? /^([a-z]+(?:_[a-z\d]+)+)\s?:\s?(\S.*)$/i.exec(line);
  if (set) return `${labelOf(set[1]!)}: ${set[2]}`;
  const found = line.startsWith('"') ? /^"([\w .-]{1,60})"\s*:\s*"?(.*?)"?,?$/.exec(line) : null;
  return found ? `${labelOf(found[1]!)}: ${found[2]}` : line;
};
/** `idle_w`, `3v3`: the name of a setting as a label, its unit in brackets. */
const KEY_UNIT = /[ _](w|mm|cm|g|kg|dba?|rpm|gb|tb|a|va|wh|mbps|iops)$/i;
const labelOf = (key: string): string =>
  key
    .replace(KEY_UNIT, (_all, unit: string) => ` (${/^mbps$/i.test(unit) ? 'MB/s' : unit})`)
    .replace(/_/g, ' ')
    .replace(/^(\d+)v(\d)?(?= |$)/i, (_all, volts: string, tenths?: string) =>
      tenths ? `${volts}.${tenths}V` : `${volts}V`,
    );
/** `TB¹`, `5.0²`: marks of footnotes; not the powers in m³ and 10¹⁵. */
const SUPERSCRIPTS = /(10)?(?<!m)[⁻⁰¹²³⁴-⁹]+/g;
const tidy = (text: string): string =>
  text
    .replace(SUPERSCRIPTS, (marks, ten?: string) => (ten ? `10^${marks.slice(2).replace('⁻', '-')}` : ''))
    .normalize('NFKC')
    .replace(/[\u00a0\u202f\u2007\u2009]/g, ' ')
    .replace(/[\u2012\u2013\u2014\u2212]/g, '–')
    .replace(/[\u2018\u2019\u00b4]/g, '’')
    .replace(/[\u201c\u201d\u2033]/g, '"')
    .replace(/\b(stand)-(by)\b/gi, '$1$2')
    .replace(/(\d)[- ]?polig(?:e[nrs]?)?\b/gi, '$1-pin')
    .trim();
