import { QueryTypes, type Sequelize } from 'sequelize';
import { createBuildsStore } from './buildsStore';
import { defineTables, type Tables } from './models';
import { createPartsStore } from './partsStore';
import { createStockStore } from './stockStore';

export type { CardRow, Removed, Saved, Stored } from './buildsStore';

/** Reads and writes of the database. */
export function createStore(database: Sequelize) {
  const tables: Tables = defineTables(database);
  return {
    ping: async (): Promise<void> => {
      await database.query('SELECT 1 AS one', { type: QueryTypes.SELECT });
    },
    isEmpty: async (): Promise<boolean> => (await tables.parts.count()) === 0 && (await tables.builds.count()) === 0,
    ...createBuildsStore(database, tables),
    ...createPartsStore(database, tables),
    ...createStockStore(database, tables),
  };
}
export type Store = ReturnType<typeof createStore>;
