import type { SheetId } from './ids';
import type { Archetype, Sheet } from './sheet';

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
    const archetype = catalogue.archetypes[sheet.archetype];
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
