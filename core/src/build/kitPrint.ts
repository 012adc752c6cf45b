import type { Build } from './build';

/** FNV-1a, 32 bits: short, and alike only for what is alike. */
function hashed(words: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) hash = Math.imul(hash ^ words.charCodeAt(i), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}

/** A mark of what a machine is made of: sheets of its kit with their counts, and what was changed on its chassis. */
export function kitPrint({ items, changes }: Pick<Build, 'items' | 'changes'>): string {
  const counts = new Map<string, number>();
  for (const { sheet, units, count = units.length } of items) counts.set(sheet, (counts.get(sheet) ?? 0) + count);
  const kit = [...counts].map(([sheet, count]) => `${sheet}*${count}`).sort();
  return hashed(JSON.stringify([kit, changes.map((change) => JSON.stringify(change)).sort()]));
}
