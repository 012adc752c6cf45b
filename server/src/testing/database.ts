import { randomBytes } from 'node:crypto';
import { createConnection } from 'mariadb';
import { pino } from 'pino';
import type { Sequelize } from 'sequelize';
import { createApp } from '../app';
import { connect } from '../database/connect';
import { migrate } from '../database/migrations';
import { createStore, type Store } from '../database/store';
import { createJobs } from '../work/jobs';

export type TestServer = {
  readonly app: ReturnType<typeof createApp>;
  readonly store: Store;
  readonly database: Sequelize;
  readonly url: string;
  drop(): Promise<void>;
};

/**
 * An application on a database of its own, migrated unless told otherwise; DATABASE_URL names a server that lets us
 * make one.
 */
export async function testServer({ migrated = true } = {}): Promise<TestServer> {
  const base = process.env.DATABASE_URL;
  if (!base) throw new Error('The server tests want DATABASE_URL; run them with npm run test:server');
  const own = new URL(base);
  const name = `inch_tower_test_${randomBytes(6).toString('hex')}`;
  const admin = await createConnection({
    host: own.hostname,
    port: Number(own.port),
    user: own.username,
    password: own.password,
  });
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  own.pathname = `/${name}`;
  const database = connect(own.href);
  if (migrated) await migrate(database);
  const store = createStore(database);
  const jobs = createJobs();
  return {
    app: createApp({ store, jobs, logger: pino({ level: 'silent' }) }),
    store,
    database,
    url: own.href,
    async drop() {
      await jobs.stop();
      await database.close();
      await admin.query(`DROP DATABASE ${name}`);
      await admin.end();
    },
  };
}
