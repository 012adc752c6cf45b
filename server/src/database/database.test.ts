import { newBuild } from '@inch-tower/core';
import { QueryTypes } from 'sequelize';
import { serve } from '../serve';
import { readConfig } from '../config';
import { testServer, type TestServer } from '../testing/database';
import { connect } from './connect';
import { makeIdsExact } from './exactIds';
import { createStore } from './store';
import { thinRevisions } from './thinning';
import { inTransaction } from './transaction';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
}, 60_000);
afterAll(async () => {
  await server.drop();
});
const rows = <T extends object>(sql: string): Promise<T[]> =>
  server.database.query<T>(sql, { type: QueryTypes.SELECT });

test('ids that folding had laid over each other are parted: each build is there again, with its revisions', async () => {
  // As an older database has it: one row that was saved over under another spelling.
  const first = newBuild('case-a', 'The first');
  const second = newBuild('CASE-A', 'Saved over it');
  await server.store.createBuild(first);
  const doc = JSON.stringify(second);
  await server.database.query("UPDATE builds SET name = 'Saved over it', etag = 'two', doc = ? WHERE id = 'case-a'", {
    replacements: [doc],
  });
  await server.database.query(
    "INSERT INTO revisions (build_id, etag, doc, saved) VALUES ('case-a', 'two', ?, NOW(3))",
    { replacements: [doc] },
  );
  await makeIdsExact(server.database.getQueryInterface());
  expect(
    (await rows<{ id: string; name: string }>('SELECT id, name FROM builds ORDER BY id')).map((row) => [
      row.id,
      row.name,
    ]),
  ).toEqual([
    ['CASE-A', 'Saved over it'],
    ['case-a', 'The first'],
  ]);
  expect(
    (await rows<{ build_id: string; etag: string }>('SELECT build_id, etag FROM revisions ORDER BY id')).map(
      (row) => row.build_id,
    ),
  ).toEqual(['case-a', 'CASE-A']);
});

test('a shipped part that an import had replaced under another spelling is the shipped one again', async () => {
  const doc = JSON.stringify({ id: 'barge-10', kind: 'drive' });
  await server.database.query(
    "INSERT INTO parts (id, role, kind, name, rev, doc, origin) VALUES ('BARGE-10', 'sheet', 'drive', 'x', 1, ?, 'own')",
    { replacements: [doc] },
  );
  await makeIdsExact(server.database.getQueryInterface());
  expect(await rows("SELECT id, origin FROM parts WHERE doc LIKE '%barge-10%'")).toEqual([
    { id: 'barge-10', origin: 'demo' },
  ]);
  await server.database.query('DELETE FROM parts');
});

test('revisions are thinned: all of a day, then one a day, then one a week; the present and named ones stay', async () => {
  const build = newBuild('thin', 'Thin');
  await server.store.createBuild(build);
  const now = new Date('2026-06-30T12:00:00Z');
  const hours = (count: number) => new Date(now.getTime() - count * 3_600_000);
  let n = 0;
  const saved = async (at: Date, named: string | null = null) => {
    await server.database.query(
      "INSERT INTO revisions (build_id, etag, doc, saved, named) VALUES ('thin', ?, '{}', ?, ?)",
      { replacements: [`e${++n}`, at, named] },
    );
    return `e${n}`;
  };
  const today = [await saved(hours(1)), await saved(hours(20))];
  const days = [await saved(hours(30)), await saved(hours(31)), await saved(hours(60))];
  const weeks = [await saved(hours(24 * 60)), await saved(hours(24 * 60 + 2)), await saved(hours(24 * 120))];
  const named = await saved(hours(24 * 60 + 3), 'As bought');
  const present = await saved(hours(24 * 60 + 4));
  await server.database.query("UPDATE builds SET etag = ? WHERE id = 'thin'", { replacements: [present] });
  await server.database.query("DELETE FROM revisions WHERE build_id = 'thin' AND etag NOT LIKE 'e%'");
  await thinRevisions(server.database, now);
  const left = (await rows<{ etag: string }>("SELECT etag FROM revisions WHERE build_id = 'thin'"))
    .map((row) => row.etag)
    .sort();
  expect(left).toEqual([...today, days[0], days[2], weeks[0], weeks[2], named, present].sort());
});

test('two pieces of work that lock in opposite order are both done', async () => {
  for (const id of ['lock-a', 'lock-b']) await server.store.createBuild(newBuild(id, id));
  const touch = (first: string, second: string) =>
    inTransaction(server.database, async (transaction) => {
      await server.database.query('UPDATE builds SET name = CONCAT(name, 1) WHERE id = ?', {
        replacements: [first],
        transaction,
      });
      await new Promise((resolve) => setTimeout(resolve, 30));
      await server.database.query('UPDATE builds SET name = CONCAT(name, 1) WHERE id = ?', {
        replacements: [second],
        transaction,
      });
    });
  await Promise.all(
    Array.from({ length: 6 }, (_, i) => (i % 2 ? touch('lock-a', 'lock-b') : touch('lock-b', 'lock-a'))),
  );
  expect(await rows("SELECT name FROM builds WHERE id LIKE 'lock-%' ORDER BY id")).toEqual([
    { name: 'lock-a111111' },
    { name: 'lock-b111111' },
  ]);
});

test('two servers starting at once on one empty database: one seeds it, both serve', async () => {
  const fresh = await testServer({ migrated: false });
  const start = () =>
    serve(readConfig({ DATABASE_URL: fresh.url, PORT: '0', LOG_LEVEL: 'silent' }), () => ({
      catalogue: { sheets: {}, archetypes: {} },
      builds: [newBuild('demo', 'Demo')],
    }));
  const both = await Promise.all([start(), start()]);
  for (const one of both)
    expect(((await (await fetch(`${one.url}/api/builds`)).json()) as { total: number }).total).toBe(1);
  for (const one of both) await one.stop();
  await fresh.drop();
}, 60_000);

test('a save whose revision cannot be written saves nothing', async () => {
  const build = newBuild('whole', 'Whole');
  const created = await server.store.createBuild(build);
  if (!created.ok) throw new Error('not made');
  await server.database.query('ALTER TABLE revisions RENAME COLUMN saved TO saved_away');
  try {
    await expect(server.store.saveBuild({ ...build, name: 'Half' }, created.stored.etag)).rejects.toThrow('saved');
  } finally {
    await server.database.query('ALTER TABLE revisions RENAME COLUMN saved_away TO saved');
  }
  expect(await rows("SELECT name FROM builds WHERE id = 'whole'")).toEqual([{ name: 'Whole' }]);
  // The connection it was tried on is not left within a transaction.
  expect(await server.store.saveBuild({ ...build, name: 'Whole again' }, created.stored.etag)).toMatchObject({
    ok: true,
  });
});

test('what another server saved is read, not what this one remembers', async () => {
  const build = newBuild('two-servers', 'First');
  const created = await server.store.createBuild(build);
  if (!created.ok) throw new Error('not made');
  expect(await server.store.findBuild(build.id)).toMatchObject({ etag: created.stored.etag });
  const other = connect(server.url);
  try {
    const saved = await createStore(other).saveBuild({ ...build, name: 'By the other' }, created.stored.etag);
    expect(saved.ok).toBe(true);
  } finally {
    await other.close();
  }
  expect(JSON.parse((await server.store.findBuild(build.id))!.doc)).toMatchObject({ name: 'By the other' });
});
