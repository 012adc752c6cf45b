import Papa from 'papaparse';
import { z } from 'zod';
import { countPart, countText } from './counted';
import type { Catalogue } from './catalogue';
import { checkSheet, containedIn } from './checkSheet';
import { isClassSheet } from './classSheet';
import { minorPerMajor } from './currency';
import { fieldsOf, readField, type Field } from './fields';
import { LIMITS } from './limits';
import { readNumber } from './readNumber';
import { ownSheetId } from './ownSheet';
import type { Sheet } from './sheet';
import { archetypeSchema, sheetSchema, type Archetype } from './sheet';
import { PART_KINDS, type PartKind } from './vocabulary';

/** One row of a file of parts: a sheet that can be taken in, or a sentence saying what is wrong with it. */
export type FileRow =
  | {
      readonly line: number;
      readonly ok: true;
      readonly sheet: Sheet;
      /** Against what is here: not there yet, a later revision, other numbers, or the same. */
      readonly what: 'new' | 'newer' | 'differs' | 'same';
    }
  | { readonly line: number; readonly ok: false; readonly name: string; readonly words: string };
export type ReadFile =
  | {
      readonly ok: true;
      readonly rows: readonly FileRow[];
      /** What the file says of itself. */ readonly about: AboutFile;
      /** Archetypes the file brings that are not here. */ readonly archetypes: readonly Archetype[];
    }
  | { readonly ok: false; readonly words: string };

/** Whose parts a file holds: all of it is for people, nothing of it is checked. */
const aboutSchema = z.object({
  name: z.string().trim().min(1).max(LIMITS.nameCharacters).optional(),
  date: z.string().trim().min(1).max(40).optional(),
  author: z.string().trim().min(1).max(LIMITS.nameCharacters).optional(),
  licence: z.string().trim().min(1).max(LIMITS.nameCharacters).optional(),
});
export type AboutFile = z.infer<typeof aboutSchema>;

export const CATALOGUE_FORMAT = 'inch-tower-parts-1';
const MOST_ROWS = 5000;
/** Values of a whole file, which is no single body; each sheet is held to its own limit. */
const MOST_VALUES = 4_000_000;
/** Columns of a CSV before those of the kind; what no single cell can hold stands as JSON in the last. */
const HEAD = ['id', 'kind', 'name', 'maker', 'family', 'archetype', 'rev', 'price', 'currency'] as const;
const REST = 'more';

/** Reads a file of parts, JSON or CSV (RFC 4180), row by row: good rows are kept beside bad ones. */
export function readPartsFile(text: string, catalogue: Catalogue, isOwn: (id: string) => boolean): ReadFile {
  const plain = text.replace(/^\uFEFF/, '').trim();
  if (plain === '') return { ok: false, words: 'The file is empty.' };
  return plain.startsWith('{') || plain.startsWith('[')
    ? readJson(plain, catalogue, isOwn)
    : readCsv(plain, catalogue, isOwn);
}

function readJson(text: string, catalogue: Catalogue, isOwn: (id: string) => boolean): ReadFile {
  const passed = countText(text, MOST_VALUES);
  if (passed) return { ok: false, words: passed.words };
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return { ok: false, words: `This is not JSON (${error instanceof Error ? error.message : 'unreadable'}).` };
  }
  const body = Array.isArray(value)
    ? { sheets: value as unknown[] }
    : (value as { format?: unknown; about?: unknown; sheets?: unknown; archetypes?: unknown });
  if (!Array.isArray(value) && body && 'format' in body && body.format !== CATALOGUE_FORMAT)
    return {
      ok: false,
      words:
        `This file is of the format ${JSON.stringify(body.format)?.slice(0, 40)}; a file of ` +
        `parts is of ${CATALOGUE_FORMAT}, or a list of sheets.`,
    };
  if (!Array.isArray(body?.sheets)) return { ok: false, words: 'This JSON holds no list of sheets.' };
  if (body.sheets.length > MOST_ROWS)
    return { ok: false, words: `The file has ${body.sheets.length} sheets; at most ${MOST_ROWS}.` };
  const brought = (
    'archetypes' in body && Array.isArray(body.archetypes) ? (body.archetypes as unknown[]) : []
  ).flatMap((one) => {
    const parsed = archetypeSchema.safeParse(one);
    return parsed.success && !catalogue.archetypes[parsed.data.id] ? [parsed.data] : [];
  });
  const known: Catalogue = {
    ...catalogue,
    archetypes: { ...Object.fromEntries(brought.map((one) => [one.id, one])), ...catalogue.archetypes },
  };
  const about = aboutSchema.safeParse('about' in body ? body.about : {});
  return {
    ok: true,
    about: about.success ? about.data : {},
    archetypes: brought,
    rows: checkRows(
      body.sheets.map((sheet, i) => ({ line: i + 1, value: sheet })),
      known,
      isOwn,
    ),
  };
}

type CsvRow = { readonly line: number; readonly cells: readonly string[]; readonly broken: boolean };

/** The rows of a CSV that hold anything, each with the line it begins on. */
function csvRows(text: string): CsvRow[] {
  const rows: CsvRow[] = [];
  let from = 0;
  let line = 1;
  Papa.parse<string[]>(text, {
    step({ data, meta, errors }) {
      if (data.some((cell) => cell.trim() !== ''))
        rows.push({ line, cells: data, broken: errors.some((error) => error.type === 'Quotes') });
      line += text.slice(from, meta.cursor).split('\n').length - 1;
      from = meta.cursor;
    },
  });
  return rows;
}

function readCsv(text: string, catalogue: Catalogue, isOwn: (id: string) => boolean): ReadFile {
  const [head, ...body] = csvRows(text);
  const heads = head?.cells.map((cell) => cell.trim()) ?? [];
  const lacking = (['name', 'kind', 'archetype'] as const).filter((one) => !heads.includes(one));
  if (lacking.length)
    return { ok: false, words: `The first line must name the columns; missing: ${lacking.join(', ')}.` };
  const twice = heads.find((one, i) => one !== '' && heads.indexOf(one) !== i);
  if (twice) return { ok: false, words: `The column ${twice} stands twice in the first line.` };
  if (body.length > MOST_ROWS) return { ok: false, words: `The file has ${body.length} rows; at most ${MOST_ROWS}.` };
  const rows = body.map(({ line, cells, broken }): Raw => {
    const named = Object.fromEntries(heads.map((one, i) => [one, cells[i]]));
    if (broken) return { line, name: named.name ?? '', words: 'a quotation mark is opened and not closed' };
    if (cells.slice(heads.length).some((cell) => cell.trim() !== ''))
      return { line, name: named.name ?? '', words: `${cells.length} cells, and the first line names ${heads.length}` };
    return { line, ...fromCells(named) };
  });
  return { ok: true, about: {}, archetypes: [], rows: checkRows(rows, catalogue, isOwn) };
}

type Raw = { readonly line: number; readonly value?: unknown; readonly words?: string; readonly name?: string };

/** The cells of one row as a sheet, or what is wrong in them. */
function fromCells(cells: Readonly<Record<string, string | undefined>>): Omit<Raw, 'line'> {
  const cell = (head: string) => asWritten(cells[head]?.trim() ?? '');
  const name = cell('name');
  const kind = PART_KINDS.find((one) => one === cell('kind'));
  if (!kind) return { name, words: `kind “${cell('kind')}” is none of ${PART_KINDS.join(', ')}` };
  // What a column of another kind, or a misspelt one, holds would be lost without a word.
  const known = new Set<string>([...HEAD, REST, ...fieldsOf(kind).map((field) => field.name)]);
  const stray = Object.keys(cells).find((head) => !known.has(head) && cell(head) !== '');
  if (stray !== undefined) return { name, words: `column “${stray}” is no field of a ${kind}` };
  let value: Record<string, unknown> = {};
  if (cell(REST)) {
    try {
      value = JSON.parse(cell(REST)) as Record<string, unknown>;
    } catch {
      return { name, words: `column ${REST} is not JSON` };
    }
  }
  for (const field of fieldsOf(kind)) {
    const read = readField(field, cell(field.name));
    if (!read.ok) return { name, words: read.words };
    if (read.value !== undefined) value[field.name] = read.value;
  }
  const read = cell('price') === '' ? null : readNumber(cell('price'), { dotIsDecimal: true });
  if (read && !read.ok) return { name, words: `price ${read.words}` };
  const price = read?.value;
  const currency = cell('currency') || 'EUR';
  if (!/^[A-Z]{3}$/.test(currency)) return { name, words: `currency “${currency}” is no ISO 4217 code` };
  return {
    name,
    value: {
      ...value,
      id: cell('id') || undefined,
      kind,
      name,
      rev: Number(cell('rev')) || 1,
      archetype: cell('archetype'),
      ...(cell('maker') ? { maker: cell('maker') } : {}),
      ...(cell('family') ? { family: cell('family') } : {}),
      ...(price === undefined ? {} : { price: { minor: Math.round(price * minorPerMajor(currency)), currency } }),
    },
  };
}

function checkRows(rows: readonly Raw[], catalogue: Catalogue, isOwn: (id: string) => boolean): FileRow[] {
  const seen = new Set<string>();
  const brought = new Set(rows.map(({ value }) => (value as { id?: unknown } | null | undefined)?.id));
  return rows.map(({ line, value, words, name }): FileRow => {
    const bad = (why: string): FileRow => ({
      line,
      ok: false,
      name: name ?? String((value as { name?: unknown } | null)?.name ?? '').slice(0, 80),
      words: why,
    });
    if (words) return bad(words);
    const large = countPart(value);
    if (large) return bad(large.words.toLowerCase());
    const given = value as { id?: unknown; name?: unknown } | null;
    const id = given?.id ?? (typeof given?.name === 'string' ? ownSheetId(given.name, () => false) : undefined);
    const parsed = sheetSchema.safeParse(typeof given === 'object' && given !== null ? { ...given, id } : value);
    if (!parsed.success)
      return bad(
        parsed.error.issues
          .slice(0, 3)
          .map((issue) => `${issue.path.join('.') || 'the row'}: ${issue.message.toLowerCase()}`)
          .join('; '),
      );
    const sheet = parsed.data;
    const archetype = catalogue.archetypes[sheet.archetype];
    if (!archetype) return bad(`there is no archetype ${sheet.archetype}`);
    if (archetype.kind !== sheet.kind)
      return bad(`${sheet.archetype} is an archetype of a ${archetype.kind}, the row is a ${sheet.kind}`);
    if (isClassSheet(sheet.id)) return bad(`${sheet.id} is how a class is called: take another id`);
    const missing = containedIn(sheet).find((inner) => !catalogue.sheets[inner] && !brought.has(inner));
    if (missing) return bad(`it contains ${missing}, which is neither here nor in the file`);
    if (seen.has(sheet.id)) return bad(`the id ${sheet.id} stands twice in the file`);
    seen.add(sheet.id);
    const had = catalogue.sheets[sheet.id];
    if (had && !isOwn(sheet.id))
      return same(had, sheet)
        ? { line, ok: true, sheet, what: 'same' }
        : bad(`${sheet.id} is a part of the catalogue: take another id`);
    const fault = checkSheet(sheet, archetype)[0];
    if (fault) return bad(fault.words);
    return { line, ok: true, sheet, what: !had ? 'new' : whatOf(had, sheet) };
  });
}

const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, one]) => [key, sorted(one)]),
        )
      : value;
/** Which revision it is, and which file it came with, are no facts of a part. */
const factsOf = ({ rev: _rev, parcel: _parcel, ...facts }: Sheet) => JSON.stringify(sorted(facts));
const same = (a: Sheet, b: Sheet) => factsOf(a) === factsOf(b);
const whatOf = (had: Sheet, sheet: Sheet): 'newer' | 'differs' | 'same' =>
  same(had, sheet) ? 'same' : sheet.rev > had.rev ? 'newer' : 'differs';

/**
 * Sheets as JSON with the archetypes they stand on, so that the file opens elsewhere. Which file they once came with is
 * their owner's own business.
 */
export function writePartsJson(
  sheets: readonly Sheet[],
  archetypes: Readonly<Record<string, Archetype>>,
  about: AboutFile = {},
): string {
  const used = [...new Set(sheets.map((sheet) => sheet.archetype as string))].flatMap((id) => archetypes[id] ?? []);
  const given = sheets.map(({ parcel: _parcel, ...sheet }) => sheet);
  const head = Object.keys(about).length > 0 ? { about } : {};
  return `${JSON.stringify({ format: CATALOGUE_FORMAT, ...head, sheets: given, archetypes: used }, null, 1)}\n`;
}

/** Sheets of one kind as CSV (RFC 4180): one row a part, an empty cell for what is typical. */
export function writePartsCsv(kind: PartKind, sheets: readonly Sheet[]): string {
  const fields = fieldsOf(kind).filter((field) => field.type !== 'list');
  const rows = sheets
    .filter((sheet) => sheet.kind === kind)
    .map((sheet) => {
      const values = sheet as unknown as Readonly<Record<string, unknown>>;
      const own = new Set<string>([...HEAD, ...fields.map((field) => field.name)]);
      const rest = Object.fromEntries(
        Object.entries(values).filter(([name, value]) => !own.has(name) && value !== undefined),
      );
      return [
        sheet.id,
        kind,
        sheet.name,
        sheet.maker ?? '',
        sheet.family ?? '',
        sheet.archetype,
        sheet.rev,
        sheet.price ? sheet.price.minor / minorPerMajor(sheet.price.currency) : '',
        sheet.price?.currency ?? '',
        ...fields.map((field) => written(field, values[field.name])),
        Object.keys(rest).length ? JSON.stringify(rest) : '',
      ];
    });
  return (
    Papa.unparse(
      { fields: [...HEAD, ...fields.map((field) => field.name), REST], data: rows.map((row) => row.map(harmless)) },
      { newline: '\r\n', escapeFormulae: false },
    ) + `\r\n`
  );
}

/**
 * A text that a spreadsheet would take for a formula gets an apostrophe before it, as does one that begins with such a
 * pair; reading takes it off.
 */
const harmless = <T extends string | number>(cell: T): T | string =>
  typeof cell === 'string' && /^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
const asWritten = (cell: string): string => (/^''*[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

function written(field: Field, value: unknown): string | number {
  if (value === undefined) return '';
  if (value === null) return 'none';
  return field.type === 'yesNo' ? (value ? 'yes' : 'no') : (value as string | number);
}
