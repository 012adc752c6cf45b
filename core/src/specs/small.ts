import { CARD, words, type KindRules, type Rule } from './rule';

/** What stands in the first line: what a thing is, before what it goes with. */
const titled = (what: string): RegExp => new RegExp(String.raw`^\s*[^\n]*(?:${what})`, 'i');

/** Expanders are cards with ports and nothing behind them; a backplane's own is the chassis's. */
const EXPANDER: KindRules = {
  kind: 'expander',
  cues: [
    [titled(String.raw`\bexpander(?! backplane)\b`), 9],
    [/\bsas[ -]?[23]? expander card/i, 4],
  ],
  rules: [
    {
      field: 'poweredBy',
      label: /power/i,
      free: true,
      read: ({ label, value }) => {
        if (label === '' && !/power(?:ed)?|supplied/i.test(value)) return undefined;
        const isSlot = /pci|slot/i.test(value);
        const isPlug = /4[- ]?pin|peripheral|plug|connector/i.test(value);
        if (isSlot && isPlug) return /\bor\b|\/|either/i.test(value) ? 'either' : undefined;
        return isSlot ? 'slot' : isPlug ? 'plug' : undefined;
      },
    },
    {
      field: 'mostDevices',
      label: /devices|drives|geräte|laufwerke/i,
      read: ({ value }, quantities) =>
        /^\s*(?:up to |max\.? |bis zu )?\d/i.test(value) && quantities.length === 1 && quantities[0]!.dimension === null
          ? quantities[0]!.value
          : undefined,
    },
    ...CARD,
  ],
};

/** Cards that carry M.2 modules. */
const CARRIER: KindRules = {
  kind: 'carrier',
  cues: [
    [
      titled(
        String.raw`(?:m\.2|nvme|ngff)[^\n]*(?:adapter|carrier|expansion|(?:add-?in|riser|host) card|card for)` +
          String.raw`|(?:adapter|carrier)(?: card)?[^\n]*m\.2`,
      ),
      9,
    ],
  ],
  rules: CARD,
};

/** A riser's edge, and how long its cable is where it has one. */
const RISER: KindRules = {
  kind: 'riser',
  cues: [[titled(String.raw`\briser\b|steigkarte`), 9]],
  rules: [
    {
      field: 'edgeLanes',
      label: /interface|bus|slot|edge|type|connector|pci/i,
      free: true,
      read: ({ label, value }) => {
        const all = [...`${label} ${value}`.matchAll(/\bx\s?(16|8|4|1)\b/gi)].map(([, lanes]) => Number(lanes));
        return all.length > 0 && all.every((one) => one === all[0]) ? all[0] : undefined;
      },
    },
    { field: 'lengthMm', label: /length|länge/i, dimension: 'mm' },
    {
      field: 'lengthMm',
      free: true,
      read: ({ label, value }, quantities) => {
        const lengths = quantities.filter(({ dimension }) => dimension === 'mm');
        return label === '' && lengths.length === 1 && /cable|kabel|^[\d.,]+\s?(?:mm|cm|m)$/i.test(value)
          ? lengths[0]!.value
          : undefined;
      },
    },
  ],
};

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
const CABLE: KindRules = {
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

/** A cage that stands in bays of another size. */
const CAGE: KindRules = {
  kind: 'adapter',
  cues: [
    [
      titled(
        String.raw`mobile rack|(?:drive|hdd|ssd|backplane|hot-?swap) (?:cage|module)|wechselrahmen` +
          String.raw`|5[.,]25[^\n]*(?:cage|adapter|mounting|bracket|module)` +
          String.raw`|(?:cage|adapter|bracket|frame)[^\n]*5[.,]25`,
      ),
      9,
    ],
  ],
  rules: [
    {
      field: 'sitsIn',
      label: /fits|installs?|mount|bay|space|required|einbau/i,
      free: true,
      read: words([/5[.,]25/, '5.25']),
    },
    {
      field: 'span',
      label: /fits|installs?|mount|bay|space|required|einbau/i,
      free: true,
      read: ({ label, value }) => {
        const said = `${label} ${value}`;
        const found = /(?<![\d.,])([1-6])\s*[x×]?\s*(?:external |standard |half-?height )?5[.,]25/i.exec(said)?.[1];
        const word = /\b(one|single|two|dual|three|triple)\s+(?:external |standard )?5[.,]25/i.exec(said)?.[1];
        if (found) return Number(found);
        return word ? SPAN[word.toLowerCase()] : undefined;
      },
    },
    { field: 'idleW', label: /idle/i, dimension: 'W' },
  ],
};
const SPAN: Readonly<Record<string, number>> = { one: 1, single: 1, two: 2, dual: 2, three: 3, triple: 3 };

export const SMALL: readonly KindRules[] = [EXPANDER, CARRIER, RISER, CABLE, CAGE];
