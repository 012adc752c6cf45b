import { USB_GENERATIONS } from '../text/usb';
import type { Piece } from '../text/pieces';

export const whole = (text: string | undefined): number | undefined => (text === undefined ? undefined : Number(text));
export const AHEAD = /^(\d{1,2})(?=\s*(?:[x×(]|low|full|half|ports?\b|slots?\b|sockets?\b|bays?\b|pcs\b|$))/i;

export const ofWords = <T>(choices: readonly (readonly [RegExp, T])[], said: string): T | undefined =>
  choices.find(([pattern]) => pattern.test(said))?.[1];

/** How a box of drives hangs on its host: Gb/s, and the plug where it is said. */
export type SaidUsb = { readonly gbPerS: number; readonly plug?: 'usb-c' | 'usb-a' };
const USB_PLUGS: readonly (readonly [RegExp, NonNullable<SaidUsb['plug']>])[] = [
  [/(?:type|usb)[ -]?c\b/i, 'usb-c'],
  [/(?:type|usb)[ -]?a\b/i, 'usb-a'],
];
const TO_HOST = /^(?:host |pc )?(?:interface|connect(?:ion|ivity|or)s?|host port|schnittstelle|anschluss|bus)\b/i;
/** USB by which a box hangs on its host, not the ports in the front of a case. */
export function usbIn({ label, value, text }: Piece): SaidUsb | undefined {
  const said = `${label} ${value}`;
  if (!/usb/i.test(said) || /front|i\/o|hub|ports? for/i.test(text)) return undefined;
  if (!TO_HOST.test(label) && !/enclosure|gehäuse mit usb|\bdas\b/i.test(text)) return undefined;
  const told = /(\d+(?:[.,]\d+)?)\s?(?:gb(?:it)?\/s|gbps)/i.exec(value)?.[1];
  const gbPerS = told ? Number(told.replace(',', '.')) : ofWords(USB_GENERATIONS, said);
  if (gbPerS === undefined) return undefined;
  const plug = ofWords(USB_PLUGS, said) ?? ofWords(USB_PLUGS, text);
  return { gbPerS, ...(plug ? { plug } : {}) };
}

/** `2 x internal SFF-8643`, `two SFF-8087 ports`, `1 x SFF-8654 8i`. */
const SFF_PLUGS = new RegExp(
  String.raw`(\d)(?:\s*[x×]\s*(?:[a-z-]+\s+){0,3}|\s+(?:(?:in|ex)ternal\s+)?)` +
    String.raw`\(?sff-?(8087|8088|8643|8644|8654)(?:[- ]?([48])i|\s*\(?x([48])\)?)?`,
  'i',
);
export function portsIn({ label, value }: Piece): unknown {
  if (!/sff/i.test(value)) return sataIn({ label, value });
  const found = SFF_PLUGS.exec(value);
  if (!found) return undefined;
  const wide = found[3] ?? found[4];
  if (found[2] === '8654' && wide === undefined) return undefined;
  const kind = found[2] === '8654' ? `sff-8654-${wide}i` : `sff-${found[2]}`;
  const isOutside = /extern|outside/i.test(`${label} ${value}`) || kind === 'sff-8088' || kind === 'sff-8644';
  return { count: Number(found[1]), kind, side: isOutside ? 'outside' : 'inside' };
}

/** `6 x SATA 6 Gb/s`, or a label that says it and a number behind; not the drives or tails there may be. */
function sataIn({ label, value }: Pick<Piece, 'label' | 'value'>): unknown {
  if (/drives?|breakout|cable|kabel|tails?|dev/i.test(`${label} ${value}`)) return undefined;
  const said =
    /(?<![\d.,])(\d{1,2})\s*[x×]\s*(?:int(?:ernal|erne)?\.?\s+)?(e?-?s-?ata)(?: ?(?:iii|[23](?:\.0)?))?\b/i.exec(value);
  if (said)
    return /^e/i.test(said[2] ?? '')
      ? { count: Number(said[1]), kind: 'esata', side: 'outside' }
      : { count: Number(said[1]), kind: 'sata', side: 'inside' };
  const alone = /^(?:internal )?s-?ata(?:[- ](?:iii|3|6 ?g\w*))? ?(?:ports?|connectors?|anschlüsse)$/i.test(label);
  const count = alone ? whole(AHEAD.exec(value)?.[1]) : undefined;
  return count === undefined ? undefined : { count, kind: 'sata', side: 'inside' };
}

/** What plugs of network ports are called by their speed (IEEE 802.3), Gb/s. */
const PORT_KINDS: readonly (readonly [RegExp, number])[] = [
  [/qsfp28/i, 100],
  [/qsfp\+/i, 40],
  [/sfp28/i, 25],
  [/sfp\+|10g ?base/i, 10],
  [/\bsfp\b|1000 ?base/i, 1],
];
export const HOW_MANY: readonly (readonly [RegExp, number])[] = [
  [/\bquad\b/i, 4],
  [/\bdual\b|\btwo\b/i, 2],
  [/\bsingle\b|\bone\b/i, 1],
];
/** `10 GbE`, `2.5G`, `2.5Gb Ethernet`: a number of Gb/s as ports are called. */
const PORT_SPEED = new RegExp(
  String.raw`(?<![\d.,])(\d{1,3}(?:[.,]\d)?)\s?(?:gbe|gb\/s|gbit|gbps|g ?base|gigabit|g\b` +
    String.raw`|gb(?=\s*(?:ethernet|lan|rj|nic|network|ports?\b|$)))`,
  'i',
);
/** `1 x RJ45, 2.5GBASE-T`. */
const speedBehind = (behind: string): number | undefined => {
  const said = /^\W*(\d{1,2}(?:[.,]\d)?)\s?g ?(?:base|be\b|b\/s|bit)/i.exec(behind)?.[1];
  return said === undefined ? undefined : Number(said.replace(',', '.'));
};
/** `Gigabit LAN`, `2 x Gigabit Ethernet`, `dual gigabit LAN` as a fact by itself. */
const GIGABIT = /^(?:(\d)\s*[x×]\s*|(?:single|dual|two|quad) )?(?:rj-?45 )?gigabit (?:lan|ethernet|nic)(?: ports?)?$/i;
/** `10GBASE-T card, dual RJ-45`: the one speed its line says. */
function speedOfLine(ports: string, text: string): number | undefined {
  const all = /rj-?45/i.test(ports) ? [...text.matchAll(/(\d{1,2}(?:[.,]\d)?)g ?base-?t/gi)] : [];
  return all.length === 1 ? Number(all[0]![1]!.replace(',', '.')) : undefined;
}

/** `2.5GbE + 10GbE`: a port of each. */
const EACH_ONCE = /^\d{1,2}(?:\.5)?\s?gbe(?:\s*\+\s*\d{1,2}(?:\.5)?\s?gbe)+$/i;
/** Ports for the network with their speed; one for the management alone is not among them. */
export function networkIn(piece: Piece): unknown {
  // `2 x 2.5G + 1 x 10G LAN`: what stands behind one stands behind all.
  const parts = piece.value.split(/\s\+\s(?=\d\s*[x×])/);
  const speeds = EACH_ONCE.test(piece.value) ? piece.value.split(/\s*\+\s*/) : [];
  if (speeds.length > 1) return speeds.map((speed) => ({ count: 1, gbPerS: Number(/[\d.]+/.exec(speed)![0]) }));
  if (parts.length === 1) return portsOfNetwork(piece);
  const what = /(?:lan|ethernet|rj-?45|network|ports?)\b.*$/i.exec(piece.value)?.[0] ?? '';
  const all = parts.map((value) =>
    portsOfNetwork({ ...piece, value: value.endsWith(what) ? value : `${value} ${what}` }),
  );
  return all.every((one) => one !== undefined) ? all : undefined;
}

function portsOfNetwork({ label, value, text }: Piece): unknown {
  const gigabit = GIGABIT.exec(value);
  if (gigabit) return { count: gigabit[1] ? Number(gigabit[1]) : (ofWords(HOW_MANY, value) ?? 1), gbPerS: 1 };
  if (!/\d/.test(value)) return undefined;
  if (!/lan|network|ethernet|netzwerk|port|rj-?45|sfp|gbe|base-?t/i.test(`${label} ${value}`)) return undefined;
  if (/ipmi|bmc|management|wi-?fi|wlan|usb|sata|sas/i.test(value)) return undefined;
  const times = /(?<![\d.,])(\d)\s*[x×]\s*/.exec(value);
  const count = times ? Number(times[1]) : ofWords(HOW_MANY, value);
  const rest = times ? value.slice(times.index + times[0].length) : value;
  const said = PORT_SPEED.exec(rest)?.[1];
  // `2 x RJ45, 10GBASE-T`: how fast stands behind the comma.
  const behind = times && /rj-?45|copper/i.test(rest) ? text.slice(text.indexOf(value) + value.length) : '';
  const gbPerS = said
    ? Number(said.replace(',', '.'))
    : (speedBehind(behind) ?? ofWords(PORT_KINDS, rest) ?? ofWords(PORT_KINDS, behind) ?? speedOfLine(rest, text));
  return count !== undefined && gbPerS !== undefined && gbPerS >= 1 ? { count, gbPerS } : undefined;
}

/** One end of a cable as a text says it: its plug, and how many tails it has. */
export type SaidEnd = { readonly kind: string; readonly tails: number };
/** Plugs of cables by what texts call them (SFF-8482 is the plug of one SAS drive, SFF-8639 that of U.2). */
const ENDS: readonly (readonly [RegExp, string])[] = [
  [/sff-?8654[^a-z\d]*8i|slim-?sas[^a-z\d]*8i/i, 'sff-8654-8i'],
  [/sff-?8654[^a-z\d]*4i|slim-?sas[^a-z\d]*4i/i, 'sff-8654-4i'],
  [/sff-?8611[^a-z\d]*8i|oculink[^a-z\d]*8i/i, 'sff-8611-8i'],
  [/sff-?8611|oculink/i, 'sff-8611-4i'],
  [/sff-?8639|u\.2/i, 'sff-8639'],
  [/sff-?8644/i, 'sff-8644'],
  [/sff-?8643/i, 'sff-8643'],
  [/sff-?8087/i, 'sff-8087'],
  [/sff-?8088/i, 'sff-8088'],
  [/sff-?8482/i, 'sff-8482'],
  [/mini-?sas hd ext/i, 'sff-8644'],
  [/mini-?sas hd/i, 'sff-8643'],
  [/e-?sata/i, 'esata'],
  [/s-?ata/i, 'sata'],
];
/** `SFF-8643 to 4 x SATA`: both plugs, the one before `to` first. */
export function endsIn({ value }: Piece): unknown {
  const sides = value.split(/\s+(?:to|auf|zu|->|→|\u2013>)\s+/i);
  if (sides.length !== 2) return undefined;
  const ends = sides.map((side, i): SaidEnd | null => {
    const kind = ofWords(ENDS, side);
    const tails = /(?<![\d.,-])([2-8])\s*[x×]?\s*(?:sff|s-?ata|sas|u\.2|mini|slim|ocu|port)/i.exec(
      i === 0 ? side.slice(-24) : side,
    )?.[1];
    return kind ? { kind, tails: Number(tails ?? 1) } : null;
  });
  return ends.every((one) => one !== null) ? ends : undefined;
}
