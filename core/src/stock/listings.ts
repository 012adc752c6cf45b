import { plainAt } from '../lists';
import { memoryFound, readDmi } from './dmi';
import { boardFound, processorFound, supplyFound } from './dmiBoard';
import { drivesFound, type DriveListing } from './drives';
import type { Found, Line } from './found';
import { cardsFound, readPci } from './pci';

export type ReadListings = {
  readonly found: readonly Found[];
  readonly skipped: readonly { readonly line: number; readonly words: string }[];
  readonly recognised: readonly string[];
};

/**
 * Reads what a running machine prints of itself, in any order in one text: block devices as JSON,
 * SMART data as JSON, the list of PCI devices, the DMI tables. Anything else is said to be skipped.
 */
export function readListings(text: string): ReadListings {
  const { blocks, rest, broken } = jsonBlocks(text.replace(/\r/g, ''));
  const skipped = [...broken];
  const drives: DriveListing[] = [];
  const recognised = new Set<string>();
  for (const { value, line } of blocks) {
    const all = Array.isArray(value) ? (value as unknown[]) : [value];
    for (const one of all) {
      const object = (typeof one === 'object' && one !== null ? one : {}) as Record<string, unknown>;
      if (Array.isArray(object.blockdevices)) {
        recognised.add('block devices');
        drives.push({ type: 'blocks', devices: object.blockdevices as unknown[] });
      } else if ('model_name' in object || 'serial_number' in object || 'smartctl' in object) {
        recognised.add('SMART data');
        drives.push({ type: 'smart', device: object });
      } else skipped.push({ line, words: 'JSON that is neither a list of block devices nor SMART data' });
    }
  }
  const pci = readPci(rest);
  if (pci.length) recognised.add('PCI devices');
  const dmi = readDmi(rest);
  if (dmi.length) recognised.add('DMI tables');
  const fromDrives = drivesFound(drives);
  const found = [
    ...boardFound(
      dmi,
      fromDrives.found.some(({ archetype }) => archetype.startsWith('flash-m2')),
    ),
    ...processorFound(dmi),
    ...memoryFound(dmi),
    ...supplyFound(dmi),
    ...cardsFound(pci),
    ...fromDrives.found,
  ];
  return {
    found,
    skipped: [...skipped, ...fromDrives.skipped.map((words) => ({ line: 0, words }))],
    recognised: [...recognised],
  };
}

/** Pulls whole JSON values out of a text that also holds other listings; the rest is given back line by line. */
function jsonBlocks(text: string): {
  blocks: { value: unknown; line: number }[];
  rest: Line[];
  broken: { line: number; words: string }[];
} {
  const lines = text.split('\n');
  const blocks: { value: unknown; line: number }[] = [];
  const rest: Line[] = [];
  const broken: { line: number; words: string }[] = [];
  for (let i = 0; i < lines.length; i++) {
    if (!/^\s*[{[]/.test(plainAt(lines, i))) {
      rest.push({ line: i + 1, text: plainAt(lines, i) });
      continue;
    }
    const end = endOfJson(lines, i);
    if (end === null) {
      broken.push({ line: i + 1, words: 'JSON that breaks off: its last brace is missing' });
      break;
    }
    try {
      blocks.push({ value: JSON.parse(lines.slice(i, end + 1).join('\n')), line: i + 1 });
    } catch (error) {
      broken.push({
        line: i + 1,
        words: `not JSON after all (${error instanceof Error ? error.message : 'unreadable'})`,
      });
    }
    i = end;
  }
  return { blocks, rest, broken };
}

/** The line on which the value begun on `from` closes; braces in strings do not count. */
function endOfJson(lines: readonly string[], from: number): number | null {
  let depth = 0;
  let inString = false;
  for (let i = from; i < lines.length; i++) {
    for (let at = 0; at < plainAt(lines, i).length; at++) {
      const sign = plainAt(lines, i)[at];
      if (inString) {
        if (sign === '\\') at++;
        else if (sign === '"') inString = false;
        continue;
      }
      if (sign === '"') inString = true;
      else if (sign === '{' || sign === '[') depth++;
      else if (sign === '}' || sign === ']') {
        depth--;
        if (depth === 0) return i;
      }
    }
  }
  return null;
}
