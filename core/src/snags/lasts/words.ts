import type { Sized } from '../finding';
import { n, number, round, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type LastsFacts = {
  'lasts.shingled': { count: number; drive: string; layout: string };
  'lasts.ratedBays': Sized<{ count: number; drive: string; chassis: string }>;
  'lasts.worn': { count: number; drive: string; hours: number; condition: string };
  'lasts.alone': { drive: string; count: number; survives: number; pool: number };
  'lasts.system': { drive: string; failures: number };
  'lasts.log': { drive: string; ups: string };
  'lasts.cache': { drive: string; gb: number; memoryGb: number };
  'lasts.spare': { drive: string; serves: number; sets: number };
  'lasts.set': { set: string; layout: string; have: number; least: number };
  'lasts.weakest': { sets: string; any: number; wished: number | undefined; most: number };
  'lasts.loose': { count: number; drive: string };
  'lasts.endurance': Sized<{ count: number; drive: string; tbPerYear: number; enduranceTb: number }>;
  'lasts.software': { until: string | undefined; isOver: string };
  'lasts.writeBack': { card: string; count: number };
  'lasts.bridge': { box: string; fault: 'weak' | 'one' | 'lost' };
  'lasts.aged': { part: string; count: number; years: number; battery: string };
  'lasts.notSold': { part: string; count: number; year: number };
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
    title: 'Where the metadata of the pool is',
    what: (f) =>
      f.survives === 0
        ? `${f.drive} alone keeps the metadata of the pool.`
        : `The metadata is on ${f.count} drives, of which ${f.survives} may fail; of the pool ${f.pool} may.`,
    why: 'Without its metadata the whole pool is gone: keep it on a mirror that survives as much as the pool does.',
  },
  'lasts.system': {
    title: 'One drive for the system',
    what: (f) => `${n(f.failures, 'drive')} of the pool may fail; the system is on ${f.drive} alone.`,
    why: 'When it fails the machine stands still until it is set up anew; the pool itself is not lost.',
  },
  'lasts.log': {
    title: 'Write log without protection',
    what: (f) =>
      `${f.drive} is not said to keep what it was just writing when the power goes` +
      (f.ups ? '; the UPS helps until it or the supply fails.' : '.'),
    why: 'A log is read only after such a failure: one that forgets then is of no use.',
  },
  'lasts.cache': {
    title: 'What a read cache can do',
    what: (f) =>
      f.memoryGb > 0
        ? `${number(f.gb)} GB of read cache beside ${f.memoryGb} GB of memory.`
        : `${f.drive} is a disk: as read cache it is no faster than the pool.`,
    why: 'It holds copies of what is read often, adds no room and quickens no write; memory comes first.',
  },
  'lasts.spare': {
    title: 'Spares that can take over',
    what: (f) =>
      f.serves === 0
        ? `${f.drive} is too small, or of another kind, to stand in for a drive of any set.`
        : `${f.drive} can stand in for drives of ${f.serves} of ${f.sets} sets.`,
    why: 'A spare has to hold as much as the drive it stands in for.',
  },
  'lasts.set': {
    title: 'Drives in a set',
    what: (f) => `${f.set} has ${n(f.have, 'drive')}; ${f.layout} wants at least ${f.least}.`,
    why: 'Until it has them it holds nothing. Add drives to it, or choose another layout.',
  },
  'lasts.weakest': {
    title: 'Failures the sets survive',
    what: (f) => {
      const fail = f.any === 0 ? 'no drive may fail' : `any ${n(f.any, 'drive')} may fail`;
      const other = f.wished === undefined ? `in others ${f.most} may` : `the brief wants ${f.wished}`;
      return `In ${f.sets} ${fail}; ${other}.`;
    },
    why: 'Data is spread over all sets: one set lost takes the whole pool with it.',
  },
  'lasts.loose': {
    title: 'Data drives in no set',
    what: (f) => `${f.count === 1 ? `${f.drive} is` : `${f.count} data drives are`} in no set.`,
    why: 'They hold nothing until they are put into one, or given something else to do.',
  },
  'lasts.endurance': {
    title: 'Writes that flash endures',
    what: (f, s) =>
      `${f.count === 1 ? f.drive : `${f.count} × ${f.drive}`}: ${round(f.tbPerYear)} TB a year each of the ` +
      `${number(f.enduranceTb)} TB its sheet allows: ${round(s.gap.have)} years.`,
    why: 'Past that its maker no longer warrants that it keeps what is written; what is written over comes on top.',
  },
  'lasts.software': {
    title: 'What the storage software allows',
    what: (f, s) =>
      f.until === undefined
        ? `${s.gap?.have ?? 0} drives are in the machine; the software takes at most ${s.gap?.limit ?? 0}.`
        : `Its support ${f.isOver ? 'ended' : 'ends'} on ${f.until}.`,
    why: 'Drives past the licence are not used; without support what is found wrong in it stays wrong.',
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
  'lasts.notSold': {
    title: 'No longer sold new',
    what: (f) =>
      `${f.count > 1 ? `${f.count} × ` : ''}${f.part} ${f.count > 1 ? 'were' : 'was'} sold new until ${f.year}.`,
    why: 'Found used, or as what is left on a shelf: without a warranty, and hard to find again when one fails.',
  },
};
