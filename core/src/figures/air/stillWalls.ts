import { groupedBy } from '../../lists';
import { ofKind, seatSpot, unitsById } from '../../machine/units';
import type { UnitId } from '../../parts/ids';
import type { FigureContext } from '../context';
import { Ledger } from '../quantity';
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
  const byId = unitsById(context.units);
  const rows = groupedBy(
    ofKind(context.running, 'fan').flatMap((fan) => {
      const spot = seatSpot(context.layout, fan);
      const host = spot && byId.get(spot.host);
      const mount =
        host?.part.kind === 'chassis' ? host.part.fanMounts.find(({ key }) => key === spot?.key) : undefined;
      return mount && host ? [{ fan, label: mount.label, key: `${host.id}/${mount.key}` }] : [];
    }),
    ({ key }) => key,
  );
  if (rows.size === 0) return [];
  const before = tooHot(context);
  return [...rows.values()].map((own): StillWall => {
    const still = new Set(own.map(({ fan }) => fan));
    const after = tooHot({ ...context, running: context.running.filter((unit) => !still.has(unit as never)) });
    return {
      key: own[0].key,
      label: own[0].label,
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
