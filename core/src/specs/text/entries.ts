import { HEAD_WORDS } from './pieces';

/** A label with its value, and the line it stands in (from 1). `label` is empty where the words stand alone. */
export type Entry = { readonly line: number; readonly text: string; readonly label: string; readonly value: string };

/** Longer is no label but a sentence. */
const LONGEST_LABEL = 70;
const BULLET = String.raw`^\s*[•*·–-]?\s*`;
/** What parts a label from its value, the surest first: `Power: idle | 5 W` is parted at the bar. */
const SEPARATORS = [
  String.raw`\t+`,
  String.raw`\s*\|\s*`,
  String.raw`\s*(?:\.{3,}|…+)\s*`,
  String.raw`\s*:(?!\/\/)\s*`,
  String.raw`\s=\s`,
  String.raw`\s{2,}`,
  String.raw`\s–\s`,
]
  .map((separator) => new RegExp(`${BULLET}(.{1,70}?)${separator}(\\S.*)$`))
  // Between numbers a hyphen is a range.
  .concat(new RegExp(String.raw`${BULLET}(\D{1,70}?)\s-\s(\S.*)$`));
/** What a line has that a separator could part: quicker looked for than parted. */
const SIGNS: readonly (readonly string[])[] = [['\t'], ['|'], ['...', '…'], [':'], ['='], ['  '], [' – '], [' - ']];
/** `Read 7,000 MB/s  Write 6,500 MB/s`: what is before the room is no label, for it has its number. */
const MEASURED = /\d\s?(?:[km]?w|mb\/s|m?a|mm|cm|rpm|iops|kg|db(?:\(a\)|a)?)(?![a-z])/i;
const parted = (line: string): RegExpExecArray | null => {
  for (const [i, separator] of SEPARATORS.entries()) {
    if (!SIGNS[i]!.some((sign) => line.includes(sign))) continue;
    const found = separator.exec(line);
    if (found && !(LOOSE.has(i) && MEASURED.test(found[1] ?? ''))) return found;
  }
  return null;
};
/** Bars, room and strokes also stand between facts. */
const LOOSE: ReadonlySet<number> = new Set([1, 5, 6, 7]);
/** Words and then a number: `Weight 1.6 kg`; the words may have a comma, and more in brackets. */
const NUMBER_NEXT = /\s+(?:(?:up to|upto|max\.?|bis zu|ca\.?|approx\.?|[≤<~±+-])\s*)?\d/giu;
const PLAIN_WORDS = /^(?:[^\d:;,(]|\([^()]{0,40}\)|,\s(?=[a-z])){3,60}$/i;
const MARK = /^[•*·–-]?\s*/;
function runOn(line: string): readonly [line: string, label: string, value: string] | null {
  const start = MARK.exec(line)?.[0].length ?? 0;
  NUMBER_NEXT.lastIndex = start;
  for (let found = NUMBER_NEXT.exec(line); found; found = NUMBER_NEXT.exec(line)) {
    const label = line.slice(start, found.index);
    if (label.length > 60) return null;
    if (PLAIN_WORDS.test(label)) return [line, label, line.slice(found.index).trim()];
    NUMBER_NEXT.lastIndex = found.index + 1;
  }
  return null;
}

/** `ECC memory supported Yes`, `Sockets supported R6`. */
const RUN_ON_WORD = /^([A-Za-z][A-Za-z #./-]{3,50}?)\s+(yes|no|[A-Z]{1,3}\d{1,4}(?:-\d+)?)$/i;

const WORD_LAST = /\s(?:yes|no|[A-Z]{1,3}\d{1,4}(?:-\d+)?)$/i;

/** A label and its value; a label is one thing, and no list of them. */
function pairOf(line: string): readonly string[] | null {
  const pair = parted(line) ?? runOn(line) ?? (WORD_LAST.test(line) ? RUN_ON_WORD.exec(line) : null);
  const [before, ...after] = pair?.[1]!.replace(/\([^)]*\)/g, '').split(/,\s/) ?? [];
  return pair && (after.length === 0 || (after.length === 1 && !/\d/.test(before ?? ''))) ? pair : null;
}

const SENTENCE = String.raw`(?<=\w{4}|\d|\)|\d\s?(?:mm|kg|g|W|A))\.\s+(?=[A-Z][a-z]|\d)`;
/**
 * Pieces of a shop's line: at commas that part no number, at semicolons, bars, tabs, wide room, slashes with room
 * around them and ends of sentences.
 */
const PARTS = new RegExp(String.raw`[;|•]|,(?!\d)|,(?<!\d,)|\s\/\s|\t+|\s{2,}|${SENTENCE}`);
const piecesOf = (line: string): string[] =>
  line
    .split(PARTS)
    .map((piece) => piece.replace(/^[•*·–-]\s+/, '').trim())
    .filter((piece) => piece !== '');

/**
 * What lines say: labels with values by tab, colon, dots, bars or room between them; a label on one
 * line and its value on the next; and words that stand alone, piece by piece.
 */
export function entriesOf(lines: readonly string[], isLabel: (words: string) => boolean): Entry[] {
  const entries: Entry[] = [];
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    if (line === '') continue;
    const at = { line: i + 1, text: line };
    const next = lines[i + 1] ?? '';
    const pair = pairOf(line);
    if (pair && pair[1]!.length <= LONGEST_LABEL && isLabel(pair[1]!)) {
      const label = pair[1]!.trim().toLowerCase();
      const each = slashed(label, pair[2]!);
      if (each.length > 0) {
        entries.push(...each.map((one) => ({ ...at, ...one })));
        continue;
      }
      const hasMark = parted(line) !== null;
      const clauses = clausesOf(label, pair[2]!, hasMark, isLabel);
      entries.push({ ...at, label, value: pair[2]!.replace(/\t+|\s*\|\s*/g, ' ') });
      entries.push(...clauses.map((clause) => ({ ...at, ...clause })));
      // `Form factor SFX, depth 100 mm`: the number is of what stands before it, the rest stands alone.
      const comma = label.replace(/\([^)]*\)/g, (inside) => ' '.repeat(inside.length)).lastIndexOf(', ');
      if (comma > 0 && !hasMark)
        entries.push(
          { ...at, label: label.slice(comma + 2), value: pair[2]! },
          { ...at, label: '', value: pair[1]!.trim().slice(0, comma) },
        );
      continue;
    }
    const isPoint = BULLETED.test(line) && BULLETED.test(next);
    const isWords = !/\d/.test(line.replace(TEST_SIZE, '').replace(/\([^)]*\)/g, ''));
    const isHead =
      !isPoint && ((isWords && isLabel(line)) || (i > 0 && (HEAD_WORDS.test(line) || RAIL_ALONE.test(line))));
    if (isHead && next !== '' && standsAlone(next, isLabel)) {
      const both = { line: i + 2, text: `${line}: ${next}` };
      const label = line.toLowerCase();
      const each = slashed(label, next);
      entries.push(...(each.length > 0 ? each : [{ label, value: next }]).map((one) => ({ ...both, ...one })));
      i++;
      continue;
    }
    if (pair && line.length <= LONGEST_LABEL * 2)
      entries.push({ ...at, label: pair[1]!.trim().toLowerCase(), value: pair[2]!.replace(/\t+|\s*\|\s*/g, ' ') });
    for (const piece of piecesOf(line)) {
      const own = pairOf(piece);
      entries.push(
        own && isLabel(own[1]!)
          ? { ...at, label: own[1]!.trim().toLowerCase(), value: own[2]! }
          : { ...at, label: '', value: piece },
      );
      // `DC OUTPUT: +12V 62 A`: words before it that are no label leave the rest to stand alone.
      if (own && piece !== line && (!isLabel(own[1]!) || own[2]!.startsWith('+')))
        entries.push({ ...at, label: '', value: own[2]! });
    }
  }
  return entries;
}

/** `+12 V` in a line of its own, its amperes in the next. */
const RAIL_ALONE = /^\+\s?(?:12|5|3[.,]3)\s?v(?:dc)?(?: rail)?$/i;
/** More words are no label. */
const LONGEST_HEAD = 4;
/** Points of a list stand each for itself. */
const BULLETED = /^[•*·–-]\s/;
/** `128 KB sequential read`, `4K random read (QD32)`: how it was measured is no value. */
const TEST_SIZE = /\b(?:4|64|128|256)\s?k(?:i?b)?\b|\bqd?\s?=?\d+(?:t\d+)?\b/gi;

/** Whether a line is the value of the label above: not itself a label, with or without its value, nor a rail. */
function standsAlone(line: string, isLabel: (words: string) => boolean): boolean {
  const isShort = line.split(/\s+/).length <= LONGEST_HEAD;
  if (parted(line) || /^\+\d/.test(line) || (isLabel(line) && isShort && !/\d/.test(line))) return false;
  const own = pairOf(line);
  return !own || !isLabel(own[1]!);
}

/** `Power (idle / average / max): 0.05 / 3.6 / 5.4 W`: as many names as numbers, one unit for all. */
function slashed(label: string, value: string): Pick<Entry, 'label' | 'value'>[] {
  const inside = /^(.*)\(([^()]*\/[^()]*)\)$/.exec(label);
  const names = (inside?.[2] ?? label).split(/\s*\/\s*/);
  // `(L/W/H)` says the order of sides.
  if (names.every((name) => /^[a-z]$/i.test(name.trim()))) return [];
  const numbers = value.replace(/^(?:up to|bis zu|max\.?)\s+/i, '').split(/\s*\/\s*(?=[\d.,])/);
  const unit = /^[\d.,]+(\s?k)?\s*(\D.*)$/i.exec(numbers.at(-1) ?? '')?.[2];
  if (names.length < 2 || names.length !== numbers.length || unit === undefined || /\d/.test(unit)) return [];
  const isPlain = (one: string) => /^[\d.,]+\s?k?$/i.test(one);
  const isWhole = (one: string) => new RegExp(`^[\\d.,]+\\s*${unit.replace(/[^\w]/g, '.')}$`, 'i').test(one);
  if (!numbers.slice(0, -1).every((one) => isPlain(one) || isWhole(one))) return [];
  const head = inside?.[1]?.trim() ?? '';
  return names.map((name, i) => ({
    label: `${head} ${name}`.trim(),
    value:
      i === names.length - 1 || isWhole(numbers[i]!)
        ? numbers[i]!
        : `${numbers[i]!}${/k$/i.test(numbers[i]!) ? '' : ' '}${unit}`,
  }));
}

/** What is said of these is not the part's. */
const NOT_OF_IT = /pack|box|carton|ship|cable|kabel|verpack/i;
/**
 * Further facts behind the first of a line: `Idle 5.4 W, operating 8.7 W`, or under one head `Noise: idle 20 dB, seek
 * 29 dB`, whose words go before each. Two numbers with a stroke between them are one fact.
 */
function clausesOf(
  first: string,
  value: string,
  isHead: boolean,
  isLabel: (words: string) => boolean,
): Pick<Entry, 'label' | 'value'>[] {
  const pieces = piecesOf(value);
  if (pieces.length < 2 || NOT_OF_IT.test(first) || /\d\s+\/\s+\d/.test(value)) return [];
  return pieces.flatMap((piece, i) => {
    if (/\d\s*\/\s*\d/.test(piece) && !/^[^\d:]*\d[\d.,]*\s?\/\s?\d[^:]*:/.test(piece)) return [];
    if (i === 0 && !isHead) return [{ label: first, value: piece }];
    const own = i === 0 ? runOn(piece) : pairOf(piece);
    if (!own) return i > 0 || piece.startsWith('+') ? [{ label: '', value: piece }] : [];
    const label = own[1]!.trim().toLowerCase();
    const said = [
      ...(isHead && isLabel(`${first} ${label}`) ? [{ label: `${first} ${label}`, value: own[2]! }] : []),
      ...(isLabel(label) ? [{ label, value: own[2]! }] : []),
    ];
    return said.length > 0 || i === 0 ? said : [{ label: '', value: piece }];
  });
}
