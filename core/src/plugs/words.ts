import type { PlugKind } from '../parts/vocabulary';

const WORDS: Readonly<Record<PlugKind, string>> = {
  'sata-power': 'SATA power',
  peripheral: '4-pin peripheral',
  '6-pin-card': '6-pin card',
  '8-pin-card': '8-pin card',
  '24-pin': '24-pin',
  '8-pin-cpu': '8-pin processor',
  '4-pin-cpu': '4-pin processor',
  'dc-jack': 'DC',
};

/** A kind of plug, as it is called on a cable. */
export const plugWord = (plug: PlugKind): string => WORDS[plug];
/** Plugs of a kind, in a sentence. */
export const plugsWord = (plug: PlugKind): string => (plug === 'dc-jack' ? 'DC jacks' : `${WORDS[plug]} plugs`);
