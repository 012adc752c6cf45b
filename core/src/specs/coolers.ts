import { axis, type KindRules } from './rule';

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
