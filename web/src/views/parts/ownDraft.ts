import {
  checkSheet,
  choiceWords,
  fieldsOf,
  minorPerMajor,
  ownSheet,
  placeWords,
  readField,
  readNumber,
  reshape,
  resolve,
  sheetSchema,
  type Archetype,
  type Basis,
  type ChassisDraft,
  type Field,
  type PartOf,
  type Sheet,
  type SheetId,
  type SoldWhen,
} from '@inch-tower/core';

/** What is typed of a sheet: numbers as text, lists as they are, a chassis by its dimensions. */
export type Draft = {
  readonly name: string;
  readonly maker: string;
  readonly price: string;
  readonly sold: Readonly<Record<keyof SoldWhen, string>>;
  readonly basis: Basis;
  readonly texts: Readonly<Record<string, string>>;
  /** Lists with rows of one's own; the others are those of the class or the part it is like. */
  readonly lists: Readonly<Record<string, unknown>>;
  readonly shape: ChassisDraft;
};

/** A number typed in the unit shown as the text of the one kept: capacities are kept in bytes. */
export const asStored = (field: Field, text: string): string => {
  const read =
    field.per !== 1 && text.trim() !== '' ? readNumber(text, { unit: field.unit, dotIsDecimal: true }) : null;
  return read?.ok ? String(Math.round(read.value * field.per)) : text;
};

/** What stands in a field as its class says it, in words. */
export const typicalWords = (field: Field, value: unknown): string =>
  field.type === 'choice' && (typeof value === 'string' || typeof value === 'number')
    ? choiceWords(field.name, value)
    : textOf(field, value);

export function textOf(field: Field, value: unknown): string {
  if (value === undefined) return '';
  if (value === null) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return field.per !== 1 ? String(Number(((value as number) / field.per).toPrecision(8))) : String(value);
}

/** A price stays in the currency it was in. */
export const currencyOf = (archetype: Archetype, like: Sheet | undefined): string =>
  like?.price?.currency ?? archetype.price?.currency ?? 'EUR';

export type Made =
  { readonly ok: true; readonly sheet: Sheet; readonly typed: number } | { readonly ok: false; readonly words: string };

/** Lists of the part it is like, and over them those with rows of one's own. */
function listsOf(draft: Draft, archetype: Archetype, like: Sheet | undefined): Record<string, unknown> {
  const had = (like ?? {}) as unknown as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    fieldsOf(archetype.kind).flatMap(({ name, type }) => {
      const value = draft.lists[name] ?? had[name];
      return type === 'list' && value !== undefined ? [[name, value]] : [];
    }),
  );
}

/** A chassis as it is before the dimensions typed onto its drawing; null of other kinds. */
function baseOf(values: Readonly<Record<string, unknown>>, archetype: Archetype): PartOf<'chassis'> | null {
  if (archetype.kind !== 'chassis') return null;
  const sheet = { id: 'own-base', kind: 'chassis', rev: 1, name: 'base', archetype: archetype.id, ...values };
  return resolve(sheet as unknown as Sheet, archetype) as PartOf<'chassis'>;
}

/** The chassis onto whose drawing dimensions are typed: its lists and numbers as they are, where they can be. */
export const shapeBase = (draft: Draft, archetype: Archetype, like: Sheet | undefined): PartOf<'chassis'> | null =>
  baseOf({ ...like, ...listsOf(draft, archetype, like), ...sizesOf(draft) }, archetype);

const sizesOf = ({ texts }: Draft): Readonly<Record<string, number>> =>
  Object.fromEntries(
    [...SHAPED].flatMap((name) => (Number(texts[name] ?? '') > 0 ? [[name, Number(texts[name])]] : [])),
  );

/** What is said of when a part is sold. */
export const SOLD_WORDS: Readonly<Record<keyof SoldWhen, string>> = {
  introducedYear: 'from year',
  soldUntilYear: 'new until',
  warrantyMonths: 'warranty, months',
};

/** Dimensions a chassis takes from its drawing. */
export const SHAPED: ReadonlySet<string> = new Set(['widthMm', 'heightMm', 'depthMm']);

/**
 * The rows of a list changed. Of a chassis the dimensions typed so far are taken into its lists first, so that nothing
 * is moved twice.
 */
export function withRows(
  draft: Draft,
  archetype: Archetype,
  like: Sheet | undefined,
  name: string,
  value: unknown,
): Draft {
  const base = shapeBase(draft, archetype, like);
  if (!base) return { ...draft, lists: { ...draft.lists, [name]: value } };
  const { widthMm, heightMm, depthMm } = { ...base, ...draft.shape };
  const sizes = { widthMm, heightMm, depthMm };
  const lists = Object.fromEntries(
    Object.entries(reshape(base, draft.shape)).filter(([field]) => !SHAPED.has(field) && !field.startsWith('max')),
  );
  return {
    ...draft,
    texts: { ...draft.texts, ...Object.fromEntries(Object.entries(sizes).map(([field, mm]) => [field, String(mm)])) },
    lists: { ...draft.lists, ...lists, [name]: value },
    shape: {},
  };
}

/** A list as it was before its rows were changed. */
export const withoutRows = (draft: Draft, name: string): Draft => ({
  ...draft,
  lists: Object.fromEntries(Object.entries(draft.lists).filter(([field]) => field !== name)),
});

export function makeSheet(draft: Draft, archetype: Archetype, like: Sheet | undefined, fields: readonly Field[]): Made {
  const values: Record<string, unknown> = {};
  for (const field of fields) {
    const text = draft.texts[field.name] ?? '';
    const read = readField(field, asStored(field, text));
    if (!read.ok) return { ok: false, words: `${read.words}.` };
    if (read.value !== undefined) values[field.name] = read.value;
  }
  const priced = draft.price.trim() === '' ? null : readNumber(draft.price, { unit: currencyOf(archetype, like) });
  if (priced && (!priced.ok || priced.value < 0))
    return { ok: false, words: `The price ${priced.ok ? 'is less than nothing' : priced.words}.` };
  const price = priced?.ok ? priced.value : undefined;
  const sold = Object.entries(draft.sold).flatMap(([field, text]) =>
    text.trim() === '' ? [] : [[field, /^\d+$/.test(text.trim()) ? Number(text) : NaN] as const],
  );
  const odd = sold.find(([, value]) => Number.isNaN(value));
  if (odd) return { ok: false, words: `${SOLD_WORDS[odd[0] as keyof SoldWhen]}: a whole number.` };
  const plain = { ...listsOf(draft, archetype, like), ...values };
  const base = baseOf(plain, archetype);
  const all: Record<string, unknown> = { ...plain, ...(base ? reshape(base, draft.shape) : {}) };
  const currency = currencyOf(archetype, like);
  const sheet = ownSheet('own-draft' as SheetId, archetype, {
    name: draft.name.trim() || 'Unnamed',
    maker: draft.maker.trim(),
    values: all,
    sold: Object.fromEntries(sold),
    basis: draft.basis,
    ...(like ? { like } : {}),
    ...(price === undefined ? {} : { price: { minor: Math.round(price * minorPerMajor(currency)), currency } }),
  });
  const checked = sheetSchema.safeParse(sheet);
  const labels = new Map<string, string>([
    ...Object.entries(SOLD_WORDS),
    ...fieldsOf(archetype.kind).map(({ name, label }) => [name, label] as const),
  ]);
  if (!checked.success)
    return {
      ok: false,
      words: `${checked.error.issues
        .slice(0, 2)
        .map((issue) => `${placeWords(issue.path, (name) => labels.get(name) ?? name)}: ${issue.message.toLowerCase()}`)
        .join('; ')}.`,
    };
  const fault = checkSheet(sheet, archetype)[0];
  return fault ? { ok: false, words: fault.words } : { ok: true, sheet, typed: Object.keys(all).length };
}
