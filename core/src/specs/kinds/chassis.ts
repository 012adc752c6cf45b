import { whole } from './hostWords';
import { axis, words, type KindRules } from './rule';

/** A box of drives without a board of its own. */
const EXTERNAL = /direct[- ]attached|(?:usb|esata)[^\n]{0,40}enclosure|(?:jbod|external) (?:box|enclosure)/i;
const MASS_ALONE =
  /^[\d.,]+\s?(?:kg|lbs?)(?: (?:empty|net|bare|leer|netto|without (?:drives|disks)|ohne (?:laufwerke|platten)))?$/i;

export const CHASSIS: KindRules = {
  kind: 'chassis',
  cues: [
    [/chassis|\bcase\b|gehäuse|enclosure|rack ?mount/i, 4],
    [/drive bays|einschübe|schächte|hot-?swap/i, 2],
    [/\b[1-8]\s?u\b/i, 1],
    [/gpu length|cooler height|psu length|expansion slots/i, 3],
    [/\b(?:gpu|card|(?:cpu )?cooler|psu)s?:? (?:up to|max|clearance)/i, 4],
    [/\btower\b(?! (?:cpu )?cooler)/i, 1],
    [/\d\s?[x×]\s?(?:3[.,]5|5[.,]25)(?:\b|")/i, 3],
    [/(?:main|mother)board[^\n:\t]{0,12}[:\t] ?(?:mini-?itx|e?-?atx|micro-?atx|ssi)/i, 4],
  ],
  rules: [
    { field: 'heightMm', free: true, label: /./, read: axis('h') },
    { field: 'widthMm', free: true, label: /./, read: axis('w') },
    { field: 'depthMm', free: true, label: /./, read: axis('d') },
    {
      field: 'massG',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && MASS_ALONE.test(value) ? quantities[0]?.value : undefined,
    },
    { field: 'heightMm', label: /^(?:(?:rack|total|overall) )?(?:height|höhe)$/i, dimension: 'mm', pick: 'first' },
    { field: 'widthMm', label: /^(?:width|breite)$/i, dimension: 'mm', pick: 'first' },
    { field: 'depthMm', label: /^(?:depth|tiefe|length|länge)$/i, dimension: 'mm', pick: 'first' },
    {
      field: 'rackUnits',
      free: true,
      label: /form|height|rack|format|höhe/i,
      read: ({ label, value, text }) =>
        // A supply has a height in units, too.
        /power supply|\bpsu\b|netzteil/i.test(text)
          ? undefined
          : whole(/\b([1-9]|1[0-2])\s?(?:u|he)\b/i.exec(`${label} ${value}`)?.[1]),
    },
    {
      field: 'style',
      free: true,
      unless: /mother ?board|mainboard|hauptplatine|mini-?itx/i,
      read: words([
        /(?:drive|disk|hdd|storage|jbod|expansion) (?:expansion )?(?:enclosure|shelf)|\bjbod\b|disk shelf/i,
        'external',
      ]),
    },
    {
      field: 'style',
      free: true,
      label: /form|type|typ|style|bauform/i,
      read: words(
        [EXTERNAL, 'external'],
        [/rack/i, 'rack'],
        [/open (?:frame|air)/i, 'openFrame'],
        [/\bcube\b/i, 'cube'],
        [/tower/i, 'tower'],
      ),
    },
    {
      field: 'slideRails',
      free: true,
      label: /rails?|schienen/i,
      read: ({ label, value }) =>
        /rail|schiene/i.test(`${label} ${value}`)
          ? words(
              [/not included|optional|sold separately|apart|nicht enthalten/i, 'apart'],
              [/included|enthalten|mitgeliefert/i, 'included'],
            )({ label, value, line: 0, text: '' })
          : undefined,
    },
  ],
};
