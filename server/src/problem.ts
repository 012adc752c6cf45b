import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { ConnectionAcquireTimeoutError, ConnectionError, DatabaseError } from 'sequelize';
import { BusyError } from './database/transaction';

declare module 'express-serve-static-core' {
  interface Request {
    log: Logger;
  }
}

/** A problem detail (RFC 9457): what happened, what was kept, what to do. */
export type Problem = {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly code: string;
  readonly [more: string]: unknown;
};

export function sendProblem(response: Response, problem: Problem): void {
  const { code, ...rest } = problem;
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `urn:inch-tower:problem:${code}`, code, ...rest }));
}

/**
 * Gives each request the logger. Only faults are logged, by method and address: no body and no cookie reaches a log.
 */
export const noteLogger =
  (logger: Logger): RequestHandler =>
  (request, _response, next) => {
    request.log = logger;
    next();
  };

const isLost = (error: unknown): boolean =>
  error instanceof ConnectionError ||
  error instanceof ConnectionAcquireTimeoutError ||
  (error instanceof DatabaseError && /connection|socket|shutdown|gone away/i.test(error.message));
/** No room left on the database's disk, or its table full (MariaDB error numbers). */
const isFull = (error: unknown): boolean =>
  error instanceof DatabaseError &&
  [1021, 1114, 3, 28].includes((error.original as { errno?: number } | undefined)?.errno ?? 0);

/**
 * What the reader of bodies and addresses refuses, by the name of its error; what is sent wrong is never a fault of
 * ours.
 */
const SENT_WRONG: Readonly<Record<string, Problem>> = {
  'entity.too.large': {
    status: 413,
    title: 'Too large',
    code: 'overLimit',
    detail: 'The body is larger than 8 MB, the most a build may be. Nothing was saved.',
  },
  'entity.too.many': {
    status: 413,
    title: 'Over a limit',
    code: 'overLimit',
    detail: 'The body holds more values, or is nested deeper, than any build may be. Nothing was saved.',
  },
  'entity.parse.failed': {
    status: 400,
    title: 'Not JSON',
    code: 'notJson',
    detail: 'The body is not JSON. Nothing was saved.',
  },
  'charset.unsupported': {
    status: 415,
    title: 'Unknown characters',
    code: 'charset',
    detail: 'The body has to be in UTF-8. Nothing was saved.',
  },
  'encoding.unsupported': {
    status: 415,
    title: 'Unknown coding',
    code: 'coding',
    detail: 'The body may be sent plain or as gzip, deflate or br. Nothing was saved.',
  },
  'request.size.invalid': {
    status: 400,
    title: 'Another length',
    code: 'badRequest',
    detail: 'The body is not as long as it says. Nothing was saved.',
  },
  'request.aborted': {
    status: 400,
    title: 'Cut short',
    code: 'badRequest',
    detail: 'The body ended before its end. Nothing was saved.',
  },
};
const BAD_REQUEST: Problem = {
  status: 400,
  title: 'Cannot be read',
  code: 'badRequest',
  detail: 'The request cannot be read: its address or its body is not well formed. Nothing was saved.',
};

function problemOf(error: unknown): Problem | null {
  const known = error as {
    readonly type?: string;
    readonly status?: number;
    readonly statusCode?: number;
    readonly code?: string;
  };
  const sent = SENT_WRONG[known.type ?? ''];
  if (sent) return sent;
  const status = known.status ?? known.statusCode ?? 0;
  if (error instanceof URIError || known.code?.startsWith('Z_') || (status >= 400 && status < 500))
    return { ...BAD_REQUEST, ...(status === 404 || status === 415 ? { status } : {}) };
  if (error instanceof BusyError)
    return {
      status: 409,
      title: 'In the way of others',
      code: 'busy',
      detail: 'Others were changing the same thing, again and again. Nothing was saved; try again.',
    };
  if (isFull(error))
    return {
      status: 507,
      title: 'Disk full',
      code: 'diskFull',
      detail:
        'The disk of the database is full. Nothing was saved; what you sent is still with you. ' +
        'Make room, then try again.',
    };
  if (isLost(error))
    return {
      status: 503,
      title: 'Database away',
      code: 'databaseAway',
      detail:
        'The database does not answer. Nothing was saved; what you sent is still with you. Try again in a moment.',
    };
  return null;
}

/** Last in line: what was sent wrong, a database that is away or full, and our own faults, never with a stack. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const problem = problemOf(error);
  const at = { method: request.method, path: request.path };
  if (problem && problem.status >= 500) request.log.warn({ ...at, code: problem.code }, problem.title);
  if (problem?.status === 503) response.setHeader('retry-after', '2');
  if (problem) return sendProblem(response, problem);
  // A database error carries the statement with its values: of it only the message is logged.
  request.log.error(
    {
      ...at,
      name: (error as Error | undefined)?.name,
      message:
        error instanceof DatabaseError
          ? error.original.message.split(' - ')[0]?.slice(0, 300)
          : (error as Error | undefined)?.message,
      ...(error instanceof DatabaseError ? {} : { stack: (error as Error | undefined)?.stack }),
    },
    'unexpected fault',
  );
  sendProblem(response, {
    status: 500,
    title: 'Fault of ours',
    code: 'fault',
    detail: 'Something went wrong on the server. Nothing was saved by halves.',
  });
};
