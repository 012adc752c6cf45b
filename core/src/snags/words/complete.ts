import { n, type WordsOf } from './wording';

/** What each rule says besides its gap. */
export type CompleteFacts = {
  'complete.smallParts': { count: number; parts: string };
  'complete.uselessPorts': { board: string; chassis: string; bays: number };
};

export const COMPLETE_WORDS: WordsOf<CompleteFacts> = {
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
};
