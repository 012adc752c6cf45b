import { z } from 'zod';
import { archetypeSchema, sheetSchema } from '../parts/sheet';
import { itemIdSchema, sheetIdSchema, unitIdSchema } from '../parts/ids';
import { buildSchema, changeSchema, itemSchema, ROLES, unitSchema } from './build';
import { howSchema, layoutSchema, spotRefSchema, wireSchema } from './layoutSchema';

const puts = z.record(z.string(), spotRefSchema).optional();
const carried = { sheets: z.array(sheetSchema), archetypes: z.array(archetypeSchema) };
const section = buildSchema.shape;

/** Sections an edit may set whole; the rest change through edits of their own. */
const SETTABLE = {
  name: section.name,
  notes: section.notes,
  brief: section.brief,
  site: section.site,
  profile: section.profile,
  tariff: section.tariff,
  pool: section.pool,
  policy: section.policy,
  stages: section.stages,
  stage: section.stage,
  bundles: section.bundles,
  readings: section.readings,
  accepted: section.accepted,
  copies: section.copies,
  copiesElsewhere: section.copiesElsewhere,
  rates: section.rates,
} as const;
type SettableSection = keyof typeof SETTABLE;

const setEdits = Object.entries(SETTABLE).map(([name, value]) =>
  // `was`: the section before, so that only what changed is changed on another version; making the edit reads it not.
  z.strictObject({ type: z.literal(`set.${name}`), value, was: value.optional() }),
);

const patchSchema = itemSchema
  .pick({
    deal: true,
    price: true,
    offers: true,
    stage: true,
    year: true,
    hours: true,
    condition: true,
    count: true,
    bundle: true,
    stockId: true,
  })
  .partial();

/** Everything that can happen to a build, as data. Ids come in with the edit. */
export const editSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('item.add'), item: itemSchema, ...carried, puts, index: z.int().min(0).optional() }),
  z.strictObject({ type: z.literal('item.remove'), item: itemIdSchema }),
  // `was`: what it changes as it was before, for the same reason as that of a section.
  z.strictObject({
    type: z.literal('item.patch'),
    item: itemIdSchema,
    patch: patchSchema,
    was: patchSchema.optional(),
  }),
  z.strictObject({
    type: z.literal('item.replace'),
    item: itemIdSchema,
    sheet: sheetIdSchema,
    price: itemSchema.shape.price,
    /** What is known of it where it is owned; else it is to be bought. */
    owned: itemSchema.pick({ stockId: true, year: true, hours: true, condition: true }).optional(),
    ...carried,
  }),
  z.strictObject({ type: z.literal('units.add'), item: itemIdSchema, units: z.array(unitSchema).min(1), puts }),
  z.strictObject({ type: z.literal('units.remove'), units: z.array(unitIdSchema).min(1) }),
  z.strictObject({ type: z.literal('unit.role'), unit: unitIdSchema, role: z.enum(ROLES).nullable() }),
  z.strictObject({ type: z.literal('place.put'), unit: unitIdSchema, spot: spotRefSchema }),
  z.strictObject({ type: z.literal('place.hold'), unit: unitIdSchema, spot: spotRefSchema }),
  z.strictObject({ type: z.literal('place.release'), unit: unitIdSchema }),
  z.strictObject({ type: z.literal('cable.put'), wire: wireSchema }),
  z.strictObject({ type: z.literal('cable.how'), device: spotRefSchema, how: howSchema }),
  z.strictObject({ type: z.literal('plug.put'), plug: wireSchema }),
  z.strictObject({ type: z.literal('plug.release'), device: spotRefSchema }),
  z.strictObject({ type: z.literal('change.add'), change: changeSchema }),
  z.strictObject({ type: z.literal('change.remove'), id: z.string() }),
  z.strictObject({ type: z.literal('sheet.refresh'), ...carried }),
  z.strictObject({ type: z.literal('layout.set'), layout: layoutSchema }),
  z.strictObject({ type: z.literal('restore'), sections: buildSchema.omit({ format: true, id: true }).partial() }),
  ...(setEdits as unknown as [SetEditSchema, ...SetEditSchema[]]),
]);

type SetEditSchema = {
  [S in SettableSection]: z.ZodObject<{ type: z.ZodLiteral<`set.${S}`>; value: (typeof SETTABLE)[S] }, z.core.$strict>;
}[SettableSection];
export type Edit = z.infer<typeof editSchema>;
export type EditOf<T extends Edit['type']> = Extract<Edit, { type: T }>;
