import { FORMAT, newBuild, type Build } from '@inch-tower/core';
import { readdirSync, readFileSync } from 'node:fs';
import request from 'supertest';
import { migrate } from '../database/migrations';
import { testServer, type TestServer } from '../testing/database';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(async () => {
  await server.drop();
});
const api = () => request(server.app);
let made = 0;
const make = async (name = 'A build') => {
  const build = newBuild(`t-${++made}`, name);
  const answer = await api().post('/api/builds').send(build).expect(201);
  return { build, etag: String(answer.headers.etag) };
};

test('health answers when the database does', async () => {
  await api().get('/api/health').expect(200, { status: 'ok' });
});

test('migrations run once and are done', async () => {
  expect(await migrate(server.database)).toEqual([]);
});

test('migrations cut short by a crash are run again from the start and do only what is not there', async () => {
  const tables = (await server.database.getQueryInterface().showAllTables()) as unknown as readonly (
    string | { readonly tableName: string }
  )[];
  const log = tables.map((one) => (typeof one === 'string' ? one : one.tableName)).find((name) => /meta/i.test(name))!;
  await server.database.query(`DELETE FROM \`${log}\``);
  expect(await migrate(server.database)).toEqual([
    '001-builds-revisions-parts',
    '002-own-parts-and-stock',
    '003-exact-ids',
    '004-stamps-and-cards',
    '005-keys',
  ]);
  expect(await migrate(server.database)).toEqual([]);
});

test('a build is made, read with its etag, and listed', async () => {
  const { build, etag } = await make('Læsø ☂ 船');
  const read = await api().get(`/api/builds/${build.id}`).expect(200);
  expect(read.body).toEqual(build);
  expect(read.headers.etag).toBe(etag);
  const list = await api().get('/api/builds').expect(200);
  expect((list.body as { builds: { id: string }[] }).builds.map((one) => one.id)).toContain(build.id);
});

test('a save on the version it was made on is taken and kept as a revision', async () => {
  const { build, etag } = await make();
  const saved = await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, name: 'Renamed' })
    .expect(200);
  expect(saved.headers.etag).not.toBe(etag);
  const revisions = (await api().get(`/api/builds/${build.id}/revisions`).expect(200)).body as {
    revisions: { etag: string }[];
  };
  expect(revisions.revisions).toHaveLength(2);
  const first = await api().get(`/api/builds/${build.id}/revisions/${revisions.revisions[1]!.etag}`).expect(200);
  expect(first.body).toEqual(build);
});

test('a stale save answers 412 with their version, and overwrites nothing', async () => {
  const { build, etag } = await make();
  await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, name: 'Theirs' })
    .expect(200);
  const stale = await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, name: 'Mine' })
    .expect(412);
  expect(stale.headers['content-type']).toContain('application/problem+json');
  expect(stale.body).toMatchObject({ status: 412, code: 'stale', theirs: { build: { name: 'Theirs' } } });
  expect((await api().get(`/api/builds/${build.id}`)).body).toMatchObject({ name: 'Theirs' });
});

test('of twenty saves on one version exactly one is taken', async () => {
  const { build, etag } = await make();
  const answers = await Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      api()
        .put(`/api/builds/${build.id}`)
        .set('If-Match', etag)
        .send({ ...build, name: `Save ${i}` }),
    ),
  );
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, ...Array<number>(19).fill(412)]);
});

test('the same save sent again, as after a lost answer, is the save it already is', async () => {
  const { build, etag } = await make();
  const next = { ...build, name: 'Once' };
  const first = await api().put(`/api/builds/${build.id}`).set('If-Match', etag).send(next).expect(200);
  const again = await api().put(`/api/builds/${build.id}`).set('If-Match', etag).send(next).expect(200);
  expect(again.headers.etag).toBe(first.headers.etag);
});

test('going back to an earlier content is a save like any other', async () => {
  const { build, etag } = await make();
  const there = await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, name: 'There' })
    .expect(200);
  const back = await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', String(there.headers.etag))
    .send(build)
    .expect(200);
  expect(back.headers.etag).toBe(etag);
});

test('a save without a version, or of another build, is refused', async () => {
  const { build, etag } = await make();
  await api().put(`/api/builds/${build.id}`).send(build).expect(428);
  const wrong = await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, id: 'other' })
    .expect(409);
  expect(wrong.body).toMatchObject({ code: 'otherId' });
});

test.each<[string, unknown, number, string]>([
  ['another format', { ...newBuild('bad', 'Bad'), format: 9 }, 422, 'otherFormat'],
  ['no build at all', { hello: 1 }, 422, 'otherFormat'],
  ['a field too many', { ...newBuild('bad', 'Bad'), extra: 1 }, 422, 'notABuild'],
  ['a name too long', newBuild('bad', 'x'.repeat(300)), 413, 'overLimit'],
  ['an id that is a path', newBuild('../etc', 'Bad'), 422, 'notABuild'],
])('%s is refused and nothing is saved', async (_name, body, status, code) => {
  const answer = await api()
    .post('/api/builds')
    .send(body as object)
    .expect(status);
  expect(answer.body).toMatchObject({ code, detail: expect.stringContaining('Nothing was saved') as string });
  await api().get('/api/builds/bad').expect(404);
});

test('text that is not JSON, and a body over 8 MB, are refused as problems', async () => {
  const broken = await api()
    .post('/api/builds')
    .set('Content-Type', 'application/json')
    .send('{"format":1,')
    .expect(400);
  expect(broken.body).toMatchObject({ code: 'notJson' });
  const large = await api()
    .post('/api/builds')
    .set('Content-Type', 'application/json')
    .send(`{"notes":"${'x'.repeat(9 * 1024 * 1024)}"}`)
    .expect(413);
  expect(large.body).toMatchObject({ code: 'overLimit' });
});

test('a script in a name is kept as text and sent as JSON', async () => {
  const { build } = await make('<script>alert(1)</script>');
  const read = await api()
    .get(`/api/builds/${build.id}`)
    .expect('Content-Type', /application\/json/);
  expect((read.body as { name: string }).name).toBe('<script>alert(1)</script>');
  expect(read.headers['content-security-policy']).toContain("script-src 'self'");
  expect(read.headers['content-security-policy']).not.toContain('unsafe-inline');
});

test('an id in use is refused, a build taken down is gone with its revisions', async () => {
  const { build, etag } = await make();
  await api().post('/api/builds').send(build).expect(409);
  await api().delete(`/api/builds/${build.id}`).expect(428);
  await api().delete(`/api/builds/${build.id}`).set('If-Match', etag).expect(204);
  await api().get(`/api/builds/${build.id}`).expect(404);
  await api().delete(`/api/builds/${build.id}`).set('If-Match', '*').expect(404);
  expect(await server.store.listRevisions(build.id, null, 10)).toEqual([]);
});

test('a build saved elsewhere meanwhile is not deleted by who has not seen that', async () => {
  const { build, etag } = await make();
  await api()
    .put(`/api/builds/${build.id}`)
    .set('If-Match', etag)
    .send({ ...build, name: 'Newer' })
    .expect(200);
  expect((await api().delete(`/api/builds/${build.id}`).set('If-Match', etag).expect(412)).body).toMatchObject({
    code: 'stale',
    theirs: { build: { name: 'Newer' } },
  });
  await api().get(`/api/builds/${build.id}`).expect(200);
});

test('the list is a page of cards, searched by name, with nothing of the documents', async () => {
  for (let i = 0; i < 5; i++) await make(`Paged 50%_${i}`);
  const page = (await api().get('/api/builds?search=50%25_&from=1&limit=3').expect(200)).body as {
    total: number;
    builds: { name: string; card: unknown }[];
  };
  expect([page.total, page.builds.map((one) => one.name)]).toEqual([5, ['Paged 50%_1', 'Paged 50%_2', 'Paged 50%_3']]);
  expect(Object.keys(page.builds[0]!)).toEqual(['id', 'name', 'etag', 'updated', 'card']);
  await api().get('/api/builds?limit=100000').expect(400);
});

test('revisions come in pages, newest first, and one can be named', async () => {
  const { build, etag } = await make();
  let last = etag;
  for (const name of ['One', 'Two', 'Three'])
    last = String(
      (
        await api()
          .put(`/api/builds/${build.id}`)
          .set('If-Match', last)
          .send({ ...build, name })
          .expect(200)
      ).headers.etag,
    );
  type Page = { revisions: { etag: string; named?: string }[]; before?: string };
  const first = (await api().get(`/api/builds/${build.id}/revisions?limit=3`)).body as Page;
  const rest = (await api().get(`/api/builds/${build.id}/revisions?limit=3&before=${first.before!}`)).body as Page;
  expect([first.revisions.length, rest.revisions.length, rest.before]).toEqual([3, 1, undefined]);
  expect(`"${first.revisions[0]!.etag}"`).toBe(last);
  await api()
    .put(`/api/builds/${build.id}/revisions/${rest.revisions[0]!.etag}/name`)
    .send({ name: 'As bought' })
    .expect(204);
  const named = (await api().get(`/api/builds/${build.id}/revisions`)).body as Page;
  expect(named.revisions.map((one) => one.named)).toEqual([undefined, undefined, undefined, 'As bought']);
  await api().put(`/api/builds/${build.id}/revisions/nowhere/name`).send({ name: 'x' }).expect(404);
});

test('an assessment is computed on the server too', async () => {
  const { build } = await make();
  expect((await api().get(`/api/builds/${build.id}/assessment`).expect(200)).body).toMatchObject({
    status: 'empty',
    snags: [],
  });
});

test('an unknown address of the API is a problem, not a page', async () => {
  const answer = await api().get('/api/nothing').expect(404);
  expect(answer.headers['content-type']).toContain('application/problem+json');
});

test('rows of format 1 are worked out as they lie, and saved they are of the newest format', async () => {
  const folder = 'core/src/testing/formats/1';
  for (const name of readdirSync(folder).filter((one) => one !== 'kept-copy.json')) {
    const doc = readFileSync(`${folder}/${name}`, 'utf8');
    const { id, name: called } = JSON.parse(doc) as { id: string; name: string };
    await server.database.query("INSERT INTO builds (id, name, etag, doc, updated) VALUES (?, ?, 'old', ?, NOW(3))", {
      replacements: [id, called, doc],
    });
    const bill = await request(server.app).get(`/api/builds/${id}/bill`);
    expect([name, bill.status]).toEqual([name, 200]);
    const saved = await request(server.app)
      .put(`/api/builds/${id}`)
      .set('if-match', '"old"')
      .set('content-type', 'application/json')
      .send(doc);
    expect([name, saved.status, (saved.body as Build).format]).toEqual([name, 200, FORMAT]);
  }
}, 60_000);
