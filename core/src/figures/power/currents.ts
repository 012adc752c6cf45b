import type { PartOf } from '../../parts/resolve';
import { ofKind, type PlannedUnit } from '../../machine/units';
import { countsWith, type Box } from '../boxes';
import { waiting } from './stagger';
import { classesOf, type FigureContext } from '../context';

/** A rail of a supply, by its volts. */
export type Rail = '12 V' | '5 V' | '3.3 V';
const STEP = { '12 V': 'a12', '5 V': 'a5', '3.3 V': 'a33' } as const;
const TURNING = { '12 V': 'idle12A', '5 V': 'idle5A', '3.3 V': null } as const;

type Drive = PlannedUnit & { readonly part: PartOf<'drive'> };
/** What one drive takes on a rail at a moment, A: of a step of its start, or turning; nothing before its turn. */
export type DriveCurrent = { readonly drive: Drive; readonly amps: number; readonly isStarting: boolean };
export type Currents = {
  /** Seconds at which a step begins or ends, rising: between two of them nothing changes. */
  readonly momentsS: readonly number[];
  readonly at: (second: number) => readonly DriveCurrent[];
};

type Step = PartOf<'drive'>['spinUp'][number];
/** Where a drive is in its start: before its turn, in a step, or turning. */
export type DrivePhase = { readonly drive: Drive; readonly step: Step | null; readonly waits: boolean };
type Phases = { readonly momentsS: readonly number[]; readonly at: (second: number) => readonly DrivePhase[] };

/** The start of a box's drives over time, exact from their step profiles and the policy. */
export function phases(context: FigureContext, box: Box, matters: (step: Step) => boolean): Phases {
  const own = new Set(
    classesOf(context.running, context.units, context.layout)
      .filter((one) => countsWith(context, one.box) === box)
      .flatMap((one) => one.units),
  );
  const drives = ofKind(context.running, 'drive').filter((unit) => own.has(unit));
  const shifts = waveShifts(context, drives);
  const turnS = (index: number) => shifts[index] ?? 0;
  const moments = drives.flatMap((drive, index) =>
    drive.part.spinUp.filter(matters).flatMap(({ atS, forS }) => [atS + turnS(index), atS + forS + turnS(index)]),
  );
  return {
    momentsS: [...new Set(moments)].sort((a, b) => a - b),
    at: (second) =>
      drives.map((drive, index): DrivePhase => {
        const since = second - turnS(index);
        const step = drive.part.spinUp.find((one) => since >= one.atS && since < one.atS + one.forS) ?? null;
        return { drive, step, waits: !step && since <= 0 };
      }),
  };
}

/**
 * What the drives of a box take on a rail while they start, over time. A paced start is counted as together until what
 * it needs is checked.
 */
export function currents(context: FigureContext, box: Box, rail: Rail): Currents {
  const { momentsS, at } = phases(context, box, (step) => step[STEP[rail]] > 0);
  const turning = TURNING[rail];
  return {
    momentsS,
    at: (second) =>
      at(second).map(({ drive, step, waits }): DriveCurrent => {
        if (step) return { drive, amps: step[STEP[rail]], isStarting: true };
        return { drive, amps: !waits && turning ? drive.part[turning] : 0, isStarting: false };
      }),
  };
}

/** All drives of a moment together, A. */
export const together = (all: readonly DriveCurrent[]): number => all.reduce((sum, { amps }) => sum + amps, 0);

/** Seconds each drive waits for its turn; one that cannot wait starts with the first. */
function waveShifts(context: FigureContext, drives: readonly Drive[]): readonly number[] {
  const policy = context.policy.spinUp;
  if (policy.kind !== 'waves') return [];
  const able = new Set(waiting(context));
  let turn = 0;
  return drives.map(({ id }) => (able.has(id) ? Math.floor(turn++ / policy.drives) * policy.everyS : 0));
}
