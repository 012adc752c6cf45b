import type { Assessor, AssessOptions } from '../assess';
import type { Build } from '../build/build';
import { FIGURES, type FigureId, type Figures } from '../figures/figures';
import type { PlannedUnit } from '../machine/units';
import { fieldsOf } from '../parts/fields';
import { FIELD_WORDS } from '../parts/fieldWords';
import { basisOf, factOf } from '../parts/resolve';
import type { Sheet } from '../parts/sheet';

/** A number of a sheet that is only typical of its class, and what it moves most in the machine it is in. */
export type Mover = {
  readonly field: string;
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly figure: FigureId;
  readonly of: string;
  readonly figureUnit: string;
  /** The figure with the number at its low end and at its high end. */
  readonly from: number;
  readonly to: number;
  /** Of all that is not known of that figure, the share that hangs on this number; 1 is all. */
  readonly share: number;
};

/** What a builder looks at; each is moved by other numbers. */
const LOOKED_AT = [
  'power.idleWallW',
  'power.peakWallW',
  'power.start12A',
  'sound.earIdleDb',
  'air.hottestDriveC',
] as const satisfies readonly FigureId[];
/** What moves less than this of a figure's range is not worth measuring. */
const LEAST_SHARE = 0.02;

/**
 * The typical numbers of a part in the order of what they move: each is put at its low and its high end, all else as it
 * is, and the figures are looked at. What a reading or a datasheet says is not among them, nor what moves nothing.
 */
export function movers(build: Build, unit: PlannedUnit, assessor: Assessor, options: AssessOptions): readonly Mover[] {
  const { figures } = assessor.assess(build, options);
  const numbers = fieldsOf(unit.part.kind).flatMap(({ name }) => {
    const value = (unit.part as unknown as Readonly<Record<string, unknown>>)[name];
    if (typeof value !== 'number' || basisOf(unit.part, name) !== 'typical') return [];
    const { lo, hi } = factOf(unit.part, name);
    return lo < hi ? [{ name, value, lo, hi }] : [];
  });
  return numbers
    .flatMap(({ name, value, lo, hi }): Mover[] => {
      const ends = [lo, hi].map((end) => assessor.assess(withValue(build, unit, name, end), options).figures);
      const moved = LOOKED_AT.flatMap((id) => movedBy(figures, ends, id));
      const most = moved.reduce<(typeof moved)[number] | null>((a, b) => (!a || b.share > a.share ? b : a), null);
      const { label, unit: of } = FIELD_WORDS[name];
      return most && most.share >= LEAST_SHARE ? [{ field: name, label, unit: of, value, lo, hi, ...most }] : [];
    })
    .sort((a, b) => b.share - a.share);
}

function movedBy(now: Figures, [low, high]: readonly Figures[], id: (typeof LOOKED_AT)[number]) {
  const [figure, from, to] = [now[id], low?.[id]?.value, high?.[id]?.value];
  if (!figure || from === undefined || to === undefined) return [];
  const width = figure.hi - figure.lo;
  return width > 0
    ? [
        {
          figure: id,
          of: FIGURES[id].label,
          figureUnit: figure.unit,
          from,
          to,
          share: Math.min(1, Math.abs(to - from) / width),
        },
      ]
    : [];
}

/** The build with one number of a sheet put to a value, as if it had been measured. */
function withValue(build: Build, { part }: PlannedUnit, field: string, value: number): Build {
  const sheet = {
    ...part.sheet,
    [field]: value,
    from: { ...part.sheet.from, [field]: { basis: 'measured' } },
  } as Sheet;
  return { ...build, sheets: { ...build.sheets, [sheet.id]: sheet } };
}
