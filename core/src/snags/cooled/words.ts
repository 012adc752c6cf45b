import type { Sized } from '../finding';
import type { Basis } from '../../parts/sheet';
import { round, type WordsOf } from '../wording';

/** What each rule says besides its gap. */
export type CooledFacts = {
  'cooled.cooler': Sized<{ cooler: string; processor: string; basis: Basis }>;
  'cooled.passive': { cooler: string; processor: string; chassis: string; watts: number };
  'cooled.drives': Sized<{ count: number; drive: string; chassis: string; isStill: string; medium: string }>;
  'cooled.card': { card: string; count: number; chassis: string; watts: number };
  'cooled.beside': Sized<{ card: string; by: string; adds: number; count: number }>;
  'cooled.chip': Sized<{ card: string; count: number; chassis: string }>;
};

export const COOLED_WORDS: WordsOf<CooledFacts> = {
  'cooled.cooler': {
    title: 'Heat the cooler carries',
    what: (f, s) =>
      `${f.processor} draws ${f.basis === 'typical' ? 'about ' : ''}${round(s.gap.have)} W ` +
      `for minutes on end; ${f.cooler} carries ${round(s.gap.limit)} W.`,
    why: 'Under load it slows itself down, or switches off.',
  },
  'cooled.passive': {
    title: 'Cooler without a fan',
    what: (f) =>
      `${f.cooler} has no fan, and none in ${f.chassis} blows at it: ${f.processor} draws ` +
      `about ${f.watts} W under load.`,
    why: 'Such a cooler carries what it says only in moving air; still air carries a small part of it.',
  },
  'cooled.drives': {
    title: 'Drives on the hottest day',
    what: (f, s) =>
      `${f.count > 1 ? `${f.count} × ` : ''}${f.drive} in ${f.chassis}: about ${Math.round(s.gap.have)} °C ` +
      `(${Math.round(s.gap.lo!)} to ${Math.round(s.gap.hi!)}) on the hottest day, all busy; ` +
      `${round(s.gap.limit)} °C allowed${f.isStill ? ', no fan near' : ''}.`,
    why: 'Disks fail early, flash slows itself down.',
  },
  'cooled.card': {
    title: 'Air past a card',
    what: (f) =>
      `${f.count > 1 ? `${f.count} × ` : ''}${f.card} gives off about ${f.watts} W${f.count > 1 ? ' each' : ''}, ` +
      `and no fan in ${f.chassis} moves air past it.`,
    why: 'It is made for moving air.',
  },
  'cooled.chip': {
    title: 'Hot chip of a card',
    what: (f, s) =>
      `The chip of ${f.count > 1 ? `${f.count} × ` : ''}${f.card} gets about ${Math.round(s.gap.have)} °C ` +
      `on the hottest day in ${f.chassis}, ${Math.round(s.gap.lo!)} °C at the least; ` +
      `${round(s.gap.limit)} °C is allowed.`,
    why: 'It drops its drives or its link under load, and ages fast.',
  },
  'cooled.beside': {
    title: 'Hot cards side by side',
    what: (f, s) =>
      `${f.by} right beside ${f.card} ${f.count > 1 ? 'warm' : 'warms'} its air by about ${f.adds} K: ` +
      `about ${Math.round(s.gap.have)} °C on the hottest day, ${round(s.gap.limit)} °C allowed.`,
    why: 'A slot left free between them is enough.',
  },
};
