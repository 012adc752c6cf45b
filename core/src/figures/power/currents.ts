import type { PartOf } from '../../parts/resolve';
import type { UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import { classesOn } from './fedClasses';
import type { Feed } from './feeds';
import { kept } from '../kept';
import { Ledger } from '../quantity';
import { turnAt, turnOrder, type SpinUp, type Turn } from './turns';

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

/** The drives of a feed in the order of their turns. */
export const turnsOn = (context: FigureContext, feed: Feed): readonly Turn[] =>
  kept(context, PLAIN, `turns ${feed.key}`, () => {
    const own = new Set(classesOn(context, feed).flatMap(({ units }) => units.map(({ id }) => id)));
    return turnOrder(context, feed.box).filter(({ drive }) => own.has(drive.id));
  });

const PLAIN = new Ledger(false);

/** Like drives of a feed that start at one second; `drive` is one of them. */
type StartClass = { readonly drive: Drive; count: number; readonly turnS: number };

/** The drives of a feed by what they are and when their turn is. */
export function startClasses(turns: readonly Turn[], spinUp: SpinUp): readonly StartClass[] {
  const all: StartClass[] = [];
  for (const { drive, place } of turns) {
    const turnS = turnAt(place, spinUp);
    // Like drives mostly follow each other, and are few sorts.
    const known = all.findLast((one) => one.turnS === turnS && one.drive.part.id === drive.part.id);
    if (known) known.count++;
    else all.push({ drive, count: 1, turnS });
  }
  return all;
}

/** Where drives of a class are in their start at a second. */
export function phaseAt({ drive, count, turnS }: StartClass, second: number): DrivePhase {
  const since = second - turnS;
  const step = drive.part.spinUp.find((one) => since >= one.atS && since < one.atS + one.forS) ?? null;
  return { drive, count, step, waits: !step && since <= 0 };
}

/** The start of a feed's drives over time, exact from their step profiles and a policy, else the machine's. */
export function phases(
  context: FigureContext,
  feed: Feed,
  matters: (step: Step) => boolean,
  spinUp: SpinUp = context.policy.spinUp,
): Phases {
  const all = startClasses(turnsOn(context, feed), spinUp);
  const moments = all.flatMap(({ drive, turnS }) =>
    drive.part.spinUp.filter(matters).flatMap(({ atS, forS }) => [atS + turnS, atS + forS + turnS]),
  );
  return {
    momentsS: [...new Set(moments)].sort((a, b) => a - b),
    at: (second) => all.map((one) => phaseAt(one, second)),
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
