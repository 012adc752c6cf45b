import { writePartsJson, type AboutFile } from '../parts/catalogueFile';
import type { Archetype, Sheet } from '../parts/sheet';
import { stockEntrySchema, type StockEntry } from './stock';

/** Lines of stock a file may bring at once. */
const MOST_ENTRIES = 500;

/** What a file of parts says of stock: lines that are new, how many are here already, what is wrong with others. */
export type StockRead = {
  readonly entries: readonly StockEntry[];
  readonly same: number;
  readonly faults: readonly string[];
};

/** Stock as a file of parts with its lines beside the sheets they are of; it is read wherever parts are. */
export function writeStockJson(
  entries: readonly StockEntry[],
  sheets: Readonly<Record<string, Sheet>>,
  archetypes: Readonly<Record<string, Archetype>>,
  about: AboutFile = {},
): string {
  const used = [...new Set(entries.map(({ sheet }) => sheet as string))].flatMap((id) => sheets[id] ?? []);
  const parts = JSON.parse(writePartsJson(used, archetypes, about)) as object;
  return `${JSON.stringify({ ...parts, stock: entries }, null, 1)}\n`;
}

/**
 * The lines of stock in a file of parts. One that is here under its name and is another gets a name of its own
 * (`freshId`): nothing that is here is changed. Never fails; a file without stock has none.
 */
export function readStock(text: string, here: readonly StockEntry[], freshId: () => string): StockRead {
  let list: unknown;
  try {
    list = (JSON.parse(text.replace(/^\uFEFF/, '')) as { stock?: unknown } | null)?.stock;
  } catch {
    list = undefined;
  }
  if (!Array.isArray(list)) return { entries: [], same: 0, faults: [] };
  const known = new Map(here.map((entry) => [entry.id, JSON.stringify(inOrder(entry))]));
  const entries: StockEntry[] = [];
  const faults: string[] = [];
  let same = 0;
  for (const [i, raw] of list.slice(0, MOST_ENTRIES).entries()) {
    const parsed = stockEntrySchema.safeParse(raw);
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      faults.push(
        `Line ${i + 1} of the stock: ${issue?.path.join('.') || 'all of it'} ${issue?.message ?? 'is wrong'}`,
      );
      continue;
    }
    const had = known.get(parsed.data.id);
    if (had === JSON.stringify(inOrder(parsed.data))) same++;
    else {
      const id = had === undefined ? parsed.data.id : freshId();
      known.set(id, JSON.stringify(inOrder({ ...parsed.data, id })));
      entries.push({ ...parsed.data, id });
    }
  }
  if (list.length > MOST_ENTRIES)
    faults.push(`The file has ${list.length} lines of stock; the first ${MOST_ENTRIES} are taken, at most.`);
  return { entries, same, faults };
}

const inOrder = (entry: StockEntry) => Object.entries(entry).sort(([a], [b]) => (a < b ? -1 : 1));
