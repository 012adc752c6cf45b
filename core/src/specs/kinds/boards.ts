import { formOf, isForm } from '../text/forms';
import { MEMORY_FORM, MEMORY_TYPE, memoryBytes, SOCKET, whole } from './hostWords';
import { titled, yesNo, type KindRules, type Rule } from './rule';

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
  label: /form ?fa[ck]tor|format|dimension|size|abmess|bauform|größe|maße/i,
  not: /pack|box/i,
  read: sideOf(which),
}));
/** `305 x 244 mm` by itself. */
const SIDES_ALONE: readonly Rule[] = SIDES.map(({ field, read }) => ({
  field,
  free: true,
  read: (entry, quantities) =>
    entry.label === '' && /^[\d.,]+\s?(?:mm|cm)?\s*[x×]\s*[\d.,]+\s?(?:mm|cm)$/i.test(entry.value)
      ? read?.(entry, quantities)
      : undefined,
}));

/** A board, and not what a case takes. */
const BOARD_ITSELF =
  /(?<!supported |compatible |support for )(?:mother ?board|mainboard|hauptplatine)(?!s|\s*(?:support|compat|size))/i;
const HAS_ECC = /\becc\b.*(?:support|unterst)|supports? ecc|\becc (?:u|r)dimm|dimm ecc|registered ecc|ecc registered/i;

/** `ECC and non-ECC`: it takes both. */
const BOTH_ECC = /\becc\s*(?:and|und|&|or|oder|\/|,)\s*non-?ecc/i;

const PLAIN_DIMM = /\budimm\b|unbuffered|un-buffered|\/\s?udimm|non-?ecc/i;

const SOLDERED = /solder|\bsoc\b|on[- ]?board|verlötet/i;
export const BOARD: KindRules = {
  kind: 'board',
  cues: [
    [BOARD_ITSELF, 5],
    [titled(String.raw`\b(?:mini-?itx|micro-?atx|e?-?atx|nas|server|workstation)\b[^\n]*\bboard\b(?!s)`), 6],
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
      // `Wren N2 Mini-ITX NAS board`.
      read: ({ label, value }) => (label === '' && /board\b(?!s)/i.test(value) ? formOf(value) : undefined),
    },
    {
      field: 'holes',
      free: true,
      read: ({ label, value }) =>
        label === '' && isForm(value.replace(/,?\s*\(?[\d.,]+\s?(?:mm|cm|")?\s*[x×].*$/i, ''))
          ? formOf(value)
          : undefined,
    },
    ...SOCKET,
    // Registered modules have ECC, and a board that names them alone takes no others.
    {
      field: 'memoryRegistered',
      free: true,
      label: /memory|speicher|dimm|ram/i,
      read: ({ label, value, text }) => {
        if (label === '' && !/dimm/i.test(value)) return undefined;
        const [registered, plain] = [/\b(?:l?rdimm)\b|\bregistered\b/i.test(text), PLAIN_DIMM.test(text)];
        return registered ? (plain ? 'may' : 'must') : undefined;
      },
    },
    {
      field: 'memoryEcc',
      label: /memory|speicher|dimm|ram/i,
      read: ({ value }) => (/\bl?rdimm\b/i.test(value) && !PLAIN_DIMM.test(value) ? true : undefined),
    },
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
        const isBehind = /(?<![\d.,])[\d.,]+\s?[gt]i?b\s*\(?(?:max|total)/i.exec(value);
        const at = isBehind?.index ?? /max|up to|bis zu|maximal/i.exec(value)?.index ?? (/max/i.test(label) ? 0 : -1);
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
        /(?:^|dimm\b.*)\(?(?:up to|max\.?|bis zu)\s\d+\s?[gt]b\)?$/i.test(value) &&
        /dimm|ddr|memory|speicher/i.test(text)
          ? memoryBytes(quantities.find(({ dimension }) => dimension === 'B')?.value)
          : undefined,
    },
    { field: 'memoryType', free: true, label: /memory|speicher|ram|dimm/i, read: MEMORY_TYPE },
    { field: 'memoryForm', free: true, label: /memory|speicher|ram|dimm/i, read: MEMORY_FORM },
    {
      field: 'memoryEcc',
      free: true,
      label: /memory|speicher|\becc\b|ram/i,
      read: ({ label, value }) =>
        BOTH_ECC.test(value)
          ? true
          : /non-?ecc(?! (?:and|und|\/))|no ecc|ecc not|ohne ecc/i.test(value)
            ? undefined
            : /^\W*ecc/i.test(label)
              ? yesNo({ label, value, line: 0, text: '' })
              : HAS_ECC.test(value)
                ? true
                : undefined,
    },
    {
      field: 'memoryEcc',
      free: true,
      read: ({ label, value, text }) =>
        label === '' && /^ecc$/i.test(value) && /memory|dimm|speicher/i.test(text) ? true : undefined,
    },
    ...SIDES,
    ...SIDES_ALONE,
    {
      field: 'remoteManagement',
      free: true,
      label: /^(?:lan|network|ethernet|ports)/i,
      read: ({ value }) =>
        /\b(?:ipmi|bmc)\b/i.test(value) && !/\bno\b|without|optional|ohne/i.test(value) ? true : undefined,
    },
    {
      field: 'remoteManagement',
      free: true,
      read: ({ label, value }) =>
        label === '' && /\b(?:ipmi|bmc)\b/i.test(value) && !/\bno\b|without|optional|ohne|ready/i.test(value)
          ? true
          : undefined,
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
        // What is soldered on says what it takes itself.
        if (SOLDERED.test(value)) return undefined;
        const isRange = watts.length === 1 && watts[0]!.hi > watts[0]!.value;
        return watts.length === 1 && (isRange || /\btdp\b|\b(?:up to|bis|max)\b/i.test(value))
          ? watts[0]!.hi
          : undefined;
      },
    },
    {
      field: 'carriesW',
      label: /(?:cpu|processor|prozessor).*(?:power|tdp|leistung)|\btdp\b/i,
      read: ({ value, text }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W').map(({ hi }) => hi);
        return watts.length === 0 || SOLDERED.test(value) || SOLDERED.test(text) ? undefined : Math.max(...watts);
      },
    },
    { field: 'maxC', label: /operating.*temp/i, dimension: 'C', pick: 'most' },
  ],
};
