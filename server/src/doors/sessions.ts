import { Router, type Request, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { sendProblem } from '../problem';
import { reads } from './guard';
import type { Keys } from './keys';

const COOKIE = 'inch_tower';
const TRIES = 10;
const TRIES_OF_ALL = 100;
const WITHIN_MS = 15 * 60_000;
const DAY_S = 86_400;
export const sessionSchema = z.strictObject({ key: z.string().min(1).max(200) });

const tokenIn = (request: Request): string | null =>
  /(?:^|;\s*)inch_tower=([\w-]{20,100})(?:;|$)/.exec(request.headers.cookie ?? '')?.[1] ?? null;
/** Kept from scripts and from other sites; sent over TLS alone where the page came over TLS. */
const cookie = (request: Request, value: string, seconds: number): string =>
  `${COOKIE}=${value}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${seconds}${request.secure ? '; Secure' : ''}`;

/** Opening and closing a session. On loopback no key is wanted, and asking says so. */
export function sessionRoutes(keys: Keys | null): Router {
  const router = Router();
  const tries = (limit: number, keyGenerator?: () => string) =>
    rateLimit({
      windowMs: WITHIN_MS,
      limit,
      skipSuccessfulRequests: true,
      standardHeaders: true,
      legacyHeaders: false,
      ...(keyGenerator ? { keyGenerator } : {}),
      handler: (_request, response: Response) =>
        sendProblem(response, {
          status: 429,
          title: 'Too many tries',
          code: 'tooManyTries',
          detail:
            'Too many wrong keys. Wait a quarter of an hour, or have the key withdrawn and a new one ' +
            'made on the server.',
        }),
    });

  router.get('/', async (request, response) => {
    const token = tokenIn(request);
    const session = keys && token ? await keys.session(token, new Date()) : null;
    response.json({
      keyWanted: keys !== null && session === null,
      role: keys === null ? 'full' : (session?.role ?? null),
      overPlainHttp: !request.secure && keys !== null,
    });
  });
  router.post(
    '/',
    tries(TRIES),
    tries(TRIES_OF_ALL, () => 'all'),
    async (request, response) => {
      const body = sessionSchema.safeParse(request.body);
      const opened = keys && body.success ? await keys.open(body.data.key, new Date()) : null;
      if (!opened)
        return sendProblem(response, {
          status: 401,
          title: 'No such key',
          code: 'wrongKey',
          detail: 'This key is not known here, or was withdrawn.',
        });
      response.setHeader('set-cookie', cookie(request, opened.token, opened.days * DAY_S));
      response.status(201).json({ role: opened.session.role });
    },
  );
  router.delete('/', async (request, response) => {
    const token = tokenIn(request);
    if (keys && token) await keys.close(token);
    response.setHeader('set-cookie', cookie(request, '', 0));
    response.status(204).end();
  });
  return router;
}

/** Lets in who has a session; one of a key for reading reads. */
export const keyWanted =
  (keys: Keys): RequestHandler =>
  async (request, response, next) => {
    const token = tokenIn(request);
    const session = token ? await keys.session(token, new Date()) : null;
    if (!session)
      return sendProblem(response, {
        status: 401,
        title: 'Key wanted',
        code: 'keyWanted',
        detail: 'This server is reached from beyond its own machine and wants a key. Nothing was saved.',
      });
    if (session.role === 'read' && !reads(request))
      return sendProblem(response, {
        status: 403,
        title: 'For reading',
        code: 'readOnly',
        detail: 'Your key is for reading. Nothing was saved.',
      });
    next();
  };
