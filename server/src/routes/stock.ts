import { Router } from 'express';
import { sheetSchema, stockEntrySchema } from '@inch-tower/core';
import { z } from 'zod';
import type { Store } from '../database/store';
import { sendProblem } from '../problem';
import { faultsOf, refuseBody } from './parts';

const MOST_AT_ONCE = 500;
/** Entries with the sheets they are of that are not here yet: an old machine taken in at once. */
export const stockBatchSchema = z.strictObject({ entries: z.array(stockEntrySchema).min(1).max(MOST_AT_ONCE), sheets: z.array(sheetSchema).max(MOST_AT_ONCE).default([]) });

/** Parts owned, and which builds claim them. */
export function stockRoutes(store: Store): Router {
  const router = Router();

  router.get('/', async (_request, response) => { response.json({ stock: await store.listStock(), claims: await store.listClaims() }); });

  router.post('/', async (request, response) => {
    const body = stockBatchSchema.safeParse(request.body);
    if (!body.success) return refuseBody(response, body.error, 'Stock');
    const { entries, sheets } = body.data;
    const fault = await faultsOf(store, sheets, []);
    if (fault) return sendProblem(response, { status: 422, title: 'Stock refused', code: 'notValid', detail: `${fault} Nothing was saved.` });
    const known = new Set([...Object.keys((await store.readCatalogue()).sheets), ...sheets.map((sheet) => sheet.id)]);
    const unknown = entries.find((entry) => !known.has(entry.sheet));
    if (unknown) return noSheet(response, unknown.sheet);
    const refused = await store.transaction(async (transaction) => {
      const taken = await store.importSheets(sheets, [], transaction);
      if (taken.refused.length === 0) await store.addEntries(entries, transaction);
      return taken.refused;
    });
    if (refused.length) return sendProblem(response, { status: 409, title: 'Part of the catalogue', code: 'shipped', detail: `${refused.join(', ')} came with the catalogue and is not changed by hand. Nothing was saved.` });
    response.status(201).json({ taken: entries.length });
  });

  router.put('/:id', async (request, response) => {
    const entry = stockEntrySchema.safeParse(request.body);
    if (!entry.success) return refuseBody(response, entry.error, 'Stock entry');
    if (entry.data.id !== request.params.id) return sendProblem(response, { status: 409, title: 'Another entry', code: 'otherId', detail: `The body is the entry ${entry.data.id}, the address says ${request.params.id}. Nothing was saved.` });
    const ifMatch = /^"([^"]+)"$/.exec(request.get('if-match') ?? '')?.[1] ?? null;
    const saved = await store.saveEntry(entry.data, ifMatch);
    if (!saved.ok) {
      if (saved.why === 'noSheet') return noSheet(response, entry.data.sheet);
      return sendProblem(response, { status: 412, title: 'Changed elsewhere', code: 'stale', detail: 'This entry was saved elsewhere after you opened it. Nothing was overwritten.', theirs: saved.theirs });
    }
    response.setHeader('etag', `"${saved.stored.etag}"`);
    response.json(saved.stored.entry);
  });

  router.delete('/:id', async (request, response) => {
    if (await store.deleteEntry(request.params.id)) response.status(204).end();
    else sendProblem(response, { status: 404, title: 'No such entry', code: 'noEntry', detail: 'There is no stock entry with this id.' });
  });

  return router;
}

const noSheet = (response: Parameters<typeof sendProblem>[0], id: string) => sendProblem(response, { status: 422, title: 'No such sheet', code: 'noSheet', detail: `There is no sheet ${id}. Nothing was saved.` });
