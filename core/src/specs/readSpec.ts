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
import { FAN, SUPPLY, UPS } from './power';
import { decimalOf, quantitiesOf, type Quantity } from './quantities';
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
  const originals = linesOf(plain);
  const lines = inEnglish(originals.map(withoutMarks));
  const said = lines.join('\n');
  const ranked = RULES.map((one) => ({ one, score: scoreOf(one, said) })).sort((a, b) => b.score - a.score);
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
  const models = modelsOf(lines);
  const ofOne = lines.map((line) => lineOfModel(line, models, model));
  const entries = entriesOf(ofOne, isLabel).map((entry) => ({
    // A cell of a table is told by its whole row.
    entry: ofOne[entry.line - 1] === lines[entry.line - 1] ? entry : { ...entry, text: lines[entry.line - 1]! },
    quantities: measured(entry, decimal),
  }));
  const byLabel = new Map<string, number[]>();
  entries.forEach(({ entry: { label } }, i) => {
    const known = byLabel.get(label);
    if (known) known.push(i);
    else byLabel.set(label, [i]);
  });
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
      const found = heardBy(rule, entries, byLabel).flatMap(({ entry, quantities }): ReadField[] => {
        const value = valueBy(rule, entry, quantities);
        const isAllowed =
          value !== undefined && isPlausible(rules.kind, name, value) && (!schema || schema.safeParse(value).success);
        const { line } = entry;
        // It is told as it stands in the text.
        const text = lines[line - 1] === entry.text ? originals[line - 1]! : entry.text;
        return isAllowed ? [{ field: name, value, line, text: text.slice(0, 200) }] : [];
      });
      const [first] = found;
      if (!first) continue;
      if (found.every(({ value }) => isSame(value, first.value))) fields.push(first);
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

/** The numbers of a value; where it has no unit, in that of its label: `Idle power (W)`. */
function measured({ label, value }: Entry, decimal: ',' | '.'): readonly Quantity[] {
  const own = quantitiesOf(value, decimal);
  if (own.length === 0 || own.some(({ dimension }) => dimension !== null)) return own;
  // `rpm max: 1500`: the word itself is the unit.
  if (own.length === 1 && /\brpm\b/i.test(label)) return quantitiesOf(`${value} rpm`, decimal);
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
  found.filter((one, i) => found.findIndex((other) => other.line === one.line && isSame(other.value, one.value)) === i);

const scoreOf = ({ cues }: KindRules, text: string): number =>
  cues.reduce((sum, [pattern, weight]) => sum + (pattern.test(text) ? weight : 0), 0);

type Measured = { readonly entry: Entry; readonly quantities: readonly Quantity[] };
/** The entries a rule is about, in their order: by its label, which is looked at once however many lines have it. */
function heardBy(
  rule: Rule,
  entries: readonly Measured[],
  byLabel: ReadonlyMap<string, readonly number[]>,
): readonly Measured[] {
  const lists: (readonly number[])[] = [];
  for (const [label, list] of byLabel) {
    if (label === '' ? rule.free : !rule.label || (rule.label.test(label) && !rule.not?.test(label))) lists.push(list);
  }
  const heard = lists.length === 1 ? lists[0]! : lists.flat().sort((a, b) => a - b);
  return heard.map((i) => entries[i]!);
}

function valueBy(rule: Rule, entry: Entry, quantities: readonly Quantity[]): unknown {
  // Most rules are of a unit most lines have not: that is known before their words are looked at.
  if (!rule.read && !quantities.some(({ dimension }) => dimension === rule.dimension)) return undefined;
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
  return fields.filter(
    ({ field }) => !(way !== undefined && way !== 'nvme' && (field === 'pcieGen' || field === 'lanes')),
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
