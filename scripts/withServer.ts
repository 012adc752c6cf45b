import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readConfig, serve, type Serving } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../demo/loadDemo';
import { startPrivateDatabase, type PrivateDatabase } from './privateDatabase';

/** A private database in a temporary folder for the length of some work. */
export async function withDatabase<T>(work: (database: PrivateDatabase) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'inch-tower-test-'));
  const database = await startPrivateDatabase(folder);
  try {
    return await work(database);
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The built app on a private database with the demo, on a free port, for the length of some work. */
export function withServer<T>(work: (serving: Serving, database: PrivateDatabase) => Promise<T>): Promise<T> {
  return withDatabase(async (database) => {
    const serving = await serve(readConfig({ DATABASE_URL: database.url, PORT: '0', LOG_LEVEL: 'fatal' }), () => ({ catalogue: loadDemoCatalogue(), builds: loadDemoBuilds() }), resolve('web/dist'));
    try {
      return await work(serving, database);
    } finally {
      await serving.stop();
    }
  });
}
