import { hotCards, hotDrives } from '../../figures/air/temperatures';
import { Ledger, rangedOf } from '../../figures/quantity';
import { groupedBy } from '../../lists';
import { factOf } from '../../parts/resolve';
import { sustainedW } from '../../parts/sustained';
import { isKind, ofKind, type UnitOf } from '../../machine/units';
import { boxAround, byPart, isSeated, spotOf, type Situation } from '../situation';
import type { Found } from '../words';

type Cooler = UnitOf<'cooler'>;

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
const hasFanInWall = (situation: Situation, box: UnitOf<'chassis'>, walls?: ReadonlySet<string>): boolean =>
  ofKind(situation.context.running, 'fan').some((fan) => {
    const spot = spotOf(situation, fan);
    const mount = box.part.fanMounts.find(({ key }) => key === spot?.key);
    return spot?.host === box.id && (!walls || !mount || walls.has(mount.wall));
  });

/**
 * A processor's heat sink without a fan wants a stream along its fins: a fan behind or above it only draws some past.
 */
const BLOWING: ReadonlySet<string> = new Set(['front', 'middle', 'side', 'bottom']);

/** Cards lie low and before the rear wall: a fan in the roof moves nothing there. */
const BESIDE_CARDS: ReadonlySet<string> = new Set([...BLOWING, 'rear']);

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
    if (!box || !processor || hasFanInWall(situation, box, BLOWING)) return [];
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

/** A card that gives off more than this at work has a heat sink made for moving air, W. */
const HOT_CARD_W = 8;

/** So many K the law itself may be off, besides what is not known of the parts: only past that a machine is blocked. */
const MODEL_K = 5;

/**
 * Drives that are likely past what their maker allows on the hottest day with all of them busy: a blocker where their
 * low end is past the high end of that, for disks; flash slows itself down. Modules on a board are not judged, and what
 * only may be past it is told with the temperatures.
 */
export function drivesTooHot({ context }: Situation): Found<'cooled.drives'>[] {
  return hotDrives(context, new Ledger(false)).flatMap((one): Found<'cooled.drives'>[] => {
    const { box, drives, where, isStill, tempC } = one;
    const [first] = drives;
    if (!first || where === 'board') return [];
    const { value, lo, hi } = rangedOf(tempC);
    const limit = factOf(first.part, 'maxC');
    if (value <= limit.value) return [];
    return [
      {
        severity: first.part.medium === 'disk' && lo > limit.hi + MODEL_K ? 'blocker' : 'caution',
        // Named by its box and the first of them: with one drive more or less it is the same.
        at: [{ unit: box.id }, { unit: first.id }],
        because: drives.slice(1).map(({ id }) => ({ unit: id })),
        gap: { have: value, limit: limit.value, gap: limit.value - value, unit: '°C', lo, hi },
        facts: {
          count: drives.length,
          drive: first.part.name,
          chassis: box.part.name,
          isStill: isStill ? 'yes' : '',
          medium: first.part.medium,
        },
      },
    ];
  });
}

/** Cards with a heat sink alone in a chassis where no fan turns in a wall. */
export function cardsInStillAir(situation: Situation): Found<'cooled.card'>[] {
  const hot = situation.units.filter(
    (unit) =>
      (isKind(unit, 'controller') || isKind(unit, 'expander') || isKind(unit, 'networkCard')) &&
      isSeated(situation, unit) &&
      unit.part.busyW > HOT_CARD_W,
  );
  return byPart(hot).flatMap((cards): Found<'cooled.card'>[] => {
    const box = boxAround(situation, cards[0]);
    const { part } = cards[0];
    if (!box || box.part.style === 'openFrame' || hasFanInWall(situation, box, BESIDE_CARDS) || !('busyW' in part))
      return [];
    return [
      {
        severity: 'caution',
        at: cards.map(({ id }) => ({ unit: id })),
        facts: { card: part.name, count: cards.length, chassis: box.part.name, watts: Math.round(part.busyW) },
      },
    ];
  });
}

/**
 * Chips of cards that are past what their sheet allows even at the low end of what is reckoned, where a fan does turn:
 * without one that is told of the card's air.
 */
export function chipsTooHot(situation: Situation): Found<'cooled.chip'>[] {
  const past = hotCards(situation.context, new Ledger(false)).flatMap((one) => {
    const { value, lo, hi } = rangedOf(one.tempC);
    const isPast = one.limitC !== null && lo > one.limitC && hasFanInWall(situation, one.box, BESIDE_CARDS);
    return isPast ? [{ ...one, limit: one.limitC!, value, lo, hi }] : [];
  });
  const alike = groupedBy(past, ({ card }) => card.part.id);
  return [...alike.values()].map((these): Found<'cooled.chip'> => {
    const [{ card, box, limit, value, lo, hi }] = these;
    return {
      severity: 'caution',
      at: these.map((one) => ({ unit: one.card.id })),
      gap: { have: value, limit, gap: limit - value, unit: '°C', lo, hi },
      facts: { card: card.part.name, count: these.length, chassis: box.part.name },
    };
  });
}

/**
 * A card that is likely past its limit on the hottest day, and would be within it were no card in the slot beside it.
 * One that is past it anyway is told with the temperatures.
 */
export function cardsSideBySide({ context }: Situation): Found<'cooled.beside'>[] {
  return hotCards(context, new Ledger(false)).flatMap(
    ({ card, by, tempC, aloneC, limitC }): Found<'cooled.beside'>[] => {
      // Where its sheet has no limit there is nothing to hold it against but what is usual: told with the temperatures.
      if (by.length === 0 || limitC === null) return [];
      const limit = limitC;
      const { value, lo, hi } = rangedOf(tempC);
      if (value <= limit || aloneC > limit) return [];
      return [
        {
          severity: 'caution',
          at: [{ unit: card.id }],
          because: by.map(({ id }) => ({ unit: id })),
          gap: { have: value, limit, gap: limit - value, unit: '°C', lo, hi },
          facts: {
            card: card.part.name,
            by: by.map(({ part }) => part.name).join(' and '),
            adds: Math.round(value - aloneC),
            count: by.length,
          },
        },
      ];
    },
  );
}
