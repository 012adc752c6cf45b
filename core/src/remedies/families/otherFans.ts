import { memberAt } from '../../lists';
import { addItemEdit } from '../../build/newItem';
import { fanRpmShare } from '../../figures/fanCurve';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { isKind, type PlannedUnit } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import { listed, swaps } from '../guesses';
import type { Base } from '../weigh';

/**
 * A quieter fan that moves less air, or moves it against less, at any duty pays in degrees: where they are to spare,
 * slower ones do it without an exchange.
 */
const DUTIES = [0.3, 0.5, 1];

const AS_MUCH = 0.97;

export const movesAsMuch = (part: PartOf<'fan'>, now: PartOf<'fan'>): boolean =>
  DUTIES.every((duty) => {
    const [share, had] = [fanRpmShare(part, duty), fanRpmShare(now, duty)];
    return (
      part.flowM3h * share >= AS_MUCH * now.flowM3h * had &&
      part.pressurePa * share ** 2 >= AS_MUCH * now.pressurePa * had ** 2
    );
  });

/** Other fans for these, in the mounts of those that came with the chassis, or of the same size in place of a part. */
export function otherFans(
  base: Base,
  catalogue: Catalogue,
  units: readonly PlannedUnit[],
  goes: (part: PartOf<'fan'>, now: PartOf<'fan'>) => boolean,
): Proposal[] {
  const fans = units.filter((unit) => isKind(unit, 'fan'));
  const fitted = listed(catalogue, 'fan').flatMap((part): Proposal[] => {
    const spots = fans.flatMap((unit) => {
      const spot = unit.builtIn && !unit.builtIn.fixed ? unit.builtIn.spot : undefined;
      const host = base.assessment.units.find((one) => one.id === spot?.host);
      const group = spot && host && spotsOf(host.id, host.part).find((one) => one.key === spot.key);
      return spot && group && !mismatch(part, group) && goes(part, unit.part)
        ? [{ host: spot.host, key: spot.key, ...(group.count > 1 ? { n: spot.n ?? 1 } : {}) }]
        : [];
    });
    const edit =
      spots.length === fans.length && fans.length > 0
        ? addItemEdit(base.build, catalogue, part.id, spots.length, { spots })
        : null;
    return edit
      ? [{ edits: [edit], words: `Fit ${spots.length} × ${part.name} in place of ${memberAt(fans, 0).part.name}` }]
      : [];
  });
  const swapped = fans
    .filter((unit) => !unit.builtIn)
    .slice(0, 1)
    .flatMap((unit) =>
      swaps(base, catalogue, unit, 'fan', (part) => part.sizeMm === unit.part.sizeMm && goes(part, unit.part)),
    );
  return [...fitted, ...swapped];
}
