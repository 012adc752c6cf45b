import { assess, type AssessOptions } from './assess';
import type { Build } from './build/build';
import { elevationOf, type Elevation } from './geometry/elevation';
import type { Status } from './open';
import { poolDrives } from './remedies/hosting';

/** What the first page shows of a machine: verdict, two numbers, front view. */
export type Card = {
  readonly status: Status;
  readonly snags: number;
  /** Likely W at the wall when idle; null while nothing draws. */
  readonly idleWallW: number | null;
  readonly rawTb: number | null;
  /** Data drives that another machine might take. */
  readonly poolDrives: number;
  readonly elevation: Elevation;
};

export function cardOf(build: Build, options: AssessOptions): Card {
  const { status, snags, figures } = assess(build, options);
  return {
    status,
    snags: snags.length,
    idleWallW: figures['power.idleWallW']?.value ?? null,
    rawTb: figures['capacity.rawTb']?.value ?? null,
    poolDrives: poolDrives(build).reduce((sum, { count }) => sum + count, 0),
    elevation: elevationOf(build),
  };
}
