import type { SheetId } from './ids';
import type { Archetype, Sheet } from './sheet';

const PREFIX = 'class-';
export const classSheetId = (archetype: string): SheetId => `${PREFIX}${archetype}` as SheetId;
export const isClassSheet = (id: string): boolean => id.startsWith(PREFIX);

/** An archetype as a sheet of its own: a part of which nothing but its class is known, every number typical. */
export const classSheet = (archetype: Archetype): Sheet => ({
  id: classSheetId(archetype.id),
  kind: archetype.kind,
  rev: archetype.rev,
  name: archetype.name,
  archetype: archetype.id,
  ...(archetype.price ? { price: archetype.price } : {}),
});
