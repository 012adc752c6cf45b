import type { Entry } from '../text/entries';
import type { ReadField } from '../readField';

const YEARS = /(?<![\d.,])(\d)\s?-?\s?(?:years?|yrs?|jahren?)\b/i;
const NUMBER = /(?<![\w.,])(\d{1,2}(?:[.,]\d{1,2})?)(?![\d.,]*\s?(?:tb|gb|years?))/i;
const AHEAD = /(?<![\w.,])(\d{1,2}(?:[.,]\d{1,2})?)\s*(?:x\s*)?(?:dwpd|drive writes? per day)\b/i;
const DWPD = /\bdwpd\b|drive writes? per day/i;

/**
 * What a drive may take in writes by its writes a day: TB = DWPD × 365 × years × capacity (JEDEC JESD218). Read only
 * where the text says the years beside it, and no sum of its own.
 */
export function enduranceByDay(entries: readonly Entry[], fields: readonly ReadField[]): ReadField | null {
  const capacity = fields.find(({ field }) => field === 'capacityBytes')?.value;
  if (typeof capacity !== 'number' || fields.some(({ field }) => field === 'enduranceTb')) return null;
  for (const { label, value, line, text } of entries) {
    if (!DWPD.test(`${label} ${value}`)) continue;
    const years = YEARS.exec(label)?.[1] ?? YEARS.exec(value)?.[1];
    const said = (DWPD.test(label) ? NUMBER : AHEAD).exec(value)?.[1];
    if (years === undefined || said === undefined) continue;
    const writes = Number(said.replace(',', '.'));
    return {
      field: 'enduranceTb',
      value: Number((writes * 365 * Number(years) * (capacity / 1e12)).toFixed(1)),
      line,
      text: text.slice(0, 200),
    };
  }
  return null;
}
