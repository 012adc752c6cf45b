import { Router, type Request, type Response } from 'express';
import { parseBuild, type Build, type JudgedParts } from '@inch-tower/core';
import { z } from 'zod';
import type { CardRow, Removed, Saved, Store, Stored } from '../database/store';
import { quoted, versionIn } from '../etags';
import { sendProblem } from '../problem';
import type { Cards } from '../work/cards';
import type { Job, Jobs } from '../work/jobs';

const ID = /^[\w-]{1,64}$/;
const CARDS_A_PAGE = 60;
const REVISIONS_A_PAGE = 100;
const cardsQuery = z.object({
  search: z.string().max(200).default(''),
  from: z.coerce.number().int().min(0).max(1e6).default(0),
  limit: z.coerce.number().int().min(1).max(200).default(CARDS_A_PAGE),
});
const revisionsQuery = z.object({
  before: z
    .string()
    .regex(/^\d{1,15}-\d{1,15}$/)
    .optional(),
  limit: z.coerce.number().int().min(1).max(500).default(REVISIONS_A_PAGE),
});
export const revisionNameSchema = z.strictObject({ name: z.string().trim().min(1).max(200).nullable() });

export type BuildRoutes = {
  readonly store: Store;
  readonly jobs: Jobs;
  /** None in tests of the API alone. */ readonly cards?: Cards;
};

/** Builds: a page of cards, one document, its versions, and what is computed of it. */
export function buildRoutes({ store, jobs, cards }: BuildRoutes): Router {
  const router = Router();
  const judged: JudgedParts = new Map();

  router.get('/', async (request, response) => {
    const query = cardsQuery.safeParse(request.query);
    if (!query.success) return badQuery(response, query.error);
    const { rows, total } = await store.listCards(cards?.stamp ?? '', query.data);
    if (rows.some((row) => row.card === null)) cards?.looked();
    response.type('json').send(`{"total":${total},"builds":[${rows.map(cardJson).join(',')}]}`);
  });

  router.post('/', async (request, response) => {
    const build = checkedBuild(request, response, judged);
    if (!build) return;
    const saved = await store.createBuild(build);
    if (saved.ok) {
      cards?.wanted();
      response.status(201).location(`/api/builds/${build.id}`);
    }
    answerSaved(response, saved);
  });

  router.get('/:id', async (request, response) => {
    const stored = await found(store, request, response);
    if (stored) sendStored(response, stored);
  });

  router.put('/:id', async (request, response) => {
    const build = checkedBuild(request, response, judged);
    if (!build) return;
    if (build.id !== request.params.id)
      return sendProblem(response, {
        status: 409,
        title: 'Another build',
        code: 'otherId',
        detail: `The body is the build ${build.id}, the address says ${request.params.id}. Nothing was saved.`,
      });
    const ifMatch = versionIn(request);
    if (!ifMatch || ifMatch === '*') return versionWanted(response);
    const saved = await store.saveBuild(build, ifMatch);
    if (saved.ok) cards?.wanted();
    answerSaved(response, saved);
  });

  router.delete('/:id', async (request, response) => {
    const { id } = request.params;
    if (!ID.test(id)) return noBuild(response);
    const ifMatch = versionIn(request);
    if (!ifMatch) return versionWanted(response);
    answerRemoved(response, await store.deleteBuild(id, ifMatch));
  });

  router.get('/:id/revisions', async (request, response) => {
    const query = revisionsQuery.safeParse(request.query);
    if (!query.success) return badQuery(response, query.error);
    const stored = await found(store, request, response);
    if (!stored) return;
    const [saved, id] = query.data.before?.split('-').map(Number) ?? [];
    const revisions = await store.listRevisions(
      request.params.id,
      saved !== undefined && id !== undefined ? { saved: new Date(saved), id } : null,
      query.data.limit,
    );
    const last = revisions.length === query.data.limit ? revisions.at(-1) : undefined;
    response.json({
      revisions: revisions.map(({ etag, saved: at, named }) => ({ etag, saved: at, ...(named ? { named } : {}) })),
      ...(last ? { before: `${last.saved.getTime()}-${last.id}` } : {}),
    });
  });

  router.get('/:id/revisions/:etag', async (request, response) => {
    const { id, etag } = request.params;
    const doc = ID.test(id) ? await store.findRevision(id, etag) : null;
    if (doc) response.type('json').send(doc);
    else noRevision(response);
  });

  router.put('/:id/revisions/:etag/name', async (request, response) => {
    const { id, etag } = request.params;
    const body = revisionNameSchema.safeParse(request.body);
    if (!body.success)
      return sendProblem(response, {
        status: 422,
        title: 'Name refused',
        code: 'notValid',
        detail: 'A name of a revision is 1 to 200 characters, or null for none. Nothing was saved.',
      });
    if (ID.test(id) && (await store.nameRevision(id, etag, body.data.name))) response.status(204).end();
    else noRevision(response);
  });

  /** Computed by a worker; where too many wait already, the answer says when to ask again. */
  const computed =
    (what: Job['what'], send: (response: Response, id: string, text: string) => void) =>
    async (request: Request, response: Response) => {
      const stored = await found(store, request, response);
      if (!stored) return;
      const done = await jobs.run({ what, doc: stored.doc, asOf: new Date().toISOString().slice(0, 10) });
      if (done.ok) return send(response, String(request.params.id), done.text);
      if (done.why === 'full')
        return sendProblem(response.set('retry-after', '5'), {
          status: 503,
          title: 'Too much at once',
          code: 'busy',
          detail: 'Too many machines are being worked out already. Ask again in a few seconds.',
        });
      if (done.why === 'tooLong')
        return sendProblem(response, {
          status: 503,
          title: 'Too much work',
          code: 'tooMuchWork',
          detail: `${done.words} The machine itself is as it was.`,
        });
      request.log.error({ build: request.params.id, why: done.words }, 'a job failed');
      sendProblem(response, {
        status: 500,
        title: 'Fault of ours',
        code: 'fault',
        detail: 'This machine could not be worked out: a fault of ours. The machine itself is as it was.',
      });
    };
  router.get(
    '/:id/assessment',
    computed('assessment', (response, _id, text) => response.type('json').send(text)),
  );
  router.get(
    '/:id/bill',
    computed('bill', (response, id, text) => sendFile(response, `${id}.csv`, 'text/csv', text)),
  );
  router.get(
    '/:id/drawing',
    computed('drawing', (response, id, text) => sendFile(response, `${id}.svg`, 'image/svg+xml', text)),
  );

  return router;
}

/** A file to keep: never shown in place, so that nothing in it can run here. */
const sendFile = (response: Response, name: string, type: string, body: string) =>
  void response.type(type).setHeader('content-disposition', `attachment; filename="${name}"`).send(body);

/** Assembled from the texts the database holds: a card is not read to be written again. */
const cardJson = ({ id, name, etag, updated, card }: CardRow): string =>
  `{"id":${JSON.stringify(id)},"name":${JSON.stringify(name)},"etag":"${etag}` +
  `","updated":"${updated.toISOString()}","card":${card ?? 'null'}}`;

function checkedBuild(request: Request, response: Response, judged: JudgedParts): Build | null {
  const parsed = parseBuild(request.body, judged);
  if (parsed.ok) return parsed.build;
  sendProblem(response, {
    status: parsed.code === 'overLimit' ? 413 : 422,
    title: 'Build refused',
    code: parsed.code,
    detail: `${parsed.words} Nothing was saved.`,
    at: parsed.at,
  });
  return null;
}

async function found(store: Store, request: Request, response: Response): Promise<Stored | null> {
  const { id } = request.params;
  const stored = typeof id === 'string' && ID.test(id) ? await store.findBuild(id) : null;
  if (!stored) noBuild(response);
  return stored;
}

function answerSaved(response: Response, saved: Saved): void {
  if (saved.ok) return sendStored(response, saved.stored);
  if (saved.why === 'gone') return noBuild(response);
  if (saved.why === 'taken')
    return sendProblem(response, {
      status: 409,
      title: 'Id in use',
      code: 'idTaken',
      detail: 'A build with this id is already here. Nothing was saved; send it with another id.',
    });
  sendStale(response, saved.theirs);
}

function answerRemoved(response: Response, removed: Removed): void {
  if (removed.ok) return void response.status(204).end();
  if (removed.why === 'gone') return noBuild(response);
  sendStale(response, removed.theirs);
}

function sendStale(response: Response, { doc, etag }: Stored): void {
  response.setHeader('etag', quoted(etag));
  sendProblem(response, {
    status: 412,
    title: 'Changed elsewhere',
    code: 'stale',
    detail: 'This build was saved elsewhere after you opened it. Nothing was overwritten; both versions are kept.',
    theirs: { build: JSON.parse(doc) as Build, etag },
  });
}

function sendStored(response: Response, { doc, etag, updated }: Stored): void {
  response.setHeader('etag', quoted(etag));
  response.setHeader('last-modified', updated.toUTCString());
  response.type('json').send(doc);
}

const badQuery = (response: Response, error: z.ZodError) =>
  sendProblem(response, {
    status: 400,
    title: 'Query refused',
    code: 'notValid',
    detail: error.issues
      .slice(0, 3)
      .map((issue) => `${issue.path.join('.')}: ${issue.message}`)
      .join('; '),
  });
const versionWanted = (response: Response) =>
  sendProblem(response, {
    status: 428,
    title: 'Version wanted',
    code: 'ifMatchWanted',
    detail: 'Saving and deleting name the version they are made on in If-Match. Nothing was changed.',
  });
const noRevision = (response: Response) =>
  sendProblem(response, {
    status: 404,
    title: 'No such revision',
    code: 'noRevision',
    detail: 'The build has no such revision.',
  });
const noBuild = (response: Response) =>
  sendProblem(response, {
    status: 404,
    title: 'No such build',
    code: 'noBuild',
    detail: 'There is no build with this id. It may have been taken down.',
  });
