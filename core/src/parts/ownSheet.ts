import type { ArchetypeId, SheetId } from './ids';
import type { Archetype, Basis, Money, Sheet } from './sheet';

/** Ids of a builder's own sheets begin so; the catalogue's never do. */
export const OWN_PREFIX = 'own-';

/** A readable id for an own sheet that is not among `taken`. */
export function ownSheetId(name: string, taken: (id: string) => boolean): SheetId {
  const base = `${OWN_PREFIX}${name.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'part'}`;
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken(id)) return id as SheetId;
  }
}

export type OwnAnswers = {
  readonly name: string; readonly maker?: string; readonly price?: Money;
  /** Only what was typed: the rest is typical. */
  readonly values: Readonly<Record<string, unknown>>;
  /** Where the typed numbers come from. */
  readonly basis: Basis;
};

/** A sheet of a builder's own: an archetype's values except for those typed over, each with its source. */
export function ownSheet(id: SheetId, archetype: Archetype, answers: OwnAnswers, rev = 1): Sheet {
  const { name, maker, price, values, basis } = answers;
  const from = Object.fromEntries(Object.keys(values).map((field) => [field, { basis }]));
  return {
    id, kind: archetype.kind, rev, name, archetype: archetype.id as ArchetypeId, ...(maker ? { maker } : {}), ...(price ? { price } : {}), ...values,
    ...(Object.keys(from).length && basis !== 'stated' ? { from } : {}),
  } as unknown as Sheet;
}

/** A sheet as an own one under another name; what it is made of stays. */
export const cloneSheet = (sheet: Sheet, id: SheetId, name: string): Sheet => ({ ...sheet, id, name, rev: 1 });
