import { sustainedW } from '../parts/sustained';
import { ofKind, type PlannedUnit } from '../machine/units';
import type { PartOf } from '../parts/resolve';
import { boxAround, isSeated, spotOf, type Situation } from './situation';
import type { Found } from './words';

type Cooler = PlannedUnit & { readonly part: PartOf<'cooler'> };

/** The processors of the board a cooler sits on. */
const cooledBy = (situation: Situation, cooler: Cooler) => {
  const board = spotOf(situation, cooler)?.host;
  return board === undefined
    ? []
    : ofKind(situation.units, 'processor').filter(
        (one) => isSeated(situation, one) && spotOf(situation, one)?.host === board,
      );
};

/**
 * A processor that draws for longer than its cooler can carry: a caution by its likely value, a blocker where its low
 * end is past it too.
 */
export function coolerCarries(situation: Situation): Found<'cooled.cooler'>[] {
  return ofKind(situation.units, 'cooler').flatMap((cooler): Found<'cooled.cooler'>[] =>
    cooledBy(situation, cooler)
      .slice(0, 1)
      .flatMap((processor): Found<'cooled.cooler'>[] => {
        const { value, lo, hi, basis } = sustainedW(processor.part);
        const limit = cooler.part.carriesW;
        if (value <= limit) return [];
        return [
          {
            severity: lo > limit ? 'blocker' : 'caution',
            at: [{ unit: cooler.id }, { unit: processor.id }],
            gap: { have: value, limit, gap: limit - value, unit: 'W', lo, hi },
            facts: { cooler: cooler.part.name, processor: processor.part.name, basis },
          },
        ];
      }),
  );
}

/**
 * Whether a fan turns in a wall of the chassis a unit is in; those of supplies, cages and other coolers blow elsewhere.
 */
const hasFanInWall = (situation: Situation, box: PlannedUnit): boolean =>
  ofKind(situation.context.running, 'fan').some((fan) => spotOf(situation, fan)?.host === box.id);

/** A cooler without a fan of its own in a chassis where none turns in a wall either. */
export function passiveCooler(situation: Situation): Found<'cooled.passive'>[] {
  return ofKind(situation.units, 'cooler').flatMap((cooler): Found<'cooled.passive'>[] => {
    if (
      !cooler.part.passive ||
      ofKind(situation.units, 'fan').some((fan) => spotOf(situation, fan)?.host === cooler.id)
    )
      return [];
    const box = boxAround(situation, cooler);
    const processor = cooledBy(situation, cooler)[0];
    if (!box || !processor || hasFanInWall(situation, box)) return [];
    return [
      {
        severity: 'caution',
        at: [{ unit: cooler.id }],
        facts: {
          cooler: cooler.part.name,
          processor: processor.part.name,
          chassis: box.part.name,
          watts: Math.round(sustainedW(processor.part).value),
        },
      },
    ];
  });
}
