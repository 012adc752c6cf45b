/** `./start` met with trouble: each case does the right thing or says exactly what to do. Used by `./test`. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../run/freePort';
import type { Count } from './runJest';

type Run = { readonly child: ChildProcess; output: string; readonly done: Promise<number | null> };
const STARTS_WITHIN_MS = 120_000;

function begin(command: string, args: readonly string[], env: NodeJS.ProcessEnv): Run {
  const child = spawn(command, args, {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const run: Run = { child, output: '', done: new Promise((resolve) => child.once('exit', (code) => resolve(code))) };
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => {
      run.output += chunk.toString();
    });
  return run;
}

async function says(run: Run, words: RegExp): Promise<void> {
  const until = Date.now() + STARTS_WITHIN_MS;
  while (!words.test(run.output)) {
    if (Date.now() > until || run.child.exitCode !== null)
      throw new Error(`wanted ${String(words)}, it said: ${run.output.slice(-600)}`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

const must = (what: boolean, words: string) => {
  if (!what) throw new Error(words);
};

/** Runs every case; prints a line for each. */
export async function startFaults(): Promise<Count> {
  const data = mkdtempSync(join(tmpdir(), 'inch-tower-start-'));
  const port = await freePort();
  const env = { INCH_TOWER_DATA: data, PORT: String(port) };
  const start = (more: NodeJS.ProcessEnv = {}) => begin('./start', [], { ...env, ...more });
  const stop = async (run: Run) => {
    run.child.kill('SIGTERM');
    await run.done;
  };
  const save = async (name: string) => {
    const answer = await fetch(`http://127.0.0.1:${port}/api/builds/field-kit`);
    const build = (await answer.json()) as object;
    const saved = await fetch(`http://127.0.0.1:${port}/api/builds/field-kit`, {
      method: 'PUT',
      body: JSON.stringify({ ...build, name }),
      headers: { 'content-type': 'application/json', 'if-match': answer.headers.get('etag')! },
    });
    must(saved.ok, `save answered ${saved.status}`);
  };
  const nameThere = async () =>
    ((await (await fetch(`http://127.0.0.1:${port}/api/builds/field-kit`)).json()) as { name: string }).name;

  const cases: readonly (readonly [string, () => Promise<void>])[] = [
    [
      'already running: the second says where, and leaves the first alone',
      async () => {
        const first = start();
        await says(first, /Inch Tower is at/);
        const second = start();
        must((await second.done) === 0 && /already running at http/.test(second.output), second.output);
        await save('First start');
        await stop(first);
      },
    ],
    [
      'two started at once in one folder: one serves, the other says where, and the database lives',
      async () => {
        const both = [start(), start()];
        // The other may have ended, having found the first, before that one's own words are read here.
        await Promise.any(both.map((run) => says(run, /Inch Tower is at/)));
        const second = both.find((run) => !/Inch Tower is at/.test(run.output))!;
        must((await second.done) === 0 && /already running at http/.test(second.output), second.output);
        await save('Two at once');
        await stop(both.find((run) => run !== second)!);
      },
    ],
    [
      'the database killed alone: it is started again, and saves go on',
      async () => {
        const run = start();
        await says(run, /Inch Tower is at/);
        for (let times = 0; times < 3; times++) {
          process.kill(Number(readFileSync(join(data, 'mariadb.pid'), 'utf8').trim()), 'SIGKILL');
          const killed = Date.now();
          for (;;) {
            const saved = await save(`Killed ${times}`).then(
              () => true,
              () => false,
            );
            if (saved) break;
            must(Date.now() - killed < 60_000, `not back after a minute: ${run.output}`);
            await new Promise((resolve) => setTimeout(resolve, 100));
          }
        }
        must((await nameThere()) === 'Killed 2', `it is called ${await nameThere()}`);
        await stop(run);
      },
    ],
    [
      'a password file cut short: a new one is made, and nothing is lost',
      async () => {
        for (const left of ['', 'abc']) {
          writeFileSync(join(data, 'password'), left);
          const run = start();
          await says(run, /Inch Tower is at/);
          must(/^[0-9a-f]{48}$/.test(readFileSync(join(data, 'password'), 'utf8')), 'the password was not made anew');
          must((await nameThere()) === 'Killed 2', 'the builds are gone');
          await stop(run);
        }
      },
    ],
    [
      'beyond loopback: the key is shown once, and the names it answers to are its own',
      async () => {
        const first = start({ HOST: '0.0.0.0' });
        await says(first, /Inch Tower is at/);
        must(
          /It is shown this once:\n\n {2}[a-z0-9]{4}-/.test(first.output) && /plain HTTP/.test(first.output),
          first.output,
        );
        must((await fetch(`http://127.0.0.1:${port}/api/builds`)).status === 401, 'it was read without a key');
        const listed = begin('./inch', ['keys'], env);
        must((await listed.done) === 0 && /made at the first start/.test(listed.output), listed.output);
        await stop(first);
        const second = start({ HOST: '0.0.0.0' });
        await says(second, /Inch Tower is at/);
        must(!/shown this once/.test(second.output), 'a second key was made');
        await stop(second);
      },
    ],
    [
      'a folder that cannot be written, a database that is not there: said without a stack',
      async () => {
        for (const [more, words] of [
          [{ INCH_TOWER_DATA: '/sys/inch-tower' }, /cannot be written/],
          [{ DATABASE_URL: 'mariadb://u:p@127.0.0.1:9/x' }, /does not answer/],
        ] as const) {
          const run = start(more);
          must((await run.done) === 1 && words.test(run.output) && !/\n\s+at /.test(run.output), run.output);
        }
      },
    ],
    [
      'killed with SIGKILL, database left over: the next start cleans up and has everything',
      async () => {
        const killed = start();
        await says(killed, /Inch Tower is at/);
        await save('Before the kill');
        killed.child.kill('SIGKILL');
        await killed.done;
        const next = start();
        await says(next, /Inch Tower is at/);
        must((await nameThere()) === 'Before the kill', `it is called ${await nameThere()}`);
        await stop(next);
      },
    ],
    [
      'a busy port: said with another to choose, and the database is stopped again',
      async () => {
        const blocker = createServer();
        await new Promise<void>((resolve) => blocker.listen(port, '127.0.0.1', resolve));
        const refused = start();
        const code = await refused.done;
        blocker.close();
        must(code === 1 && /is in use by another program\. Choose one: PORT=/.test(refused.output), refused.output);
        const after = start();
        await says(after, /Inch Tower is at/);
        await stop(after);
      },
    ],
    [
      'no network after the first time: it starts from what is here',
      async () => {
        const alone = start({
          npm_config_registry: 'http://127.0.0.1:9',
          http_proxy: 'http://127.0.0.1:9',
          https_proxy: 'http://127.0.0.1:9',
        });
        await says(alone, /Inch Tower is at/);
        must((await nameThere()) === 'Before the kill', 'the builds are gone');
        await stop(alone);
      },
    ],
    [
      'no root and a package missing: the exact line to run',
      async () => {
        const run = begin(
          'bash',
          ['-c', '. scripts/run/prepare.sh; as_root() { return 1; }; need_debian no-such-command-here some-package'],
          {},
        );
        must(
          (await run.done) === 1 && run.output.includes('sudo apt-get update && sudo apt-get install -y some-package'),
          run.output,
        );
      },
    ],
    [
      'an old Node: said, with the one that is wanted',
      async () => {
        const run = begin(
          'bash',
          ['-c', '. scripts/run/prepare.sh; node() { case "$1" in -v) echo v18.0.0;; *) return 1;; esac; }; need_node'],
          {},
        );
        must(
          (await run.done) === 1 && run.output.includes('Node.js 20.19 or newer is needed; this is v18.0.0'),
          run.output,
        );
      },
    ],
    [
      'a wrong setting is named',
      async () => {
        const run = start({ PORT: 'many' });
        must((await run.done) === 1 && /PORT/.test(run.output), run.output);
      },
    ],
  ];
  const count = { passed: 0, failed: 0 };
  try {
    for (const [name, work] of cases) {
      try {
        await work();
        count.passed++;
        console.log(`start: ${name}: ok`);
      } catch (error) {
        count.failed++;
        console.log(`start: ${name}: FAILED\n  ${error instanceof Error ? error.message : String(error)}`);
      }
    }
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
  return count;
}
