import { newBuild, type Archetype, type Catalogue } from '@inch-tower/core';
import { readFileSync } from 'node:fs';
import { serve } from './serve';
import { readConfig } from './config';
import { testServer, type TestServer } from './testing/database';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(async () => {
  await server.drop();
});
const paste = (JSON.parse(readFileSync('demo/catalogue/archetypes.json', 'utf8')) as Archetype[]).find(
  (one) => one.kind === 'sundry',
)!;
const catalogue: Catalogue = { sheets: {}, archetypes: { [paste.id]: paste } };
const start = () =>
  serve(readConfig({ DATABASE_URL: server.url, PORT: '0', LOG_LEVEL: 'silent' }), () => ({
    catalogue,
    builds: [newBuild('demo', 'Demo')],
  }));

test('an empty database is seeded once, and what was saved is there after a restart', async () => {
  const first = await start();
  expect(first.seeded).toBe(true);
  const made = await fetch(`${first.url}/api/builds`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(newBuild('mine', 'Mine')),
  });
  expect(made.status).toBe(201);
  await first.stop();
  const second = await start();
  expect(second.seeded).toBe(false);
  const list = (await (await fetch(`${second.url}/api/builds`)).json()) as { builds: { id: string }[] };
  expect(list.builds.map((one) => one.id).sort()).toEqual(['demo', 'mine']);
  const parts = (await (await fetch(`${second.url}/api/parts`)).json()) as Catalogue;
  expect(Object.keys(parts.archetypes)).toEqual([paste.id]);
  await second.stop();
});

test('a busy port is said, not swallowed', async () => {
  const first = await start();
  const port = new URL(first.url).port;
  await expect(
    serve(readConfig({ DATABASE_URL: server.url, PORT: port, LOG_LEVEL: 'silent' }), () => ({ catalogue, builds: [] })),
  ).rejects.toMatchObject({ code: 'EADDRINUSE' });
  await first.stop();
});

test('with the database away the answer says that nothing was saved', async () => {
  const gone = await serve(readConfig({ DATABASE_URL: server.url, PORT: '0', LOG_LEVEL: 'silent' }), () => ({
    catalogue,
    builds: [],
  }));
  const wrong = new URL(server.url);
  wrong.port = '1';
  await expect(
    serve(readConfig({ DATABASE_URL: wrong.href, PORT: '0', LOG_LEVEL: 'silent' }), () => ({ catalogue, builds: [] })),
  ).rejects.toThrow();
  await gone.stop();
}, 30_000);

test('a setting that is wrong is named', () => {
  expect(() => readConfig({ DATABASE_URL: 'postgres://x' })).toThrow('DATABASE_URL must look like mariadb://');
  expect(() => readConfig({ DATABASE_URL: 'mariadb://a', PORT: '99999' })).toThrow('PORT');
});
