import type { PartKind } from '../../parts/vocabulary';

/** What parts of a kind ever have; a number outside was misread, or is a misprint. */
const PLAUSIBLE: Readonly<Partial<Record<PartKind, Readonly<Record<string, readonly [least: number, most: number]>>>>> =
  {
    drive: {
      capacityBytes: [8e9, 2e14],
      rpm: [4000, 15_000],
      sequentialMBps: [40, 16_000],
      idleW: [0.001, 20],
      busyW: [0.5, 40],
      standbyW: [0.001, 6],
      soundIdleDb: [10, 50],
      soundSeekDb: [10, 55],
      massG: [4, 1200],
      heightMm: [2, 43],
      lengthMm: [29, 160],
      maxC: [40, 90],
      enduranceTb: [10, 200_000],
    },
    supply: {
      ratedW: [20, 3000],
      rail12A: [2, 200],
      rail5A: [1, 60],
      rail33A: [1, 60],
      lengthMm: [60, 400],
      massG: [100, 6000],
    },
    fan: {
      sizeMm: [20, 240],
      thickMm: [6, 60],
      minRpm: [50, 12_000],
      maxRpm: [200, 30_000],
      flowM3h: [1, 1000],
      pressurePa: [0.5, 1500],
      soundDb: [3, 80],
      maxW: [0.1, 60],
    },
    ups: { ratedVa: [100, 20_000], ratedW: [50, 20_000], batteryWh: [20, 20_000], outlets: [1, 40] },
    processor: {
      cores: [1, 256],
      threads: [1, 512],
      sustainedW: [3, 600],
      peakW: [4, 900],
      lanes: [1, 160],
      maxC: [60, 120],
    },
    cooler: { heightMm: [15, 200], carriesW: [10, 700], massG: [30, 2500] },
    memory: { capacityBytes: [2 ** 29, 2 ** 40], mtPerS: [800, 12_800] },
    chassis: { widthMm: [60, 800], heightMm: [20, 1200], depthMm: [60, 1300], massG: [200, 80_000] },
    board: { carriesW: [5, 500], memorySlots: [1, 32], memoryMaxBytes: [2 ** 30, 2 ** 43] },
    controller: { busyW: [0.5, 80], peakW: [0.5, 120], needsAirMPerS: [0.2, 6], lengthMm: [40, 360] },
    networkCard: { busyW: [0.3, 80], peakW: [0.3, 120], lengthMm: [40, 360] },
  };
/** Whether a part of the kind may have that value in that field. */
export const isPlausible = (kind: PartKind, field: string, value: unknown): boolean => {
  const [least, most] = PLAUSIBLE[kind]?.[field] ?? [-Infinity, Infinity];
  return typeof value !== 'number' || (value >= least && value <= most);
};
