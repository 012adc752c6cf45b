import type { Sized } from '../finding';
import type { Build } from '../../build/build';
import { mm, n, round, over, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type Feature = NonNullable<Build['brief']['mustHave']>[number];
export type WithinFacts = {
  'within.money': Sized<{ currency: string }>;
  'within.idle': Sized<Record<never, never>>;
  'within.peak': Sized<Record<never, never>>;
  'within.size': Sized<{ chassis: string; side: string }>;
  'within.lift': Sized<{ chassis: string }>;
  'within.rackUnits': { chassis: string; units: number };
  'within.growth': Sized<{ now: number; more: number; bays: number; ports: number | undefined }>;
  'within.usable': {
    drives: number;
    failures: number;
    mostTb: number;
    usableTb: number;
    wishTb: number;
    isMade: string;
  };
  'within.usableLater': Sized<{ more: number; drive: string; failures: number }>;
  'within.network': Sized<Record<never, never>>;
  'within.mustHave': { must: Feature; wish: string; parts: string };
  'within.notWanted': { unwanted: Feature; wish: string; parts: string };
  'within.services': ServicesFacts;
  'within.currency': { count: number; currency: string; others: string };
  'within.sound': Sized<{ loudest: string; room: number; wish: number }>;
};

/** What the services that must run lack: GB with the system's own, cores busy on average, hours the machine is off. */
type ServicesFacts = {
  count: number;
  names: string;
  wantGb?: number;
  hasGb?: number;
  wantCores?: number;
  hasCores?: number;
  offHours?: number;
};
const lackWords = ({ wantGb, hasGb, wantCores, hasCores, offHours }: ServicesFacts): string =>
  [
    ...(wantGb === undefined ? [] : [`With the system they want ${round(wantGb)} GB of ${round(hasGb ?? 0)}.`]),
    ...(wantCores === undefined ? [] : [`They keep ${round(wantCores)} cores busy of ${hasCores ?? 0}.`]),
    ...(offHours === undefined ? [] : [`The machine is off ${n(offHours, 'hour')} a week.`]),
  ].join(' ');

const mayFail = (failures: number): string => (failures > 0 ? ` if any ${n(failures, 'drive')} may fail` : '');

export const WITHIN_WORDS: WordsOf<WithinFacts> = {
  'within.money': {
    title: 'Price against the brief',
    what: (f, s) => over(s, (v) => `${f.currency} ${Math.round(v)}`, 'budget of'),
    why: 'Owned and used parts bring it down first.',
  },
  'within.idle': {
    title: 'Idle watts against the brief',
    what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished idle of'),
    why: 'A server idles most of the year; that is what the bill is made of.',
  },
  'within.peak': {
    title: 'Peak watts against the brief',
    what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished peak of'),
    why: 'The socket, the UPS or the circuit may not carry more.',
  },
  'within.size': {
    title: 'Size and weight against the room there is',
    what: (f, s) =>
      s.gap.unit === 'kg'
        ? `Filled, ${f.chassis} weighs about ${Math.round(s.gap.have)} kg, could be ${Math.round(s.gap.hi!)}; ` +
          `at most ${round(s.gap.limit)} kg.`
        : `${f.chassis} is ${mm(-s.gap.gap)} too ${f.side}: ${mm(s.gap.have)}, room for ${mm(s.gap.limit)}.`,
    why: 'It does not go where it is to stand.',
  },
  'within.lift': {
    title: 'Lifting the machine',
    what: (f, s) => `Filled, ${f.chassis} weighs about ${Math.round(s.gap.have)} kg.`,
    why: 'Two people lift it, or the drives go in after it stands.',
  },
  'within.rackUnits': {
    title: 'Rack units',
    what: (f, s) =>
      s.gap
        ? `${s.gap.have} U of machines; ${s.gap.limit} U are free.`
        : `${f.chassis} is not made for a rack: it wants a shelf there.`,
    why: 'A rack takes what is made for its posts, in whole units.',
  },
  'within.growth': {
    title: 'Room for the drives to come',
    what: (f, s) =>
      `${s.gap.limit} drives are wanted later; ${f.now} are here and there is room for ` +
      `${f.more} more (${n(f.bays, 'bay')}${f.ports === undefined ? '' : `, ${n(f.ports, 'port')}`} free).`,
    why: 'What has no bay or port later means another machine.',
  },
  'within.usable': {
    title: 'Room for data',
    what: (f) => {
      if (!f.isMade && f.drives <= f.failures)
        return (
          `${n(f.drives, 'data drive')}: no layout of ${f.drives === 1 ? 'it' : 'them'} survives ` +
          `${n(f.failures, 'failure')}.`
        );
      const wished = `${round(f.wishTb)} TB are wished.`;
      if (f.mostTb < f.wishTb) return `At most ${round(f.mostTb)} TB usable${mayFail(f.failures)}; ${wished}`;
      return `${f.isMade ? 'The sets hold' : 'As proposed there are'} ${round(f.usableTb)} TB usable; ${wished}`;
    },
    why: 'Free space, padding of records and mixed sizes only take from it.',
  },
  'within.usableLater': {
    title: 'Room for data later',
    what: (f, s) =>
      (f.more > 0 ? `With ${f.more} more of ${f.drive}` : 'With no bay and port for more') +
      ` at most ${round(s.gap.have)} TB usable${mayFail(f.failures)}; ${round(s.gap.limit)} TB are wished later.`,
    why: 'More bays, or larger drives in place of these.',
  },
  'within.network': {
    title: 'Network against the brief',
    what: (_f, s) => `${round(s.gap.limit)} Gb/s are wished; the fastest port here is ${round(s.gap.have)} Gb/s.`,
    why: 'Everything the drives give goes through that port.',
  },
  'within.mustHave': {
    title: 'Must-haves',
    what: (f) =>
      f.must === 'fanless'
        ? `The brief asks for no fan; these have one: ${f.parts}.`
        : `The brief asks for ${f.wish}; without it: ${f.parts}.`,
    why: 'A near twin that lacks it is the usual wrong order.',
  },
  'within.notWanted': {
    title: 'What is not wanted',
    what: (f) => `The brief does not want ${f.wish}: ${f.parts}.`,
    why: 'It was ruled out when the wishes were written down.',
  },
  'within.services': {
    title: 'Services against the machine',
    what: (f) => `${n(f.count, 'service does', 'services do')} not fit: ${f.names}. ${lackWords(f)}`,
    why: 'What does not fit swaps memory to drives, waits, or stands still.',
  },
  'within.currency': {
    title: 'Prices that are not in the sum',
    what: (f) =>
      (f.others
        ? `${n(f.count, 'part is', 'parts are')} priced in ${f.others}; the sum is in ${f.currency}, without `
        : `${n(f.count, 'part has', 'parts have')} no price; the sum is without `) + (f.count === 1 ? 'it.' : 'them.'),
    why: 'The machine costs more than the sum says. Give a rate in the brief, or a price in its currency.',
  },
  'within.sound': {
    title: 'Noise against the brief',
    what: (f, s) =>
      f.room > 0
        ? `The room alone is about ${f.room} dB(A), the wish ${round(s.gap.limit)}: ` +
          'the machine adds next to nothing to it.'
        : `${s.gap.gap < 0 ? 'Probably over' : 'May be over'} the wished ${round(f.wish)} ` +
          `dB(A) at the ear${f.wish < s.gap.limit ? ` and what the room hides (${round(s.gap.limit)})` : ''}: ` +
          `${s.gap.have.toFixed(1)}, could be ` +
          `${(s.gap.gap < 0 ? s.gap.lo! : s.gap.hi!).toFixed(0)}. Most of it: ${f.loudest}.`,
    why: 'Ten decibels more sound about twice as loud.',
    whyNote: 'Where the room is louder than the wish, no machine meets it.',
  },
};
