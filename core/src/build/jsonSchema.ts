import { z } from 'zod';
import { CATALOGUE_FORMAT } from '../parts/catalogueFile';
import { archetypeSchema, sheetSchema } from '../parts/sheet';
import { buildSchema } from './build';
import { FORMAT } from './upgrades/upgrade';

const schemaOf = (schema: z.ZodType, id: string, title: string): Record<string, unknown> => ({
  ...(z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', reused: 'ref' }) as Record<string, unknown>),
  $id: `urn:inch-tower:schema:${id}`,
  title,
});

/** The build file of the newest format as JSON Schema 2020-12; references within it are checked on reading besides. */
export const buildJsonSchema = () => schemaOf(buildSchema, `build-${FORMAT}`, `Inch Tower build, format ${FORMAT}`);

/** A file of parts as JSON Schema 2020-12. */
export const partsJsonSchema = () =>
  schemaOf(
    z.strictObject({
      format: z.literal(CATALOGUE_FORMAT),
      sheets: z.array(sheetSchema),
      archetypes: z.array(archetypeSchema),
    }),
    'parts-1',
    'Inch Tower parts, format 1',
  );
