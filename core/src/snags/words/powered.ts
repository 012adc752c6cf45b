import { round, n, plugWords, type WordsOf } from './wording';

/** What each rule says besides its gap. */
export type PoweredFacts = {
  'powered.plugs': { plug: string; need: number; have: number; supply: string; short: number; overload: string };
  'powered.total': { supply: string };
  'powered.start12V': { supply: string; drives: number };
};

export const POWERED_WORDS: WordsOf<PoweredFacts> = {
  'powered.plugs': {
    title: 'A plug for every part',
    what: (f, s) =>
      `${plugWords(f.plug)}: ${s.gap!.limit} wanted, ${f.supply} has ` +
      `${s.gap!.have}.` +
      (s.severity === 'caution'
        ? ' Splitters are needed.'
        : f.overload
          ? ' Splitters would carry more than they may.'
          : ''),
    why: 'A part without power is dead weight; every splitter is one more contact to fail.',
  },
  'powered.total': {
    title: 'Everything at its most together',
    what: (f, s) =>
      `At their most the parts ${s.severity === 'blocker' ? 'draw' : 'may draw'} ` +
      `${Math.round(s.severity === 'blocker' ? s.gap!.have : s.gap!.hi!)} W; ${f.supply} gives ` +
      `${round(s.gap!.limit)} W.`,
    why: 'The supply shuts down under load.',
  },
  'powered.start12V': {
    title: '12 V at the start of all drives',
    what: (f, s) =>
      `Starting ${n(f.drives, 'drive')} together ` +
      `${s.severity === 'blocker' ? 'takes' : 'may take'} ` +
      `${(s.severity === 'blocker' ? s.gap!.have : (s.gap!.hi ?? s.gap!.have)).toFixed(1)} A ` +
      `on 12 V; ${f.supply} gives ${round(s.gap!.limit)} A.`,
    why: 'The supply cuts out at power-on, or drives drop from the pool.',
  },
};
