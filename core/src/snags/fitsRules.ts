import { groupedBy } from '../lists';
import { choiceWords } from '../parts/fieldWords';
import { lanesAt } from '../solve/checkLayout';
import { limitFor, type Limit } from '../geometry/clearance';
import { mismatch } from '../machine/accepts';
import { spotsOf } from '../machine/spots';
import { boardSlot, coveredBy } from '../machine/hosts';
import { type CardPart, cardReachMm, isCard, isModule, ofKind, type PlannedUnit, unitsById } from '../machine/units';
import {
  boardsOf,
  boxAround,
  byPart,
  chassisOf,
  isSeated,
  occupiedFeatures,
  seatedBoard,
  spotOf,
  unplacedOf,
  unitById,
  type Situation,
} from './situation';
import { basisOf } from '../parts/resolve';
import { CLOSE_MM, type Facts, type Gap, type FindingOf, type Sized } from './finding';
import type { Culprit } from './words/fits';
import type { Found } from './words';

const gapMm = (have: number, limit: number): Gap => ({ have, limit, gap: limit - have, unit: 'mm' });

/** A length against its limit: less than none blocks, up to 2 mm cautions. */
function lengthFinding<F extends Facts>(
  have: number,
  limit: Limit,
  unit: PlannedUnit,
  facts: F,
  host: PlannedUnit,
): FindingOf<Sized<F & Culprit>>[] {
  const gap = gapMm(have, limit.maxMm);
  if (gap.gap > CLOSE_MM) return [];
  return [
    {
      severity: gap.gap < 0 ? 'blocker' : 'caution',
      at: [{ unit: unit.id }],
      gap,
      facts: { ...facts, because: limit.label, culprit: limit.because, host: host.id },
      because: [{ spot: { host: host.id, key: limit.because } }],
    },
  ];
}

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
    if (part.kind !== 'supply' || goes) return [];
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

const cardWords = (part: CardPart): string => (part.plugEndMm ? `${part.name} with its plug` : part.name);

export function cardLength(situation: Situation): Found<'fits.cardLength'>[] {
  return situation.units.flatMap((unit) => {
    if (!isCard(unit.part)) return [];
    const box = boxAround(situation, unit);
    const found = boardSlot(spotOf(situation, unit), unitsById(situation.units), (one) => spotOf(situation, one));
    if (!box || !found) return [];
    const limit = limitFor(box.part, 'card', { occupied: occupiedFeatures(situation, box), slot: found.slot.position });
    return limit ? lengthFinding(cardReachMm(unit.part), limit, unit, { card: cardWords(unit.part) }, box) : [];
  });
}

export function cardSlot(situation: Situation): Found<'fits.cardSlot'>[] {
  const board = seatedBoard(situation);
  if (!board) return [];
  return situation.outcome.unplaced.flatMap((unit): Found<'fits.cardSlot'>[] => {
    if (!isCard(unit.part)) return [];
    if (isModule(unit)) {
      const sockets = spotsOf(board.id, board.part).filter((spot) => spot.type === 'm2');
      const fitting = sockets.filter((spot) => !mismatch(unit.part, spot));
      const reason =
        sockets.length === 0
          ? `${board.part.name} has no M.2 socket.`
          : fitting.length === 0
            ? 'No M.2 socket here takes it: it wants PCIe lanes, its length and its notch.'
            : fitting.length === 1
              ? 'The only M.2 socket that takes it is in use, or has no lanes.'
              : `All ${fitting.length} M.2 sockets that take it are in use, or have no lanes.`;
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          facts: { card: unit.part.name, place: 'M.2 socket', reason },
          because: [{ unit: board.id }],
        },
      ];
    }
    const { slots } = board.part;
    const taken = slots.filter((slot) =>
      Object.values(situation.layout.at).some((seat) => seat.spot.host === board.id && seat.spot.key === slot.key),
    ).length;
    const groups = spotsOf(board.id, board.part).filter((spot) => spot.type === 'slot');
    const takes = groups.filter((spot) => !mismatch(unit.part, spot)).length;
    const reason =
      slots.length === 0
        ? `${board.part.name} has no slots.`
        : takes === 0
          ? `It is ${unit.part.bus === 'pci' ? 'PCI' : `x${unit.part.lanes}`}; the slots are ` +
            `${[...new Set(slots.map((slot) => (slot.bus === 'pci' ? 'PCI' : `x${slot.lanes}`)))].join(', ')}.`
          : slots.length === 1
            ? 'The only one is in use.'
            : `${taken} of ${slots.length} are in use.`;
    return [
      {
        severity: 'blocker',
        at: [{ unit: unit.id }],
        facts: { card: unit.part.name, place: 'slot', reason },
        because: [{ unit: board.id }],
      },
    ];
  });
}

/** A thick card: the slots it lies over, and whether the chassis has openings for all of it. */
export function cardCovers(situation: Situation): Found<'fits.cardCovers'>[] {
  return situation.units.flatMap((unit): Found<'fits.cardCovers'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit);
    const board = spot && unitById(situation, spot.host)?.part;
    if (!spot || !isCard(part) || part.thickSlots <= 1 || board?.kind !== 'board') return [];
    const slot = board.slots.find((one) => one.key === spot.key);
    if (!slot) return [];
    const covered = coveredBy(unit, spot, situation.units);
    const openings = boxAround(situation, unit)?.part.openings.reduce((sum, one) => sum + one.count, 0);
    const last = slot.position + Math.ceil(part.thickSlots);
    const facts = {
      card: part.name,
      slots: Math.ceil(part.thickSlots),
      covered: covered
        .map((name) => board.slots.find((one) => name.endsWith(`/${one.key}`))?.label ?? name)
        .join(' and '),
    };
    if (openings !== undefined && part.brackets.length > 0 && last > openings)
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          gap: { have: last, limit: openings, gap: openings - last, unit: 'openings' },
          facts,
        },
      ];
    return covered.length ? [{ severity: 'note', at: [{ unit: unit.id }, { spot }], facts }] : [];
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

export function driveInBay(situation: Situation): Found<'fits.driveInBay'>[] {
  if (chassisOf(situation).length === 0) return [];
  const loose = byPart(unplacedOf(situation, 'drive')).flatMap((units): Found<'fits.driveInBay'>[] => {
    const { part } = units[0];
    if (part.kind !== 'drive') return [];
    if ((part.size === 'm2' || part.size === 'usb') && !seatedBoard(situation)) return [];
    return [
      {
        severity: 'blocker',
        at: units.map((unit) => ({ unit: unit.id })),
        facts: {
          count: units.length,
          names: `${units.length} × ${part.name}`,
          reason: whyNoPlace(situation, units[0]),
        },
      },
    ];
  });
  const high = ofKind(situation.units, 'drive').flatMap((unit): Found<'fits.driveInBay'>[] => {
    const spot = spotOf(situation, unit);
    const host = spot && unitById(situation, spot.host)?.part;
    const group =
      host && (host.kind === 'chassis' || host.kind === 'adapter')
        ? host.bayGroups.find((one) => one.key === spot.key)
        : undefined;
    return spot && group && unit.part.heightMm > group.maxDriveHeightMm
      ? [
          {
            severity: 'blocker',
            at: [{ unit: unit.id }, { spot }],
            gap: gapMm(unit.part.heightMm, group.maxDriveHeightMm),
            facts: { drive: unit.part.name, heightMm: unit.part.heightMm, roomMm: group.maxDriveHeightMm },
          },
        ]
      : [];
  });
  return [...loose, ...high];
}

/** What is wrong with the M.2 sockets there are, those of one trouble together: length, key or what they speak. */
function whyNoSocket(unit: PlannedUnit, hosts: readonly PlannedUnit[]): string | null {
  const said = hosts
    .flatMap((one) => spotsOf(one.id, one.part))
    .filter((spot) => spot.type === 'm2')
    .flatMap((spot) => {
      const why = mismatch(unit.part, spot);
      if (!why) return [];
      const words = {
        length: `take ${why.want} mm, it is ${why.have}`,
        key: `have key ${why.want}, it has ${why.have}`,
        protocol: `speak ${why.want === 'pcie' ? 'NVMe' : why.want.toUpperCase()} only`,
      };
      return [{ label: spot.label, words: words[why.code as keyof typeof words] ?? 'do not take it' }];
    });
  const sentences = [...groupedBy(said, ({ words }) => words)].map(([words, these]) => {
    const labels = [...new Set(these.map(({ label }) => label))];
    if (labels.length > 2) return `${labels.length} M.2 sockets ${words}.`;
    return `${labels.join(' and ')} ${labels.length > 1 ? words : ofOne(words)}.`;
  });
  return sentences.length ? sentences.join(' ') : null;
}
/** The same of one socket. */
const ofOne = (words: string): string =>
  words
    .replace(/^(take|speak)\b/, '$1s')
    .replace(/^have/, 'has')
    .replace(/^do/, 'does');

/** Bays of the right size all taken, or none of that size, also counting what adapters offer. */
function whyNoPlace(situation: Situation, unit: PlannedUnit): string {
  const wants =
    unit.part.kind === 'drive'
      ? { m2: 'M.2', usb: 'USB', slot: 'slot', 'u.2': 'U.2', '3.5': '3.5-inch', '2.5': '2.5-inch' }[unit.part.size]
      : '';
  const hosts = situation.units.filter((one) => isSeated(situation, one));
  const groups = hosts
    .flatMap((one) => spotsOf(one.id, one.part))
    .filter((spot) => (spot.type === 'bay' || spot.type === 'm2' || spot.type === 'usb') && !mismatch(unit.part, spot));
  const places = groups.reduce((sum, group) => sum + group.count, 0);
  if (places === 0 && unit.part.kind === 'drive' && unit.part.size === 'm2') {
    const why = whyNoSocket(unit, hosts);
    if (why) return why;
  }
  const lanes = lanesAt(situation.units, situation.layout);
  const dark = groups.filter((group) => group.type === 'm2' && lanes({ host: group.host, key: group.key }) === 0);
  if (dark.length > 0) return `${places - dark.length} of ${places} M.2 places have lanes, and all of those are taken.`;
  return places === 0
    ? `Nothing in this machine takes a ${wants} drive of this kind.`
    : places === 1
      ? `The one ${wants} place is taken.`
      : `${places === 2 ? 'Both' : `All ${places}`} ${wants} places are taken.`;
}
