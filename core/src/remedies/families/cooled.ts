import { printSpot, type SpotRef } from '../../build/layout';
import { addItemEdit } from '../../build/newItem';
import { mismatch } from '../../machine/accepts';
import { boxOf, seatsOf } from '../../machine/hosts';
import { sittersBySpot } from '../../machine/sitters';
import { refsOf, spotsOf } from '../../machine/spots';
import { isKind } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { about, causes, listed, lower, otherSlots, swaps } from '../guesses';
import type { Base } from '../weigh';
import type { Propose, Proposes } from './shared';

/** Fans for the free mounts in the chassis of the part a snag is about: a whole wall of them, or one. */
const fansInFreeMounts: Propose = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { units, layout } = base.assessment;
    const box = boxOf(unit.id, seatsOf(layout), units);
    const sitting = sittersBySpot(units, layout);
    const free = box
      ? spotsOf(box.id, box.part)
          .filter((spot) => spot.type === 'fanMount')
          .flatMap((group) =>
            wholeOrOne(refsOf(group).filter((ref) => !sitting.has(printSpot(ref)))).map((refs) => ({ group, refs })),
          )
      : [];
    return free.flatMap(({ group, refs }) =>
      listed(catalogue, 'fan')
        .filter((part) => !mismatch(part, group))
        .sort((a, b) => a.flowM3h - b.flowM3h)
        .filter((_, i, all) => i % Math.ceil(all.length / FANS_A_MOUNT) === 0 || i === all.length - 1)
        .map((part): Proposal => ({
          edits: [addItemEdit(base.build, catalogue, part.id, refs.length, { spots: refs })],
          words: `Fit ${refs.length > 1 ? `${refs.length} × ` : ''}${part.name} at ${lower(group.label)}`,
        })),
    );
  });

const FANS_A_MOUNT = 3;
/** A mount left empty beside a fan lets its air back. */
const wholeOrOne = (refs: readonly SpotRef[]): (readonly SpotRef[])[] =>
  refs.length > 1 ? [refs, refs.slice(0, 1)] : refs.length === 1 ? [refs] : [];

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

const DUTIES = [0.5, 0.6, 0.8, 1];
/** Fans that turn faster, while their duty is fixed: louder, and said so. */
const faster: Propose = ({ build }) => {
  const { fans } = build.policy;
  return fans.kind === 'fixed'
    ? DUTIES.filter((duty) => duty > fans.duty + 0.05).map((duty): Proposal => ({
        edits: [{ type: 'set.policy', value: { ...build.policy, fans: { kind: 'fixed', duty } } }],
        words: `Let the fans turn at ${Math.round(duty * 100)} %`,
      }))
    : [];
};

/** More fans, faster ones, or both. */
const moreAir: Propose = (base, snag, catalogue) => {
  const fans = fansInFreeMounts(base, snag, catalogue);
  const duties = faster(base, snag, catalogue);
  const both = fans.flatMap((fit) =>
    duties.slice(1, 2).map((fast): Proposal => ({
      edits: [...fit.edits, ...fast.edits],
      words: `${fit.words}, and let all turn at ${fast.words.split(' at ')[1]}`,
    })),
  );
  return [...duties, ...fans, ...both];
};

/** Guesses for the snags of this family. */
export const COOLED = {
  'cooled.cooler': (base, snag, catalogue) => otherCoolers(base, snag, catalogue, () => true),
  'cooled.passive': (base, snag, catalogue) => [
    ...fansInFreeMounts(base, snag, catalogue),
    ...otherCoolers(base, snag, catalogue, (part) => !part.passive),
  ],
  'cooled.drives': moreAir,
  'cooled.card': fansInFreeMounts,
  'cooled.chip': (base, snag, catalogue) => [
    ...moreAir(base, snag, catalogue),
    ...about(base, snag).flatMap((unit) => otherSlots(base, unit)),
  ],
  'cooled.beside': (base, snag, catalogue) => [
    ...[...about(base, snag), ...causes(base, snag)].flatMap((unit) => otherSlots(base, unit)),
    ...fansInFreeMounts(base, snag, catalogue),
    ...faster(base, snag, catalogue),
  ],
} as const satisfies Proposes;
