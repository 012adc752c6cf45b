import { axis, words, type KindRules } from './rule';

/** `125 mm wide` anywhere in a sentence. */
function sideOf(value: string, how: string): number | undefined {
  const said = new RegExp(String.raw`(?<![\d.,])(\d{2,3}(?:[.,]\d)?)\s?mm (?:${how})\b`, 'i').exec(value)?.[1];
  return said === undefined ? undefined : Number(said.replace(',', '.'));
}

/** A cooler stands in its machine with its fan. */
const WITHOUT_FAN = /without fan|ohne lüfter/i;
const COOLER_WORD =
  /(?<!\b(?:no|without|ohne|w\/o) (?:cpu )?)(?:cooler|kühler)(?!:? ?(?:height|clear|höhe|up to|max|bis))|heat ?sink/i;
export const COOLER: KindRules = {
  kind: 'cooler',
  cues: [
    [/(?:socket compatibility|(?:compatible|supported) sockets)/i, 3],
    [/(?:cpu|processor|tower|top-?flow)[ -]?(?:cooler|kühler)(?!:? ?(?:height|clear|höhe|up to|max|bis))/i, 4],
    [/cooling capacity|kühlleistung/i, 3],
    [COOLER_WORD, 4],
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
      field: 'passive',
      free: true,
      label: /^fans?$|type|typ\b|cooling/i,
      read: ({ label, value }) =>
        /^fans?$/i.test(label)
          ? /^(?:none|no|without|keiner|-)$/i.test(value.trim())
            ? true
            : undefined
          : words([/\bpassive\b|\bfanless\b|passiv\b|lüfterlos/i, true])({ label, value, line: 0, text: '' }),
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
      field: 'widthMm',
      free: true,
      read: ({ value }) => sideOf(value, 'wide|breit'),
    },
    {
      field: 'depthMm',
      free: true,
      read: ({ value }) => sideOf(value, 'deep|tief'),
    },
    {
      field: 'sockets',
      free: true,
      read: ({ label, value }) => {
        if (label !== '') return undefined;
        const list = /\b(?:fits|for|supports|passt auf)\s+(?:the )?(?:sockets?|sockel)\s+([^.;]+)/i.exec(value)?.[1];
        const names = list?.split(/,\s*|\s*\/\s*|\s+(?:and|und|or)\s+/).map((one) => one.trim().replace(/\.$/, ''));
        return names?.every((one) => /^[A-Z][\w+-]{0,14}$/i.test(one) && /\d/.test(one)) ? names : undefined;
      },
    },
    {
      field: 'carriesW',
      free: true,
      read: ({ label, value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        return label === '' && watts.length === 1 && /\b(?:rated|good|made|enough) for\b/i.test(value)
          ? watts[0]!.value
          : undefined;
      },
    },
    {
      field: 'carriesW',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' &&
        /^(?:max\.? )?[\d.,]+\s?w tdp$|^(?:it )?(?:good for|handles|cools|for (?:cpus|processors))\b/i.test(value)
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
    { field: 'heightMm', label: /./, not: WITHOUT_FAN, read: axis('h') },
    { field: 'widthMm', label: /^(?:width|breite)/i, dimension: 'mm' },
    { field: 'widthMm', label: /./, not: WITHOUT_FAN, read: axis('w') },
    { field: 'depthMm', label: /^(?:depth|tiefe|length|länge)/i, dimension: 'mm' },
    { field: 'depthMm', label: /./, not: WITHOUT_FAN, read: axis('d') },
    {
      field: 'carriesW',
      label: /tdp|thermal design|capacity|^good for|^handles|kühlleistung|dissipat|(?:cpu|processor) power/i,
      dimension: 'W',
      pick: 'most',
    },
  ],
};
