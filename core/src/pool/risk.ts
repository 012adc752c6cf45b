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

/** Several sets striped together, of which one lost is all lost: never told as less than one in a million. */
export const lossOfAny = (losses: readonly number[]): number =>
  Math.max(
    NEVER_BELOW,
    losses.reduce((any, one) => any + one - any * one, 0),
  );

/** Share of its outer rate a disk has on the average of its surface, and of that what a rebuild gets in use. */
const AVERAGE = 0.75;
const IN_USE = 0.5;
const SHINGLED = 0.1;
/** How full a pool is taken to be when a drive fails. */
const FULL = 0.8;

/** Hours to rebuild a drive of a pool that is four fifths full and in use; shingled disks take ten times as long. */
export const rebuildHours = (drive: {
  readonly capacityBytes: number;
  readonly sequentialMBps: number;
  readonly shingled: boolean;
}): number =>
  (FULL * drive.capacityBytes) /
  (AVERAGE * drive.sequentialMBps * 1e6 * IN_USE * (drive.shingled ? SHINGLED : 1)) /
  3600;

/** Chance that reading so many bytes meets a sector that cannot be read: 1 − exp(−8·bytes·rate). */
export const unreadable = (bytes: number, perBit: number): number => -Math.expm1(-8 * bytes * perBit);
