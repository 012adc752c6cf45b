import { whole } from './hostWords';
import { CARD, type KindRules } from './rule';

const cards = (kind: KindRules['kind'], cues: KindRules['cues'], rules: KindRules['rules'] = []): KindRules => ({
  kind,
  cues,
  rules: [...rules, ...CARD],
});

export const CARDS: readonly KindRules[] = [
  cards(
    'controller',
    [
      [/host bus adapter|\bhba\b|raid (?:controller|card)|sata (?:card|controller)|storage controller/i, 5],
      [/sff-?(?:8643|8087|8654|8644|8088)/i, 2],
      [/devices supported|supported devices/i, 2],
    ],
    [
      {
        field: 'mostDevices',
        free: true,
        read: ({ label, value }) =>
          label === '' ? whole(/^up to (\d{1,4}) (?:[\w/]+ )?devices\b/i.exec(value)?.[1]) : undefined,
      },
      {
        field: 'mostDevices',
        label: /devices|drives|geräte|laufwerke/i,
        not: /expander per/i,
        read: ({ value }, quantities) =>
          /^\s*(?:up to |max\.? |bis zu )?\d/i.test(value) &&
          quantities.length === 1 &&
          quantities[0]!.dimension === null
            ? quantities[0]!.value
            : undefined,
      },
    ],
  ),
  cards('networkCard', [
    [/network (?:adapter|card|interface)|ethernet (?:adapter|card)|netzwerkkarte|\bnic\b/i, 5],
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
];
