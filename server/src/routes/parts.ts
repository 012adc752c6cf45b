import { Router, type Request, type Response } from 'express';
import {
  archetypeSchema,
  checkSheet,
  containedIn,
  countPart,
  isClassSheet,
  issueWords,
  parseList,
  sheetSchema,
  type Archetype,
  type Catalogue,
  type Issue,
  type Pieces,
  type Sheet,
} from '@inch-tower/core';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { z } from 'zod';
import type { Store } from '../database/store';
import { quoted } from '../etags';
import { sendProblem } from '../problem';

const MOST_AT_ONCE = 5000;
const MOST_ARCHETYPES = 500;
export const savedSheetSchema = z.strictObject({
  sheet: sheetSchema,
  /** The revision it was made on; 0 for a new sheet. */ madeOn: z.int().min(0),
});
/** What `parseImport` takes, as the API's description shows it. */
export const importSchema = z.strictObject({
  sheets: z.array(sheetSchema).min(1).max(MOST_AT_ONCE),
  archetypes: z.array(archetypeSchema).max(MOST_ARCHETYPES).default([]),
});

export const refuseBody = (response: Response, issues: readonly Issue[], what: string) =>
  sendProblem(response, {
    status: 422,
    title: `${what} refused`,
    code: 'notValid',
    detail: `${issueWords(issues, 'the body')} Nothing was saved.`,
    at: issues.slice(0, 20).map((issue) => issue.path.map(String).join('.')),
  });
export const tooLarge = (response: Response, words: string) =>
  sendProblem(response, {
    status: 413,
    title: 'Over a limit',
    code: 'overLimit',
    detail: `${words} Nothing was saved.`,
  });
export const refuseParts = (response: Response, words: string, what: string) =>
  sendProblem(response, {
    status: 422,
    title: `${what} refused`,
    code: 'notValid',
    detail: `${words} Nothing was saved.`,
  });

/** A list of sheets with their archetypes, one by one: a list that is all wrong costs as much as a few. */
export function parseImport(
  body: unknown,
  least = 1,
  most = MOST_AT_ONCE,
): Pieces<{ readonly sheets: readonly Sheet[]; readonly archetypes: readonly Archetype[] }> {
  const given = (typeof body === 'object' && body !== null ? body : {}) as {
    readonly sheets?: unknown;
    readonly archetypes?: unknown;
  };
  const { sheets: rawSheets, archetypes: rawArchetypes = [], ...rest } = given;
  for (const [path, list] of [
    ['sheets', rawSheets],
    ['archetypes', rawArchetypes],
  ] as const) {
    const large = Array.isArray(list) ? list.map((one) => countPart(one)).find((one) => one !== null) : null;
    if (large) return { ok: false, issues: [{ path: [path], message: large.words }] };
  }
  const extra = Object.keys(rest)[0];
  if (extra !== undefined)
    return { ok: false, issues: [{ path: [extra.slice(0, 100)], message: 'is not taken here' }] };
  const sheets = parseList(sheetSchema, rawSheets, ['sheets'], least, most);
  if (!sheets.ok) return sheets;
  const archetypes = parseList(archetypeSchema, rawArchetypes, ['archetypes'], 0, MOST_ARCHETYPES);
  return archetypes.ok ? { ok: true, value: { sheets: sheets.value, archetypes: archetypes.value } } : archetypes;
}

/** What no schema shows: archetypes that are not there or of another kind, features larger than their shell. */
export function faultsOf(
  { archetypes, sheets: here }: Catalogue,
  sheets: readonly Sheet[],
  brought: readonly Archetype[],
): string | null {
  const there = new Set([...Object.keys(here), ...sheets.map((sheet) => sheet.id as string)]);
  const known = { ...Object.fromEntries(brought.map((one) => [one.id as string, one])), ...archetypes };
  for (const sheet of sheets) {
    const archetype = known[sheet.archetype];
    if (!archetype) return `${sheet.id} names the archetype ${sheet.archetype}, which is not here.`;
    if (archetype.kind !== sheet.kind) return `${sheet.id} is a ${sheet.kind}, its archetype a ${archetype.kind}.`;
    if (isClassSheet(sheet.id)) return `${sheet.id} is how a class is called; take another id.`;
    const missing = containedIn(sheet).find((inner) => !there.has(inner));
    if (missing) return `${sheet.id} contains ${missing}, which is not here.`;
    const fault = checkSheet(sheet, archetype)[0];
    if (fault) return `${sheet.id}: ${fault.words}`;
  }
  return null;
}

/** The catalogue, and sheets of a builder's own. */
export function partRoutes(store: Store): Router {
  const router = Router();
  const body = createCatalogueBody(store);

  router.get('/', async (request, response) => {
    const stamp = await store.partsStamp();
    response.set({ etag: quoted(`parts-${stamp}`), 'cache-control': 'private, no-cache', vary: 'accept-encoding' });
    if (request.get('if-none-match')?.includes(quoted(`parts-${stamp}`))) return void response.status(304).end();
    sendBody(request, response, await body(stamp));
  });

  router.post('/', async (request, response) => {
    const parsed = parseImport(request.body);
    if (!parsed.ok) return refuseBody(response, parsed.issues, 'Parts');
    const { sheets, archetypes } = parsed.value;
    const taken = await store.importSheets(sheets, archetypes, (here) => faultsOf(here, sheets, archetypes));
    if (taken.ok) return void response.status(201).json({ taken: sheets.length });
    if (taken.why === 'fault') return refuseParts(response, taken.words, 'Parts');
    shipped(response, taken.ids.join(', '));
  });

  router.put('/:id', async (request, response) => {
    const large = countPart((request.body as { sheet?: unknown } | undefined)?.sheet);
    if (large) return tooLarge(response, large.words);
    const parsed = savedSheetSchema.safeParse(request.body);
    if (!parsed.success) return refuseBody(response, parsed.error.issues, 'Sheet');
    const { sheet, madeOn } = parsed.data;
    if (sheet.id !== request.params.id)
      return sendProblem(response, {
        status: 409,
        title: 'Another sheet',
        code: 'otherId',
        detail: `The body is the sheet ${sheet.id}, the address says ${request.params.id}. Nothing was saved.`,
      });
    const saved = await store.saveSheet(sheet, madeOn, (here) => faultsOf(here, [sheet], []));
    if (saved.ok) return void response.json(saved.sheet);
    if (saved.why === 'shipped') return shipped(response, sheet.id);
    if (saved.why === 'fault') return refuseParts(response, saved.words, 'Sheet');
    sendProblem(response, {
      status: 412,
      title: 'Changed elsewhere',
      code: 'stale',
      detail: 'This sheet was saved elsewhere after you opened it. Nothing was overwritten.',
      theirs: saved.theirs,
    });
  });

  router.delete('/:id', async (request, response) => {
    const done = await store.deleteSheet(request.params.id);
    if (done === 'done') return void response.status(204).end();
    if (done === 'shipped') return shipped(response, request.params.id);
    if (done === 'contained')
      return sendProblem(response, {
        status: 409,
        title: 'Part of another',
        code: 'contained',
        detail: 'Another sheet has it built in or in its box. Change that one first; nothing was changed.',
      });
    if (done === 'inStock')
      return sendProblem(response, {
        status: 409,
        title: 'In stock',
        code: 'inStock',
        detail: 'Parts of this sheet are in stock. Take them out of stock first; nothing was changed.',
      });
    sendProblem(response, {
      status: 404,
      title: 'No such sheet',
      code: 'noSheet',
      detail: 'There is no sheet with this id.',
    });
  });

  return router;
}

type CatalogueBody = { readonly plain: Buffer; readonly zipped: Buffer };

/** The catalogue as bytes, made and compressed once for each state it has. */
function createCatalogueBody(store: Store): (stamp: number) => Promise<CatalogueBody> {
  let made: { readonly stamp: number; readonly body: Promise<CatalogueBody> } | null = null;
  const make = async (stamp: number): Promise<CatalogueBody> => {
    const plain = Buffer.from(JSON.stringify(await store.readCatalogueAt(stamp)));
    return { plain, zipped: await promisify(gzip)(plain) };
  };
  return (stamp) => {
    if (made?.stamp !== stamp) {
      const body = make(stamp);
      made = { stamp, body };
      body.catch(() => {
        if (made?.body === body) made = null;
      });
    }
    return made.body;
  };
}

function sendBody(request: Request, response: Response, { plain, zipped }: CatalogueBody): void {
  response.type('json');
  if (!/\bgzip\b/.test(request.get('accept-encoding') ?? '')) return void response.send(plain);
  response.set('content-encoding', 'gzip').send(zipped);
}

const shipped = (response: Response, ids: string) =>
  sendProblem(response, {
    status: 409,
    title: 'Part of the catalogue',
    code: 'shipped',
    detail:
      `${ids} came with the catalogue and is not changed by hand: clone it under a name of ` +
      'your own. Nothing was saved.',
  });
