import { ownSheet } from '../parts/ownSheet';
import type { SheetId } from '../parts/ids';
import type { Archetype, Sheet } from '../parts/sheet';
import { listsOf } from './lists/listsOf';
import type { Place } from './lists/places';
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
export function classFor<T extends Archetype>(
  classes: readonly T[],
  fields: readonly ReadField[],
  places: readonly Place[] = [],
): T | null {
  const bays = places.find(({ field }) => field === 'bays35')?.value as number | undefined;
  const ports = places.find(({ field }) => field === 'ports')?.value as readonly { kind: string }[] | undefined;
  const score = (one: T): number =>
    (bays === undefined ? 0 : likeBays(one, bays)) +
    (ports === undefined ? 0 : likePorts(one, ports)) +
    likeChassis(one, places) +
    fields.reduce((sum, { field, value }) => {
      const typical = (one as unknown as Readonly<Record<string, unknown>>)[field];
      if (TELLING.has(field)) return sum + (typical === value ? AGREES : -AGREES);
      if (typeof value !== 'number' || typeof typical !== 'number' || value <= 0 || typical <= 0) return sum;
      // How fast a disk turns says what it takes, at the start above all; its room does not.
      if (field === 'rpm') return sum + (Math.abs(Math.log(value / typical)) < 0.1 ? AGREES : -AGREES);
      return sum - Math.min(1, Math.abs(Math.log(value / typical)));
    }, 0);
  return classes.reduce<T | null>((best, one) => (best && score(best) >= score(one) ? best : one), null);
}

/** A class whose plugs are of the kinds that were read is it sooner than one of others: a SATA card is no HBA. */
function likePorts(archetype: Archetype, ports: readonly { readonly kind: string }[]): number {
  if (!('connectors' in archetype)) return 0;
  const has = new Set((archetype.connectors as readonly { readonly kind: string }[]).map(({ kind }) => kind));
  return ports.some(({ kind }) => has.has(kind)) ? AGREES : -AGREES;
}

/** A chassis by the supplies it takes and by whether its drives are pulled while it runs. */
function likeChassis(archetype: Archetype, places: readonly Place[]): number {
  if (archetype.kind !== 'chassis') return 0;
  const said = (field: string) => places.find((place) => place.field === field)?.value;
  const forms = said('supplyForms') as readonly string[] | undefined;
  const has = new Set<string>(archetype.supplyBays.flatMap((bay) => bay.forms));
  const isHotSwap = archetype.bayGroups.some(({ access }) => access === 'hotSwap');
  return (
    (forms === undefined ? 0 : forms.some((form) => has.has(form)) ? 1 : -1) +
    (said('hotSwap') === undefined ? (isHotSwap ? -0.5 : 0) : isHotSwap ? 1 : -1)
  );
}

/** How near a class of chassis is by its bays for 3.5-inch drives; none is far off. */
function likeBays(archetype: Archetype, bays: number): number {
  if (archetype.kind !== 'chassis') return 0;
  const has = archetype.bayGroups
    .filter(({ takes }) => takes.includes('3.5'))
    .reduce((sum, { rows, columns }) => sum + rows * columns, 0);
  return has === 0 ? -AGREES : -Math.abs(Math.log(bays / has));
}

/** A sheet of what was read; each field keeps the line it was read from, the rest is typical of its class. */
export function sheetOfSpec(
  id: SheetId,
  archetype: Archetype,
  name: string,
  maker: string | undefined,
  fields: readonly ReadField[],
  places: readonly Place[] = [],
): Sheet {
  const values = Object.fromEntries(fields.map(({ field, value }) => [field, value]));
  const { lists, left, whole } = listsOf(archetype, values, places);
  const all = { ...lists, ...values };
  const sheet = ownSheet(id, archetype, { name, ...(maker ? { maker } : {}), values: all, basis: 'stated' });
  const told = places.filter((one) => !left.includes(one)).map(({ words }) => words);
  // How many there are was said; how a row is beyond that is the class's, so the whole list counts as typical.
  const typical = { basis: 'typical' as const, ref: told.join('; ').slice(0, 300) };
  const from = Object.fromEntries([
    ...Object.keys(lists).map((field) => [field, whole.includes(field) ? { ...typical, basis: 'stated' } : typical]),
    ...fields.map(({ field, text }) => [field, { basis: 'stated' as const, ref: text.slice(0, 300) }]),
  ]);
  return { ...sheet, from: { ...sheet.from, ...from } };
}
