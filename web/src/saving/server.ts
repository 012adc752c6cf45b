import { parseBuild, type Build } from '@inch-tower/core';
import type { Answer, Versioned } from './draft';

const TIMEOUT_MS = 15_000;
const AWAY: Answer = { kind: 'away', words: 'The server does not answer.' };
type Problem = {
  readonly code: string;
  readonly detail: string;
  readonly theirs?: { readonly build: Build; readonly etag: string };
};

const etagIn = (response: Response): string =>
  (response.headers.get('etag') ?? '').replace(/^W\//, '').replaceAll('"', '');
const addressOf = (id: string): string => `/api/builds/${encodeURIComponent(id)}`;

type Asked = { readonly response: Response; readonly value: unknown } | null;
const askAt =
  (base: string) =>
  async (path: string, method: string, body?: Build, etag?: string): Promise<Asked> => {
    try {
      const headers = {
        'x-inch-tower': '1',
        ...(body ? { 'content-type': 'application/json' } : {}),
        ...(etag ? { 'if-match': `"${etag}"` } : {}),
      };
      const response = await fetch(base + path, {
        method,
        headers,
        ...(body ? { body: JSON.stringify(body) } : {}),
        signal: AbortSignal.timeout(TIMEOUT_MS),
      });
      const text = await response.text();
      return { response, value: text ? JSON.parse(text) : null };
    } catch {
      return null;
    }
  };

const isBuild = (value: unknown, id: string): value is Build =>
  typeof value === 'object' && value !== null && (value as Build).id === id && Array.isArray((value as Build).items);

/** The other version, in the newest format whatever it was saved in. */
function staleOf(theirs: unknown, etag: string, id: string): Answer {
  if (!isBuild(theirs, id)) return AWAY;
  const parsed = parseBuild(theirs);
  return parsed.ok
    ? { kind: 'stale', theirs: { build: parsed.build, etag } }
    : { kind: 'fault', words: `It was changed elsewhere, and that version cannot be read here. ${parsed.words}` };
}

/** An answer that lacks the new version or its body has saved nothing that could be relied on: it counts as none. */
function answerOf(asked: Asked, id: string): Answer {
  if (!asked) return AWAY;
  const { response, value } = asked;
  if (response.ok) return isBuild(value, id) && etagIn(response) ? { kind: 'saved', etag: etagIn(response) } : AWAY;
  const problem = value as Partial<Problem> | null;
  if (typeof problem?.code !== 'string' || typeof problem.detail !== 'string')
    return { kind: 'fault', words: `The server answered ${response.status} without a reason.` };
  if (problem.code === 'stale')
    return problem.theirs?.etag ? staleOf(problem.theirs.build, problem.theirs.etag, id) : AWAY;
  if (problem.code === 'noBuild') return { kind: 'gone' };
  if (problem.code === 'databaseAway' || response.status === 503 || response.status === 429)
    return { kind: 'away', words: problem.detail };
  return { kind: response.status >= 500 || response.status === 401 ? 'fault' : 'refused', words: problem.detail };
}

/**
 * Builds over HTTP, at an address (empty: where the page came from). `onKeyWanted` hears that the server wants a key.
 */
export function serverAt(base: string, onKeyWanted: () => void = () => undefined) {
  const ask = askAt(base);
  const told = (asked: Asked): Asked => {
    if (asked?.response.status === 401) onKeyWanted();
    return asked;
  };
  return {
    save: async (build: Build, etag: string): Promise<Answer> =>
      answerOf(told(await ask(addressOf(build.id), 'PUT', build, etag)), build.id),
    create: async (build: Build): Promise<Answer> => answerOf(told(await ask('/api/builds', 'POST', build)), build.id),

    /** The machine as the server has it. */
    async read(id: string): Promise<Versioned | 'gone' | 'away' | 'unreadable'> {
      const asked = told(await ask(addressOf(id), 'GET'));
      if (!asked) return 'away';
      if (asked.response.ok && isBuild(asked.value, id) && etagIn(asked.response)) {
        const parsed = parseBuild(asked.value);
        return parsed.ok ? { build: parsed.build, etag: etagIn(asked.response) } : 'unreadable';
      }
      return (asked.value as Partial<Problem> | null)?.code === 'noBuild' ? 'gone' : 'away';
    },
  };
}
