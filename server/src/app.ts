import compression from 'compression';
import express, { Router, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { countText, countValue, LIMITS, type Passed } from '@inch-tower/core';
import type { Store } from './database/store';
import { ownHostOnly, ownPageOnly } from './doors/guard';
import type { Keys } from './doors/keys';
import { requestLimit } from './doors/limits';
import { ownNames } from './doors/ownNames';
import { keyWanted, sessionRoutes } from './doors/sessions';
import { openApi } from './openapi';
import { noteLogger, problemHandler, sendProblem } from './problem';
import { buildRoutes } from './routes/builds';
import { partRoutes, tooLarge } from './routes/parts';
import { stockRoutes } from './routes/stock';
import type { Cards } from './work/cards';
import type { Jobs } from './work/jobs';

export type AppOptions = {
  readonly store: Store;
  readonly logger: Logger;
  readonly jobs: Jobs;
  /** Computes what the first page shows; none in tests of the API alone. */
  readonly cards?: Cards;
  /** Names this server answers to; loopback's alone where none are given. */
  readonly names?: ReadonlySet<string>;
  /** Keys that are wanted of everybody; none on loopback. */
  readonly keys?: Keys;
  readonly requestsPerMinute?: number;
  /** Folder of the built interface; none in tests of the API. */
  readonly webFolder?: string;
};

const REQUESTS_PER_MINUTE = 1200;

/** The HTTP application: the API under /api, the built interface for every other address. */
export function createApp({
  store,
  logger,
  jobs,
  cards,
  names,
  keys,
  requestsPerMinute = REQUESTS_PER_MINUTE,
  webFolder,
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', false);
  // A proxy on this machine may put TLS before it and says so.
  app.set('trust proxy', 'loopback');
  app.use(noteLogger(logger));
  app.use(ownHostOnly(names ?? ownNames('127.0.0.1', [])));
  app.use(
    helmet({
      // Served over plain HTTP on loopback: an upgrade to HTTPS would only break it.
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );

  app.use('/api', apiRoutes({ store, jobs, keys: keys ?? null, requestsPerMinute, ...(cards ? { cards } : {}) }));
  if (webFolder && existsSync(webFolder)) app.use(pageRoutes(webFolder));
  app.use(problemHandler);
  return app;
}

type ApiOptions = {
  readonly store: Store;
  readonly jobs: Jobs;
  readonly cards?: Cards;
  readonly keys: Keys | null;
  readonly requestsPerMinute: number;
};

function apiRoutes({ store, jobs, cards, keys, requestsPerMinute }: ApiOptions): Router {
  const api = Router();
  const description = openApi();
  api.use(requestLimit(requestsPerMinute));
  api.use((_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    next();
  });
  api.use(ownPageOnly);
  api.get('/health', async (_request, response) => {
    await store.ping();
    response.json({ status: 'ok' });
  });
  api.use('/session', express.json({ limit: '1kb' }), sessionRoutes(keys));
  if (keys) api.use(keyWanted(keys));
  api.use(
    express.json({
      limit: LIMITS.bodyBytes,
      type: ['application/json', 'application/vnd.inch-tower.build+json'],
      verify: (_request, _response, body) => refuseUncounted(countText(body)),
    }),
  );
  api.get('/openapi.json', (_request, response) => {
    response.json(description);
  });
  api.use(['/parts', '/stock'], countedOnly);
  api.use('/parts', partRoutes(store));
  api.use('/stock', stockRoutes(store));
  api.use('/builds', buildRoutes({ store, jobs, ...(cards ? { cards } : {}) }));
  api.use((_request, response) =>
    sendProblem(response, {
      status: 404,
      title: 'No such address',
      code: 'noAddress',
      detail: 'The API has no such address.',
    }),
  );
  return api;
}

/** Counted as values, before any schema; builds are where they are read. */
const countedOnly: RequestHandler = (request, response, next) => {
  const passed = request.body === undefined ? null : countValue(request.body);
  if (passed) tooLarge(response, passed.words);
  else next();
};

/** Counted as bytes, before anything is made of them. */
function refuseUncounted(passed: Passed | null): void {
  if (passed) throw Object.assign(new Error(passed.words), { type: 'entity.too.many', status: 413 });
}

/** The page's files; every address that is none of them is a view of the page. */
function pageRoutes(webFolder: string): Router {
  const pages = Router();
  pages.use(compression());
  pages.use('/assets', express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
  pages.use('/assets', (request, response) => {
    // Throws for a broken escape, which is then said to be that.
    decodeURIComponent(request.path);
    response.status(404).type('txt').send('There is no such file.');
  });
  pages.use(express.static(webFolder, { index: false, maxAge: 0 }));
  pages.get('/{*path}', (_request, response) => {
    response.setHeader('cache-control', 'no-cache');
    response.sendFile(join(webFolder, 'index.html'));
  });
  return pages;
}
