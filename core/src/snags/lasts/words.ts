import type { Sized } from '../finding';
import { n, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type LastsFacts = {
  'lasts.shingled': { count: number; drive: string; layout: string };
  'lasts.ratedBays': Sized<{ count: number; drive: string; chassis: string }>;
  'lasts.worn': { count: number; drive: string; hours: number; condition: string };
  'lasts.alone': { drive: string; role: string };
  'lasts.writeBack': { card: string; count: number };
  'lasts.bridge': { box: string; fault: 'weak' | 'one' | 'lost' };
  'lasts.aged': { part: string; count: number; years: number; battery: string };
};

export const LASTS_WORDS: WordsOf<LastsFacts> = {
  'lasts.shingled': {
    title: 'Shingled drives in a set',
    what: (f) => `${n(f.count, 'shingled drive')} (${f.drive}) in a set of ${f.layout}.`,
    why: 'A rebuild takes days to weeks, and the set may throw the drive out meanwhile.',
  },
  'lasts.ratedBays': {
    title: 'Drives beside each other',
    what: (f, s) =>
      `${f.drive} is made for boxes of up to ${s.gap.limit} drives; ${s.gap.have} disks turn in ${f.chassis}.`,
    why: 'Neighbours shake each other: heads miss their track, and drives slow down or drop out.',
  },
  'lasts.worn': {
    title: 'Hours behind a drive',
    what: (f) =>
      f.hours > 0
        ? `${f.count === 1 ? f.drive : `${f.count} × ${f.drive}`} ${f.count === 1 ? 'has' : 'have'} run ` +
          `${f.hours.toLocaleString('en-GB')} hours.`
        : `${f.count === 1 ? f.drive : `${f.count} × ${f.drive}`} ` +
          `${f.count === 1 ? 'is' : 'are'} marked ${f.condition}.`,
    why: 'Old drives fail sooner, and those of one age together: a second copy and a spare at hand.',
  },
  'lasts.alone': {
    title: 'One drive the pool hangs on',
    what: (f) => `${f.drive} alone keeps the ${f.role} of the pool.`,
    why: 'When it fails the pool is gone with it: it wants a mirror.',
  },
  'lasts.writeBack': {
    title: 'Write cache without protection',
    what: (f) => `${f.card} keeps writes in a cache that nothing protects, for ${n(f.count, 'drive')}.`,
    why: 'When the power goes, so does what it had promised to have written.',
  },
  'lasts.bridge': {
    title: 'Bridge of an outside box',
    what: (f) =>
      f.fault === 'weak'
        ? `The bridge of ${f.box} is of a kind known to drop out under load.`
        : f.fault === 'one'
          ? `${f.box} shows all of its drives as one.`
          : `${f.box} does not come back by itself after losing its power alone.`,
    why: 'A pool behind it loses its members together; their health may not be seen at all.',
  },
  'lasts.aged': {
    title: 'Years behind a part',
    what: (f) =>
      f.battery
        ? `The battery of ${f.part} is ${f.years} years old.`
        : `${f.part} ${f.count > 1 ? 'are' : 'is'} ${f.years} years old.`,
    why: 'Past the years it is made for it fails more often; have a spare, or change it before.',
  },
};
