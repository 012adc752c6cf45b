import { applyEdit } from '../build/applyEdit';
import type { Build, Item } from '../build/build';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { freeOf, type StockClaim, type StockEntry } from './stock';

/** What a stock entry says of each of its units. */
export const ownedOf = ({
  id,
  year,
  hours,
  condition,
}: StockEntry): Pick<Item, 'stockId' | 'year' | 'hours' | 'condition'> => ({
  stockId: id,
  ...(year === undefined ? {} : { year }),
  ...(hours === undefined ? {} : { hours }),
  ...(condition ? { condition } : {}),
});

/**
 * A machine begun with what is owned: all units of the entries that no other machine uses, on the table until there is
 * a place for them. A string says which part could not be taken in, and why.
 */
export function buildOfStock(
  empty: Build,
  entries: readonly StockEntry[],
  claims: readonly StockClaim[],
  catalogue: Catalogue,
): Build | string {
  let build = empty;
  for (const entry of entries) {
    const count = freeOf(entry, claims, empty.id);
    if (count === 0) continue;
    if (!catalogue.sheets[entry.sheet]) return `The sheet of ${entry.sheet} is not there any more.`;
    const add = addItemEdit(build, catalogue, entry.sheet, count, { deal: 'owned' });
    const applied = applyEdit(build, { ...add, item: { ...add.item, ...ownedOf(entry) } });
    if (!applied.ok) return `${catalogue.sheets[entry.sheet]?.name ?? entry.sheet}: ${applied.words}`;
    build = applied.build;
  }
  return build;
}
