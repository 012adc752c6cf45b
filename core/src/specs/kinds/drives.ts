import { DRIVE_STATES } from './driveStates';
import type { Quantity } from '../text/quantities';
import { axis, generation, SOUND_POWER, words, yesNo, type KindRules, type Rule } from './rule';

/** Heights drives are made in (SFF-8201, SFF-8301). */
const HEIGHTS_MM = [5, 7, 9.5, 12.5, 14.8, 15, 19, 19.99, 20, 26.1];
const SIZES = words(
  [/\bm\.?2\b|\b22(?:30|42|60|80|110)\b(?!\s?(?:[mg]b|iops|rpm|tb|h\b))/i, 'm2'],
  [/\bu\.[23]\b/i, 'u.2'],
  [/3[.,]5\s*(?:"|''|inch|zoll|-?in\b|-inch)/i, '3.5'],
  [/2[.,]5\s*(?:"|''|inch|zoll|-?in\b|-inch)/i, '2.5'],
);

/** `SATA 6 Gb/s`, `SATA III 6.0 Gb/s`, `Serial ATA (6 Gbit/s`. */
const RATES = String.raw`(1[.,]5|3|6|12|22[.,]5|24)(?:[.,]0)?\s*g(?:b|bit|bps)?`;
const LINK_RATE = new RegExp(
  String.raw`\b(?:sas|sata|serial ata)\b[^\d]{0,14}(?:\d\.\d\s*\(?)?\s*${RATES}(?![a-z]{3})`,
  'i',
);
const RATE_AHEAD = new RegExp(String.raw`(?<![\d.,])${RATES}(?:\/s)?\s*(?:sas|sata)\b`, 'i');
/** `It reads at up to 560 MB/s`, in a sentence. */
const READS_AT = /\breads (?:at )?(?:up to |as much as )?(?=\d)/i;
const WIDTHS_MM = [69.85, 101.6];
/** The least or the largest of a drive's three sides, which its width tells to be those of a drive. */
function sideOf(quantities: readonly Quantity[], which: (...sides: number[]) => number): number | undefined {
  const sides = quantities.filter(({ dimension }) => dimension === 'mm').map(({ value }) => value);
  const isDrive = sides.length === 3 && sides.some((side) => WIDTHS_MM.some((width) => Math.abs(side - width) < 0.5));
  return isDrive ? which(...sides) : undefined;
}
/** Gb/s is no capacity. */
const RATE = /[\d.,]+\s?g(?:b|bit)\/s/gi;
/** `7.2K`, as sellers write it. */
const THOUSANDS = /(?<![\d.,])(5[.,][49]|7[.,]2|10|15)k\b(?!\s?iops)/i;
const RULES: readonly Rule[] = [
  {
    field: 'interface',
    label: /interface|schnittstelle|anschluss|bus|protocol/i,
    free: true,
    read: words([/nvme|pci\s?e/i, 'nvme'], [/\bsas\b/i, 'sas'], [/\bsata\b|serial ata/i, 'sata']),
  },
  {
    field: 'gbPerLane',
    label: /interface|schnittstelle|anschluss/i,
    free: true,
    read: ({ label, value }) => {
      const found = LINK_RATE.exec(`${label} ${value}`);
      const before = RATE_AHEAD.exec(`${label} ${value}`);
      const rate = found?.[1] ?? before?.[1];
      return rate === undefined ? undefined : Number(rate.replace(',', '.'));
    },
  },
  // In a list of an auction the rate of the link stands by itself.
  {
    field: 'gbPerLane',
    free: true,
    read: ({ label, value }) => {
      const rate = label === '' ? /^(3|6|12)\s?gb(?:\/s|ps|it\/s)$/i.exec(value)?.[1] : undefined;
      return rate === undefined ? undefined : Number(rate);
    },
  },
  {
    field: 'gbPerLane',
    label: /interface (?:speed|rate|transfer)|link (?:speed|rate)/i,
    dimension: 'Gbps',
    pick: 'most',
  },
  {
    field: 'pcieGen',
    label: /interface|schnittstelle|bus/i,
    free: true,
    read: generation,
  },
  {
    field: 'lanes',
    label: /interface|schnittstelle|bus/i,
    free: true,
    read: ({ label, value }) => {
      const found = /pci\s?-?\s?e?(?:xpress)?[^x]{0,16}(?:\b|gen\s?\d\s?)x\s?([124])\b/i.exec(`${label} ${value}`);
      return found ? Number(found[1]) : undefined;
    },
  },
  {
    field: 'capacityBytes',
    label: /capacity|kapazität|^size$|speicherkapazität/i,
    not: /cache|buffer|puffer|optional|per platter/i,
    dimension: 'B',
  },
  {
    field: 'capacityBytes',
    free: true,
    read: ({ label, value }) => {
      if (
        label !== '' ||
        value.length > 160 ||
        // What is kept before the disk is not what is on it.
        /cache|buffer|puffer|dram/i.test(value.replace(CACHE, ' ')) ||
        /\d\s?[tg]b\s?\//i.test(value.replace(RATE, ' '))
      )
        return undefined;
      const found = [...value.replace(RATE, ' ').matchAll(/(?<![\w.,])(\d+(?:[.,]\d+)?)\s?(tb|gb)(?![\w/])/gi)];
      if (new Set(found.map(([said]) => said.replace(/\s/g, '').toLowerCase())).size !== 1) return undefined;
      const [, number, unit] = found[0]!;
      const bytes = Number(number!.replace(',', '.')) * (unit!.toLowerCase() === 'tb' ? 1e12 : 1e9);
      return bytes >= 16e9 ? bytes : undefined;
    },
  },
  { field: 'size', label: /form ?factor|bauform|^size|format|größe/i, free: true, read: SIZES },
  {
    field: 'lengthMm',
    label: /form ?factor|bauform|format/i,
    free: true,
    read: ({ label, value }) => {
      const found = /(?:m\.?2\b[^\d]{0,10}|\b)22(30|42|60|80|110)\b(?!\s?(?:[mg]b|iops|rpm|tb|h\b))/i.exec(
        `${label} ${value}`,
      );
      return found ? Number(found[1]) : undefined;
    },
  },
  // A body's width tells its size (SFF-8301, SFF-8201).
  {
    field: 'size',
    label: /^width|breite/i,
    read: (_entry, quantities) => {
      const [one] = quantities.filter(({ dimension }) => dimension === 'mm');
      if (!one) return undefined;
      return Math.abs(one.value - 101.6) < 1 ? '3.5' : Math.abs(one.value - 69.85) < 1 ? '2.5' : undefined;
    },
  },
  // `1 per 10E15`, `< 1 in 10^15`, `10^-17`: the power of ten is what counts.
  {
    field: 'unreadablePerBit',
    label: /(?:un|non-?)recoverable|uncorrectable|bit error|\buber\b|read errors/i,
    read: ({ value }) => {
      const power = /10\s?(?:\^|e|\*\*)?\s?-?(1[3-8])(?!\d)/i.exec(value)?.[1];
      return power ? Number(`1e-${power}`) : undefined;
    },
  },
  {
    field: 'rpm',
    label: /^rpm$|rotation|spindle|drehzahl/i,
    read: (_entry, quantities) =>
      quantities.length === 1 && quantities[0]!.dimension === null ? quantities[0]!.value : undefined,
  },
  {
    field: 'rpm',
    free: true,
    read: ({ label, value }) => {
      const found = label === '' && /\b(?:hdd|sas|sata|disk|festplatte)\b/i.test(value) && THOUSANDS.exec(value);
      return found ? Number(found[1]!.replace(',', '.')) * 1000 : undefined;
    },
  },
  { field: 'rpm', label: /speed|rpm|drehzahl|umdrehung/i, free: true, dimension: 'rpm', pick: 'first' },
  {
    field: 'sequentialMBps',
    label: /transfer|sustained|sequenti|lese|read|datenrate|data rate|throughput/i,
    not: /random|zufäll|burst|buffer|interface|write|schreib|cache/i,
    dimension: 'MBps',
    pick: 'most',
  },
  {
    field: 'sequentialMBps',
    label: /./,
    free: true,
    read: ({ value }, quantities) => {
      const said = READS_AT.exec(value);
      return said ? quantities.find(({ dimension, at }) => dimension === 'MBps' && at >= said.index)?.value : undefined;
    },
  },
  {
    field: 'sequentialMBps',
    free: true,
    read: ({ label, value }, quantities) =>
      label === '' &&
      /^\D{0,12}[\d.,]+\s?mb\/s(?:\s(?:sustained|max|sequential|read|transfer|data)[\w ]*)?$/i.test(value) &&
      !/write|schreib|burst|cache|buffer/i.test(value)
        ? quantities.find(({ dimension }) => dimension === 'MBps')?.value
        : undefined,
  },
  {
    field: 'randomIops',
    label: /random.*read|zufäll.*les|read.*(?:iops|random)/i,
    not: /write|schreib/i,
    dimension: 'IOPS',
  },
  {
    field: 'randomIops',
    label: /iops.*(?:read|lesen)|(?:read|lesen).*iops/i,
    not: /write|schreib/i,
    read: ({ value }, [one, ...others]) => {
      if (!one || others.length > 0) return undefined;
      // `650k`: thousands without a unit.
      const times = /\d\s?k\b/i.test(value) ? 1000 : 1;
      return one.dimension === 'IOPS' ? one.value : one.dimension === null ? one.value * times : undefined;
    },
  },
  {
    field: 'ratedBays',
    free: true,
    label: /bays/i,
    read: ({ label, value }) => {
      const found =
        /\bup to (\d{1,2})[ -]bays?\b/i.exec(value) ?? (/drive bays/i.test(label) ? /^(\d{1,2})$/.exec(value) : null);
      return found ? Number(found[1]) : undefined;
    },
  },
  {
    field: 'enduranceTb',
    label: /endurance|tbw|lebensdauer|(?:tera)?bytes? written|schreibleistung/i,
    dimension: 'TBW',
  },
  {
    field: 'enduranceTb',
    label: /^tbw\b/i,
    read: (_entry, quantities) =>
      quantities.length === 1 && quantities[0]!.dimension === null ? quantities[0]!.value : undefined,
  },
  {
    field: 'enduranceTb',
    label: /tbw|terabytes? written|endurance|lebensdauer/i,
    dimension: 'B',
    read: (_entry, quantities) => {
      const one = quantities.find(({ dimension }) => dimension === 'B');
      return one && one.value / 1e12;
    },
  },
  { field: 'enduranceTb', label: /./, free: true, dimension: 'TBW' },
  // `3.4 PB TBW`: what is written, in bytes.
  {
    field: 'enduranceTb',
    free: true,
    read: ({ label, value }, quantities) => {
      if (label !== '' || !/\d\s?[tp]b\s+(?:tbw|written|endurance|write)/i.test(value)) return undefined;
      const all = quantities.filter(({ dimension }) => dimension === 'B');
      return all.length === 1 ? all[0]!.value / 1e12 : undefined;
    },
  },
  ...DRIVE_STATES,
  { field: 'heightMm', label: /^(?:max\.? |drive )?(?:height|bauhöhe|höhe|thickness|z-height)/i, dimension: 'mm' },
  { field: 'heightMm', read: axis('h') },
  {
    field: 'heightMm',
    label: /dimension|abmess|^size|maße/i,
    not: /pack|box/i,
    read: (_entry, quantities) => sideOf(quantities, Math.min),
  },
  {
    field: 'heightMm',
    label: /form ?factor|bauform/i,
    free: true,
    read: ({ label, value }, quantities) => {
      const found = quantities.filter((one) => one.dimension === 'mm' && HEIGHTS_MM.includes(one.value));
      // `2.5" 7 mm` in one piece.
      if (found.length === 1 && /\bu\.[23]\b.*\b(?:7|15)\s?mm\b/i.test(value)) return found[0]!.value;
      if (found.length === 1 && /^2[.,]5\s?(?:"|inch|-inch)?,? [\d.,]+\s?mm$/i.test(value)) return found[0]!.value;
      return found.length === 1 &&
        (label !== '' ||
          /^(?:height |z-?height )?[\d.,]+\s?mm(?: (?:z-?height|height|thick|high|hoch|tall))?$/i.test(value))
        ? found[0]!.value
        : undefined;
    },
  },
  {
    field: 'powerLossSafe',
    free: true,
    read: ({ label, value }) =>
      label === '' && /^(?:with )?(?:(?:enhanced )?power[ -]?loss (?:data )?protection|plp)$/i.test(value)
        ? true
        : undefined,
  },
  { field: 'powerLossSafe', label: /power[ -]?(?:loss|fail)|\bplp\b|(?:strom|spannungs)ausfall/i, read: yesNo },
  { field: 'lengthMm', label: /^(?:length|länge|depth|tiefe)/i, dimension: 'mm' },
  { field: 'lengthMm', read: axis('d') },
  {
    field: 'lengthMm',
    label: /dimension|abmess|^size|maße/i,
    not: /pack|box/i,
    read: (_entry, quantities) => sideOf(quantities, Math.max),
  },
  {
    field: 'maxC',
    label: /operating|ambient|temperatur|betrieb/i,
    not: /storage|non-?operating|lager|humid|altitude|shock/i,
    dimension: 'C',
    pick: 'most',
  },
  SOUND_POWER,
  { field: 'annualFailurePct', label: /afr|annuali[sz]ed failure/i, dimension: '%' },
  {
    field: 'shingled',
    free: true,
    label: /record|technolog|aufzeich/i,
    read: words([/\bcmr\b|\bpmr\b|conventional magnetic/i, false], [/\bsmr\b|shingled/i, true]),
  },
  {
    field: 'sectors',
    label: /sector|sektor|format|bytes per/i,
    free: true,
    read: words(
      [/\b512\s*(?:bytes?)?\s*\/\s*4,?096\b/i, '512e'],
      [/\b4,?096\s*(?:bytes?)?\s*\/\s*4,?096\b/i, '4Kn'],
      [/\b512\s*(?:bytes?)?\s*\/\s*512\b/i, '512n'],
      [/512\s?e\b/i, '512e'],
      [/4\s?k\s?n\b/i, '4Kn'],
      [/512\s?n\b/i, '512n'],
      [/\b520\b(?!\s?[mgt]?i?b\/)/i, '520'],
    ),
  },
  { field: 'readyS', label: /(?:time to )?ready|power-?on to ready|anlauf/i, dimension: 's' },
  {
    field: 'medium',
    free: true,
    label: /./,
    read: ({ label, value }) =>
      /\b(?:hdd|hard (?:disk|drive)|festplatte)\b|spindle|rotation|spin-?up|\brpm\b|u\/min|drehzahl|\b[cp]mr\b/i.test(
        `${label} ${value}`,
      )
        ? 'disk'
        : /\bssd\b|nvme|solid.state|\btbw\b|\b(?:tlc|qlc|mlc|3d) ?nand|v-?nand|flash/i.test(`${label} ${value}`)
          ? 'flash'
          : undefined,
  },
];

/** A drive, and not what a board or card has room for. */
const IS_DRIVE = new RegExp(
  String.raw`(?<!\d\s?[x×]\s?m\.2[^\n]{0,12})\b(?:hdd|ssd|hard (?:disk|drive)|festplatte|solid.state|nvme)\b` +
    String.raw`(?! (?:bays|devices|drives|ports|support))`,
  'i',
);
const CACHE = /\d+\s?[mg]i?b\s+(?:cache|buffer|puffer|dram)/gi;
export const DRIVE: KindRules = {
  kind: 'drive',
  cues: [
    [IS_DRIVE, 4],
    [/\btbw\b|endurance|spindle|rotational speed|\b[cs]mr\b|sector/i, 3],
    [/\d\s?(?:tb|gb)\b(?!\/).*(?:sata|sas|nvme|rpm|u\/min)/i, 3],
    [/sustained (?:data )?(?:transfer )?rate|sequential (?:read|write)|lesen sequenziell/i, 3],
    [/capacity|kapazität/i, 1],
  ],
  rules: RULES,
};
