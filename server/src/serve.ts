import type { AddressInfo } from 'node:net';
import { pino, type Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import type { Build, Catalogue } from '@inch-tower/core';
import { createApp } from './app';
import type { Config } from './config';
import { connect } from './database/connect';
import { migrate } from './database/migrations';
import { createStore } from './database/store';

export type Serving = { readonly url: string; readonly seeded: boolean; stop(): Promise<void> };
export type Demo = { readonly catalogue: Catalogue; readonly builds: readonly Build[] };

const REQUEST_TIMEOUT_MS = 20_000;

/** Migrates, seeds an empty database with the demo, and listens. `stop` lets requests finish first. */
export async function serve(config: Config, loadDemo: () => Demo, webFolder?: string): Promise<Serving> {
  const logger = pino({ level: config.logLevel });
  const database = connect(config.databaseUrl);
  try {
    return await serveOn(database, config, logger, loadDemo, webFolder);
  } catch (error) {
    await database.close();
    throw error;
  }
}

async function serveOn(database: Sequelize, config: Config, logger: Logger, loadDemo: () => Demo, webFolder: string | undefined): Promise<Serving> {
  await migrate(database);
  const store = createStore(database);
  const seeded = await store.isEmpty();
  const demo = loadDemo();
  await store.refreshCatalogue(demo.catalogue);
  if (seeded) await store.seed(demo.builds);
  const app = createApp({ store, logger, ...(webFolder ? { webFolder } : {}) });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve, reject) => {
    const listening = app.listen(config.port, config.host, (error?: Error) => (error ? reject(error) : resolve(listening)));
  });
  server.requestTimeout = REQUEST_TIMEOUT_MS;
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://${config.host}:${port}`,
    seeded,
    async stop() {
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeIdleConnections();
      const forced = setTimeout(() => server.closeAllConnections(), 2_000);
      await closed;
      clearTimeout(forced);
      await database.close();
    },
  };
}
