import type { PartKind } from '../../parts/vocabulary';
import type { Entry } from '../text/entries';
import type { Dimension, Quantity } from '../text/quantities';

/**
 * How one field is found: by its label and the unit of its number, or by words. `free` rules also read words that stand
 * alone, as in a shop's line. What is found by a rule further up outweighs what is found by one below it.
 */
export type Rule = {
  readonly field: string;
  readonly label?: RegExp;
  readonly not?: RegExp;
  /** Said anywhere in the text, it makes the rule say nothing. */ readonly unless?: RegExp;
  readonly dimension?: Dimension;
  /** Of a range or of several numbers. */ readonly pick?: 'first' | 'most';
  /** The value from the words of an entry; undefined where they say nothing of it. */
  readonly read?: (entry: Entry, quantities: readonly Quantity[]) => unknown;
  readonly free?: boolean;
};
export type KindRules = {
  readonly kind: PartKind;
  readonly cues: readonly (readonly [RegExp, number])[];
  readonly rules: readonly Rule[];
};

/** What stands in the first line: what a thing is, before what it goes with. */
export const titled = (what: string): RegExp => new RegExp(String.raw`^\s*[^\n]*(?:${what})`, 'i');

/** A field read from words: the value of the first pattern that is met. */
export const words =
  (...choices: readonly (readonly [RegExp, unknown])[]) =>
  ({ label, value }: Entry): unknown =>
    choices.find(([pattern]) => pattern.test(`${label} ${value}`))?.[1];

/** Yes or no by the answer; undefined where it is neither. */
export const yesNo = ({ value }: Entry): boolean | undefined =>
  /^\s*(?:yes|ja|sí|sì|oui|true|supported|unterstützt|✓|✔)/i.test(value) || /\bsupported\b(?!.*\bnot\b)/i.test(value)
    ? !/\bnot supported|nicht\b/i.test(value)
    : /^\s*(?:no\b|nein|non\b|nee\b|none|false|not |nicht|✗|—|-$)/i.test(value)
      ? false
      : undefined;

/** The watts that a value itself calls its most, or its usual: `16 W typical, 22.5 W maximum`, `7.5 W, max 10.2 W`. */
export function called(word: 'max' | 'typ', { value }: Entry, quantities: readonly Quantity[]): number | undefined {
  const names = word === 'max' ? 'max|at most|peak' : 'typ|usual';
  const [behind, ahead] = [new RegExp(`^(?:${names})`, 'i'), new RegExp(`\\b(?:${names})[a-z.]*[\\s:(.]*$`, 'i')];
  const found = quantities.filter(({ dimension, at, text }) => {
    const after = value.slice(at + text.length).replace(/^\s*w(?:atts?)?\b[\s(]*/i, '');
    return dimension === 'W' && (behind.test(after) || ahead.test(value.slice(0, at)));
  });
  return found.length === 1 ? found[0]!.value : undefined;
}

/** `(WxHxD)` behind the numbers. */
const IN_ORDER = /\(?\b[wbhdlt]\s?[x×]\s?[wbhdlt]\s?[x×]\s?[wbhdlt]\b\)?/i;
type Axis = 'w' | 'h' | 'd';
const AXES: Readonly<Record<string, Axis>> = { w: 'w', b: 'w', h: 'h', d: 'd', t: 'd', l: 'd' };
/** Where depth is called P (profondeur, profundidad, profondità) L is the width and A the height. */
const WITH_P: Readonly<Record<string, Axis>> = { l: 'w', a: 'h', h: 'h', p: 'd' };
/** `(height x width x depth)` as letters. */
const SIDE_WORDS = /\b(height|width|depth|length|höhe|breite|tiefe|länge)\b(?=\s*(?:[x×*/)]|$))/gi;
const inLetters = (said: string): string => said.replace(SIDE_WORDS, (word) => (/^l/i.test(word) ? 'L' : word[0]!));
const ORDER = /(?<![a-zäöü])([wbhdltpa])\s*[x×*/]\s*([wbhdltpa])(?:\s*[x×*/]\s*([wbhdltpa]))?(?![a-zäöü])/i;
const LETTERED =
  /(?<![a-z])([wbhdlt])\s*([\d.,]+)\s*[x×]\s*([wbhdlt])\s*([\d.,]+)\s*[x×]\s*([wbhdlt])\s*([\d.,]+)\s?(mm|cm|in|")/i;
const BEHIND =
  /([\d.,]+)\s*\(([wbhdlt])\)\s*[x×]\s*([\d.,]+)\s*\(([wbhdlt])\)\s*[x×]\s*([\d.,]+)\s*\(([wbhdlt])\)\s*(mm|cm|in|")/i;
/** `W 310 mm, H 240 mm, D 330 mm`. */
const SIDE = String.raw`(?<![a-z])([wbhdlt])[:\s]*([\d.,]*\d)\s?`;
const LISTED = new RegExp(
  `${SIDE}(?:mm|cm|in|")?\\s*[,;]\\s*${SIDE}(?:mm|cm|in|")?\\s*[,;]\\s*${SIDE}(mm|cm|in|")`,
  'i',
);
/** Numbers before their letters, as if they stood behind them. */
const turned = (found: RegExpExecArray | null): readonly string[] | null =>
  found && [found[0], found[2]!, found[1]!, found[4]!, found[3]!, found[6]!, found[5]!, found[7]!];
export const SIZE_LABEL =
  /form ?factor|dimension|abmess|maße|masse \(|size|größe|^\W*[wbhdlt]\s?[x×]\s?[wbhdlt]\s?[x×]\s?[wbhdlt]\b/i;

/** A width, height or depth (or length) out of dimensions that say in which order they stand; in mm. */
export const axis =
  (wanted: Axis) =>
  ({ label, value, text }: Entry, quantities: readonly Quantity[]): number | undefined => {
    const lengths = quantities.filter(({ dimension }) => dimension === 'mm');
    if (lengths.length === 0) return undefined;
    const lettered =
      LETTERED.exec(value) ?? turned(BEHIND.exec(value)) ?? (/[,;]/.test(text) ? LISTED.exec(text) : null);
    if (
      !lettered &&
      !SIZE_LABEL.test(label) &&
      !ORDER.test(inLetters(label)) &&
      !SIZE_LABEL.test(text) &&
      !IN_ORDER.test(value)
    )
      return undefined;
    const order = ORDER.exec(inLetters(label)) ?? ORDER.exec(inLetters(value));
    if (order) {
      const letters = order.slice(1).filter((one) => one !== undefined);
      const axes = letters.some((one) => /p/i.test(one)) ? WITH_P : AXES;
      const at = letters.findIndex((one) => axes[one.toLowerCase()] === wanted);
      // `5.2" x 17.2" x 25.5" (132 x 437 x 648 mm)` says them twice.
      const twice = lengths.length === 2 * letters.length;
      return at >= 0 && (twice || lengths.length === letters.length)
        ? lengths[twice ? letters.length + at : at]!.value
        : undefined;
    }
    // `W 437 x H 132 x D 648 mm`, `88 (H) x 437 (W) x 660 (D) mm`: one unit for all three.
    if (lettered) {
      const at = [1, 3, 5].find((i) => AXES[lettered[i]!.toLowerCase()] === wanted);
      const factor = { mm: 1, cm: 10 }[lettered[7]!.toLowerCase()] ?? 25.4;
      return at === undefined ? undefined : Number(lettered[at + 1]!.replace(',', '.')) * factor;
    }
    // `L 495 mm x W 230 mm`, or `150 mm (W) x 86 mm (H) x 140 mm (D)`.
    const ahead = lengths.map(({ at }) => /(?<![a-zäöü])([wbhdlt])\s*[:=]?\s*$/i.exec(value.slice(0, at))?.[1]);
    if (ahead.length > 1 && ahead.every((one) => one !== undefined))
      return lengths[ahead.findIndex((one) => AXES[one!.toLowerCase()] === wanted)]?.value;
    return lengths.find((one, i) => {
      const end = lengths[i + 1]?.at ?? value.length;
      const after = /^[\d.,\s]*(?:mm|cm|in(?:ch(?:es)?)?|")?\s*\(?([wbhdlt])\)?(?![a-z])/i.exec(
        value.slice(one.at, end),
      );
      return after !== null && AXES[after[1]!.toLowerCase()] === wanted;
    })?.value;
  };

/** Bels are told of sound power alone (ISO 9296), as a level that is declared. */
export const SOUND_POWER: Rule = {
  field: 'soundMeaning',
  label: /acoustic|sound|noise|schall|geräusch/i,
  read: ({ label, value }) =>
    /\d\s?(?:bels?\b|b\(a\))/i.test(value) || /\d\s?B$/.test(value) || /sound power|schallleistung/i.test(label)
      ? 'powerDeclared'
      : undefined,
};

/** `90 g` as a fact by itself. */
const MASS_ALONE = /^(?:ca\.?\s*|approx\.?\s*)?[\d.,]+\s?(?:k?g|lbs?)\.?$/i;
/** `The drives weigh 700 g`. */
const WEIGHS = /\bweighs? (?:about |only )?[\d.,]+\s?(?:k?g|lbs?)\b/i;
/** What every part has. */
export const COMMON: readonly Rule[] = [
  {
    field: 'massG',
    label: /weight|weighs|gewicht|wiegt|^mass\b/i,
    not: /gross|shipping|pack|brutto|versand|load|trag|max/i,
    dimension: 'g',
  },
  {
    field: 'massG',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && (MASS_ALONE.test(value) || WEIGHS.test(value))
        ? quantities.find(({ dimension }) => dimension === 'g')?.value
        : undefined,
  },
];

/** `PCIe 3.0`, `PCI Express Gen 4`, `PCI-E rev. 2.0`; not the lanes of `PCIe x8`. */
const GENERATION =
  /pci\s?-?\s?e(?:xpress)?\s*(?:gen(?:eration)?\.?\s*)?(?:rev(?:ision)?\.?\s*)?v?([1-6])(?:\.\d)?(?!\d|x\b|\s?lanes)/i;
/** The generation of a PCIe link, before its lanes or behind them: `PCIe 4.0 x8`, `PCIe x8 3.0`. */
export function generation({ label, value }: Entry): number | undefined {
  const said = `${label} ${value}`;
  const behind = /pci\s?-?\s?e(?:xpress)?\s*x\d{1,2}[,\s]+(?:gen\.?\s*([1-6])|([1-6])\.\d)/i;
  const [, one, other] = GENERATION.exec(said) ?? behind.exec(said) ?? [];
  const gen = one ?? other;
  return gen === undefined ? undefined : Number(gen);
}
/** A low bracket goes on a low card alone, whatever else lies in the box. */
const lowBracket = (text: string): boolean =>
  /bracket|blende/i.test(text) &&
  /low[ -]?profile|half[ -]?height|\blp\b/i.test(text) &&
  !/\b(?:no|not|nicht)\b|without|ohne|only full|optional|separate|sold apart/i.test(text);
/** A card's two sides: the longer is its length, the other about 69 or 111 mm high. */
function cardLength(quantities: readonly Quantity[]): number | undefined {
  const sides = quantities.filter(({ dimension }) => dimension === 'mm').map((one) => one.value);
  const tall = Math.min(...sides);
  return sides.length === 2 && ((tall > 60 && tall < 72) || (tall > 95 && tall < 125)) ? Math.max(...sides) : undefined;
}
/** A card's edge, bracket and watts, which all cards have. */
export const CARD: readonly Rule[] = [
  {
    field: 'lanes',
    label: /interface|bus|host|pci|slot|edge|anschluss|schnittstelle/i,
    free: true,
    read: ({ label, value }) => {
      const found = /pci\s?-?\s?e(?:xpress)?[^x]{0,24}?\bx\s?(1|2|4|8|16)\b|\bx\s?(1|2|4|8|16)\b[^x]{0,12}pci/i.exec(
        `${label} ${value}`,
      );
      return found ? Number(found[1] ?? found[2]) : undefined;
    },
  },
  {
    field: 'gen',
    label: /interface|bus|host|pci|slot|edge|anschluss|schnittstelle/i,
    free: true,
    read: generation,
  },
  {
    field: 'height',
    label: /form factor|height|profile|bauform|bracket|blende|^size$/i,
    free: true,
    read: ({ label, value, text }) =>
      lowBracket(text)
        ? 'low'
        : /bracket|blende/i.test(text) || /in the box|included|enthalten/i.test(`${label} ${value}`)
          ? undefined
          : words(
              [/low[ -]?profile|md2|half[ -]?height/i, 'low'],
              [/(?<![\w-])LP(?![\w-])/, 'low'],
              [/full[ -]?height/i, 'full'],
            )({ label, value, line: 0, text: '' }),
  },
  { field: 'peakW', label: /max.*(power|consumption)|power.*max|leistung.*max/i, dimension: 'W', pick: 'most' },
  {
    field: 'peakW',
    label: /power|consumption|leistung/i,
    not: /idle|standby/i,
    read: (entry, quantities) => called('max', entry, quantities),
  },
  { field: 'idleW', label: /idle|leerlauf/i, dimension: 'W' },
  // `8 W idle`, `up to 19 W` as facts of a line.
  ...(
    [
      ['idleW', /^[\d.,]+\s?w(?:atts?)? (?:at |in )?idle$/i],
      ['peakW', /^(?:up to|max\.?:?|at most) [\d.,]+\s?w(?:atts?)?(?: \([^)]*\)| max\.?)?$/i],
    ] as const
  ).map(([field, said]): Rule => ({
    field,
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && said.test(value) ? quantities.find(({ dimension }) => dimension === 'W')?.value : undefined,
  })),
  {
    field: 'busyW',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^[\d.,]+\s?w typ/i.test(value) ? quantities[0]?.value : undefined,
  },
  {
    field: 'busyW',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^(?:about|around|roughly|approx\.?|ca\.?|~)\s?[\d.,]+\s?w(?:atts?)?\.?$/i.test(value)
        ? quantities[0]?.value
        : undefined,
  },
  { field: 'busyW', label: /^(?:typical|typ\.?|average)$/i, dimension: 'W' },
  {
    field: 'busyW',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^(?:it )?(?:draws|uses|consumes|takes) (?!up to)/i.test(value) && quantities.length === 1
        ? quantities.find(({ dimension }) => dimension === 'W')?.value
        : undefined,
  },
  {
    field: 'busyW',
    label: /power|consumption|leistung/i,
    not: /idle|max|peak|standby|supply|leerlauf/i,
    read: (entry, quantities) => {
      const usual = called('typ', entry, quantities);
      const most = called('max', entry, quantities);
      const others = quantities.filter(({ dimension, value }) => dimension === 'W' && value !== most);
      return usual ?? (most !== undefined && others.length === 1 ? others[0]!.value : undefined);
    },
  },
  {
    field: 'busyW',
    label: /power|consumption|leistung/i,
    not: /idle|max|peak|standby|supply|leerlauf/i,
    read: ({ value }, quantities) => {
      const watts = quantities.filter(({ dimension }) => dimension === 'W');
      return watts.length === 1 && !/max|peak/i.test(value) ? watts[0]!.value : undefined;
    },
  },
  {
    field: 'lengthMm',
    label: /^(?:card |board )?length|länge/i,
    not: /cable|kabel|cord/i,
    dimension: 'mm',
  },
  {
    field: 'lengthMm',
    label: /form factor|dimension|size|abmess|bauform/i,
    read: ({ value }, quantities) => (/[x×]/.test(value) ? cardLength(quantities) : undefined),
  },
  {
    field: 'lengthMm',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^[\d.,]+\s?(?:mm)?\s*[x×]\s*[\d.,]+\s?mm\.?$/i.test(value) ? cardLength(quantities) : undefined,
  },
  // One length in a line of facts.
  {
    field: 'lengthMm',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^\d{2,3}(?:[.,]\d)?\s?mm(?: long)?$/i.test(value) ? quantities[0]?.value : undefined,
  },
  {
    field: 'needsAirMPerS',
    label: /air ?flow|luftstrom|cooling|kühlung/i,
    dimension: 'mps',
  },
  {
    field: 'needsAirMPerS',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /air ?flow|luftstrom/i.test(value)
        ? quantities.find(({ dimension }) => dimension === 'mps')?.value
        : undefined,
  },
  {
    field: 'maxC',
    label: /operating|ambient|temperatur|betrieb/i,
    not: /storage|non|lager|humid/i,
    dimension: 'C',
    pick: 'most',
  },
];
