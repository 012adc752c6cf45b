import { readSpec } from '../../specs/readSpec';
import type { Sample } from './sample';

const close = (one: unknown, other: unknown): boolean =>
  typeof one === 'number' && typeof other === 'number'
    ? Math.abs(one - other) <= 0.002 * Math.abs(other)
    : one === other || (typeof one === 'object' && one !== null && sorted(one) === sorted(other));
const sorted = (value: unknown): string =>
  JSON.stringify(value, (_key, one: unknown) =>
    one && typeof one === 'object' && !Array.isArray(one) ? Object.fromEntries(Object.entries(one).sort()) : one,
  );

const told = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value));

/** Fields a person reads, those read right and wrong (also such that nobody would read there), and what they are. */
export function scoreSamples(samples: readonly Sample[]) {
  const total = { fields: 0, right: 0, wrong: 0, notes: [] as string[] };
  for (const { id, kind, text, fields: plain, places } of samples) {
    const fields = { ...plain, ...places };
    const read = readSpec(text);
    const found = read.ok ? [...read.fields, ...(places ? read.places : [])] : [];
    const got = new Map(found.map(({ field, value }) => [field, value] as const));
    if (!read.ok || read.kind !== kind) total.notes.push(`${id}: kind ${read.ok ? read.kind : read.words}`);
    for (const [field, value] of Object.entries(fields)) {
      total.fields++;
      if (close(got.get(field), value)) total.right++;
      else if (got.has(field)) {
        total.wrong++;
        total.notes.push(`${id}: ${field} read ${told(got.get(field))}, is ${told(value)}`);
      } else total.notes.push(`${id}: ${field} open, is ${told(value)}`);
    }
    for (const [field, value] of got)
      if (!(field in fields)) {
        total.wrong++;
        total.notes.push(`${id}: ${field} read ${told(value)}, where nobody would`);
      }
  }
  return total;
}
