import { newBuild } from '@inch-tower/core';
import { pino } from 'pino';
import { resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { QueryTypes } from 'sequelize';
import request from 'supertest';
import { createApp } from '../app';
import { readConfig } from '../config';
import { serve, StartRefused } from '../serve';
import { createJobs } from '../work/jobs';
import { testServer, type TestServer } from '../testing/database';
import { createKeys } from './keys';
import { nameIn, ownNames } from './ownNames';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(async () => {
  await server.drop();
});
const api = () => request(server.app);
const guarded = () =>
  request(
    createApp({
      store: server.store,
      jobs: createJobs(),
      logger: pino({ level: 'silent' }),
      keys: createKeys(server.database),
    }),
  );

describe('only this server’s own names are answered', () => {
  test.each(['localhost', 'localhost:4680', '127.0.0.1:4680', '[::1]:4680', 'LocalHost.'])(
    '%s is one',
    async (host) => {
      await api().get('/api/health').set('Host', host).expect(200);
    },
  );
  test.each(['rebound.test', 'rebound.test:4680', '127.0.0.1.rebound.test', 'localhost@rebound.test', '', 'a b'])(
    '%j is none: it reads nothing',
    async (host) => {
      const answer = await api().get('/api/builds').set('Host', host);
      expect([400, 421]).toContain(answer.status);
      expect(answer.text).not.toContain('"builds"');
    },
  );
  test('a page that let its name point here deletes and makes nothing', async () => {
    const build = newBuild('kept', 'Kept');
    await api().post('/api/builds').send(build).expect(201);
    for (const ask of [
      api().delete('/api/builds/kept').set('If-Match', '*'),
      api().post('/api/builds').send(newBuild('made-there', 'x')),
    ])
      await ask.set('Host', 'rebound.test').expect(421);
    await api().get('/api/builds/kept').expect(200);
    await api().get('/api/builds/made-there').expect(404);
  });
  test('listening everywhere, its addresses and told names are its own; a name is told without its port', () => {
    expect(ownNames('0.0.0.0', ['tower.lan']).has('tower.lan')).toBe(true);
    expect(ownNames('192.168.1.5', []).has('192.168.1.5')).toBe(true);
    expect([nameIn('tower.lan:80'), nameIn('[fe80::1]:80'), nameIn(undefined), nameIn('a/b')]).toEqual([
      'tower.lan',
      '[fe80::1]',
      null,
      null,
    ]);
  });
});

describe('what changes something comes from our own page, or from no page', () => {
  const post = () => api().post('/api/builds').set('Host', 'localhost:4680');
  test.each([
    ['another origin', { Origin: 'http://elsewhere.test' }],
    ['no origin of its own', { Origin: 'null' }],
    ['another port of this machine', { Origin: 'http://localhost:9' }],
    ['another site', { 'Sec-Fetch-Site': 'cross-site' }],
  ])('%s is refused', async (_name, headers) => {
    expect((await post().set(headers).send(newBuild('foreign', 'x')).expect(403)).body).toMatchObject({
      code: 'otherOrigin',
    });
  });
  test('our own origin, and none at all, are taken', async () => {
    await post()
      .set({ Origin: 'http://localhost:4680', 'Sec-Fetch-Site': 'same-origin' })
      .send(newBuild('own-1', 'x'))
      .expect(201);
    await post().send(newBuild('own-2', 'x')).expect(201);
  });
  test('a form’s text is not taken for JSON', async () => {
    expect(
      (
        await post()
          .set('Content-Type', 'text/plain')
          .send(JSON.stringify(newBuild('form', 'x')))
          .expect(415)
      ).body,
    ).toMatchObject({ code: 'notJson' });
  });
});

test('a page elsewhere uses up its own share of requests, not the builder’s', async () => {
  const app = createApp({
    store: server.store,
    jobs: createJobs(),
    logger: pino({ level: 'silent' }),
    requestsPerMinute: 10,
  });
  const blind = await Promise.all(
    Array.from({ length: 15 }, () => request(app).get('/api/health').set('Sec-Fetch-Site', 'cross-site')),
  );
  expect(blind.filter((answer) => answer.status === 429)).toHaveLength(5);
  await request(app).get('/api/health').set('Sec-Fetch-Site', 'same-origin').expect(200);
  await request(app).get('/api/health').set('X-Inch-Tower', '1').expect(200);
});

describe('beyond loopback a key is wanted', () => {
  test('without one nothing is read or written; with one a session is opened that scripts cannot read', async () => {
    const key = await createKeys(server.database).make('full', 'test');
    await guarded().get('/api/builds').expect(401);
    await guarded().post('/api/builds').send(newBuild('no-key', 'x')).expect(401);
    const opened = await guarded().post('/api/session').send({ key }).expect(201);
    const cookie = String(opened.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    const token = cookie.split(';')[0]!;
    await guarded().get('/api/builds').set('Cookie', token).expect(200);
    await guarded().post('/api/builds').set('Cookie', token).send(newBuild('with-key', 'x')).expect(201);
    await guarded().delete('/api/session').set('Cookie', token).expect(204);
    await guarded().get('/api/builds').set('Cookie', token).expect(401);
  });
  test('a key for reading reads, and writes nothing', async () => {
    const key = await createKeys(server.database).make('read', 'guests');
    const token = String((await guarded().post('/api/session').send({ key }).expect(201)).headers['set-cookie']).split(
      ';',
    )[0]!;
    await guarded().get('/api/parts').set('Cookie', token).expect(200);
    expect(
      (await guarded().post('/api/builds').set('Cookie', token).send(newBuild('by-guest', 'x')).expect(403)).body,
    ).toMatchObject({ code: 'readOnly' });
  });
  test('a withdrawn key opens nothing, and its sessions end', async () => {
    const keys = createKeys(server.database);
    const key = await keys.make('full', 'lost');
    const app = request(
      createApp({ store: server.store, jobs: createJobs(), logger: pino({ level: 'silent' }), keys }),
    );
    const token = String((await app.post('/api/session').send({ key }).expect(201)).headers['set-cookie']).split(
      ';',
    )[0]!;
    await app.get('/api/builds').set('Cookie', token).expect(200);
    expect(await keys.withdraw(key.slice(0, 4))).toBe(true);
    await app.get('/api/builds').set('Cookie', token).expect(401);
    await app.post('/api/session').send({ key }).expect(401);
  });
  test('tries are limited', async () => {
    const app = guarded();
    const statuses: number[] = [];
    for (let i = 0; i < 12; i++)
      statuses.push((await app.post('/api/session').send({ key: `abcd-wrong-${i}` })).status);
    expect(statuses.slice(0, 10)).toEqual(Array(10).fill(401));
    expect(statuses.slice(10)).toEqual([429, 429]);
  });
  test('nothing of a key is kept but its slow hash', async () => {
    const key = await createKeys(server.database).make('full', 'kept');
    const rows = await server.database.query('SELECT * FROM access_keys', { type: QueryTypes.SELECT });
    expect(JSON.stringify(rows)).not.toContain(key.slice(5));
  });
  test('the first start makes a key; with all withdrawn it does not start', async () => {
    const fresh = await testServer();
    const start = () =>
      serve(readConfig({ DATABASE_URL: fresh.url, HOST: '0.0.0.0', PORT: '0', LOG_LEVEL: 'silent' }), () => ({
        catalogue: { sheets: {}, archetypes: {} },
        builds: [],
      }));
    const first = await start();
    expect(first.newKey).toMatch(/^[a-z0-9]{4}(-[a-z0-9]{5}){5}$/);
    await first.stop();
    const second = await start();
    expect(second.newKey).toBeNull();
    await second.stop();
    await createKeys(fresh.database).withdraw(first.newKey!.slice(0, 4));
    await expect(start()).rejects.toThrow(StartRefused);
    await fresh.drop();
  }, 60_000);
});

describe('what is sent wrong is said to be that, and is no fault of ours', () => {
  const json = { 'Content-Type': 'application/json' };
  test.each([
    ['a broken escape in an address', () => api().get('/api/builds/%E0%A4%A'), 400],
    [
      'an unknown charset',
      () => api().post('/api/builds').set('Content-Type', 'application/json; charset=klingon').send('{}'),
      415,
    ],
    [
      'an unknown coding',
      () =>
        api()
          .post('/api/builds')
          .set({ ...json, 'Content-Encoding': 'zebra' })
          .send('{}'),
      415,
    ],
    [
      'gzip that is none',
      () =>
        api()
          .post('/api/builds')
          .set({ ...json, 'Content-Encoding': 'gzip' })
          .send('{"a":1}'),
      400,
    ],
    [
      'gzip cut short',
      () =>
        api()
          .post('/api/builds')
          .set({ ...json, 'Content-Encoding': 'gzip' })
          .serialize((body: unknown) => body as string)
          .send(gzipSync(JSON.stringify(newBuild('z', 'z'))).subarray(0, 40) as unknown as string),
      400,
    ],
  ])('%s', async (_name, ask, status) => {
    const answer = await ask().expect(status);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect((answer.body as { code: string }).code).not.toBe('fault');
  });
});

test('missing files are 404, broken addresses of files 400, views the page', async () => {
  const app = createApp({
    store: server.store,
    jobs: createJobs(),
    logger: pino({ level: 'silent' }),
    webFolder: resolve('web'),
  });
  await request(app).get('/assets/nothing.js').expect(404);
  await request(app).get('/assets/%E0%A4%A').expect(400);
  await request(app).get('/b/some-machine').expect(200);
});
