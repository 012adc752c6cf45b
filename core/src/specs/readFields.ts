import { groupedBy } from '../lists';
import { fieldsOf } from '../parts/fields';
import { enduranceByDay } from './kinds/endurance';
import { entriesOf, type Entry } from './text/entries';
import { isPlausible } from './kinds/plausible';
import { quantitiesOf, type Dimension, type Quantity } from './text/quantities';
import { railTable } from './text/railTable';
import type { ReadField } from './readField';
import { COMMON, SIZE_LABEL, type KindRules, type Rule } from './kinds/rule';

/** A field that lines of the text say differently: it is left open. */
export type Contradiction = { readonly field: string; readonly found: readonly ReadField[] };
/** The lines of a text: as they stand there, in English, and as the model that was chosen has them. */
export type Source = {
  readonly originals: readonly string[];
  readonly lines: readonly string[];
  readonly ofOne: readonly string[];
  readonly decimal: ',' | '.';
};

/** Of what a text says differently so many lines are enough to show. */
const MOST_FOUND = 100;
const ON_EVERY_SHEET: ReadonlySet<string> = new Set(['massG']);

/** The fields that the lines of a text say of a part of one kind, and what two of them say differently. */
export function readFields(
  rules: KindRules,
  { originals, lines, ofOne, decimal }: Source,
): { readonly fields: readonly ReadField[]; readonly contradictions: readonly Contradiction[] } {
  const said = lines.join('\n');
  const all = [...rules.rules, ...COMMON];
  const labels = new Map<string, boolean>();
  const isLabelAfresh = (label: string) =>
    SIZE_LABEL.test(label) || all.some((rule) => rule.label && rule.label.source !== '.' && rule.label.test(label));
  const isLabel = (label: string): boolean => {
    let known = labels.get(label);
    if (known === undefined) labels.set(label, (known = isLabelAfresh(label)));
    return known;
  };
  const measure = measuring(decimal);
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
  return { fields: without(fields), contradictions };
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
