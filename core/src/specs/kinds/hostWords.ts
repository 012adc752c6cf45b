import { words, type Rule } from './rule';

export const GIB = 1024 ** 3;
/** Memory is told in GB and meant in GiB (JEDEC). */
export const memoryBytes = (bytes: number | undefined): number | undefined =>
  bytes === undefined
    ? undefined
    : bytes % 1e12 === 0
      ? (bytes / 1e12) * 1024 * GIB
      : bytes % 1e9 === 0
        ? (bytes / 1e9) * GIB
        : bytes;
export const whole = (text: string | undefined): number | undefined => (text === undefined ? undefined : Number(text));
export const MEMORY_TYPE = words([/ddr5/i, 'ddr5'], [/ddr4/i, 'ddr4'], [/ddr3/i, 'ddr3']);
export const MEMORY_FORM = words([/so-?dimm/i, 'so-dimm'], [/[ru]?dimm/i, 'dimm']);

/** A socket by its label, or as a piece by itself. */
export const SOCKET: readonly Rule[] = [
  {
    field: 'socket',
    label: /socket|sockel/i,
    read: ({ value }) => /^\s*(?:socket\s*)?([\w-]+(?: [\w-]+)?)\s*$/i.exec(value)?.[1]?.trim(),
  },
  {
    field: 'socket',
    free: true,
    read: ({ label, value }) => (label === '' ? /(?:^|\()(?:socket|sockel) ([\w-]+)\)?$/i.exec(value)?.[1] : undefined),
  },
  {
    field: 'socket',
    label: /^(?:cpu|processor|prozessor)(?: support)?$/i,
    read: ({ value }) => /^(?:\d ?[x×] ?|single |dual )?(?:socket|sockel) ([\w-]+)(?=,|$)/i.exec(value)?.[1],
  },
];
