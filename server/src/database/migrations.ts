import { DataTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

const doc = { type: DataTypes.TEXT('long'), allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const moment = { type: DataTypes.DATE(3), allowNull: false };

/** MariaDB has no transactions over its schema: a step that a crash cut short is simply run again, so each does only what is not there. */
async function ensureIndex(context: QueryInterface, table: string, fields: string[], name: string, unique: boolean): Promise<void> {
  const there = (await context.showIndex(table)) as readonly { readonly name: string }[];
  if (!there.some((index) => index.name === name)) await context.addIndex(table, fields, { unique, name });
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
        etag: text(64), doc, saved: moment,
      });
      await ensureIndex(context, 'revisions', ['build_id', 'etag'], 'revision_of_build', true);
      await context.createTable('parts', { id, role: { type: DataTypes.ENUM('sheet', 'archetype'), allowNull: false }, kind: text(40), name: text(200), rev: { type: DataTypes.INTEGER, allowNull: false }, doc });
      await ensureIndex(context, 'parts', ['role', 'kind'], 'parts_by_kind', false);
    },
    down: async ({ context }: { context: QueryInterface }) => {
      for (const table of ['revisions', 'builds', 'parts']) await context.dropTable(table);
    },
  },
  {
    name: '002-own-parts-and-stock',
    up: async ({ context }: { context: QueryInterface }) => {
      if (!('origin' in (await context.describeTable('parts')))) await context.addColumn('parts', 'origin', { type: DataTypes.ENUM('demo', 'own'), allowNull: false, defaultValue: 'demo' });
      await context.createTable('stock', {
        id: { ...text(64), primaryKey: true },
        // A sheet that is in stock cannot be taken away under it.
        sheet_id: { ...text(120), references: { model: 'parts', key: 'id' }, onDelete: 'RESTRICT' },
        etag: text(64), doc, updated: moment,
      });
    },
    down: async ({ context }: { context: QueryInterface }) => {
      await context.dropTable('stock');
      await context.removeColumn('parts', 'origin');
    },
  },
];

/** Brings the schema up to date; running it again does nothing. Gives the names of what ran. */
export async function migrate(database: Sequelize): Promise<string[]> {
  const umzug = new Umzug({ migrations: MIGRATIONS, context: database.getQueryInterface(), storage: new SequelizeStorage({ sequelize: database }), logger: undefined });
  return (await umzug.up()).map((one) => one.name);
}
