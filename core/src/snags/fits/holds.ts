import { limitFor } from '../../geometry/clearance';
import { groupAt } from '../../machine/spotAt';
import { USB_OUTSIDE } from '../../machine/spots';
import { isKind, ofKind, unitsById, type UnitOf } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import {
  boxAround,
  byPart,
  chassisOf,
  isSeated,
  occupiedFeatures,
  spotOf,
  unitById,
  type Situation,
} from '../situation';
import { CLOSE_MM } from '../finding';
import type { Found } from '../words';

/** The screw holes of a drive: set A or B of 3.5-inch ones (SFF-8301), those of 2.5-inch ones (SFF-8201). */
const holesOf = (drive: PartOf<'drive'>): 'A' | 'B' | '2.5' | null =>
  drive.size === '2.5' || drive.size === 'u.2' ? '2.5' : drive.size === '3.5' ? drive.holes : null;

/** Drives that mate with their bay and that nothing holds: its holes are not theirs. */
export function driveHoles(situation: Situation): Found<'fits.holes'>[] {
  const byId = unitsById(situation.units);
  const loose = ofKind(situation.units, 'drive').filter((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    const holes = holesOf(unit.part);
    return group?.type === 'bay' && !!group.group.holes && !!holes && !group.group.holes.includes(holes);
  });
  return byPart(loose).map((units): Found<'fits.holes'> => {
    const group = groupAt(byId, spotOf(situation, units[0])!);
    return {
      severity: 'caution',
      at: units.flatMap((unit) => [{ unit: unit.id }]),
      facts: {
        count: units.length,
        drive: units[0].part.name,
        have: holesOf(units[0].part)!,
        want: group?.type === 'bay' ? group.group.holes!.join(' and ') : '',
      },
    };
  });
}

/** Data drives in bays that cannot be pulled while the machine runs. */
export function inFixedBays(situation: Situation): UnitOf<'drive'>[] {
  const byId = unitsById(situation.units);
  return ofKind(situation.units, 'drive').filter((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    return (unit.role ?? 'data') === 'data' && group?.type === 'bay' && group.group.access !== 'hotSwap';
  });
}

/** Said where the brief wants drives to be added later, and does not ask for hot swap itself. */
export function fixedBays(situation: Situation): Found<'fits.fixedBays'>[] {
  const { drivesLater, mustHave } = situation.brief;
  const drives = inFixedBays(situation);
  if (drives.length === 0 || mustHave?.includes('hotSwap') || (drivesLater ?? 0) <= drives.length) return [];
  return [{ severity: 'note', at: drives.map(({ id }) => ({ unit: id })), facts: { count: drives.length } }];
}

/** A supply in an opening that has no screw points for it. */
export function supplyScrews(situation: Situation): Found<'fits.supplyScrews'>[] {
  return ofKind(situation.units, 'supply').flatMap((unit): Found<'fits.supplyScrews'>[] => {
    const box = boxAround(situation, unit);
    const bay = box?.part.supplyBays.find(({ key }) => key === spotOf(situation, unit)?.key);
    return box && bay && !bay.screws && !bay.outside && !unit.builtIn
      ? [
          {
            severity: 'caution',
            at: [{ unit: unit.id }],
            facts: { supply: unit.part.name, bay: bay.label.toLowerCase(), chassis: box.part.name },
          },
        ]
      : [];
  });
}

/** Share of a spreader under which the dies lie, where a sheet does not say how wide they are (typical). */
const HOT_SHARE = 0.75;

/** A base that leaves less of a spreader than this free is not worth a word. */
const RIM_SHARE = 0.9;

const hotZoneOf = ({ part }: UnitOf<'processor'>): number =>
  Math.min(part.spreaderMm, part.hotZoneMm ?? Math.round(part.spreaderMm * HOT_SHARE));

/** A cooler whose base does not cover what gets hot under the spreader; the rim of that stays cool by itself. */
export function coolerBase(situation: Situation): Found<'fits.coolerBase'>[] {
  return ofKind(situation.units, 'cooler').flatMap((unit): Found<'fits.coolerBase'>[] => {
    const board = spotOf(situation, unit)?.host;
    const processor = ofKind(situation.units, 'processor').find(
      (one) => isSeated(situation, one) && spotOf(situation, one)?.host === board,
    );
    if (!processor) return [];
    const { baseMm, name } = unit.part;
    const zoneMm = hotZoneOf(processor);
    const { spreaderMm } = processor.part;
    const isShort = baseMm < zoneMm;
    if (!isShort && baseMm >= spreaderMm * RIM_SHARE) return [];
    return [
      {
        severity: isShort ? 'caution' : 'note',
        at: [{ unit: unit.id }],
        gap: { have: baseMm, limit: zoneMm, gap: baseMm - zoneMm, unit: 'mm' },
        facts: { cooler: name, processor: processor.part.name, spreaderMm },
      },
    ];
  });
}

/** A USB socket of a board stands so high above it. */
const USB_SOCKET_MM = 8;

/** A boot stick on the board under the cover, or what else hangs above it. */
export function stickHeight(situation: Situation): Found<'fits.stick'>[] {
  const angled = ofKind(situation.units, 'sundry').some(({ part }) => part.use === 'usbAngle');
  return ofKind(situation.units, 'drive').flatMap((unit): Found<'fits.stick'>[] => {
    const spot = unit.part.size === 'usb' ? spotOf(situation, unit) : undefined;
    const host = spot && unitById(situation, spot.host);
    const box = boxAround(situation, unit);
    if (!host || spot.key === USB_OUTSIDE || !isKind(host, 'board') || !box || angled || box.part.boardPose !== 'flat')
      return [];
    const occupied = occupiedFeatures(situation, box);
    const limit = limitFor(box.part, 'stick', { occupied }) ?? limitFor(box.part, 'cooler', { occupied });
    const have = unit.part.lengthMm + USB_SOCKET_MM;
    if (!limit || limit.maxMm - have > CLOSE_MM) return [];
    return [
      {
        severity: limit.maxMm < have ? 'blocker' : 'caution',
        at: [{ unit: unit.id }],
        gap: { have, limit: limit.maxMm, gap: limit.maxMm - have, unit: 'mm' },
        facts: { drive: unit.part.name, because: limit.label, culprit: limit.because, host: box.id },
      },
    ];
  });
}

/** A body between posts with slide rails (IEC 60297): at most so wide, and the opening itself. */
const BODY_WITH_RAILS_MM = 440;

const RACK_OPENING_MM = 450;

/** Plugs and the bend of cables behind a machine, typically; the brief may say how much. */
const CABLES_MM = 50;

/** In a rack: a body too wide for its rails or the opening. */
export function rackBody(situation: Situation): Found<'fits.rackBody'>[] {
  if (situation.context.site.place !== 'rack') return [];
  return chassisOf(situation).flatMap((unit): Found<'fits.rackBody'>[] => {
    const { part } = unit;
    const limit = part.slideRails === 'none' ? RACK_OPENING_MM : BODY_WITH_RAILS_MM;
    if (part.rackUnits === null || part.widthMm <= limit) return [];
    return [
      {
        severity: part.widthMm > RACK_OPENING_MM ? 'blocker' : 'caution',
        at: [{ unit: unit.id }],
        gap: { have: part.widthMm, limit, gap: limit - part.widthMm, unit: 'mm' },
        facts: { chassis: part.name, rails: part.slideRails === 'none' ? '' : 'yes' },
      },
    ];
  });
}

/** In a rack of known depth: the body goes in, but its handles or cables meet the door. */
export function rackDepth(situation: Situation): Found<'fits.rackDepth'>[] {
  const { maxDepthMm: limit, cableRoomMm: cables = CABLES_MM } = situation.brief;
  if (situation.context.site.place !== 'rack' || limit === undefined) return [];
  return chassisOf(situation).flatMap((unit): Found<'fits.rackDepth'>[] => {
    const { part } = unit;
    const have = part.depthMm + (part.handlesMm ?? 0) + cables;
    if (part.depthMm > limit || have <= limit) return [];
    return [
      {
        severity: 'caution',
        at: [{ unit: unit.id }],
        gap: { have, limit, gap: limit - have, unit: 'mm' },
        facts: { chassis: part.name, depth: part.depthMm, handles: part.handlesMm ?? 0, cables },
      },
    ];
  });
}
