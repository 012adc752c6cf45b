import { Router, type Response } from 'express';
import { parseList, sheetSchema, stockEntrySchema } from '@inch-tower/core';
import { z } from 'zod';
import type { Store } from '../database/store';
import { quoted, versionIn } from '../etags';
import { sendProblem } from '../problem';
import { faultsOf, parseImport, refuseBody, refuseParts } from './parts';

const MOST_AT_ONCE = 500;
/** Entries with the sheets they are of that are not here yet: an old machine taken in at once. */
export const stockBatchSchema = z.strictObject({
  entries: z.array(stockEntrySchema).min(1).max(MOST_AT_ONCE),
  sheets: z.array(sheetSchema).max(MOST_AT_ONCE).default([]),
});

/** Parts owned, and which builds claim them. */
export function stockRoutes(store: Store): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ stock: await store.listStock(), claims: await store.listClaims() });
  });

  router.post('/', async (request, response) => {
    const { entries: rawEntries, ...rest } = (request.body ?? {}) as { readonly entries?: unknown };
    const parsed = parseList(stockEntrySchema, rawEntries, ['entries'], 1, MOST_AT_ONCE);
    if (!parsed.ok) return refuseBody(response, parsed.issues, 'Stock');
    const brought = parseImport({ sheets: [], ...rest }, 0, MOST_AT_ONCE);
    if (!brought.ok) return refuseBody(response, brought.issues, 'Stock');
    const entries = parsed.value;
    const { sheets } = brought.value;
    const taken = await store.importSheets(
      sheets,
      [],
      (here) => {
        const known = new Set([...Object.keys(here.sheets), ...sheets.map((sheet) => sheet.id as string)]);
        const unknown = entries.find((entry) => !known.has(entry.sheet));
        return faultsOf(here, sheets, []) ?? (unknown ? `There is no sheet ${unknown.sheet}.` : null);
      },
      (transaction) => store.addEntries(entries, transaction),
    );
    if (taken.ok) return void response.status(201).json({ taken: entries.length });
    if (taken.why === 'fault') return refuseParts(response, taken.words, 'Stock');
    sendProblem(response, {
      status: 409,
      title: 'Part of the catalogue',
      code: 'shipped',
      detail: `${taken.ids.join(', ')} came with the catalogue and is not changed by hand. Nothing was saved.`,
    });
  });

  router.put('/:id', async (request, response) => {
    const entry = stockEntrySchema.safeParse(request.body);
    if (!entry.success) return refuseBody(response, entry.error.issues, 'Stock entry');
    if (entry.data.id !== request.params.id)
      return sendProblem(response, {
        status: 409,
        title: 'Another entry',
        code: 'otherId',
        detail: `The body is the entry ${entry.data.id}, the address says ${request.params.id}. Nothing was saved.`,
      });
    const saved = await store.saveEntry(entry.data, versionIn(request));
    if (!saved.ok) return saved.why === 'noSheet' ? noSheet(response, entry.data.sheet) : stale(response, saved.theirs);
    response.setHeader('etag', quoted(saved.stored.etag));
    response.json(saved.stored.entry);
  });

  router.delete('/:id', async (request, response) => {
    const ifMatch = versionIn(request);
    if (!ifMatch)
      return sendProblem(response, {
        status: 428,
        title: 'Version wanted',
        code: 'ifMatchWanted',
        detail: 'Taking out of stock names the version it is made on in If-Match. Nothing was changed.',
      });
    const removed = await store.removeEntry(request.params.id, ifMatch);
    if (removed.ok) return void response.status(204).end();
    if (removed.why === 'stale') return stale(response, removed.theirs);
    sendProblem(response, {
      status: 404,
      title: 'No such entry',
      code: 'noEntry',
      detail: 'There is no stock entry with this id.',
    });
  });

  return router;
}

const noSheet = (response: Response, id: string) =>
  sendProblem(response, {
    status: 422,
    title: 'No such sheet',
    code: 'noSheet',
    detail: `There is no sheet ${id}. Nothing was saved.`,
  });
const stale = (response: Response, theirs: unknown) =>
  sendProblem(response, {
    status: 412,
    title: 'Changed elsewhere',
    code: 'stale',
    detail: 'This entry was saved elsewhere after you opened it. Nothing was overwritten.',
    theirs,
  });
