import { ownSheet } from '../parts/ownSheet';
import type { SheetId } from '../parts/ids';
import type { Archetype, Sheet } from '../parts/sheet';
import type { ReadField } from './readField';

/** Fields by which classes of a kind differ; a class that says another than was read is hardly the one. */
const TELLING: ReadonlySet<string> = new Set([
  'medium',
  'size',
  'interface',
  'form',
  'style',
  'type',
  'holes',
  'sizeMm',
  'memoryType',
  'memoryForm',
  'registered',
  'waveform',
  'battery',
  'efficiencyClass',
  'bus',
]);
const AGREES = 3;

/**
 * The class of a kind that what was read is most like: first by what its fields say, then by how near its numbers are.
 * Null where there is no class of the kind.
 */
export function classFor<T extends Archetype>(classes: readonly T[], fields: readonly ReadField[]): T | null {
  const score = (one: T): number =>
    fields.reduce((sum, { field, value }) => {
      const typical = (one as unknown as Readonly<Record<string, unknown>>)[field];
      if (TELLING.has(field)) return sum + (typical === value ? AGREES : -AGREES);
      if (typeof value !== 'number' || typeof typical !== 'number' || value <= 0 || typical <= 0) return sum;
      return sum - Math.min(1, Math.abs(Math.log(value / typical)));
    }, 0);
  return classes.reduce<T | null>((best, one) => (best && score(best) >= score(one) ? best : one), null);
}

/** A sheet of what was read; each field keeps the line it was read from, the rest is typical of its class. */
export function sheetOfSpec(
  id: SheetId,
  archetype: Archetype,
  name: string,
  maker: string | undefined,
  fields: readonly ReadField[],
): Sheet {
  const values = Object.fromEntries(fields.map(({ field, value }) => [field, value]));
  const sheet = ownSheet(id, archetype, { name, ...(maker ? { maker } : {}), values, basis: 'stated' });
  const from = Object.fromEntries(
    fields.map(({ field, text }) => [field, { basis: 'stated' as const, ref: text.slice(0, 300) }]),
  );
  return { ...sheet, from: { ...sheet.from, ...from } };
}
