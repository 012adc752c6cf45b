import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { LIMITS } from '@inch-tower/core';
import type { Store } from './database/store';
import { openApi } from './openapi';
import { problemHandler, sendProblem } from './problem';
import { buildRoutes } from './routes/builds';
import { partRoutes } from './routes/parts';
import { stockRoutes } from './routes/stock';

export type AppOptions = { readonly store: Store; readonly logger: Logger; /** Folder of the built interface; none in tests of the API. */ readonly webFolder?: string };

const REQUESTS_PER_MINUTE = 1200;

/** The HTTP application: the API under /api, the built interface for every other address. */
export function createApp({ store, logger, webFolder }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', false);
  app.use(pinoHttp({ logger, autoLogging: false }));
  app.use(helmet({
    // Served over plain HTTP on loopback: an upgrade to HTTPS would only break it.
    contentSecurityPolicy: { directives: { defaultSrc: ["'self'"], scriptSrc: ["'self'"], workerSrc: ["'self'"], styleSrc: ["'self'", "'unsafe-inline'"], imgSrc: ["'self'", 'data:'], fontSrc: ["'self'"], connectSrc: ["'self'"], objectSrc: ["'none'"], upgradeInsecureRequests: null } },
    strictTransportSecurity: false,
  }));
  app.use(compression());

  const api = express.Router();
  api.use(rateLimit({ windowMs: 60_000, limit: REQUESTS_PER_MINUTE, standardHeaders: true, legacyHeaders: false, handler: (_request, response) => sendProblem(response, { status: 429, title: 'Too many requests', code: 'tooMany', detail: 'Too many requests in a minute. Nothing was saved; try again shortly.' }) }));
  api.use(express.json({ limit: LIMITS.bodyBytes, type: ['application/json', 'application/vnd.inch-tower.build+json'] }));
  api.use((_request, response, next) => { response.setHeader('cache-control', 'no-store'); next(); });
  api.get('/health', async (_request, response) => { await store.ping(); response.json({ status: 'ok' }); });
  const description = openApi();
  api.get('/openapi.json', (_request, response) => { response.json(description); });
  api.use('/parts', partRoutes(store));
  api.use('/stock', stockRoutes(store));
  api.use('/builds', buildRoutes(store));
  api.use((_request, response) => sendProblem(response, { status: 404, title: 'No such address', code: 'noAddress', detail: 'The API has no such address.' }));
  app.use('/api', api);

  if (webFolder && existsSync(webFolder)) {
    app.use('/assets', express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
    app.use(express.static(webFolder, { index: false, maxAge: 0 }));
    app.get('/{*path}', (_request, response) => { response.setHeader('cache-control', 'no-cache'); response.sendFile(join(webFolder, 'index.html')); });
  }
  app.use(problemHandler);
  return app;
}
