import type { SpotRef } from '../build/layout';
import type { PlannedUnit } from '../machine/units';
import type { Box } from './chassisPlan';

/** One thing of the drawing, in millimetres: a shell, a place, or a unit in its place. */
export type Solid = {
  readonly id: string;
  readonly what:
    | 'shell'
    | 'tray'
    | 'board'
    | 'bay'
    | 'drive'
    | 'backplane'
    | 'supply'
    | 'fan'
    | 'card'
    | 'slot'
    | 'socket'
    | 'cooler'
    | 'memory'
    | 'm2'
    | 'opening'
    | 'io'
    | 'adapter'
    | 'other';
  readonly spot: SpotRef | null;
  readonly unit: PlannedUnit | null;
  readonly box: Box;
  readonly label: string;
  readonly n?: number;
  /** Of a drive with a cable of its own: the end its plugs are at. */
  readonly plugs?: 'rear' | 'front';
};

/** Who sits in each spot, by its printed name. */
export type Sitting = ReadonlyMap<string, PlannedUnit>;
