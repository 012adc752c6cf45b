import { formOf, isForm, rangeOfForms } from '../text/forms';
import type { Piece } from '../text/pieces';
import { AHEAD, ofWords, portsIn, whole } from './ports';
import { quantitiesOf, type Quantity } from '../text/quantities';

/** `8 x SATA`, `8 SATA`, `SATA x 8`, or a label that says it and a number behind it. */
export function counted(what: string, behind: RegExp = new RegExp(`^(?:[^:]*\\b)?(?:${what})`, 'i'), not?: RegExp) {
  const said = new RegExp(what, 'i');
  const before = new RegExp(String.raw`(?<![\d.,-])(\d{1,2})\s*[x×-]?\s*(?:${what})`, 'i');
  const after = new RegExp(String.raw`(?:${what})[^,;]*?\s[x×]\s?(\d{1,2})$`, 'i');
  return ({ label, value }: Piece): number | undefined => {
    // Most pieces are of something else.
    if (!/\d/.test(value)) return undefined;
    const isSaid = said.test(value);
    if ((!isSaid && !behind.test(label)) || not?.test(`${label} ${value}`)) return undefined;
    const found = isSaid ? (before.exec(value) ?? after.exec(value)) : null;
    if (found) return whole(found[1]);
    return behind.test(label) ? whole(AHEAD.exec(value)?.[1]) : undefined;
  };
}
const WALLS: readonly (readonly [RegExp, string])[] = [
  [/front|vorn/i, 'front'],
  [/rear|back|hinten/i, 'rear'],
  [/top|oben|roof/i, 'top'],
  [/side|seit/i, 'side'],
  [/bottom|unten/i, 'bottom'],
  [/mid(?:dle)?|fan wall|mitt(?:e|ig)/i, 'middle'],
];
const isLength = ({ dimension }: Quantity): boolean => dimension === 'mm';
/** Millimetres in a piece whose label or words are about something. */
export const room =
  (about: RegExp) =>
  ({ label, value, text }: Piece, decimal: ',' | '.'): number | undefined => {
    if (!/\d/.test(value)) return undefined;
    // `SFX supply (not included), up to 125 mm deep`: the one length of such a line.
    const isOfLine = () => about.test(text) && quantitiesOf(text, decimal).filter(isLength).length === 1;
    if (!about.test(`${label} ${value}`) && !isOfLine()) return undefined;
    // `Max. cooler height (mm): 170`.
    const unit = /[([](mm|cm)[)\]]/i.exec(label)?.[1];
    const said = unit && /^[\d.,]+$/.test(value) ? `${value} ${unit}` : value;
    const lengths = quantitiesOf(said, decimal).filter(isLength);
    return lengths.length === 1 && lengths[0]!.value >= 30 && lengths[0]!.value <= 600 ? lengths[0]!.value : undefined;
  };

/** How many, which generation, how long, and how many lanes are wired where that is less. */
const SLOT = new RegExp(
  String.raw`(?:(?<!\d)(\d)\s*[x×]\s*)?\bpci\s?-?\s?e(?:xpress)?\s*(?:gen\.?\s*)?([1-6])?(?:\.\d)?` +
    String.raw`\s*[x×]\s?(16|8|4|1)\b(?:[^x]*?\bx\s?(16|8|4|2|1)\b)?`,
  'i',
);
export const slotsNamed = (line: string): number =>
  /m\.2|lanes/i.test(line) ? 0 : (line.match(/(?<!\d)\d\s*[x×]\s*pci/gi) ?? []).length;
export function slotIn({ label, value, text }: Piece): unknown {
  if (!/pci/i.test(value) || /m\.2|lanes|nvme|ocu|slim/i.test(`${label} ${value}`)) return undefined;
  const found = SLOT.exec(value);
  // `2 x M.2 slots, type 2280, PCIe 4.0 x4`: the lanes of what was named before.
  const isOfM2 = /m\.2/i.test(text.slice(0, text.indexOf(value))) && !/^\d\s*[x×]|slot/i.test(value);
  if (isOfM2) return undefined;
  if (!found) return undefined;
  const lanes = Number(found[3]);
  return {
    count: Number(found[1] ?? 1),
    lanes,
    wiredLanes: Math.min(lanes, Number(found[4] ?? lanes)),
    ...(found[2] ? { gen: Number(found[2]) } : {}),
  };
}

const FAN_MM = /(?<![\d.,])(\d{1,2})(?:\s*[x×]\s*|\s+)(40|60|70|80|92|120|140|180|200)\s?mm/i;
const FAN_ALONE = /(\d{1,2})\s*[x×]\s*(40|60|70|80|92|120|140|180|200)(?![\d.])/i;
/** Fans that a line counts; `3 x 120 or 2 x 140` are one or the other. */
export const fansNamed = (line: string): number =>
  (line.replace(/\b(?:or|oder)\s+\d+\s*[x×]\s*\d+/gi, '').match(new RegExp(FAN_ALONE, 'gi')) ?? []).length;
export function fansIn({ label, value, text, under = '' }: Piece): unknown {
  if (!/\d/.test(value)) return undefined;
  // Among fans the size goes without its unit.
  const isList = /^(?:fans?|lüfter)\b/i.test(label);
  const isAlone = label === '' && /\bfans?\b|lüfter/i.test(value);
  const found = (isList ? FAN_ALONE : FAN_MM).exec(value);
  // `4 x 80 x 38 mm PWM, middle`: one size in the line, and its wall behind a comma.
  const isOnly = fansNamed(text) === 1;
  const wall =
    ofWords(WALLS, value) ??
    ofWords(WALLS, label) ??
    ((isList || isAlone) && isOnly ? ofWords(WALLS, text) : undefined);
  return found && wall && /fan|cool|lüfter/i.test(`${under} ${label} ${value}`)
    ? { count: Number(found[1]), sizeMm: Number(found[2]), wall }
    : undefined;
}

/** Forms of supplies that a chassis takes, by their names; a board's own names are alike. */
const FORMS_OF_SUPPLY: readonly (readonly [RegExp, string])[] = [
  [/\bsfx-?l\b/i, 'sfx-l'],
  [/\bsfx\b(?!-?l)/i, 'sfx'],
  [/\btfx\b/i, 'tfx'],
  [/flex[ -]?atx|1u flex/i, 'flex-atx'],
  [/\bredundant\b|\bcrps\b|hot-?swap(?:pable)? (?:psu|power suppl)/i, 'redundant'],
  [/(?<!flex[ -]?|micro-?|mini-?|e-?)\batx\b|\bps-?\/?2\b/i, 'atx'],
];
const OF_SUPPLY = /\bpsus?\b|power suppl(?:y|ies)|netzteil|^(?:supply|power)$/i;
/** How long, how strong or what it feeds is of it, too. */
const NOT_ITS_FORM = /\d\s?-?pin|motherboard|mainboard|not|without|ohne|optional/i;
export function supplyFormsIn({ label, value }: Piece): unknown {
  const said = OF_SUPPLY.test(label) ? value : OF_SUPPLY.test(value) ? value : undefined;
  if (said === undefined || NOT_ITS_FORM.test(said.replace(/not included|nicht enthalten|sold separately/gi, ' ')))
    return undefined;
  const forms = FORMS_OF_SUPPLY.filter(([pattern]) => pattern.test(said)).map(([, form]) => form);
  return forms.length > 0 ? forms : undefined;
}

/** Plugs by which the backplane behind the bays hangs on a card. */
export function backplaneIn({ label, value, text }: Piece): unknown {
  return /backplane|rückwand/i.test(`${label} ${text}`) && /sff/i.test(value) ? plugged({ label, value }) : undefined;
}
/** SAS plugs on a board, and what goes through them where it is said. */
export function boardPlugsIn({ label, value }: Piece): unknown {
  const found = /(?:^|ports? \(?via |sata[^()]* via |^\d+\s*\()\d\s*[x×]\s*(?:[a-z-]+\s+){0,3}\(?sff/i.test(value)
    ? plugged({ label, value })
    : undefined;
  if (!found) return undefined;
  const carries = /s-?ata/i.test(`${label} ${value}`) ? ['sata'] : /\bsas\b/i.test(value) ? ['sas', 'sata'] : null;
  return carries ? { ...found, carries } : undefined;
}
const plugged = ({ label, value }: Pick<Piece, 'label' | 'value'>): { count: number; kind: string } | undefined => {
  const found = portsIn({ label, value, line: 0, text: value }) as { count: number; kind: string } | undefined;
  return found && { count: found.count, kind: found.kind };
};
export const CARD_SAID = new RegExp(
  String.raw`gpu|graphics|vga|video card|grafikkarte|(?:max\.? |longest )card\b|card length|length.*\bcard\b` +
    String.raw`|\bcards? (?:up to|max)`,
  'i',
);
export const SATA_SAID = String.raw`(?:s-?ata|serial ata)(?: ?(?:iii|[23](?:\.0)?))?\b(?! express)`;
/** What goes through M.2 or another plug is no port of its own. */
export const NOT_A_SATA_PORT = new RegExp(
  String.raw`m\.2|(?:sff|sas\b|oculink)[^\n]*?s-?ata` +
    String.raw`|(?:ports?|sata(?: ?\d ?gb(?:it)?\/s)?[^()\d]*)\s*\(?via\s+\d\s*[x×]` +
    String.raw`|\b\d+\s*\(\d\s*[x×]\s*(?:sff|mini-?sas|slim)`,
  'i',
);

const BETWEEN = [
  'for|für|einschübe|schächte|laufwerke|internal|external|hot-?swap\\w*|sas|sata|hdd|drive|bays?|tool-?less',
  'interne?|externe?',
].join('|');
/** Bays of a size in inches (a pattern), with the words that may stand between their number and it. */
export const baysOf = (inches: string): string => String.raw`(?:(?:${BETWEEN})[\s/]+)*(?<!\d)${inches}`;

export function boardIn({ label, value }: Piece): unknown {
  const range = rangeOfForms(value);
  if (range) return range;
  const largest = /(?:(?:mother|main)boards?|^boards?) (?:up to|bis|to) (.{3,14}?)(?=\s|,|\(|$)/i.exec(value)?.[1];
  if (largest && isForm(largest)) return [formOf(largest)];
  // `Supports E-ATX, ATX boards`: the first of the list has the word before it.
  const own = value.replace(/^(?:supports?|fits|takes|for)\s+/i, '');
  if (OF_SUPPLY.test(label)) return undefined;
  // `Mainboard Mini-ITX` without a sign between.
  const run = /^(?:main|mother)board (\S+)$/i.exec(value)?.[1];
  if (run && isForm(run)) return [formOf(run)];
  // `Mini-ITX / Flex-ATX PSU` under one point.
  const isAbout = /board|m\/b/i.test(label) || isForm(own) || isForm(own.split(/\s+\/\s+/)[0]!);
  const forms = isAbout
    ? own.split(/\s*\/\s*|\s+(?:and|und|or|oder)\s+/).flatMap((one) => (OF_SUPPLY.test(one) ? [] : (formOf(one) ?? [])))
    : [];
  return forms.length > 0 ? forms : undefined;
}

export function plugIn(pattern: RegExp) {
  return ({ label, value }: Piece): number | undefined => {
    if (pattern.test(value))
      return whole(/^(?:[a-z]+\s+)?(\d{1,2})\s*[x×]/i.exec(value)?.[1] ?? /[x×]\s?(\d{1,2})$/.exec(value)?.[1]);
    return pattern.test(label) ? whole(/^(\d{1,2})\s*[x×]?$/.exec(value)?.[1]) : undefined;
  };
}
