import { QueryTypes, type Sequelize } from 'sequelize';

const NAME = 'inch_tower_start';
const LONGEST_WAIT_S = 120;

/**
 * Runs work while no other server on this database is starting: migrations and seed are done by one, the others find
 * them done.
 */
export async function whileStarting<T>(database: Sequelize, work: () => Promise<T>): Promise<T> {
  // The lock belongs to a connection; a transaction keeps one to itself.
  return database.transaction(async (transaction) => {
    const [row] = await database.query<{ got: number | null }>(
      `SELECT GET_LOCK(CONCAT(DATABASE(), '.${NAME}'), ${LONGEST_WAIT_S}) AS got`,
      { type: QueryTypes.SELECT, transaction },
    );
    if (row?.got !== 1)
      throw new Error(
        'Another server has been starting on this database for two minutes. Stop it, or wait until it is ready.',
      );
    try {
      return await work();
    } finally {
      await database.query(`SELECT RELEASE_LOCK(CONCAT(DATABASE(), '.${NAME}'))`, {
        type: QueryTypes.SELECT,
        transaction,
      });
    }
  });
}
