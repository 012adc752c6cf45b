import type { Brief, Service } from '../build/build';
import type { FigureContext } from '../figures/context';
import { memoryGb, SYSTEM_GB } from '../figures/services';
import { groupedBy } from '../lists';
import { drivesFor } from '../machine/roles';
import type { UnitId } from '../parts/ids';
import { LAYOUTS, TERABYTE } from './layouts';
import { FULL_SHARE } from './risk';
import { holding, poolOf } from './setsOf';

const MONTHS = 12;

/** Months until so much room is full at a growth of so many TB a month; 0 where it is already, null without growth. */
export function monthsUntilFull(usableTb: number, { storedTb = 0, growthTbPerMonth }: Brief): number | null {
  if (growthTbPerMonth === undefined) return null;
  return Math.max(0, FULL_SHARE * usableTb - storedTb) / growthTbPerMonth;
}

/** Like flash drives: what is written to each in a year by new data alone, and the years their sheet allows of it. */
export type Worn = {
  readonly units: readonly UnitId[];
  readonly marks: readonly string[];
  readonly name: string;
  readonly enduranceTb: number;
  readonly tbPerYear: number;
  readonly years: number;
};

/**
 * What growth alone writes to flash with a limit on its sheet: of a set's share each drive gets what a row puts on it,
 * to a log goes everything once more. What is written over is not known and not in it.
 */
export function enduranceOf(context: FigureContext, { growthTbPerMonth }: Brief): readonly Worn[] {
  if (growthTbPerMonth === undefined) return [];
  const yearTb = growthTbPerMonth * MONTHS;
  const logs = drivesFor(context.units, 'log');
  const sets = holding(poolOf(context).sets);
  const allBytes = sets.reduce((sum, { bytes }) => sum + bytes.data, 0);
  const inSets = sets.flatMap(({ set, drives, bytes }) => {
    const { kind, spare } = LAYOUTS[set.layout];
    const n = drives.length;
    const rows = { single: n, stripe: n, mirror: Math.floor(n / (spare + 1)), parity: n - spare, dedicated: n - spare };
    const each = (yearTb * (bytes.data / allBytes)) / rows[kind];
    // Dedicated parity, on the largest, is written with every drive of data.
    const largest = [...drives].sort((one, other) => other.part.capacityBytes - one.part.capacityBytes);
    const parity = new Set(kind === 'dedicated' ? largest.slice(0, spare) : []);
    return drives.map((drive) => ({ drive, tb: parity.has(drive) ? each * (n - spare) : each }));
  });
  const written = [...inSets, ...logs.map((drive) => ({ drive, tb: yearTb }))].filter(
    ({ drive }) => drive.part.enduranceTb !== null,
  );
  return [...groupedBy(written, ({ drive, tb }) => `${drive.part.id} ${tb.toFixed(3)}`).values()].map((like): Worn => {
    const [{ drive, tb }] = like;
    const enduranceTb = drive.part.enduranceTb!;
    return {
      units: like.map((one) => one.drive.id),
      marks: like.map((one) => one.drive.mark),
      name: drive.part.name,
      enduranceTb,
      tbPerYear: tb,
      years: enduranceTb / tb,
    };
  });
}

/** What the memory is wanted for, GB: as advice, by what is usual. */
export type MemoryTold = {
  readonly hasGb: number;
  readonly wants: readonly { readonly what: 'system' | 'reads' | 'cache' | 'services'; readonly gb: number }[];
  readonly wantGb: number;
};
/** GB for what is read again, a TB of room: typical. */
const READS_GB_PER_TB = 0.5;
const MOST_READS_GB = 64;
/** Share of a read cache that keeping track of it takes: records of 32 KiB at some 100 bytes each. */
const TRACK_SHARE = 0.003;

export function memoryTold(context: FigureContext, services: readonly Service[] = []): MemoryTold {
  const { units } = context;
  const usableTb = poolOf(context).sets.reduce((sum, { bytes }) => sum + bytes.data, 0) / TERABYTE;
  const servicesGb = services.reduce((sum, { level, memoryGb = 0 }) => sum + (level === 'must' ? memoryGb : 0), 0);
  const cacheGb = drivesFor(units, 'cache').reduce((sum, { part }) => sum + part.capacityBytes, 0) / 1e9;
  const wants = [
    { what: 'system' as const, gb: SYSTEM_GB },
    { what: 'reads' as const, gb: Math.min(MOST_READS_GB, READS_GB_PER_TB * usableTb) },
    ...(servicesGb > 0 ? [{ what: 'services' as const, gb: servicesGb }] : []),
    ...(cacheGb > 0 ? [{ what: 'cache' as const, gb: TRACK_SHARE * cacheGb }] : []),
  ];
  return {
    hasGb: memoryGb(context),
    wants,
    wantGb: wants.reduce((sum, { gb }) => sum + gb, 0),
  };
}
