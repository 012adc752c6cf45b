import { choiceWords } from '../../parts/fieldWords';
import type { PartKind } from '../../parts/vocabulary';
import {
  backplaneIn,
  baysOf,
  boardIn,
  boardPlugsIn,
  CARD_SAID,
  counted,
  fansIn,
  fansNamed,
  slotsNamed,
  NOT_A_SATA_PORT,
  plugIn,
  room,
  SATA_SAID,
  slotIn,
  supplyFormsIn,
} from './findIn';
import { formsNamed } from '../text/forms';
import type { Piece } from '../text/pieces';
import { endsIn, HOW_MANY, networkIn, ofWords, portsIn, usbIn } from './ports';
import type { SaidEnd, SaidUsb } from './ports';
import { givesIn } from '../kinds/smallParts';
import { startIn, type SaidStart } from './starts';

type Finder = {
  readonly field: string;
  readonly words: (value: unknown) => string;
  /** One value, which all that say it must agree on; or a list, gathered from all pieces, or those of one line. */
  readonly find: (piece: Piece, decimal: ',' | '.') => unknown;
  readonly gathers?: 'all' | 'line' | 'parts';
  /** How many such things a line names: where not all were understood none is told. */
  readonly named?: (line: string) => number;
};
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

const BAYS_35: Finder = {
  field: 'bays35',
  words: n('bays of 3.5 inch'),
  find: counted(baysOf('3[.,]5'), /(?<!\d)3[.,]5/),
};

const connectorWords = each(({ kind }: { kind: string }) => kind.toUpperCase());

/** A slot that is told without a number is one. */
const ONE_SLOT = /^(?:an? )?(?:full|half|low)-(?:height|profile) (?:expansion )?slot$/i;
/** `Expansion 1 x low profile`. */
const slotsOf = (said: string): number | undefined => {
  const count = /^expansion (\d)\s*[x×]\s*(?:low|full)[- ](?:profile|height)$/i.exec(said)?.[1];
  return count === undefined ? undefined : Number(count);
};
const SLOTS = counted(
  String.raw`(?:[a-z]+-[a-z]+ )?(?:expansion|pci(?:-?e)?) ?slots?|erweiterungss` +
    '|(?:full|half|low)-(?:height|profile) slots?' +
    String.raw`|(?:slots?|steckplätze)(?=\s*(?:\(|$))`,
  /^expansion$|expansion ?slots?|pci(?:-?e)? ?slots|steckpl|^slots?$/i,
);
const powerPlugWords = each(({ plug }: { plug: string }) => choiceWords('plug', plug));
/** What stands in the lists of a sheet of each kind, and how it is found in a piece. */
export const FINDERS: Readonly<Partial<Record<PartKind, readonly Finder[]>>> = {
  board: [
    {
      field: 'sataPorts',
      words: n('SATA ports'),
      // In brackets behind another plug they are what goes through it.
      find: counted(SATA_SAID, undefined, NOT_A_SATA_PORT),
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
      named: slotsNamed,
    },
    { field: 'plugs', words: connectorWords, find: boardPlugsIn, gathers: 'all' },
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
    BAYS_35,
    {
      field: 'bays25',
      words: n('bays of 2.5 inch'),
      find: counted(baysOf(String.raw`2[.,]5(?!\d)`), /(?<!\d)2[.,]5(?!\d)(?!.*3[.,]5)/),
    },
    { field: 'bays525', words: n('bays of 5.25 inch'), find: counted(baysOf('5[.,]25'), /(?<!\d)5[.,]25/) },
    {
      field: 'openings',
      words: n('slot openings'),
      find: (piece) => (ONE_SLOT.test(piece.value) ? 1 : (slotsOf(piece.value) ?? SLOTS(piece))),
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
      find: room(/cpu[ -]?cooler|cooler.*(?:height|clear|up to)|(?:height|max).*cooler|kühler/i),
    },
    {
      field: 'cardMm',
      words: mm('cards up to'),
      find: room(CARD_SAID),
    },
    {
      field: 'supplyMm',
      words: mm('supplies up to'),
      find: room(/(?:psu|power suppl(?:y|ies)|netzteil).*(?:length|depth|länge|max|up to)/i),
    },
    {
      field: 'boards',
      words: (value) => `boards: ${(value as string[]).map(inCapitals).join(', ')}`,
      find: boardIn,
      gathers: 'all',
      named: formsNamed,
    },
    {
      field: 'supplyForms',
      words: (value) => `takes supplies: ${(value as string[]).map(inCapitals).join(', ')}`,
      find: supplyFormsIn,
      gathers: 'all',
    },
    {
      field: 'backplane',
      words: (value) => `backplane on ${connectorWords(value)}`,
      find: backplaneIn,
      gathers: 'line',
    },
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
      named: fansNamed,
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
    { field: 'processorPlugs', words: n('processor plugs'), find: plugIn(/\beps|\bcpu|4\+4|atx12v|4\/8-?\s?pin/i) },
    { field: 'cardPlugs', words: n('card plugs'), find: plugIn(/pci-?e|6\+2/i) },
    { field: 'sataPlugs', words: n('SATA plugs'), find: plugIn(/s-?ata/i) },
    {
      field: 'peripheralPlugs',
      words: n('4-pin plugs'),
      find: plugIn(/peripheral|\bide\b|(?<![\d+])4[- ]?pin(?! ?(?:eps|cpu|pwm|atx))/i),
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
  powerAdapter: [{ field: 'gives', words: (value) => `gives ${powerPlugWords(value)}`, find: givesIn }],
  adapter: [
    BAYS_35,
    {
      field: 'bays25',
      words: n('bays of 2.5 inch'),
      find: counted(baysOf(String.raw`2[.,]5(?!\d)`), /(?<!\d)2[.,]5(?!\d)/),
    },
  ],
};
