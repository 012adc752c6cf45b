import { briefAt, minorPerMajor, type Brief, type Build, type FigureId } from '@inch-tower/core';

export type TapeOf = {
  readonly id: FigureId;
  readonly label: (build: Build) => string;
  /** Where there is little room. */ readonly short: string;
  /** The brief's mark on it; `drives` are those that hold data now. */
  readonly limit: (build: Build, drives: number) => number | undefined;
  /** Where the brief asks for it. */ readonly asks: keyof Brief;
};
/** Six tapes in fixed order; the limit is the brief's mark. */
export const TAPES: readonly TapeOf[] = [
  {
    id: 'drives.room',
    label: () => 'Free drive places',
    short: 'Drive places',
    // The wish is of all drives, the figure of those still to come.
    limit: ({ brief }, drives) => brief.drivesLater && Math.max(0, brief.drivesLater - drives),
    asks: 'drivesLater',
  },
  {
    id: 'power.idleWallW',
    label: () => 'Idle at the wall',
    short: 'Idle',
    limit: (build) => build.brief.idleW,
    asks: 'idleW',
  },
  {
    id: 'power.peakWallW',
    label: () => 'Peak at the wall',
    short: 'Peak',
    limit: (build) => build.brief.peakW,
    asks: 'peakW',
  },
  {
    id: 'sound.earIdleDb',
    label: () => 'Noise at the ear',
    short: 'Noise',
    limit: (build) => build.brief.earDb,
    asks: 'earDb',
  },
  {
    id: 'cost.now',
    label: () => 'Price',
    short: 'Price',
    limit: (build) =>
      build.brief.moneyMinor === undefined ? undefined : build.brief.moneyMinor / minorPerMajor(build.currency),
    asks: 'moneyMinor',
  },
  {
    id: 'capacity.usableTb',
    label: () => 'Usable room',
    short: 'Capacity',
    limit: (build) => briefAt(build).usableTb,
    asks: 'usableTb',
  },
];
/** Figures where more is wanted: below the mark is short of it. */
export const WANTS_MORE: ReadonlySet<FigureId> = new Set(['drives.room', 'capacity.usableTb']);
