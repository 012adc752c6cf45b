import type { PartOf } from '../parts/resolve';
import { ofKind, type PlannedUnit } from './units';

const SMALL_BYTES = 1e12;
type Drive = PartOf<'drive'>;
const largestOf = (units: readonly PlannedUnit[]): number =>
  Math.max(0, ...ofKind(units, 'drive').map(({ part }) => part.capacityBytes));
const isModuleOrStick = ({ size }: Drive): boolean => size === 'm2' || size === 'usb';

/**
 * Drives the system is on: those set to it by hand, and M.2 modules and sticks of at most 1 TB beside larger drives
 * that have no role of their own. Modules as large as everything else are the pool.
 */
export function bootDrives(units: readonly PlannedUnit[]): ReadonlySet<PlannedUnit> {
  const largest = largestOf(units);
  const isProposed = (part: Drive) =>
    isModuleOrStick(part) && part.capacityBytes <= SMALL_BYTES && part.capacityBytes < largest;
  return new Set(
    ofKind(units, 'drive').filter(({ role, part }) => role === 'boot' || (role === undefined && isProposed(part))),
  );
}

/** Whether a machine has something to start from, were it only one of several modules, or small flash. */
export function canStart(units: readonly PlannedUnit[]): boolean {
  const drives = ofKind(units, 'drive');
  const largest = largestOf(units);
  const may = (part: Drive) =>
    part.capacityBytes <= SMALL_BYTES &&
    (isModuleOrStick(part) || (part.medium === 'flash' && part.capacityBytes < largest));
  // A machine with one drive starts from that.
  return drives.length === 1 || drives.some(({ role, part }) => role === 'boot' || (role === undefined && may(part)));
}
