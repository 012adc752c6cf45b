import { createHash } from 'node:crypto';
import { realpathSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { userInfo } from 'node:os';

/** What the one who holds a folder says of itself; no address while it is still starting. */
export type Holder = { readonly pid: number; readonly url: string | null };
export type FolderLock =
  | { readonly held: true; /** Says from now on where it serves. */ serves(url: string): void; release(): void }
  | { readonly held: false; readonly holder: Holder | null };

const ASK_WITHIN_MS = 2_000;

/** A name in the kernel, not in the file system: it goes with the process, however that ends. */
const nameOf = (folder: string): string =>
  `\0inch-tower-${userInfo().uid}-${createHash('sha256').update(realpathSync(folder)).digest('hex').slice(0, 24)}`;

/** Takes a folder for this process, or says who has it. */
export function lockFolder(folder: string): Promise<FolderLock> {
  const path = nameOf(folder);
  let url: string | null = null;
  return new Promise((resolve, reject) => {
    const server: Server = createServer((socket) => {
      socket.on('error', () => undefined);
      socket.end(JSON.stringify({ pid: process.pid, url } satisfies Holder));
    });
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE') askHolder(path).then((holder) => resolve({ held: false, holder }), reject);
      else reject(error);
    });
    server.listen({ path }, () => {
      server.unref();
      resolve({
        held: true,
        serves: (where) => {
          url = where;
        },
        release: () => {
          server.close();
        },
      });
    });
  });
}

function askHolder(path: string): Promise<Holder | null> {
  return new Promise((resolve) => {
    let text = '';
    const socket = connect({ path });
    socket.setTimeout(ASK_WITHIN_MS, () => {
      socket.destroy();
      resolve(null);
    });
    socket.on('data', (chunk: Buffer) => {
      text += chunk.toString();
    });
    socket.on('error', () => resolve(null));
    socket.on('end', () => {
      try {
        resolve(JSON.parse(text) as Holder);
      } catch {
        resolve(null);
      }
    });
  });
}
