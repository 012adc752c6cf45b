import { LAYOUTS } from '../pool/layouts';
import { IN_USE, rebuildHoursAt, rebuildMBps } from '../pool/risk';
import type { SetTold } from '../pool/setsOf';
import type { FlowLink, Tree } from './links';

/** Hours to rebuild a drive of a set, and the link that makes it longer than its drives would; null where none does. */
export type Rebuild = { readonly hours: number; readonly by: FlowLink | null };

/**
 * What a rebuild reads and writes at one rate for each drive: of parity every drive of the set, of a mirror one partner
 * and the new one. The rate is the least of the slowest drive's and of what each link has left for as many of them as
 * hang on it.
 */
export function rebuildOver(tree: Tree, { set, drives, rebuildH, any }: SetTold): Rebuild {
  if (any === 0 || drives.length === 0) return { hours: rebuildH, by: null };
  const isMirror = LAYOUTS[set.layout].kind === 'mirror';
  const counts = new Map<FlowLink, number>();
  for (const { id } of drives)
    for (const link of tree.drives.get(id)?.slice(1) ?? []) counts.set(link, (counts.get(link) ?? 0) + 1);
  const largest = drives.reduce((a, b) => (b.part.capacityBytes > a.part.capacityBytes ? b : a));
  let rate = Math.min(...drives.map(({ part }) => rebuildMBps(part)));
  let by: FlowLink | null = null;
  for (const [link, count] of counts) {
    const at = (link.carriesMBps * IN_USE) / (isMirror ? Math.min(2, count) : count);
    if (at < rate) [rate, by] = [at, link];
  }
  return { hours: by ? rebuildHoursAt(largest.part, rate) : rebuildH, by };
}
