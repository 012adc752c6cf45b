import { MEMORY_TYPES } from '../parts/boardValues';
import type { ArchetypeId } from '../parts/ids';
import type { Found, Line } from './found';

/** One structure of the DMI tables (SMBIOS, DSP0134): its type and its fields as printed. */
export type DmiEntry = {
  readonly type: number;
  readonly title: string;
  readonly fields: Readonly<Record<string, string>>;
};

export function readDmi(lines: readonly Line[]): DmiEntry[] {
  const entries: { type: number; title: string; fields: Record<string, string> }[] = [];
  let expectTitle = false;
  for (const { text } of lines) {
    const head = /^Handle 0x[0-9A-F]+, DMI type (\d+)/i.exec(text);
    if (head) {
      entries.push({ type: Number(head[1]), title: '', fields: {} });
      expectTitle = true;
      continue;
    }
    const current = entries.at(-1);
    if (!current) continue;
    if (expectTitle && text.trim()) {
      current.title = text.trim();
      expectTitle = false;
      continue;
    }
    const field = /^\s+([A-Z][^:]*):\s*(.+)$/.exec(text);
    if (field && !(field[1]! in current.fields)) current.fields[field[1]!.trim()] = field[2]!.trim();
  }
  return entries;
}

const EMPTY = /^(not specified|unknown|none|no module installed|to be filled by o\.?e\.?m\.?|default string|n\/a)$/i;
export const said = (entry: DmiEntry | undefined, field: string): string | undefined => {
  const value = entry?.fields[field];
  return value && !EMPTY.test(value) ? value : undefined;
};
const GIB = 1024 ** 3;

/** Modules by what they are: alike ones together. */
export function memoryFound(entries: readonly DmiEntry[]): Found[] {
  const modules = new Map<string, { entry: DmiEntry; bytes: number; count: number }>();
  for (const entry of entries) {
    const bytes = entry.type === 17 ? bytesOf(said(entry, 'Size')) : null;
    if (!bytes) continue;
    const key = ['Part Number', 'Size', 'Type', 'Form Factor'].map((field) => entry.fields[field] ?? '').join('|');
    modules.set(key, { entry, bytes, count: (modules.get(key)?.count ?? 0) + 1 });
  }
  return [...modules.values()].map(({ entry, bytes, count }): Found => {
    const type = MEMORY_TYPES.find((one) => one === said(entry, 'Type')?.toLowerCase());
    const form = /so-?dimm/i.test(said(entry, 'Form Factor') ?? '') ? ('so-dimm' as const) : ('dimm' as const);
    const registered =
      /registered/i.test(said(entry, 'Type Detail') ?? '') && !/unbuffered/i.test(said(entry, 'Type Detail') ?? '');
    const ecc =
      Number(/\d+/.exec(said(entry, 'Total Width') ?? '')?.[0]) >
      Number(/\d+/.exec(said(entry, 'Data Width') ?? '')?.[0]);
    const archetype = registered
      ? 'memory-rdimm'
      : type === 'ddr5'
        ? 'memory-ddr5'
        : type === 'ddr3'
          ? 'memory-ddr3'
          : form === 'so-dimm'
            ? 'memory-sodimm'
            : 'memory-udimm';
    const gb = bytes / GIB;
    return {
      kind: 'memory',
      name:
        [said(entry, 'Manufacturer'), said(entry, 'Part Number')].filter(Boolean).join(' ').slice(0, 120) ||
        `${gb} GB module`,
      count,
      archetype: archetype as ArchetypeId,
      values: { capacityBytes: bytes, form, ...(type ? { type } : {}), ecc, registered },
      guessed: [...(type ? [] : ['type']), 'watts'],
    };
  });
}

export const whole = (field: string, value: string | undefined) => {
  const number = Number(value);
  return Number.isInteger(number) && number > 0 ? { [field]: number } : {};
};
export const typeOf = (entries: readonly DmiEntry[]) =>
  entries.flatMap((entry) =>
    entry.type === 17 ? MEMORY_TYPES.filter((one) => one === said(entry, 'Type')?.toLowerCase()) : [],
  )[0];
export const formOf = (entries: readonly DmiEntry[]) =>
  entries.flatMap((entry) => {
    const form = entry.type === 17 ? said(entry, 'Form Factor') : undefined;
    return form && /dimm/i.test(form) ? [/so-?dimm/i.test(form) ? ('so-dimm' as const) : ('dimm' as const)] : [];
  })[0];

/** “8 GB” or “8192 MB” in bytes; the tables count in powers of two (SMBIOS). */
export function bytesOf(text: string | undefined): number | null {
  const found = /^(\d+)\s*(kB|MB|GB|TB)$/i.exec(text ?? '');
  if (!found) return null;
  const unit = { kb: 1024, mb: 1024 ** 2, gb: GIB, tb: GIB * 1024 }[found[2]!.toLowerCase() as 'kb'];
  return Number(found[1]) * unit;
}
