import type { Build } from '@inch-tower/core';
import { DataTypes, QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { claimsOf } from './claims';
import { makeIdsExact } from './exactIds';
import { SequelizeStorage, Umzug } from 'umzug';

const doc = { type: DataTypes.TEXT('long'), allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const moment = { type: DataTypes.DATE(3), allowNull: false };

/**
 * MariaDB has no transactions over its schema: a step that a crash cut short is simply run again, so each does only
 * what is not there.
 */
async function ensureIndex(
  context: QueryInterface,
  table: string,
  fields: string[],
  name: string,
  unique: boolean,
): Promise<void> {
  const there = (await context.showIndex(table)) as readonly { readonly name: string }[];
  if (!there.some((index) => index.name === name)) await context.addIndex(table, fields, { unique, name });
}

/** Claims of builds saved before claims were kept beside them, a few documents at a time. */
async function claimAnew(database: Sequelize): Promise<void> {
  for (let after = ''; ;) {
    const rows = await database.query<{ id: string; doc: string }>(
      'SELECT id, doc FROM builds WHERE id > ? ORDER BY id LIMIT 50',
      { type: QueryTypes.SELECT, replacements: [after] },
    );
    if (rows.length === 0) return;
    for (const { id, doc } of rows) {
      const claims = claimsOf(JSON.parse(doc) as Build);
      if (claims) await database.query('UPDATE builds SET claims = ? WHERE id = ?', { replacements: [claims, id] });
    }
    after = rows.at(-1)!.id;
  }
}

/** Ordered and named; one that has run is never changed. */
const MIGRATIONS = [
  {
    name: '001-builds-revisions-parts',
    up: async ({ context }: { context: QueryInterface }) => {
      const id = { ...text(120), primaryKey: true };
      await context.createTable('builds', { id, name: text(200), etag: text(64), doc, updated: moment });
      await context.createTable('revisions', {
        id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
        build_id: { ...text(120), references: { model: 'builds', key: 'id' }, onDelete: 'CASCADE' },
        etag: text(64),
        doc,
        saved: moment,
      });
      await ensureIndex(context, 'revisions', ['build_id', 'etag'], 'revision_of_build', true);
      await context.createTable('parts', {
        id,
        role: { type: DataTypes.ENUM('sheet', 'archetype'), allowNull: false },
        kind: text(40),
        name: text(200),
        rev: { type: DataTypes.INTEGER, allowNull: false },
        doc,
      });
      await ensureIndex(context, 'parts', ['role', 'kind'], 'parts_by_kind', false);
    },
    down: async ({ context }: { context: QueryInterface }) => {
      for (const table of ['revisions', 'builds', 'parts']) await context.dropTable(table);
    },
  },
  {
    name: '002-own-parts-and-stock',
    up: async ({ context }: { context: QueryInterface }) => {
      if (!('origin' in (await context.describeTable('parts'))))
        await context.addColumn('parts', 'origin', {
          type: DataTypes.ENUM('demo', 'own'),
          allowNull: false,
          defaultValue: 'demo',
        });
      await context.createTable('stock', {
        id: { ...text(64), primaryKey: true },
        // A sheet that is in stock cannot be taken away under it.
        sheet_id: { ...text(120), references: { model: 'parts', key: 'id' }, onDelete: 'RESTRICT' },
        etag: text(64),
        doc,
        updated: moment,
      });
    },
    down: async ({ context }: { context: QueryInterface }) => {
      await context.dropTable('stock');
      await context.removeColumn('parts', 'origin');
    },
  },
  {
    name: '003-exact-ids',
    up: ({ context }: { context: QueryInterface }) => makeIdsExact(context),
    down: () => Promise.resolve(),
  },
  {
    name: '004-stamps-and-cards',
    up: async ({ context }: { context: QueryInterface }) => {
      // Counts the changes of the catalogue and is the one row that writers of parts lock.
      await context.createTable('stamps', {
        name: { ...text(20), primaryKey: true },
        value: { type: DataTypes.BIGINT, allowNull: false },
      });
      await context.sequelize.query("INSERT IGNORE INTO stamps (name, value) VALUES ('parts', 1)");
      const builds = await context.describeTable('builds');
      // What the first page shows of a build, computed after each save, with the version it was computed of.
      if (!('card' in builds))
        await context.addColumn('builds', 'card', { type: DataTypes.TEXT('long'), allowNull: true });
      if (!('card_of' in builds))
        await context.addColumn('builds', 'card_of', { type: DataTypes.STRING(80), allowNull: true });
      // What the build claims of stock, as JSON; null where it claims nothing.
      if (!('claims' in builds))
        await context.addColumn('builds', 'claims', { type: DataTypes.TEXT('medium'), allowNull: true });
      await claimAnew(context.sequelize);
      if (!('named' in (await context.describeTable('revisions'))))
        await context.addColumn('revisions', 'named', { type: DataTypes.STRING(200), allowNull: true });
      await ensureIndex(context, 'builds', ['name', 'id'], 'builds_by_name', false);
      await ensureIndex(context, 'revisions', ['build_id', 'id'], 'revisions_in_order', false);
    },
    down: async ({ context }: { context: QueryInterface }) => {
      await context.dropTable('stamps');
    },
  },
  {
    name: '005-keys',
    up: async ({ context }: { context: QueryInterface }) => {
      const id = { ...text(8), primaryKey: true };
      await context.createTable('access_keys', {
        id,
        role: { type: DataTypes.ENUM('full', 'read'), allowNull: false },
        label: text(200),
        salt: text(64),
        hash: text(128),
        made: moment,
        withdrawn: { type: DataTypes.DATE(3), allowNull: true },
      });
      // Tokens and keys are kept as hashes only.
      await context.createTable('sessions', {
        token: { ...text(64), primaryKey: true },
        key_id: { ...text(8), references: { model: 'access_keys', key: 'id' }, onDelete: 'CASCADE' },
        until: moment,
      });
    },
    down: async ({ context }: { context: QueryInterface }) => {
      for (const table of ['sessions', 'access_keys']) await context.dropTable(table);
    },
  },
];

/** Brings the schema up to date; running it again does nothing. Gives the names of what ran. */
export async function migrate(database: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS,
    context: database.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize: database }),
    logger: undefined,
  });
  return (await umzug.up()).map((one) => one.name);
}
