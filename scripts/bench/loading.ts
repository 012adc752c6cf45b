/**
 * `npm run load`: the server against a bare one on the same database: one indexed query, or one durable insert, and
 * nothing else.
 */
import autocannon from 'autocannon';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createPool } from 'mariadb';
import type { Build } from '@inch-tower/core';
import { loadDemoBuilds } from '../../demo/loadDemo';
import type { PrivateDatabase } from '../run/privateDatabase';
import { startServerProcess } from '../test/serverProcess';
import { withDatabase } from '../test/withServer';

const BUILDS = 1_000;
const REVISIONS = 10_000;
const CONNECTIONS = [1, 16, 64];
const SECONDS = Number(process.env.LOAD_SECONDS ?? 4);

/** What could be had at most: the query or the insert, over the same driver, in a server that does nothing else. */
async function startBare(database: PrivateDatabase): Promise<{ readonly url: string; stop(): Promise<void> }> {
  const url = new URL(database.url);
  const pool = createPool({
    host: url.hostname,
    port: Number(url.port),
    user: url.username,
    password: url.password,
    database: url.pathname.slice(1),
    connectionLimit: 8,
  });
  await pool.query('CREATE TABLE IF NOT EXISTS bare (id BIGINT PRIMARY KEY AUTO_INCREMENT, doc LONGTEXT)');
  const server = createServer((request, response) => {
    if (request.method === 'PUT') {
      const chunks: Buffer[] = [];
      request.on('data', (chunk: Buffer) => chunks.push(chunk));
      request.on('end', () => {
        pool.query('INSERT INTO bare (doc) VALUES (?)', [Buffer.concat(chunks).toString()]).then(
          () => response.end('{}'),
          () => {
            response.statusCode = 500;
            response.end();
          },
        );
      });
      return;
    }
    pool.query('SELECT doc FROM builds WHERE id = ?', ['load-1']).then(
      (rows: { doc: string }[]) => {
        response.setHeader('content-type', 'application/json');
        response.end(rows[0]?.doc ?? '');
      },
      () => {
        response.statusCode = 500;
        response.end();
      },
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.close();
      server.closeAllConnections();
      await pool.end();
    },
  };
}

type Measured = { readonly perSecond: number; readonly bad: number; readonly p99Ms: number };
async function fire(options: autocannon.Options): Promise<Measured> {
  const result = await autocannon({ duration: SECONDS, ...options });
  return {
    perSecond: result.requests.average,
    bad: result.non2xx + result.errors + result.timeouts,
    p99Ms: result.latency.p99,
  };
}

async function fill(database: PrivateDatabase, build: Build): Promise<void> {
  const url = new URL(database.url);
  const pool = createPool({
    host: url.hostname,
    port: Number(url.port),
    user: url.username,
    password: url.password,
    database: url.pathname.slice(1),
    connectionLimit: 4,
  });
  const doc = (i: number) => JSON.stringify({ ...build, id: `load-${i}`, name: `Load ${i}` });
  await pool.batch(
    'INSERT INTO builds (id, name, etag, doc, updated) VALUES (?, ?, ?, ?, NOW(3))',
    Array.from({ length: BUILDS }, (_, i) => [`load-${i}`, `Load ${i}`, `tag-${i}`, doc(i)]),
  );
  for (let from = 0; from < REVISIONS; from += 1_000)
    await pool.batch(
      'INSERT INTO revisions (build_id, etag, doc, saved) VALUES (?, ?, ?, NOW(3))',
      Array.from({ length: 1_000 }, (_, i) => [`load-${(from + i) % BUILDS}`, `rev-${from + i}`, doc(from + i)]),
    );
  await pool.end();
}

await withDatabase(async (database) => {
  const first = await startServerProcess(database);
  const build = loadDemoBuilds().find(({ id }) => id === 'boathouse-rack')!;
  await fill(database, build);
  const bare = await startBare(database);
  const say = (line: string) => console.log(line);
  say(
    `${BUILDS} builds of ${(JSON.stringify(build).length / 1000).toFixed(0)} kB, ` +
      `${REVISIONS} revisions; ${SECONDS} s each; rate against the bare one, and the slowest ` +
      'of a hundred',
  );
  // Cards are worked out first, as they are some seconds after a start.
  const waiting = async () =>
    (
      (await (await fetch(`${first.url}/api/builds?limit=200&from=800`)).json()) as { builds: { card: unknown }[] }
    ).builds.some((one) => one.card === null);
  const began = Date.now();
  while (await waiting()) await new Promise((resolve) => setTimeout(resolve, 500));
  say(`cards of ${BUILDS} builds worked out in ${((Date.now() - began) / 1000).toFixed(1)} s`);
  const started = performance.now();
  const page = await (await fetch(`${first.url}/api/builds?limit=60`)).text();
  say(`first page of ${BUILDS}: ${(performance.now() - started).toFixed(0)} ms, ${(page.length / 1000).toFixed(0)} kB`);
  const tag = (await fetch(`${first.url}/api/parts`)).headers.get('etag')!;
  for (const connections of CONNECTIONS) {
    const query = await fire({ url: bare.url, connections });
    const rows: [string, Measured, string][] = [
      ['one build', await fire({ url: `${first.url}/api/builds/load-1`, connections }), '0.6'],
      ['a page of cards', await fire({ url: `${first.url}/api/builds?limit=60`, connections }), '0.4'],
      [
        'parts by their tag',
        { ...(await fire({ url: `${first.url}/api/parts`, connections, headers: { 'if-none-match': tag } })), bad: 0 },
        '0.6',
      ],
    ];
    for (const [what, { perSecond, bad, p99Ms }, wanted] of rows)
      say(
        `${connections} connections, ${what}: ${perSecond.toFixed(0)}/s of ` +
          `${query.perSecond.toFixed(0)}/s = ${(perSecond / query.perSecond).toFixed(2)} ` +
          `(${wanted}), ${p99Ms.toFixed(0)} ms, ${bad} bad`,
      );
    const insert = await fire({
      url: bare.url,
      connections,
      method: 'PUT',
      body: JSON.stringify(build),
      headers: { 'content-type': 'application/json' },
    });
    const putRate = await savesPerSecond(first.url, build, connections);
    say(
      `${connections} connections, a save: ${putRate.toFixed(0)}/s of ` +
        `${insert.perSecond.toFixed(0)}/s = ${(putRate / insert.perSecond).toFixed(2)} (0.5)`,
    );
  }
  const minutes = Number(process.env.LOAD_MINUTES ?? 0);
  if (minutes > 0) {
    const long = await fire({
      url: `${first.url}/api/builds/load-1`,
      connections: 16,
      overallRate: 500,
      duration: minutes * 60,
    });
    say(
      `500 requests a second for ${minutes} minutes: ${long.perSecond.toFixed(0)}/s, ` +
        `${long.bad} bad, ${long.p99Ms.toFixed(0)} ms`,
    );
  }
  const second = await startServerProcess(database);
  const both = await Promise.all(
    [first, second].map((server) => fire({ url: `${server.url}/api/builds/load-1`, connections: 16 })),
  );
  say(
    'two servers on one database, 16 connections each, one build: ' +
      `${both.map(({ perSecond, bad }) => `${perSecond.toFixed(0)}/s, ${bad} bad`).join('; ')}`,
  );
  const saves = await Promise.all([savesPerSecond(first.url, build, 8), savesPerSecond(second.url, build, 8, 100)]);
  say(`two servers on one database, 8 writers each: ${saves.map((rate) => `${rate.toFixed(0)} saves/s`).join('; ')}`);
  await bare.stop();
  await first.stop();
  await second.stop();
});
process.exit(0);

/** Writers that each save a machine of their own again and again, every save on the version before. */
async function savesPerSecond(url: string, build: Build, writers: number, from = 0): Promise<number> {
  const until = Date.now() + SECONDS * 1000;
  let count = 0;
  await Promise.all(
    Array.from({ length: writers }, async (_, i) => {
      const n = from + i;
      const address = `${url}/api/builds/load-${n}`;
      let etag = (await fetch(address)).headers.get('etag')!;
      while (Date.now() < until) {
        const answer = await fetch(address, {
          method: 'PUT',
          body: JSON.stringify({
            ...build,
            id: `load-${n}`,
            name: `Load ${n}`,
            notes: `${Date.now()} ${Math.random()}`,
          }),
          headers: { 'content-type': 'application/json', 'if-match': etag },
        });
        await answer.text();
        if (!answer.ok) throw new Error(`a save answered ${answer.status}`);
        etag = answer.headers.get('etag')!;
        count++;
      }
    }),
  );
  return count / SECONDS;
}
