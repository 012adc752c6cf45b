import { formOf, isForm } from './forms';
import { axis, CARD, generation, words, yesNo, type KindRules, type Rule } from './rule';

const GIB = 1024 ** 3;
/** Memory is told in GB and meant in GiB (JEDEC). */
const memoryBytes = (bytes: number | undefined): number | undefined =>
  bytes === undefined
    ? undefined
    : bytes % 1e12 === 0
      ? (bytes / 1e12) * 1024 * GIB
      : bytes % 1e9 === 0
        ? (bytes / 1e9) * GIB
        : bytes;
const whole = (text: string | undefined): number | undefined => (text === undefined ? undefined : Number(text));
const TYPE = words([/ddr5/i, 'ddr5'], [/ddr4/i, 'ddr4'], [/ddr3/i, 'ddr3']);
const FORM = words([/so-?dimm/i, 'so-dimm'], [/[ru]?dimm/i, 'dimm']);

/** A socket by its label, or as a piece by itself. */
const SOCKET: readonly Rule[] = [
  {
    field: 'socket',
    label: /socket|sockel/i,
    read: ({ value }) => /^\s*(?:socket\s*)?([\w-]+(?: [\w-]+)?)\s*$/i.exec(value)?.[1]?.trim(),
  },
  {
    field: 'socket',
    free: true,
    read: ({ label, value }) => (label === '' ? /^(?:socket|sockel) ([\w-]+)$/i.exec(value)?.[1] : undefined),
  },
  {
    field: 'socket',
    label: /^(?:cpu|processor|prozessor)(?: support)?$/i,
    read: ({ value }) => /^(?:1 ?[x×] ?|single )?(?:socket|sockel) ([\w-]+)(?=,|$)/i.exec(value)?.[1],
  },
];

const TDP_OF = /\btdp(?: of|:)? (\d{1,3}) ?w\b/i;
export const PROCESSOR: KindRules = {
  kind: 'processor',
  cues: [
    [/\bcores\b|kerne/i, 3],
    [/threads/i, 3],
    [/processor base power|\btdp\b/i, 1],
    [/turbo|boost|l3 cache|basistakt/i, 2],
  ],
  rules: [
    {
      field: 'cores',
      label: /cores|kerne/i,
      not: /performance|efficien|graphics|p-cores|e-cores|grafik/i,
      read: ({ value }) => whole(/^\s*(\d{1,3})\b(?!\.)/.exec(value)?.[1]),
    },
    {
      field: 'threads',
      label: /cores?\s*\/\s*threads?|kerne\s*\/\s*threads?/i,
      read: ({ value }) => whole(/^\s*\d{1,3}\s*\/\s*(\d{1,3})\b/.exec(value)?.[1]),
    },
    {
      field: 'threads',
      label: /threads/i,
      not: /cores?\s*\/|kerne\s*\//i,
      read: ({ value }) => whole(/^\s*(\d{1,3})\b/.exec(value)?.[1]),
    },
    {
      field: 'cores',
      free: true,
      read: ({ label, value }) =>
        label === '' ? whole(/(?<![\w-])(\d{1,3})[ -](?:cores?|kerne)\b/i.exec(value)?.[1]) : undefined,
    },
    {
      field: 'threads',
      free: true,
      read: ({ label, value }) =>
        label === '' ? whole(/(?<![\w-])(\d{1,3})[ -]threads?\b/i.exec(value)?.[1]) : undefined,
    },
    ...SOCKET,
    {
      field: 'sustainedW',
      free: true,
      read: ({ label, value }) =>
        label === '' ? whole((/(?<![\d.,])(\d{1,3}) ?w tdp\b/i.exec(value) ?? TDP_OF.exec(value))?.[1]) : undefined,
    },
    {
      field: 'lanes',
      label: /./,
      free: true,
      read: ({ value }) => whole(/(?<![\w.,-])(\d{1,3})(?: pcie?| pci express)? lanes\b/i.exec(value)?.[1]),
    },
    { field: 'gen', label: /./, free: true, read: generation },
    {
      field: 'graphics',
      free: true,
      read: (entry) =>
        entry.label === ''
          ? words(
              [/\b(?:no|without|ohne) (?:integrated )?(?:graphics|grafik)/i, false],
              [/\b(?:integrated|onboard|integrierte) (?:graphics|grafik)/i, true],
            )(entry)
          : undefined,
    },
    { field: 'sustainedW', label: /\btdp\b|base power|thermal design|grundleistung/i, dimension: 'W', pick: 'first' },
    { field: 'peakW', label: /(?:max|turbo|peak|boost).*(?:power|leistung)|\bppt\b/i, dimension: 'W' },
    {
      field: 'lanes',
      label: /pci\s?-?\s?e?(?:xpress)?.*lanes|lanes/i,
      read: ({ value }) => whole(/^\s*(?:up to\s*)?(\d{1,3})\b/i.exec(value)?.[1]),
    },
    {
      field: 'gen',
      label: /pci\s?-?\s?e?(?:xpress)?.*(?:rev|version|gen)/i,
      read: ({ value }) => whole(/([1-6])(?:\.\d)?/.exec(value)?.[1]),
    },
    { field: 'memoryEcc', label: /\becc\b/i, read: yesNo },
    {
      field: 'memoryEcc',
      free: true,
      label: /memory/i,
      read: ({ label, value, text }) =>
        /\becc\b/i.test(value) &&
        !/non-?ecc|no ecc|without/i.test(text) &&
        (label !== '' || (/^\s*ecc\s*$/i.test(value) && /memory|dimm/i.test(text)))
          ? true
          : undefined,
    },
    {
      field: 'graphics',
      label: /graphics|grafik/i,
      not: /frequency|memory|model|max|core/i,
      read: (entry) => yesNo(entry) ?? (/^integr/i.test(entry.value) ? true : undefined),
    },
    { field: 'maxC', label: /tjmax|t\s?junction|tcase|max.*temp/i, dimension: 'C' },
  ],
};

export const COOLER: KindRules = {
  kind: 'cooler',
  cues: [
    [/(?:cpu|processor|tower|top-?flow)[ -]?(?:cooler|kühler)(?!:? ?(?:height|clear|höhe|up to|max|bis))/i, 4],
    [/cooling capacity|kühlleistung/i, 3],
    [/(?:cooler|kühler)(?!:? ?(?:height|clear|höhe|up to|max|bis))|heat ?sink/i, 4],
    [/heat ?pipes?/i, 3],
    [/\btdp\b/i, 1],
  ],
  rules: [
    {
      field: 'sockets',
      label: /socket|sockel|compatib/i,
      read: ({ value }) => {
        const names = value.split(/[,/;]| and | und /).map((one) => one.replace(/^\s*sockets? /i, '').trim());
        return names.length > 0 && names.every((one) => /^[A-Z][\w+-]{0,14}$/i.test(one) && /\d/.test(one))
          ? names
          : undefined;
      },
    },
    {
      field: 'sockets',
      free: true,
      read: ({ label, value }) => {
        const found = label === '' ? /^(?:for )?socket ([A-Z][\w-]*\d[\w-]*)$/i.exec(value) : null;
        return found ? [found[1]!] : undefined;
      },
    },
    {
      field: 'heightMm',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^[\d.,]+\s?mm (?:tall|high|in height|hoch)\b/i.test(value) ? quantities[0]?.value : undefined,
    },
    {
      field: 'carriesW',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^(?:it )?(?:good for|handles|cools|for (?:cpus|processors))\b/i.test(value)
          ? quantities.find(({ dimension }) => dimension === 'W')?.value
          : undefined,
    },
    {
      field: 'heightMm',
      label: /^(?:total |overall |cooler |gesamt)?(?:height|höhe|bauhöhe)/i,
      not: /ram|memory|fan only/i,
      dimension: 'mm',
      pick: 'most',
    },
    { field: 'heightMm', read: axis('h') },
    { field: 'widthMm', label: /^(?:width|breite)/i, dimension: 'mm' },
    { field: 'widthMm', read: axis('w') },
    { field: 'depthMm', label: /^(?:depth|tiefe|length|länge)/i, dimension: 'mm' },
    { field: 'depthMm', read: axis('d') },
    {
      field: 'carriesW',
      label: /tdp|capacity|^good for|^handles|kühlleistung|dissipat/i,
      dimension: 'W',
      pick: 'most',
    },
  ],
};

const ASKS_BUFFERED = /registered\s*\/\s*unbuffered|buffered\s*\/\s*registered/i;
const BUFFERED = (said: string): boolean | undefined =>
  /\brdimm\b|\blrdimm\b|(?<!non-)(?<!un)registered|registriert/i.test(said)
    ? true
    : /\budimm\b|unbuffered|ungepuffert|so-?dimm/i.test(said)
      ? false
      : undefined;
export const MEMORY: KindRules = {
  kind: 'memory',
  cues: [
    [/[ru]dimm|so-?dimm/i, 4],
    [/ddr[345]-\d{4}/i, 3],
    [/\bcl\s?\d\d\b|registered|unbuffered/i, 2],
    [/ddr[345] sdram/i, 3],
  ],
  rules: [
    { field: 'type', free: true, label: /./, read: TYPE },
    { field: 'form', free: true, label: /./, read: FORM },
    {
      field: 'mtPerS',
      free: true,
      label: /speed|takt|frequency|data rate|geschwindigkeit/i,
      read: ({ label, value }, quantities) =>
        quantities.find(({ dimension }) => dimension === 'MTps')?.value ??
        whole(/ddr[345]l?[- ](\d{4})\b/i.exec(`${label} ${value}`)?.[1]) ??
        (label === '' ? undefined : whole(/^\s*(\d{4})\s?(?:mhz|mt)/i.exec(value)?.[1])),
    },
    {
      field: 'capacityBytes',
      free: true,
      label: /capacity|kapazität|size|speicher/i,
      read: ({ label, value }, quantities) => {
        // Of a kit each module counts.
        const kit = /(\d)\s*[x×]\s*(\d+)\s?gi?b/i.exec(value);
        if (kit) return Number(kit[2]) * GIB;
        const bytes = quantities.filter(({ dimension }) => dimension === 'B');
        return bytes.length === 1 && (label !== '' || /^\D{0,40}\d+\s?gi?b\b/i.test(value))
          ? memoryBytes(bytes[0]!.value)
          : undefined;
      },
    },
    {
      field: 'ecc',
      free: true,
      label: /\becc\b|error/i,
      read: ({ label, value }) =>
        /non-?\s?ecc|on-die/i.test(`${label} ${value}`)
          ? false
          : /\becc\b/i.test(label)
            ? yesNo({ label, value, line: 0, text: '' })
            : /\becc\b/i.test(value)
              ? true
              : undefined,
    },
    {
      field: 'registered',
      free: true,
      label: /./,
      read: ({ label, value }) => {
        // `Registered/Unbuffered` asks, and says nothing.
        const said = [value, label].find((one) => BUFFERED(one) !== undefined && !ASKS_BUFFERED.test(one));
        return said === undefined ? undefined : BUFFERED(said);
      },
    },
    { field: 'heightMm', label: /^(?:module )?(?:height|höhe)/i, dimension: 'mm' },
  ],
};

/** The rear edge of boards by form (ATX, SSI and Mini-ITX specifications); the other side is the depth. */
const EDGES_MM = [305, 244, 170] as const;
function sideOf(which: 'edge' | 'depth'): NonNullable<Rule['read']> {
  return (_entry, quantities) => {
    const sides = quantities.filter(({ dimension }) => dimension === 'mm').map(({ value }) => value);
    const [one, other] = sides;
    if (one === undefined || other === undefined || sides.length !== 2) return undefined;
    const edge = EDGES_MM.find((known) => sides.some((side) => Math.abs(side - known) <= 1.5));
    if (edge === undefined) return undefined;
    const isFirst = Math.abs(one - edge) <= 1.5;
    return (which === 'edge') === isFirst ? one : other;
  };
}
const SIDES: readonly Rule[] = (['edge', 'depth'] as const).map((which) => ({
  field: which === 'edge' ? 'edgeMm' : 'depthMm',
  label: /form ?fa[ck]tor|dimension|size|abmess|bauform|größe/i,
  not: /pack|box/i,
  read: sideOf(which),
}));

/** A board, and not what a case takes. */
const BOARD_ITSELF =
  /(?<!supported |compatible |support for )(?:mother ?board|mainboard|hauptplatine)(?!s|\s*(?:support|compat|size))/i;
const HAS_ECC = /\becc\b.*(?:support|unterst)|supports? ecc|\becc (?:u|r)dimm|dimm ecc|registered ecc|ecc registered/i;

export const BOARD: KindRules = {
  kind: 'board',
  cues: [
    [BOARD_ITSELF, 5],
    [/(?:mini-?itx|micro-?atx|(?<!mini-|micro-)atx|ssi-?[ce]eb) (?:server )?board\b/i, 4],
    [/\d\s*[x×]\s*(?:[ru]|so-?)?dimm\b/i, 2],
    [/\b(?:cpu )?socket|sockel/i, 2],
    [/memory slots|dimm slots|\d\s*[x×]\s*ddr[345]/i, 2],
    [/chipset|chipsatz|sata ports|\bbmc\b|\bipmi\b/i, 2],
    [/(?:mini-itx|micro-?atx|matx|ssi-?[ce]eb|e-?atx)/i, 1],
  ],
  rules: [
    {
      field: 'holes',
      label: /form ?factor|formfaktor|bauform|format/i,
      read: ({ label, value }) => formOf(`${label} ${value}`),
    },
    {
      field: 'holes',
      free: true,
      read: ({ label, value }) => (label === '' && isForm(value) ? formOf(value) : undefined),
    },
    ...SOCKET,
    {
      field: 'memorySlots',
      label: /memory|speicher|dimm|ram/i,
      read: ({ value }) =>
        whole(
          /\b(\d{1,2})\s*[x×]?\s*(?:ddr[345]\s*)?(?:[ru]|so-?)?dimm/i.exec(value)?.[1] ??
            /^\s*(\d{1,2})\s*[x×]\s*ddr/i.exec(value)?.[1],
        ),
    },
    {
      field: 'memorySlots',
      label: /(?:memory|dimm|ram|speicher)[ -]?(?:slots|sockets|bänke|steckplätze)/i,
      read: ({ value }) => whole(/^\s*(\d{1,2})\b/.exec(value)?.[1]),
    },
    {
      field: 'memoryMaxBytes',
      label: /memory|speicher|ram/i,
      read: ({ label, value }, quantities) => {
        const words_ = `${label} ${value}`;
        const at = /max|up to|bis zu|maximal/i.exec(value)?.index ?? (/max/i.test(label) ? 0 : -1);
        return at < 0 || /per|module|modul/i.test(words_)
          ? undefined
          : memoryBytes(quantities.find((one) => one.dimension === 'B' && one.at >= at)?.value);
      },
    },
    {
      field: 'memorySlots',
      free: true,
      read: ({ label, value }) =>
        label === ''
          ? whole(
              /^(\d{1,2})\s?(?:[x×]\s*)?(?:so-?)?dimm (?:slots?|sockets?)$/i.exec(value)?.[1] ??
                /^(\d{1,2})\s?[x×]\s*(?:ddr[345] )?(?:[ru]|so-?)?dimm\b/i.exec(value)?.[1],
            )
          : undefined,
    },
    {
      field: 'memoryMaxBytes',
      free: true,
      read: ({ label, value, text }, quantities) =>
        label === '' &&
        /(?:^|dimm\b.*)(?:up to|max\.?|bis zu)\s\d+\s?gb$/i.test(value) &&
        /dimm|ddr|memory|speicher/i.test(text)
          ? memoryBytes(quantities.find(({ dimension }) => dimension === 'B')?.value)
          : undefined,
    },
    { field: 'memoryType', free: true, label: /memory|speicher|ram|dimm/i, read: TYPE },
    { field: 'memoryForm', free: true, label: /memory|speicher|ram|dimm/i, read: FORM },
    {
      field: 'memoryEcc',
      free: true,
      label: /memory|speicher|\becc\b|ram/i,
      read: ({ label, value }) =>
        /non-?ecc(?! (?:and|und|\/))|no ecc|ecc not|ohne ecc/i.test(value)
          ? undefined
          : /^\W*ecc/i.test(label)
            ? yesNo({ label, value, line: 0, text: '' })
            : HAS_ECC.test(value)
              ? true
              : undefined,
    },
    ...SIDES,
    {
      field: 'remoteManagement',
      free: true,
      label: /^(?:lan|network|ethernet|ports)/i,
      read: ({ value }) =>
        /\b(?:ipmi|bmc)\b/i.test(value) && !/\bno\b|without|optional|ohne/i.test(value) ? true : undefined,
    },
    {
      field: 'remoteManagement',
      label: /\bbmc\b|ipmi|remote management|fernwart|management/i,
      read: ({ value }) =>
        /^\s*(?:no|none|nein|—|-)\b/i.test(value)
          ? false
          : /ipmi|bmc|redfish|yes|ja|kvm/i.test(value)
            ? true
            : undefined,
    },
    {
      field: 'carriesW',
      label: /^(?:cpu|processor|prozessor)/i,
      read: ({ value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        return /\btdp\b|\b(?:up to|bis)\b/i.test(value) && watts.length === 1 ? watts[0]!.value : undefined;
      },
    },
    {
      field: 'carriesW',
      label: /(?:cpu|processor|prozessor).*(?:power|tdp|leistung)|\btdp\b/i,
      dimension: 'W',
      pick: 'most',
    },
    { field: 'maxC', label: /operating.*temp/i, dimension: 'C', pick: 'most' },
  ],
};

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
        label === '' && /^[\d.,]+\s?(?:kg|lbs?)(?: (?:empty|net|bare|leer|netto))?$/i.test(value)
          ? quantities[0]?.value
          : undefined,
    },
    { field: 'heightMm', label: /^(?:height|höhe)$/i, dimension: 'mm', pick: 'first' },
    { field: 'widthMm', label: /^(?:width|breite)$/i, dimension: 'mm', pick: 'first' },
    { field: 'depthMm', label: /^(?:depth|tiefe|length|länge)$/i, dimension: 'mm', pick: 'first' },
    {
      field: 'rackUnits',
      free: true,
      label: /form|height|rack|format|höhe/i,
      read: ({ label, value }) => whole(/\b([1-9]|1[0-2])\s?(?:u|he)\b/i.exec(`${label} ${value}`)?.[1]),
    },
    {
      field: 'style',
      free: true,
      label: /form|type|typ|style|bauform/i,
      read: words([/rack/i, 'rack'], [/open (?:frame|air)/i, 'openFrame'], [/\bcube\b/i, 'cube'], [/tower/i, 'tower']),
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
  cards('accelerator', [
    [/graphics card|\bgpu\b|grafikkarte|accelerator/i, 4],
    [/\bvram\b|gddr\d/i, 3],
  ]),
];
