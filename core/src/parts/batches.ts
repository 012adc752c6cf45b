import { containedIn } from './checkSheet';
import type { Sheet } from './sheet';

/** What is sent at once: half of what one request may be, and so few that a stop is soon heard. */
const MOST_BYTES = 4 * 1024 * 1024;
const MOST_SHEETS = 500;

/** Sheets in parcels that are taken in one after the other: what a sheet contains never comes after it. */
export function batchesOf(sheets: readonly Sheet[], mostBytes = MOST_BYTES, most = MOST_SHEETS): Sheet[][] {
  const byId = new Map(sheets.map((sheet) => [sheet.id as string, sheet]));
  const ordered: Sheet[] = [];
  const seen = new Set<Sheet>();
  const take = (sheet: Sheet) => {
    if (seen.has(sheet)) return;
    seen.add(sheet);
    for (const id of containedIn(sheet)) {
      const inner = byId.get(id);
      if (inner) take(inner);
    }
    ordered.push(sheet);
  };
  sheets.forEach(take);
  const batches: Sheet[][] = [];
  let bytes = Infinity;
  for (const sheet of ordered) {
    const size = JSON.stringify(sheet).length;
    const last = batches.at(-1);
    if (!last || bytes + size > mostBytes || last.length >= most) {
      batches.push([sheet]);
      bytes = size;
    } else {
      last.push(sheet);
      bytes += size;
    }
  }
  return batches;
}
