import type { Unit } from '../build/build';
import type { UnitId } from '../parts/ids';
import type { PartOf } from '../parts/resolve';
import { memoWeak } from '../memoLast';
import { ofKind, type PlannedUnit } from './units';

export type Role = NonNullable<Unit['role']>;

const SMALL_BYTES = 1e12;
type Drive = PartOf<'drive'>;
const largestOf = (units: readonly PlannedUnit[]): number =>
  Math.max(0, ...ofKind(units, 'drive').map(({ part }) => part.capacityBytes));
const isModuleOrStick = ({ size }: Drive): boolean => size === 'm2' || size === 'usb';

/**
 * Drives the system is on: those set to it by hand, and of those without a role of their own sticks of at most 1 TB,
 * and M.2 modules of at most 1 TB beside larger drives. Modules as large as everything else are the pool; no pool is
 * made of sticks.
 */
export function bootDrives(units: readonly PlannedUnit[]): ReadonlySet<PlannedUnit> {
  const largest = largestOf(units);
  const isProposed = (part: Drive) =>
    isModuleOrStick(part) && part.capacityBytes <= SMALL_BYTES && (part.size === 'usb' || part.capacityBytes < largest);
  return new Set(
    ofKind(units, 'drive').filter(({ role, part }) => role === 'boot' || (role === undefined && isProposed(part))),
  );
}

/** The role of every drive: the one set by hand, else what is proposed for it. */
export const rolesOf: (units: readonly PlannedUnit[]) => ReadonlyMap<UnitId, Role> = memoWeak(
  (units: readonly PlannedUnit[]): ReadonlyMap<UnitId, Role> => {
    const boots = bootDrives(units);
    return new Map(
      ofKind(units, 'drive').map((unit) => [unit.id, unit.role ?? (boots.has(unit) ? 'boot' : 'data')] as const),
    );
  },
);

/** Drives of one role, in the order of the kit. */
export function drivesFor(units: readonly PlannedUnit[], role: Role) {
  const roles = rolesOf(units);
  return ofKind(units, 'drive').filter(({ id }) => roles.get(id) === role);
}

/** Drives that hold the pool's data: no system, cache, log or spare. */
export const dataDrives = (units: readonly PlannedUnit[]) => drivesFor(units, 'data');

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
