import { bayGroupSize } from '../../parts/checkSheet';
import type { BayGroup, FanMount } from '../../parts/chassisValues';
import type { PartOf } from '../../parts/resolve';

type Chassis = PartOf<'chassis'>;

/** Bays that open here have the air that comes in. */
const STREAM_WALLS: ReadonlySet<FanMount['wall']> = new Set(['front', 'middle', 'bottom']);
/** Of the face of bays, so much has to lie behind others before their air is warmed by these. */
const BEHIND_SHARE = 0.3;

/**
 * Whether the air that comes in goes past some bays: they open where it comes in, or stand, loaded from above, between
 * the front and a wall of fans that draws through them.
 */
export function isInStream(group: BayGroup, { fanMounts }: Pick<Chassis, 'fanMounts'>): boolean {
  if (STREAM_WALLS.has(group.wall)) return true;
  const { at } = group;
  if (group.wall !== 'top' || !at) return false;
  const { heightMm, depthMm } = bayGroupSize(group);
  return fanMounts.some(
    (mount) =>
      mount.wall === 'middle' &&
      mount.at !== undefined &&
      mount.at.zMm >= at.zMm + depthMm / 2 &&
      shareOf(at.yMm, heightMm, mount.at.yMm, Math.max(...mount.sizesMm)) >= BEHIND_SHARE,
  );
}

/**
 * Rows in depth, by the key of the bays: 0 where the air comes in, one more behind each row it has passed. Bays whose
 * place no sheet gives count as the first.
 */
export function tiersOf(groups: readonly BayGroup[]): ReadonlyMap<string, number> {
  const tiers = new Map<string, number>();
  const placed = groups
    .flatMap((group) => (group.at ? [{ group, at: group.at, size: bayGroupSize(group) }] : []))
    .sort((a, b) => a.at.zMm - b.at.zMm);
  for (const { group } of placed) tiers.set(group.key, 0);
  for (const { group, at, size } of placed)
    for (const front of placed) {
      const covers =
        shareOf(at.xMm, size.widthMm, front.at.xMm, front.size.widthMm) *
        shareOf(at.yMm, size.heightMm, front.at.yMm, front.size.heightMm);
      const isBehind = at.zMm >= front.at.zMm + front.size.depthMm * 0.7;
      if (isBehind && covers >= BEHIND_SHARE)
        tiers.set(group.key, Math.max(tiers.get(group.key) ?? 0, (tiers.get(front.group.key) ?? 0) + 1));
    }
  return tiers;
}

/** Of a length, the share that another one covers. */
function shareOf(from: number, length: number, otherFrom: number, otherLength: number): number {
  const common = Math.min(from + length, otherFrom + otherLength) - Math.max(from, otherFrom);
  return length > 0 ? Math.max(0, common) / length : 0;
}
