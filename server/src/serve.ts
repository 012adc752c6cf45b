import type { AddressInfo } from 'node:net';
import { pino, type Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import type { Build, Catalogue } from '@inch-tower/core';
import { createApp } from './app';
import type { Config } from './config';
import { connect } from './database/connect';
import { migrate } from './database/migrations';
import { whileStarting } from './database/startLock';
import { createStore, type Store } from './database/store';
import { thinRevisions } from './database/thinning';
import { createKeys, type Keys } from './doors/keys';
import { isLoopback, ownNames } from './doors/ownNames';
import { createCards } from './work/cards';
import { codeStamp } from './work/codeStamp';
import { createJobs } from './work/jobs';

export type Serving = {
  readonly url: string;
  readonly seeded: boolean;
  /** A key made at this start, to be shown once. */ readonly newKey: string | null;
  /** Whether everybody is asked for a key. */ readonly wantsKey: boolean;
  stop(): Promise<void>;
};
export type Demo = { readonly catalogue: Catalogue; readonly builds: readonly Build[] };
/** A start that is refused, in words for whoever started it. */
export class StartRefused extends Error {}

const REQUEST_TIMEOUT_MS = 20_000;
/** Longer than a page keeps a connection idle: nobody writes to one that is just being closed. */
const KEEP_ALIVE_MS = 75_000;
const THIN_EVERY_MS = 6 * 3_600_000;

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

/**
 * Beyond loopback a key is wanted: the first is made here, and where all were withdrawn nobody is let in by a new one
 * unasked.
 */
async function keysFor(
  { host, keysAlways }: Config,
  keys: Keys,
): Promise<{ readonly keys: Keys | null; readonly newKey: string | null }> {
  if (isLoopback(host) && !keysAlways) return { keys: null, newKey: null };
  const known = await keys.list();
  if (known.length === 0) return { keys, newKey: await keys.make('full', 'made at the first start') };
  if (known.every((key) => key.role === 'read' || key.withdrawn))
    throw new StartRefused(
      `A key is wanted here (HOST=${host}), and all keys were withdrawn. Make one: ./inch keys add`,
    );
  return { keys, newKey: null };
}

const prepare = (database: Sequelize, store: Store, loadDemo: () => Demo): Promise<boolean> =>
  whileStarting(database, async () => {
    await migrate(database);
    const empty = await store.isEmpty();
    const demo = loadDemo();
    await store.refreshCatalogue(demo.catalogue);
    if (empty) await store.seed(demo.builds);
    return empty;
  });

async function serveOn(
  database: Sequelize,
  config: Config,
  logger: Logger,
  loadDemo: () => Demo,
  webFolder: string | undefined,
): Promise<Serving> {
  const store = createStore(database);
  const seeded = await prepare(database, store, loadDemo);
  const { keys, newKey } = await keysFor(config, createKeys(database));
  const jobs = createJobs();
  const cards = createCards(store, jobs, codeStamp(), logger);
  const app = createApp({
    store,
    logger,
    jobs,
    cards,
    names: ownNames(config.host, config.names),
    requestsPerMinute: config.requestsPerMinute,
    ...(keys ? { keys } : {}),
    ...(webFolder ? { webFolder } : {}),
  });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve, reject) => {
    const listening = app.listen(config.port, config.host, (error?: Error) =>
      error ? reject(error) : resolve(listening),
    );
  });
  server.requestTimeout = REQUEST_TIMEOUT_MS;
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  const thin = () =>
    void thinRevisions(database, new Date()).catch((error: unknown) =>
      logger.warn({ err: error }, 'revisions not thinned'),
    );
  const thinning = setInterval(thin, THIN_EVERY_MS);
  thin();
  cards.wanted();
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://${config.host.includes(':') ? `[${config.host}]` : config.host}:${port}`,
    seeded,
    newKey,
    wantsKey: keys !== null,
    async stop() {
      clearInterval(thinning);
      cards.stop();
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeIdleConnections();
      const forced = setTimeout(() => server.closeAllConnections(), 2_000);
      await closed;
      clearTimeout(forced);
      await jobs.stop();
      await database.close();
    },
  };
}
