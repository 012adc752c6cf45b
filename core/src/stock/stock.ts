import { z } from 'zod';
import { itemSchema, type Build } from '../build/build';
import { LIMITS } from '../parts/limits';
import { sheetIdSchema } from '../parts/ids';
import { moneySchema } from '../parts/sheet';

/** Parts a builder owns: so many of one sheet, alike in age and condition. `paid` is for all of them together. */
export const stockEntrySchema = z.strictObject({
  id: z.string().regex(/^[\w-]{1,64}$/),
  sheet: sheetIdSchema,
  count: z.int().min(1).max(1000),
  year: itemSchema.shape.year,
  hours: itemSchema.shape.hours,
  condition: itemSchema.shape.condition,
  paid: moneySchema.optional(),
  note: z.string().max(LIMITS.notesCharacters).optional(),
});
export type StockEntry = Readonly<z.infer<typeof stockEntrySchema>>;

/** Units of a stock entry that a build uses. */
export type StockClaim = {
  readonly stock: string;
  readonly build: string;
  readonly name: string;
  readonly units: number;
};

/** What each build takes from stock, copies of the machine counted. */
export function stockClaims(builds: readonly Pick<Build, 'id' | 'name' | 'items' | 'copies'>[]): StockClaim[] {
  return builds.flatMap((build) => {
    const taken = new Map<string, number>();
    for (const item of build.items)
      if (item.stockId && item.deal === 'owned')
        taken.set(item.stockId, (taken.get(item.stockId) ?? 0) + (item.count ?? item.units.length) * build.copies);
    return [...taken].map(([stock, units]) => ({ stock, build: build.id, name: build.name, units }));
  });
}

export type Overclaim = { readonly entry: StockEntry; readonly claimed: number; readonly by: readonly StockClaim[] };

/** Entries of which more is claimed than there is, with who claims them. */
export function overclaims(stock: readonly StockEntry[], claims: readonly StockClaim[]): Overclaim[] {
  return stock.flatMap((entry) => {
    const by = claims.filter((claim) => claim.stock === entry.id);
    const claimed = by.reduce((sum, claim) => sum + claim.units, 0);
    return claimed > entry.count ? [{ entry, claimed, by }] : [];
  });
}

/** How many of an entry no other build has; never less than none. */
export const freeOf = (entry: StockEntry, claims: readonly StockClaim[], except?: string): number =>
  Math.max(
    0,
    entry.count -
      claims
        .filter((claim) => claim.stock === entry.id && claim.build !== except)
        .reduce((sum, claim) => sum + claim.units, 0),
  );
