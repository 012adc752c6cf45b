import { archetypeSchema, buildJsonSchema, sheetSchema, stockEntrySchema } from '@inch-tower/core';
import { z } from 'zod';
import { sessionSchema } from './doors/sessions';
import { revisionNameSchema } from './routes/builds';
import { importSchema, savedSheetSchema } from './routes/parts';
import { stockBatchSchema } from './routes/stock';

type Json = Readonly<Record<string, unknown>>;
type Answer = readonly [status: number, words: string, schema?: Json];
type Operation = {
  readonly words: string;
  readonly body?: Json;
  readonly ifMatch?: boolean;
  readonly answers: readonly Answer[];
};

const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const listOf = (of: Json): Json => ({ type: 'array', items: of });
const object = (properties: Json): Json => ({ type: 'object', required: Object.keys(properties), properties });
const mapOf = (of: Json): Json => ({ type: 'object', additionalProperties: of });
const text: Json = { type: 'string' };
const count: Json = { type: 'integer' };

const refused: Answer = [422, 'The body is refused; nothing was saved', ref('Problem')];
const missing: Answer = [404, 'There is nothing at this address', ref('Problem')];
const stale: Answer = [412, 'Saved elsewhere meanwhile; the answer holds the other version', ref('Problem')];

const badQuery: Answer = [400, 'The query is refused', ref('Problem')];
const busy: Answer = [503, 'Too many are being worked out; Retry-After says when to ask again', ref('Problem')];

/** Every address of the API with what it takes and gives; a test holds it against the routes there are. */
export const PATHS: Readonly<Record<string, Readonly<Record<string, Operation>>>> = {
  '/health': {
    get: {
      words: 'Whether the database answers',
      answers: [
        [200, 'It does', object({ status: { const: 'ok' } })],
        [503, 'It does not', ref('Problem')],
      ],
    },
  },
  '/session': {
    get: {
      words: 'Whether a key is wanted, and what the one in use lets do',
      answers: [
        [
          200,
          'It says',
          object({
            keyWanted: { type: 'boolean' },
            role: { enum: ['full', 'read', null] },
            overPlainHttp: { type: 'boolean' },
          }),
        ],
      ],
    },
    post: {
      words: 'Open a session with a key: sets a cookie',
      body: ref('SessionToOpen'),
      answers: [
        [201, 'Opened', object({ role: { enum: ['full', 'read'] } })],
        [401, 'No such key', ref('Problem')],
        [429, 'Too many tries', ref('Problem')],
      ],
    },
    delete: { words: 'Close the session', answers: [[204, 'Done']] },
  },
  '/openapi.json': { get: { words: 'This description', answers: [[200, 'OpenAPI 3.1', { type: 'object' }]] } },
  '/parts': {
    get: {
      words: 'The catalogue: sheets, archetypes, and which of them are own',
      answers: [
        [
          200,
          'The catalogue',
          object({
            sheets: mapOf(ref('Sheet')),
            archetypes: mapOf(ref('Archetype')),
            own: listOf(text),
            unreadable: listOf(object({ id: text, words: text })),
          }),
        ],
        [304, 'As it was, by If-None-Match'],
      ],
    },
    post: {
      words: 'Take in own sheets, all or none',
      body: ref('PartsToTakeIn'),
      answers: [
        [201, 'Taken in', object({ taken: count })],
        [409, 'One of them came with the catalogue', ref('Problem')],
        refused,
      ],
    },
  },
  '/parts/{id}': {
    put: {
      words: 'Save an own sheet over the revision it was made on',
      body: ref('SheetToSave'),
      answers: [
        [200, 'Saved, with its new revision', ref('Sheet')],
        [409, 'It came with the catalogue, or the address is another’s', ref('Problem')],
        stale,
        refused,
      ],
    },
    delete: {
      words: 'Take an own sheet out',
      answers: [
        [204, 'Done'],
        missing,
        [409, 'It came with the catalogue, is in stock, or is part of another', ref('Problem')],
      ],
    },
  },
  '/stock': {
    get: {
      words: 'Parts owned, and which builds claim them',
      answers: [
        [
          200,
          'Stock',
          object({
            stock: listOf(object({ entry: ref('StockEntry'), etag: text })),
            claims: listOf(object({ stock: text, build: text, name: text, units: count })),
          }),
        ],
      ],
    },
    post: {
      words: 'Take in entries with their sheets, all or none',
      body: ref('StockToTakeIn'),
      answers: [
        [201, 'Taken in', object({ taken: count })],
        [409, 'A sheet came with the catalogue', ref('Problem')],
        refused,
      ],
    },
  },
  '/stock/{id}': {
    put: {
      words: 'Save an entry over the version in If-Match; none for a new one',
      body: ref('StockEntry'),
      ifMatch: true,
      answers: [[200, 'Saved', ref('StockEntry')], [409, 'The address is another’s', ref('Problem')], stale, refused],
    },
    delete: {
      words: 'Take the version in If-Match out of stock; * is any',
      ifMatch: true,
      answers: [[204, 'Done'], missing, stale, [428, 'If-Match is wanted', ref('Problem')]],
    },
  },
  '/builds': {
    get: {
      words: 'Builds by name, a page of cards: ?search=, ?from= (0), ?limit= (60, at most 200)',
      answers: [
        [
          200,
          'The cards; card is null until it was worked out',
          object({
            total: count,
            builds: listOf(
              object({
                id: text,
                name: text,
                etag: text,
                updated: { type: 'string', format: 'date-time' },
                card: { type: ['object', 'null'] },
              }),
            ),
          }),
        ],
        badQuery,
      ],
    },
    post: {
      words: 'A new build',
      body: ref('Build'),
      answers: [
        [201, 'Made', ref('Build')],
        [409, 'The id is in use', ref('Problem')],
        [413, 'Over a limit', ref('Problem')],
        refused,
      ],
    },
  },
  '/builds/{id}': {
    get: { words: 'One build, with its ETag', answers: [[200, 'The build', ref('Build')], missing] },
    put: {
      words: 'Save over the version in If-Match',
      body: ref('Build'),
      ifMatch: true,
      answers: [
        [200, 'Saved, with its new ETag', ref('Build')],
        missing,
        [409, 'The address is another’s', ref('Problem')],
        stale,
        [413, 'Over a limit', ref('Problem')],
        refused,
        [428, 'If-Match is wanted', ref('Problem')],
      ],
    },
    delete: {
      words: 'Delete the version in If-Match, with its revisions; * is any',
      ifMatch: true,
      answers: [[204, 'Done'], missing, stale, [428, 'If-Match is wanted', ref('Problem')]],
    },
  },
  '/builds/{id}/revisions': {
    get: {
      words:
        'Versions saved, newest first, a page of them: ?before= (as the last page gave it), ?limit= (100, at most 500)',
      answers: [
        [
          200,
          'Revisions; before is there where more are',
          {
            ...object({
              revisions: listOf({ ...object({ etag: text, saved: { type: 'string', format: 'date-time' } }) }),
            }),
          },
        ],
        badQuery,
        missing,
      ],
    },
  },
  '/builds/{id}/revisions/{etag}': {
    get: { words: 'A version as it was saved', answers: [[200, 'The build as it was', ref('Build')], missing] },
  },
  '/builds/{id}/revisions/{etag}/name': {
    put: {
      words: 'Name a version, so that it is never thinned out; null takes the name away',
      body: ref('RevisionName'),
      answers: [[204, 'Done'], missing, refused],
    },
  },
  '/builds/{id}/assessment': {
    get: {
      words: 'Figures, snags and needs, computed now',
      answers: [[200, 'The assessment', { type: 'object' }], missing, busy],
    },
  },
  '/builds/{id}/bill': { get: { words: 'The bill as CSV', answers: [[200, 'text/csv (RFC 4180)'], missing, busy] } },
  '/builds/{id}/drawing': {
    get: { words: 'The drawing as SVG, to scale in millimetres', answers: [[200, 'image/svg+xml'], missing, busy] },
  },
};

/** The API as OpenAPI 3.1, its schemas made from those every body is checked with. */
export function openApi(): Json {
  const shared = new Map<string, unknown>();
  const schema = (one: z.ZodType): Json => lifted(z.toJSONSchema(one, { target: 'draft-2020-12', io: 'input' }));
  const lifted = ({ $schema: _schema, $id: _id, ...rest }: Record<string, unknown>): Json => rest;
  const component = (name: string, value: Json) => shared.set(name, hoist(value, name));
  /** Definitions inside a schema become components beside it. */
  const hoist = (value: Json, name: string): Json => {
    const { $defs, ...rest } = value as { $defs?: Readonly<Record<string, Json>> };
    const renamed = (inner: unknown): unknown =>
      JSON.parse(JSON.stringify(inner).replaceAll('"#/$defs/', `"#/components/schemas/${name}.`)) as unknown;
    for (const [key, inner] of Object.entries($defs ?? {})) shared.set(`${name}.${key}`, renamed(inner));
    return renamed(rest) as Json;
  };
  component('Build', lifted(buildJsonSchema()));
  component('Sheet', schema(sheetSchema));
  component('Archetype', schema(archetypeSchema));
  component('StockEntry', schema(stockEntrySchema));
  component('SheetToSave', schema(savedSheetSchema));
  component('PartsToTakeIn', schema(importSchema));
  component('StockToTakeIn', schema(stockBatchSchema));
  component('SessionToOpen', schema(sessionSchema));
  component('RevisionName', schema(revisionNameSchema));
  component('Problem', {
    ...object({ type: text, title: text, status: count, detail: text, code: text }),
    description: 'RFC 9457; code says what happened, detail what was kept and what to do',
  });
  return {
    openapi: '3.1.0',
    info: {
      title: 'Inch Tower',
      version: '1',
      description:
        'Keeps parts, stock and builds. Errors are application/problem+json (RFC 9457); versions are ETags (RFC 9110).',
    },
    servers: [{ url: '/api' }],
    paths: Object.fromEntries(
      Object.entries(PATHS).map(([path, operations]) => [
        path,
        {
          ...(path.includes('{')
            ? {
                parameters: [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
                  name,
                  in: 'path',
                  required: true,
                  schema: text,
                })),
              }
            : {}),
          ...Object.fromEntries(
            Object.entries(operations).map(([method, operation]) => [method, operationOf(operation)]),
          ),
        },
      ]),
    ),
    components: { schemas: Object.fromEntries(shared) },
  };
}

function operationOf({ words, body, ifMatch, answers }: Operation): Json {
  return {
    summary: words,
    ...(ifMatch
      ? {
          parameters: [
            {
              name: 'If-Match',
              in: 'header',
              required: false,
              schema: text,
              description: 'The quoted ETag of the version the body was made on',
            },
          ],
        }
      : {}),
    ...(body ? { requestBody: { required: true, content: { 'application/json': { schema: body } } } } : {}),
    responses: Object.fromEntries(
      answers.map(([status, description, schema]) => [
        String(status),
        {
          description,
          ...(schema
            ? { content: { [status >= 400 ? 'application/problem+json' : 'application/json']: { schema } } }
            : description.startsWith('text/csv')
              ? { content: { 'text/csv': { schema: text } } }
              : description.startsWith('image/svg')
                ? { content: { 'image/svg+xml': { schema: text } } }
                : {}),
        },
      ]),
    ),
  };
}
