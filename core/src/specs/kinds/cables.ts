import { titled, type KindRules, type Rule } from './rule';

/** Metres, which other kinds never tell a length in. */
const inMetres = (text: string): number | undefined => {
  const said = /(?<![\d.,])(\d{1,2}(?:[.,]\d{1,2})?)\s?m(?:et(?:er|re)s?)?(?![a-z\d²³/])/i.exec(text)?.[1];
  return said ? Math.round(Number(said.replace(',', '.')) * 1000) : undefined;
};
const isMost = (text: string): boolean => /max|up to|bis zu|limit/i.test(text);
const CABLE_LENGTH: readonly Rule[] = [
  { field: 'lengthMm', label: /length|länge|longueur|lunghezza|lengte/i, not: /max|bend|strip/i, dimension: 'mm' },
  {
    field: 'lengthMm',
    label: /length|länge|longueur|lunghezza|lengte/i,
    not: /max|bend|strip/i,
    read: ({ value }) => inMetres(value),
  },
  {
    field: 'lengthMm',
    free: true,
    read: ({ label, value }, quantities) => {
      const lengths = quantities.filter(({ dimension, value: mm }) => dimension === 'mm' && mm >= 100);
      if (label !== '' || isMost(value)) return undefined;
      return lengths.length === 1 ? lengths[0]!.value : lengths.length === 0 ? inMetres(value) : undefined;
    },
  },
];
/** A cable for data; one of a supply is the supply's. */
export const CABLE: KindRules = {
  kind: 'cable',
  cues: [
    [
      titled(
        String.raw`(?:sff-?\d{4}|mini-?sas|slim-?sas|s-?ata|\bsas\b|oculink|u\.2|usb)[^\n]*\b(?:cable|kabel|breakout)` +
          String.raw`|\b(?:cable|kabel|breakout)\b[^\n]*(?:sff-?\d{4}|mini-?sas|slim-?sas|s-?ata|oculink|u\.2)`,
      ),
      9,
    ],
  ],
  rules: CABLE_LENGTH,
};
