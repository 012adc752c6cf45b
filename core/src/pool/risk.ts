/** Hours in a year. */
const YEAR_H = 8760;
/** Drives that stand beside a failed one fail so much sooner: same batch, same shelf, the strain of a rebuild. */
const TOGETHER = 10;
/** Nothing that is made and run by people is safer than this a year. */
const NEVER_BELOW = 1e-6;

export type SetRisk = {
  readonly drives: number;
  readonly spare: number;
  readonly afrPct: number;
  readonly rebuildH: number;
};

/**
 * Chance that a set of drives loses data in a year by drives failing alone. States are drives gone, from 0 to `spare`;
 * each still there fails at λ = −ln(1 − AFR)/8760 an hour, ten times that beside a failed one, and one rebuild at a
 * time takes `rebuildH`. From the mean time to one failure too many: P = 1 − exp(−8760/T) (birth and death chain).
 */
export function yearlyLoss({ drives, spare, afrPct, rebuildH }: SetRisk, together = TOGETHER): number {
  if (drives === 0) return 0;
  const perHour = -Math.log(1 - Math.min(0.99, afrPct / 100)) / YEAR_H;
  const fails = (gone: number) => (drives - gone) * perHour * (gone > 0 ? together : 1);
  const mends = 1 / Math.max(1e-6, rebuildH);
  // Mean time from k drives gone to k + 1, over every way back.
  let step = 1 / fails(0);
  let whole = step;
  for (let gone = 1; gone <= spare; gone++) {
    step = (1 + mends * step) / fails(gone);
    whole += step;
  }
  return -Math.expm1(-YEAR_H / whole);
}

/** How many times as often drives fail that have run so many hours: typical, from three years on. */
const AGED: readonly (readonly [hours: number, times: number])[] = [
  [43_800, 2.5],
  [26_280, 1.5],
];
/** A drive its owner does not trust fails so many times as often: typical. */
const DOUBTED = 3;

/** Drives that fail in a year, %, by what their sheet says, the hours they have run and their condition. */
export const agedAfrPct = (
  sheetPct: number,
  { hours = 0, condition }: { readonly hours?: number | undefined; readonly condition?: string | undefined },
): number =>
  Math.min(
    50,
    sheetPct *
      (AGED.find(([from]) => hours >= from)?.[1] ?? 1) *
      (condition === 'doubtful' || condition === 'worn' ? DOUBTED : 1),
  );

/** Several sets striped together, of which one lost is all lost: never told as less than one in a million. */
export const lossOfAny = (losses: readonly number[]): number =>
  Math.max(
    NEVER_BELOW,
    losses.reduce((any, one) => any + one - any * one, 0),
  );

/** Share of its outer rate a disk has on the average of its surface, and of that what a rebuild gets in use. */
const AVERAGE = 0.75;
export const IN_USE = 0.5;
const SHINGLED = 0.1;
/** Past this share of what is usable a pool slows down, with no room for what changes; so full one is taken to be. */
export const FULL_SHARE = 0.8;

type Rebuilt = { readonly capacityBytes: number; readonly sequentialMBps: number; readonly shingled: boolean };

/** MB/s a drive gives to a rebuild in use: on the average of its surface, shingled disks a tenth of it. */
export const rebuildMBps = ({ sequentialMBps, shingled }: Rebuilt): number =>
  AVERAGE * sequentialMBps * IN_USE * (shingled ? SHINGLED : 1);

/** Hours to rebuild a drive of a pool that is four fifths full, at so many MB/s. */
export const rebuildHoursAt = ({ capacityBytes }: Rebuilt, mbPerS: number): number =>
  (FULL_SHARE * capacityBytes) / (mbPerS * 1e6) / 3600;

/** The same at what the drive itself gives in use. */
export const rebuildHours = (drive: Rebuilt): number => rebuildHoursAt(drive, rebuildMBps(drive));

/** Chance that reading so many bytes meets a sector that cannot be read: 1 − exp(−8·bytes·rate). */
export const unreadable = (bytes: number, perBit: number): number => -Math.expm1(-8 * bytes * perBit);
