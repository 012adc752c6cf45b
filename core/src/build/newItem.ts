import type { ArchetypeId, ItemId, SheetId, UnitId } from '../parts/ids';
import type { Archetype, Sheet } from '../parts/sheet';
import type { Build, Item, Price } from './build';
import type { EditOf } from './edits';
import type { SpotRef } from './layout';
import { markLetter } from './marks';

/** Where sheets are looked up by id: the catalogue of the server, of the demo, or of a file. */
export type Catalogue = {
  readonly sheets: Readonly<Record<string, Sheet>>;
  readonly archetypes: Readonly<Record<string, Archetype>>;
};

/** The sheets and archetypes a sheet needs with it: itself, what is built in and what is in its box. */
export function closureOf(catalogue: Catalogue, id: SheetId): { sheets: Sheet[]; archetypes: Archetype[] } {
  const sheets = new Map<string, Sheet>();
  const archetypes = new Map<string, Archetype>();
  const visit = (one: SheetId) => {
    const sheet = catalogue.sheets[one];
    if (!sheet || sheets.has(one)) return;
    sheets.set(one, sheet);
    const archetype = catalogue.archetypes[sheet.archetype as ArchetypeId];
    if (archetype) archetypes.set(archetype.id, archetype);
    for (const inner of [
      ...(sheet.builtIn ?? archetype?.builtIn ?? []),
      ...(sheet.inTheBox ?? archetype?.inTheBox ?? []),
    ])
      visit(inner.sheet);
  };
  visit(id);
  return { sheets: [...sheets.values()], archetypes: [...archetypes.values()] };
}

/** The edit that adds `count` units of a catalogue sheet, with ids and marks from the build's counter. */
export function addItemEdit(
  build: Pick<Build, 'counter' | 'stage'>,
  catalogue: Catalogue,
  sheet: SheetId,
  count: number,
  more: { spots?: readonly SpotRef[]; deal?: Item['deal']; role?: Item['units'][number]['role'] } = {},
): EditOf<'item.add'> {
  const letter = markLetter(build.counter.letter);
  const first = build.counter.next;
  const units = Array.from({ length: count }, (_, i) => ({
    id: `u${first + 1 + i}` as UnitId,
    mark: `${letter}${i + 1}`,
    ...(more.role ? { role: more.role } : {}),
  }));
  const listed = catalogue.sheets[sheet]?.price;
  const price: Price | undefined = listed && { ...listed, per: 'unit', taxIncluded: true };
  const puts = more.spots?.length
    ? Object.fromEntries(more.spots.slice(0, count).map((spot, i) => [units[i]!.id, spot]))
    : undefined;
  return {
    type: 'item.add',
    item: {
      id: `i${first}` as ItemId,
      sheet,
      units,
      stage: build.stage,
      deal: more.deal ?? 'buy',
      ...(price ? { price } : {}),
    },
    ...closureOf(catalogue, sheet),
    ...(puts ? { puts } : {}),
  };
}
