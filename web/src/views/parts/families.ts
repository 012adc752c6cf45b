import {
  classSheet,
  isFound,
  PART_KINDS,
  resolve,
  type Archetype,
  type Catalogue,
  type PartKind,
  type Sheet,
} from '@inch-tower/core';

/** A series with its members, or a part that stands alone. */
export type Family = {
  readonly key: string;
  readonly name: string;
  readonly maker: string;
  readonly kind: PartKind;
  readonly members: readonly Sheet[];
};
export type Shelf = 'catalogue' | 'own' | 'classes';

export const KIND_WORDS: Readonly<Record<PartKind, string>> = {
  chassis: 'Chassis',
  adapter: 'Cages and adapters',
  board: 'Boards',
  processor: 'Processors',
  cooler: 'Coolers',
  memory: 'Memory',
  controller: 'Controllers',
  expander: 'Expanders',
  drive: 'Drives',
  supply: 'Supplies',
  fan: 'Fans',
  networkCard: 'Network cards',
  accelerator: 'Accelerators',
  carrier: 'Carrier cards',
  riser: 'Risers',
  cable: 'Data cables',
  powerAdapter: 'Power adapters',
  enclosure: 'Bridges',
  ups: 'UPS',
  sundry: 'Small parts',
};

export function shelfOf(catalogue: Catalogue & { readonly own: readonly string[] }, shelf: Shelf): readonly Sheet[] {
  if (shelf === 'classes') return Object.values(catalogue.archetypes).map(classSheet);
  const own = new Set(catalogue.own);
  return Object.values(catalogue.sheets).filter((sheet) => own.has(sheet.id) === (shelf === 'own'));
}

export type Searchable = {
  readonly sheet: Sheet;
  readonly archetype: Archetype | undefined;
  readonly text: string;
};
/** Made once a catalogue, so that a search only compares. */
export const searchable = (sheets: readonly Sheet[], catalogue: Catalogue): readonly Searchable[] =>
  sheets.map((sheet) => ({
    sheet,
    archetype: catalogue.archetypes[sheet.archetype],
    text: [
      sheet.name,
      sheet.maker,
      sheet.family,
      KIND_WORDS[sheet.kind],
      sheet.kind,
      sheet.id,
      catalogue.archetypes[sheet.archetype]?.name,
    ]
      .join(' ')
      .toLowerCase(),
  }));

export function search(list: readonly Searchable[], words: string, kind: PartKind | null): readonly Sheet[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return list
    .filter(
      ({ sheet, archetype, text }) =>
        (!kind || sheet.kind === kind) &&
        (isFound(sheet, archetype, words) || (!/\d/.test(words) && wanted.every((word) => text.includes(word)))),
    )
    .map(({ sheet }) => sheet);
}

const order = new Map(PART_KINDS.map((kind, i) => [kind, i]));
function size(sheet: Sheet, archetypes: Catalogue['archetypes']): number {
  const archetype = archetypes[sheet.archetype];
  const values = (archetype ? resolve(sheet, archetype) : sheet) as unknown as Readonly<Record<string, unknown>>;
  return Number(values.capacityBytes ?? values.ratedW ?? values.sizeMm ?? values.lengthMm ?? 0);
}

/** Sheets by series, in the order of the work; members by capacity, watts or length. */
export function familiesOf(sheets: readonly Sheet[], archetypes: Catalogue['archetypes']): readonly Family[] {
  const families = new Map<string, Sheet[]>();
  for (const sheet of sheets) {
    const key = `${sheet.kind}|${sheet.maker ?? ''}|${sheet.family ?? sheet.id}`;
    families.set(key, [...(families.get(key) ?? []), sheet]);
  }
  return [...families]
    .map(([key, members]): Family => {
      const first = members[0]!;
      return {
        key,
        name: members.length > 1 ? (first.family ?? first.name) : first.name,
        maker: first.maker ?? '',
        kind: first.kind,
        members: [...members].sort((a, b) => size(a, archetypes) - size(b, archetypes) || (a.name < b.name ? -1 : 1)),
      };
    })
    .sort((a, b) => order.get(a.kind)! - order.get(b.kind)! || (a.name < b.name ? -1 : 1));
}

/** Lowest and highest price of a series in minor units; null where none has one. */
export function priceSpan(
  family: Family,
): { readonly lo: number; readonly hi: number; readonly currency: string } | null {
  const prices = family.members.flatMap((sheet) => sheet.price ?? []);
  if (prices.length === 0) return null;
  return {
    lo: Math.min(...prices.map((one) => one.minor)),
    hi: Math.max(...prices.map((one) => one.minor)),
    currency: prices[0]!.currency,
  };
}
