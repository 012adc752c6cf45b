import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import request from 'supertest';
import { openApi, PATHS } from './openapi';
import { testServer, type TestServer } from './testing/database';

type Layer = {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
  readonly name: string;
};
let server: TestServer;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(async () => {
  await server.drop();
});

test('the description is served, and every reference in it cables somewhere', async () => {
  const { body } = (await request(server.app).get('/api/openapi.json').expect(200)) as {
    body: { openapi: string; components: { schemas: object } };
  };
  expect(body.openapi).toBe('3.1.0');
  const names = [...JSON.stringify(body).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(([, name]) => name!);
  expect(names.length).toBeGreaterThan(20);
  for (const name of new Set(names)) expect(Object.keys(body.components.schemas)).toContain(name);
  expect(JSON.stringify(body)).not.toContain('#/$defs/');
});

test('every address described answers by its method, and no route is left out', async () => {
  const routers = {
    parts: ['/', '/:id'],
    stock: ['/', '/:id'],
    session: ['/'],
    builds: [
      '/',
      '/:id',
      '/:id/revisions',
      '/:id/revisions/:etag',
      '/:id/revisions/:etag/name',
      '/:id/assessment',
      '/:id/bill',
      '/:id/drawing',
    ],
  };
  const described = Object.keys(PATHS)
    .filter((path) => path !== '/health' && path !== '/openapi.json')
    .sort();
  expect(described).toEqual(
    Object.entries(routers)
      .flatMap(([root, paths]) => paths.map((path) => `/${root}${path === '/' ? '' : path.replace(/:(\w+)/g, '{$1}')}`))
      .sort(),
  );
  for (const [path, operations] of Object.entries(PATHS))
    for (const [method, operation] of Object.entries(operations)) {
      const address = `/api${path.replace(/\{\w+\}/g, 'nothing-here')}`;
      const answer = await (request(server.app) as unknown as Record<string, (to: string) => request.Test>)[method]!(
        address,
      ).send(method === 'put' || method === 'post' ? {} : undefined);
      expect([method, path, answer.body as { code?: string }]).not.toMatchObject([method, path, { code: 'noAddress' }]);
      expect([method, path, operation.answers.map(([status]) => status)]).toEqual([
        method,
        path,
        expect.arrayContaining([answer.status]),
      ]);
    }
});

test('routes of the app are those of the description', () => {
  const stackOf = (one: unknown): readonly Layer[] => (one as { readonly stack?: readonly Layer[] }).stack ?? [];
  const routes: string[] = [];
  const walk = (layers: readonly Layer[]) =>
    layers.forEach((layer) => {
      if (layer.route)
        routes.push(...Object.keys(layer.route.methods).map((method) => `${method} ${layer.route!.path}`));
      else walk(stackOf(layer.handle));
    });
  walk(stackOf((server.app as unknown as { router: unknown }).router));
  const described = Object.values(PATHS).reduce((sum, operations) => sum + Object.keys(operations).length, 0);
  expect(routes.filter((route) => !route.includes('{*path}')).length).toBe(described);
});

test('the schemas are JSON Schema 2020-12, and demo builds are valid by them', () => {
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  const check = ajv.compile(JSON.parse(readFileSync('docs/schema/build-2.schema.json', 'utf8')) as object);
  for (const name of ['hall-cupboard', 'boathouse-rack', 'old-desktop', 'school-shelf', 'field-kit', 'reading-room']) {
    const build = JSON.parse(readFileSync(`demo/builds/${name}.json`, 'utf8')) as Record<string, unknown>;
    expect([name, check(build), check.errors]).toEqual([name, true, null]);
    expect([name, check({ ...build, format: 3 })]).toEqual([name, false]);
    expect([name, check({ ...build, colour: 'red' })]).toEqual([name, false]);
  }
  expect(Object.keys(openApi())).toContain('components');
});

test('bill and drawing are given as files to keep', async () => {
  const build = JSON.parse(readFileSync('demo/builds/field-kit.json', 'utf8')) as object;
  await request(server.app).post('/api/builds').send(build).expect(201);
  const bill = await request(server.app)
    .get('/api/builds/field-kit/bill')
    .expect(200)
    .expect('content-type', /text\/csv/);
  expect(bill.text).toContain('Together');
  const drawing = await request(server.app)
    .get('/api/builds/field-kit/drawing')
    .expect(200)
    .expect('content-type', /svg/);
  expect(drawing.headers['content-disposition']).toContain('attachment');
});
