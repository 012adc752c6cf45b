import { SOCKET, whole } from './hostWords';
import { generation, words, yesNo, type KindRules, type Rule } from './rule';

const TDP_OF = /\btdp(?: of|:)? (\d{1,3}) ?w\b/i;
export const PROCESSOR: KindRules = {
  kind: 'processor',
  cues: [
    // A board takes one.
    [/s-?ata ports|pcie? slots|dimm slots|drive bays|fan headers/i, -5],
    [/\bcores\b|kerne/i, 3],
    [/(?<!\w)\d{1,3}C\s?\/\s?\d{1,3}T\b/, 8],
    [/\b\d{1,3}[ -]cores?\b[^\n]*\b\d{1,3}[ -]threads?\b/i, 4],
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
    // `8C/16T`, as sellers write it.
    ...(['cores', 'threads'] as const).map((field, i): Rule => ({
      field,
      free: true,
      label: /./,
      read: ({ value }) => whole(/(?<!\w)(\d{1,3})C\s?\/\s?(\d{1,3})T\b/.exec(value)?.[i + 1]),
    })),
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
      read: ({ value }) =>
        whole(/(?<![\w.,-])(\d{1,3})(?: pcie?| pci express)?(?: ?(?:gen ?)?\d(?:\.\d)?)? lanes\b/i.exec(value)?.[1]),
    },
    { field: 'gen', label: /./, free: true, read: generation },
    // `PCIe lanes: 24 (Gen 5)`.
    {
      field: 'gen',
      label: /pci\s?-?\s?e.*lanes|lanes.*pci/i,
      read: ({ value }) => whole(/\bgen(?:eration)?\.?\s?([1-6])\b/i.exec(value)?.[1]),
    },
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
      label: /^pci/i,
      read: ({ value }) => whole(/\bx\s?(\d{2,3})\b/i.exec(value)?.[1]),
    },
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
    {
      field: 'memoryTypes',
      free: true,
      label: /memory|speicher|\bram\b/i,
      read: ({ label, value }) => {
        const types = [...new Set([...value.matchAll(/ddr([345])/gi)].map((found) => `ddr${found[1] ?? ''}`))];
        return types.length > 0 &&
          (label !== '' || /memory|dimm|^(?:\d-channel )?ddr[345](?:[ -]\d{4})?(?: ecc)?$/i.test(value))
          ? types
          : undefined;
      },
    },
    {
      field: 'memoryEcc',
      free: true,
      read: ({ label, value }) => (label === '' && /^(?:it )?supports ecc\b/i.test(value) ? true : undefined),
    },
    { field: 'memoryEcc', label: /\becc\b/i, read: yesNo },
    {
      field: 'memoryEcc',
      free: true,
      label: /memory|speicher/i,
      read: ({ label, value, text }) =>
        /\becc\b/i.test(value) &&
        !/non-?ecc|no ecc|without/i.test(text) &&
        (label !== '' ||
          /^(?:\d-channel )?ddr[345](?:[ -]\d{4})? ecc$/i.test(value) ||
          (/^\s*ecc\s*$/i.test(value) && /memory|dimm/i.test(text)))
          ? true
          : undefined,
    },
    {
      field: 'graphics',
      label: /graphics|grafik|integrated gpu|\bigpu\b/i,
      not: /frequency|memory|model|max|core/i,
      read: (entry) => yesNo(entry) ?? (/^integr/i.test(entry.value) ? true : undefined),
    },
    { field: 'maxC', label: /tjmax|t\s?junction|tcase|max.*temp/i, dimension: 'C' },
  ],
};
