import { z } from 'zod';
import { LIMITS } from './limits';
import { boardValues, coolerValues, memoryValues, processorValues } from './boardValues';
import { acceleratorValues, carrierValues, controllerValues, expanderValues, networkCardValues } from './cardValues';
import { adapterValues, chassisValues } from './chassisValues';
import { driveValues } from './driveValues';
import { archetypeIdSchema, keySchema, sheetIdSchema } from './ids';
import { KIND_DEFAULTS } from './kindDefaults';
import { enclosureValues, powerAdapterValues, riserValues, sundryValues, upsValues } from './smallValues';
import { cableValues, fanValues, supplyValues } from './supplyValues';
import { PART_KINDS, type PartKind } from './vocabulary';

/** One schema of values per kind; a sheet gives some of them, an archetype all that was known when it was written. */
export const VALUES = {
  chassis: chassisValues,
  adapter: adapterValues,
  board: boardValues,
  processor: processorValues,
  cooler: coolerValues,
  memory: memoryValues,
  controller: controllerValues,
  drive: driveValues,
  supply: supplyValues,
  fan: fanValues,
  cable: cableValues,
  expander: expanderValues,
  networkCard: networkCardValues,
  accelerator: acceleratorValues,
  carrier: carrierValues,
  riser: riserValues,
  powerAdapter: powerAdapterValues,
  enclosure: enclosureValues,
  ups: upsValues,
  sundry: sundryValues,
} as const satisfies Record<PartKind, z.ZodObject>;

export type Values<K extends PartKind> = z.infer<(typeof VALUES)[K]>;

export const moneySchema = z.strictObject({
  minor: z.int().min(0).max(1e12),
  currency: z.string().regex(/^[A-Z]{3}$/, 'an ISO 4217 code such as EUR'),
});
export type Money = z.infer<typeof moneySchema>;

/** Where a value came from; `lo` and `hi` replace the tolerance of its basis. */
const sourceSchema = z.strictObject({
  basis: z.enum(['stated', 'measured', 'typical']),
  ref: z.string().max(300).optional(),
  lo: z.number().optional(),
  hi: z.number().optional(),
});
export type Basis = z.infer<typeof sourceSchema>['basis'];
type Source = z.infer<typeof sourceSchema>;

/** A part inside a part: a soldered processor, a chassis fan. `fixed` ones cannot be swapped. */
const builtInSchema = z.strictObject({
  key: keySchema,
  sheet: sheetIdSchema,
  count: z.int().min(1).max(16),
  spot: keySchema,
  fixed: z.boolean(),
});
type BuiltIn = z.infer<typeof builtInSchema>;

const identity = {
  rev: z.int().min(1),
  name: z.string().min(1).max(LIMITS.nameCharacters),
  /** The series a part belongs to; capacities or lengths of one series share it. */
  family: z.string().min(1).max(LIMITS.nameCharacters).optional(),
  price: moneySchema.optional(),
  massG: z.number().positive().max(100_000).optional(),
  builtIn: z.array(builtInSchema).max(16).optional(),
  inTheBox: z
    .array(z.strictObject({ sheet: sheetIdSchema, count: z.int().min(1).max(100) }))
    .max(40)
    .optional(),
  from: z.record(z.string(), sourceSchema).optional(),
};

const archetypeOf = <K extends PartKind>(kind: K) =>
  z.strictObject({
    id: archetypeIdSchema,
    kind: z.literal(kind),
    ...identity,
    ...(VALUES[kind].partial().shape as ReturnType<(typeof VALUES)[K]['partial']>['shape']),
  });
const sheetOf = <K extends PartKind>(kind: K) =>
  z.strictObject({
    id: sheetIdSchema,
    kind: z.literal(kind),
    maker: z.string().max(LIMITS.nameCharacters).optional(),
    /** It is only to be had used. */ soldUsed: z.boolean().optional(),
    /** From when it was sold, and until when it was sold new; how long its maker stands for it. */
    introducedYear: z.int().min(1970).max(2200).optional(),
    soldUntilYear: z.int().min(1970).max(2200).optional(),
    warrantyMonths: z.int().min(0).max(600).optional(),
    /** The file of parts it was taken in with. */
    parcel: z.string().min(1).max(LIMITS.nameCharacters).optional(),
    archetype: archetypeIdSchema,
    ...identity,
    ...(VALUES[kind].partial().shape as ReturnType<(typeof VALUES)[K]['partial']>['shape']),
  });

type Tuple<F extends (kind: never) => z.ZodObject> = [ReturnType<F>, ...ReturnType<F>[]];
const each = <F extends (kind: PartKind) => z.ZodObject>(of: F) => PART_KINDS.map((kind) => of(kind)) as Tuple<F>;

type SheetIdentity = {
  readonly rev: number;
  readonly name: string;
  readonly family?: string;
  readonly price?: Money;
  readonly massG?: number;
  readonly builtIn?: readonly BuiltIn[];
  readonly inTheBox?: readonly { readonly sheet: z.infer<typeof sheetIdSchema>; readonly count: number }[];
  readonly from?: Readonly<Record<string, Source>>;
};
export type Archetype<K extends PartKind = PartKind> = K extends PartKind
  ? SheetIdentity & { readonly id: z.infer<typeof archetypeIdSchema>; readonly kind: K } & Readonly<Values<K>>
  : never;
export type Sheet<K extends PartKind = PartKind> = K extends PartKind
  ? SheetIdentity & {
      readonly id: z.infer<typeof sheetIdSchema>;
      readonly kind: K;
      readonly maker?: string;
      readonly soldUsed?: boolean;
      readonly introducedYear?: number;
      readonly soldUntilYear?: number;
      readonly warrantyMonths?: number;
      readonly parcel?: string;
      readonly archetype: z.infer<typeof archetypeIdSchema>;
    } & Readonly<Partial<Values<K>>>
  : never;

export const sheetSchema = z.discriminatedUnion('kind', each(sheetOf)) as unknown as z.ZodType<Sheet>;
/** An archetype of any age: what it lacks is filled with what is typical of its kind. */
export const archetypeSchema = z
  .discriminatedUnion('kind', each(archetypeOf))
  .transform((raw) =>
    filled(raw as Partial<Archetype> & { readonly kind: PartKind }),
  ) as unknown as z.ZodType<Archetype>;

function filled(raw: Partial<Archetype> & { readonly kind: PartKind }): Archetype {
  const lacking = Object.entries(KIND_DEFAULTS[raw.kind]).filter(([field]) => !(field in raw));
  return (lacking.length ? { ...raw, ...Object.fromEntries(lacking) } : raw) as Archetype;
}
