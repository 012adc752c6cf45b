import { sustainedW } from '../../parts/sustained';
import { isKind, ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
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

/** Flash that gives off more than this at work wants moving air as disks do, W. */
const HOT_DRIVE_W = 8;

/** A card that gives off more than this at work has a heat sink made for moving air, W. */
const HOT_CARD_W = 8;

/**
 * Disks and hot flash in bays that no fan blows along: neither one of the cage they are in nor one in a wall of the
 * chassis. An open frame stands in the air of the room.
 */
export function drivesInStillAir(situation: Situation): Found<'cooled.drives'>[] {
  const fans = new Set(ofKind(situation.context.running, 'fan').map((fan) => spotOf(situation, fan)?.host));
  const byBox = new Map<PlannedUnit, PlannedUnit[]>();
  for (const drive of ofKind(situation.units, 'drive')) {
    const host = spotOf(situation, drive)?.host;
    if (!host || fans.has(host) || drive.part.size === 'm2' || drive.part.size === 'usb') continue;
    if (drive.part.medium === 'flash' && drive.part.busyW <= HOT_DRIVE_W) continue;
    const box = boxAround(situation, drive);
    if (!box || box.part.style === 'openFrame' || hasFanInWall(situation, box)) continue;
    byBox.set(box, [...(byBox.get(box) ?? []), drive]);
  }
  return [...byBox].map(([box, drives]): Found<'cooled.drives'> => ({
    severity: 'caution',
    at: drives.map(({ id }) => ({ unit: id })),
    facts: { count: drives.length, chassis: box.part.name },
  }));
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
