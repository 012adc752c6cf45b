import { spawn, type ChildProcess } from 'node:child_process';
import { applyEdit, commit, type Build, type Edit } from '@inch-tower/core';
import { createDesk } from '../../web/src/saving/desk';
import { saveStateOf } from '../../web/src/saving/draft';
import { serverAt } from '../../web/src/saving/server';
import { freePort } from '../run/freePort';
import { withDatabase } from './withServer';
import type { PrivateDatabase } from '../run/privateDatabase';

const PAGE = 'field-kit';
/**
 * The page's own way of saving, on another machine, with a browser that keeps nothing: its edits live in the page
 * alone.
 */
function page() {
  const desk = createDesk({
    ...serverAt(`http://127.0.0.1:${port}`),
    keptOf: () => Promise.resolve([]),
    keep: () => Promise.resolve(false),
    forget: () => Promise.resolve(),
    forgetKeys: () => Promise.resolve(),
    settle: (build, edits) => Promise.resolve(commit(build, edits)),
    now: () => Date.now(),
    later: (ms, work) => {
      const timer = setTimeout(work, ms / 10);
      return () => clearTimeout(timer);
    },
    changed: () => undefined,
  });
  let edits = 0;
  return {
    desk,
    /** One more mark on the machine. */
    edit(): void {
      const draft = desk.draft(PAGE);
      const made: Edit = {
        type: 'change.add',
        change: { id: `edit ${edits}`, kind: 'option', host: 'u1', key: 'k' },
      } as Edit;
      const applied = draft && draft.build.changes.length < 90 ? applyEdit(draft.build, made) : null;
      if (applied?.ok && desk.edited(PAGE, applied.build, [made])) edits++;
    },
    edits: () => edits,
  };
}

export type Killed = {
  readonly kills: number;
  /** Edits made through the page's own way of saving. */ readonly edits: number;
  readonly saves: number;
  readonly acknowledged: number;
  readonly lost: readonly string[];
};

const port = await freePort();
const base = `http://127.0.0.1:${port}/api/builds/hall-cupboard`;
/** A small generator with its seed said, so that a run can be had again. */
const random = (seed: number) => () => {
  seed = (seed * 1_664_525 + 1_013_904_223) % 2 ** 32;
  return seed / 2 ** 32;
};

/**
 * Saves a build again and again and ends server or database by SIGKILL in the middle. After each
 * restart the stored build must be the last acknowledged one or the one under way, whole, and the
 * acknowledged revision must be there.
 */
export function killDuringSaves(
  kills: number,
  seed: number,
  say: (line: string) => void = () => undefined,
): Promise<Killed> {
  return withDatabase(async (database) => {
    const next = random(seed);
    const lost: string[] = [];
    let server = await startServer(database);
    let saves = 0;
    let counter = 0;
    let { build, etag } = await read();
    const writer = page();
    await writer.desk.open(PAGE);
    for (let round = 1; round <= kills; round++) {
      const before = saves;
      const afterMs = next() * 40;
      const target = next() < 0.5 ? 'server' : 'database';
      let dead = false;
      let attempted = counter;
      const saving = (async () => {
        while (!dead) {
          attempted = ++counter;
          if (counter % Math.max(1, kills >> 4) === 0) writer.edit();
          const answer = await save({ ...build, notes: `save ${attempted}` }, etag).catch(() => null);
          if (!answer) return;
          ({ build, etag } = answer);
          saves++;
        }
      })();
      // The first save after a start is slow; the kill comes while they flow.
      for (let waited = 0; saves === before && waited < 3_000; waited += 2)
        await new Promise((resolve) => setTimeout(resolve, 2));
      await new Promise((resolve) => setTimeout(resolve, afterMs));
      if (target === 'server') await kill(server);
      else await database.kill();
      dead = true;
      await saving;
      if (target === 'server') server = await startServer(database);
      else await database.restart();
      const acknowledged = build.notes;
      const stored = await readPatiently();
      if (stored.build.notes !== acknowledged && stored.build.notes !== `save ${attempted}`)
        lost.push(`round ${round}, ${target}: acknowledged “${acknowledged}”, found “${stored.build.notes}”`);
      const revision = await fetch(`${base}/revisions/${etag}`);
      if (!revision.ok || ((await revision.json()) as Build).notes !== acknowledged)
        lost.push(`round ${round}: the revision of “${acknowledged}” is gone`);
      ({ build, etag } = stored);
      if (round % 50 === 0) say(`${round} kills, ${saves} saves acknowledged, ${lost.length} lost`);
    }
    const state = () => {
      const draft = writer.desk.draft(PAGE);
      return draft ? saveStateOf(draft) : 'gone';
    };
    for (let waited = 0; state() !== 'saved' && waited < 60_000; waited += 100)
      await new Promise((resolve) => setTimeout(resolve, 100));
    const there = (await (await fetch(`http://127.0.0.1:${port}/api/builds/${PAGE}`)).json()) as Build;
    for (let i = 0; i < writer.edits(); i++)
      if (!there.changes.some((change) => change.id === `edit ${i}`))
        lost.push(`the page calls its machine ${state()}, and edit ${i} is not on the server`);
    await kill(server);
    return { kills, edits: writer.edits(), saves: counter, acknowledged: saves, lost };
  });
}

async function save(build: Build, etag: string): Promise<{ build: Build; etag: string } | null> {
  const answer = await fetch(base, {
    method: 'PUT',
    body: JSON.stringify(build),
    headers: { 'content-type': 'application/json', 'if-match': `"${etag}"` },
  });
  if (answer.status !== 200) return null;
  return { build: (await answer.json()) as Build, etag: answer.headers.get('etag')!.replaceAll('"', '') };
}

async function read(): Promise<{ build: Build; etag: string }> {
  const answer = await fetch(base);
  if (!answer.ok) throw new Error(`read answered ${answer.status}`);
  return { build: (await answer.json()) as Build, etag: answer.headers.get('etag')!.replaceAll('"', '') };
}

/** The pool may still hold connections that died with the database: a few tries are fair. */
async function readPatiently(): Promise<{ build: Build; etag: string }> {
  for (let tries = 0; ; tries++) {
    try {
      return await read();
    } catch (error) {
      if (tries > 100) throw error;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
}

function startServer(database: PrivateDatabase): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/run/serveOnly.ts'], {
    env: { ...process.env, DATABASE_URL: database.url, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    let errors = '';
    child.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('listening')) resolve(child);
    });
    child.stderr.on('data', (chunk: Buffer) => {
      errors += chunk.toString();
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${errors.slice(-500)}`)));
  });
}

const kill = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    child.removeAllListeners('exit');
    child.once('exit', () => resolve());
    child.kill('SIGKILL');
  });
