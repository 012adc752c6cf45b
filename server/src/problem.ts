import type { ErrorRequestHandler, Response } from 'express';
import { ConnectionError, ConnectionAcquireTimeoutError, DatabaseError } from 'sequelize';

/** A problem detail (RFC 9457): what happened, what was kept, what to do. */
export type Problem = { readonly status: number; readonly title: string; readonly detail: string; readonly code: string; readonly [more: string]: unknown };

export function sendProblem(response: Response, problem: Problem): void {
  const { code, ...rest } = problem;
  response.status(problem.status).type('application/problem+json').send(JSON.stringify({ type: `urn:inch-tower:problem:${code}`, code, ...rest }));
}

const isLost = (error: unknown) => error instanceof ConnectionError || error instanceof ConnectionAcquireTimeoutError || (error instanceof DatabaseError && /connection|socket|shutdown|gone away/i.test(error.message));

/** Last in line: body errors, a database that is away, and our own faults, never with a stack. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, _next) => {
  const known = error as { readonly type?: string; readonly status?: number };
  if (known.type === 'entity.too.large') return sendProblem(response, { status: 413, title: 'Too large', code: 'overLimit', detail: 'The body is larger than 8 MB, the most a build may be. Nothing was saved.' });
  if (known.type === 'entity.parse.failed') return sendProblem(response, { status: 400, title: 'Not JSON', code: 'notJson', detail: 'The body is not JSON. Nothing was saved.' });
  if (isLost(error)) {
    request.log.warn({ err: error }, 'database away');
    return sendProblem(response, { status: 503, title: 'Database away', code: 'databaseAway', detail: 'The database does not answer. Nothing was saved; what you sent is still with you. Try again in a moment.' });
  }
  request.log.error({ err: error }, 'unexpected fault');
  return sendProblem(response, { status: 500, title: 'Fault of ours', code: 'fault', detail: 'Something went wrong on the server. Nothing was saved by halves.' });
};
