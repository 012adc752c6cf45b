import { DataTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

const doc = { type: DataTypes.TEXT('long'), allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const moment = { type: DataTypes.DATE(3), allowNull: false };

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
      await context.addIndex('revisions', ['build_id', 'etag'], { unique: true, name: 'revision_of_build' });
      await context.createTable('parts', { id, role: { type: DataTypes.ENUM('sheet', 'archetype'), allowNull: false }, kind: text(40), name: text(200), rev: { type: DataTypes.INTEGER, allowNull: false }, doc });
      await context.addIndex('parts', ['role', 'kind'], { name: 'parts_by_kind' });
    },
    down: async ({ context }: { context: QueryInterface }) => {
      for (const table of ['revisions', 'builds', 'parts']) await context.dropTable(table);
    },
  },
];

/** Brings the schema up to date; running it again does nothing. Gives the names of what ran. */
export async function migrate(database: Sequelize): Promise<string[]> {
  const umzug = new Umzug({ migrations: MIGRATIONS, context: database.getQueryInterface(), storage: new SequelizeStorage({ sequelize: database }), logger: undefined });
  return (await umzug.up()).map((one) => one.name);
}
