import { whole } from './hostWords';
import { CARD, titled, type KindRules, type Rule } from './rule';

const cards = (kind: KindRules['kind'], cues: KindRules['cues'], rules: KindRules['rules'] = []): KindRules => ({
  kind,
  cues,
  rules: [...rules, ...CARD],
});

/** How many drives a card takes. */
const MOST_DEVICES: Rule = {
  field: 'mostDevices',
  label: /devices|drives|geräte|laufwerke/i,
  not: /expander per/i,
  read: ({ value }, quantities) =>
    /^\s*(?:up to |max\.? |bis zu )?\d/i.test(value) && quantities.length === 1 && quantities[0]!.dimension === null
      ? quantities[0]!.value
      : undefined,
};

export const CARDS: readonly KindRules[] = [
  cards(
    'controller',
    [
      [/host bus adapter|\bhba\b|raid (?:controller|card)|storage controller/i, 5],
      [/sata (?:[a-z]+[ -])?(?:card|controller|adapter)/i, 5],
      [titled(String.raw`\b(?:sas|tri-?mode)\b[^\n]*\b(?:adapter|card|controller)\b`), 5],
      [/sff-?(?:8643|8087|8654|8644|8088)/i, 2],
      [/devices supported|supported devices/i, 2],
    ],
    [
      {
        field: 'mostDevices',
        free: true,
        read: ({ label, value }) =>
          label === ''
            ? whole(
                /^(?:\w+ )?up to (\d{1,4}|\d,\d{3}) (?:[\w/]+ )?(?:devices|drives)\b/i
                  .exec(value)?.[1]
                  ?.replace(',', ''),
              )
            : undefined,
      },
      MOST_DEVICES,
    ],
  ),
  cards('networkCard', [
    [/network (?:adapter|card|interface)|ethernet (?:adapter|card)|netzwerkkarte|\bnic\b/i, 5],
    [titled(String.raw`(?:q?sfp(?:\+|28)?|\d+ ?gbe|\d+g ?base-?t)[^\n]*(?:adapter|card|karte)`), 5],
    [/10gbase|sfp\+?28?|rj-?45/i, 2],
  ]),
  cards(
    'accelerator',
    [
      [/graphics card|\bgpu\b|grafikkarte|accelerator/i, 4],
      [/\bvram\b|gddr\d/i, 3],
    ],
    [
      {
        field: 'thickSlots',
        free: true,
        label: /form|slots?|width|breite|size/i,
        read: ({ label, value }) => {
          const said = /(?<![\d.])([123](?:\.\d{1,2})?)[- ]?slots?\b|\b(single|dual|triple)[- ]slot\b/i.exec(
            `${label} ${value}`,
          );
          if (!said) return undefined;
          return said[1] ? Number(said[1]) : { single: 1, dual: 2, triple: 3 }[said[2]!.toLowerCase()];
        },
      },
      {
        field: 'peakW',
        free: true,
        read: ({ label, value }, quantities) =>
          label === '' && /^(?:max\.? )?\d{2,3}\s?w$/i.test(value) ? quantities[0]?.value : undefined,
      },
      // What a graphics card is told to take is its most.
      {
        field: 'peakW',
        label: /consumption|\bt[dgb]p\b|board power|^power$|leistungsaufnahme/i,
        not: /idle|typ|average|standby/i,
        dimension: 'W',
      },
      {
        field: 'displayOutput',
        free: true,
        label: /display|video|outputs?|anschl/i,
        read: ({ label, value }) => {
          if (/\bnone\b|\bno (?:display|video|outputs?)|headless|keine/i.test(`${label} ${value}`)) return false;
          return /display ?port|\bhdmi\b|\bdvi\b|\bvga\b/i.test(value) ? true : undefined;
        },
      },
    ],
  ),
  // An expander has ports and nothing behind them; a backplane's own is the chassis's.
  cards(
    'expander',
    [
      [titled(String.raw`\bexpander(?! backplane)\b`), 9],
      [/\bsas[ -]?[23]? expander card/i, 4],
    ],
    [
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
      MOST_DEVICES,
    ],
  ),
  // A card that carries M.2 modules.
  cards('carrier', [
    // A card with SAS has ports of its own.
    [/\bsas\b/i, -8],
    [
      titled(
        String.raw`(?:m\.2|nvme|ngff)[^\n]*(?:adapter|carrier|expansion|(?:add-?in|riser|host) card|card for)` +
          String.raw`|(?:adapter|carrier)(?: card)?[^\n]*m\.2`,
      ),
      9,
    ],
  ]),
];
