import type { z } from 'zod';
import { readNumber } from './readNumber';
import { rangeOf } from './tolerances';
import { VALUES } from './sheet';
import type { PartKind } from './vocabulary';

/** One field of a kind's sheet, as a form or a table asks for it. Lists are whole or not at all. */
export type Field = {
  readonly name: string;
  /** In words, without its unit: `lengthMm` is “length”. */
  readonly label: string;
  readonly unit: string;
  readonly type: 'number' | 'choice' | 'yesNo' | 'text' | 'list';
  readonly options: readonly (string | number)[];
  /** Null is an answer: known not to exist. */
  readonly nullable: boolean;
  /** How many of the stored unit one of the unit shown is: memory counts in GiB, drives in GB (IEC 80000-13). */
  readonly per: number;
  readonly schema: z.ZodType;
};

const SUFFIX = /(KPerW|M3h|MBps|Mm|Db|Bytes|Pct|Rpm|Awg|Pa|Va|Wh|W|A|C|S|V|G)$/;
const UNIT_ALONE: Readonly<Record<string, string>> = {
  massG: 'g',
  annualFailurePct: '%',
  batteryWh: 'Wh',
  ratedVa: 'VA',
  gbPerLane: 'Gb/s',
  gbPerS: 'Gb/s',
  rpm: 'rpm',
  minRpm: 'rpm',
  maxRpm: 'rpm',
  dcMinV: 'V',
  dcMaxV: 'V',
  outV: 'V',
  enduranceTb: 'TB',
  needsAirMPerS: 'm/s',
  resistancePaPerM3h2: 'Pa/(m³/h)²',
};
const LABELS: Readonly<Record<string, string>> = {
  ecc: 'ECC',
  memoryEcc: 'memory with ECC',
  gbPerLane: 'rate of a lane',
  gbPerS: 'rate',
  pcieGen: 'PCIe generation',
  gen: 'PCIe generation',
  readyS: 'ready after',
  share12: 'share on 12 V',
  share5: 'share on 5 V',
  rail12A: '12 V rail',
  rail5A: '5 V rail',
  rail33A: '3.3 V rail',
  combined5And33W: '5 V and 3.3 V together',
  obeysPin3: 'obeys the power-disable pin',
  pwm: 'PWM',
  holes: 'hole pattern',
  edgeMm: 'along the rear edge',
  kPerW: 'thermal resistance',
  sitsIn: 'sits in',
  dcPlug: 'direct-current plug',
  outV: 'gives at its plug',
  plugEndMm: 'plug at its end',
  staggersStart: 'starts drives in turn',
  edgeLanes: 'lanes of its edge',
  recovers: 'comes back after losing power alone',
  processors: 'processor generations',
  soundMeaning: 'what the sound figure is',
  needsAirMPerS: 'needs air',
  resistancePaPerM3h2: 'flow resistance',
  bypassShare: 'air past the drives, share',
  panelDb: 'panels take away',
  massG: 'weight, empty',
  ratedVa: 'rated',
  idle12A: 'idle on 12 V',
  idle5A: 'idle on 5 V',
  busy12A: 'busy on 12 V',
  busy5A: 'busy on 5 V',
};

function labelOf(name: string): string {
  return (
    LABELS[name] ??
    name
      .replace(SUFFIX, '')
      .replace(/([A-Z]+|\d+)/g, ' $1')
      .toLowerCase()
      .trim()
  );
}

function unitOf(kind: PartKind, name: string): Pick<Field, 'unit' | 'per'> {
  const unit = UNIT_ALONE[name] ?? rangeOf(name, 1, 'stated').unit;
  if (unit !== 'B') return { unit, per: 1 };
  return kind === 'drive' || kind === 'enclosure' ? { unit: 'GB', per: 1e9 } : { unit: 'GiB', per: 1024 ** 3 };
}

type Inner = {
  readonly type: Field['type'];
  readonly options: readonly (string | number)[];
  readonly nullable: boolean;
};
type Def = {
  readonly type: string;
  readonly innerType?: z.ZodType;
  readonly entries?: Readonly<Record<string, string>>;
  readonly options?: readonly z.ZodType[];
  readonly values?: readonly (string | number)[];
};

function innerOf(schema: z.ZodType): Inner {
  const def = (schema as unknown as { readonly _zod: { readonly def: Def } })._zod.def;
  switch (def.type) {
    case 'nullable':
      return { ...innerOf(def.innerType!), nullable: true };
    case 'optional':
      return innerOf(def.innerType!);
    case 'number':
    case 'int':
      return { type: 'number', options: [], nullable: false };
    case 'boolean':
      return { type: 'yesNo', options: [], nullable: false };
    case 'enum':
      return { type: 'choice', options: Object.values(def.entries!), nullable: false };
    case 'union':
      return {
        type: 'choice',
        options: def.options!.flatMap(
          (one) => (one as unknown as { readonly _zod: { readonly def: Def } })._zod.def.values ?? [],
        ),
        nullable: false,
      };
    case 'string':
      return { type: 'text', options: [], nullable: false };
    default:
      return { type: 'list', options: [], nullable: false };
  }
}

const known = new Map<PartKind, readonly Field[]>();

/** The fields of a kind in the order of its sheet. */
export function fieldsOf(kind: PartKind): readonly Field[] {
  let fields = known.get(kind);
  if (!fields) {
    fields = Object.entries(VALUES[kind].shape as Record<string, z.ZodType>).map(([name, schema]): Field => ({
      name,
      label: labelOf(name),
      ...unitOf(kind, name),
      schema,
      ...innerOf(schema),
    }));
    known.set(kind, fields);
  }
  return fields;
}

/** A field's answer typed as text: a value, null for “none”, undefined for open, or a sentence. */
export function readField(
  field: Field,
  text: string,
): { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly words: string } {
  const plain = text.trim();
  if (plain === '') return { ok: true, value: undefined };
  if (plain.toLowerCase() === 'none' && field.nullable) return { ok: true, value: null };
  // What is kept in another unit than it is shown in is written here as it is kept, without any.
  const unit = field.per === 1 ? field.unit : '';
  const number = field.type === 'number' ? readNumber(plain, { unit, dotIsDecimal: true }) : null;
  if (number && !number.ok) return { ok: false, words: `${field.label} ${number.words}` };
  const value = number ? number.value : valueOf(field, plain);
  const checked = field.schema.safeParse(value);
  if (checked.success) return { ok: true, value: checked.data };
  const why = field.options.length
    ? `one of ${field.options.join(', ')}`
    : (checked.error.issues[0]?.message ?? 'out of bounds').toLowerCase();
  return { ok: false, words: `${field.label} “${plain}”: ${why}` };
}

function valueOf(field: Field, plain: string): unknown {
  if (field.type === 'yesNo')
    return /^(yes|true|1)$/i.test(plain) ? true : /^(no|false|0)$/i.test(plain) ? false : plain;
  if (field.type === 'choice') return field.options.find((one) => String(one) === plain) ?? plain;
  if (field.type === 'list') {
    try {
      return JSON.parse(plain) as unknown;
    } catch {
      return plain;
    }
  }
  return plain;
}
