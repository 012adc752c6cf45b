import type { FanMount } from '../../parts/chassisValues';
import { ofKind, seatSpot, unitsById, type UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';

/** Fans that run in a row of mounts of a chassis, each with that row and the chassis it is in. */
export function mountedFans(
  context: FigureContext,
): readonly { readonly fan: UnitOf<'fan'>; readonly mount: FanMount; readonly host: string }[] {
  const byId = unitsById(context.units);
  return ofKind(context.running, 'fan').flatMap((fan) => {
    const spot = seatSpot(context.layout, fan);
    const host = spot && byId.get(spot.host);
    const mount = host?.part.kind === 'chassis' ? host.part.fanMounts.find(({ key }) => key === spot?.key) : undefined;
    return mount && host ? [{ fan, mount, host: host.id }] : [];
  });
}
