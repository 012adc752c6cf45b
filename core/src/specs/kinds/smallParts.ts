import { USB_GENERATIONS } from '../text/usb';
import { titled, words, type KindRules, type Rule } from './rule';

/** Plugs of power cables by what texts call them; the longer names first. */
const POWER_PLUGS: readonly (readonly [RegExp, string])[] = [
  [/(?:20\+4|24)-?\s?pin/i, '24-pin'],
  [/eps|8-?\s?pin cpu|4\+4/i, '8-pin-cpu'],
  [/4-?\s?pin (?:cpu|processor)|p4\b/i, '4-pin-cpu'],
  [/6\+2|8-?\s?pin/i, '8-pin-card'],
  [/6-?\s?pin/i, '6-pin-card'],
  [/s-?ata/i, 'sata-power'],
  [/peripheral|4-?\s?pin|\blp4\b/i, 'peripheral'],
];
const powerPlugIn = (said: string): string | undefined => POWER_PLUGS.find(([pattern]) => pattern.test(said))?.[1];
const TO = /\s+(?:to|auf|zu|->|→|–>)\s+/i;
const INPUT = /^(?:input|eingang|from|source|male|takes)\b/i;
const OUTPUT = /^(?:output|ausgang|to|target|female|gives)\b/i;

/** `2 x SATA power to 1 x 6-pin`: what stands before and behind the word. */
const sidesOf = (said: string): readonly string[] => {
  const sides = said.split(TO);
  return sides.length === 2 ? sides : [];
};
/** Plugs that a power adapter gives: behind `to`, or at its output. */
export function givesIn({ label, value }: { readonly label: string; readonly value: string }): unknown {
  const said = OUTPUT.test(label) ? value : sidesOf(value)[1];
  const plug = said === undefined ? undefined : powerPlugIn(said);
  const count = /(?<![\d.,])(\d{1,2})\s*[x×]/i.exec(said ?? '')?.[1];
  return plug && count ? [{ plug, count: Number(count) }] : undefined;
}

const RATED_A: readonly Rule[] = [
  { field: 'ratedA', label: /current|rated|rating|load|max|strom|belast/i, dimension: 'A' },
  {
    field: 'ratedA',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' && /^(?:max\.?|up to|rated|bis)?\s*[\d.,]+\s?a$/i.test(value) ? quantities[0]?.value : undefined,
  },
];
const POWER_ADAPTER: KindRules = {
  kind: 'powerAdapter',
  cues: [
    [
      titled(String.raw`(?:sata|4-?pin|6-?pin|8-?pin|peripheral|eps|power)[^\n]*\b(?:y-)?(?:splitter|power adapter)`),
      9,
    ],
    [titled(String.raw`\bpower (?:adapter(?! supply)|splitter)(?:[ :]|$)[^\n]*(?:pin|sata)`), 9],
    // A supply has power plugs, and up to so many of them.
    [/^(?![^\n]*(?:splitter|power adapter|y-?(?:cable|kabel)))[^]*(?:power suppl|netzteil|\bpsu\b)/i, -20],
    [titled(String.raw`(?:strom|power)[^\n]*(?<!up) (?:to|auf|zu) [^\n]*(?:pin|sata)`), 12],
    [titled(String.raw`(?:strom|power)[^\n]*\by-?(?:kabel|cable)`), 9],
  ],
  rules: [
    {
      field: 'takes',
      free: true,
      label: /./,
      read: ({ label, value, text }) => powerPlugIn(INPUT.test(label) ? value : (sidesOf(text)[0] ?? '')),
    },
    ...RATED_A,
  ],
};

/** What stands between the drives of a box and its host. */
const BRIDGE: KindRules = {
  kind: 'enclosure',
  cues: [
    [titled(String.raw`(?:usb|esata)[^\n]{0,30}\b(?:to|zu|auf) (?:s-?ata|nvme|m\.2)|docking station|\bdock\b`), 9],
    [titled(String.raw`\busb\b[^\n]*\bbridge\b`), 9],
  ],
  rules: [
    {
      field: 'link',
      free: true,
      label: /./,
      read: ({ label, value }) =>
        words([/\busb\b/i, 'usb'], [/e-?sata/i, 'esata'])({ label, value, line: 0, text: '' }),
    },
    {
      field: 'gbPerS',
      free: true,
      label: /interface|rate|speed|usb|host|connect|schnittstelle/i,
      read: ({ label, value }) => {
        const told = /(\d+(?:[.,]\d+)?)\s?(?:gb(?:it)?\/s|gbps)/i.exec(value)?.[1];
        if (told !== undefined && !/sata\b/i.test(value)) return Number(told.replace(',', '.'));
        return USB_GENERATIONS.find(([pattern]) => pattern.test(`${label} ${value}`))?.[1];
      },
    },
    {
      field: 'largestDriveBytes',
      free: true,
      label: /capacity|kapazität|largest|max|drives?|supports?/i,
      read: ({ label, value }, quantities) => {
        const isMost = /max|up to|bis zu|largest/i.test(`${label} ${value}`);
        const bytes = quantities.filter(({ dimension }) => dimension === 'B');
        return isMost && bytes.length === 1 && !/total|all|zusammen/i.test(`${label} ${value}`)
          ? bytes[0]!.value
          : undefined;
      },
    },
  ],
};

const USES: readonly (readonly [RegExp, string])[] = [
  [/\bcr ?20(?:16|25|32)\b|coin cell|knopfzelle/i, 'coinCell'],
  [/thermal (?:paste|compound|grease)|wärmeleitpaste/i, 'paste'],
  [/i\/?o[- ]shield|i\/?o[- ]blende/i, 'ioShield'],
  [/(?:slid(?:e|ing)|rack|telescopic) rails?|rail kit|teleskopschienen/i, 'slideRails'],
  [/fan hub|lüfter-?hub|pwm hub/i, 'fanHub'],
  [/fan (?:y-)?splitter|(?:y-)?splitter for fans/i, 'fanSplitter'],
  [/(?:sfp\+?|sfp28|qsfp\S*) ?(?:transceiver|module)|transceiver/i, 'transceiver'],
  [/patch (?:cable|cord)|cat\.? ?[5-8]a?\b[^\n]*cable|ethernet cable|netzwerkkabel|direct attach/i, 'networkCable'],
  [/(?:mains|power) (?:lead|cord)|netzkabel|kaltgeräte/i, 'mainsLead'],
  [/\b(?:drive )?(?:caddy|caddies|tray)\b/i, 'caddy'],
  [/\bscrews?\b|schrauben/i, 'screws'],
  [/(?:anti-?vibration|rubber) (?:mounts?|grommets?|pads?|dampers?)|entkoppl/i, 'damper'],
];
/** What a text is of stands before the first comma; behind it is what comes along: `thermal paste included`. */
const NAME = '(?:(?!\\b(?:with|incl)\\b)[^\\n,;])*';
const SUNDRY: KindRules = {
  kind: 'sundry',
  // Whatever else a title names, it is of these that the text is.
  cues: [[new RegExp(`^\\s*${NAME}(?:${USES.map(([{ source }]) => source).join('|')})`, 'i'), 9]],
  rules: [
    {
      field: 'use',
      free: true,
      label: /./,
      read: ({ text, line }) => {
        const name = line === 1 ? (new RegExp(`^\\s*${NAME}`, 'i').exec(text)?.[0] ?? '') : '';
        return USES.find(([pattern]) => pattern.test(name))?.[1];
      },
    },
    {
      field: 'packOf',
      free: true,
      label: /pack|quantity|pieces|stück|inhalt|content/i,
      read: ({ label, value }) => {
        const said = `${label} ${value}`;
        const found =
          /(?:pack|set|box|bag) of (\d{1,4})\b/i.exec(said) ??
          /\b(\d{1,4})[ -]?(?:pack|pcs\b|pieces|stück|er[- ]pack)/i.exec(said) ??
          (label === '' ? null : /^(\d{1,4})$/.exec(value));
        return found ? Number(found[1]) : undefined;
      },
    },
    {
      field: 'fans',
      free: true,
      label: /fans|ports|outputs|anschlüsse/i,
      read: ({ label, value }) => {
        const found =
          /\b(\d{1,2})\s*[x×]?\s*(?:pwm )?(?:fans?|lüfter|(?:fan )?ports?|headers?)\b/i.exec(value) ??
          (label === '' ? null : /^(\d{1,2})$/.exec(value));
        return found ? Number(found[1]) : undefined;
      },
    },
    {
      field: 'plug',
      free: true,
      label: /power|plug|supply|input/i,
      read: ({ value }) =>
        /power|sata|peripheral/i.test(value) && !/fan/i.test(value) ? powerPlugIn(value) : undefined,
    },
    ...RATED_A,
  ],
};

export const SMALL_PARTS: readonly KindRules[] = [POWER_ADAPTER, BRIDGE, SUNDRY];
