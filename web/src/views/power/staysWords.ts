import type { Gone } from '@inch-tower/core';
import { countWords } from '../../words/format';

/** What is taken out: "D1 Ember 650 ATX", "a module of D1 Brazier 800 1+1", "P3, SATA power 1 of 2". */
export function goneName({ kind, mark, name, label }: Gone): string {
  if (kind === 'cable') return `Cable ${label}, ${name}`;
  return kind === 'module' ? `One module of ${mark} ${name}` : `${mark} ${name}`;
}

/** What then stops, or that nothing does, with how grave that is. */
export function staysWords(one: Gone): { readonly words: string; readonly tone: 'bad' | 'warn' | 'good' | 'text-mid' } {
  const { kind, host, drives, data, isPastPool, fewer, left } = one;
  if (left) {
    const share = `${Math.round(100 * left.share)} %`;
    const when = left.when === 'start' ? 'while drives start' : 'at its most';
    return left.share > 1
      ? { words: `Not all stays up: what is left would be asked for ${share} ${when}.`, tone: 'bad' }
      : { words: `All stays up: what is left is at ${share} ${when}.`, tone: 'good' };
  }
  if (kind === 'ups') return { words: 'All that hangs on it stops.', tone: 'text-mid' };
  if (host) return { words: 'The machine stops.', tone: 'text-mid' };
  const rest = fewer.map(({ mark, left: inputs, of }) => `${mark} keeps ${inputs} of ${of} inputs`).join(', ');
  if (drives.length === 0)
    return rest
      ? { words: `${rest}; whether all its bays then run is not said.`, tone: 'text-mid' }
      : { words: 'All drives stay up.', tone: 'good' };
  const stop = `${countWords(drives.length, 'drive')} ${drives.length === 1 ? 'stops' : 'stop'}`;
  const pool =
    data === 0
      ? 'none of the pool’s data'
      : isPastPool
        ? `${data} of the pool’s data: more than may fail at once`
        : `${data} of the pool’s data: as many as may fail`;
  return { words: `${stop}, ${pool}${rest ? `; ${rest}` : ''}.`, tone: isPastPool && data > 0 ? 'bad' : 'warn' };
}

/** Rows that say the same stand together, the worst first; of several cables their labels. */
export function staysRows(
  gone: readonly Gone[],
): { readonly what: string; readonly says: ReturnType<typeof staysWords> }[] {
  const rows = new Map<string, { of: Gone[]; says: ReturnType<typeof staysWords> }>();
  for (const one of gone) {
    const says = staysWords(one);
    const key = `${one.kind === 'cable'}|${says.words}`;
    const known = rows.get(key);
    if (known) known.of.push(one);
    else rows.set(key, { of: [one], says });
  }
  return [...rows.values()].map(({ of, says }) => ({
    what:
      of.length > 1 && of.every(({ kind }) => kind === 'cable')
        ? `Cables ${of.map(({ label }) => label).join(', ')}${says.words.includes(' of the pool') ? ', each' : ''}`
        : of.map(goneName).join(', or '),
    says,
  }));
}
