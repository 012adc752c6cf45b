import type { SheetId } from './ids';
import type { Archetype, Basis, Money, Sheet } from './sheet';

/** Ids given to a builder's own sheets begin so. */
const OWN_PREFIX = 'own-';

/** A readable id for an own sheet that is not among `taken`. */
export function ownSheetId(name: string, taken: (id: string) => boolean): SheetId {
  const base = `${OWN_PREFIX}${
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'part'
  }`;
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken(id)) return id as SheetId;
  }
}

export type SoldWhen = Pick<Sheet, 'introducedYear' | 'soldUntilYear' | 'warrantyMonths'>;

export type OwnAnswers = {
  readonly name: string;
  readonly maker?: string;
  readonly price?: Money;
  /** When it came, until when it was sold new, how long it is warranted: what is said of it. */
  readonly sold?: SoldWhen;
  /** Only what was typed or taken over: the rest is typical. */
  readonly values: Readonly<Record<string, unknown>>;
  /** Where the typed numbers come from. */
  readonly basis: Basis;
  /**
   * The sheet it was made like: values left as they were keep their source, and what is inside and in the box stays.
   */
  readonly like?: Sheet;
};

/** A sheet of a builder's own: an archetype's values except for those typed over, each with its source. */
export function ownSheet(
  id: SheetId,
  archetype: Archetype,
  { name, maker, price, sold = {}, values, basis, like }: OwnAnswers,
): Sheet {
  const had = (like ?? {}) as unknown as Readonly<Record<string, unknown>>;
  const from = Object.fromEntries(
    Object.entries(values).flatMap(([field, value]) => {
      const kept = had[field] !== undefined && JSON.stringify(had[field]) === JSON.stringify(value);
      const source = kept ? like?.from?.[field] : basis === 'stated' ? undefined : { basis };
      return source ? [[field, source]] : [];
    }),
  );
  return {
    id,
    kind: archetype.kind,
    rev: 1,
    name,
    archetype: archetype.id,
    ...(maker ? { maker } : {}),
    ...(price ? { price } : {}),
    ...sold,
    ...values,
    ...(like?.builtIn ? { builtIn: like.builtIn } : {}),
    ...(like?.inTheBox ? { inTheBox: like.inTheBox } : {}),
    ...(Object.keys(from).length ? { from } : {}),
  };
}
