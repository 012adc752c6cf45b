import type { FactField } from './fieldWords';
import type { ArchetypeId, SheetId } from './ids';
import type { Archetype, Basis, Sheet, Values } from './sheet';
import { inHalves } from './halves';
import { rangeOf } from './tolerances';
import type { PartKind } from './vocabulary';

/** A complete part: a sheet with its archetype's typical values standing in for what it leaves open. */
export type Part<K extends PartKind = PartKind> = K extends PartKind
  ? Readonly<Values<K>> & {
      readonly kind: K;
      readonly id: SheetId;
      readonly name: string;
      readonly maker?: string;
      readonly family?: string;
      readonly archetype: ArchetypeId;
      readonly price?: Sheet['price'];
      readonly builtIn: NonNullable<Sheet['builtIn']>;
      readonly inTheBox: NonNullable<Sheet['inTheBox']>;
      readonly sheet: Sheet;
      readonly typical: Archetype;
    }
  : never;
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

/** One number of one sheet with its range: the leaves of every working. */
export type Fact = {
  readonly id: string;
  readonly sheet: SheetId;
  readonly name: string;
  readonly field: string;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly unit: string;
  readonly basis: Basis;
};

const resolved = new WeakMap<Sheet, Part>();

/**
 * Completes a sheet. Absent means unknown and takes the typical value; null means known not to
 * exist and stays. Scalars merge one by one, arrays whole or not at all.
 */
export function resolve(sheet: Sheet, archetype: Archetype): Part {
  const known = resolved.get(sheet);
  if (known && known.typical === archetype) return known;
  const part = inHalves({
    ...archetype,
    ...Object.fromEntries(Object.entries(sheet).filter(([, value]) => value !== undefined)),
    builtIn: sheet.builtIn ?? archetype.builtIn ?? [],
    inTheBox: sheet.inTheBox ?? archetype.inTheBox ?? [],
    price: sheet.price ?? archetype.price,
    sheet,
    typical: archetype,
  } as unknown as Part);
  resolved.set(sheet, part);
  return part;
}

/** W of these no maker states; they are typical unless a meter or a line of a datasheet is named. */
const UNSTATED: ReadonlySet<string> = new Set(['board', 'processor']);
const STATE_W = /^(idle|sustained|busy|peak)W$/;

/** The basis a field of a part rests on: its own sheet's source, else typical. */
export function basisOf(part: Part, field: FactField): Basis {
  const own = (part.sheet as unknown as Record<string, unknown>)[field] !== undefined;
  if (!own) return 'typical';
  const from = part.sheet.from?.[field];
  const isNamed = from?.ref !== undefined || from?.basis === 'measured';
  return UNSTATED.has(part.kind) && STATE_W.test(field) && !isNamed ? 'typical' : (from?.basis ?? 'stated');
}

/** The fact behind a numeric field, or one inside an array when `value` is given; field names carry the unit. */
export function factOf(part: Part, field: FactField, value?: number, path: FactField = field): Fact {
  const own = (part.sheet as unknown as Record<string, unknown>)[field] !== undefined;
  const source = (own ? part.sheet : part.typical).from?.[path];
  const basis = basisOf(part, field);
  const number = value ?? (part as unknown as Record<string, number>)[field]!;
  const range = rangeOf(path, number, basis, UNSTATED.has(part.kind) && STATE_W.test(field));
  return {
    // Typical facts of one field are one author's error: they err together.
    id: basis === 'typical' ? `typical.${part.kind}.${path}` : `${part.id}.${path}`,
    sheet: part.id,
    name: part.name,
    field: path,
    value: number,
    lo: source?.lo ?? range.lo,
    hi: source?.hi ?? range.hi,
    unit: range.unit,
    basis,
  };
}
