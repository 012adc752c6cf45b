import { request } from 'node:http';
import { newBuild, type Build } from '@inch-tower/core';
import { PATHS } from '../../server/src/openapi';
import { drawn } from '../../core/src/testing/drawn';
import { letIn, oddMachine, taken } from '../../core/src/testing/odd';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';
import { startServerProcess, type ServerProcess } from './serverProcess';
import { withDatabase } from './withServer';

type Sent = {
  readonly method?: string;
  readonly path: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
};
type Got = {
  readonly status: number;
  readonly text: string;
  readonly ms: number;
  readonly headers: NodeJS.Dict<string | string[]>;
};
const STALL_MS = 300;
const HELD_MS = 50;
const JSON_TYPE = { 'content-type': 'application/json' };

/** A request as it is written: any host, any header, any path. Status 0 where the connection was cut. */
function send(server: ServerProcess, { method = 'GET', path, headers = {}, body }: Sent): Promise<Got> {
  const { hostname, port } = new URL(server.url);
  const started = performance.now();
  return new Promise((resolve) => {
    const done = (status: number, text: string, given: Got['headers'] = {}) =>
      resolve({ status, text, ms: performance.now() - started, headers: given });
    try {
      const asked = request(
        {
          agent: false,
          hostname,
          port,
          method,
          path,
          headers: { ...headers, ...(body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }) },
        },
        (response) => {
          let text = '';
          response.on('data', (chunk: Buffer) => {
            if (text.length < 1e6) text += chunk.toString();
          });
          response.on('end', () => done(response.statusCode ?? 0, text, response.headers));
          response.on('error', () => done(0, text));
        },
      );
      asked.on('error', () => done(0, ''));
      asked.end(body);
    } catch {
      // Not even the client lets it out.
      done(400, '');
    }
  });
}

const exists = async (server: ServerProcess, id: string): Promise<boolean> =>
  (await send(server, { path: `/api/builds/${id}` })).status === 200;

/** Machines that take long, each asked for twelve times at once: what others wait for then; null for little. */
async function askForSlow(server: ServerProcess, round: number): Promise<string | null> {
  const slow: Build[] = [39, 26, 47, 1115]
    .map((seed) => ({ ...oddMachine(seed, taken), id: `slow-${round}-${seed}` }))
    .filter(letIn);
  if (slow.length < 2) return 'too few machines were let in to tell';
  for (const build of slow) {
    const made = await send(server, {
      method: 'POST',
      path: '/api/builds',
      headers: JSON_TYPE,
      body: JSON.stringify({ ...build, layout: { at: {}, wires: [], plugs: [], dormant: {} } }),
    });
    if (made.status !== 201) return `${build.id} was not taken: ${made.text.slice(0, 200)}`;
  }
  await server.strain();
  const asked = slow.flatMap((build) =>
    Array.from({ length: 12 }, () => send(server, { path: `/api/builds/${build.id}/assessment` })),
  );
  const got = await Promise.all(asked);
  const { heldMs } = await server.strain();
  const bad = got.filter(({ status }) => status !== 200 && status !== 503);
  if (bad.length) return `answered ${bad.map(({ status }) => status).join()}`;
  if (got.some(({ status, headers }) => status === 503 && !headers['retry-after']))
    return 'a refusal without Retry-After';
  return heldMs <= HELD_MS ? null : `${HELD} ${heldMs} ms`;
}
const HELD = 'the event loop was held';

/** Each attack gives what did not hold; nothing where all did. */
const ATTACKS: Readonly<Record<string, (server: ServerProcess) => Promise<string | null>>> = {
  'a name that was made to point here reads, makes and deletes nothing': async (server) => {
    const headers = { host: 'rebound.test:4680', ...JSON_TYPE, 'if-match': '*' };
    const got = await Promise.all(
      [
        { path: '/api/builds' },
        { method: 'DELETE', path: '/api/builds/field-kit' },
        { method: 'POST', path: '/api/builds', body: JSON.stringify(newBuild('rebound', 'x')) },
      ].map((one) => send(server, { ...one, headers })),
    );
    return got.every(({ status }) => status === 421) && (await exists(server, 'field-kit'))
      ? null
      : `answered ${got.map(({ status }) => status).join()}`;
  },
  'a foreign page changes nothing': async (server) => {
    const got = await Promise.all(
      ['http://elsewhere.test', 'null', 'http://127.0.0.1:1'].map((origin) =>
        send(server, {
          method: 'POST',
          path: '/api/builds',
          headers: { ...JSON_TYPE, origin },
          body: JSON.stringify(newBuild('foreign', 'x')),
        }),
      ),
    );
    return got.every(({ status }) => status === 403) && !(await exists(server, 'foreign'))
      ? null
      : `answered ${got.map(({ status }) => status).join()}`;
  },
  'ids in other spellings replace and delete nothing': async (server) => {
    for (const id of ['case-a', 'CASE-A'])
      await send(server, {
        method: 'POST',
        path: '/api/builds',
        headers: JSON_TYPE,
        body: JSON.stringify(newBuild(id, id)),
      });
    await send(server, { method: 'DELETE', path: '/api/builds/c%C3%A0se-a', headers: { 'if-match': '*' } });
    const coot = loadDemoCatalogue().sheets['coot-1'];
    await send(server, {
      method: 'POST',
      path: '/api/parts',
      headers: JSON_TYPE,
      body: JSON.stringify({ sheets: [{ ...coot, id: 'COOT-1', name: 'Not it' }] }),
    });
    const parts = JSON.parse(
      (await send(server, { path: '/api/parts' })).text.length
        ? await (await fetch(`${server.url}/api/parts`)).text()
        : '{}',
    ) as { sheets: Record<string, { name: string }> };
    const both = (await exists(server, 'case-a')) && (await exists(server, 'CASE-A'));
    return both && parts.sheets['coot-1']?.name === coot?.name ? null : 'one was taken for the other';
  },
  'two hundred saves, sheets and entries at once: no fault': async (server) => {
    const coot = loadDemoCatalogue().sheets['coot-1']!;
    const got = await Promise.all([
      ...Array.from({ length: 100 }, (_, i) =>
        send(server, {
          method: 'PUT',
          path: `/api/parts/own-at-once-${i}`,
          headers: JSON_TYPE,
          body: JSON.stringify({ sheet: { ...coot, id: `own-at-once-${i}` }, madeOn: 0 }),
        }),
      ),
      ...Array.from({ length: 160 }, (_, i) =>
        send(server, {
          method: 'PUT',
          path: `/api/stock/at-once-${i}`,
          headers: JSON_TYPE,
          body: JSON.stringify({ id: `at-once-${i}`, sheet: 'coot-1', count: 1 }),
        }),
      ),
      ...Array.from({ length: 120 }, (_, i) =>
        send(server, {
          method: 'POST',
          path: '/api/parts',
          headers: JSON_TYPE,
          body: JSON.stringify({
            sheets: Array.from({ length: 5 }, (__, n) => ({ ...coot, id: `own-over-${(i + n) % 20}` })),
          }),
        }),
      ),
    ]);
    const bad = got.filter(({ status }) => status === 0 || status >= 500);
    return bad.length === 0
      ? null
      : `${bad.length} of ${got.length} answered ${[...new Set(bad.map(({ status }) => status))].join()}`;
  },
  'bodies of a million entries, deep ones, long ones: refused at once': async (server) => {
    const base = JSON.stringify(newBuild('big', 'B'));
    for (const body of [
      base.replace('"items":[]', `"items":[${Array(100_000).fill('{}').join()}]`),
      base.replace('"items":[]', `"items":[${Array(2_600_000).fill('{}').join()}]`),
      `${'['.repeat(4e6)}${']'.repeat(4e6)}`,
      base.replace('"B"', JSON.stringify('x'.repeat(7e6))),
      `{"a":"${'x'.repeat(9e6)}"}`,
    ]) {
      const got = await send(server, { method: 'POST', path: '/api/builds', headers: JSON_TYPE, body });
      if (![400, 413, 422].includes(got.status)) return `${body.length} bytes answered ${got.status}`;
      if (got.ms > 3 * STALL_MS) return `${body.length} bytes took ${got.ms.toFixed(0)} ms`;
    }
    return null;
  },
  // What else runs on the machine holds the loop too: of three rounds with machines of their own one is to be free.
  'while slow machines are asked for, all others are answered': async (server) => {
    let held = '';
    for (const round of [1, 2, 3]) {
      const words = await askForSlow(server, round);
      if (words === null || !words.startsWith(HELD)) return words;
      held = words;
    }
    return held;
  },
  'what is sent wrong is no fault of ours': async (server) => {
    const got = await Promise.all(
      [
        { path: '/api/builds/%E0%A4%A' },
        { path: '/assets/%E0%A4%A' },
        { path: '/assets/../../../etc/passwd' },
        {
          method: 'POST',
          path: '/api/builds',
          headers: { 'content-type': 'application/json; charset=klingon' },
          body: '{}',
        },
        { method: 'POST', path: '/api/builds', headers: { ...JSON_TYPE, 'content-encoding': 'zebra' }, body: '{}' },
        { method: 'POST', path: '/api/builds', headers: { ...JSON_TYPE, 'content-encoding': 'gzip' }, body: 'no gzip' },
      ].map((one) => send(server, one)),
    );
    const bad = got.filter(({ status }) => status >= 500 || status === 200);
    return bad.length === 0 ? null : `answered ${bad.map(({ status }) => status).join()}`;
  },
};

export type Attacked = { readonly held: number; readonly broken: readonly string[] };

/** The attacks this server has to hold, one after another. */
export function attack(say: (line: string) => void): Promise<Attacked> {
  return withDatabase(async (database) => {
    const server = await startServerProcess(database);
    const broken: string[] = [];
    for (const [name, run] of Object.entries(ATTACKS)) {
      const fault = await run(server).catch((error: unknown) =>
        error instanceof Error ? error.message : String(error),
      );
      say(`  ${fault === null ? 'held' : 'BROKEN'}: ${name}${fault === null ? '' : ` (${fault})`}`);
      if (fault !== null) broken.push(`${name}: ${fault}`);
    }
    const limited = await startServerProcess(database, { REQUESTS_PER_MINUTE: '1200' });
    for (let i = 0; i < 13; i++)
      await Promise.all(
        Array.from({ length: 100 }, () =>
          send(limited, { path: '/api/health', headers: { 'sec-fetch-site': 'cross-site' } }),
        ),
      );
    const page = await send(limited, { path: '/api/health', headers: { 'sec-fetch-site': 'same-origin' } });
    if (page.status !== 200)
      broken.push(`1,300 blind requests of a foreign page: the page's own answered ${page.status}`);
    say(
      `  ${page.status === 200 ? 'held' : 'BROKEN'}: 1,300 blind requests of a foreign page ` +
        `use up nothing of the page's own`,
    );
    await limited.stop();
    await server.stop();
    return { held: Object.keys(ATTACKS).length + 1 - broken.length, broken };
  });
}

const ODD_TEXT = [
  '',
  '%',
  '%00',
  '..',
  '../..',
  'a'.repeat(3000),
  '__proto__',
  'constructor',
  'field-kit',
  'coot-1',
  'Ł',
  '%F0%9F%92%A9',
  "' OR 1=1 --",
  '<script>',
  '*',
  'null',
  '0',
  '-1',
  '1e999',
];

/**
 * Requests drawn over every route, with odd parameters, headers and bodies: none is answered 5xx, none stalls, and the
 * memory comes back.
 */
export function fuzzRequests(
  count: number,
  seed: number,
  say: (line: string) => void,
): Promise<{
  readonly sent: number;
  readonly slowestMs: number;
  readonly byStatus: Readonly<Record<string, number>>;
  readonly faults: readonly string[];
}> {
  return withDatabase(async (database) => {
    const server = await startServerProcess(database);
    const next = drawn(seed);
    const one = <T>(list: readonly T[]): T => list[next(list.length)]!;
    const texts = loadDemoBuilds().map((build) => JSON.stringify(build));
    const paths = [...Object.keys(PATHS).map((path) => `/api${path}`), '/', '/b/{id}', '/assets/{id}', '/api/{id}'];
    const garble = (text: string): string => {
      const from = next(text.length);
      return one([
        text,
        text.slice(0, from),
        `${text.slice(0, from)}${one(ODD_TEXT)}${text.slice(from + next(20))}`,
        text.replace(/\d+/, one(['1e308', '-1', '"x"', 'null'])),
        '',
        '[]',
        '{}',
        'null',
        '"x"',
        '1',
      ]);
    };
    const draw = (): Sent => {
      const path =
        one(paths).replace(/\{\w+\}/g, () =>
          next(2)
            ? one(['field-kit', 'hall-cupboard', 'coot-1', 'nothing'])
            : encodeURI(one(ODD_TEXT)).replace(/[^\x21-\x7e]/g, ''),
        ) + (next(4) ? '' : `?${one(['limit', 'from', 'search', 'before', 'x'])}=${encodeURIComponent(one(ODD_TEXT))}`);
      const method = one(['GET', 'GET', 'GET', 'PUT', 'POST', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS']);
      const headers: Record<string, string> = {};
      if (next(3))
        headers['content-type'] = one([
          'application/json',
          'application/json',
          'application/json',
          'text/plain',
          'application/json; charset=utf-16',
          'x',
        ]);
      if (next(2)) headers['if-match'] = one(['*', '"x"', 'x', 'W/"x"', '""']);
      if (!next(6))
        headers[
          one([
            'content-encoding',
            'accept-encoding',
            'if-none-match',
            'cookie',
            'range',
            'x-inch-tower',
            'x-forwarded-proto',
          ])
        ] = one(['gzip', 'br', 'inch_tower=aaaaaaaaaaaaaaaaaaaaaaaa', '*', 'bytes=0-1', 'https', 'x']);
      const body =
        method === 'GET' || method === 'HEAD'
          ? undefined
          : garble(
              one([
                ...texts,
                JSON.stringify({ sheets: [] }),
                JSON.stringify({ entries: [] }),
                JSON.stringify({ key: 'x' }),
                JSON.stringify({ name: 'x' }),
              ]),
            );
      return { method, path, headers, ...(body === undefined ? {} : { body }) };
    };
    const faults: string[] = [];
    const byStatus: Record<string, number> = {};
    let slowestMs = 0;
    for (let i = 0; i < 200; i++) await send(server, draw());
    const { heapMb: before } = await server.strain();
    for (let sent = 0; sent < count;) {
      const some = Array.from({ length: Math.min(8, count - sent) }, draw);
      sent += some.length;
      for (const [i, got] of (await Promise.all(some.map((asked) => send(server, asked)))).entries()) {
        byStatus[got.status] = (byStatus[got.status] ?? 0) + 1;
        slowestMs = Math.max(slowestMs, got.ms);
        const said = `${some[i]!.method} ${some[i]!.path.slice(0, 120)} ${JSON.stringify(some[i]!.headers)}`;
        // An assessment may be refused when too many are asked for at once: that is said with when to come again.
        if (got.status >= 500 && !(got.status === 503 && got.headers['retry-after']))
          faults.push(`${said} answered ${got.status}`);
        if (got.ms > STALL_MS && !/assessment|bill|drawing/.test(some[i]!.path))
          faults.push(`${said} took ${got.ms.toFixed(0)} ms`);
      }
      if (sent % 20_000 < 8) say(`  ${sent} requests, ${faults.length} faults`);
    }
    const { heapMb: after } = await server.strain();
    if (after > before * 1.2 + 40) faults.push(`the heap grew from ${before} to ${after} MB`);
    await server.stop();
    return { sent: count, slowestMs, byStatus, faults };
  });
}
