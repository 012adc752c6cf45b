import type { PartKind } from '../parts/vocabulary';
import { lineOfModel, modelsOf, withoutRemarks } from './text/columns';
import { linesOf, withoutMarks } from './text/lines';
import { kindOf, rulesOf } from './kindOf';
import { inEnglish } from './text/languages/inEnglish';
import { placesOf, type Place } from './lists/places';
import { decimalOf } from './text/quantities';
import type { ReadField } from './readField';
import { readFields, type Contradiction } from './readFields';

type SpecRead = {
  readonly kind: PartKind;
  /** Whether the kind was said or is clear by the text; else it is the likeliest. */ readonly isSure: boolean;
  readonly name: string;
  /** Models the text has a column each for, of which one may be chosen; else only what all share is read. */
  readonly models: readonly string[];
  readonly fields: readonly ReadField[];
  readonly contradictions: readonly Contradiction[];
  /** What stands in the lists of the sheet. */ readonly places: readonly Place[];
};
export type SpecReading = ({ readonly ok: true } & SpecRead) | { readonly ok: false; readonly words: string };

/** Texts longer than this are refused. */
export const SPEC_CHARACTERS = 1_000_000;
const LONGEST_LINE = 2_000;
/** What a shop says of other parts. */
const OTHERS = new RegExp(
  String.raw`^(?:customers (?:also|who)|(?:related|similar) (?:products|items)|you may also|frequently bought` +
    String.raw`|kunden|ähnliche (?:produkte|artikel)|passend dazu|zubehör)`,
  'i',
);
/**
 * Reads the fields of a part's sheet out of the text of a specification: a table copied from a page, a data sheet's
 * text, a line of a shop. Nothing is guessed: a field needs its label or its own words, a unit of its kind and a value
 * its sheet allows; what two lines say differently stays open.
 */
export function readSpec(
  text: string,
  kind?: PartKind,
  /** The column of one model, from 0. */ model: number | null = null,
): SpecReading {
  if (text.length > SPEC_CHARACTERS) return { ok: false, words: 'The text is longer than 1 MB.' };
  const plain = text
    .split('\n')
    .map((line) => line.slice(0, LONGEST_LINE))
    .join('\n');
  const all = linesOf(plain);
  const originals = all.map((one) => (OTHERS.test(one.text) ? '' : one.text));
  const lines = withoutRemarks(inEnglish(originals.map(withoutMarks)));
  const decimal = decimalOf(plain);
  const found = kind === undefined ? kindOf({ originals, lines, ofOne: lines, decimal }) : null;
  const rules = kind === undefined ? found?.rules : rulesOf(kind);
  if (!rules) return { ok: false, words: 'The text does not say what kind of part it is of: choose it.' };
  const models = modelsOf(lines);
  const ofOne = lines.map((line) => lineOfModel(line, models, model));
  const read = readFields(rules, { originals, lines, ofOne, decimal });
  const places = placesOf(rules.kind, ofOne, decimal).map((place) => ({
    ...place,
    text: originals[place.line - 1]!.slice(0, 200),
  }));
  const isOpen = ({ field }: Contradiction) => field === 'medium';
  const fields =
    rules.kind === 'drive' && !read.contradictions.some(isOpen) ? withMedium(read.fields, places) : read.fields;
  // Of several facts in one line each has its number.
  const inText = <T extends { readonly line: number }>(one: T): T => ({ ...one, line: all[one.line - 1]!.line });
  return {
    ok: true,
    kind: rules.kind,
    isSure: found?.isSure ?? true,
    name: nameOf(originals.join('\n'), model === null ? undefined : models[model]),
    models,
    fields: fields.map(inText),
    contradictions: read.contradictions.map((one) => ({ ...one, found: one.found.map(inText) })),
    places: places.map(inText),
  };
}

/** What spins up, and what is heard, is a disk. */
function withMedium(fields: readonly ReadField[], places: readonly Place[]): readonly ReadField[] {
  const tells = [...fields.filter(({ field }) => DISK_ALONE.has(field)), ...places.filter(isStart)][0];
  return tells === undefined || fields.some(({ field }) => field === 'medium')
    ? fields
    : [...fields, { field: 'medium', value: 'disk', line: tells.line, text: tells.text }];
}
const DISK_ALONE: ReadonlySet<string> = new Set(['rpm', 'soundSeekDb', 'shingled']);
const isStart = ({ field, value }: Place): boolean => field === 'start' && 'a12' in (value as object);

const HEADING = /^(?:specifications?|features?|technical data|technische daten|item|property|model|product)\b/i;
/** Rows of a table that has no title. */
const LABELS = /compatib|dimension|weight|\btype\b|number of|capacity|interface|form factor|power|speed|socket/i;
/** `480 GB` names no model by itself. */
const SIZE_ALONE = /^[\d.,]+\s?[a-z]{1,3}$/i;

/** The title of a text, or the name of the model that was chosen in it: neither a table's head nor a field. */
function nameOf(text: string, model?: string): string {
  const title = titleOf(text);
  if (model === undefined) return title;
  return SIZE_ALONE.test(model) && title !== '' ? `${title} ${model}` : model;
}

function titleOf(text: string): string {
  for (const line of text.split('\n').map((one) => one.trim())) {
    if (line === '') continue;
    const said = /^(?:model(?:l)?(?: name)?|product(?: name)?|produkt|artikel|name)\s*[:\t|]\s*(.+)$/i.exec(line);
    if (said && !/\t|\|/.test(said[1]!)) return said[1]!.trim().slice(0, 200);
    const [first = ''] = line.split(/\t|\|/);
    if (HEADING.test(first)) continue;
    if (first !== line && LABELS.test(first)) return '';
    return first.includes(':')
      ? ''
      : first
          .split(/,| — | – /)[0]!
          .trim()
          .slice(0, 120);
  }
  return '';
}
