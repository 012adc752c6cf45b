import type { z } from 'zod';
import { checkSheet } from '../parts/checkSheet';
import { archetypeSchema, sheetSchema } from '../parts/sheet';
import { buildSchema, itemSchema, type Build } from './build';
import { countPart, countText, countValue } from '../parts/counted';
import { FORMAT, formatOf, upgradeBuild, type Raw } from './upgrades/upgrade';
import { LIMITS } from '../parts/limits';
import { issueWords, parseList, parseOne, parseRecord, type Issue, type Pieces } from './piecewise';

export type Refused = {
  readonly ok: false;
  readonly code: 'notJson' | 'otherFormat' | 'overLimit' | 'notABuild';
  readonly words: string;
  readonly at: readonly string[];
};
export type Parsed = { readonly ok: true; readonly build: Build } | Refused;

function refuseFormat(said: unknown, format: number | null): Refused {
  const reads = `Inch Tower reads formats 1 to ${FORMAT}.`;
  if (said === undefined) return refuse('otherFormat', `This is not a build file: it says no format. ${reads}`);
  if (format === null)
    return refuse('otherFormat', `There is no format ${JSON.stringify(said)?.slice(0, 40)}. ${reads}`);
  return refuse('otherFormat', `This file is of format ${format}, from a later Inch Tower. ${reads}`);
}
const refuse = (code: Refused['code'], words: string, at: readonly string[] = []): Refused => ({
  ok: false,
  code,
  words,
  at,
});

/** Reads the text of a build file: the build, or a refusal that says what is wrong and where. */
export function parseBuildText(textOfFile: string): Parsed {
  if (textOfFile.length > LIMITS.bodyBytes)
    return refuse(
      'overLimit',
      `The file is larger than ${LIMITS.bodyBytes / 1024 / 1024} MB, the most a build may be.`,
    );
  const passed = countText(textOfFile);
  if (passed) return refuse('overLimit', passed.words);
  let value: unknown;
  try {
    value = JSON.parse(textOfFile);
  } catch (error) {
    return refuse(
      'notJson',
      `This is not a build file: it is not JSON (${error instanceof Error ? error.message : 'unreadable'}).`,
    );
  }
  return parseBuild(value);
}

/** Sheets and archetypes judged before, by their text: from save to save nearly all are the same. */
export type JudgedParts = Map<string, unknown>;
const MOST_JUDGED = 5_000;

/**
 * Brings a build of any earlier format to the newest and checks it, its limits and its inner references: the one door
 * for files, the database, the browser's storage and the command line. Parts found in `judged` are not judged again.
 */
export function parseBuild(value: unknown, judged: JudgedParts | null = null): Parsed {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return refuse('notABuild', 'This is not a build file: a build is one JSON object.');
  const over = limitPassed(value as Record<string, unknown>);
  const format = formatOf(value as Raw);
  if (format === null || format > FORMAT) return refuseFormat((value as Raw).format, format);
  if (over) return over;
  const newest = upgradeBuild(value as Raw, format);
  const parsed = parsePieces(newest, judged);
  if (!parsed.ok)
    return refuse(
      'notABuild',
      `This is not a valid build. ${issueWords(parsed.issues, 'the document')}`,
      parsed.issues.slice(0, 20).map((issue) => issue.path.map(String).join('.')),
    );
  return brokenReference(parsed.value) ?? { ok: true, build: parsed.value };
}

/**
 * Section by section and part by part, in the schema's order: the same answer as the whole schema, without its work on
 * a document that is all wrong.
 */
function parsePieces(value: Record<string, unknown>, judged: JudgedParts | null): Pieces<Build> {
  const { shape } = buildSchema;
  const pieces: Record<string, unknown> = {};
  const issues: Issue[] = Object.keys(value)
    .filter((key) => !Object.hasOwn(shape, key))
    .slice(0, 5)
    .map((key) => ({ path: [key.slice(0, 100)], message: 'is no field of a build' }));
  for (const key of Object.keys(shape) as (keyof typeof shape)[]) {
    const path = [key];
    const parsed: Pieces<unknown> =
      key === 'items'
        ? parseList(itemSchema, value.items, path)
        : key === 'sheets'
          ? parseParts(sheetSchema, value.sheets, path, judged)
          : key === 'archetypes'
            ? parseParts(archetypeSchema, value.archetypes, path, judged)
            : parseOne<unknown>(shape[key], value[key], path);
    if (parsed.ok) pieces[key] = parsed.value;
    else issues.push(...parsed.issues);
  }
  return issues.length ? { ok: false, issues } : { ok: true, value: pieces as Build };
}

function parseParts<T>(
  schema: z.ZodType<T>,
  value: unknown,
  path: readonly string[],
  judged: JudgedParts | null,
): Pieces<Readonly<Record<string, T>>> {
  if (!judged || typeof value !== 'object' || value === null || Array.isArray(value))
    return parseRecord(schema, value, path);
  const texts = Object.entries(value).map(([id, part]) => [id, `${path[0]} ${JSON.stringify(part)}`] as const);
  const fresh = Object.fromEntries(
    texts.flatMap(([id, text]) => (judged.has(text) ? [] : [[id, (value as Record<string, unknown>)[id]] as const])),
  );
  const parsed = parseRecord(schema, fresh, path);
  if (!parsed.ok) return parsed;
  if (judged.size > MOST_JUDGED) judged.clear();
  for (const [id, text] of texts) if (Object.hasOwn(parsed.value, id)) judged.set(text, parsed.value[id]);
  // A part that was cleared away a moment ago is judged by itself.
  return {
    ok: true,
    value: Object.fromEntries(
      texts.map(([id, text]) => [id, (judged.get(text) ?? schema.parse((value as Record<string, unknown>)[id])) as T]),
    ),
  };
}

/** Counted before the schema runs, so that a huge file is refused fast and by its limit. */
function limitPassed(value: Record<string, unknown>): Refused | null {
  if (typeof value.name === 'string' && value.name.length > LIMITS.nameCharacters)
    return refuse('overLimit', `The name has ${value.name.length} characters; at most ${LIMITS.nameCharacters}.`, [
      'name',
    ]);
  if (typeof value.notes === 'string' && value.notes.length > LIMITS.notesCharacters)
    return refuse('overLimit', `The notes have ${value.notes.length} characters; at most ${LIMITS.notesCharacters}.`, [
      'notes',
    ]);
  const uncounted = countValue(value);
  if (uncounted) return refuse('overLimit', uncounted.words, uncounted.at);
  for (const section of ['sheets', 'archetypes'] as const) {
    for (const [id, part] of Object.entries(value[section] ?? {})) {
      const large = countPart(part);
      if (large) return refuse('overLimit', large.words, [`${section}.${id}`]);
    }
  }
  const items = Array.isArray(value.items) ? (value.items as { units?: unknown; sheet?: unknown }[]) : [];
  const sheets = (typeof value.sheets === 'object' && value.sheets !== null ? value.sheets : {}) as Record<
    string,
    { kind?: unknown } | undefined
  >;
  const counted = (kind?: string) =>
    items.reduce(
      (sum, item) =>
        sum +
        (Array.isArray(item?.units) && (!kind || sheets[String(item.sheet)]?.kind === kind) ? item.units.length : 0),
      0,
    );
  const most = [
    ['units', counted(), LIMITS.units],
    ['drives', counted('drive'), LIMITS.drives],
    ['boxes', counted('chassis') + counted('enclosure'), LIMITS.boxes],
  ] as const;
  const passed = most.find(([, have, limit]) => have > limit);
  return passed
    ? refuse('overLimit', `The build has ${passed[1]} ${passed[0]}; at most ${passed[2]}.`, ['items'])
    : null;
}

function brokenReference(build: Build): Refused | null {
  const seen = new Set<string>();
  for (const item of build.items) {
    const sheet = build.sheets[item.sheet];
    if (!sheet)
      return refuse('notABuild', `Item ${item.id} names the sheet ${item.sheet}, which the file does not carry.`, [
        'items',
        item.id,
      ]);
    for (const id of [item.id, ...item.units.map((unit) => unit.id)]) {
      if (seen.has(id)) return refuse('notABuild', `The id ${id} stands twice in the file.`, ['items', id]);
      seen.add(id);
    }
  }
  for (const [id, sheet] of Object.entries(build.sheets)) {
    if (sheet.id !== id)
      return refuse('notABuild', `The sheet filed as ${id} calls itself ${sheet.id}.`, ['sheets', id]);
    const archetype = build.archetypes[sheet.archetype];
    if (!archetype)
      return refuse('notABuild', `Sheet ${id} names the archetype ${sheet.archetype}, which the file does not carry.`, [
        'sheets',
        id,
      ]);
    if (archetype.kind !== sheet.kind)
      return refuse('notABuild', `Sheet ${id} is a ${sheet.kind} but its archetype is a ${archetype.kind}.`, [
        'sheets',
        id,
      ]);
    const missing = [
      ...(sheet.builtIn ?? archetype.builtIn ?? []),
      ...(sheet.inTheBox ?? archetype.inTheBox ?? []),
    ].find((inner) => !build.sheets[inner.sheet]);
    if (missing)
      return refuse('notABuild', `Sheet ${id} contains ${missing.sheet}, which the file does not carry.`, [
        'sheets',
        id,
      ]);
    const wrong = checkSheet(sheet, archetype)[0];
    if (wrong) return refuse('notABuild', `Sheet ${id}: ${wrong.words}`, ['sheets', id, wrong.field]);
  }
  return null;
}
