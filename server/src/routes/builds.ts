import { Router, type Request, type Response } from 'express';
import { billCsv, billOf, createAssessor, drawingSvg, parseBuild, sceneOf, type Build } from '@inch-tower/core';
import { z } from 'zod';
import type { Saved, Store, Stored } from '../database/store';
import { sendProblem } from '../problem';

const idSchema = z.string().regex(/^[\w-]{1,64}$/);
const quoted = (etag: string) => `"${etag}"`;

/** A build on the floor: the document comes with it, its elevation and status are derived in the page. */
export type BuildCard = { readonly id: string; readonly name: string; readonly etag: string; readonly updated: string; readonly build: Build };

export function buildRoutes(store: Store): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    const stored = await store.listBuilds();
    response.json({ builds: stored.map(({ build, etag, updated }): BuildCard => ({ id: build.id, name: build.name, etag, updated: updated.toISOString(), build })) });
  });

  router.post('/', async (request, response) => {
    const build = checkedBuild(request, response);
    if (!build) return;
    const saved = await store.createBuild(build);
    if (saved.ok) response.status(201).location(`/api/builds/${build.id}`);
    answerSaved(response, saved);
  });

  router.get('/:id', async (request, response) => {
    const stored = await found(store, request, response);
    if (stored) sendStored(response, stored);
  });

  router.put('/:id', async (request, response) => {
    const build = checkedBuild(request, response);
    if (!build) return;
    if (build.id !== request.params.id) return sendProblem(response, { status: 409, title: 'Another build', code: 'otherId', detail: `The body is the build ${build.id}, the address says ${request.params.id}. Nothing was saved.` });
    const ifMatch = /^"([^"]+)"$/.exec(request.get('if-match') ?? '')?.[1];
    if (!ifMatch) return sendProblem(response, { status: 428, title: 'Version wanted', code: 'ifMatchWanted', detail: 'A save names the version it is made on in If-Match. Nothing was saved.' });
    answerSaved(response, await store.saveBuild(build, ifMatch));
  });

  router.delete('/:id', async (request, response) => {
    if (await store.deleteBuild(request.params.id)) response.status(204).end();
    else noBuild(response);
  });

  router.get('/:id/revisions', async (request, response) => {
    const stored = await found(store, request, response);
    if (stored) response.json({ revisions: await store.listRevisions(stored.build.id) });
  });

  router.get('/:id/revisions/:etag', async (request, response) => {
    const build = await store.findRevision(request.params.id, request.params.etag);
    if (build) response.json(build);
    else sendProblem(response, { status: 404, title: 'No such revision', code: 'noRevision', detail: 'The build has no such revision.' });
  });

  router.get('/:id/assessment', async (request, response) => {
    const stored = await found(store, request, response);
    if (!stored) return;
    const { units: _units, ...assessment } = createAssessor().assess(stored.build, today());
    response.json({ ...assessment, unplaced: assessment.unplaced.map((unit) => unit.id), unconnected: assessment.unconnected.map((unit) => unit.id), needs: assessment.needs.needs });
  });

  router.get('/:id/bill', async (request, response) => {
    const stored = await found(store, request, response);
    if (stored) sendFile(response, stored.build, 'csv', 'text/csv', billCsv(billOf(stored.build, createAssessor().assess(stored.build, today()))));
  });

  router.get('/:id/drawing', async (request, response) => {
    const stored = await found(store, request, response);
    if (!stored) return;
    const { units, layout } = createAssessor().assess(stored.build, today());
    sendFile(response, stored.build, 'svg', 'image/svg+xml', drawingSvg(stored.build, sceneOf(units, layout).boxes));
  });

  return router;
}

const today = () => ({ asOf: new Date().toISOString().slice(0, 10) });
/** A file to keep: never shown in place, so that nothing in it can run here. */
const sendFile = (response: Response, build: Build, ending: string, type: string, body: string) =>
  void response.type(type).setHeader('content-disposition', `attachment; filename="${build.id}.${ending}"`).send(body);

function checkedBuild(request: Request, response: Response): Build | null {
  const parsed = parseBuild(request.body);
  if (parsed.ok) return parsed.build;
  sendProblem(response, { status: parsed.code === 'overLimit' ? 413 : 422, title: 'Build refused', code: parsed.code, detail: `${parsed.words} Nothing was saved.`, at: parsed.at });
  return null;
}

async function found(store: Store, request: Request, response: Response): Promise<Stored | null> {
  const id = idSchema.safeParse(request.params.id);
  const stored = id.success ? await store.findBuild(id.data) : null;
  if (!stored) noBuild(response);
  return stored;
}

function answerSaved(response: Response, saved: Saved): void {
  if (saved.ok) return sendStored(response, saved.stored);
  if (saved.why === 'gone') return noBuild(response);
  if (saved.why === 'taken') return sendProblem(response, { status: 409, title: 'Id in use', code: 'idTaken', detail: 'A build with this id is already here. Nothing was saved; send it with another id.' });
  response.setHeader('etag', quoted(saved.theirs.etag));
  return sendProblem(response, { status: 412, title: 'Changed elsewhere', code: 'stale', detail: 'This build was saved elsewhere after you opened it. Nothing was overwritten; both versions are kept.', theirs: { build: saved.theirs.build, etag: saved.theirs.etag } });
}

function sendStored(response: Response, { build, etag, updated }: Stored): void {
  response.setHeader('etag', quoted(etag));
  response.setHeader('last-modified', updated.toUTCString());
  response.json(build);
}

const noBuild = (response: Response) => sendProblem(response, { status: 404, title: 'No such build', code: 'noBuild', detail: 'There is no build with this id. It may have been taken down.' });
