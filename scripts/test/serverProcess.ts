import { spawn, type ChildProcess } from 'node:child_process';
import { freePort } from '../run/freePort';
import type { PrivateDatabase } from '../run/privateDatabase';

export type ServerProcess = {
  readonly url: string;
  readonly child: ChildProcess;
  /** How long its event loop was held at most since asked last, ms, and its heap, MB. */ strain(): Promise<{
    readonly heldMs: number;
    readonly heapMb: number;
  }>;
  stop(): Promise<void>;
};

/** A server in a process of its own, as it is run. */
export async function startServerProcess(
  database: PrivateDatabase,
  env: NodeJS.ProcessEnv = {},
): Promise<ServerProcess> {
  const port = await freePort();
  const child = spawn(process.execPath, ['--expose-gc', '--import', 'tsx', 'scripts/run/serveOnly.ts'], {
    env: { ...process.env, DATABASE_URL: database.url, PORT: String(port), REQUESTS_PER_MINUTE: '10000000', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let told = '';
  child.stdout.on('data', (chunk: Buffer) => {
    told += chunk.toString();
  });
  const until = async (words: RegExp): Promise<RegExpExecArray> => {
    for (;;) {
      const found = words.exec(told);
      if (found) return found;
      if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  };
  await until(/listening/);
  return {
    url: `http://127.0.0.1:${port}`,
    child,
    async strain() {
      told = '';
      child.kill('SIGUSR2');
      const [, held, heap] = await until(/held (\d+) ms, (\d+) MB/);
      return { heldMs: Number(held), heapMb: Number(heap) };
    },
    stop: () =>
      new Promise((resolve) => {
        child.once('exit', () => resolve());
        child.kill('SIGKILL');
      }),
  };
}
