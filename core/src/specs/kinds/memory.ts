import { GIB, MEMORY_FORM, MEMORY_TYPE, memoryBytes, whole } from './hostWords';
import { yesNo, type KindRules } from './rule';

const ASKS_BUFFERED = /registered\s*\/\s*unbuffered|buffered\s*\/\s*registered/i;
const BUFFERED = (said: string): boolean | undefined =>
  /\brdimm\b|\blrdimm\b|\becc reg\b|\bpc[345]l?-\d{4,5}r\b|(?<!non-)(?<!un)registered|registriert/i.test(said)
    ? true
    : /\budimm\b|unbuffered|ungepuffert|so-?dimm/i.test(said)
      ? false
      : undefined;
export const MEMORY: KindRules = {
  kind: 'memory',
  cues: [
    // Boards and processors take it.
    [/s-?ata ports|pcie? slots|\bm\.2\b|\bsocket\b|\bcores\b/i, -6],
    [/[ru]dimm|so-?dimm/i, 4],
    [/ddr[345]-\d{4}/i, 3],
    [/\bcl\s?\d\d\b|registered|unbuffered/i, 2],
    [/ddr[345] sdram/i, 3],
  ],
  rules: [
    { field: 'type', free: true, label: /./, read: MEMORY_TYPE },
    { field: 'form', free: true, label: /./, read: MEMORY_FORM },
    {
      field: 'mtPerS',
      free: true,
      label: /speed|takt|frequency|data rate|geschwindigkeit/i,
      read: ({ label, value }, quantities) =>
        quantities.find(({ dimension }) => dimension === 'MTps')?.value ??
        whole(/ddr[345]l?[- ](\d{4})[a-z]?\b/i.exec(`${label} ${value}`)?.[1]) ??
        // A module's label: four figures are MT/s, five are MB/s (JEDEC).
        whole(/\bpc[45]l?-(\d{4})(?!\d)/i.exec(`${label} ${value}`)?.[1]) ??
        whole((label === '' ? /(?<![\d.,])(\d{4})\s?(?:mhz|mt\/s)\b/i : /^\s*(\d{4})\s?(?:mhz|mt)/i).exec(value)?.[1]),
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
        if (/\bregistered\s*[:|]\s*(?:no|nein)\b/i.test(value)) return false;
        if (/^registered$/i.test(label)) return yesNo({ label, value, line: 0, text: '' });
        // `Registered/Unbuffered` asks, and says nothing.
        const said = [value, label].find((one) => BUFFERED(one) !== undefined && !ASKS_BUFFERED.test(one));
        return said === undefined ? undefined : BUFFERED(said);
      },
    },
    { field: 'heightMm', label: /^(?:module )?(?:height|höhe)/i, dimension: 'mm' },
  ],
};
