import type { Request, RequestHandler } from 'express';
import { sendProblem } from '../problem';
import { nameIn } from './ownNames';

/** Sent by the page with every request. A page elsewhere cannot send it unasked, and is not let when it asks. */
const SIGN = 'x-inch-tower';
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
export const reads = (request: Request): boolean => READS.has(request.method);

/**
 * Answers only to this server's own names (RFC 9110, 421): a name that was made to point here reads and writes nothing.
 */
export const ownHostOnly =
  (names: ReadonlySet<string>): RequestHandler =>
  (request, response, next) => {
    const name = nameIn(request.headers.host);
    if (name && names.has(name)) return next();
    sendProblem(response, {
      status: 421,
      title: 'Another server',
      code: 'otherHost',
      detail: 'This server does not answer to that name. If it should, start it with the name in INCH_TOWER_NAMES.',
    });
  };

/** Whether an Origin header names the address the request itself was sent to. */
function isOwnOrigin(request: Request): boolean {
  const origin = request.get('origin');
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === request.headers.host?.toLowerCase();
  } catch {
    return false;
  }
}

/** Whether a request carries a sign that it comes from this server's own page. */
export const isOwnPage = (request: Request): boolean =>
  request.get(SIGN) !== undefined || request.get('sec-fetch-site') === 'same-origin';

/** What changes something is taken only from this server's own page, or from no page at all, and only as JSON. */
export const ownPageOnly: RequestHandler = (request, response, next) => {
  if (reads(request)) return next();
  const site = request.get('sec-fetch-site');
  if (!isOwnOrigin(request) || (site !== undefined && site !== 'same-origin' && site !== 'none')) {
    return sendProblem(response, {
      status: 403,
      title: 'Another page',
      code: 'otherOrigin',
      detail: 'A page of another address may not change anything here. Nothing was saved.',
    });
  }
  const hasBody =
    request.headers['transfer-encoding'] !== undefined || Number(request.headers['content-length'] ?? 0) > 0;
  if (hasBody && !request.is(['application/json', 'application/vnd.inch-tower.build+json'])) {
    return sendProblem(response, {
      status: 415,
      title: 'Not JSON',
      code: 'notJson',
      detail: 'The body has to be sent as application/json. Nothing was saved.',
    });
  }
  next();
};
