import type { z } from 'zod';
import { ROW_CHOICES, ROW_WORDS, type RowName } from './rowWords';

/** How a value inside a list of a sheet is asked for, and between which bounds. */
export type Ask =
  | { readonly type: 'number'; readonly least: number; readonly most: number; readonly whole: boolean }
  | { readonly type: 'choice'; readonly options: readonly (string | number)[] }
  | { readonly type: 'yesNo' }
  /** `isKey`: the name of a row, here or in another list of the sheet. */
  | { readonly type: 'text'; readonly isKey: boolean }
  /** Several of a closed set, or several numbers. */
  | { readonly type: 'many'; readonly of: Ask; readonly least: number }
  | { readonly type: 'group'; readonly fields: readonly AskField[] }
  | { readonly type: 'rows'; readonly of: Ask; readonly least: number; readonly most: number }
  /** What has no form: it is kept as it is. */
  | { readonly type: 'kept' };

/** One field of a row. `may`: left out, or null where that is an answer of its own. */
export type AskField = {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly ask: Ask;
  readonly may: 'open' | 'none' | null;
};

type Def = {
  readonly type: string;
  readonly innerType: z.ZodType;
  readonly element: z.ZodType;
  readonly shape: Readonly<Record<string, z.ZodType>>;
  readonly entries: Readonly<Record<string, string>>;
  readonly options: readonly z.ZodType[];
  readonly values: readonly (string | number)[];
  readonly format?: string;
  readonly checks?: readonly { readonly _zod: { readonly def: Check } }[];
};
type Check = {
  readonly check: string;
  readonly value?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly format?: string;
};
const inside = (schema: z.ZodType): Def => (schema as unknown as { readonly _zod: { readonly def: Def } })._zod.def;

/** The bounds of a number or of a list's length, as its schema checks them. */
function boundsOf({ format, checks = [] }: Def) {
  const all = checks.map((one) => one._zod.def);
  const said = (check: string, of: 'value' | 'minimum' | 'maximum') => all.find((one) => one.check === check)?.[of];
  return {
    least: said('greater_than', 'value') ?? said('min_length', 'minimum'),
    most: said('less_than', 'value') ?? said('max_length', 'maximum'),
    whole: [format, ...all.map((one) => one.format)].some((one) => one?.includes('int')),
  };
}

/** Where a schema has no bound. */
const MOST_ROWS = 64;

/** How a field of a sheet is asked for, by its schema. */
export function askOf(schema: z.ZodType): Ask {
  const def = inside(schema);
  const { least, most, whole } = boundsOf(def);
  switch (def.type) {
    case 'optional':
    case 'nullable':
      return askOf(def.innerType);
    case 'number':
      return { type: 'number', least: least ?? -Infinity, most: most ?? Infinity, whole };
    case 'boolean':
      return { type: 'yesNo' };
    case 'string':
      return { type: 'text', isKey: (def.checks ?? []).some((one) => one._zod.def.format === 'regex') };
    case 'enum':
      return { type: 'choice', options: Object.values(def.entries) };
    case 'union':
      return def.options.every((one) => inside(one).type === 'literal')
        ? { type: 'choice', options: def.options.flatMap((one) => inside(one).values) }
        : { type: 'kept' };
    case 'object':
      return { type: 'group', fields: Object.entries(def.shape).map(([name, one]) => askField(name as RowName, one)) };
    case 'array':
      return listAsk(askOf(def.element), least, most);
    default:
      return { type: 'kept' };
  }
}

function listAsk(of: Ask, least = 0, most = MOST_ROWS): Ask {
  if (of.type === 'kept') return of;
  return of.type === 'group' || of.type === 'rows' || of.type === 'many'
    ? { type: 'rows', of, least, most }
    : { type: 'many', of, least };
}

function askField(name: RowName, schema: z.ZodType): AskField {
  const { type } = inside(schema);
  const { label, unit = '' } = ROW_WORDS[name];
  return {
    name,
    label,
    unit,
    ask: askOf(schema),
    may: type === 'optional' ? 'open' : type === 'nullable' ? 'none' : null,
  };
}

/** The name by which other fields of a sheet point at a row: given by itself, and never asked for. */
export const ROW_KEY = 'key';

/** What a choice inside a list is called. */
export const rowChoiceWords = (name: string, value: string | number): string =>
  ROW_CHOICES[name]?.[value] ??
  String(value)
    .replace(/^sff-/, 'SFF-')
    .replace(/-(\d)i$/, '-$1i');

/** A first row where a class has none to copy: what is the least of everything that has to be there. */
export function blankOf(ask: Ask): unknown {
  switch (ask.type) {
    case 'number':
      return Math.min(ask.most, Math.max(ask.least > 0 && !ask.whole ? Math.ceil(ask.least) : ask.least, 1));
    case 'choice':
      return ask.options[0];
    case 'yesNo':
      return false;
    case 'text':
      return ask.isKey ? 'row1' : '';
    case 'many':
      return ask.least > 0 ? [blankOf(ask.of)] : [];
    case 'rows':
      return Array.from({ length: ask.least }, () => blankOf(ask.of));
    case 'group':
      return Object.fromEntries(
        ask.fields.flatMap(({ name, ask: own, may }): [string, unknown][] =>
          may === 'open' ? [] : [[name, may === 'none' ? null : blankOf(own)]],
        ),
      );
    case 'kept':
      return undefined;
  }
}

type Row = Readonly<Record<string, unknown>>;

/** One row more: like the last, by a key and a label of its own. */
export function withAnother(rows: readonly unknown[], of: Ask): readonly unknown[] {
  const last = rows.at(-1);
  const next = (last === undefined ? blankOf(of) : structuredClone(last)) as Row;
  if (of.type !== 'group') return [...rows, next];
  const keys = new Set(rows.map((row) => (row as Row)[ROW_KEY]));
  const named = of.fields.some(({ name }) => name === ROW_KEY) ? { ...next, [ROW_KEY]: freshKey(next, keys) } : next;
  const { label } = named as { readonly label?: unknown };
  return [...rows, typeof label === 'string' && label !== '' ? { ...named, label: freshLabel(label, rows) } : named];
}

function freshKey(row: Row, taken: ReadonlySet<unknown>): string {
  const base = String(row[ROW_KEY]).replace(/\d+$/, '') || 'row';
  for (let n = 1; ; n++) if (!taken.has(`${base}${n}`)) return `${base}${n}`;
}

/** `Slot 4, x1` becomes `Slot 5, x1`, `Front` becomes `Front 2`. */
function freshLabel(label: string, rows: readonly unknown[]): string {
  const taken = new Set(rows.map((row) => (row as Row).label));
  const counted = /\d+/.test(label) ? label : `${label} 1`;
  for (let n = Number(/\d+/.exec(counted)![0]) + 1; ; n++) {
    const next = counted.replace(/\d+/, String(n));
    if (!taken.has(next)) return next;
  }
}

/** Where something is wrong in a sheet, in the words of its form: `slots.1.lanes` is “slots, row 2, lanes”. */
export const placeWords = (path: readonly PropertyKey[], labelOf: (field: string) => string): string =>
  path
    .map((step, i) =>
      typeof step === 'number'
        ? `row ${step + 1}`
        : i === 0
          ? labelOf(String(step))
          : (ROW_WORDS[String(step) as RowName]?.label ?? String(step)),
    )
    .join(', ');
