import type { Quantity } from '../text/quantities';
import { axis, words, type KindRules, type Rule } from './rule';

/** A rail as a label: `+12V`, `+3.3 V rail`, `Max load +5V`. */
const RAIL = (volts: string) => {
  const before = String.raw`^(?:max(?:imum|\.)?\s+(?:load|current|output)\s*)?(?:rail|schiene|ligne|linea)?\s*`;
  return new RegExp(
    `${before}\\+?\\s?${volts}\\s?v(?:dc|\\s?(?:rail|output|schiene))?\\s*[12]?(?:\\s*[([]a[)\\]]| max\\.? current)?$`,
    'i',
  );
};

/** Width and height of supplies by their form (ATX12V and SFX design guides): the side beside both is the length. */
const FACES_MM: readonly (readonly [number, number])[] = [
  [150, 86],
  [125, 63.5],
  [85, 65],
  [81.5, 40.5],
  [73.5, 40],
];
function lengthBehindFace(quantities: readonly Quantity[]): number | undefined {
  const sides = quantities.filter(({ dimension }) => dimension === 'mm').map(({ value }) => value);
  if (sides.length !== 3) return undefined;
  for (const face of FACES_MM) {
    const left = [...sides];
    for (const wanted of face) {
      const at = left.findIndex((side) => Math.abs(side - wanted) <= 1);
      if (at >= 0) left.splice(at, 1);
    }
    if (left.length === 1) return left[0];
  }
  return undefined;
}

const BRICK =
  /\b(?:ac|power|mains|ac ?[/-] ?dc|desktop) (?:adapter|adaptor|brick)\b|power brick|steckernetzteil|netzadapter/i;
export const SUPPLY: KindRules = {
  kind: 'supply',
  cues: [
    // A chassis takes one.
    [/drive bays|expansion slots|(?:cpu )?cooler:? (?:height|up to|max)|graphics cards?:? (?:up to|max)/i, -6],
    [/power supply|netzteil|\bpsu\b(?!:? (?:up to|max|length|clear|limit))/i, 4],
    [/80\s*\+|80\s?plus/i, 3],
    [BRICK, 4],
    [/\boutput:?\s*[\d.,]+\s?v\b/i, 2],
    [/\+12\s?v.*\+?\d|\+3[.,]3\s?v/i, 2],
    [/modular/i, 1],
  ],
  rules: [
    {
      field: 'powerFactorFull',
      label: /power factor|pfc|leistungsfaktor/i,
      read: ({ value }) => {
        const said = /(?<![\d.,])(0[.,]\d{1,2}|1[.,]0{1,2})(?!\d)/.exec(value)?.[1];
        return said === undefined ? undefined : Number(said.replace(',', '.'));
      },
    },
    {
      field: 'form',
      label: /form ?fa[ck]tor|bauform/i,
      read: words(
        [/\bsfx-l\b/i, 'sfx-l'],
        [/\bsfx/i, 'sfx'],
        [/\btfx/i, 'tfx'],
        [/flex/i, 'flex-atx'],
        [/redundant|\bcrps\b/i, 'redundant'],
        [/\batx/i, 'atx'],
      ),
    },
    {
      field: 'form',
      free: true,
      label: /./,
      read: words([BRICK, 'brick']),
    },
    {
      field: 'dcPlug',
      free: true,
      label: /plug|connector|jack|barrel|stecker/i,
      read: ({ label, value }) => {
        // Barrel plugs by their two diameters, outside first.
        const said = /(?<![\d.,])(\d[.,]\d{1,2})\s*(?:mm)?\s*[x×/]\s*(\d[.,]\d{1,2})\s*(?:mm)?(?![\d.,])/i.exec(value);
        const is = said && (label !== '' || /plug|jack|barrel|stecker/i.test(value));
        return is ? `${said[1]!.replace(',', '.')} × ${said[2]!.replace(',', '.')}` : undefined;
      },
    },
    {
      field: 'form',
      free: true,
      label: /./,
      read: words(
        [/\bsfx-l\b/i, 'sfx-l'],
        [/\bsfx\b/i, 'sfx'],
        [/\bsfx12v/i, 'sfx'],
        [/\btfx\b/i, 'tfx'],
        [/\batx12v/i, 'atx'],
        [/flex[ -]?atx/i, 'flex-atx'],
        [/\bredundant\b(?!.*(?:optional|not))/i, 'redundant'],
        [/\b(?:ps2 ?\/ ?)?atx\b(?!\s*(?:12v|3\.|24|20))/i, 'atx'],
      ),
    },
    {
      field: 'ratedW',
      label: /total|rated|^(?:max\.? |total |dc )*output$|output power|wattage|leistung|power$|^watt/i,
      not: /combined|efficien|peak|standby|\bmax\. power/i,
      read: ({ label, value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        const volts = quantities.filter(({ dimension }) => dimension === 'V');
        // `550 W (1+1)` counts modules, and is no rail.
        const isRail = /\+\s?\d/.test(`${label} ${value}`.replace(/\b\d\s?\+\s?\d\b/g, ' ')) || volts.length > 1;
        return watts.length === 1 && !isRail ? watts[0]!.value : undefined;
      },
    },
    {
      field: 'ratedW',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' &&
        (/^\d{2,4}\s?w(?:att)?$/i.test(value) ||
          (/\b(?:psu|power supply|netzteil|sfx|atx)\b/i.test(value) && !/\dv|efficien|peak/i.test(value)))
          ? quantities.find(({ dimension }) => dimension === 'W')?.value
          : undefined,
    },
    {
      field: 'ratedW',
      label: /output|power|leistung/i,
      read: ({ value }) => {
        const said = /(?<![\d.,])(\d{2,4})\s?w(?:atts?)?\s*(?:at|@|\()\s*(?:200|208|220|230|240)\b/i.exec(value)?.[1];
        return said === undefined ? undefined : Number(said);
      },
    },
    // `920 W at 200–240 VAC, 700 W at 100–127 VAC`: by the higher mains it is rated.
    {
      field: 'ratedW',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^\d{2,4}\s?w(?:atts?)?\s*(?:at|@|\()\s*(?:200|208|220|230|240)\b/i.test(value)
          ? quantities.find(({ dimension }) => dimension === 'W')?.value
          : undefined,
    },
    {
      field: 'ratedW115',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^\d{2,4}\s?w(?:atts?)?\s*(?:at|@|\()\s*(?:100|110|115|120)\b/i.test(value)
          ? quantities.find(({ dimension }) => dimension === 'W')?.value
          : undefined,
    },
    {
      field: 'efficiencyClass',
      free: true,
      label: /./,
      read: ({ label, value, text, line }) =>
        // In the name of a supply a metal is its class.
        line === 1 || /80\s*\+|80\s?plus|certif|efficien|effizienz|wirkungsgrad/i.test(`${label} ${value} ${text}`)
          ? words(
              [/titan/i, 'titanium'],
              [/platin/i, 'platinum'],
              [/gold/i, 'gold'],
              [/silver|silber/i, 'silver'],
              [/bronze/i, 'bronze'],
              [/white|standard/i, 'plain'],
            )({ label, value, line: 0, text })
          : undefined,
    },
    ...(['12', '5', '3[.,]3'] as const).map((volts, i): Rule => ({
      field: (['rail12A', 'rail5A', 'rail33A'] as const)[i]!,
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' &&
        new RegExp(`^\\+\\s?${volts}\\s?v\\s*[:@]?\\s*[\\d.,]+\\s?a(?:\\s*\\([^)]*\\))?$`, 'i').test(value)
          ? quantities.find(({ dimension }) => dimension === 'A')?.value
          : undefined,
    })),
    {
      field: 'outV',
      label: /^(?:dc )?(?:output|ausgang)(?: voltage)?$|^dc voltage$|^ausgangsspannung$/i,
      read: ({ value }, quantities) => {
        const volts = quantities.filter(({ dimension }) => dimension === 'V');
        return volts.length === 1 && !/\+\s?\d/.test(value) ? volts[0]!.value : undefined;
      },
    },
    { field: 'rail12A', label: RAIL('12'), dimension: 'A', pick: 'first' },
    // `12 V: 45.8 A` within a line of many facts.
    {
      field: 'rail12A',
      free: true,
      label: /./,
      read: ({ text }) => {
        const all = [
          ...text.matchAll(/(?<![\d.,-])\+?12\s?v(?:dc)?\s*(?:[:=@/]|\s)\s*(\d{1,3}(?:[.,]\d{1,2})?)\s?a\b/gi),
        ];
        return all.length === 1 ? Number(all[0]![1]!.replace(',', '.')) : undefined;
      },
    },
    { field: 'rail5A', label: RAIL('5'), dimension: 'A', pick: 'first' },
    { field: 'rail33A', label: RAIL('3[.,]3'), dimension: 'A', pick: 'first' },
    {
      field: 'combined5And33W',
      label: /5\s?v.*3[.,]3\s?v|3[.,]3\s?v.*5\s?v|3[.,]3\s?\/\s?5\s?v|5\s?\/\s?3[.,]3\s?v/i,
      not: /12/,
      dimension: 'W',
    },
    {
      field: 'combined5And33W',
      free: true,
      label: /combined/i,
      read: ({ value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        const isBoth = /3[.,]3\s?v/i.test(value) && /(?<![.,\d])5\s?v/i.test(value) && !/12\s?v/i.test(value);
        return isBoth && watts.length === 1 ? watts[0]!.value : undefined;
      },
    },
    {
      field: 'combined5And33W',
      label: /^\+?\s?(?:3[.,]3|5)\s?v/i,
      read: ({ value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        return /combined|together|zusammen/i.test(value) && watts.length === 1 ? watts[0]!.value : undefined;
      },
    },
    {
      field: 'modules',
      free: true,
      label: /./,
      read: ({ label, value }) =>
        /redundant|modul/i.test(`${label} ${value}`) && /\b1\s?\+\s?1\b/.test(`${label} ${value}`) ? 2 : undefined,
    },
    // `+5V 20 A (110 W combined)`.
    {
      field: 'combined5And33W',
      free: true,
      read: ({ value }) => {
        const said = /(?<![\d.,])(?:3[.,]3|5)\s?v\b[^()]*\((\d{2,3})\s?w (?:combined|together|max\.? combined)/i.exec(
          value,
        )?.[1];
        return said === undefined ? undefined : Number(said);
      },
    },
    {
      field: 'modular',
      free: true,
      label: /modular|kabelmanagement|cable management/i,
      read: ({ label, value }) =>
        /non-?modular|not modular|nicht modular/i.test(`${label} ${value}`)
          ? false
          : /(?:fully|full|semi|voll|teil)[ -]?modular/i.test(`${label} ${value}`)
            ? true
            : /modular/i.test(label)
              ? words(
                  [/^\s*(?:yes|ja|full|semi|sí|sì|si\b|oui)/i, true],
                  [/^\s*(?:no|nein)/i, false],
                )({ label: '', value, line: 0, text: '' })
              : undefined,
    },
    { field: 'lengthMm', label: /^(?:depth|length|tiefe|länge)(?!s)/i, not: /cable|kabel/i, dimension: 'mm' },
    { field: 'lengthMm', read: axis('d') },
    {
      field: 'lengthMm',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^[\d.,]+\s?mm (?:deep|long|tief|lang)\b/i.test(value) ? quantities[0]?.value : undefined,
    },
    {
      field: 'lengthMm',
      free: true,
      read: ({ label }, quantities) => (label === '' ? lengthBehindFace(quantities) : undefined),
    },
    {
      field: 'lengthMm',
      label: /dimension|size|abmess|größe|maße/i,
      not: /pack|box|ship|fan/i,
      read: (_entry, quantities) => lengthBehindFace(quantities),
    },
  ],
};
