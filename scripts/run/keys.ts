/** `./inch keys`: keys of a server that is reached from beyond its own machine: listed, made, withdrawn. */
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { connect, createKeys, migrate } from '@inch-tower/server';
import { lockFolder } from './folderLock';
import { startPrivateDatabase, urlOfRunning } from './privateDatabase';

const USAGE = `Usage: ./inch keys                            the keys there are, without their text
       ./inch keys add [--read] [--label TEXT]   a new key, shown once; --read for guests
       ./inch keys withdraw ID                   ends a key and its sessions`;

/** The database of the settings: one of the user's own, the running server's, or the private one started for this. */
async function withDatabaseUrl<T>(work: (url: string) => Promise<T>): Promise<T> {
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
  const folder = resolve(process.env.INCH_TOWER_DATA ?? resolve(import.meta.dirname, '../../.data'));
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const lock = await lockFolder(folder);
  if (!lock.held) return work(urlOfRunning(folder));
  const database = await startPrivateDatabase(folder);
  try {
    return await work(database.url);
  } finally {
    await database.stop();
    lock.release();
  }
}

/** Does what the words ask; gives the exit code. */
export async function keysCommand(words: readonly string[]): Promise<number> {
  const [act = 'list', ...rest] = words;
  const label = rest.includes('--label') ? rest[rest.indexOf('--label') + 1] : '';
  const id = act === 'withdraw' ? rest[0] : undefined;
  const isKnown =
    act === 'list'
      ? rest.length === 0
      : act === 'withdraw'
        ? rest.length === 1
        : act === 'add' &&
          label !== undefined &&
          rest.every((one, i) => ['--read', '--label'].includes(one) || rest[i - 1] === '--label');
  if (!isKnown || (label ?? '').length > 200) {
    process.stderr.write(`${USAGE}\n`);
    return 2;
  }
  return withDatabaseUrl(async (url) => {
    const database = connect(url);
    try {
      await migrate(database);
      const keys = createKeys(database);
      if (act === 'add')
        console.log(
          `${await keys.make(rest.includes('--read') ? 'read' : 'full', label ?? '')}\nIt is shown this once.`,
        );
      else if (act === 'withdraw') {
        if (await keys.withdraw(id ?? '')) console.log(`${id} is withdrawn; its sessions are ended.`);
        else {
          process.stderr.write(`There is no key ${id} in use.\n`);
          return 2;
        }
      } else {
        const all = await keys.list();
        console.log(
          all.length
            ? all
                .map(
                  (key) =>
                    `${key.id}  ${key.role === 'read' ? 'reads ' : 'all   '} ` +
                    (key.withdrawn
                      ? `withdrawn ${key.withdrawn.toISOString().slice(0, 10)}`
                      : `made ${key.made.toISOString().slice(0, 10)}     `) +
                    ' ' +
                    ` ${key.label}`,
                )
                .join('\n')
            : 'No keys. One is made at the first start beyond loopback, or by ./inch keys add.',
        );
      }
      return 0;
    } finally {
      await database.close();
    }
  });
}
