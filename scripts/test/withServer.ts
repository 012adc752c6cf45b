import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readConfig, serve, type Serving } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';
import { startPrivateDatabase, type PrivateDatabase } from '../run/privateDatabase';

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
    const serving = await serve(
      readConfig({ DATABASE_URL: database.url, PORT: '0', LOG_LEVEL: 'fatal' }),
      () => ({ catalogue: loadDemoCatalogue(), builds: loadDemoBuilds() }),
      resolve('web/dist'),
    );
    try {
      return await work(serving, database);
    } finally {
      await serving.stop();
    }
  });
}

/** An address on loopback by which a test takes the database away and brings it back. */
export async function withControl<T>(database: PrivateDatabase, work: (url: string) => Promise<T>): Promise<T> {
  const server = createServer((request, response) => {
    const act =
      request.url === '/database/stop'
        ? database.kill()
        : request.url === '/database/start'
          ? database.restart()
          : Promise.reject(new Error('no such act'));
    act.then(
      () => response.writeHead(204).end(),
      (error: unknown) => response.writeHead(500).end(String(error)),
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  try {
    return await work(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  } finally {
    server.close();
  }
}
