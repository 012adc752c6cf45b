import { feedWith } from '../../figures/power/feeds';
import { choiceWords } from '../../parts/fieldWords';
import { limitFor, type Limit } from '../../geometry/clearance';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { ofKind } from '../../machine/units';
import {
  boardsOf,
  boxAround,
  byPart,
  chassisOf,
  occupiedFeatures,
  spotOf,
  unplacedOf,
  type Situation,
} from '../situation';
import { basisOf } from '../../parts/resolve';
import type { Found } from '../words';
import { gapMm, lengthFinding } from './gaps';

export function boardInChassis(situation: Situation): Found<'fits.boardInChassis'>[] {
  const loose = unplacedOf(situation, 'board');
  const chassis = chassisOf(situation)[0];
  const refused = chassis
    ? loose.flatMap((unit): Found<'fits.boardInChassis'>[] => {
        const tray = spotsOf(chassis.id, chassis.part).find((spot) => spot.type === 'tray');
        const why = tray
          ? mismatch(unit.part, tray)
          : { want: 'no board', have: unit.part.kind === 'board' ? unit.part.holes : '' };
        return why
          ? [
              {
                severity: 'blocker',
                at: [{ unit: unit.id }],
                facts: { board: unit.part.name, chassis: chassis.part.name, want: why.want, have: why.have },
              },
            ]
          : [];
      })
    : [];
  const large = boardsOf(situation).flatMap((unit): Found<'fits.boardInChassis'>[] => {
    const box = boxAround(situation, unit);
    if (!box) return [];
    const sides = [
      ['wide', unit.part.edgeMm, box.part.maxBoardEdgeMm],
      ['deep', unit.part.depthMm, box.part.maxBoardDepthMm],
    ] as const;
    return sides.flatMap(([side, have, limit]): Found<'fits.boardInChassis'>[] =>
      limit !== null && limit - have < 0
        ? [
            {
              severity: 'blocker',
              at: [{ unit: unit.id }],
              gap: gapMm(have, limit),
              facts: { board: unit.part.name, chassis: box.part.name, side },
            },
          ]
        : [],
    );
  });
  return [...refused, ...large];
}

export function supplyForm(situation: Situation): Found<'fits.supplyForm'>[] {
  const chassis = chassisOf(situation).find((one) => one.part.supplyBays.length > 0) ?? chassisOf(situation)[0];
  if (!chassis) return [];
  return unplacedOf(situation, 'supply').flatMap((unit): Found<'fits.supplyForm'>[] => {
    const { part } = unit;
    const forms = chassis.part.supplyBays.flatMap((bay) => bay.forms);
    const goes = spotsOf(chassis.id, chassis.part).some((spot) => spot.type === 'supplyBay' && !mismatch(part, spot));
    // A brick lies outside: with a converter inside it needs no bay.
    if (part.kind !== 'supply' || goes || feedWith(situation.context, unit.id)?.brick?.id === unit.id) return [];
    return [
      {
        severity: 'blocker',
        at: [{ unit: unit.id }],
        facts: {
          supply: part.name,
          chassis: chassis.part.name,
          want: [...new Set(forms)].map((form) => choiceWords('form', form)).join(' or ') || 'no supply',
          have: choiceWords('form', part.form),
        },
      },
    ];
  });
}

export function supplyLength(situation: Situation): Found<'fits.supplyLength'>[] {
  return ofKind(situation.units, 'supply').flatMap((unit) => {
    const box = boxAround(situation, unit);
    const spot = spotOf(situation, unit);
    const bay = box?.part.supplyBays.find((one) => one.key === spot?.key);
    if (!box || !bay || unit.builtIn) return [];
    const own: Limit = { maxMm: bay.maxLengthMm, because: bay.key, label: 'the end of its bay' };
    const other = limitFor(box.part, 'supply', { occupied: occupiedFeatures(situation, box) });
    return lengthFinding(
      unit.part.lengthMm,
      other && other.maxMm < own.maxMm ? other : own,
      unit,
      { supply: unit.part.name },
      box,
    );
  });
}

export function coolerHeight(situation: Situation): Found<'fits.coolerHeight'>[] {
  return ofKind(situation.units, 'cooler').flatMap((unit) => {
    const box = boxAround(situation, unit);
    const limit = box && limitFor(box.part, 'cooler', { occupied: occupiedFeatures(situation, box) });
    if (!box || !limit) return [];
    // A cooler is made to a height: within a room that is stated, or a standard's rack units, nothing need be left.
    const isRoomKnown = basisOf(box.part, 'clearances') !== 'typical' || box.part.rackUnits !== null;
    const isStated = basisOf(unit.part, 'heightMm') !== 'typical' && isRoomKnown;
    const isMade = isStated && unit.part.heightMm <= limit.maxMm;
    return isMade ? [] : lengthFinding(unit.part.heightMm, limit, unit, { cooler: unit.part.name }, box);
  });
}

/** Fans that found no mount: of another size, or one too many. */
export function fanMount(situation: Situation): Found<'fits.fanMount'>[] {
  const hosts = situation.units.filter(
    (unit) => unit.part.kind === 'chassis' || unit.part.kind === 'adapter' || unit.part.kind === 'cooler',
  );
  const mounts = hosts
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .flatMap((spot) => (spot.type === 'fanMount' ? [spot] : []));
  if (chassisOf(situation).length === 0) return [];
  return byPart(unplacedOf(situation, 'fan')).map((units): Found<'fits.fanMount'> => {
    const fan = units[0].part;
    const sizes = [...new Set(mounts.flatMap((spot) => spot.mount.sizesMm))].sort((a, b) => a - b);
    const fits = mounts.filter((spot) => !mismatch(fan, spot)).reduce((sum, spot) => sum + spot.count, 0);
    const reason =
      fits > 0
        ? `All ${fits} mounts of its size are taken.`
        : sizes.length
          ? `The mounts take ${sizes.join(', ')} mm.`
          : 'This chassis has no fan mounts.';
    return {
      severity: 'blocker',
      at: units.map((unit) => ({ unit: unit.id })),
      facts: { count: units.length, fan: fan.name, reason },
    };
  });
}
