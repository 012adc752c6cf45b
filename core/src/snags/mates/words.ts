import type { Sized } from '../finding';
import { mm, round, n, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type MatesFacts = {
  'mates.memory': { memory: string; board: string; have: string; want: string };
  'mates.memorySlots': { count: number; board: string; slots: number };
  'mates.memoryRegistered': { memory: string; board: string; have: string; want: string; ddr5: string };
  'mates.memoryMixed': { board: string; registered: string; unbuffered: string };
  'mates.memoryUneven': { board: string; sizes: string };
  'mates.memorySpeed': Sized<{ memory: string; slower: string }>;
  'mates.processorMemory': { memory: string; processor: string; have: string; want: string };
  'mates.generation': { processor: string; generation: string; board: string; takes: string; firmware: string };
  'mates.boardWatts': Sized<{ processor: string; board: string }>;
  'mates.ecc': { memory: string; part: string; certain: string };
  'mates.socket': { part: string; have: string; board: string; want: string };
  'mates.memoryMax': Sized<{ board: string; what: string }>;
  'mates.display': { processor: string; board: string; graphics: 'has' | 'has no' };
  'mates.sectors': { count: number; drive: string; sas: string };
  'mates.powerDisable': { count: number };
  'mates.memoryOrder': { board: string; count: number; first: string; now: string };
  'mates.memoryPath': Sized<{ board: string; slots: number; add: number; of: number; giveUp: number }>;
  'mates.frontUsb': { chassis: string; board: string; kind: string };
  'mates.spareCables': { count: number; cable: string; turned: string; right: string };
  'mates.halfPlugs': { part: string; plug: number; cables: string };
  'mates.cableLength': Sized<{ cable: string; count: number; is: 'short' | 'long' | 'coils' | 'tooFar' }>;
};

export const MATES_WORDS: WordsOf<MatesFacts> = {
  'mates.memory': {
    title: 'Memory form and type',
    what: (f) => `${f.memory} is ${f.have}; ${f.board} takes ${f.want}.`,
    why: 'The notch and the voltage differ; it does not go in.',
  },
  'mates.memorySlots': {
    title: 'A slot for every module',
    what: (f) => `${n(f.count, 'module')} without a slot: ${f.board} has ${f.slots}.`,
    why: 'They stay on the table.',
  },
  'mates.memoryRegistered': {
    title: 'Registered memory',
    what: (f) =>
      `${f.memory} is in ${f.board}, which needs ${f.want} modules.` +
      `${f.ddr5 ? ' With DDR5 it does not even go in.' : ''}`,
    why: 'The machine will not start with it.',
  },
  'mates.memoryMixed': {
    title: 'Registered and unbuffered together',
    what: (f) => `${f.registered} is registered, ${f.unbuffered} is not, and both are on ${f.board}.`,
    why: 'One board runs one kind: with both it does not start.',
  },
  'mates.memoryUneven': {
    title: 'Modules of several sizes',
    what: (f) => `${f.board} has modules of ${f.sizes} GB.`,
    why: 'It runs; what has no equal partner is read over fewer channels.',
  },
  'mates.memorySpeed': {
    title: 'Speed of the memory',
    what: (f, s) => `${f.memory} is made for ${s.gap.have} MT/s; ${f.slower} for ${s.gap.limit}.`,
    why: 'All of it runs at the slowest: hardly felt in a storage server, but not worth paying for.',
  },
  'mates.processorMemory': {
    title: 'Memory the processor takes',
    what: (f, s) =>
      `${f.memory} is ${f.have}; ${f.processor} ` +
      `${s.severity === 'blocker' ? 'takes' : 'probably takes'} ${f.want} alone.`,
    why: 'The memory hangs on the processor, not on the board: it would not start.',
  },
  'mates.generation': {
    title: 'Generation of the processor',
    what: (f) =>
      f.firmware
        ? `${f.board} knows ${f.processor} (${f.generation}) from firmware ${f.firmware} on.`
        : `${f.processor} is of ${f.generation}; ${f.board} takes ${f.takes}.`,
    why: 'It goes into the socket and does not start; firmware is put on without it, or with an older one.',
  },
  'mates.boardWatts': {
    title: 'Watts of the processor on its board',
    what: (f, s) =>
      `${f.processor} draws ${round(s.gap.have)} W for minutes; ` +
      `${f.board} is made for processors of ${round(s.gap.limit)} W.`,
    why: 'Its converters get hot beside the socket: the board slows the processor, switches off, or does not start it.',
  },
  'mates.ecc': {
    title: 'ECC that does not work',
    what: (f) => `${f.memory} has ECC; ${f.part} ${f.certain ? 'does not use' : 'probably does not use'} it.`,
    why: 'It runs as plain memory: errors are neither mended nor told.',
  },
  'mates.socket': {
    title: 'Socket of processor and cooler',
    what: (f) =>
      f.want
        ? `${f.part} is for socket ${f.have}; ${f.board} has ${f.want}.`
        : `${f.part} finds no socket: the processor of ${f.board} is soldered.`,
    why: 'It does not go in, or the cooler cannot be screwed down.',
  },
  'mates.memoryMax': {
    title: 'Most memory a board takes',
    what: (f, s) => `${round(s.gap.have)} GB ${f.what}; ${f.board} takes ${round(s.gap.limit)} GB.`,
    why: 'The machine does not start, or does not see the rest.',
  },
  'mates.display': {
    title: 'Something to see the setup on',
    what: (f) =>
      `${f.processor} ${f.graphics} graphics, and ${f.board} brings ` +
      `${f.graphics === 'has' ? 'no display output' : 'no remote management'}.`,
    why: 'The system cannot be installed without a borrowed graphics card.',
  },
  'mates.sectors': {
    title: 'Sector format',
    what: (f) =>
      `${n(f.count, 'drive')} with 520-byte sectors: ` +
      `${f.drive}.${f.sas ? '' : ' No SAS controller here could change that.'}`,
    why: 'Nothing but a storage array reads them. Reformatted to 512 bytes, over some hours, they work.',
  },
  'mates.powerDisable': {
    title: 'The 3.3 V pin',
    what: (f) =>
      `${n(f.count, 'drive')} ${f.count === 1 ? 'obeys' : 'obey'} the ` +
      'power-disable pin, and nothing here cuts it.',
    why: 'On a plug that carries 3.3 V it stays off. A cable from a 4-pin plug, or tape over the pin, starts it.',
  },
  'mates.memoryOrder': {
    title: 'Order of memory slots',
    what: (f) =>
      `${n(f.count, 'module')} in ${f.count === 1 ? 'slot' : 'slots'} ` +
      `${f.now}; ${f.board} wants ${f.count === 1 ? 'slot' : 'slots'} ${f.first} ` +
      'filled first.',
    why: 'In the wrong slots it runs on one channel, or does not start.',
  },
  'mates.memoryPath': {
    title: 'Way to more memory',
    what: (f, s) =>
      `${round(s.gap.have)} of ${round(s.gap.limit)} GB, and all ${f.slots} slots of ` +
      `${f.board} are in use: the rest means ${f.add} × ${f.of} GB, and ` +
      `${n(f.giveUp, 'module')} given up.`,
    why: 'Fewer and larger modules keep slots free for later.',
  },
  'mates.frontUsb': {
    title: 'Header of the front sockets',
    what: (f) => `${f.chassis} has ${f.kind} in front; ${f.board} has no header for it.`,
    why: 'The front sockets stay dead, or run slower over an adapter.',
  },
  'mates.spareCables': {
    title: 'Cables that fit nowhere',
    what: (f) =>
      `${f.count} × ${f.cable}: ` +
      `${f.turned ? `it is a ${f.turned} breakout, the other way round` : 'no cable here is made of it'}` +
      `.${f.right ? ` Wanted: ${f.right}.` : ''}`,
    why: 'Plugs look alike; breakouts work one way.',
  },
  'mates.cableLength': {
    title: 'Length of a cable',
    what: ({ cable, count, is }, { gap }) => {
      const of = count > 1 ? ` for ${count} of them` : '';
      if (is === 'long') return `${cable} is ${mm(gap.have)} long; for what it carries it may be ${mm(gap.limit)}.`;
      if (is === 'tooFar')
        return `${cable}: the way is about ${mm(gap.have)}${of}; what it carries goes ${mm(gap.limit)} at most.`;
      const way = `${cable} is ${mm(gap.have)}; the way is about ${mm(gap.limit)}${of}.`;
      return is === 'coils' ? `${way} The rest lies in coils before the air.` : way;
    },
    why: 'Too short it pulls at its plugs; too long the link loses speed or drops.',
  },
  'mates.halfPlugs': {
    title: 'Two cables on one plug',
    what: (f) => `Plug ${f.plug} of ${f.part} would take two cables: ${f.cables}.`,
    why: 'A plug of eight lanes takes one cable, and none splits both ways.',
  },
};
