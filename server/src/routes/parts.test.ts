import {
  newBuild,
  ownSheet,
  type Archetype,
  type Catalogue,
  type Sheet,
  type SheetId,
  type StockEntry,
} from '@inch-tower/core';
import { readFileSync } from 'node:fs';
import request from 'supertest';
import { testServer, type TestServer } from '../testing/database';

let server: TestServer;
const read = (name: string) => JSON.parse(readFileSync(`demo/catalogue/${name}.json`, 'utf8')) as { id: string }[];
const byId = <T>(list: readonly { id: string }[]) =>
  Object.fromEntries(list.map((one) => [one.id, one])) as Record<string, T>;
const catalogue: Catalogue = {
  archetypes: byId<Archetype>(read('archetypes')),
  sheets: byId<Sheet>([...read('drive'), ...read('fan')]),
};
beforeAll(async () => {
  server = await testServer();
  await server.store.refreshCatalogue(catalogue);
}, 60_000);
afterAll(async () => {
  await server.drop();
});
const api = () => request(server.app);
let made = 0;
const mine = (name = `Mine ${++made}`): Sheet =>
  ownSheet(`own-${++made}` as SheetId, catalogue.archetypes['disk-25']!, {
    name,
    values: { idleW: 1.2 },
    basis: 'measured',
  });
const putSheet = (sheet: Sheet, madeOn = 0) => api().put(`/api/parts/${sheet.id}`).send({ sheet, madeOn });
const entryOf = (sheet: string, more: Partial<StockEntry> = {}): StockEntry => ({
  id: `s-${++made}`,
  sheet: sheet as SheetId,
  count: 2,
  ...more,
});

test('an own sheet is made, changed on its revision, and refused on an older one with the newer in the answer', async () => {
  const sheet = mine();
  await putSheet(sheet).expect(200);
  const changed = { ...sheet, name: 'Changed' } as Sheet;
  expect((await putSheet(changed, 1).expect(200)).body).toMatchObject({ rev: 2, name: 'Changed' });
  const stale = await putSheet(sheet, 1).expect(412);
  expect(stale.body).toMatchObject({ code: 'stale', theirs: { name: 'Changed', rev: 2 } });
  const parts = (await api().get('/api/parts').expect(200)).body as { own: string[]; sheets: Record<string, Sheet> };
  expect(parts.own).toContain(sheet.id);
  expect(parts.sheets[sheet.id]!.name).toBe('Changed');
});

test('a part of the catalogue is neither changed nor taken out', async () => {
  const shipped = catalogue.sheets['coot-1']!;
  expect((await putSheet(shipped, 1).expect(409)).body).toMatchObject({ code: 'shipped' });
  await api().delete('/api/parts/coot-1').expect(409);
});

test.each([
  ['a field out of bounds', { idleW: 900 }, 422, 'idleW'],
  ['an archetype that is not here', { archetype: 'nowhere' }, 422, 'nowhere'],
  ['an archetype of another kind', { archetype: 'fan-120' }, 422, 'its archetype a fan'],
  ['an unknown field', { colour: 'red' }, 422, 'colour'],
] as const)('%s is refused and nothing is saved', async (_name, change, status, words) => {
  const sheet = { ...mine(), ...change } as unknown as Sheet;
  const answer = await putSheet(sheet).expect(status);
  expect(String((answer.body as { detail: string }).detail)).toContain(words);
  expect(((await api().get('/api/parts')).body as { sheets: object }).sheets).not.toHaveProperty(sheet.id);
});

test('many sheets are taken in together, all or none', async () => {
  const two = [mine(), mine()];
  expect((await api().post('/api/parts').send({ sheets: two }).expect(201)).body).toEqual({ taken: 2 });
  const bad = mine();
  await api()
    .post('/api/parts')
    .send({ sheets: [bad, catalogue.sheets['coot-1']] })
    .expect(409);
  expect(((await api().get('/api/parts')).body as { sheets: object }).sheets).not.toHaveProperty(bad.id);
});

test('a sheet that another contains stays, one that contains what is nowhere is refused', async () => {
  const inner = mine();
  const outer = { ...mine(), inTheBox: [{ sheet: inner.id, count: 1 }] } as Sheet;
  expect((await putSheet(outer).expect(422)).body).toMatchObject({
    detail: expect.stringContaining(`contains ${inner.id}, which is not here`) as string,
  });
  await api()
    .post('/api/parts')
    .send({ sheets: [outer, inner] })
    .expect(201);
  expect((await api().delete(`/api/parts/${inner.id}`).expect(409)).body).toMatchObject({ code: 'contained' });
  await api().delete(`/api/parts/${outer.id}`).expect(204);
  await api().delete(`/api/parts/${inner.id}`).expect(204);
});

test('one id is one thing: a sheet never takes the place of an archetype', async () => {
  const archetype = { ...catalogue.archetypes['disk-25']!, id: 'own-class', name: 'A class of mine' } as Archetype;
  await api()
    .post('/api/parts')
    .send({ sheets: [mine()], archetypes: [archetype] })
    .expect(201);
  await api()
    .post('/api/parts')
    .send({ sheets: [{ ...mine(), id: 'own-class' }] })
    .expect(409);
  await api()
    .post('/api/parts')
    .send({ sheets: [{ ...mine(), id: 'class-disk-25' }] })
    .expect(422);
  const parts = (await api().get('/api/parts')).body as { archetypes: Record<string, { name: string }> };
  expect(parts.archetypes['own-class']!.name).toBe('A class of mine');
});

test('a corrected catalogue reaches shipped parts and leaves own ones alone', async () => {
  const sheet = mine('Stays');
  await putSheet(sheet).expect(200);
  const corrected = {
    ...catalogue,
    sheets: {
      ...catalogue.sheets,
      'coot-1': { ...catalogue.sheets['coot-1']!, name: 'Coot 1 TB, corrected' } as Sheet,
      [sheet.id]: { ...sheet, name: 'Overwritten' } as Sheet,
    },
  };
  await server.store.refreshCatalogue(corrected);
  const parts = (await api().get('/api/parts')).body as { sheets: Record<string, Sheet> };
  expect([parts.sheets['coot-1']!.name, parts.sheets[sheet.id]!.name]).toEqual(['Coot 1 TB, corrected', 'Stays']);
  await server.store.refreshCatalogue(catalogue);
});

test('stock is kept with its age and price; a sheet in stock stays', async () => {
  const sheet = mine();
  await putSheet(sheet).expect(200);
  const entry = entryOf(sheet.id, {
    year: 2016,
    hours: 41_000,
    condition: 'worn',
    paid: { minor: 9000, currency: 'EUR' },
  });
  const saved = await api().put(`/api/stock/${entry.id}`).send(entry).expect(200);
  expect((await api().get('/api/stock')).body).toMatchObject({
    stock: expect.arrayContaining([{ entry, etag: String(saved.headers.etag).replaceAll('"', '') }]) as unknown,
  });
  expect((await api().delete(`/api/parts/${sheet.id}`).expect(409)).body).toMatchObject({ code: 'inStock' });
  await api().delete(`/api/stock/${entry.id}`).expect(428);
  await api().delete(`/api/stock/${entry.id}`).set('If-Match', '"another"').expect(412);
  await api().delete(`/api/stock/${entry.id}`).set('If-Match', String(saved.headers.etag)).expect(204);
  await api().delete(`/api/parts/${sheet.id}`).expect(204);
  await api().delete(`/api/stock/${entry.id}`).set('If-Match', '*').expect(404);
});

test('an entry saved on an older version is refused with the newer', async () => {
  const entry = entryOf('coot-1');
  const first = await api().put(`/api/stock/${entry.id}`).send(entry).expect(200);
  await api()
    .put(`/api/stock/${entry.id}`)
    .set('If-Match', String(first.headers.etag))
    .send({ ...entry, count: 3 })
    .expect(200);
  const stale = await api()
    .put(`/api/stock/${entry.id}`)
    .set('If-Match', String(first.headers.etag))
    .send({ ...entry, count: 9 })
    .expect(412);
  expect(stale.body).toMatchObject({ theirs: { entry: { count: 3 } } });
});

test('an old machine is taken in at once: its sheets and its entries, or nothing', async () => {
  const sheet = mine();
  await api()
    .post('/api/stock')
    .send({ sheets: [sheet], entries: [entryOf(sheet.id), entryOf('coot-1')] })
    .expect(201);
  const lost = mine();
  await api()
    .post('/api/stock')
    .send({ sheets: [lost], entries: [entryOf(lost.id), entryOf('own-nowhere')] })
    .expect(422);
  expect(((await api().get('/api/parts')).body as { sheets: object }).sheets).not.toHaveProperty(lost.id);
});

test('builds that use an entry are listed as its claims', async () => {
  const entry = entryOf('coot-1', { count: 1 });
  await api().put(`/api/stock/${entry.id}`).send(entry).expect(200);
  for (const name of ['One', 'Two']) {
    const build = newBuild(`claim-${name}`, name);
    const item = {
      id: 'i1',
      sheet: 'coot-1',
      units: [{ id: 'u2', mark: 'A1' }],
      stage: 0,
      deal: 'owned',
      stockId: entry.id,
    };
    await api()
      .post('/api/builds')
      .send({
        ...build,
        items: [item],
        sheets: { 'coot-1': catalogue.sheets['coot-1'] },
        archetypes: { 'disk-25': catalogue.archetypes['disk-25'] },
      })
      .expect(201);
  }
  const { claims } = (await api().get('/api/stock')).body as {
    claims: { stock: string; name: string; units: number }[];
  };
  expect(claims.filter((claim) => claim.stock === entry.id)).toMatchObject([
    { name: 'One', units: 1 },
    { name: 'Two', units: 1 },
  ]);
});

test('the catalogue is sent once: asked with its tag again, it is as it was, until a part changes', async () => {
  const first = await api().get('/api/parts').expect(200);
  const tag = String(first.headers.etag);
  await api().get('/api/parts').set('If-None-Match', tag).expect(304);
  await putSheet(mine()).expect(200);
  expect((await api().get('/api/parts').set('If-None-Match', tag).expect(200)).headers.etag).not.toBe(tag);
});

test.each(['COOT-1', 'c\u00f6ot-1', 'coot-1 '])(
  'an import called %j leaves the shipped coot-1 as it is',
  async (id) => {
    const answer = await api()
      .post('/api/parts')
      .send({ sheets: [{ ...mine(), id }] });
    expect([201, 422]).toContain(answer.status);
    const parts = (await api().get('/api/parts')).body as { sheets: Record<string, Sheet>; own: string[] };
    expect(parts.sheets['coot-1']).toEqual(catalogue.sheets['coot-1']);
    expect(parts.own).not.toContain('coot-1');
  },
);

test('ids that differ in case alone are two sheets, and one is deleted alone', async () => {
  await putSheet({ ...mine(), id: 'own-case' as SheetId }).expect(200);
  await putSheet({ ...mine(), id: 'own-CASE' as SheetId }).expect(200);
  await api().delete('/api/parts/own-c%C3%A0se').expect(404);
  await api().delete('/api/parts/own-CASE').expect(204);
  expect(((await api().get('/api/parts')).body as { sheets: object }).sheets).toHaveProperty('own-case');
});

test('an imported class that no part can be read by is named, and all others are shown', async () => {
  const archetype = { ...catalogue.archetypes['disk-25']!, id: 'ACCELERATOR', name: 'Odd' } as Archetype;
  await api()
    .post('/api/parts')
    .send({ sheets: [{ ...mine(), archetype: 'ACCELERATOR' }], archetypes: [archetype] })
    .expect(201);
  await server.database.query('UPDATE parts SET doc = \'{"id":"ACCELERATOR"\' WHERE id = \'ACCELERATOR\'');
  await server.database.query("UPDATE stamps SET value = value + 1 WHERE name = 'parts'");
  const parts = (await api().get('/api/parts').expect(200)).body as { sheets: object; unreadable: { id: string }[] };
  expect(parts.sheets).toHaveProperty('coot-1');
  expect(parts.unreadable.map((one) => one.id)).toContain('ACCELERATOR');
});

test('a hundred new sheets, overlapping imports and stock entries at once: none answers 5xx, and all are there', async () => {
  const sheets = Array.from({ length: 100 }, () => mine());
  const saved = await Promise.all(sheets.map((sheet) => putSheet(sheet)));
  expect(saved.map((answer) => answer.status).filter((status) => status !== 200)).toEqual([]);
  const overlapping = await Promise.all(
    Array.from({ length: 40 }, (_, i) =>
      api()
        .post('/api/parts')
        .send({ sheets: [...sheets.slice(i, i + 20)].sort(() => (i % 2 ? -1 : 1)) }),
    ),
  );
  expect(overlapping.map((answer) => answer.status).filter((status) => status !== 201)).toEqual([]);
  const entries = await Promise.all(
    Array.from({ length: 120 }, (_, i) => {
      const entry = entryOf(sheets[i % 100]!.id);
      return api().put(`/api/stock/${entry.id}`).send(entry);
    }),
  );
  expect(entries.map((answer) => answer.status).filter((status) => status !== 200)).toEqual([]);
}, 120_000);

test('deleting a sheet while one that contains it comes in leaves no orphan', async () => {
  for (let round = 0; round < 10; round++) {
    const inner = mine();
    await putSheet(inner).expect(200);
    const outer = { ...mine(), inTheBox: [{ sheet: inner.id, count: 1 }] } as Sheet;
    const [gone, came] = await Promise.all([api().delete(`/api/parts/${inner.id}`), putSheet(outer)]);
    expect([
      [204, 422],
      [409, 200],
    ]).toContainEqual([gone.status, came.status]);
  }
}, 60_000);
