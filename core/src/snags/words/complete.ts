import { n, type Words } from './wording';

export const COMPLETE_WORDS = {
  'complete.smallParts': {
    title: 'Small parts in no box',
    what: (f) => `Also needed: ${f.parts}.`,
    why: 'Nobody lists them, and assembly stops without them.',
  },
  'complete.uselessPorts': {
    title: 'Ports nobody can use',
    what: (f, s) =>
      `${f.board} has ${n(s.gap!.have, 'drive port')}; ${f.chassis} has ` +
      `${n(s.gap!.limit, 'bay')}: ${n(-s.gap!.gap, 'stays idle', 'stay idle')}.`,
    why: 'They were paid for; another chassis would use them.',
  },
} as const satisfies Record<string, Words>;
