import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const EVERYWHERE = new Set(['0.0.0.0', '::']);

export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127\.\d{1,3}\.\d{1,3}\.\d{1,3}$/.test(host);
const bracketed = (address: string): string => (address.includes(':') ? `[${address.split('%')[0]}]` : address);

/**
 * The names a request may ask this server by: loopback, the address it listens on, and those it was told. Listening
 * everywhere it also answers to this machine's addresses and name. A page elsewhere that lets its own name point here
 * is none of them.
 */
export function ownNames(host: string, told: readonly string[]): ReadonlySet<string> {
  const here = EVERYWHERE.has(host)
    ? [
        hostname(),
        `${hostname()}.local`,
        ...Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address)),
      ]
    : [host];
  return new Set([...LOOPBACK, ...here.map(bracketed), ...told].map((name) => name.toLowerCase()));
}

/** The name in a Host header, without its port; null when it is none. */
export function nameIn(header: string | undefined): string | null {
  const found = /^(\[[0-9a-f:.]+\]|[a-z0-9_.-]+)(?::\d{1,5})?$/i.exec(header ?? '');
  return found ? found[1]!.replace(/\.$/, '').toLowerCase() : null;
}
