import { z } from 'zod';
import { LIMITS } from './limits';

/**
 * Ids are keys of records: one that every object already answers to, such as “constructor”, would be found everywhere.
 */
const isInherited = (id: string) => id in {};
const idText = z
  .string()
  .min(1)
  .max(LIMITS.idCharacters)
  .regex(/^[\w.:+-]+$/, 'may hold letters, digits and . : _ + - only')
  .refine((id) => !isInherited(id), 'is a name every object has; choose another');

/** Ids are branded so that a unit's id cannot be passed where a sheet's is wanted. */
export const sheetIdSchema = idText.brand<'SheetId'>();
export const archetypeIdSchema = idText.brand<'ArchetypeId'>();
export const itemIdSchema = idText.brand<'ItemId'>();
export const unitIdSchema = idText.brand<'UnitId'>();

export type SheetId = z.infer<typeof sheetIdSchema>;
export type ArchetypeId = z.infer<typeof archetypeIdSchema>;
export type ItemId = z.infer<typeof itemIdSchema>;
export type UnitId = z.infer<typeof unitIdSchema>;

/** The key of a spot or connector on its sheet: stable for the life of the sheet. */
export const keySchema = z
  .string()
  .regex(/^[a-zA-Z][\w-]{0,39}$/, 'a key starts with a letter and has up to 40 letters, digits, _ or -');
