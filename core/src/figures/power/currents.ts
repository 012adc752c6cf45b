import type { PartOf } from '../../parts/resolve';
import type { UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import { classesOn } from './fedClasses';
import type { Feed } from './feeds';
import { turnsOf, type SpinUp } from './turns';

/** A rail of a supply, by its volts. */
export type Rail = '12 V' | '5 V' | '3.3 V';
const STEP = { '12 V': 'a12', '5 V': 'a5', '3.3 V': 'a33' } as const;
const TURNING = { '12 V': 'idle12A', '5 V': 'idle5A', '3.3 V': null } as const;

type Drive = UnitOf<'drive'>;
/** What each of some like drives takes on a rail at a moment, A: of a step of its start, turning, or nothing yet. */
export type DriveCurrent = {
  readonly drive: Drive;
  readonly count: number;
  readonly amps: number;
  readonly isStarting: boolean;
};
export type Currents = {
  /** Seconds at which a step begins or ends, rising: between two of them nothing changes. */
  readonly momentsS: readonly number[];
  readonly at: (second: number) => readonly DriveCurrent[];
};

type Step = PartOf<'drive'>['spinUp'][number];
/** Where so many like drives are in their start: before their turn, in a step, or turning; `drive` is one of them. */
export type DrivePhase = {
  readonly drive: Drive;
  readonly count: number;
  readonly step: Step | null;
  readonly waits: boolean;
};
type Phases = { readonly momentsS: readonly number[]; readonly at: (second: number) => readonly DrivePhase[] };

/** The start of a feed's drives over time, exact from their step profiles and a policy, else the machine's. */
export function phases(context: FigureContext, feed: Feed, matters: (step: Step) => boolean, spinUp?: SpinUp): Phases {
  const own = new Set(classesOn(context, feed).flatMap(({ units }) => units.map(({ id }) => id)));
  const classes = new Map<string, { drive: Drive; count: number; turnS: number }>();
  for (const { drive, turnS } of turnsOf(context, feed.box, spinUp)) {
    if (!own.has(drive.id)) continue;
    const key = `${drive.part.id}|${turnS}`;
    const known = classes.get(key);
    if (known) known.count++;
    else classes.set(key, { drive, count: 1, turnS });
  }
  const all = [...classes.values()];
  const moments = all.flatMap(({ drive, turnS }) =>
    drive.part.spinUp.filter(matters).flatMap(({ atS, forS }) => [atS + turnS, atS + forS + turnS]),
  );
  return {
    momentsS: [...new Set(moments)].sort((a, b) => a - b),
    at: (second) =>
      all.map(({ drive, count, turnS }): DrivePhase => {
        const since = second - turnS;
        const step = drive.part.spinUp.find((one) => since >= one.atS && since < one.atS + one.forS) ?? null;
        return { drive, count, step, waits: !step && since <= 0 };
      }),
  };
}

/**
 * What the drives of a feed take on a rail while they start, over time. A paced start is counted as together until what
 * it needs is checked.
 */
export function currents(context: FigureContext, feed: Feed, rail: Rail): Currents {
  const { momentsS, at } = phases(context, feed, (step) => step[STEP[rail]] > 0);
  return {
    momentsS,
    at: (second) =>
      at(second).map((phase): DriveCurrent => ({
        drive: phase.drive,
        count: phase.count,
        amps: driveA(phase, rail),
        isStarting: phase.step !== null,
      })),
  };
}

/** Likely A one drive takes on a rail: of its step, turning, or nothing before its turn. */
export function driveA({ drive, step, waits }: DrivePhase, rail: Rail): number {
  if (step) return step[STEP[rail]];
  const turning = TURNING[rail];
  return !waits && turning ? drive.part[turning] : 0;
}

/** All drives of a moment together, A. */
export const together = (all: readonly DriveCurrent[]): number =>
  all.reduce((sum, { amps, count }) => sum + amps * count, 0);
