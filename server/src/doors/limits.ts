import type { Request, Response } from 'express';
import { ipKeyGenerator, rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';
import { sendProblem } from '../problem';
import { isOwnPage } from './guard';

const MINUTE_MS = 60_000;

/**
 * Requests a minute and address. What carries no sign of our own page counts apart, so that a foreign page cannot use
 * up the builder's share.
 */
export const requestLimit = (perMinute: number): RateLimitRequestHandler =>
  rateLimit({
    windowMs: MINUTE_MS,
    limit: perMinute,
    standardHeaders: true,
    legacyHeaders: false,
    keyGenerator: (request: Request) => `${isOwnPage(request) ? 'page' : 'other'} ${ipKeyGenerator(request.ip ?? '')}`,
    handler: (_request, response: Response) =>
      sendProblem(response, {
        status: 429,
        title: 'Too many requests',
        code: 'tooMany',
        detail: 'Too many requests in a minute. Nothing was saved; try again shortly.',
      }),
  });
