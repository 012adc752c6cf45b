import type { Layout } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { ofKind, type PlannedUnit } from './units';

/**
 * How much memory a board has and takes, in bytes, and the way to the rest: modules to add, of what size, and modules
 * given up for them.
 */
export type MemoryRoom = {
  readonly fittedBytes: number;
  readonly mostBytes: number;
  readonly slots: number;
  readonly free: number;
  readonly path: { readonly add: number; readonly ofBytes: number; readonly giveUp: number } | null;
};

/**
 * Modules of the size that is there fill free slots first; where they do not reach, the largest the board
 * takes; where those do not either, as few modules as can be are given up. Null for a board without modules.
 */
export function memoryRoom(
  board: PlannedUnit & { readonly part: PartOf<'board'> },
  units: readonly PlannedUnit[],
  layout: Layout,
): MemoryRoom | null {
  const fitted = ofKind(units, 'memory')
    .filter(({ id }) => layout.at[id]?.spot.host === board.id)
    .map(({ part }) => part.capacityBytes)
    .sort((a, b) => a - b);
  const { memorySlots: slots, memoryMaxBytes, memoryMaxModuleBytes: largest } = board.part;
  if (fitted.length === 0) return null;
  const fittedBytes = fitted.reduce((sum, one) => sum + one, 0);
  const mostBytes = Math.min(memoryMaxBytes, slots * largest);
  const free = slots - fitted.length;
  return {
    fittedBytes,
    mostBytes,
    slots,
    free,
    path: fittedBytes < mostBytes ? pathTo(mostBytes, fitted, free, largest) : null,
  };
}

function pathTo(mostBytes: number, fitted: readonly number[], free: number, largest: number): MemoryRoom['path'] {
  const missing = mostBytes - fitted.reduce((sum, one) => sum + one, 0);
  const same = fitted.at(-1)!;
  if (free * same >= missing) return { add: Math.ceil(missing / same), ofBytes: same, giveUp: 0 };
  for (let giveUp = 0; giveUp <= fitted.length; giveUp++) {
    const open = missing + fitted.slice(0, giveUp).reduce((sum, one) => sum + one, 0);
    if ((free + giveUp) * largest >= open) return { add: Math.ceil(open / largest), ofBytes: largest, giveUp };
  }
  return null;
}
