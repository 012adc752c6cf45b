import type { PartOf } from '../../parts/resolve';
import { isKind } from '../../machine/units';
import { about, swaps } from '../guesses';
import { none, type Propose, type Proposes } from './shared';

/** Another drive of the same size, interface and at least the capacity, that has what this one lacks. */
const otherDrives =
  (goes: (part: PartOf<'drive'>) => boolean): Propose =>
  (base, snag, catalogue) =>
    about(base, snag)
      .slice(0, 1)
      .flatMap((unit) =>
        isKind(unit, 'drive')
          ? swaps(
              base,
              catalogue,
              unit,
              'drive',
              (part) =>
                part.size === unit.part.size &&
                part.interface === unit.part.interface &&
                part.medium === unit.part.medium &&
                part.capacityBytes >= unit.part.capacityBytes &&
                goes(part),
            )
          : [],
      );

/** Guesses for the snags of this family. */
export const LASTS = {
  'lasts.shingled': otherDrives((part) => !part.shingled),
  'lasts.ratedBays': (base, snag, catalogue) =>
    otherDrives((part) => part.ratedBays === null || part.ratedBays >= (snag.gap?.have ?? 0))(base, snag, catalogue),
  'lasts.worn': none,
  'lasts.alone': none,
  'lasts.writeBack': none,
  'lasts.bridge': none,
  'lasts.aged': none,
} as const satisfies Proposes;
