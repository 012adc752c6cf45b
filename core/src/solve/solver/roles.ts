import type { PlannedUnit } from '../../machine/units';
import { BOOT_LOOSE, BOOT_OUT, DATA_LOOSE, DATA_OUT, REST_LOOSE, REST_OUT } from './score';

/** Data before boot before the rest. A pool is lost with its metadata, so that is data. */
export const rankOf = ({ role }: Pick<PlannedUnit, 'role'>): 0 | 1 | 2 =>
  role === undefined || role === 'data' || role === 'meta' ? 0 : role === 'boot' ? 1 : 2;
/** What a drive without a place costs by rank, and one without a cable. */
export const OUT = [DATA_OUT, BOOT_OUT, REST_OUT] as const;
export const LOOSE = [DATA_LOOSE, BOOT_LOOSE, REST_LOOSE] as const;
export const outOf = (unit: Pick<PlannedUnit, 'role'>): number => OUT[rankOf(unit)];
export const looseOf = (unit: Pick<PlannedUnit, 'role'>): number => LOOSE[rankOf(unit)];
