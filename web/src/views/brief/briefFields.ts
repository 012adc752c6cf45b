import { minorPerMajor, readNumber, type Brief, type Build, type Site } from '@inch-tower/core';

/** One question of the worksheet: where its answer lives, in what unit it is asked, and why it is asked. */
type Question<S, K extends keyof S> = {
  readonly key: K;
  readonly label: string;
  readonly help: (build: Build) => string;
};
export type NumberQuestion = {
  readonly section: 'brief' | 'site' | 'build';
  readonly unit: string;
  /** The stored value is the typed one times this. */ readonly times: number;
  readonly whole?: boolean;
  readonly optional: boolean;
} & Question<Record<string, number>, string>;
export type ChoiceQuestion = {
  readonly section: 'site';
  readonly options: readonly (readonly [string | number, string])[];
} & Question<Site, keyof Site>;
export type Group = {
  readonly title: string;
  readonly about: string;
  readonly numbers: readonly NumberQuestion[];
  readonly choices: readonly ChoiceQuestion[];
  /** Whether rates of other currencies are asked for here. */
  readonly hasMoney?: boolean;
};

const wish = (
  key: keyof Brief,
  label: string,
  unit: string,
  help: string | ((build: Build) => string),
  more: { times?: number; whole?: boolean } = {},
): NumberQuestion => ({
  section: 'brief',
  key,
  label,
  unit,
  times: more.times ?? 1,
  optional: true,
  help: typeof help === 'string' ? () => help : help,
  ...(more.whole ? { whole: true } : {}),
});
const room = (
  key: keyof Site,
  label: string,
  unit: string,
  help: string,
  times = 1,
  optional = false,
): NumberQuestion => ({ section: 'site', key, label, unit, times, optional, help: () => help });
const choice = (key: keyof Site, label: string, options: ChoiceQuestion['options'], help: string): ChoiceQuestion => ({
  section: 'site',
  key,
  label,
  options,
  help: () => help,
});

const HOURS_A_YEAR = 8760;

/** What one watt drawn all year costs at the build's tariff, in words. */
function wattYearWords({ tariff, currency }: Build): string {
  const mean = tariff.bands.reduce((sum, band) => sum + band.minorPerKwh, 0) / tariff.bands.length;
  return `${currency} ${((mean * HOURS_A_YEAR) / 1000 / minorPerMajor(currency)).toFixed(2)}`;
}

/**
 * The worksheet in the order a builder thinks: what for, how much, what it may cost and draw, where it stands, who
 * hears it.
 */
export const groupsFor = (build: Build): readonly Group[] => [
  {
    title: 'How much it holds',
    about: 'What the machine must keep, now and in some years. Marks appear on the tapes above as you type.',
    choices: [],
    numbers: [
      wish('usableTb', 'Room for data now', 'TB', 'What you have, and what comes in the first year.'),
      wish(
        'usableLaterTb',
        'Room for data later',
        'TB',
        'In three to five years. It decides how many bays are worth having.',
      ),
      wish('storedTb', 'Data there is already', 'TB', 'What goes in on the first day.'),
      wish('growthTbPerMonth', 'Data that comes to it', 'TB a month', 'It decides when the pool is full.'),
      wish('drivesLater', 'Drives later, in all', 'drives', 'The machine is checked for that many bays and ports.', {
        whole: true,
      }),
      wish(
        'failuresSurvived',
        'Drives that may fail',
        'at once',
        '0: a failed drive loses data. 1 is usual up to four drives, 2 above that.',
        { whole: true },
      ),
    ],
  },
  {
    title: 'What it may cost and draw',
    hasMoney: true,
    about: 'Wishes, not gates: passing one is tagged, and never blocks.',
    choices: [],
    numbers: [
      {
        section: 'build',
        key: 'copies',
        label: 'Machines alike',
        unit: '',
        times: 1,
        whole: true,
        optional: false,
        help: () => 'Price and bill are of all of them.',
      },
      wish('moneyMinor', 'Money to spend now', build.currency, 'Parts you own count as nothing.', {
        times: minorPerMajor(build.currency),
      }),
      wish(
        'idleW',
        'Idle, at the wall',
        'W',
        (one) =>
          'Drives turning, nobody asking. 25–60 W is a small machine. One watt all year is about ' +
          `${wattYearWords(one)}.`,
      ),
      wish('peakW', 'Peak, at the wall', 'W', 'Everything at its most together: for the socket, the UPS or the boat.'),
      wish('networkGbPerS', 'Network', 'Gb/s', '1 carries about 118 MB/s, 2.5 about 290, 10 about 1,180.'),
    ],
  },
  {
    title: 'Room it has to stand in',
    about: 'Outside sizes in millimetres. In a rack, depth, width and weight are hard limits.',
    choices: [
      choice(
        'place',
        'It stands',
        [
          ['shelf', 'on a shelf'],
          ['floor', 'on the floor'],
          ['rack', 'in a rack'],
          ['cupboard', 'in a cupboard'],
          ['outdoors', 'outdoors'],
        ],
        'In a rack, size and weight become hard limits.',
      ),
    ],
    numbers: [
      wish('maxDepthMm', 'Depth', 'mm', 'In a rack: from its front posts to the door or to what stands behind.'),
      wish(
        'cableRoomMm',
        'Of it for cables',
        'mm',
        'Behind a machine in a rack, for plugs and the bend of cables. 50 stands in.',
      ),
      wish('maxWidthMm', 'Width', 'mm', 'A rack with slide rails takes 430–440 mm of body.'),
      wish('maxHeightMm', 'Height', 'mm', 'Leave a hand above it if covers lift off upwards.'),
      wish('rackUnits', 'Free rack units', 'U', 'One unit is 44.45 mm.', { whole: true }),
      wish('maxMassG', 'Weight, filled', 'kg', 'With its drives: a 3.5-inch disk is about 0.7 kg.', { times: 1000 }),
    ],
  },
  {
    title: 'Air it breathes',
    about: 'How warm drives, cards and processor get hangs on it as much as on any fan.',
    choices: [
      choice(
        'cupboard',
        'Around it is',
        [
          ['none', 'the open room'],
          ['vented', 'a cupboard with vents'],
          ['closed', 'a closed cupboard'],
        ],
        'What it draws warms a closed cupboard by about 1 K for every 6 W, one with vents for every 12.',
      ),
    ],
    numbers: [
      room('ambientC', 'The room, normal day', '°C', 'A heated room in winter is about 21.'),
      room(
        'hotDayC',
        'On the hottest day',
        '°C',
        'Everything is judged by it: an attic in summer reaches 35 and more.',
      ),
      room(
        'intakeWarmerK',
        'Warmer by others',
        'K',
        'Where it draws in what another machine below or beside it blows out: often 3 to 8.',
        1,
        true,
      ),
    ],
  },
  {
    title: 'Who hears it',
    about: 'The noise tape shows the machine’s part at this ear; how loud the room is by itself is told beside it.',
    choices: [
      choice(
        'listening',
        'Room of the ear',
        [
          ['bedroom', 'bedroom at night'],
          ['living', 'living room'],
          ['office', 'office'],
          ['none', 'nobody’s'],
        ],
        'A bedroom at night has about 22 dB(A) by itself, a living room 30, an office 36.',
      ),
      choice(
        'standing',
        'Near it are',
        [
          ['open', 'no walls'],
          ['wall', 'one wall'],
          ['corner', 'a corner'],
        ],
        'Each wall throws sound back: about 3 dB.',
      ),
      choice(
        'room',
        'The room is',
        [
          ['soft', 'soft: carpet, curtains, beds'],
          ['ordinary', 'ordinary'],
          ['hard', 'hard: tiles, bare walls'],
          ['outdoors', 'outdoors'],
        ],
        'Soft rooms swallow sound, hard ones keep it.',
      ),
      choice(
        'door',
        'Between them',
        [
          ['none', 'nothing'],
          ['slatted', 'a slatted door'],
          ['ordinary', 'an ordinary door'],
          ['sealed', 'a sealed door'],
        ],
        'About 3, 8 and 15 dB less.',
      ),
    ],
    numbers: [
      wish(
        'earDb',
        'At the ear, at most',
        'dB(A)',
        'Bedroom at night 20–25, quiet living room 28–32, office 35–40. Ten more sound about twice as loud.',
      ),
      room('earMm', 'From machine to ear', 'm', 'Half the way is about 6 dB more, near by.', 1000),
      room(
        'noiseFloorDb',
        'Measured floor',
        'dB(A)',
        'If you measured the silent room; otherwise the typical one stands in.',
        1,
        true,
      ),
    ],
  },
  {
    title: 'Mains',
    about: 'What comes out of the wall, and how it gets there.',
    choices: [
      choice(
        'mainsV',
        'Mains',
        [
          [230, '230 V'],
          [115, '115 V'],
        ],
        'On 115 V a supply loses about a quarter more.',
      ),
      choice(
        'mainsPlug',
        'Outlet',
        [
          ['C13', 'not said'],
          ['F', 'type F (most of Europe)'],
          ['G', 'type G (Britain, Ireland)'],
          ['B', 'type B (North America)'],
          ['I', 'type I (Australia)'],
          ['J', 'type J (Switzerland)'],
          ['K', 'type K (Denmark)'],
          ['L', 'type L (Italy)'],
          ['M', 'type M (South Africa)'],
          ['N', 'type N (Brazil)'],
          ['C14', 'C13 of a UPS or a rack'],
        ],
        'It names the mains cable on the bill. For a UPS or a rack none lies in the box.',
      ),
    ],
    numbers: [
      room(
        'upsOtherW',
        'Else on its UPS',
        'W',
        'Switches, a modem, another machine: what shares its battery.',
        1,
        true,
      ),
    ],
  },
];

/** How much a feature is wanted. */
export type Level = 'any' | 'nice' | 'must' | 'not';
const WANTED = ['any', 'nice', 'must'] as const;
const AVOIDED = ['any', 'not'] as const;
/** Each with why, and the levels that make sense of it. */
export const MUST_HAVES = [
  ['ecc', 'ECC memory', 'Single flipped bits are put right instead of written to disk.', WANTED],
  ['hotSwap', 'Hot swap', 'Drives change without opening it or stopping it.', WANTED],
  [
    'remoteManagement',
    'Remote management',
    'Install, start and repair it from another chair; about 4 W at all hours.',
    [...WANTED, 'not'],
  ],
  ['allFlash', 'All flash', 'No moving parts among the data drives.', WANTED],
  ['fanless', 'No fan', 'Nothing that turns to move air, in its supply neither.', WANTED],
  ['shingled', 'Shingled drives', 'Cheap a TB, and days to rebuild in a set.', AVOIDED],
  ['usbDrives', 'Data drives on USB', 'One bridge before all of them, and a plug that comes loose.', AVOIDED],
  ['wornParts', 'Worn parts', 'What the kit says is worn or doubtful.', AVOIDED],
] as const satisfies readonly (readonly [string, string, string, readonly Level[]])[];

/** The number typed, as it is stored; null for an empty answer, a sentence for one that cannot be. */
export function readAnswer(
  text: string,
  question: Pick<NumberQuestion, 'times' | 'whole' | 'optional' | 'unit'>,
): { readonly ok: true; readonly value: number | null } | { readonly ok: false; readonly words: string } {
  if (text.trim() === '')
    return question.optional
      ? { ok: true, value: null }
      : { ok: false, words: 'This one cannot be left open; what was there is kept.' };
  const read = readNumber(text, { unit: question.unit });
  if (!read.ok) return { ok: false, words: `${read.words}; what was there is kept.` };
  const number = read.value;
  if (question.whole && !Number.isInteger(number))
    return { ok: false, words: 'A whole number, please; what was there is kept.' };
  const value = number * question.times;
  return { ok: true, value: question.times > 1 ? Math.round(value) : value };
}
