import type { z } from 'zod';

/** A fault of a schema with its path from the document's root. */
export type Issue = { readonly path: readonly PropertyKey[]; readonly message: string };
export type Pieces<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

/** So many faults are told; a document with more is not looked through to its end. */
const MOST_ISSUES = 50;

function issuesOf(path: readonly PropertyKey[], error: z.ZodError): Issue[] {
  return error.issues
    .slice(0, MOST_ISSUES)
    .map((issue) => ({ path: [...path, ...issue.path], message: issue.message }));
}

/**
 * Entries of a list or record one by one, up to the first few that are wrong: a million wrong ones cost as much as a
 * few.
 */
function parseEntries<T>(
  schema: z.ZodType<T>,
  entries: readonly (readonly [PropertyKey, unknown])[],
  path: readonly PropertyKey[],
): Pieces<readonly (readonly [PropertyKey, T])[]> {
  const issues: Issue[] = [];
  const parsed: (readonly [PropertyKey, T])[] = [];
  for (const [key, entry] of entries) {
    const one = schema.safeParse(entry);
    if (one.success) parsed.push([key, one.data]);
    else issues.push(...issuesOf([...path, key], one.error));
    if (issues.length >= MOST_ISSUES) break;
  }
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed };
}

export function parseList<T>(
  schema: z.ZodType<T>,
  value: unknown,
  path: readonly PropertyKey[],
  least = 0,
  most = Infinity,
): Pieces<readonly T[]> {
  if (!Array.isArray(value)) return { ok: false, issues: [{ path, message: 'expected a list' }] };
  if (value.length < least || value.length > most)
    return { ok: false, issues: [{ path, message: `has ${value.length} entries; ${least} to ${most} are taken` }] };
  const parsed = parseEntries(
    schema,
    value.map((entry, i) => [i, entry] as const),
    path,
  );
  return parsed.ok ? { ok: true, value: parsed.value.map(([, entry]) => entry) } : parsed;
}

export function parseRecord<T>(
  schema: z.ZodType<T>,
  value: unknown,
  path: readonly PropertyKey[],
): Pieces<Readonly<Record<string, T>>> {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { ok: false, issues: [{ path, message: 'expected a record' }] };
  const parsed = parseEntries(schema, Object.entries(value), path);
  return parsed.ok ? { ok: true, value: Object.fromEntries(parsed.value) } : parsed;
}

/** Any one value by its schema, with its faults under its path. */
export function parseOne<T>(schema: z.ZodType<T>, value: unknown, path: readonly PropertyKey[]): Pieces<T> {
  const parsed = schema.safeParse(value);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(path, parsed.error) };
}

/** The first few faults in one sentence each. */
export function issueWords(issues: readonly Issue[], what: string): string {
  const shown = issues.slice(0, 3).map((issue) => `${issue.path.map(String).join('.') || what}: ${issue.message}`);
  return (
    `${shown.join('; ')}` +
    `${issues.length > 3 ? `; and ${issues.length >= MOST_ISSUES ? 'many' : issues.length - 3} more` : ''}` +
    '.'
  );
}
