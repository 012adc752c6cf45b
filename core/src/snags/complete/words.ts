import type { Sized } from '../finding';
import { n, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type CompleteFacts = {
  'complete.smallParts': { count: number; parts: string };
  'complete.uselessPorts': Sized<{ board: string; chassis: string; bays: number }>;
  'complete.boot': { drives: number };
  'complete.idleCard': { card: string; watts: number };
  'complete.runsNothing': { part: string; kind: 'supply' | 'board' | 'chassis'; beside: string };
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
      `${f.board} has ${n(s.gap.have, 'drive port')}; ${f.chassis} has ` +
      `${n(s.gap.limit, 'bay')}: ${n(-s.gap.gap, 'stays idle', 'stay idle')}.`,
    why: 'They were paid for; another chassis would use them.',
  },
  'complete.boot': {
    title: 'Something to start from',
    what: (f) => `${n(f.drives, 'drive')} for data, and none for the system to start from.`,
    why: 'On a drive of the pool it is lost with it, and in the way of every exchange.',
  },
  'complete.idleCard': {
    title: 'A card with nothing on it',
    what: (f) => `${f.card} carries no drive and draws about ${f.watts} W all the same.`,
    why: 'It takes a slot, costs money, and often keeps the processor from its deepest rest.',
  },
  'complete.runsNothing': {
    title: 'A part that does nothing',
    what: (f) =>
      f.kind === 'chassis'
        ? `Nothing is in ${f.part}; everything is in ${f.beside}.`
        : `${f.part} ${f.kind === 'supply' ? 'feeds' : 'runs'} nothing: ${f.beside} has its place.`,
    why: 'It is paid for and counted; take it out, or give it a machine of its own.',
  },
};
