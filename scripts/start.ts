/** Serves Inch Tower: the private database unless DATABASE_URL names one, the API and the built interface. */
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { readConfig, serve } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../demo/loadDemo';
import { startPrivateDatabase } from './privateDatabase';

const dataFolder = resolve(process.env.INCH_TOWER_DATA ?? '.data');
const lockFile = resolve(dataFolder, 'running.json');

function alreadyRunning(): string | null {
  if (!existsSync(lockFile)) return null;
  try {
    const { pid, url } = JSON.parse(readFileSync(lockFile, 'utf8')) as { pid: number; url: string };
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
    return pid !== process.pid && command.includes('scripts/start.ts') ? url : null;
  } catch {
    return null;
  }
}

const running = alreadyRunning();
if (running) {
  console.log(`Inch Tower is already running at ${running}`);
  process.exit(0);
}
mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
const database = process.env.DATABASE_URL ? null : await startPrivateDatabase(dataFolder);
const config = readConfig({ LOG_LEVEL: 'warn', ...process.env, ...(database ? { DATABASE_URL: database.url } : {}) });

try {
  const serving = await serve(config, () => ({ catalogue: loadDemoCatalogue(), builds: loadDemoBuilds() }), resolve('web/dist'));
  writeFileSync(lockFile, JSON.stringify({ pid: process.pid, url: serving.url }));
  console.log(`Inch Tower is at ${serving.url}${serving.seeded ? ' (the demo was loaded)' : ''}`);
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await serving.stop();
    await database?.stop();
    rmSync(lockFile, { force: true });
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
} catch (error) {
  await database?.stop();
  const code = (error as { code?: string }).code;
  console.error(code === 'EADDRINUSE' ? `Port ${config.port} on ${config.host} is in use by another program. Choose one: PORT=4690 ./start` : error);
  process.exit(1);
}
