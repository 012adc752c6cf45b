import { groupedBy } from '../lists';
import { fieldsOf } from '../parts/fields';
import type { PartKind } from '../parts/vocabulary';
import { DRIVE } from './drives';
import { lineOfModel, modelsOf } from './columns';
import { enduranceByDay } from './endurance';
import { entriesOf, linesOf, withoutMarks, type Entry } from './entries';
import { inEnglish } from './languages';
import { BOARD } from './boards';
import { CABLE } from './cables';
import { CAGE } from './cages';
import { CARDS } from './cards';
import { CHASSIS } from './chassis';
import { COOLER } from './coolers';
import { MEMORY } from './memory';
import { PROCESSOR } from './processors';
import { FAN } from './fan';
import { SUPPLY } from './supply';
import { UPS } from './ups';
import { decimalOf, quantitiesOf, type Dimension, type Quantity } from './quantities';
import { isPlausible } from './plausible';
import { placesOf, type Place } from './places';
import { RISER } from './risers';
import { railTable } from './railTable';
import type { ReadField } from './readField';
import { COMMON, type KindRules, type Rule } from './rule';

/** A field that lines of the text say differently: it is left open. */
type Contradiction = { readonly field: string; readonly found: readonly ReadField[] };
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
/** Of what a text says differently so many lines are enough to show. */
const MOST_FOUND = 100;
/** What a text is of is said on its first pages. */
const OPENING_CHARACTERS = 64_000;
const RULES: readonly KindRules[] = [
  DRIVE,
  SUPPLY,
  FAN,
  UPS,
  PROCESSOR,
  COOLER,
  MEMORY,
  BOARD,
  CHASSIS,
  ...CARDS,
  RISER,
  CABLE,
  CAGE,
];
export const READABLE_KINDS: readonly PartKind[] = RULES.map(({ kind }) => kind);

const ON_EVERY_SHEET: ReadonlySet<string> = new Set(['massG']);

/** A kind is clear where its cues outweigh those of the next by so much. */
const CLEAR = 2;

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
  const originals = linesOf(plain).map((line) => (OTHERS.test(line) ? '' : line));
  const lines = inEnglish(originals.map(withoutMarks));
  const said = lines.join('\n');
  const opening = said.slice(0, OPENING_CHARACTERS);
  const ranked = RULES.map((one) => ({ one, score: scoreOf(one, opening) })).sort((a, b) => b.score - a.score);
  const rules = kind ? RULES.find((one) => one.kind === kind) : ranked[0]!.score > 0 ? ranked[0]!.one : undefined;
  if (!rules)
    return {
      ok: false,
      words: kind
        ? 'Texts of parts of this kind are not read yet.'
        : 'The text does not say what kind of part it is of: choose it.',
    };
  const isSure = kind !== undefined || ranked[0]!.score >= (ranked[1]?.score ?? 0) + CLEAR;
  const all = [...rules.rules, ...COMMON];
  const labels = new Map<string, boolean>();
  const isLabelAfresh = (label: string) =>
    all.some((rule) => rule.label && rule.label.source !== '.' && rule.label.test(label));
  const isLabel = (label: string): boolean => {
    let known = labels.get(label);
    if (known === undefined) labels.set(label, (known = isLabelAfresh(label)));
    return known;
  };
  const decimal = decimalOf(plain);
  const measure = measuring(decimal);
  const models = modelsOf(lines);
  const ofOne = lines.map((line) => lineOfModel(line, models, model));
  const entries = entriesOf(ofOne, isLabel).map((entry) => ({
    // A cell of a table is told by its whole row.
    entry: ofOne[entry.line - 1] === lines[entry.line - 1] ? entry : { ...entry, text: lines[entry.line - 1]! },
    quantities: measure(entry),
  }));
  const index = indexOf(entries);
  const own = fieldsOf(rules.kind);
  const fields: ReadField[] = rules.kind === 'supply' ? [...railTable(said, decimal)] : [];
  const contradictions: Contradiction[] = [];
  for (const name of new Set(all.map(({ field }) => field))) {
    if (fields.some(({ field }) => field === name)) continue;
    const schema = own.find((field) => field.name === name)?.schema;
    // What cards share some kinds of them have no field for; what every sheet has stands beside its kind's.
    if (!schema && !ON_EVERY_SHEET.has(name)) continue;
    // By the first rule that finds anything: those before it are the surer ones.
    for (const rule of all.filter(({ field }) => field === name)) {
      if (rule.unless?.test(said)) continue;
      const found: ReadField[] = [];
      let differs = false;
      for (const { entry, quantities } of heardBy(rule, entries, index)) {
        const value = valueBy(rule, entry, quantities);
        if (value === undefined || !isPlausible(rules.kind, name, value)) continue;
        if (schema && !schema.safeParse(value).success) continue;
        const { line } = entry;
        // It is told as it stands in the text.
        const text = lines[line - 1] === entry.text ? originals[line - 1]! : entry.text;
        found.push({ field: name, value, line, text: text.slice(0, 200) });
        differs ||= !isSame(value, found[0]!.value);
        if (differs && found.length >= MOST_FOUND) break;
      }
      const [first] = found;
      if (!first) continue;
      if (!differs) fields.push(first);
      else contradictions.push({ field: name, found: eachOnce(found) });
      break;
    }
  }
  const byDay =
    rules.kind === 'drive' && !contradictions.some(({ field }) => field === 'enduranceTb')
      ? enduranceByDay(
          entries.map(({ entry }) => entry),
          fields,
        )
      : null;
  if (byDay) fields.push(byDay);
  // What is told in units of a rack stands in one (IEC 60297).
  const units = fields.find(({ field }) => field === 'rackUnits');
  if (units && ![...fields, ...contradictions].some(({ field }) => field === 'style'))
    fields.push({ ...units, field: 'style', value: 'rack' });
  return {
    ok: true,
    kind: rules.kind,
    isSure,
    name: nameOf(plain, model === null ? undefined : models[model]),
    models,
    fields: without(fields),
    contradictions,
    places: placesOf(rules.kind, ofOne, decimal).map((place) => ({
      ...place,
      text: originals[place.line - 1]!.slice(0, 200),
    })),
  };
}

/** The numbers of entries; what several lines say alike is looked at once. */
function measuring(decimal: ',' | '.'): (entry: Entry) => readonly Quantity[] {
  const known = new Map<string, readonly Quantity[]>();
  return (entry) => {
    const said = `${entry.label}\n${entry.value}`;
    let numbers = known.get(said);
    if (!numbers) known.set(said, (numbers = measured(entry, decimal)));
    return numbers;
  };
}

/** The numbers of a value; where it has no unit, in that of its label: `Idle power (W)`. */
function measured({ label, value }: Entry, decimal: ',' | '.'): readonly Quantity[] {
  const own = quantitiesOf(value, decimal);
  if (own.length === 0 || own.some(({ dimension }) => dimension !== null)) return own;
  // `Acoustics (idle): 2.8 B`: bels, of which only sound is told.
  if (own.length === 1 && /acoustic|sound|noise/i.test(label) && /\d\s?B$/.test(value))
    return quantitiesOf(value.replace(/B$/, 'bels'), decimal);
  // `rpm max: 1500`: the word itself is the unit.
  if (own.length === 1 && /\brpm\b/i.test(label)) return quantitiesOf(`${value} rpm`, decimal);
  // `wattage=450`.
  if (own.length === 1 && /\bwatt(?:s|age)\b/i.test(label)) return quantitiesOf(`${value} W`, decimal);
  const behind = /[([]([^()[\]]{1,24}(?:\([a-z]\))?)[)\]]\s*\d?$/i.exec(label)?.[1];
  // `(typical, dBA)` says more than the unit.
  for (const unit of behind?.split(/,\s*/) ?? []) {
    const all = quantitiesOf(`${value} ${unit}`, decimal);
    if (all.some(({ dimension }) => dimension !== null)) return all;
  }
  return own;
}

/** One line may say a thing as itself and as one of several. */
const eachOnce = (found: readonly ReadField[]): readonly ReadField[] =>
  [...groupedBy(found, ({ line }) => line).values()].flatMap((own) =>
    own.filter((one, i) => own.findIndex((other) => isSame(other.value, one.value)) === i),
  );

const scoreOf = ({ cues }: KindRules, text: string): number =>
  cues.reduce((sum, [pattern, weight]) => sum + (pattern.test(text) ? weight : 0), 0);

type Measured = { readonly entry: Entry; readonly quantities: readonly Quantity[] };
/** Which label each entry has, labels by number, and the entries with a number in a unit. */
type Index = {
  readonly labels: readonly string[];
  readonly labelOf: Int32Array;
  readonly byDimension: ReadonlyMap<Dimension | null, readonly number[]>;
  readonly all: readonly number[];
};

function indexOf(entries: readonly Measured[]): Index {
  const numbers = new Map<string, number>();
  const labelOf = new Int32Array(entries.length);
  const byDimension = new Map<Dimension | null, number[]>();
  entries.forEach(({ entry: { label }, quantities }, i) => {
    let number = numbers.get(label);
    if (number === undefined) numbers.set(label, (number = numbers.size));
    labelOf[i] = number;
    for (const { dimension } of quantities) {
      const known = byDimension.get(dimension);
      if (!known) byDimension.set(dimension, [i]);
      else if (known.at(-1) !== i) known.push(i);
    }
  });
  return { labels: [...numbers.keys()], labelOf, byDimension, all: entries.map((_, i) => i) };
}

/**
 * The entries a rule is about, in their order: by its label, which is looked at once however many lines have it. A rule
 * of a unit looks at lines with that unit alone.
 */
function* heardBy(rule: Rule, entries: readonly Measured[], index: Index): Generator<Measured> {
  const heard = index.labels.map((label) =>
    label === '' ? rule.free === true : !rule.label || (rule.label.test(label) && !rule.not?.test(label)),
  );
  for (const i of rule.read ? index.all : (index.byDimension.get(rule.dimension ?? null) ?? [])) {
    const one = entries[i];
    if (one && heard[index.labelOf[i] ?? 0]) yield one;
  }
}

function valueBy(rule: Rule, entry: Entry, quantities: readonly Quantity[]): unknown {
  const isFree = entry.label === '';
  if (rule.read) return rule.read(entry, quantities);
  if (isFree && quantities.length > 1 && rule.pick === undefined) return undefined;
  const own = quantities.filter(({ dimension }) => dimension === rule.dimension);
  switch (rule.pick) {
    case 'first':
      return own[0]?.value;
    case 'most':
      return own.length > 0 ? Math.max(...own.map(({ hi }) => hi)) : undefined;
    default:
      // One number alone, or the same in two units.
      return own.length > 0 && own.every(({ value }) => isSame(value, own[0]!.value)) ? own[0]!.value : undefined;
  }
}

/** Two readings of one thing: equal, or the same length in inches and in millimetres. */
const isSame = (one: unknown, other: unknown): boolean =>
  one === other ||
  (typeof one === 'number' &&
    typeof other === 'number' &&
    Math.abs(one - other) <= 0.012 * Math.max(Math.abs(one), Math.abs(other)));

/** What only makes sense beside another field: lanes of a drive that is not on PCIe are its one. */
function without(fields: readonly ReadField[]): ReadField[] {
  const way = fields.find(({ field }) => field === 'interface')?.value;
  const most = fields.find(({ field }) => field === 'peakW');
  return fields.filter(
    ({ field, line, value }) =>
      !(way !== undefined && way !== 'nvme' && (field === 'pcieGen' || field === 'lanes')) &&
      // One number is told of one thing.
      !(field === 'busyW' && most?.line === line && most.value === value),
  );
}

const HEADING = /^(?:specifications?|features?|technical data|technische daten|item|property|model|product)\b/i;
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
    return first.includes(':')
      ? ''
      : first
          .split(/,| — | – /)[0]!
          .trim()
          .slice(0, 120);
  }
  return '';
}
