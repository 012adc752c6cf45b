import { titled, type KindRules } from './rule';

/** A riser's edge, and how long its cable is where it has one. */
export const RISER: KindRules = {
  kind: 'riser',
  cues: [[titled(String.raw`\briser\b|steigkarte`), 9]],
  rules: [
    {
      field: 'edgeLanes',
      label: /interface|bus|slot|edge|type|connector|pci/i,
      free: true,
      read: ({ label, value }) => {
        const all = [...`${label} ${value}`.matchAll(/\bx\s?(16|8|4|1)\b/gi)].map(([, lanes]) => Number(lanes));
        return all.length > 0 && all.every((one) => one === all[0]) ? all[0] : undefined;
      },
    },
    { field: 'lengthMm', label: /length|länge/i, dimension: 'mm' },
    {
      field: 'lengthMm',
      free: true,
      read: ({ label, value }, quantities) => {
        const lengths = quantities.filter(({ dimension }) => dimension === 'mm');
        return label === '' && lengths.length === 1 && /cable|kabel|^[\d.,]+\s?(?:mm|cm|m)$/i.test(value)
          ? lengths[0]!.value
          : undefined;
      },
    },
  ],
};
