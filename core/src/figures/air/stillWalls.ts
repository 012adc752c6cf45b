import { groupedBy } from '../../lists';
import type { UnitId } from '../../parts/ids';
import type { FigureContext } from '../context';
import { Ledger } from '../quantity';
import { mountedFans } from './mountedFans';
import { hotDrives } from './temperatures';

/** All fans of one row of mounts standing still, and the drives that are then likely past their limit. */
export type StillWall = {
  readonly key: string;
  readonly label: string;
  readonly fans: readonly { readonly unit: UnitId; readonly mark: string }[];
  readonly drives: readonly UnitId[];
};

/**
 * Each row of fans standing still in turn, as when its header or hub fails: drives past their limit on the hottest day,
 * all busy, that are not past it with the row turning. The other fans keep the speed they have.
 */
export function stillWalls(context: FigureContext): readonly StillWall[] {
  const rows = groupedBy(mountedFans(context), ({ host, mount }) => `${host}/${mount.key}`);
  if (rows.size === 0) return [];
  const before = tooHot(context);
  return [...rows].map(([key, own]): StillWall => {
    const still = new Set(own.map(({ fan }) => fan.id));
    const after = tooHot({ ...context, running: context.running.filter(({ id }) => !still.has(id)) });
    return {
      key,
      label: own[0].mount.label,
      fans: own.map(({ fan }) => ({ unit: fan.id, mark: fan.mark })),
      drives: [...after].filter((id) => !before.has(id)),
    };
  });
}

const tooHot = (context: FigureContext): ReadonlySet<UnitId> =>
  new Set(
    hotDrives(context, new Ledger(false)).flatMap(({ drives, tempC }) =>
      drives.flatMap(({ id, part }) => (tempC.value > part.maxC ? [id] : [])),
    ),
  );
