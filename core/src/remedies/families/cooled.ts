import { printSpot } from '../../build/layout';
import { addItemEdit } from '../../build/newItem';
import { mismatch } from '../../machine/accepts';
import { boxOf, seatsOf } from '../../machine/hosts';
import { sittersBySpot } from '../../machine/sitters';
import { refsOf, spotsOf } from '../../machine/spots';
import { isKind } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { about, listed, lower, swaps } from '../guesses';
import type { Base } from '../weigh';
import type { Propose, Proposes } from './shared';

/** Fans for a free mount in the chassis of the part a snag is about. */
const fansInFreeMounts: Propose = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { units, layout } = base.assessment;
    const box = boxOf(unit.id, seatsOf(layout), units);
    const sitting = sittersBySpot(units, layout);
    const free = box
      ? spotsOf(box.id, box.part)
          .filter((spot) => spot.type === 'fanMount')
          .flatMap((group) =>
            refsOf(group)
              .filter((ref) => !sitting.has(printSpot(ref)))
              .slice(0, 1)
              .map((ref) => ({ group, ref })),
          )
      : [];
    return free.flatMap(({ group, ref }) =>
      listed(catalogue, 'fan')
        .filter((part) => !mismatch(part, group))
        .slice(0, FANS_A_MOUNT)
        .map((part): Proposal => ({
          edits: [addItemEdit(base.build, catalogue, part.id, 1, { spots: [ref] })],
          words: `Fit ${part.name} at ${lower(group.label)}`,
        })),
    );
  });

const FANS_A_MOUNT = 3;

/** Another cooler for the same socket; which of them carry enough is seen where parts are exchanged. */
const otherCoolers = (
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  goes: (part: PartOf<'cooler'>) => boolean,
): Proposal[] =>
  about(base, snag).flatMap((unit) =>
    isKind(unit, 'cooler')
      ? swaps(
          base,
          catalogue,
          unit,
          'cooler',
          (part) => part.sockets.some((socket) => unit.part.sockets.includes(socket)) && goes(part),
        )
      : [],
  );

/** Guesses for the snags of this family. */
export const COOLED = {
  'cooled.cooler': (base, snag, catalogue) => otherCoolers(base, snag, catalogue, () => true),
  'cooled.passive': (base, snag, catalogue) => [
    ...fansInFreeMounts(base, snag, catalogue),
    ...otherCoolers(base, snag, catalogue, (part) => !part.passive),
  ],
  'cooled.drives': fansInFreeMounts,
  'cooled.card': fansInFreeMounts,
} as const satisfies Proposes;
