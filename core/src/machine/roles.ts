import type { PartOf } from '../parts/resolve';
import { ofKind, type PlannedUnit } from './units';

const SMALL_BYTES = 1e12;

/** Small drives that the system can be on, beside larger ones: M.2 modules, sticks, and flash of at most 1 TB. */
function mayBoot(drive: PartOf<'drive'>, largestBytes: number): boolean {
  if (drive.capacityBytes > SMALL_BYTES) return false;
  return (
    drive.size === 'm2' || drive.size === 'usb' || (drive.medium === 'flash' && drive.capacityBytes < largestBytes)
  );
}

/** Drives the system is on: those set to it by hand, and small ones beside larger that have no role of their own. */
export function bootDrives(units: readonly PlannedUnit[]): ReadonlySet<PlannedUnit> {
  const drives = ofKind(units, 'drive');
  const largest = Math.max(0, ...drives.map(({ part }) => part.capacityBytes));
  return new Set(drives.filter(({ role, part }) => role === 'boot' || (role === undefined && mayBoot(part, largest))));
}
