import { Sequelize } from 'sequelize';

/**
 * A pool on a MariaDB database: strict SQL, utf8mb4, UTC; transactions read committed rows, so that looking for what is
 * not there locks no gap.
 */
export function connect(databaseUrl: string): Sequelize {
  const url = databaseUrl.replace(/^mysql:/, 'mariadb:');
  return new Sequelize(url, {
    dialect: 'mariadb',
    logging: false,
    timezone: '+00:00',
    pool: { max: 8, min: 0, acquire: 15_000, idle: 10_000 },
    dialectOptions: {
      charset: 'utf8mb4',
      connectTimeout: 3_000,
      initSql: [
        "SET SESSION sql_mode = 'STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION'",
        'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
      ],
    },
    define: { underscored: true, timestamps: false, charset: 'utf8mb4', collate: 'utf8mb4_nopad_bin' },
  });
}
