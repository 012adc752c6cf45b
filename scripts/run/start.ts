/** Serves Inch Tower: the private database unless DATABASE_URL names one, the API and the built interface. */
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { readConfig, serve, StartRefused } from '@inch-tower/server';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';
import { lockFolder, type FolderLock } from './folderLock';
import { DatabaseNotStarted, startPrivateDatabase } from './privateDatabase';

const dataFolder = resolve(process.env.INCH_TOWER_DATA ?? '.data');
const OTHER_STARTS_WITHIN_MS = 120_000;
const say = (words: string): void => {
  process.stderr.write(`${words}\n`);
};
const leave = (words: string): never => {
  say(words);
  process.exit(1);
};

/** Words for what a person can do something about; null for the rest. */
function wordsFor(
  error: unknown,
  config: { readonly host: string; readonly port: number; readonly databaseUrl: string } | null,
): string | null {
  const { code, name, original } = error as {
    readonly code?: string;
    readonly name?: string;
    readonly original?: { readonly code?: string; readonly message?: string };
  };
  if (error instanceof StartRefused || error instanceof DatabaseNotStarted) return error.message;
  if (code === 'EADDRINUSE' && config)
    return `Port ${config.port} on ${config.host} is in use by another program. Choose one: PORT=4690 ./start`;
  if (code === 'EADDRNOTAVAIL' && config)
    return `${config.host} is no address of this machine. Choose one that is: HOST=127.0.0.1 ./start`;
  if (code === 'EACCES' && config && config.port < 1024)
    return `Port ${config.port} may be used by root only. Choose one over 1023: PORT=4690 ./start`;
  if (code && ['EACCES', 'EROFS', 'EPERM', 'ENOENT', 'ENOTDIR', 'EEXIST'].includes(code))
    return `The folder ${dataFolder} cannot be written (${code}). Choose another: INCH_TOWER_DATA=~/inch-tower ./start`;
  if (code === 'ENOSPC') return `The disk that holds ${dataFolder} is full. Make room, then start again.`;
  if (name?.startsWith('Sequelize') && config && /Connection|AccessDenied|Host/.test(name)) {
    const { host } = new URL(config.databaseUrl);
    return name.includes('AccessDenied')
      ? `The database at ${host} refuses the user or password of DATABASE_URL.`
      : `The database at ${host} does not answer (${original?.code ?? 'no connection'}). Is it ` +
          'running, and is DATABASE_URL right?';
  }
  return null;
}

/** This process's hold on the data folder. Where another has it, that one is named, and left alone. */
async function hold(): Promise<Extract<FolderLock, { held: true }>> {
  for (const until = Date.now() + OTHER_STARTS_WITHIN_MS; ;) {
    const lock = await lockFolder(dataFolder);
    if (lock.held) return lock;
    if (lock.holder?.url) {
      console.log(`Inch Tower is already running at ${lock.holder.url}`);
      process.exit(0);
    }
    if (Date.now() > until)
      leave(
        `Process ${lock.holder?.pid ?? 'unknown'} has held ${dataFolder} for two minutes without ` +
          'serving. End it, then start again.',
      );
    await new Promise((done) => setTimeout(done, 200));
  }
}

let config: ReturnType<typeof readConfig> | null = null;
let database: Awaited<ReturnType<typeof startPrivateDatabase>> | null = null;
try {
  // A wrong setting is named before anything is started.
  readConfig({ DATABASE_URL: 'mariadb://none', ...process.env });
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
  const lock = await hold();
  database = process.env.DATABASE_URL ? null : await startPrivateDatabase(dataFolder, say);
  config = readConfig({ LOG_LEVEL: 'warn', ...process.env, ...(database ? { DATABASE_URL: database.url } : {}) });
  const serving = await serve(
    config,
    () => ({ catalogue: loadDemoCatalogue(), builds: loadDemoBuilds() }),
    resolve('web/dist'),
  );
  lock.serves(serving.url);
  if (serving.newKey)
    console.log(
      'This server is reached from beyond this machine and wants a key. It is shown this ' +
        `once:\n\n  ${serving.newKey}\n\nMore keys, also for guests who only read: ./inch keys`,
    );
  if (serving.wantsKey)
    console.log(
      'It speaks plain HTTP: whoever can read this network can read the key. docs/security.md ' +
        'says how to put TLS before it.',
    );
  console.log(`Inch Tower is at ${serving.url}${serving.seeded ? ' (the demo was loaded)' : ''}`);
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await serving.stop();
    await database?.stop();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
} catch (error) {
  await database?.stop();
  const words = wordsFor(error, config);
  if (words) leave(words);
  console.error(error instanceof Error && !config ? error.message : error);
  process.exit(1);
}
