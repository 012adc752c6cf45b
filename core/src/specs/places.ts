import type { PartKind } from '../parts/vocabulary';
import { formOf, isForm, rangeOfForms } from './forms';
import { startIn, type SaidStart } from './starts';
import { AHEAD, endsIn, HOW_MANY, networkIn, ofWords, portsIn, usbIn, whole } from './ports';
import type { Piece, SaidEnd, SaidUsb } from './ports';
import { quantitiesOf, type Quantity } from './quantities';
import type { ReadField } from './readField';

/** What a text says stands in the lists of a sheet, by what it is called; `words` for people. */
export type Place = ReadField & { readonly words: string };

type Finder = {
  readonly field: string;
  readonly words: (value: unknown) => string;
  /** One value, which all that say it must agree on; or a list, gathered from all pieces, or those of one line. */
  readonly find: (piece: Piece, decimal: ',' | '.') => unknown;
  readonly gathers?: 'all' | 'line' | 'parts';
};

const LABEL = /^(?:[•*·–-]\s*)?([^\t:|]{2,60}?)(?:\t+|\s*\|\s*|:\s+|:$|\s{2,}|\s[–-]\s)(.*)$/;
/** Heads of lists that stand without a colon. */
const HEADS = [
  'power supply|psu|clearances?|lan|network(?:ing)?|ethernet|netzwerk',
  'fans?|cooling|lüfter|drive bays|expansion slots|storage',
];
const HEAD = new RegExp(`^(?:${HEADS.join('|')})$`, 'i');

const FIGURES = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const IN_WORDS = new RegExp(String.raw`\b(${FIGURES.join('|')})\b(?=\s)`, 'gi');
/** `four 3.5-inch`: numbers in words as figures. */
const inFigures = (piece: string): string =>
  piece.replace(IN_WORDS, (word) => String(FIGURES.indexOf(word.toLowerCase()) + 1));

/** The pieces of all lines; what stands under a label that has nothing behind it has that label. */
function piecesOf(lines: readonly string[]): Piece[] {
  let under = '';
  return lines.flatMap((line, i): Piece[] => {
    if (line === '') {
      under = '';
      return [];
    }
    if (HEAD.test(line)) {
      under = line;
      return [];
    }
    const pair = LABEL.exec(line);
    const [label, value] = pair ? [pair[1]!, pair[2]!] : [under, line];
    if (pair && value === '') under = label;
    else if (pair) under = '';
    return value
      .split(/[;|]|\t+|,(?!\d)|\.\s+(?=[A-Z\d])/)
      .map((piece) => inFigures(piece.replace(/^[•*·–-]\s+/, '').trim()))
      .filter((piece) => piece !== '')
      .map((piece) => ({ label, value: piece, line: i + 1, text: line }));
  });
}

/** `8 x SATA`, `8 SATA`, `SATA x 8`, or a label that says it and a number behind it. */
function counted(what: string, behind: RegExp = new RegExp(`^(?:[^:]*\\b)?(?:${what})`, 'i'), not?: RegExp) {
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
const room =
  (about: RegExp) =>
  ({ label, value, text }: Piece, decimal: ',' | '.'): number | undefined => {
    if (!/\d/.test(value)) return undefined;
    // `SFX supply (not included), up to 125 mm deep`: the one length of such a line.
    const isOfLine = () => about.test(text) && quantitiesOf(text, decimal).filter(isLength).length === 1;
    if (!about.test(`${label} ${value}`) && !isOfLine()) return undefined;
    const lengths = quantitiesOf(value, decimal).filter(isLength);
    return lengths.length === 1 && lengths[0]!.value >= 30 && lengths[0]!.value <= 600 ? lengths[0]!.value : undefined;
  };

/** How many, which generation, how long, and how many lanes are wired where that is less. */
const SLOT = new RegExp(
  String.raw`(?:(?<!\d)(\d)\s*[x×]\s*)?\bpci\s?-?\s?e(?:xpress)?\s*(?:gen\.?\s*)?([1-6])?(?:\.\d)?` +
    String.raw`\s*[x×]\s?(16|8|4|1)\b(?:[^x]*?\bx\s?(16|8|4|2|1)\b)?`,
  'i',
);
function slotIn({ label, value, text }: Piece): unknown {
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
function fansIn({ label, value, text }: Piece): unknown {
  if (!/\d/.test(value)) return undefined;
  // Among fans the size goes without its unit.
  const isList = /^(?:fans?|lüfter)\b/i.test(label);
  const found = (isList ? FAN_ALONE : FAN_MM).exec(value);
  // `4 x 80 x 38 mm PWM, middle`: one size in the line, and its wall behind a comma.
  const isOnly = (text.match(new RegExp(FAN_ALONE, 'gi')) ?? []).length === 1;
  const wall = ofWords(WALLS, value) ?? ofWords(WALLS, label) ?? (isList && isOnly ? ofWords(WALLS, text) : undefined);
  return found && wall && /fan|cool|lüfter/i.test(`${label} ${value}`)
    ? { count: Number(found[1]), sizeMm: Number(found[2]), wall }
    : undefined;
}

const inCapitals = (form: string) => form.replace(/itx|atx|ceb|eeb|ssi/g, (letters) => letters.toUpperCase());
const n = (what: string) => (value: unknown) => `${value as number} ${what}`;
const mm = (what: string) => (value: unknown) => `${what} ${value as number} mm`;
type Many = readonly { readonly count: number }[];
const each = (words: (one: never) => string) => (value: unknown) =>
  (value as Many).map((one) => `${one.count} × ${words(one as never)}`).join(', ');

const NETWORK: Finder = {
  field: 'networkPorts',
  words: each(({ gbPerS }: { gbPerS: number }) => `network ${gbPerS} Gb/s`),
  find: networkIn,
  gathers: 'line',
};

const PORTS: Finder = {
  field: 'ports',
  words: each(({ kind, side }: { kind: string; side: string }) => `${kind.toUpperCase()} ${side}`),
  find: portsIn,
  gathers: 'all',
};

/** Forms of supplies that a chassis takes, by their names; a board's own names are alike. */
const FORMS_OF_SUPPLY: readonly (readonly [RegExp, string])[] = [
  [/\bsfx-?l\b/i, 'sfx-l'],
  [/\bsfx\b(?!-?l)/i, 'sfx'],
  [/\btfx\b/i, 'tfx'],
  [/flex[ -]?atx|1u flex/i, 'flex-atx'],
  [/\bredundant\b|\bcrps\b|hot-?swap(?:pable)? (?:psu|power suppl)/i, 'redundant'],
  [/(?<!flex[ -]?|micro-?|mini-?|e-?)\batx\b|\bps-?\/?2\b/i, 'atx'],
];
const OF_SUPPLY = /\bpsus?\b|power suppl(?:y|ies)|netzteil/i;
/** How long, how strong or what it feeds is of it, too. */
const NOT_ITS_FORM = /\d\s?-?pin|motherboard|mainboard|not|without|ohne|optional/i;
function supplyFormsIn({ label, value }: Piece): unknown {
  const said = OF_SUPPLY.test(label) ? value : OF_SUPPLY.test(value) ? value : undefined;
  if (said === undefined || NOT_ITS_FORM.test(said.replace(/not included|nicht enthalten|sold separately/gi, ' ')))
    return undefined;
  const forms = FORMS_OF_SUPPLY.filter(([pattern]) => pattern.test(said)).map(([, form]) => form);
  return forms.length > 0 ? forms : undefined;
}

/** Plugs by which the backplane behind the bays hangs on a card. */
function backplaneIn({ label, value, text }: Piece): unknown {
  return /backplane|rückwand/i.test(`${label} ${text}`) && /sff/i.test(value) ? plugged({ label, value }) : undefined;
}
/** SAS plugs on a board, and what goes through them where it is said. */
function boardPlugsIn({ label, value }: Piece): unknown {
  const found = /^\d\s*[x×]\s*(?:[a-z-]+\s+){0,3}\(?sff/i.test(value) ? plugged({ label, value }) : undefined;
  if (!found) return undefined;
  const carries = /s-?ata/i.test(`${label} ${value}`) ? ['sata'] : /\bsas\b/i.test(value) ? ['sas', 'sata'] : null;
  return carries ? { ...found, carries } : undefined;
}
const plugged = ({ label, value }: Pick<Piece, 'label' | 'value'>): { count: number; kind: string } | undefined => {
  const found = portsIn({ label, value, line: 0, text: value }) as { count: number; kind: string } | undefined;
  return found && { count: found.count, kind: found.kind };
};
const plugWords = each(({ kind }: { kind: string }) => kind.toUpperCase());

const FINDERS: Readonly<Partial<Record<PartKind, readonly Finder[]>>> = {
  board: [
    {
      field: 'sataPorts',
      words: n('SATA ports'),
      // In brackets behind another plug they are what goes through it.
      find: counted(
        String.raw`(?:s-?ata|serial ata)(?: ?(?:iii|[23](?:\.0)?))?\b(?! express)`,
        undefined,
        /m\.2|(?:sff|sas\b|oculink)[^\n]*?s-?ata/i,
      ),
    },
    {
      field: 'm2Sockets',
      words: n('M.2 sockets'),
      find: counted(String.raw`m\.?2\b`, undefined, /key[ -]?e\b|wi-?fi|wlan/i),
    },
    {
      field: 'slots',
      words: each(({ lanes, wiredLanes }: { lanes: number; wiredLanes: number }) =>
        wiredLanes < lanes ? `x${lanes} wired x${wiredLanes}` : `x${lanes}`,
      ),
      find: slotIn,
      gathers: 'all',
    },
    { field: 'plugs', words: plugWords, find: boardPlugsIn, gathers: 'all' },
    NETWORK,
  ],
  drive: [
    {
      field: 'start',
      words: (value) => {
        const { a12, a5 } = value as SaidStart;
        return [a12 && `${a12} A at 12 V`, a5 && `${a5} A at 5 V`].filter(Boolean).join(', ') + ' while it spins up';
      },
      find: startIn,
      gathers: 'parts',
    },
  ],
  networkCard: [NETWORK],
  chassis: [
    { field: 'bays35', words: n('bays of 3.5 inch'), find: counted(`${BAY()}3[.,]5`, /3[.,]5/) },
    {
      field: 'bays25',
      words: n('bays of 2.5 inch'),
      find: counted(`${BAY()}2[.,]5(?!\\d)`, /2[.,]5(?!\d)(?!.*3[.,]5)/),
    },
    { field: 'bays525', words: n('bays of 5.25 inch'), find: counted(`${BAY()}5[.,]25`, /5[.,]25/) },
    {
      field: 'openings',
      words: n('slot openings'),
      find: counted(
        String.raw`(?:[a-z]+-[a-z]+ )?(?:expansion|pci(?:-?e)?) ?slots?|erweiterungss`,
        /^expansion$|expansion ?slots?|pci(?:-?e)? ?slots|steckpl|^slots?$/i,
      ),
    },
    {
      field: 'usbLink',
      words: (value) => {
        const { gbPerS, plug } = value as SaidUsb;
        return `USB at ${gbPerS} Gb/s${plug ? `, ${inCapitals(plug)}` : ''}`;
      },
      find: usbIn,
    },
    {
      field: 'coolerMm',
      words: mm('coolers up to'),
      find: room(/cpu[ -]?cooler|cooler.*(?:height|clear)|(?:height|max).*cooler|kühler/i),
    },
    {
      field: 'cardMm',
      words: mm('cards up to'),
      find: room(/gpu|graphics|vga|video card|grafikkarte|(?:max\.? |longest )card\b|card length|length.*\bcard\b/i),
    },
    {
      field: 'supplyMm',
      words: mm('supplies up to'),
      find: room(/(?:psu|power supply|netzteil).*(?:length|depth|länge|max|up to)/i),
    },
    {
      field: 'boards',
      words: (value) => `boards: ${(value as string[]).map(inCapitals).join(', ')}`,
      find: boardIn,
      gathers: 'all',
    },
    {
      field: 'supplyForms',
      words: (value) => `takes supplies: ${(value as string[]).map(inCapitals).join(', ')}`,
      find: supplyFormsIn,
      gathers: 'all',
    },
    { field: 'backplane', words: (value) => `backplane on ${plugWords(value)}`, find: backplaneIn, gathers: 'line' },
    {
      field: 'hotSwap',
      words: () => 'bays from which drives are pulled while it runs',
      find: ({ label, value }) =>
        /hot-?\s?(?:swap|plug)/i.test(`${label} ${value}`) &&
        /bay|3[.,]5|2[.,]5|drive|hdd|disk|laufwerk/i.test(`${label} ${value}`) &&
        !/fan|psu|power supply|netzteil|lüfter|\bnot?\b|optional/i.test(`${label} ${value}`)
          ? true
          : undefined,
    },
    {
      field: 'fans',
      words: each(({ sizeMm, wall }: { sizeMm: number; wall: string }) => `${sizeMm} mm ${wall}`),
      find: fansIn,
      gathers: 'all',
    },
  ],
  supply: [
    {
      field: 'mainPlugs',
      words: n('24-pin plugs'),
      // A supply has one, and most texts do not count it.
      find: (piece) =>
        plugIn(/(?:20\+4|24)[- ]?pin/i)(piece) ??
        (/^(?:20\+4|24)[- ]?pin(?: (?:atx|main|motherboard))?$/i.test(piece.value) ? 1 : undefined),
    },
    { field: 'processorPlugs', words: n('processor plugs'), find: plugIn(/\beps|\bcpu|4\+4/i) },
    { field: 'cardPlugs', words: n('card plugs'), find: plugIn(/pci-?e|6\+2/i) },
    { field: 'sataPlugs', words: n('SATA plugs'), find: plugIn(/s-?ata/i) },
    {
      field: 'peripheralPlugs',
      words: n('4-pin plugs'),
      find: plugIn(/peripheral|(?<![\d+])4[- ]?pin(?! ?(?:eps|cpu|pwm|atx))/i),
    },
  ],
  controller: [PORTS],
  expander: [PORTS],
  carrier: [
    {
      field: 'm2Sockets',
      words: n('M.2 sockets'),
      find: ({ label, value }) =>
        counted(String.raw`(?:m\.2|nvme)\b`)({ label, value, line: 0, text: value }) ??
        (/m\.2|nvme/i.test(value) ? ofWords(HOW_MANY, value) : undefined),
    },
  ],
  cable: [
    {
      field: 'ends',
      words: (value) =>
        (value as readonly SaidEnd[]).map(({ kind, tails }) => `${tails} × ${kind.toUpperCase()}`).join(' to '),
      find: endsIn,
    },
    {
      field: 'isReverse',
      words: (value) => (value ? 'reverse: tails at the ports' : 'forward: one plug at the card'),
      find: ({ label, value }) =>
        ofWords<boolean>(
          [
            [/\breverse\b/i, true],
            [/\bforward\b/i, false],
          ],
          `${label} ${value}`,
        ),
    },
  ],
  adapter: [
    { field: 'bays35', words: n('bays of 3.5 inch'), find: counted(`${BAY()}3[.,]5`, /3[.,]5/) },
    { field: 'bays25', words: n('bays of 2.5 inch'), find: counted(`${BAY()}2[.,]5(?!\\d)`, /2[.,]5(?!\d)/) },
  ],
};

/** Words that may stand between a number and the size of the bays it counts. */
function BAY(): string {
  const words = 'internal|external|hot-?swap\\w*|sas|sata|hdd|drive|bays?|tool-?less|interne?|externe?';
  return String.raw`(?:(?:${words})[\s/]+)*`;
}

function boardIn({ label, value }: Piece): unknown {
  const range = rangeOfForms(value);
  if (range) return range;
  // `Supports E-ATX, ATX boards`: the first of the list has the word before it.
  const own = value.replace(/^(?:supports?|fits|takes|for)\s+/i, '');
  if (OF_SUPPLY.test(label)) return undefined;
  const isAbout = /board|m\/b/i.test(label) || isForm(own);
  const forms = isAbout ? own.split(/\s*\/\s*/).flatMap((one) => formOf(one) ?? []) : [];
  return forms.length > 0 ? forms : undefined;
}

function plugIn(pattern: RegExp) {
  return ({ label, value }: Piece): number | undefined => {
    if (pattern.test(value))
      return whole(/^(?:[a-z]+\s+)?(\d{1,2})\s*[x×]/i.exec(value)?.[1] ?? /[x×]\s?(\d{1,2})$/.exec(value)?.[1]);
    return pattern.test(label) ? whole(/^(\d{1,2})\s*[x×]?$/.exec(value)?.[1]) : undefined;
  };
}

/** Most of anything that is counted here. */
const MOST = 90;

/**
 * Ports, slots, bays, fans and plugs that the lines of a text count. What two lines count differently is left out: one
 * of them may tell a part of the other.
 */
export function placesOf(kind: PartKind, lines: readonly string[], decimal: ',' | '.'): readonly Place[] {
  const pieces = piecesOf(lines);
  return (FINDERS[kind] ?? []).flatMap(({ field, words, find, gathers }): Place[] => {
    const found = pieces.flatMap((piece) => {
      const value = find(piece, decimal);
      return value === undefined ? [] : [{ value, piece }];
    });
    const [first] = found;
    if (!first) return [];
    const at = { field, line: first.piece.line, text: first.piece.text.slice(0, 200) };
    if (gathers === 'parts') {
      const value = partsOf(found.map((one) => one.value as Readonly<Record<string, unknown>>));
      return value ? [{ ...at, value, words: words(value) }] : [];
    }
    if (gathers) {
      const taken = gathers === 'all' ? found : found.filter(({ piece }) => piece.line === first.piece.line);
      const value = distinct(taken.flatMap((one) => one.value));
      return [{ ...at, value, words: words(value) }];
    }
    const { value } = first;
    const agrees = found.every((one) => JSON.stringify(one.value) === JSON.stringify(value));
    const isCount = typeof value === 'number';
    return agrees && (!isCount || (value > 0 && (value <= MOST || field.endsWith('Mm'))))
      ? [{ ...at, value, words: words(value) }]
      : [];
  });
}

/** One thing said in several lines, each a part of it; undefined where two of them differ. */
function partsOf(found: readonly Readonly<Record<string, unknown>>[]): Readonly<Record<string, unknown>> | undefined {
  const all: Record<string, unknown> = {};
  for (const [name, value] of found.flatMap((one) => Object.entries(one))) {
    if (name in all && all[name] !== value) return undefined;
    all[name] = value;
  }
  return all;
}

/** Forms of boards stand once each; slots and fans as often as they are said. */
const distinct = (values: readonly unknown[]): readonly unknown[] =>
  values.every((one) => typeof one === 'string') ? [...new Set(values)] : values;
